package keyslate.core.darkroom;

import java.util.SplittableRandom;

/**
 * A simulated light meter at the board: errs by a share of what it shows, and shows three digits; the same for the same seed.
 *
 * <p>DRK-11: shown = round3(true · (1 + error)), error of {@value #SPREAD} one standard deviation.
 */
public final class SimulatedMeter {
    static final double SPREAD = 0.007;
    private static final double DIGITS = 100;

    private final SplittableRandom random;

    public SimulatedMeter(long seed) {
        random = new SplittableRandom(seed);
    }

    /** What it shows of light, lx or lx·s, above 0. */
    public double shows(double light) {
        double read = light * (1 + SPREAD * random.nextGaussian());
        double unit = Math.pow(10, Math.floor(Math.log10(read))) / DIGITS;
        return Math.rint(read / unit) * unit;
    }
}
