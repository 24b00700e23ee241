package keyslate.store.slate;

import keyslate.store.json.Seen;

/**
 * A reading, a judgement of colour or of a print, or an acceptance, with the verdict as it was shown and what was taken.
 *
 * @param kind READING, CAST, JUDGEMENT or ACCEPTANCE
 * @param seen what was marked, seen or wished
 * @param proposedLight light and seconds of the verdict, null when it proposed none; {@code takenLight} what was set
 * @param overruled whether something else than the verdict was taken
 */
public record Decision(
        String id,
        String slateId,
        String sheetId,
        String kind,
        String madeAt,
        Seen seen,
        String remark,
        String headline,
        String why,
        String proposedLight,
        Double proposedSeconds,
        boolean overruled,
        String takenLight,
        Double takenSeconds) {
    public static final String READING = "READING";
    public static final String CAST = "CAST";
    public static final String JUDGEMENT = "JUDGEMENT";
    public static final String ACCEPTANCE = "ACCEPTANCE";
}
