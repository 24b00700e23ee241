package keyslate.core.size;

import keyslate.core.quantity.Check;

/**
 * The white that the blades of an easel leave on each side of the sheet, as it lies, in mm.
 *
 * @param leftMm 0 to {@value #WIDEST_MM}; the others alike
 */
public record Blades(double leftMm, double topMm, double rightMm, double bottomMm) {
    public static final double WIDEST_MM = 500;

    public Blades {
        Check.within("border", leftMm, 0, WIDEST_MM, "mm");
        Check.within("border", topMm, 0, WIDEST_MM, "mm");
        Check.within("border", rightMm, 0, WIDEST_MM, "mm");
        Check.within("border", bottomMm, 0, WIDEST_MM, "mm");
    }

    /** The same white on all sides. */
    public static Blades even(double mm) {
        return new Blades(mm, mm, mm, mm);
    }

    /** The widest border that one number may say for all sides. */
    public static final double WIDEST_EVEN_MM = 200;

    /** Whether one number says them all: alike, and no wider than {@value #WIDEST_EVEN_MM} mm. */
    public boolean areEven() {
        return leftMm <= WIDEST_EVEN_MM && leftMm == topMm && leftMm == rightMm && leftMm == bottomMm;
    }

    /** The narrowest white. */
    public double narrowestMm() {
        return Math.min(Math.min(leftMm, rightMm), Math.min(topMm, bottomMm));
    }

    /** White of both sides, across. */
    public double acrossMm() {
        return leftMm + rightMm;
    }

    /** White above and below. */
    public double downMm() {
        return topMm + bottomMm;
    }
}
