package keyslate.core.exposure;

import java.util.List;
import keyslate.core.numeric.StudentT;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;

/**
 * Several readings of the same time taken together.
 *
 * <p>EXP-31: the mean in log exposure, each reading weighed with 1/uncertainty²; uncertainty of the mean
 * 1/√Σ(1/uncertainty²). Readings of other set-ups are carried to the present one before.
 */
public final class TimeEvidence {
    private TimeEvidence() {}

    /**
     * One reading, or several taken together.
     *
     * @param time seconds received
     * @param uncertainty above 0 (EXP-20)
     */
    public record Reading(ExposureTime time, Stops uncertainty) {
        public Reading {
            Check.positive("uncertainty", uncertainty.inStops(), "stops");
        }
    }

    /**
     * EXP-38: what the next negative of a kind is likely to need, from times that were right for others: the median of log t, which one odd negative does
     * not move, and the 95 % limit of a further one, t·s·√(1 + v/n), t Student's, s the spread in stops, v = 1 for two and π/2 for more: what a median knows less
     * than a mean.
     *
     * @param times two at least
     */
    public static Reading usual(List<ExposureTime> times) {
        if (times.size() < 2) {
            throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "times", "two prints at least are needed");
        }
        double mean = times.stream()
                .mapToDouble(t -> Math.log(t.inSeconds()))
                .average()
                .orElseThrow();
        double squares = times.stream()
                .mapToDouble(t -> Math.pow((Math.log(t.inSeconds()) - mean) / Math.log(2), 2))
                .sum();
        int n = times.size();
        double median = n == 2 ? 1 : Math.PI / 2;
        double limit = StudentT.limit(n - 1) * Math.sqrt(squares / (n - 1) * (1 + median / n));
        return new Reading(
                ExposureTime.ofSeconds(middle(times)), Stops.of(Math.max(LEAST_LIMIT, Math.min(MOST_LIMIT, limit))));
    }

    private static double middle(List<ExposureTime> times) {
        double[] sorted =
                times.stream().mapToDouble(ExposureTime::inSeconds).sorted().toArray();
        int half = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[half] : Math.sqrt(sorted[half - 1] * sorted[half]);
    }

    /** Negatives of one film differ more than a few prints may show. */
    private static final double LEAST_LIMIT = 1.0 / 3;

    private static final double MOST_LIMIT = 6;

    /** The readings as one; at least one reading. */
    public static Reading weighed(List<Reading> readings) {
        if (readings.isEmpty()) {
            throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "readings", "there is no reading yet");
        }
        double sum = 0;
        double weights = 0;
        for (Reading reading : readings) {
            double weight = 1 / Math.pow(reading.uncertainty().inStops(), 2);
            sum += weight * Math.log(reading.time().inSeconds());
            weights += weight;
        }
        return new Reading(ExposureTime.ofSeconds(Math.exp(sum / weights)), Stops.of(1 / Math.sqrt(weights)));
    }
}
