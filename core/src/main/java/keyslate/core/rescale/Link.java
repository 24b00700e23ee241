package keyslate.core.rescale;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.Stops;

/**
 * One factor of a chain.
 *
 * @param cause of it
 * @param more time, stops
 * @param limit of that, 95 %, 0 or more
 */
public record Link(Cause cause, Stops more, Stops limit) {
    /** What a factor comes from; each stands in a chain once at most. */
    public enum Cause {
        NEGATIVE,
        SIZE,
        OPENING,
        METER,
        LAMP,
        LIGHT,
        BATCH,
        LAG,
        DRY_DOWN,
        TIMER
    }

    public Link {
        Check.notNegative("limit", limit.inStops(), "stops");
    }

    /** Whether it changes nothing and leaves nothing open. */
    public boolean isNothing() {
        return Math.abs(more.inStops()) < SAME && limit.inStops() < SAME;
    }

    private static final double SAME = 1e-9;
}
