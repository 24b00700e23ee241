package keyslate.core.numeric;

import java.util.Arrays;

/**
 * A straight line through readings, y = a + b·x by weighted least squares, with how sure it is by the readings' own spread.
 *
 * @param intercept a; {@code slope} b
 * @param interceptVariance of a, {@code slopeVariance} of b, {@code covariance} of both
 * @param freedom readings less two
 * @param spread one standard deviation of a reading of weight 1
 */
public record LineFit(
        double intercept,
        double slope,
        double interceptVariance,
        double slopeVariance,
        double covariance,
        int freedom,
        double spread) {
    private static final int LEAST_READINGS = 3;
    private static final double SAME = 1e-12;

    /** Through points of one and the same weight. */
    public static LineFit of(double[] x, double[] y) {
        double[] weights = new double[x.length];
        Arrays.fill(weights, 1);
        return of(x, y, weights);
    }

    /**
     * Through points that each have a weight, 1/variance but for a factor.
     *
     * @param x at two places at least; as many as {@code y} and {@code weights}, at least three
     */
    public static LineFit of(double[] x, double[] y, double[] weights) {
        if (x.length < LEAST_READINGS) {
            throw new IllegalArgumentException("three points at least, was " + x.length);
        }
        double w = 0;
        double meanX = 0;
        double meanY = 0;
        for (int i = 0; i < x.length; i++) {
            w += weights[i];
            meanX += weights[i] * x[i];
            meanY += weights[i] * y[i];
        }
        meanX /= w;
        meanY /= w;
        double squares = 0;
        double products = 0;
        for (int i = 0; i < x.length; i++) {
            squares += weights[i] * (x[i] - meanX) * (x[i] - meanX);
            products += weights[i] * (x[i] - meanX) * (y[i] - meanY);
        }
        if (squares < SAME * w * Math.max(1, meanX * meanX)) {
            throw new IllegalArgumentException("all points lie at one place; a line needs two");
        }
        double slope = products / squares;
        double intercept = meanY - slope * meanX;
        double rest = 0;
        for (int i = 0; i < x.length; i++) {
            double off = y[i] - intercept - slope * x[i];
            rest += weights[i] * off * off;
        }
        int freedom = x.length - 2;
        double variance = rest / freedom;
        return new LineFit(
                intercept,
                slope,
                variance * (1 / w + meanX * meanX / squares),
                variance / squares,
                -variance * meanX / squares,
                freedom,
                Math.sqrt(variance));
    }

    /** y on the line. */
    public double at(double x) {
        return intercept + slope * x;
    }

    /** The 95 % limit of a figure c_a·a + c_b·b by its coefficients. */
    public double limit(double ofIntercept, double ofSlope) {
        double variance = ofIntercept * ofIntercept * interceptVariance
                + ofSlope * ofSlope * slopeVariance
                + 2 * ofIntercept * ofSlope * covariance;
        return StudentT.limit(freedom) * Math.sqrt(Math.max(0, variance));
    }
}
