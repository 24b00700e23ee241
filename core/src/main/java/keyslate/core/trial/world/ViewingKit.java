package keyslate.core.trial.world;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.colour.Hue;
import keyslate.core.colour.KitLook.Through;

/** Viewing filters as they are sold: 5, 10 and 20 of six colours, a factor of 0.4 to 1 that differs by 15 % between magenta and yellow, each absorbing 5 to 20 % of the other's colour. */
final class ViewingKit {
    private static final double LEAST_FACTOR = 0.4;
    private static final double MOST_FACTOR = 1;
    private static final double FACTORS_APART = 0.15;
    private static final double LEAST_SIDE = 0.05;
    private static final double MOST_SIDE = 0.2;
    /** The filters, and what lies between two of them or under the least. */
    private static final double[] STRENGTHS = {0, 2.5, 5, 7.5, 10, 15, 20};

    private static final double NOT_ENOUGH = 22.5;

    private final double magentaFactor;
    private final double yellowFactor;
    private final double magentaSide;
    private final double yellowSide;

    ViewingKit(Fate fate) {
        double factor = fate.even(LEAST_FACTOR, MOST_FACTOR);
        double apart = fate.bell(FACTORS_APART) / 2;
        magentaFactor = factor * (1 + apart);
        yellowFactor = factor * (1 - apart);
        magentaSide = fate.even(LEAST_SIDE, MOST_SIDE);
        yellowSide = fate.even(LEAST_SIDE, MOST_SIDE);
    }

    /**
     * The filters that clear a cast, the stronger first, a second one laid on it for what is left.
     *
     * @param magenta change of the pack that the cast calls for, points; negative = green
     * @param yellow the same; negative = blue
     */
    List<Through> clearing(double magenta, double yellow) {
        // change = factor * (own + side of the other).
        double det = 1 - magentaSide * yellowSide;
        double m = (magenta / magentaFactor - yellowSide * yellow / yellowFactor) / det;
        double y = (yellow / yellowFactor - magentaSide * magenta / magentaFactor) / det;
        Hue ofMagenta = m > 0 ? Hue.M : Hue.G;
        Hue ofYellow = y > 0 ? Hue.Y : Hue.B;
        List<Through> filters = new ArrayList<>();
        if (m > 0 == y > 0) {
            Hue both = m > 0 ? Hue.R : Hue.C;
            double common = Math.min(Math.abs(m), Math.abs(y));
            double rest = Math.abs(m) + Math.abs(y) - 2 * common;
            add(filters, both, common);
            add(filters, Math.abs(m) > Math.abs(y) ? ofMagenta : ofYellow, rest);
        } else {
            add(filters, ofMagenta, Math.abs(m));
            add(filters, ofYellow, Math.abs(y));
        }
        filters.sort((a, b) -> Double.compare(b.points(), a.points()));
        return filters;
    }

    private static void add(List<Through> filters, Hue cast, double points) {
        double nearest = 0;
        for (double strength : STRENGTHS) {
            nearest = Math.abs(strength - points) < Math.abs(nearest - points) ? strength : nearest;
        }
        if (nearest > 0) {
            filters.add(new Through(cast.complement(), nearest, points <= NOT_ENOUGH));
        }
    }
}
