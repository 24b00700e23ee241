package keyslate.core.quantity;

/**
 * A length on paper, film or column.
 *
 * @param inMm millimetres, 0 to 100 000
 */
public record Length(double inMm) implements Comparable<Length> {
    public static final Length ZERO = new Length(0);

    public Length {
        Check.notNegative("length", inMm, "mm");
        inMm = Check.within("length", inMm, 0, 100_000, "mm");
    }

    public static Length ofMm(double mm) {
        return new Length(mm);
    }

    /** A length that must be more than nothing, such as the side of a sheet. */
    public static Length ofPositiveMm(String parameter, double mm) {
        return new Length(Check.positive(parameter, mm, "mm"));
    }

    public Length plus(Length other) {
        return new Length(inMm + other.inMm);
    }

    public Length times(double factor) {
        return new Length(inMm * factor);
    }

    @Override
    public int compareTo(Length other) {
        return Double.compare(inMm, other.inMm);
    }
}
