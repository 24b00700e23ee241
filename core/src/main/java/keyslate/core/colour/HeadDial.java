package keyslate.core.colour;

import keyslate.core.numeric.LinearTable;
import keyslate.core.quantity.Check;

/**
 * The dial of one filter of one head: its numbers are not points, and no two heads agree.
 *
 * <p>COL-09: a table dial → CC that rises strictly in both columns, linear between rows; measured by the user for each enlarger and channel.
 */
public final class HeadDial {
    private final LinearTable toPoints;
    private final LinearTable toDial;

    private HeadDial(LinearTable toPoints) {
        this.toPoints = toPoints;
        this.toDial = toPoints.inverse();
    }

    /** Rows of (dial, CC), at least two. */
    public static HeadDial of(double[][] rows) {
        for (int i = 1; i < rows.length; i++) {
            if (!(rows[i][0] > rows[i - 1][0] && rows[i][1] > rows[i - 1][1])) {
                throw Check.outOfRange("dial table", "both columns must rise, row " + (i + 1) + " does not");
            }
        }
        return new HeadDial(LinearTable.of(rows));
    }

    /** True points at a number of the dial. */
    public double pointsAt(double dial) {
        return within("dial", toPoints, dial);
    }

    /** The number to set for true points. */
    public double dialFor(double points) {
        return within("points", toDial, points);
    }

    /**
     * COL-10: density of a dichroic filter that is part of the way in the light, −log10((1 − x) + x·10^(−D)): why a dial needs a table.
     *
     * @param share 0 out of the light, 1 all the way in
     * @param fullDensity all the way in, 0 to 6
     */
    public static double partlyInserted(double share, double fullDensity) {
        Check.within("share", share, 0, 1, "");
        Check.within("full density", Check.notNegative("full density", fullDensity, ""), 0, 6, "");
        return -Math.log10((1 - share) + share * Math.pow(10, -fullDensity)) + 0.0;
    }

    private static double within(String name, LinearTable table, double value) {
        return table.at(Check.within(name, value, table.first(), table.last(), ""));
    }
}
