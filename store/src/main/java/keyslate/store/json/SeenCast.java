package keyslate.store.json;

import java.util.List;
import keyslate.core.colour.CastLook;
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
 * @param area the name of a second neutral place that was looked at; null = the one that is judged first
 * @param metered of a meter, what it asked for
 * @param kit the name of the kit that was looked through; null where none was named
 */
public record SeenCast(
        String way,
        String against,
        double magentaPoints,
        double yellowPoints,
        boolean atLeast,
        double openPoints,
        String words,
        @Nullable List<Double> at,
        @Nullable String area,
        @Nullable Metered metered,
        @Nullable String kit) {
    /**
     * What a meter asked for.
     *
     * @param pack as it is written, "0/58/49"
     * @param scene the kind of scene, in the user's words
     */
    public record Metered(String pack, String scene) {}

    /** Of a look at the sheet as it was printed. */
    public SeenCast(
            String way,
            String against,
            double magentaPoints,
            double yellowPoints,
            boolean atLeast,
            double openPoints,
            String words) {
        this(way, against, magentaPoints, yellowPoints, atLeast, openPoints, words, null, null, null, null);
    }

    /** As it is weighed; at the sheet's own pack. */
    public static SeenCast of(CastLook look, String words) {
        return new SeenCast(
                look.way().name(),
                look.against().name(),
                look.magenta(),
                look.yellow(),
                look.atLeast(),
                look.openPoints(),
                words);
    }

    /** The same at a second place. */
    public SeenCast in(@Nullable String place) {
        return new SeenCast(
                way, against, magentaPoints, yellowPoints, atLeast, openPoints, words, at, place, metered, kit);
    }

    /** The same as a meter asked for it. */
    public SeenCast asked(Metered by) {
        return new SeenCast(way, against, magentaPoints, yellowPoints, atLeast, openPoints, words, at, area, by, kit);
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
                List.of(pack.inCyan(), pack.inMagenta(), pack.inYellow()),
                area,
                metered,
                kit);
    }

    /** The same through a kit of a name; without one where it is empty. */
    public SeenCast through(String name) {
        return new SeenCast(
                way,
                against,
                magentaPoints,
                yellowPoints,
                atLeast,
                openPoints,
                words,
                at,
                area,
                metered,
                name.isEmpty() ? null : name);
    }
}
