package keyslate.core.reading;

import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Stops;

/**
 * One tone looked for several times on one test, each time with the marks before hidden.
 *
 * <p>REA-24: the mark is the mean of the places; its limit is that of one look divided by the square root of their number. Holds as far as looks are independent, which a look at one's own earlier mark is not. Derived in docs/formulas/reading.md.
 *
 * @param places in patches from the first, 1 to {@value #MOST}
 */
public record Looks(List<Double> places) {
    public static final int MOST = 5;

    public Looks {
        places = List.copyOf(places);
        Check.count("looks", places.size(), 1, MOST);
        places.forEach(p -> Check.within("place", p, -99, 99, "patches"));
    }

    /** Where the tone lies, all looks together. */
    public double place() {
        return places.stream().mapToDouble(p -> p).average().orElseThrow();
    }

    /** How far the mean may be off, where one look may be so far off there. */
    public Stops limit(Stops ofOne) {
        return ofOne.times(1 / Math.sqrt(places.size()));
    }
}
