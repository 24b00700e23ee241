package keyslate.store.slate;

import java.util.List;

/**
 * A picture of a sheet.
 *
 * @param place from 1; the last one counts
 * @param offsets how much faster the paper acted than labelled, stops, one for each layer; empty when it told nothing
 * @param source SIMULATED or HANDED_IN
 */
public record Scan(String sheetId, int place, String pictureId, String handedAt, List<Double> offsets, String source) {
    public static final String SIMULATED = "SIMULATED";
    public static final String HANDED_IN = "HANDED_IN";

    public Scan {
        offsets = List.copyOf(offsets);
    }
}
