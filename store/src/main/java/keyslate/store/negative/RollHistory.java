package keyslate.store.negative;

/**
 * What is known of a whole film; empty texts and nulls where nothing was recorded.
 *
 * @param takenOn a day, as 2026-11-26, or empty
 * @param sleeve where it lies
 * @param nominalIso speed on its box
 * @param exposedIso speed it was exposed for
 */
public record RollHistory(
        String rollId,
        String takenOn,
        String camera,
        String sleeve,
        Double nominalIso,
        Double exposedIso,
        String development,
        String remark) {
    /** Nothing recorded. */
    public static RollHistory none(String rollId) {
        return new RollHistory(rollId, "", "", "", null, null, "", "");
    }
}
