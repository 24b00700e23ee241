package keyslate.core.reading;

import java.util.Arrays;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;

/**
 * The tone of a patch of a scan, whatever dust lies on it.
 *
 * <p>REA-04: median; σ = 1.4826 · median absolute deviation; the mean of the values within 3 σ of the median.
 *
 * @param mean of the values kept; {@code median} of all
 * @param sigma robust standard deviation
 * @param kept how many values were kept
 */
public record PatchTone(double mean, double median, double sigma, int kept) {
    private static final double MAD_TO_SIGMA = 1.4826;
    private static final double FARTHEST_SIGMAS = 3;

    /** From at least one value. */
    public static PatchTone of(double[] values) {
        if (values.length == 0) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "patch", "a patch needs at least one pixel");
        }
        for (double value : values) {
            Check.finite("pixel", value);
        }
        double median = median(values);
        double sigma = MAD_TO_SIGMA
                * median(Arrays.stream(values).map(v -> Math.abs(v - median)).toArray());
        double[] near = Arrays.stream(values)
                .filter(v -> Math.abs(v - median) <= FARTHEST_SIGMAS * sigma)
                .toArray();
        double[] kept = near.length == 0 ? new double[] {median} : near;
        return new PatchTone(Arrays.stream(kept).average().orElseThrow(), median, sigma, kept.length);
    }

    static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        int middle = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[middle] : 0.5 * (sorted[middle - 1] + sorted[middle]);
    }
}
