package keyslate.core.quantity;

/**
 * A difference of light in stops (factors of two). Positive = more light reaches the paper.
 *
 * @param inStops stops, −30 to +30 (a factor of a thousand million is no print any more)
 */
public record Stops(double inStops) implements Comparable<Stops> {
    public static final Stops ZERO = new Stops(0);
    private static final double LIMIT = 30;

    public Stops {
        inStops = Check.within("change in stops", inStops, -LIMIT, LIMIT, "stops");
    }

    public static Stops of(double stops) {
        return new Stops(stops);
    }

    /** {@code numerator/denominator} of a stop, built from the index and never by repeated adding. */
    public static Stops ofFraction(int numerator, int denominator) {
        return new Stops((double) numerator / denominator);
    }

    /** EXP-01: stops = log2(factor); factor above 0. */
    public static Stops ofFactor(double factor) {
        return new Stops(Math.log(Check.positive("factor", factor, "")) / Math.log(2));
    }

    /** log10 exposure to stops: stops = x / log10 2, exactly. */
    public static Stops ofLogExposure(double log10) {
        return new Stops(log10 / Math.log10(2));
    }

    /** The factor of light, 2^stops. */
    public double toFactor() {
        return Math.pow(2, inStops);
    }

    /** The same in log10 exposure: stops · log10 2. */
    public double toLogExposure() {
        return inStops * Math.log10(2);
    }

    public Stops plus(Stops other) {
        return new Stops(inStops + other.inStops);
    }

    public Stops minus(Stops other) {
        return new Stops(inStops - other.inStops);
    }

    public Stops negated() {
        return new Stops(-inStops);
    }

    public Stops times(double factor) {
        return new Stops(inStops * factor);
    }

    /** The nearest multiple of 1/12 stop, the finest step shown; an explicit rounding for proposals. */
    public Stops toNearestTwelfth() {
        return new Stops(Math.rint(inStops * 12) / 12);
    }

    @Override
    public int compareTo(Stops other) {
        return Double.compare(inStops, other.inStops);
    }
}
