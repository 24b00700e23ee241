package keyslate.store.json;

import java.util.List;

/**
 * What a decision rests on; what does not belong to its kind is null.
 *
 * @param whitesAt of a reading: where the whites hold, in patches from the first (0), halves between two
 * @param blacksAt the first true black, alike
 * @param rightAt where the density is right: of a middle tone, or on colour paper, alike
 * @param magentaPoints of a cast: strength in points of a viewing filter, negative = green
 * @param yellowPoints negative = blue
 * @param way how the cast was seen: VIEWING_FILTER, BY_NAME, PIECES, PICTURE or METER
 * @param densityStops with a cast: how much more light the print needs, stops
 * @param darkerStops of a judgement: positive = darker
 * @param harderGrades positive = harder
 * @param dry of a reading: whether the strip was dry; null = not said, which is wet; of a cast: false = it was wet, and its looks are reckoned as dry ones
 * @param moreStops of a reading of one sheet: how much more light it needs, stops
 * @param beyond of a reading whose answer lies off the test: LIGHTER than its first patch, or DARKER than its last; FAR_LIGHTER and FAR_DARKER where nothing tells how far
 * @param whitesTone the named tone that was looked at for the whites
 * @param rightTone the same in the middle
 * @param blacksTone the same for the black
 * @param lamp the light it was read by, in the user's words
 * @param second whether somebody else looked too and saw it alike
 * @param row of a test in two rows: which was read, 1 or 2; null = it has but one
 * @param looks of a reading that was made several times, each with the marks before hidden: all of them; the marks are then their means
 * @param pictured of a reading from a picture: what was measured in it
 * @param blackBeyond of a reading that showed no place of the first true black: DARKER when no patch was black, LIGHTER when all were
 * @param casts the looks at a cast, one by one; magentaPoints and yellowPoints are their means
 * @param taught of a cast: what all looks of the slate had taught of kit and eye by then
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
        Boolean dry,
        Double moreStops,
        String beyond,
        String whitesTone,
        String rightTone,
        String blacksTone,
        String lamp,
        Boolean second,
        Integer row,
        List<Look> looks,
        Pictured pictured,
        String blackBeyond,
        List<SeenCast> casts,
        List<Taught> taught) {
    public static final Seen NOTHING = new Seen(
            null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null,
            null, null, null, null, null);

    /** Looks at a cast, at a print that was dry or wet, in a light, and what they taught. */
    public static Seen cast(
            double magenta,
            double yellow,
            String way,
            double densityStops,
            Boolean dry,
            String lamp,
            List<SeenCast> casts,
            List<Taught> taught) {
        return new Seen(
                null,
                null,
                null,
                magenta,
                yellow,
                way,
                densityStops,
                null,
                null,
                dry,
                null,
                null,
                null,
                null,
                null,
                lamp,
                null,
                null,
                null,
                null,
                null,
                casts,
                taught);
    }

    public static Seen wishes(Double darkerStops, Double harderGrades) {
        return new Seen(
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                darkerStops,
                harderGrades,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null);
    }

    /** The same without what it taught: that is of a bench with its kits and its eye, and not of the slate. */
    public Seen untaught() {
        return taught == null ? this : cast(magentaPoints, yellowPoints, way, densityStops, dry, lamp, casts, null);
    }
}
