package keyslate.store.negative;

/**
 * What a frame needs in a print beside another frame, as their proof shows it.
 *
 * @param againstId the frame it was compared with
 * @param moreStops more light, −6 to 6; {@code limitStops} the 95 % limit of that
 * @param castHue R, Y, G, C, B or M of the cast it has beside the other, null = none; {@code castPoints} of a viewing filter, null with it
 * @param packMagenta what its pack has more than the other's by the scan of their proof, points, null = the scan does not tell; {@code packYellow} likewise, null with it
 * @param contrast how far its tones spread over how far the other's do, 0.3 to 3
 * @param source EYE or SCAN
 * @param foundAt ISO 8601 in UTC
 */
public record Need(
        String frameId,
        String againstId,
        double moreStops,
        double limitStops,
        String castHue,
        Double castPoints,
        Double packMagenta,
        Double packYellow,
        double contrast,
        String source,
        String foundAt) {
    public static final String EYE = "EYE";
    public static final String SCAN = "SCAN";
}
