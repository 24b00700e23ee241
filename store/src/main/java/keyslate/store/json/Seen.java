package keyslate.store.json;

/**
 * What a decision rests on; what does not belong to its kind is null.
 *
 * @param whitesAt of a reading: where the whites hold, in patches from the first (0), halves between two; {@code blacksAt} the first true
 *     black; {@code rightAt} the right density on a colour strip
 * @param magentaPoints of a cast: strength in points of a viewing filter, negative = green; {@code yellowPoints} negative = blue
 * @param way how the cast was seen: VIEWING_FILTER or BY_NAME
 * @param densityStops with a cast: how much more light the print needs, stops
 * @param darkerStops of a judgement: positive = darker; {@code harderGrades} positive = harder
 * @param dry of a reading: whether the strip was dry; null = not said, which is wet
 */
public record Seen(
        Double whitesAt,
        Double blacksAt,
        Double rightAt,
        Double magentaPoints,
        Double yellowPoints,
        String way,
        Double densityStops,
        Double darkerStops,
        Double harderGrades,
        Boolean dry) {
    public static final Seen NOTHING = new Seen(null, null, null, null, null, null, null, null, null, null);

    public static Seen marks(Double whitesAt, Double blacksAt, Boolean dry) {
        return new Seen(whitesAt, blacksAt, null, null, null, null, null, null, null, dry);
    }

    public static Seen right(Double at) {
        return new Seen(null, null, at, null, null, null, null, null, null, null);
    }

    public static Seen cast(double magenta, double yellow, String way, double densityStops) {
        return new Seen(null, null, null, magenta, yellow, way, densityStops, null, null, null);
    }

    public static Seen wishes(Double darkerStops, Double harderGrades) {
        return new Seen(null, null, null, null, null, null, null, darkerStops, harderGrades, null);
    }
}
