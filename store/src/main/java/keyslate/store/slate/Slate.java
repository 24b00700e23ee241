package keyslate.store.slate;

/**
 * A slate: the living record of one picture.
 *
 * @param frameId the frame it is of, null for a proof; {@code rollId} the roll whose proof it is, else null
 * @param version counts every change, from 1; an edit that names an older one is refused
 * @param recipeId what stands for the next sheet
 * @param redoId what the last undo came from, null when there is nothing to redo
 * @param acceptedSheetId the print that was accepted, else null
 * @param touchedAt the last change, ISO 8601 in UTC
 * @param putAwayAt since when it is left out of the Bench, null while it is there
 * @param practice whether lamp, paper and scans are simulated: nothing real is exposed for it
 */
public record Slate(
        String id,
        String frameId,
        String rollId,
        String createdAt,
        long version,
        String recipeId,
        String redoId,
        String acceptedSheetId,
        String touchedAt,
        String putAwayAt,
        boolean practice) {
    /** The same slate with other pointers; {@code SlateRepository.advance} stores it. */
    public Slate with(String standing, String redo, String accepted, String at) {
        return new Slate(id, frameId, rollId, createdAt, version, standing, redo, accepted, at, putAwayAt, practice);
    }

    /** The same slate with another standing recipe; nothing to redo. */
    public Slate standing(String recipe, String at) {
        return with(recipe, null, acceptedSheetId, at);
    }
}
