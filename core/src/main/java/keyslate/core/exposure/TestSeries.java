package keyslate.core.exposure;

import java.util.List;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/** The total times of the patches of a test, first patch the shortest. */
public final class TestSeries {
    public static final int FEWEST_PATCHES = 2;
    public static final int MOST_PATCHES = 15;

    private TestSeries() {}

    /** EXP-13: equal stops, T_k = T_0 · 2^(k·s); step above 0. Example: 5 s in half stops is 5, 7.07, 10, 14.1, 20 s. */
    public static List<ExposureTime> equalStops(ExposureTime first, Stops step, int patches) {
        Check.positive("step", step.inStops(), "stop");
        return series(patches, k -> first.inSeconds() * Math.pow(2, k * step.inStops()));
    }

    /** EXP-14: equal stops about a centre, T_k = T · 2^((k − (n − 1)/2)·s). */
    public static List<ExposureTime> equalStopsAbout(ExposureTime centre, Stops step, int patches) {
        Check.positive("step", step.inStops(), "stop");
        double middle = (patches - 1) / 2.0;
        return series(patches, k -> centre.inSeconds() * Math.pow(2, (k - middle) * step.inStops()));
    }

    /** EXP-15: equal seconds, T_k = T_0 + k·step. */
    public static List<ExposureTime> equalSeconds(ExposureTime first, double stepSeconds, int patches) {
        Check.positive("step", stepSeconds, "s");
        return series(patches, k -> first.inSeconds() + k * stepSeconds);
    }

    /** Equal seconds about a centre; refuses a step so long that the first patch would get nothing. */
    public static List<ExposureTime> equalSecondsAbout(ExposureTime centre, double stepSeconds, int patches) {
        Check.positive("step", stepSeconds, "s");
        Check.count("patches", patches, FEWEST_PATCHES, MOST_PATCHES);
        double first = centre.inSeconds() - stepSeconds * (patches - 1) / 2.0;
        if (first <= 0) {
            throw Check.outOfRange(
                    "step",
                    "with " + patches + " patches the first would get no light: a step under "
                            + Math.floor(20 * centre.inSeconds() / (patches - 1)) / 10 + " s fits");
        }
        return equalSeconds(ExposureTime.ofSeconds(first), stepSeconds, patches);
    }

    /** EXP-16: constant time, one lens step smaller a patch: equivalent T_k = T_0 · 2^(−k·s). */
    public static List<ExposureTime> apertureLadder(ExposureTime widest, Stops step, int patches) {
        Check.positive("step", step.inStops(), "stop");
        return series(patches, k -> widest.inSeconds() * Math.pow(2, -k * step.inStops()));
    }

    private static List<ExposureTime> series(int patches, IntToDoubleFunction seconds) {
        Check.count("patches", patches, FEWEST_PATCHES, MOST_PATCHES);
        return IntStream.range(0, patches)
                .mapToObj(k -> ExposureTime.ofSeconds(seconds.applyAsDouble(k)))
                .toList();
    }
}
