package keyslate.core.calibration;

import keyslate.core.numeric.LineFit;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.size.ThinLens;

/**
 * Which size a reading of the column is with one lens, and which reading a size needs (CAL-05).
 *
 * @param focal the lens's focal length as measured
 * @param begins what the scale would show with film and paper in one plane, mm
 * @param beginsVariance of that, {@code focalVariance} of the focal length, {@code covariance} of both, mm²
 * @param freedom heights less two
 */
public record ColumnScale(
        Length focal, double begins, double beginsVariance, double focalVariance, double covariance, int freedom) {
    public ColumnScale {
        Check.positive("focal length", focal.inMm(), "mm");
        Check.finite("begin of the scale", begins);
        Check.notNegative("variance", beginsVariance, "mm²");
        Check.notNegative("variance", focalVariance, "mm²");
        Check.finite("covariance", covariance);
        Check.count("degrees of freedom", freedom, 1, 100);
    }

    /** What the scale shows when a print is so large and sharp, mm. */
    public Measured reading(Magnification m) {
        double x = 2 + m.inTimes() + 1 / m.inTimes();
        return new Measured(line().at(x), line().limit(1, x), freedom + 2);
    }

    /** How large a sharp print is at a reading, times; below the lowest place with a sharp picture: refused. */
    public Measured magnification(double reading) {
        Magnification m = new ThinLens(focal).magnificationAt(Length.ofMm(reading - begins), Length.ofMm(0));
        double times = m.inTimes();
        double x = 2 + times + 1 / times;
        // dm/dreading = 1 / (f·(1 − 1/m²)); the reading's own limit carried through.
        double slope = focal.inMm() * Math.max(SHALLOWEST, 1 - 1 / (times * times));
        return new Measured(times, line().limit(1, x) / slope, freedom + 2);
    }

    /** Near 1 : 1 the size hardly follows the height. */
    private static final double SHALLOWEST = 0.05;

    private LineFit line() {
        return new LineFit(begins, focal.inMm(), beginsVariance, focalVariance, covariance, freedom, 0);
    }
}
