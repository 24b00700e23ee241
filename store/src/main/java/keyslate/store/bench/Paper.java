package keyslate.store.bench;

/** A box of variable-contrast paper of one batch. */
public record Paper(
        String id,
        String name,
        String base,
        double widthMm,
        double heightMm,
        String batch,
        int sheetsInBox,
        double sheetsLeft,
        int reserveSheets) {}
