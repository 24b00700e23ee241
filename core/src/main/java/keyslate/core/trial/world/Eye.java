package keyslate.core.trial.world;

import java.util.List;
import java.util.SplittableRandom;

/** The simulated printer's eye: sees the paper and nothing else, and errs as people do. */
final class Eye {
    /** Error of choosing a patch, in patches: half a patch, one standard deviation. */
    static final double PATCHES = 0.5;
    /** Below this, in stops, the error does not shrink with the step any more: in a light tone no eye tells less. */
    static final double FINEST_STOPS = 1.0 / 24;
    /** Error of judging the density of a whole print, stops. */
    static final double PRINT_STOPS = 0.25;

    private final SplittableRandom random;

    Eye(long seed) {
        random = new SplittableRandom(seed);
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

    /** How much too dark a whole print is, stops. */
    double tooDark(double trueStops) {
        return trueStops + PRINT_STOPS * random.nextGaussian();
    }
}
