package keyslate.core.exposure;

import java.util.List;
import keyslate.core.numeric.Bisection;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;

/**
 * The dead time of a lamp: how much less light a burst gives than its set time says.
 *
 * <p>Constant-lag form (EXP-09), for bursts long against the lamp's rise: received = set − d. Below about 1 s a filament
 * also drifts in colour, so short bursts are to be avoided.
 *
 * @param inSeconds d, 0 to 2 s
 */
public record LampLag(double inSeconds) {
    public static final LampLag NONE = new LampLag(0);

    public LampLag {
        Check.notNegative("lamp lag", inSeconds, "s");
        inSeconds = Check.within("lamp lag", inSeconds, 0, 2, "s");
    }

    public static LampLag ofSeconds(double seconds) {
        return new LampLag(seconds);
    }

    /**
     * EXP-10: d = (n·t − T)/(n − 1) when {@code bursts} bursts of {@code burst} match one exposure {@code single}.
     * Example: 10 bursts of 1 s match 9.1 s, so d = 0.1 s. A lag as long as the burst is refused.
     */
    public static LampLag fromTest(int bursts, ExposureTime burst, ExposureTime single) {
        Check.count("number of bursts", bursts, 2, 100);
        double lag = (bursts * burst.inSeconds() - single.inSeconds()) / (bursts - 1);
        if (lag >= burst.inSeconds()) {
            throw Check.infeasible(
                    "lamp lag", "with a lag as long as the burst no light would have come: the two do not match");
        }
        return new LampLag(lag);
    }

    /** The seconds of full light that a burst set to {@code set} gives, 0 when it is shorter than the lag. */
    public double receivedSeconds(ExposureTime set) {
        return Math.max(0, set.inSeconds() - inSeconds);
    }

    /** What to set so that the paper receives {@code received}. */
    public ExposureTime toSet(ExposureTime received) {
        return ExposureTime.ofSeconds(received.inSeconds() + inSeconds);
    }

    /** EXP-11: the one burst that gives as much light as {@code bursts} bursts of {@code burst}: n·(t − d) + d. */
    public ExposureTime oneBurstFor(int bursts, ExposureTime burst) {
        Check.count("number of bursts", bursts, 1, 100);
        double received = bursts * (burst.inSeconds() - inSeconds);
        if (received <= 0) {
            throw Check.infeasible("burst", "a burst shorter than the lag of the lamp gives no light");
        }
        return toSet(ExposureTime.ofSeconds(received));
    }

    /** What several bursts give together, each less the lag; refused when that is nothing. */
    public double receivedSeconds(List<ExposureTime> bursts) {
        double sum = bursts.stream().mapToDouble(this::receivedSeconds).sum();
        return Check.positive("light received", sum, "s");
    }

    /**
     * EXP-12: light of a first-order lamp, E(t) = t − (a − b)(1 − e^(−t/a)), in seconds of full light; a = rise, b =
     * afterglow time constant, seconds. For t far above a this is t − (a − b).
     */
    public static double firstOrderReceivedSeconds(double setSeconds, double riseSeconds, double afterglowSeconds) {
        Check.notNegative("set time", setSeconds, "s");
        Check.notNegative("lamp rise", riseSeconds, "s");
        Check.notNegative("lamp afterglow", afterglowSeconds, "s");
        if (riseSeconds == 0) {
            return setSeconds == 0 ? 0 : setSeconds + afterglowSeconds;
        }
        return setSeconds - (riseSeconds - afterglowSeconds) * (1 - Math.exp(-setSeconds / riseSeconds));
    }

    /** The inverse of EXP-12 by bisection. */
    public static ExposureTime firstOrderToSet(ExposureTime received, double riseSeconds, double afterglowSeconds) {
        double high = received.inSeconds() + 2 * riseSeconds + 1;
        return ExposureTime.ofSeconds(Bisection.solve(
                t -> firstOrderReceivedSeconds(t, riseSeconds, afterglowSeconds), received.inSeconds(), 0, high));
    }
}
