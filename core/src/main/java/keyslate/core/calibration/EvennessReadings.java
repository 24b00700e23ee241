package keyslate.core.calibration;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import keyslate.core.quantity.Check;

/**
 * Evenness of the light on the board from a meter, carrier empty.
 *
 * <p>CAL-04: stops more (+) or less light at each place than in the centre; limits by CAL-02.
 */
public final class EvennessReadings {
    private static final int LEAST_EACH = 2;
    private final GroupedReadings<Spot> readings;

    /** Where the meter lies: the centre, and near each corner. */
    public enum Spot {
        CENTRE,
        TOP_LEFT,
        TOP_RIGHT,
        BOTTOM_RIGHT,
        BOTTOM_LEFT
    }

    /** Readings in lx or any unit; all five places, each twice at least. */
    public EvennessReadings(Map<Spot, List<Double>> lux) {
        Check.count("places", lux.size(), Spot.values().length, Spot.values().length);
        readings = new GroupedReadings<>(lux, LEAST_EACH);
    }

    /** Stops against the centre, of each corner. */
    public Map<Spot, Measured> corners() {
        Map<Spot, Measured> corners = new LinkedHashMap<>();
        for (Spot spot : Spot.values()) {
            if (spot != Spot.CENTRE) {
                corners.put(
                        spot,
                        new Measured(
                                readings.stops(spot) - readings.stops(Spot.CENTRE),
                                readings.limit(Map.of(spot, 1.0, Spot.CENTRE, -1.0)),
                                readings.readings(spot)));
            }
        }
        return corners;
    }
}
