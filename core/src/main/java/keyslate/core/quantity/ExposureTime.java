package keyslate.core.quantity;

/**
 * A time at the lamp.
 *
 * @param inSeconds seconds, above 0 and up to 36 000 (ten hours)
 */
public record ExposureTime(double inSeconds) implements Comparable<ExposureTime> {
    /** Longest time that is taken for a real exposure. */
    public static final double LONGEST_SECONDS = 36_000;

    public ExposureTime {
        Check.positive("exposure time", inSeconds, "s");
        Check.within("exposure time", inSeconds, 0, LONGEST_SECONDS, "s");
    }

    public static ExposureTime ofSeconds(double seconds) {
        return new ExposureTime(seconds);
    }

    /** EXP-02: t2 = t1 · 2^s. Positive stops lengthen the time. */
    public ExposureTime plus(Stops change) {
        return new ExposureTime(inSeconds * change.toFactor());
    }

    public ExposureTime times(double factor) {
        return new ExposureTime(inSeconds * factor);
    }

    /** EXP-01: stops from {@code other} to this time, log2(this/other). */
    public Stops stopsFrom(ExposureTime other) {
        return Stops.ofFactor(inSeconds / other.inSeconds);
    }

    @Override
    public int compareTo(ExposureTime other) {
        return Double.compare(inSeconds, other.inSeconds);
    }
}
