package keyslate.core.colour;

import keyslate.core.numeric.Linear3;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;

/**
 * The pack and time that print a tone of the negative as a wanted colour, and the correction of a print that is not.
 *
 * @param pack the smallest pack without a filter below 0
 * @param time the time with it
 */
public record ColourBalance(FilterPack pack, ExposureTime time) {
    private static final double LEAST_COMMAND = 0.03;
    private static final double LEAST_GAIN = 0.4;
    private static final double MOST_GAIN = 2.5;
    private static final double CUBE_LIMIT = 216.0 / 24389;

    /**
     * COL-22: the wanted colour to dyes (COL-21), dyes to log exposures (inverse of COL-12), then time, magenta and yellow from three equations; where a filter
     * would fall below 0, cyan is raised with whatever time, magenta and yellow keep every layer, by the least amount.
     *
     * @param negative printing densities of the tone
     * @param visualDensity neutral density it is to print at, above 0.06
     */
    public static ColourBalance of(Layers negative, double visualDensity, double kelvin, FilterSet set) {
        double lightness = lightnessOf(visualDensity);
        DyeImage wanted = DyeImage.looking(lightness, 0, 0, ViewingLight.USUAL);
        Layers zero = ColourPaper.logExposure(negative, FilterPack.of(0, 0, 0), 0, kelvin, set);
        double[] missing = new double[3];
        for (int l = 0; l < 3; l++) {
            missing[l] = ColourPaper.logExposureFor(wanted.amounts().at(l)) - zero.at(l);
        }
        double[] found = Linear3.solve(matrix(set), missing);
        return finish(0, found[1], found[2], found[0], set);
    }

    /** L* of a neutral of a visual density, 0.06 to 2.5. */
    public static double lightnessOf(double visualDensity) {
        double y = Math.pow(10, -Check.within("density", visualDensity, 0.06, 2.5, ""));
        return y > CUBE_LIMIT ? 116 * Math.cbrt(y) - 16 : 24389.0 / 27 * y;
    }

    /**
     * COL-23: the correction from what a print looks like: log exposures by the inverse curve for both colours, their difference to time,
     * magenta and yellow. Through the curve, so large errors are corrected as well as small ones.
     */
    public static ColourBalance corrected(
            DyeImage measured, DyeImage wanted, FilterPack pack, ExposureTime time, FilterSet set) {
        double[] change = change(measured, wanted, set);
        return finish(
                pack.inCyan(),
                pack.inMagenta() + change[1],
                pack.inYellow() + change[2],
                Math.log10(time.inSeconds()) + change[0],
                set);
    }

    /** The change of COL-23 before the pack is made whole: log10 of the factor of time, magenta and yellow in points. */
    public static double[] change(DyeImage measured, DyeImage wanted, FilterSet set) {
        return Linear3.solve(matrix(set), ofLayers(measured, wanted));
    }

    /** By how much more each layer is to be exposed, log10. */
    static double[] ofLayers(DyeImage measured, DyeImage wanted) {
        double[] dx = new double[3];
        for (int l = 0; l < 3; l++) {
            dx[l] = ColourPaper.logExposureFor(wanted.amounts().at(l))
                    - ColourPaper.logExposureFor(measured.amounts().at(l));
        }
        return dx;
    }

    /** A print that was made: how it looks, with which pack and time. */
    public record Printed(DyeImage look, FilterPack pack, ExposureTime time) {}

    /** A correction that has learned from the last one, with the gain found in each layer. */
    public record Learned(ColourBalance balance, Layers gains) {}

    /**
     * COL-25: from the second print on: in each layer the gain is what the last correction did over what it was to do (when that was more than 0.03 in log
     * exposure; held to 0.4 to 2.5), and the new correction is divided by it. Takes in a paper of another gradient and a dial that is
     * off.
     */
    public static Learned correctedBySecant(Printed before, Printed now, DyeImage wanted, FilterSet set) {
        double[] dx = new double[3];
        double[] gains = new double[3];
        double logTime = Math.log10(now.time().inSeconds() / before.time().inSeconds());
        for (int l = 0; l < 3; l++) {
            double reached = ColourPaper.logExposureFor(now.look().amounts().at(l));
            double commanded = logTime - set.layerDensity(now.pack(), l) + set.layerDensity(before.pack(), l);
            double read =
                    reached - ColourPaper.logExposureFor(before.look().amounts().at(l));
            gains[l] = Math.abs(commanded) > LEAST_COMMAND
                    ? Math.max(LEAST_GAIN, Math.min(MOST_GAIN, read / commanded))
                    : 1;
            dx[l] = (ColourPaper.logExposureFor(wanted.amounts().at(l)) - reached) / gains[l];
        }
        double[] change = Linear3.solve(matrix(set), dx);
        FilterPack pack = now.pack();
        ColourBalance next = finish(
                pack.inCyan(),
                pack.inMagenta() + change[1],
                pack.inYellow() + change[2],
                Math.log10(now.time().inSeconds()) + change[0],
                set);
        return new Learned(next, Layers.of(gains));
    }

    /** Log exposure of each layer for a change of log time, of a point of magenta and of a point of yellow. */
    private static double[][] matrix(FilterSet set) {
        double[][] m = new double[3][3];
        for (int l = 0; l < 3; l++) {
            m[l][0] = 1;
            m[l][1] = -set.layerDensity(FilterPack.of(0, 1, 0), l);
            m[l][2] = -set.layerDensity(FilterPack.of(0, 0, 1), l);
        }
        return m;
    }

    private static ColourBalance finish(double cyan, double magenta, double yellow, double logTime, FilterSet set) {
        double[] byCyan = new double[3];
        for (int l = 0; l < 3; l++) {
            byCyan[l] = set.layerDensity(FilterPack.of(1, 0, 0), l);
        }
        // What log time, magenta and yellow must do so that a point of cyan changes no layer.
        double[] v = Linear3.solve(matrix(set), byCyan);
        double raise = Math.max(-cyan, Math.max(-magenta / v[1], -yellow / v[2]));
        FilterPack pack =
                FilterPack.of(whole(cyan + raise), whole(magenta + raise * v[1]), whole(yellow + raise * v[2]));
        return new ColourBalance(pack, ExposureTime.ofSeconds(Math.pow(10, logTime + raise * v[0])));
    }

    /** A filter that is 0 but for rounding. */
    private static double whole(double points) {
        return Math.abs(points) < 1e-9 ? 0 : points;
    }
}
