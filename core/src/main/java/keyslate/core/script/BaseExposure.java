package keyslate.core.script;

import java.util.List;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;

/**
 * The base exposure of a sheet: one part for a single filter or pack.
 *
 * @param parts in the order they are given, at least one
 * @param presses how many equal exposures a part is given in, 1 to {@value #MOST_PRESSES}; one as a rule, for the lag of the lamp
 *     counts in each
 */
public record BaseExposure(List<Part> parts, int presses) {
    public static final int MOST_PRESSES = 32;
    private static final int MOST_PARTS = 3;

    /** One light and the time received through it, exact. */
    public record Part(Light light, ExposureTime time) {}

    public BaseExposure {
        parts = List.copyOf(parts);
        Check.count("parts of the base", parts.size(), 1, MOST_PARTS);
        Check.count("presses", presses, 1, MOST_PRESSES);
    }

    public static BaseExposure of(Light light, ExposureTime time) {
        return new BaseExposure(List.of(new Part(light, time)), 1);
    }

    /** Another light and time, given in as many presses. */
    public BaseExposure with(Light light, ExposureTime time) {
        return new BaseExposure(List.of(new Part(light, time)), presses);
    }

    /** Two lights one after another, given in as many presses; both parts count, and neither is left out. */
    public BaseExposure split(Part first, Part second) {
        return new BaseExposure(List.of(first, second), presses);
    }

    /** Every part so many times as long. */
    public BaseExposure times(double factor) {
        return new BaseExposure(
                parts.stream()
                        .map(p -> new Part(p.light(), p.time().times(factor)))
                        .toList(),
                presses);
    }

    /** Whether it is given through more than one light. */
    public boolean isSplit() {
        return parts.size() > 1;
    }

    /** The same light given in so many presses, 1 to {@value #MOST_PRESSES}; refused as a count beyond that. */
    public BaseExposure inPresses(int count) {
        return new BaseExposure(parts, count);
    }

    /** The part that tests are made about, and burns in the base's own light: the first one. */
    public Part main() {
        return parts.get(0);
    }
}
