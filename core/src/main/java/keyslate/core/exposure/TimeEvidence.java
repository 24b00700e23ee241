package keyslate.core.exposure;

import java.util.List;
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
