package keyslate.core.calibration;

import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * How much more light one box of a paper needs than another.
 *
 * <p>CAL-09: the mean of log2(t/t_other) over pairs of times that gave the same grey through one filter; limit √2·u/√n, u how well a patch is told. A batch that nobody compared may be ⅓ stop off.
 */
public final class BatchReadings {
    private BatchReadings() {}

    /** Times of the same grey. */
    public record Pair(ExposureTime other, ExposureTime here) {}

    /** Stops more light (+) that this box needs. */
    public static Measured more(List<Pair> pairs, Stops uncertainty) {
        Check.count("pairs", pairs.size(), 1, 100);
        double u = Check.positive("uncertainty", uncertainty.inStops(), "stops");
        double mean = pairs.stream()
                .mapToDouble(p -> p.here().stopsFrom(p.other()).inStops())
                .average()
                .orElseThrow();
        Check.within("difference of two boxes", mean, -4, 4, "stops");
        return new Measured(mean, Math.sqrt(2) * u / Math.sqrt(pairs.size()), pairs.size());
    }
}
