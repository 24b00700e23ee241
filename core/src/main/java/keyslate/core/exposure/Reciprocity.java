package keyslate.core.exposure;

import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;

/**
 * How paper loses speed in long exposures (Schwarzschild).
 *
 * <p>EXP-21: actual = metered up to t0, beyond it t0·(metered/t0)^(1/p); the inverse is t0·(actual/t0)^p. Papers lie near p 0.9
 * to 1 and scatter, so 1 (no loss) is the default. A rule "c stops more for each decade" is the same with p = 1/(1 + 0.301·c).
 *
 * @param exponent p, 0.7 to 1
 * @param fromSeconds t0 from which it acts, above 0
 */
public record Reciprocity(double exponent, double fromSeconds) {
    /** No loss at all. */
    public static final Reciprocity NONE = new Reciprocity(1, 1);

    public Reciprocity {
        Check.within("reciprocity exponent", exponent, 0.7, 1, "");
        Check.positive("start of reciprocity failure", fromSeconds, "s");
    }

    /** The time to give for one that would do without the loss. Example: 100 s at p 0.95 is 127.4 s. */
    public ExposureTime actual(ExposureTime metered) {
        double t = metered.inSeconds();
        return ExposureTime.ofSeconds(t <= fromSeconds ? t : fromSeconds * Math.pow(t / fromSeconds, 1 / exponent));
    }

    /** The time without the loss that {@code actual} is worth. */
    public ExposureTime metered(ExposureTime actual) {
        double t = actual.inSeconds();
        return ExposureTime.ofSeconds(t <= fromSeconds ? t : fromSeconds * Math.pow(t / fromSeconds, exponent));
    }

    /** EXP-22: the time for {@code factor} times the light, R(factor·R⁻¹(t)); composes exactly. */
    public ExposureTime scaled(ExposureTime time, double factor) {
        return actual(metered(time).times(Check.positive("factor", factor, "")));
    }

    /**
     * EXP-23: what bursts together are worth as one exposure without loss, (1 − κ)·R⁻¹(Σt) + κ·ΣR⁻¹(t); κ 0 = they act as one, 1 =
     * each for itself. Between the two lies what is not known of intermittent exposures.
     */
    public double worthSeconds(List<ExposureTime> bursts, double independence) {
        Check.within("independence of the bursts", independence, 0, 1, "");
        double sum = bursts.stream().mapToDouble(ExposureTime::inSeconds).sum();
        double apart = bursts.stream().mapToDouble(b -> metered(b).inSeconds()).sum();
        return (1 - independence) * metered(ExposureTime.ofSeconds(sum)).inSeconds() + independence * apart;
    }
}
