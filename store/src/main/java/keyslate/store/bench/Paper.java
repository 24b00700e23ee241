package keyslate.store.bench;

/**
 * A box of variable-contrast paper of one batch.
 *
 * @param base RC or FB
 * @param widthMm long side of a sheet, millimetres; {@code heightMm} the short one
 * @param sheetsLeft may be a fraction: strips take part of a sheet; 0 or more
 * @param reserveSheets below this it is the reserve
 */
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
