package keyslate.core.curve;

import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;

/**
 * A logistic curve through the densities of a strip on fixed-grade paper.
 *
 * <p>REA-09: q = (D − white)/(black − white), log10(q/(1 − q)) = s·(log10 t − x0), weighted by (q(1 − q))², patches with 0.02 &lt; q &lt; 0.98. It
 * overstates R of variable-contrast paper (144 for a true 110): see {@code StripMatch.isoRange} in the package reading.
 *
 * @param steepness s
 * @param midLogTime x0, log10 of the time for half the range
 * @param midGradient density per log exposure at the middle, ln10·s·(black − white)/4
 * @param isoRange R of the logistic
 * @param rms root mean square of what is left over all patches, density
 * @param used how many patches were used
 */
public record StripCurve(
        double steepness, double midLogTime, double midGradient, double isoRange, double rms, int used) {
    private static final double LEAST_SHARE = 0.02;
    private static final double HIGHLIGHT_NET = 0.04;
    private static final double SHADOW_SHARE = 0.9;

    public static StripCurve of(List<ExposureTime> times, double[] densities, double white, double black) {
        double[] logs = logTimes(times, densities);
        double range = Check.positive("range of the paper", black - white, "");
        double w = 0;
        double wx = 0;
        double wy = 0;
        double wxx = 0;
        double wxy = 0;
        int used = 0;
        for (int i = 0; i < logs.length; i++) {
            double q = (Check.within("density", densities[i], white - 0.05, black + 0.05, "") - white) / range;
            if (!counts(q)) {
                continue;
            }
            double weight = q * (1 - q) * q * (1 - q);
            double y = logit(q);
            w += weight;
            wx += weight * logs[i];
            wy += weight * y;
            wxx += weight * logs[i] * logs[i];
            wxy += weight * logs[i] * y;
            used++;
        }
        double spread = w * wxx - wx * wx;
        if (used < 2 || spread < 1e-15) {
            throw Check.infeasible("strip", "too few patches lie between white and black");
        }
        double s = (w * wxy - wx * wy) / spread;
        double x0 = wx / w - wy / w / s;
        double squares = 0;
        for (int i = 0; i < logs.length; i++) {
            double left = densities[i] - white - range / (1 + Math.pow(10, -s * (logs[i] - x0)));
            squares += left * left;
        }
        double isoRange = 100 * (logit(SHADOW_SHARE) - logit(HIGHLIGHT_NET / range)) / s;
        return new StripCurve(s, x0, Math.log(10) * s * range / 4, isoRange, Math.sqrt(squares / logs.length), used);
    }

    private static boolean counts(double q) {
        return q > LEAST_SHARE && q < 1 - LEAST_SHARE;
    }

    private static double logit(double q) {
        return Math.log10(q / (1 - q));
    }

    /** log10 of the times of a strip; refused unless they rise and there is a density for each. */
    public static double[] logTimes(List<ExposureTime> times, double[] densities) {
        if (times.size() < 2 || times.size() != densities.length) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE,
                    "strip",
                    "a strip needs at least two patches with their densities");
        }
        double[] logs = new double[times.size()];
        for (int i = 0; i < logs.length; i++) {
            logs[i] = Math.log10(times.get(i).inSeconds());
            Check.finite("density", densities[i]);
            if (i > 0 && logs[i] <= logs[i - 1]) {
                throw Check.outOfRange("times", "each patch must get more light than the one before");
            }
        }
        return logs;
    }
}
