package keyslate.store.slate;

/**
 * A slate: the living record of one picture.
 *
 * @param version counts every change, from 1; an edit that names an older one is refused
 * @param recipeId what stands for the next sheet
 * @param redoId what the last undo came from, null when there is nothing to redo
 * @param acceptedSheetId the print that was accepted, else null
 * @param touchedAt the last change, ISO 8601 in UTC
 */
public record Slate(
        String id,
        String frameId,
        String createdAt,
        long version,
        String recipeId,
        String redoId,
        String acceptedSheetId,
        String touchedAt) {}
