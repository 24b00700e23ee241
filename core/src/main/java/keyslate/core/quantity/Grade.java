package keyslate.core.quantity;

/**
 * A place on the scale of paper grades: −1 (the filter labelled 00) is soft, 5 is hard. A scale value and not a label.
 *
 * @param onScale −1 to 5
 */
public record Grade(double onScale) implements Comparable<Grade> {
    public Grade {
        onScale = Check.within("grade", onScale, -1, 5, "");
    }

    public static Grade of(double onScale) {
        return new Grade(onScale);
    }

    @Override
    public int compareTo(Grade other) {
        return Double.compare(onScale, other.onScale);
    }
}
