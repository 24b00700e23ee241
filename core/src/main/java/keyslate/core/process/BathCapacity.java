package keyslate.core.process;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;

/**
 * What a bath can still take.
 *
 * <p>PRO-03: left = V·c − used, c the area a litre takes (a generic figure, the maker's own wins).
 *
 * @param usedFraction 0 fresh, 1 exhausted; may pass 1
 * @param leftSquareMetres 0 or more
 */
public record BathCapacity(double usedFraction, double leftSquareMetres) {
    /** Area of a sheet of 203.2 × 254 mm (8 × 10 in), square metres. */
    public static final double SHEET_8X10 = 0.0516128;

    private static final double SQUARE_MM_PER_M2 = 1e6;
    /** Areas of sheets add up in decimals: a bath that is full but for this is full. */
    private static final double FULL = 1e-9;

    /** For a bath of {@code litres} that takes {@code squareMetresPerLitre} and has taken {@code usedSquareMetres}. */
    public static BathCapacity of(double litres, double squareMetresPerLitre, double usedSquareMetres) {
        double all = Check.positive("volume", litres, "l") * Check.positive("capacity", squareMetresPerLitre, "m²/l");
        Check.notNegative("used area", usedSquareMetres, "m²");
        return new BathCapacity(usedSquareMetres / all, Math.max(0, all - usedSquareMetres));
    }

    public boolean isExhausted() {
        return usedFraction >= 1 - FULL;
    }

    /** The same counted in sheets of 8 × 10 in. */
    public double leftSheets8x10() {
        return sheets8x10(leftSquareMetres);
    }

    /** PRO-04: an area in sheets of 8 × 10 in, area / 0.0516128. */
    public static double sheets8x10(double squareMetres) {
        return Check.notNegative("area", squareMetres, "m²") / SHEET_8X10;
    }

    /** PRO-05: area of so many sheets, square metres; a whole number of sheets, 0 to 100 000. */
    public static double areaOf(Length width, Length height, double sheets) {
        Check.positive("width", width.inMm(), "mm");
        Check.positive("height", height.inMm(), "mm");
        Check.within("sheets", sheets, 0, 100_000, "");
        if (sheets != Math.rint(sheets)) {
            throw Check.outOfRange("sheets", "sheets must be a whole number, was " + Check.shown(sheets));
        }
        return width.inMm() * height.inMm() / SQUARE_MM_PER_M2 * sheets;
    }

    /** PRO-06: replenisher for an area, millilitres = area · rate, rate in ml/m². */
    public static double replenishMl(double squareMetres, double mlPerSquareMetre) {
        return Check.notNegative("area", squareMetres, "m²")
                * Check.positive("replenishment rate", mlPerSquareMetre, "ml/m²");
    }
}
