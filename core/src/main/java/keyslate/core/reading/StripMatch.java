package keyslate.core.reading;

import java.util.List;
import keyslate.core.curve.StripCurve;
import keyslate.core.numeric.Bisection;
import keyslate.core.numeric.Isotonic;
import keyslate.core.numeric.MonotoneCubic;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;

/**
 * The time that gives a wanted density, from the densities of a strip.
 *
 * <p>REA-07: densities made to rise, then in (log t, D) straight between the patches or by monotone cubic, which errs by 0.032 against 0.128 stop on
 * half-stop strips and is preferred. A density off the strip is refused: make it longer; so is one where the strip is flat (under 0.05 D per log exposure).
 *
 * @param time the time
 * @param segment the patch below it, from 0
 * @param weight how far towards the next, 0 to 1, in log time
 */
public record StripMatch(ExposureTime time, int segment, double weight) {
    /** Density per log exposure under which a piece of a strip is noise; a print's toe at D 0.04 has ten times as much. */
    private static final double FLATTEST = 0.05;

    /** How to read between two patches. */
    public enum Between {
        LINEAR,
        PCHIP
    }

    /** For rising times with the density of each patch. */
    public static StripMatch at(List<ExposureTime> times, double[] densities, double wanted, Between between) {
        double[] logs = StripCurve.logTimes(times, densities);
        double[] rising = Isotonic.rising(densities);
        int last = logs.length - 1;
        Check.finite("density", wanted);
        if (wanted < rising[0] - 1e-12 || wanted > rising[last] + 1e-12) {
            throw Check.outOfRange(
                    "density",
                    "the strip does not reach this density: make a " + (wanted > rising[last] ? "longer" : "shorter")
                            + " one");
        }
        int i = 0;
        while (i < last - 1 && wanted > rising[i + 1]) {
            i++;
        }
        double log = between == Between.LINEAR
                ? linear(logs, rising, i, wanted)
                : Bisection.solve(MonotoneCubic.through(logs, rising)::at, wanted, logs[i], logs[i + 1]);
        if ((rising[i + 1] - rising[i]) / (logs[i + 1] - logs[i]) < FLATTEST) {
            throw Check.infeasible("density", "the strip is flat at this density and tells no time for it");
        }
        double weight = (log - logs[i]) / (logs[i + 1] - logs[i]);
        return new StripMatch(ExposureTime.ofSeconds(Math.pow(10, log)), i, weight);
    }

    /** The patch nearest to the time. */
    public int nearest() {
        return weight <= 0.5 ? segment : segment + 1;
    }

    private static double linear(double[] logs, double[] rising, int i, double wanted) {
        double step = rising[i + 1] - rising[i];
        double w = step == 0 ? 0 : Math.max(0, Math.min(1, (wanted - rising[i]) / step));
        return logs[i] + w * (logs[i + 1] - logs[i]);
    }

    /**
     * What the paper does over a whole strip.
     *
     * @param isoRange R = 100·log10(t_shadow/t_high); {@code high} the time for 0.04 above white, {@code shadow} for 0.9 of the range
     */
    public record Range(double isoRange, ExposureTime high, ExposureTime shadow) {}

    /** REA-08: R read off the strip itself by monotone cubic; the right way for variable-contrast paper, whose curve is no logistic. */
    public static Range isoRange(List<ExposureTime> times, double[] densities, double white, double black) {
        if (black <= white) {
            throw Check.outOfRange("black", "the black must be denser than the white");
        }
        ExposureTime high = at(times, densities, white + 0.04, Between.PCHIP).time();
        ExposureTime shadow = at(times, densities, white + 0.9 * (black - white), Between.PCHIP)
                .time();
        return new Range(100 * Math.log10(shadow.inSeconds() / high.inSeconds()), high, shadow);
    }
}
