package keyslate.core.script;

import java.util.List;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;

/**
 * The base exposure of a sheet: one part for a single filter or pack.
 *
 * @param parts in the order they are given, at least one
 */
public record BaseExposure(List<Part> parts) {
    private static final int MOST_PARTS = 3;

    /** One light and the time received through it, exact. */
    public record Part(Light light, ExposureTime time) {}

    public BaseExposure {
        parts = List.copyOf(parts);
        Check.count("parts of the base", parts.size(), 1, MOST_PARTS);
    }

    public static BaseExposure of(Light light, ExposureTime time) {
        return new BaseExposure(List.of(new Part(light, time)));
    }

    /** The part that holds and the dials refer to; today the only one. */
    public Part main() {
        return parts.get(0);
    }
}
