package keyslate.store.json;

import java.util.List;
import keyslate.core.quantity.FilterPack;
import org.jspecify.annotations.Nullable;

/**
 * One look at the cast of a sheet, as it is weighed.
 *
 * @param way VIEWING_FILTER, BY_NAME, PIECES, PICTURE or METER
 * @param against what was compared with: NOTHING, CARD or MEASURED_CARD
 * @param magentaPoints strength in points of a viewing filter of which two are worth one of the pack, negative = green
 * @param yellowPoints negative = blue
 * @param atLeast whether the strongest there was did not suffice
 * @param openPoints what the look leaves open beyond the way's own errors, points
 * @param words what was said: "green 10, blue 5"
 * @param at cyan, magenta and yellow of what was looked at; null = the sheet's own pack
 */
public record SeenCast(
        String way,
        String against,
        double magentaPoints,
        double yellowPoints,
        boolean atLeast,
        double openPoints,
        String words,
        @Nullable List<Double> at) {
    /** Of a look at the sheet as it was printed. */
    public SeenCast(
            String way,
            String against,
            double magentaPoints,
            double yellowPoints,
            boolean atLeast,
            double openPoints,
            String words) {
        this(way, against, magentaPoints, yellowPoints, atLeast, openPoints, words, null);
    }

    /** The same of what has another pack than the sheet. */
    public SeenCast at(FilterPack pack) {
        return new SeenCast(
                way,
                against,
                magentaPoints,
                yellowPoints,
                atLeast,
                openPoints,
                words,
                List.of(pack.inCyan(), pack.inMagenta(), pack.inYellow()));
    }
}
