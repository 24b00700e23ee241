package keyslate.core;

import java.util.Random;
import java.util.random.RandomGenerator;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/** Seeded draws for laws. The seed is the argument of the test, so a failure names it. */
public final class Draws {
    private static final int SEEDS = 200;

    private Draws() {}

    /** For {@code @MethodSource("keyslate.core.Draws#seeds")}. */
    public static Stream<Long> seeds() {
        return LongStream.range(1, SEEDS + 1).boxed();
    }

    /** For laws whose every case takes milliseconds. */
    public static Stream<Long> fewSeeds() {
        return seeds().limit(SEEDS / 5);
    }

    public static RandomGenerator from(long seed) {
        return new Random(seed * 0x9E3779B97F4A7C15L);
    }

    /** Evenly spread in the logarithm, as times and sizes are. */
    public static double logBetween(RandomGenerator random, double low, double high) {
        return low * Math.pow(high / low, random.nextDouble());
    }
}
