package keyslate.core.trial;

import java.util.Random;
import keyslate.core.exposure.PatchPick;

/** The simulated printer's eye and hand: sees the paper and nothing else, and errs as people do. */
final class Eye {
    /** Error of choosing a patch, in patches: half a patch, one standard deviation. */
    static final double PATCHES = 0.5;
    /** Finest step an eye can use in a light tone, stops: below it the error does not shrink with the step. */
    static final double FINEST_STOPS = 1.0 / 24;
    /** Error of judging a cast, points of a viewing filter. */
    static final double CAST_POINTS = 3;
    /** Error of judging the density of a whole print, stops. */
    static final double PRINT_STOPS = 0.25;

    private static final double KIT_STEP = 5;

    private final Random random;

    Eye(long seed) {
        this.random = new Random(seed);
    }

    /** A place seen on a strip, with the error of choosing and to the nearest half patch; may lie beyond either end. */
    double place(double truePlace, double stepStops) {
        double spread = Math.max(PATCHES, FINEST_STOPS / stepStops);
        return Math.round(2 * (truePlace + spread * random.nextGaussian())) / 2.0;
    }

    /** The mark for a place on a strip of so many patches; a place beyond an end is marked on it. */
    static PatchPick mark(double place, int patches) {
        return PatchPick.ofPosition(Math.max(0, Math.min(patches - 1, place)));
    }

    /** Whether a place lies clearly beyond the first or the last patch. */
    static boolean beyond(double place, int patches) {
        return place < -0.5 || place > patches - 0.5;
    }

    /** Strength of a cast in points of a viewing filter, with the eye's error. */
    double cast(double truePoints) {
        return truePoints + CAST_POINTS * random.nextGaussian();
    }

    /** The filter of a kit in steps of 5 points that comes nearest. */
    double castWithKit(double truePoints) {
        return KIT_STEP * Math.round(cast(truePoints) / KIT_STEP);
    }

    /** How much too dark a whole print is, stops. */
    double tooDark(double trueStops) {
        return trueStops + PRINT_STOPS * random.nextGaussian();
    }

    double even(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    double bell(double spread) {
        return spread * random.nextGaussian();
    }
}
