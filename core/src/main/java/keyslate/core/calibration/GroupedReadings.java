package keyslate.core.calibration;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import keyslate.core.numeric.StudentT;
import keyslate.core.quantity.Check;

/**
 * Readings of several places, each read more than once: means in stops of light, and how sure a mean is by the spread that all places have in common.
 *
 * <p>CAL-02: s² = Σ(x − mean of its place)² / (readings − places); the limit of a figure with coefficients c_i of the means is t·s·√Σ(c_i²/n_i), t Student's.
 *
 * @param <K> what a place is
 */
final class GroupedReadings<K> {
    private final Map<K, List<Double>> lux;
    private final double spread;
    private final int freedom;

    /** Illuminances in lx or any unit; every place twice at least, so that the spread shows. */
    GroupedReadings(Map<K, List<Double>> lux, int leastEach) {
        this.lux = lux;
        for (List<Double> readings : lux.values()) {
            Check.count("readings of each", readings.size(), leastEach, 100);
            readings.forEach(r -> Check.positive("reading", r, "lx"));
        }
        double squares = 0;
        for (K key : lux.keySet()) {
            double mean = stops(key);
            squares += lux.get(key).stream()
                    .mapToDouble(r -> (log2(r) - mean) * (log2(r) - mean))
                    .sum();
        }
        int all = lux.values().stream().mapToInt(List::size).sum();
        this.freedom = all - lux.size();
        this.spread = Math.sqrt(squares / freedom);
    }

    Collection<K> places() {
        return lux.keySet();
    }

    /** Mean of a place, stops above 1 lx. */
    double stops(K key) {
        return lux.get(key).stream()
                .mapToDouble(GroupedReadings::log2)
                .average()
                .orElseThrow();
    }

    int readings(K key) {
        return lux.get(key).size();
    }

    /** The 95 % limit of Σ c_i·mean_i. */
    double limit(Map<K, Double> coefficients) {
        double variance = 0;
        for (Map.Entry<K, Double> entry : coefficients.entrySet()) {
            variance += entry.getValue() * entry.getValue() / readings(entry.getKey());
        }
        return StudentT.limit(freedom) * spread * Math.sqrt(variance);
    }

    private static double log2(double value) {
        return Math.log(value) / Math.log(2);
    }
}
