package keyslate.core.trial.world;

import java.util.List;
import java.util.SplittableRandom;

/** The simulated printer's eye: sees the paper and nothing else, and errs as people do. */
final class Eye {
    /** Error of choosing a patch, in patches: half a patch, one standard deviation. */
    static final double PATCHES = 0.5;
    /** Below this, in stops, the error does not shrink with the step any more: in a light tone no eye tells less. */
    static final double FINEST_STOPS = 1.0 / 24;
    /** Error of judging a cast, points of a viewing filter, one standard deviation. */
    static final double CAST_POINTS = 3;
    /** Error of judging the density of a whole print, stops. */
    static final double PRINT_STOPS = 0.25;

    private static final double KIT_STEP = 5;

    private final SplittableRandom random;
    private final double steadyMagenta;
    private final double steadyYellow;
    private final double loose;

    /**
     * An eye.
     *
     * @param steady share of the variance of cast judgements, 0 to 1, that is one and the same error all through a run
     * and that no second look takes away
     */
    Eye(long seed, double steady) {
        random = new SplittableRandom(seed);
        steadyMagenta = CAST_POINTS * Math.sqrt(steady) * random.nextGaussian();
        steadyYellow = CAST_POINTS * Math.sqrt(steady) * random.nextGaussian();
        loose = CAST_POINTS * Math.sqrt(1 - steady);
    }

    /**
     * Where a tone is seen that needs so much light: read between the patches, with the error of choosing, to the
     * nearest half patch; may lie beyond either end.
     *
     * @param given log10 of the light each patch got, rising
     * @param needed log10 of the light that the tone needs
     */
    double place(List<Double> given, double needed) {
        int i = 0;
        while (i < given.size() - 2 && given.get(i + 1) < needed) {
            i++;
        }
        double step = given.get(i + 1) - given.get(i);
        double truth = i + (needed - given.get(i)) / step;
        double spread = Math.max(PATCHES, FINEST_STOPS * Math.log10(2) / step);
        return Math.round(2 * (truth + spread * random.nextGaussian())) / 2.0;
    }

    /** Strength of a magenta cast in points of a viewing filter, with the eye's error. */
    double magenta(double truePoints) {
        return truePoints + steadyMagenta + loose * random.nextGaussian();
    }

    /** As {@link #magenta}, of a yellow cast. */
    double yellow(double truePoints) {
        return truePoints + steadyYellow + loose * random.nextGaussian();
    }

    /** The filter of a kit in steps of 5 points that comes nearest. */
    static double inKit(double points) {
        return KIT_STEP * Math.round(points / KIT_STEP);
    }

    /** How much too dark a whole print is, stops. */
    double tooDark(double trueStops) {
        return trueStops + PRINT_STOPS * random.nextGaussian();
    }
}
