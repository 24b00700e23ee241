package keyslate.core.reading;

import java.util.function.DoubleFunction;
import keyslate.core.numeric.Bisection;
import keyslate.core.quantity.Stops;

/**
 * The speed of the paper in hand, learned from the scan of a sheet whose exposure is on record.
 *
 * <p>REA-01: the offset s at which the computed sheet has the mean density of the scanned one. More light never makes a
 * sheet lighter, so bisection finds it. What it learns is everything that acts like speed: batch, developer, lamp, scan.
 */
public final class PaperMatch {
    /** Farthest offset looked for; at this end the sheet tells nothing but "far off". */
    public static final double FARTHEST_STOPS = 3;

    private static final int HALVINGS = 18;

    private PaperMatch() {}

    /**
     * Finds the offset.
     *
     * @param meanDensityAt the mean density computed for an offset in stops
     * @param measuredMeanDensity the mean density of the scan
     * @return the offset in stops, positive = faster than assumed, within ±{@value #FARTHEST_STOPS}
     */
    public static Stops speedOffset(DoubleFunction<Double> meanDensityAt, double measuredMeanDensity) {
        return Stops.of(Bisection.solve(
                s -> meanDensityAt.apply(s), measuredMeanDensity, -FARTHEST_STOPS, FARTHEST_STOPS, HALVINGS));
    }
}
