package keyslate.core.calibration;

import java.util.List;
import keyslate.core.exposure.LampLag;
import keyslate.core.numeric.LineFit;
import keyslate.core.quantity.Check;

/**
 * Lag and repeatability of a lamp by a meter that adds up light.
 *
 * <p>CAL-01: the light of a burst set to t is E·(t − d). A line through the doses over the set times, each weighed with 1/dose² as a meter errs by a
 * share of what it shows, has the slope E and the intercept −E·d; d's limit follows from both and their covariance. One burst repeats to within
 * the spread about that line.
 */
public record LagReadings(List<Burst> bursts) {
    public static final int LEAST = 6;
    private static final double LEAST_RATIO = 2;
    private static final double SLACK_SECONDS = 0.02;

    /**
     * One burst.
     *
     * @param setSeconds on the timer, 0.5 to 120
     * @param dose what the meter adds up, lx·s or any unit, above 0
     */
    public record Burst(double setSeconds, double dose) {
        private static final double SHORTEST = 0.5;
        private static final double LONGEST = 120;

        public Burst {
            Check.within("set time", setSeconds, SHORTEST, LONGEST, "s");
            Check.positive("dose", dose, "lx s");
        }
    }

    /**
     * What they say.
     *
     * @param lag seconds
     * @param repeats percent by which one burst is off another, one standard deviation of a single burst
     */
    public record Result(Measured lag, double repeats) {}

    public LagReadings {
        bursts = List.copyOf(bursts);
        Check.count("bursts", bursts.size(), LEAST, 100);
        double shortest = bursts.stream().mapToDouble(Burst::setSeconds).min().orElseThrow();
        double longest = bursts.stream().mapToDouble(Burst::setSeconds).max().orElseThrow();
        if (longest < LEAST_RATIO * shortest) {
            throw Check.infeasible(
                    "bursts", "short and long bursts are needed, the long ones at least twice the short");
        }
    }

    /** Lag and repeatability; doses that no lamp with a lag from 0 to 2 s gives are refused. */
    public Result result() {
        double[] set = bursts.stream().mapToDouble(Burst::setSeconds).toArray();
        double[] dose = bursts.stream().mapToDouble(Burst::dose).toArray();
        double[] weight =
                bursts.stream().mapToDouble(b -> 1 / (b.dose() * b.dose())).toArray();
        LineFit line = Lines.through("bursts", set, dose, weight);
        if (line.slope() <= 0) {
            throw Check.infeasible("bursts", "longer bursts gave less light; were two readings changed over?");
        }
        double lag = -line.intercept() / line.slope();
        double limit = line.limit(1 / line.slope(), -line.intercept() / (line.slope() * line.slope()));
        double held = Math.max(0, lag);
        // One reading in forty of a lamp without lag lies below its limit.
        if (lag < -2 * limit - SLACK_SECONDS) {
            throw Check.infeasible("bursts", "short bursts gave more light than long ones for their time");
        }
        // Refuses what is no lag.
        LampLag.ofSeconds(held);
        return new Result(new Measured(held, limit, bursts.size()), 100 * line.spread());
    }

    /** Limit of the lag in stops at a time: log2(1 + limit/T). */
    public static double stopsAt(double limitSeconds, double seconds) {
        return Math.log(1 + limitSeconds / Check.positive("time", seconds, "s")) / Math.log(2);
    }
}
