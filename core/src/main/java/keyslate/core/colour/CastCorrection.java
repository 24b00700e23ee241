package keyslate.core.colour;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterShift;

/**
 * What to do to the pack for a cast.
 *
 * <p>COL-05: negative-positive: add the colour of the cast, or take away its complement. Positive-positive: the other way round, add
 * the complement or take away the cast.
 */
public final class CastCorrection {
    private static final double LEAST_GAIN = 0.2;

    private CastCorrection() {}

    /** Whether a negative or a positive is printed. */
    public enum Process {
        NEGATIVE,
        POSITIVE
    }

    /** The two ways to the same hue. */
    public enum Way {
        ADD,
        SUBTRACT
    }

    /** The change of the pack for a cast of that many points, 0 or more. */
    public static FilterShift of(Hue cast, double points, Process process, Way way) {
        Check.notNegative("points", points, "CC");
        Hue added = process == Process.NEGATIVE ? cast : cast.complement();
        return way == Way.ADD
                ? added.points(points)
                : added.complement().points(points).negated();
    }

    /**
     * COL-06: a viewing filter through which the print looks right says: the cast is its complement, the change is k times its strength of
     * the cast's colour. k 0.2 to 1; about 0.57 at mid density physically, 0.5 by default, schools teach up to 1.
     */
    public static FilterShift byViewingFilter(Hue filter, double strength, double gain) {
        Check.notNegative("strength", strength, "CC");
        Check.within("viewing-filter factor", gain, LEAST_GAIN, 1, "");
        return filter.complement().points(gain * strength);
    }
}
