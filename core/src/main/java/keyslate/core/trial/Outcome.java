package keyslate.core.trial;

import java.util.OptionalDouble;

/**
 * How one run ended.
 *
 * @param pieces strips, rings and test prints until the advice said done, the final print not counted
 * @param stopsError how far the exposure of the final print is off, stops, 0 or more
 * @param gradeError how far its grade is off beyond what the equipment must be; empty for colour
 * @param deltaE00 ΔE00 of its neutral; empty for monochrome
 * @param withinGoal whether the recipe that stood after the goal's number of pieces was within the goal
 */
record Outcome(int pieces, double stopsError, OptionalDouble gradeError, OptionalDouble deltaE00, boolean withinGoal) {
    /** A monochrome recipe: 1/12 stop, a quarter grade. */
    static boolean monoGoal(double stops, double grades) {
        return Math.abs(stops) <= STOPS && grades <= GRADES;
    }

    /** A colour recipe: 1/12 stop, ΔE00 2. */
    static boolean colourGoal(double stops, double deltaE) {
        return Math.abs(stops) <= STOPS && deltaE <= DELTA_E;
    }

    /** Test pieces of the goal in monochrome. */
    static final int MONO_PIECES = 2;
    /** Test pieces of the goal in colour. */
    static final int COLOUR_PIECES = 3;

    private static final double STOPS = 1.0 / 12;
    private static final double GRADES = 0.25;
    private static final double DELTA_E = 2;
}
