package keyslate.core.colour;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;

/**
 * How the time follows the pack of a head.
 *
 * <p>COL-35: t2 = t1·10^((kC·ΔC + kM·ΔM + kY·ΔY)/100), packs in points, and 0.035 for each gel more where packs are made of those; the three factors of a head add up to 1, or taking out grey (COL-01) and this rule disagree. Source: Beer-Lambert, the layers weighed as
 * the eye does.
 *
 * @param cyan density that the eye misses in the print for a density of 1 of cyan, −0.5 to 1.5; the others alike
 * @param following how much of that the printer lets the time follow
 */
public record PackTimes(double cyan, double magenta, double yellow, Following following) {
    /** Until a head's own are known. */
    public static final PackTimes USUAL = new PackTimes(0.30, 0.60, 0.10, Following.ON);

    /** How far a default may be off, 95 %, each of the three. */
    public static final double USUAL_LIMIT = 0.15;

    private static final double LEAST = -0.5;
    private static final double MOST = 1.5;
    private static final double POINTS = 100;
    private static final double SAME = 0.02;

    /** How much of the change is followed: printers differ. */
    public enum Following {
        /** By the factors, so that density does not hide the colour. */
        ON(1),
        /** Half as much. */
        SMALL(0.5),
        /** The time stays; density is judged again. */
        OFF(0);

        private final double share;

        Following(double share) {
            this.share = share;
        }
    }

    public PackTimes {
        Check.within("factor of cyan", cyan, LEAST, MOST, "");
        Check.within("factor of magenta", magenta, LEAST, MOST, "");
        Check.within("factor of yellow", yellow, LEAST, MOST, "");
    }

    /** The same factors, followed otherwise. */
    public PackTimes following(Following other) {
        return new PackTimes(cyan, magenta, yellow, other);
    }

    /** What time is multiplied with from one pack to another, as far as it is to follow. */
    public double timeFactor(FilterPack from, FilterPack to) {
        return timeFactor(from, to, 0);
    }

    /**
     * The same where something else comes into the light too.
     *
     * @param moreDensity of that, such as of the surfaces of gels
     */
    public double timeFactor(FilterPack from, FilterPack to, double moreDensity) {
        return Math.pow(10, following.share * (log(from, to) + moreDensity));
    }

    /** How many stops lighter the print is when the time has followed as far as it is to: 0 where it follows wholly. */
    public Stops notFollowed(FilterPack from, FilterPack to) {
        return Stops.of((1 - following.share) * log(from, to) / Math.log10(2));
    }

    private double log(FilterPack from, FilterPack to) {
        FilterShift by = to.toShift().minus(from.toShift());
        return (cyan * by.inCyan() + magenta * by.inMagenta() + yellow * by.inYellow()) / POINTS;
    }

    /** What the three make together; 1 for filters that absorb nothing beside their own colour. */
    public double sum() {
        return cyan + magenta + yellow;
    }

    /** Whether grey counts as its density, to two hundredths. */
    public boolean addUp() {
        return Math.abs(sum() - 1) <= SAME + 1e-9;
    }
}
