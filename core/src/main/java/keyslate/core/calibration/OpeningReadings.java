package keyslate.core.calibration;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.Check;

/**
 * True openings of a lens from a meter at the baseboard, head and filter standing.
 *
 * <p>CAL-03: by how much each mark gives more light (+) than its true number says, against the mean of all marks that were read: only differences
 * count for time. Limits by CAL-02.
 */
public final class OpeningReadings {
    private static final int LEAST_MARKS = 3;
    private static final int LEAST_EACH = 2;

    private final Map<ApertureMark, Double> nominal = new LinkedHashMap<>();
    private final GroupedReadings<ApertureMark> readings;

    /** Readings in lx or any unit, by mark; three marks at least, each twice. */
    public OpeningReadings(Map<ApertureMark, List<Double>> lux) {
        Check.count("marks", lux.size(), LEAST_MARKS, 100);
        readings = new GroupedReadings<>(lux, LEAST_EACH);
        lux.keySet()
                .forEach(mark ->
                        nominal.put(mark, -2 * Math.log(mark.trueNumber().inFStops()) / Math.log(2)));
    }

    /** Stops more light at each mark than engraved. */
    public Map<ApertureMark, Measured> offsets() {
        int count = nominal.size();
        double mean = nominal.keySet().stream()
                .mapToDouble(m -> readings.stops(m) - nominal.get(m))
                .average()
                .orElseThrow();
        Map<ApertureMark, Measured> offsets = new LinkedHashMap<>();
        for (ApertureMark mark : nominal.keySet()) {
            Map<ApertureMark, Double> coefficients = new HashMap<>();
            nominal.keySet().forEach(m -> coefficients.put(m, (m.equals(mark) ? 1 : 0) - 1.0 / count));
            offsets.put(
                    mark,
                    new Measured(
                            readings.stops(mark) - nominal.get(mark) - mean,
                            readings.limit(coefficients),
                            readings.readings(mark)));
        }
        return offsets;
    }
}
