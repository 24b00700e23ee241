package keyslate.core.trial.world;

import java.util.SplittableRandom;

/** What a run's negative, paper and lamp happen to be; the same for the same seed. */
final class Fate {
    private final SplittableRandom random;

    Fate(long seed) {
        random = new SplittableRandom(seed);
    }

    double even(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    /** About 0, one standard deviation {@code spread}. */
    double bell(double spread) {
        return spread * random.nextGaussian();
    }

    /** A seed for something else that is unknown. */
    long seed() {
        return random.nextLong();
    }
}
