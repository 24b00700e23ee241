package keyslate.core.colour;

import java.util.List;
import keyslate.core.colour.PackTimes.Following;
import keyslate.core.numeric.LeastSquares;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;

/**
 * The factors of COL-35 by sheets.
 *
 * <p>COL-36: each pair of sheets that came out as dark gives 100·log10(t2/t1) = kC·ΔC + kM·ΔM + kY·ΔY, with an error of 1/12 stop (95 %) in telling them alike; least squares, the defaults with their limits as what is
 * known before. What no pair moved stays as open as it was.
 */
public final class PackTimesFit {
    /** Of telling two greys alike, 95 %. */
    private static final Stops ALIKE = Stops.of(1.0 / 12);

    private static final double POINTS = 100;
    private static final int MOST_PAIRS = 40;
    private static final double LEAST_POINTS = 5;

    private PackTimesFit() {}

    /** Two sheets of one negative that came out as dark. */
    public record Pair(FilterPack pack, ExposureTime time, FilterPack other, ExposureTime otherTime) {
        public Pair {
            FilterShift by = other.toShift().minus(pack.toShift());
            double most = Math.max(Math.abs(by.inCyan()), Math.max(Math.abs(by.inMagenta()), Math.abs(by.inYellow())));
            if (most < LEAST_POINTS) {
                throw Check.outOfRange("pack", "two packs of a pair lie 5 points apart at least");
            }
        }

        private double[] points() {
            FilterShift by = other.toShift().minus(pack.toShift());
            return new double[] {by.inCyan(), by.inMagenta(), by.inYellow()};
        }

        private double log() {
            return POINTS * Math.log10(otherTime.inSeconds() / time.inSeconds());
        }
    }

    /**
     * What was found.
     *
     * @param limits 95 %, of cyan, magenta and yellow
     */
    public record Found(PackTimes times, Layers limits) {}

    /** From 1 to 40 pairs. */
    public static Found of(List<Pair> pairs, Following following) {
        Check.count("pairs", pairs.size(), 1, MOST_PAIRS);
        double known = PackTimes.USUAL_LIMIT / 2;
        double told = POINTS * Math.log10(ALIKE.toFactor()) / 2;
        PackTimes usual = PackTimes.USUAL;
        LeastSquares rows = new LeastSquares(3);
        rows.add(new double[] {1, 0, 0}, usual.cyan(), known);
        rows.add(new double[] {0, 1, 0}, usual.magenta(), known);
        rows.add(new double[] {0, 0, 1}, usual.yellow(), known);
        for (Pair pair : pairs) {
            rows.add(pair.points(), pair.log(), told);
        }
        LeastSquares.Solution solution = rows.solve();
        double[] k = solution.figures();
        double[][] covariance = solution.covariance();
        return new Found(
                new PackTimes(k[0], k[1], k[2], following),
                new Layers(limit(covariance[0][0]), limit(covariance[1][1]), limit(covariance[2][2])));
    }

    private static double limit(double variance) {
        return 2 * Math.sqrt(variance);
    }
}
