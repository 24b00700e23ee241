package keyslate.store.slate;

/** A slate: the living record of one picture. {@code version} counts every change. */
public record Slate(
        String id,
        String frameId,
        String createdAt,
        long version,
        String recipeId,
        String redoId,
        String acceptedSheetId,
        String touchedAt) {}
