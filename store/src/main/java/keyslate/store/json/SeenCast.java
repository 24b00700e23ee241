package keyslate.store.json;

/**
 * One look at the cast of a sheet, as it is weighed.
 *
 * @param way VIEWING_FILTER or BY_NAME
 * @param against what was compared with: NOTHING, CARD or MEASURED_CARD
 * @param magentaPoints strength in points of a viewing filter of which two are worth one of the pack, negative = green
 * @param yellowPoints negative = blue
 * @param atLeast whether the strongest there was did not suffice
 * @param openPoints what the look leaves open beyond the way's own errors, points
 * @param words what was said: "green 10, blue 5"
 */
public record SeenCast(
        String way,
        String against,
        double magentaPoints,
        double yellowPoints,
        boolean atLeast,
        double openPoints,
        String words) {}
