package keyslate.core.numeric;

/**
 * A smooth curve through points that is nowhere steeper than the points ask for: it rises only where they rise.
 *
 * <p>Piecewise cubic Hermite with the slopes of Fritsch and Butland (1984): m = (w1 + w2)/(w1/d0 + w2/d1), w1 = 2·h1 + h0, w2 = h1 +
 * 2·h0, 0 where the neighbours turn; three-point ends limited in shape. Refuses to extrapolate.
 */
public final class MonotoneCubic {
    private final double[] xs;
    private final double[] ys;
    private final double[] slopes;

    private MonotoneCubic(double[] xs, double[] ys, double[] slopes) {
        this.xs = xs;
        this.ys = ys;
        this.slopes = slopes;
    }

    /** Through at least two points whose x rises strictly. */
    public static MonotoneCubic through(double[] xs, double[] ys) {
        int n = xs.length;
        if (n < 2 || ys.length != n) {
            throw new IllegalArgumentException("two lists of at least two points are needed");
        }
        for (int i = 1; i < n; i++) {
            if (!(xs[i] > xs[i - 1])) {
                throw new IllegalArgumentException("x must rise, point " + i + " does not");
            }
        }
        return new MonotoneCubic(xs.clone(), ys.clone(), slopes(xs, ys));
    }

    public double first() {
        return xs[0];
    }

    public double last() {
        return xs[xs.length - 1];
    }

    /** y at x, which must lie between the first and the last point. */
    public double at(double x) {
        if (!(x >= first() && x <= last())) {
            throw new IllegalArgumentException("x must be from " + first() + " to " + last() + ", was " + x);
        }
        int i = 1;
        while (i < xs.length - 1 && x > xs[i]) {
            i++;
        }
        double h = xs[i] - xs[i - 1];
        double t = (x - xs[i - 1]) / h;
        double a = (1 + 2 * t) * (1 - t) * (1 - t);
        double b = t * (1 - t) * (1 - t);
        double c = t * t * (3 - 2 * t);
        double d = t * t * (t - 1);
        return a * ys[i - 1] + b * h * slopes[i - 1] + c * ys[i] + d * h * slopes[i];
    }

    private static double[] slopes(double[] xs, double[] ys) {
        int n = xs.length;
        double[] h = new double[n - 1];
        double[] d = new double[n - 1];
        for (int i = 0; i < n - 1; i++) {
            h[i] = xs[i + 1] - xs[i];
            d[i] = (ys[i + 1] - ys[i]) / h[i];
        }
        double[] m = new double[n];
        if (n == 2) {
            m[0] = d[0];
            m[1] = d[0];
            return m;
        }
        for (int i = 1; i < n - 1; i++) {
            if (d[i - 1] * d[i] > 0) {
                double w1 = 2 * h[i] + h[i - 1];
                double w2 = h[i] + 2 * h[i - 1];
                m[i] = (w1 + w2) / (w1 / d[i - 1] + w2 / d[i]);
            }
        }
        m[0] = end(h[0], h[1], d[0], d[1]);
        m[n - 1] = end(h[n - 2], h[n - 3], d[n - 2], d[n - 3]);
        return m;
    }

    /** Three-point slope at an end, held to the direction of its interval and to three times its rise. */
    private static double end(double h0, double h1, double d0, double d1) {
        double m = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
        if (m * d0 <= 0) {
            return 0;
        }
        return d0 * d1 <= 0 && Math.abs(m) > 3 * Math.abs(d0) ? 3 * d0 : m;
    }
}
