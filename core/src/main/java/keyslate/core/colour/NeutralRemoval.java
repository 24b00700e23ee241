package keyslate.core.colour;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;

/**
 * A pack without its neutral density, with the time that changes.
 *
 * <p>COL-01: k = min(C, M, Y), taken off all three; time × 10^(−k/100). A negative k (a pack below 0) is added and costs time. Exact for
 * ideal filters; doing it twice changes nothing.
 *
 * @param pack the same hue without neutral density
 * @param neutralPoints what was taken off, CC; negative when it was added
 * @param timeFactor factor of time, under 1 when density was taken off
 */
public record NeutralRemoval(FilterPack pack, double neutralPoints, double timeFactor) {
    private static final double POINTS_PER_DENSITY = 100;

    public static NeutralRemoval of(FilterShift raw) {
        return taking(raw, raw.neutralPoints());
    }

    /**
     * COL-02: all of the cyan taken off, as most heads want it: (0, M − C, Y − C), time × 10^(−C/100). Refused when magenta or yellow
     * would fall below 0.
     */
    public static NeutralRemoval withoutCyan(FilterShift raw) {
        if (raw.neutralPoints() < raw.inCyan()) {
            throw Check.infeasible("cyan", "without cyan the pack would need less than nothing of another filter");
        }
        return taking(raw, raw.inCyan());
    }

    /** The change of time in stops, negative when density was taken off. */
    public Stops stopsMoreTime() {
        return Stops.ofFactor(timeFactor);
    }

    private static NeutralRemoval taking(FilterShift raw, double points) {
        FilterShift left = raw.lessNeutral(points);
        return new NeutralRemoval(
                FilterPack.of(left.inCyan(), left.inMagenta(), left.inYellow()),
                points,
                Math.pow(10, -points / POINTS_PER_DENSITY));
    }
}
