package keyslate.store.json;

import java.util.List;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;

/**
 * What a sheet rested on when it was begun: an old sheet is read with this and never with what stands in Stores today.
 *
 * @param frameWidthMm the frame as the picture stands; {@code frameHeightMm} alike
 * @param baths of the sheet's process, with what they had taken
 * @param room the light it was exposed in: SAFELIGHT or BLACKOUT
 * @param constants what was known of enlarger, lens and paper by tests and entries; null in what stood before there were any
 * @param film which frames lay under the glass of a proof, and how they were cut; null for everything else
 */
public record Stood(
        Enlarger enlarger,
        Lens lens,
        Paper paper,
        double frameWidthMm,
        double frameHeightMm,
        List<StoodBath> baths,
        String room,
        StoodFilm film,
        List<StoodConstant> constants) {
    /** A film as it was cut then: ids of its frames in order, and how many each strip had. */
    public record StoodFilm(List<String> frameIds, List<Integer> strips) {}

    /** What was known of a thing then (keyslate.store.bench.Constant). */
    public record StoodConstant(
            String thingId, String lensId, String name, String source, String foundAt, StoredConstant value) {}

    /** A bath as it was then; square metres. */
    public record StoodBath(String name, double capacityM2, double usedM2) {}
}
