package keyslate.core.quantity;

/**
 * A change of filtration in points (CC), signed: positive adds filter. Also a pack in the making, which may pass below 0 until
 * it is normalised.
 *
 * @param inCyan −400 to +400; magenta and yellow alike
 */
public record FilterShift(double inCyan, double inMagenta, double inYellow) {
    public static final FilterShift NONE = new FilterShift(0, 0, 0);

    public FilterShift {
        inCyan = Check.within("cyan", inCyan, -FilterPack.MOST, FilterPack.MOST, "CC");
        inMagenta = Check.within("magenta", inMagenta, -FilterPack.MOST, FilterPack.MOST, "CC");
        inYellow = Check.within("yellow", inYellow, -FilterPack.MOST, FilterPack.MOST, "CC");
    }

    public static FilterShift of(double cyan, double magenta, double yellow) {
        return new FilterShift(cyan, magenta, yellow);
    }

    public FilterShift plus(FilterShift other) {
        return new FilterShift(inCyan + other.inCyan, inMagenta + other.inMagenta, inYellow + other.inYellow);
    }

    public FilterShift minus(FilterShift other) {
        return plus(other.negated());
    }

    public FilterShift times(double factor) {
        return new FilterShift(inCyan * factor, inMagenta * factor, inYellow * factor);
    }

    public FilterShift negated() {
        return times(-1);
    }

    /** The neutral part: what all three have in common. */
    public double neutralPoints() {
        return Math.min(inCyan, Math.min(inMagenta, inYellow));
    }

    /** The same shift with that many points less of each. */
    public FilterShift lessNeutral(double points) {
        return new FilterShift(inCyan - points, inMagenta - points, inYellow - points);
    }
}
