package keyslate.core.trial.world;

import java.util.OptionalDouble;

/**
 * How far a print is from the best that was possible.
 *
 * @param stops by which its exposure is off, 0 or more
 * @param grades by which its grade is off beyond what the equipment must be; empty for colour and for areas
 * @param deltaE00 ΔE00 of its grey card from neutral once the density is right; empty for monochrome
 * @param stated the 95 % limit that was stated of it, stops; empty where none is
 */
public record PrintError(double stops, OptionalDouble grades, OptionalDouble deltaE00, OptionalDouble stated) {
    private static final double MOST_STOPS = 1.0 / 12;
    private static final double MOST_GRADES = 0.25;
    private static final double MOST_DELTA_E = 2;

    public PrintError(double stops, OptionalDouble grades, OptionalDouble deltaE00) {
        this(stops, grades, deltaE00, OptionalDouble.empty());
    }

    /** Whether it lies within the limit that was stated. */
    public OptionalDouble heldItsLimit() {
        return stated.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(stops <= stated.getAsDouble() ? 1 : 0);
    }

    /** Within twice of that, for a world that keeps to nothing. */
    public boolean isWithinTwiceTheGoal() {
        return stops <= 2 * MOST_STOPS && grades.orElse(0) <= 2 * MOST_GRADES && deltaE00.orElse(0) <= 2 * MOST_DELTA_E;
    }

    /** Within 1/12 stop, and within a quarter grade or ΔE00 2 as it applies. */
    public boolean isWithinGoal() {
        return stops <= MOST_STOPS && grades.orElse(0) <= MOST_GRADES && deltaE00.orElse(0) <= MOST_DELTA_E;
    }
}
