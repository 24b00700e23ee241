package keyslate.core.picture;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import keyslate.core.numeric.Bisection;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * The time with which a tone gets the density that is wanted, from its densities in patches of a test.
 *
 * <p>REA-22: the paper's curve at this light, its gradient free within {@value #GRADIENT} (one standard deviation), is laid through (log t, D) with the least squares; each
 * density counts by its own spread and a share of itself. The limit is that of the fit, widened where the points lie off it by more than they should. Derived in
 * docs/formulas/reading.md.
 *
 * @param time with which the tone has the wanted density
 * @param limit 95 %
 * @param reaches whether a patch shows the tone darker than wanted and one lighter, or one within two thirds of a stop of it
 */
public record ToneTime(ExposureTime time, Stops limit, boolean reaches) {
    private static final double GRADIENT = 0.05;
    /** What calibration and flare may do to a density: a floor, and a share of it. */
    private static final double LEAST_SPREAD = 0.01;

    private static final double SHARE = 0.02;
    private static final double NEAR = 2.0 / 3;
    private static final double STOP = Math.log10(2);
    private static final int ROUNDS = 30;
    private static final double STEP = 1e-4;
    private static final double HIGHEST_LOG = 4;

    /**
     * A tone in a patch.
     *
     * @param time the patch received
     * @param net its density over paper white
     * @param spread one standard deviation
     */
    public record Seen(ExposureTime time, double net, double spread) {
        private double logSeconds() {
            return Math.log10(time.inSeconds());
        }
    }

    /**
     * From what is seen of one tone.
     *
     * @param curve net density at log10 exposure, rising; where its zero lies does not matter
     * @param seen one at least
     * @param wantedNet within what the curve reaches
     */
    public static ToneTime of(DoubleUnaryOperator curve, List<Seen> seen, double wantedNet) {
        Check.count("patches", seen.size(), 1, 1000);
        double wanted = logFor(curve, wantedNet);
        double log = start(curve, seen, wanted);
        double gradient = 1;
        double[][] normal = new double[2][2];
        double misfit = 0;
        for (int round = 0; round < ROUNDS; round++) {
            normal = new double[][] {{0, 0}, {0, 1 / (GRADIENT * GRADIENT)}};
            double[] right = {0, (1 - gradient) / (GRADIENT * GRADIENT)};
            misfit = 0;
            for (Seen s : seen) {
                double x = wanted + gradient * (s.logSeconds() - log);
                double slope = (curve.applyAsDouble(x + STEP) - curve.applyAsDouble(x - STEP)) / (2 * STEP);
                double spread = spread(s);
                double off = (s.net() - curve.applyAsDouble(x)) / spread;
                double[] row = {-gradient * slope / spread, slope * (s.logSeconds() - log) / spread};
                for (int i = 0; i < 2; i++) {
                    for (int j = 0; j < 2; j++) {
                        normal[i][j] += row[i] * row[j];
                    }
                    right[i] += row[i] * off;
                }
                misfit += off * off;
            }
            normal[0][0] += 1e-9;
            double determinant = normal[0][0] * normal[1][1] - normal[0][1] * normal[1][0];
            double move = (right[0] * normal[1][1] - right[1] * normal[0][1]) / determinant;
            double bend = (right[1] * normal[0][0] - right[0] * normal[1][0]) / determinant;
            log += Math.max(-0.3, Math.min(0.3, move));
            gradient = Math.max(0.7, Math.min(1.4, gradient + bend));
        }
        double determinant = normal[0][0] * normal[1][1] - normal[0][1] * normal[1][0];
        double variance = normal[1][1] / determinant * Math.max(1, misfit / Math.max(1, seen.size() - 1));
        return new ToneTime(
                ExposureTime.ofSeconds(Math.pow(10, log)),
                Stops.of(Math.min(10, 2 * Math.sqrt(variance) / STOP)),
                reaches(curve, seen, wantedNet, log));
    }

    private static double spread(Seen s) {
        return Math.hypot(Math.hypot(LEAST_SPREAD, s.spread()), SHARE * Math.max(0, s.net()));
    }

    private static double logFor(DoubleUnaryOperator curve, double net) {
        if (net <= curve.applyAsDouble(-HIGHEST_LOG) || net >= curve.applyAsDouble(HIGHEST_LOG)) {
            throw Check.outOfRange("density", "this paper does not reach the density that is wanted");
        }
        return Bisection.solve(curve, net, -HIGHEST_LOG, HIGHEST_LOG, 60);
    }

    /** Where the patches are met best, by the straight curve, looked for in sixths of a stop. */
    private static double start(DoubleUnaryOperator curve, List<Seen> seen, double wanted) {
        double first = seen.stream().mapToDouble(s -> s.logSeconds()).min().orElseThrow() - 3;
        double last = seen.stream().mapToDouble(s -> s.logSeconds()).max().orElseThrow() + 3;
        double best = first;
        double least = Double.POSITIVE_INFINITY;
        for (double log = first; log <= last; log += STOP / 6) {
            double misses = 0;
            for (Seen s : seen) {
                double off = (s.net() - curve.applyAsDouble(wanted + s.logSeconds() - log)) / spread(s);
                misses += off * off;
            }
            if (misses < least) {
                least = misses;
                best = log;
            }
        }
        return best;
    }

    private static boolean reaches(DoubleUnaryOperator curve, List<Seen> seen, double wantedNet, double log) {
        boolean lighter = seen.stream().anyMatch(s -> s.net() <= wantedNet);
        boolean darker = seen.stream().anyMatch(s -> s.net() >= wantedNet);
        return lighter && darker || seen.stream().anyMatch(s -> Math.abs(s.logSeconds() - log) < STOP * NEAR);
    }
}
