package keyslate.core.exposure;

import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * The times a timer can be set to: bands of (upper limit, step), in seconds.
 *
 * <p>EXP-08: of the multiples of the step just below and just above, never 0, the nearer one in stops is taken; a tie
 * goes up. The error log2(set/wanted) is reported and never hidden.
 */
public record TimerSteps(List<Band> bands) {
    private static final double FLOAT_GUARD = 1e-9;
    /** Errors in stops that differ by less are the same: a tie must not be decided by the last bit. */
    private static final double TIE = 1e-12;

    /** Steps of {@code stepSeconds} up to and including {@code upToSeconds}. */
    public record Band(double upToSeconds, double stepSeconds) {
        public Band {
            Check.positive("upper limit", upToSeconds, "s");
            Check.positive("timer step", stepSeconds, "s");
        }
    }

    /** What the timer is set to for a wanted time, and the error that makes. */
    public record Setting(ExposureTime time, Stops error) {}

    public TimerSteps {
        bands = List.copyOf(bands);
    }

    /** One step over the whole range of a timer. */
    public static TimerSteps everywhere(double stepSeconds, double longestSeconds) {
        return new TimerSteps(List.of(new Band(longestSeconds, stepSeconds)));
    }

    /** Times to 0.1 s up to 999.9 s, as most digital timers have. */
    public static TimerSteps tenths() {
        return everywhere(0.1, 999.9);
    }

    /** Whether it goes so far. */
    public boolean reaches(ExposureTime wanted) {
        return wanted.inSeconds() <= bands.get(bands.size() - 1).upToSeconds() + FLOAT_GUARD;
    }

    /** The setting nearest to {@code wanted}; refuses a time beyond the last band. */
    public Setting nearest(ExposureTime wanted) {
        double t = wanted.inSeconds();
        double step = bands.stream()
                .filter(b -> t <= b.upToSeconds() + FLOAT_GUARD)
                .findFirst()
                .orElseThrow(() -> Check.outOfRange(
                        "exposure time",
                        "the timer goes to " + bands.get(bands.size() - 1).upToSeconds() + " s, was " + t + " s"))
                .stepSeconds();
        double low = Math.floor(t / step + FLOAT_GUARD);
        double high = low * step >= t - FLOAT_GUARD ? low : low + 1;
        double upError = Math.log(high * step / t) / Math.log(2);
        double downError = low > 0 ? Math.log(low * step / t) / Math.log(2) : Double.NEGATIVE_INFINITY;
        double multiple = Math.abs(downError) < Math.abs(upError) - TIE ? low : high;
        double set = Math.rint(multiple * step * 1e9) / 1e9;
        return new Setting(ExposureTime.ofSeconds(set), Stops.ofFactor(set / t));
    }
}
