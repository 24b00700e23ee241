package keyslate.core.test;

import keyslate.core.quantity.Check;
import keyslate.core.script.Part;

/**
 * How the pieces of a test lie in a picture of them all, in their order.
 *
 * @param columns 1 or more; the rows follow from how many pieces there are
 * @param lines rows that are filled
 * @param reversed whether the first lies at the right or at the bottom
 */
public record PieceLayout(int columns, int lines, boolean reversed) {
    public static final PieceLayout SINGLE = new PieceLayout(1, 1, false);
    private static final int MOST_IN_A_ROW = 5;

    public PieceLayout {
        Check.count("columns", columns, 1, 99);
        Check.count("rows", lines, 1, 99);
    }

    /** Side by side, or one under another. */
    public static PieceLayout strip(int pieces, boolean along, boolean reversed) {
        return along ? new PieceLayout(pieces, 1, reversed) : new PieceLayout(1, pieces, reversed);
    }

    /** Cut pieces as one lays them down to look at: five in a row at most, rows of the same length where they can be. */
    public static PieceLayout laid(int pieces) {
        int rows = (pieces + MOST_IN_A_ROW - 1) / MOST_IN_A_ROW;
        return new PieceLayout((pieces + rows - 1) / rows, rows, false);
    }

    /** Where a piece lies, from 1. */
    public Part place(int piece) {
        int at = reversed ? columns * lines - piece : piece - 1;
        double width = 1.0 / columns;
        double height = 1.0 / lines;
        return new Part(at % columns * width, at / columns * height, width, height);
    }

    /** Width over height of the whole, for pieces of an aspect. */
    public double aspect(double ofPiece) {
        return ofPiece * columns / lines;
    }
}
