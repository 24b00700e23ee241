package keyslate.core.colour;

import keyslate.core.numeric.Linear3;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.QuantityException;

/**
 * How the look of a tone answers to the dials about one setting: what 10 CC of magenta, 10 CC of yellow and 0.1 of log exposure do to L*a*b*.
 *
 * <p>COL-26: slopes of the print's model at the setting, by central difference; good for corrections up to about 10 CC, beyond that COL-23.
 */
public final class ColourSlopes {
    private static final double POINTS = 10;
    private static final double LOG_EXPOSURE = 0.1;
    /** Share of the steps over which the slope is taken, to both sides. */
    private static final double NEAR = 0.1;

    private final double[][] slopes;

    private ColourSlopes(double[][] slopes) {
        this.slopes = slopes;
    }

    /** From three rows (L*, a*, b*) of three columns (+10 CC M, +10 CC Y, +0.1 log exposure), as measured or computed. */
    public static ColourSlopes of(double[][] rows) {
        double[][] copy = new double[3][];
        for (int row = 0; row < 3; row++) {
            copy[row] = rows[row].clone();
        }
        return new ColourSlopes(copy);
    }

    /** About a pack and log10 time of a tone, lamp 3200 K, dichroic filters, usual viewing light. */
    public static ColourSlopes about(Layers negative, FilterPack pack, double logSeconds) {
        FilterShift standing = pack.toShift();
        double[][] steps = {{POINTS, 0, 0}, {0, POINTS, 0}, {0, 0, LOG_EXPOSURE}};
        double[][] slopes = new double[3][3];
        for (int column = 0; column < 3; column++) {
            double[] more = stepped(negative, standing, logSeconds, steps[column], NEAR);
            double[] less = stepped(negative, standing, logSeconds, steps[column], -NEAR);
            for (int row = 0; row < 3; row++) {
                slopes[row][column] = (more[row] - less[row]) / (2 * NEAR);
            }
        }
        return new ColourSlopes(slopes);
    }

    /** A row: 0 L*, 1 a*, 2 b*; a column: 0 magenta, 1 yellow, 2 exposure. */
    public double at(int row, int column) {
        return slopes[row][column];
    }

    /** A change of magenta and yellow in points and of log10 exposure. */
    public record Change(double magenta, double yellow, double logExposure) {}

    /** The change that takes a small difference of looks away; wanted less measured, in L*, a*, b*. */
    public Change forDifference(double lightness, double a, double b) {
        double[] off = {Check.finite("L*", lightness), Check.finite("a*", a), Check.finite("b*", b)};
        try {
            double[] x = Linear3.solve(slopes, off);
            return new Change(POINTS * x[0], POINTS * x[1], LOG_EXPOSURE * x[2]);
        } catch (IllegalArgumentException e) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "slopes", "these slopes say nothing: " + e.getMessage());
        }
    }

    private static double[] stepped(Layers negative, FilterShift pack, double logSeconds, double[] step, double share) {
        FilterShift moved = pack.plus(FilterShift.of(0, step[0] * share, step[1] * share));
        return lab(negative, moved, logSeconds + step[2] * share);
    }

    private static double[] lab(Layers negative, FilterShift pack, double logSeconds) {
        FilterPack p = FilterPack.of(pack.inCyan(), pack.inMagenta(), pack.inYellow());
        Layers x = ColourPaper.logExposure(negative, p, logSeconds, 3200, FilterSet.DICHROIC);
        DyeImage.Appearance seen = new DyeImage(new Layers(
                        ColourPaper.amount(x.red()), ColourPaper.amount(x.green()), ColourPaper.amount(x.blue())))
                .in(ViewingLight.USUAL);
        return new double[] {seen.lightness(), seen.a(), seen.b()};
    }
}
