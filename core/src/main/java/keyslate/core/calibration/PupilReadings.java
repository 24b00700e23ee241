package keyslate.core.calibration;

import java.util.List;
import keyslate.core.numeric.LineFit;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Magnification;

/**
 * How the light of a lens follows the size, from a meter at several heights with one opening and the carrier empty.
 *
 * <p>CAL-06: illuminance goes with 1/(1 + m/p)² (SIZ-02), so 1/√E is a line over m whose slope over its intercept is 1/p. As a meter errs by a share of what it
 * shows, each point weighs as E.
 */
public record PupilReadings(List<Height> heights) {
    public static final int LEAST = 5;
    private static final double LEAST_PUPIL = 0.2;
    private static final double MOST_PUPIL = 5;

    /** One height: the size there and what the meter shows, lx or any unit. */
    public record Height(Magnification magnification, double lux) {
        public Height {
            Check.positive("reading", lux, "lx");
        }
    }

    public PupilReadings {
        heights = List.copyOf(heights);
        Check.count("heights", heights.size(), LEAST, 100);
    }

    /** Exit over entrance pupil as the light says; the limit is for 1/p, through which size costs light. */
    public Measured inversePupil() {
        LineFit line = Lines.through(
                "heights",
                heights.stream().mapToDouble(h -> h.magnification().inTimes()).toArray(),
                heights.stream().mapToDouble(h -> 1 / Math.sqrt(h.lux())).toArray(),
                heights.stream().mapToDouble(Height::lux).toArray());
        if (line.intercept() <= 0 || line.slope() <= 0) {
            throw Check.infeasible("heights", "the light does not fall as the print grows; was the opening changed?");
        }
        double inverse = line.slope() / line.intercept();
        if (inverse < 1 / MOST_PUPIL || inverse > 1 / LEAST_PUPIL) {
            throw Check.infeasible(
                    "heights", "no lens loses light with size like this: was the head refocused at each height?");
        }
        double limit = line.limit(-inverse / line.intercept(), 1 / line.intercept());
        return new Measured(inverse, limit, heights.size());
    }
}
