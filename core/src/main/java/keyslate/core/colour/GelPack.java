package keyslate.core.colour;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;

/**
 * A pack made of gels that exist, the fewest that come as near as any: each has two surfaces that cost light.
 *
 * <p>COL-33: for each of cyan, magenta and yellow the sum of gels that is nearest to what is wanted; of those that are equally near the one with the fewest gels, then the weaker one. Neutral density is taken out of the pack before (COL-01). Time: 10^0.035 a gel
 * (COL-04).
 *
 * @param gels the strongest of each colour first
 */
public record GelPack(List<Gel> gels) {
    /** Gels of a set. */
    public static final int MOST_GELS = 24;

    private static final double SAME_POINTS = 1e-3;
    /** Of the two surfaces of one (COL-04). */
    private static final double SURFACE_DENSITY = 0.035;

    /** The colours that gels are sold in. */
    public enum Colour {
        CYAN,
        MAGENTA,
        YELLOW
    }

    /**
     * One gel.
     *
     * @param points above 0, 200 at most
     */
    public record Gel(Colour colour, double points) {
        public Gel {
            points = Check.within("gel", Check.positive("gel", points, "CC"), 0, FilterPack.MOST / 2, "CC");
        }
    }

    /** One each of 5, 10, 20 and 40 of every colour. */
    public static List<Gel> usualSet() {
        List<Gel> set = new ArrayList<>();
        for (Colour colour : Colour.values()) {
            for (double points : new double[] {40, 20, 10, 5}) {
                set.add(new Gel(colour, points));
            }
        }
        return List.copyOf(set);
    }

    /** The gels of a set, 1 to 24, that come nearest to a pack. */
    public static GelPack of(FilterPack wanted, List<Gel> set) {
        if (set.isEmpty() || set.size() > MOST_GELS) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "gels", "a set has 1 to " + MOST_GELS + " gels");
        }
        FilterPack clean = NeutralRemoval.of(wanted.toShift()).pack();
        List<Gel> gels = new ArrayList<>();
        for (Colour colour : Colour.values()) {
            gels.addAll(nearest(points(clean, colour), set, colour));
        }
        return new GelPack(List.copyOf(gels));
    }

    private static double points(FilterPack pack, Colour colour) {
        return switch (colour) {
            case CYAN -> pack.inCyan();
            case MAGENTA -> pack.inMagenta();
            case YELLOW -> pack.inYellow();
        };
    }

    private static List<Gel> nearest(double wanted, List<Gel> set, Colour colour) {
        List<Gel> own = set.stream()
                .filter(g -> g.colour() == colour)
                .sorted(Comparator.comparingDouble(Gel::points).reversed())
                .toList();
        // Each sum once, by the fewest gels: that is what keeps a box of many alike from being tried in every order.
        Map<Long, List<Gel>> bySum = new HashMap<>(Map.of(0L, List.of()));
        for (Gel gel : own) {
            for (List<Gel> before : List.copyOf(bySum.values())) {
                List<Gel> more = Stream.concat(before.stream(), Stream.of(gel)).toList();
                bySum.merge(rounded(sum(more)), more, (one, other) -> one.size() <= other.size() ? one : other);
            }
        }
        return bySum.values().stream()
                .reduce((best, one) -> isBetter(one, best, wanted) ? one : best)
                .orElseThrow();
    }

    private static long rounded(double points) {
        return Math.round(points / SAME_POINTS);
    }

    private static boolean isBetter(List<Gel> one, List<Gel> other, double wanted) {
        double off = Math.abs(sum(one) - wanted);
        double otherOff = Math.abs(sum(other) - wanted);
        if (Math.abs(off - otherOff) > SAME_POINTS) {
            return off < otherOff;
        }
        return one.size() < other.size() || one.size() == other.size() && sum(one) < sum(other);
    }

    private static double sum(List<Gel> gels) {
        return gels.stream().mapToDouble(Gel::points).sum();
    }

    /** What they make together. */
    public FilterPack pack() {
        return FilterPack.of(of(Colour.CYAN), of(Colour.MAGENTA), of(Colour.YELLOW));
    }

    private double of(Colour colour) {
        return sum(gels.stream().filter(g -> g.colour() == colour).toList());
    }

    /** Density that its surfaces cost, and those of another pack do not; 0.035 a gel. */
    public double surfaceDensity(GelPack before) {
        return SURFACE_DENSITY * (gels.size() - before.gels.size());
    }

    /** "magenta 40 + 10, yellow 40", the strongest first; "no gel" where there is none. */
    public String words() {
        List<String> words = new ArrayList<>();
        for (Colour colour : Colour.values()) {
            String own = gels.stream()
                    .filter(g -> g.colour() == colour)
                    .map(g -> g.points() == Math.rint(g.points())
                            ? Long.toString((long) g.points())
                            : Double.toString(g.points()))
                    .collect(Collectors.joining(" + "));
            if (!own.isEmpty()) {
                words.add(colour.name().toLowerCase(Locale.ROOT) + " " + own);
            }
        }
        return words.isEmpty() ? "no gel" : String.join(", ", words);
    }

    /** Surfaces in the light. */
    public int surfaces() {
        return 2 * gels.size();
    }
}
