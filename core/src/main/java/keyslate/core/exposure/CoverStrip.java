package keyslate.core.exposure;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;

/**
 * A strip exposed whole first and then covered patch by patch.
 *
 * <p>EXP-17: burst b_0 = T_0 + d, b_k = T_k − T_(k−1) + d, where T are the totals each patch is to receive and d the
 * lamp's lag. Totals are rounded to the timer first and differenced after, so that the rounding of one patch never
 * builds up in the next.
 *
 * @param patches the patches in order of exposure, shortest total first
 * @param lag the lag that was added to every burst
 */
public record CoverStrip(List<Patch> patches, LampLag lag) {
    /** Bursts shorter than this cannot be given by hand and lamp alike; default, user's own wins. */
    public static final double SHORTEST_BURST_SECONDS = 1.5;

    /**
     * One patch.
     *
     * @param total what it receives in all, after rounding
     * @param burst what the timer is set to for the burst that ends with this patch being covered
     * @param roundingError log2(total / wanted total)
     * @param tooShort whether the burst is under the shortest burst asked for
     */
    public record Patch(ExposureTime total, ExposureTime burst, Stops roundingError, boolean tooShort) {}

    public CoverStrip {
        patches = List.copyOf(patches);
    }

    /** Plans a strip of at least two rising totals. */
    public static CoverStrip plan(
            List<ExposureTime> wanted, TimerSteps timer, LampLag lag, double shortestBurstSeconds) {
        Check.notNegative("shortest burst", shortestBurstSeconds, "s");
        if (wanted.size() < 2) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "patches", "a strip needs at least two patches");
        }
        List<Patch> patches = new ArrayList<>();
        double before = 0;
        for (ExposureTime want : wanted) {
            TimerSteps.Setting setting = timer.nearest(want);
            double step = setting.time().inSeconds() - before;
            if (step <= 0) {
                throw Check.outOfRange(
                        "step", "each patch must get more light than the one before; make the step larger");
            }
            ExposureTime burst = ExposureTime.ofSeconds(clean(step + lag.inSeconds()));
            boolean tooShort = burst.inSeconds() < shortestBurstSeconds;
            patches.add(new Patch(setting.time(), burst, setting.error(), tooShort));
            before = setting.time().inSeconds();
        }
        return new CoverStrip(patches, lag);
    }

    /**
     * What the patches of a strip really received when nobody allowed for the lag: every burst gave d less. Error of each in stops,
     * negative = too little.
     */
    public static List<Stops> errorsWithoutCompensation(List<ExposureTime> totals, LampLag lag) {
        List<Stops> errors = new ArrayList<>();
        double before = 0;
        double received = 0;
        for (ExposureTime total : totals) {
            double burst = Check.positive("step", total.inSeconds() - before, "s");
            received += lag.receivedSeconds(ExposureTime.ofSeconds(burst));
            errors.add(ExposureTime.ofSeconds(received).stopsFrom(total));
            before = total.inSeconds();
        }
        return errors;
    }

    /** The sum of all set bursts, seconds. */
    public double totalSetSeconds() {
        return clean(patches.stream().mapToDouble(p -> p.burst().inSeconds()).sum());
    }

    private static double clean(double seconds) {
        return Math.rint(seconds * 1e9) / 1e9;
    }
}
