package keyslate.store.json;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import keyslate.core.colour.CastWay;
import keyslate.core.colour.KitFactors;
import keyslate.core.colour.KitFactors.Known;

/**
 * What the looks of a slate had taught of a way as a decision was made: the next slate begins with it.
 *
 * @param way VIEWING_FILTER or BY_NAME
 * @param kit the name of the kit of viewing filters; empty where none was named, or none was used
 * @param figures points by this way for a point of the pack: magenta, magenta by yellow, yellow by magenta, yellow
 * @param spreads one standard deviation of each
 */
public record Taught(String way, String kit, List<Double> figures, List<Double> spreads) {
    private static final int FIGURES = 4;

    public Taught {
        figures = List.copyOf(figures);
        spreads = List.copyOf(spreads);
    }

    public static Taught of(KitFactors found) {
        List<Known> known = List.of(found.magenta(), found.magentaSide(), found.yellowSide(), found.yellow());
        return new Taught(
                found.way().name(),
                found.kit(),
                known.stream().map(Known::figure).toList(),
                known.stream().map(Known::spread).toList());
    }

    /** As it is believed on the next slate. */
    public KitFactors toCore() {
        Known[] known = new Known[FIGURES];
        Arrays.setAll(known, i -> new Known(figures.get(i), spreads.get(i)));
        return new KitFactors(CastWay.valueOf(way), kit, known[0], known[1], known[2], known[3]);
    }

    /** Whether it is whole, as one from a file may not be. */
    public boolean isWhole() {
        return figures.size() == FIGURES
                && spreads.size() == FIGURES
                && Stream.of(0, 3).allMatch(i -> figures.get(i) > 0)
                && spreads.stream().allMatch(s -> s > 0);
    }
}
