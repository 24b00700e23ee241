package keyslate.core.local;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import keyslate.core.quantity.ExposureTime;

/**
 * Local work on another base exposure: after a new size, opening or paper the stops stay and the seconds follow.
 *
 * <p>LOC-14: seconds = T_new·(2^s − 1) for each area, signed as in LOC-01 and LOC-02.
 *
 * @param seconds of each area by name, in the order given: + burned, − held back
 * @param review whether a person must look at the areas again: at another grade the same stops do another thing to a tone
 */
public record CarriedWork(Map<String, Double> seconds, boolean review) {
    public CarriedWork {
        seconds = Collections.unmodifiableMap(new LinkedHashMap<>(seconds));
    }

    /** The areas on the base {@code newBase}. */
    public static CarriedWork onto(ExposureTime newBase, Map<String, LocalChange> areas, boolean gradeChanged) {
        Map<String, Double> seconds = new LinkedHashMap<>();
        areas.forEach((name, change) -> seconds.put(name, change.secondsOn(newBase)));
        return new CarriedWork(seconds, gradeChanged && !areas.isEmpty());
    }
}
