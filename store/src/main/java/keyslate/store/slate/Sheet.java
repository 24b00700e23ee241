package keyslate.store.slate;

import keyslate.store.json.Stood;

/**
 * A sheet of paper that went under the lamp.
 *
 * @param number place on the cord of its slate, from 1
 * @param kind which kind of sheet, such as STRIP or PRINT
 * @param begunAt when it was taken from the box, ISO 8601 in UTC; {@code endedAt} when it was hung or given up, else null
 * @param state EXPOSING, HUNG or ABANDONED
 * @param paperUsed share of a sheet of the box, above 0
 * @param magnification times
 * @param stood what it rested on when it was begun; null when that was not recorded
 * @param note why it was given up, or empty
 */
public record Sheet(
        String id,
        String slateId,
        int number,
        String kind,
        String recipeId,
        String begunAt,
        String state,
        String endedAt,
        double paperUsed,
        double magnification,
        Stood stood,
        String note) {
    public static final String EXPOSING = "EXPOSING";
    public static final String HUNG = "HUNG";
    public static final String ABANDONED = "ABANDONED";

    public boolean isExposing() {
        return EXPOSING.equals(state);
    }

    public boolean isHung() {
        return HUNG.equals(state);
    }

    public boolean isAbandoned() {
        return ABANDONED.equals(state);
    }

    /** The same sheet, ended. */
    public Sheet ended(String how, String at, String why) {
        return new Sheet(id, slateId, number, kind, recipeId, begunAt, how, at, paperUsed, magnification, stood, why);
    }
}
