package keyslate.core.test;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.NeutralRemoval;
import keyslate.core.colour.RingAround;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;

/**
 * Packs about a standing one, for pieces: a ring of six directions (COL-07), a grid of magenta and yellow (COL-08), or a ladder on which both rise alike; none has neutral density, and all are in whole points.
 *
 * @param step points from piece to piece, {@value #LEAST_STEP} to {@value #MOST_STEP}
 * @param rings how many steps it reaches, 1 to {@value #MOST_RINGS}
 * @param mixtures whether pieces lie between the six directions of a ring
 * @param companion by how much two more pieces of the standing pack are lighter and darker; none as a rule
 */
public record PacksAround(Kind kind, double step, int rings, boolean mixtures, Optional<Stops> companion) {
    public static final double LEAST_STEP = 2;
    public static final double MOST_STEP = 60;
    public static final int MOST_RINGS = 3;
    private static final double STEP_OF_DOUBT = 1.5;
    private static final double LEAST_ADVISED = 3;
    private static final double MOST_ADVISED = 15;
    private static final double LEAST_COMPANION = 1.0 / 24;

    /** How they lie about the pack in the middle. */
    public enum Kind {
        RING,
        GRID,
        LADDER
    }

    /**
     * What one piece gets.
     *
     * @param more than keeps it as dark as the middle one
     */
    public record Piece(Light light, Stops more) {}

    public PacksAround {
        Check.within("step", step, LEAST_STEP, MOST_STEP, "points");
        Check.count("steps", rings, 1, MOST_RINGS);
        companion.ifPresent(c -> Check.within("lighter and darker by", c.inStops(), LEAST_COMPANION, 2, "stops"));
        int pieces = count(kind, rings, mixtures, companion);
        Check.count("pieces", pieces, 2, PiecesPlan.MOST_PIECES);
    }

    private static int count(Kind kind, int rings, boolean mixtures, Optional<Stops> companion) {
        int across = 2 * rings + 1;
        int packs = switch (kind) {
            case RING -> 1 + rings * (mixtures ? 12 : 6);
            case GRID -> across * across;
            case LADDER -> across;
        };
        return packs + (companion.isPresent() ? 2 : 0);
    }

    /** How far apart pieces should lie where neutral is known to so many points, one standard deviation: {@value #STEP_OF_DOUBT} times that, in whole points, {@value #LEAST_ADVISED} to {@value #MOST_ADVISED} (COL-43). */
    public static double stepFor(double uncertaintyPoints) {
        return Math.rint(Math.max(LEAST_ADVISED, Math.min(MOST_ADVISED, STEP_OF_DOUBT * uncertaintyPoints)));
    }

    /** How many there are. */
    public int count() {
        return count(kind, rings, mixtures, companion);
    }

    /**
     * The pieces about a pack, the one in the middle first.
     *
     * @param settable the nearest light to one that the head can be set to
     * @throws keyslate.core.quantity.QuantityException where it makes two of them alike
     */
    public List<Piece> pieces(FilterPack standing, UnaryOperator<Light> settable) {
        FilterPack middle = moved(standing, 0, 0);
        List<FilterPack> packs = switch (kind) {
            case RING -> ring(middle);
            case GRID -> grid(middle);
            case LADDER -> steps().mapToObj(s -> moved(middle, s, s)).toList();
        };
        List<Piece> pieces = new ArrayList<>(Stream.concat(Stream.of(middle), packs.stream())
                .map(p -> settable.apply(Light.dials(whole(p))))
                .distinct()
                .map(light -> new Piece(light, Stops.ZERO))
                .toList());
        if (pieces.size() < count() - (companion.isPresent() ? 2 : 0)) {
            throw Check.infeasible("step", "this head makes some of these packs alike; take a larger step");
        }
        companion.ifPresent(by -> {
            Light light = pieces.get(0).light();
            pieces.add(new Piece(light, by.negated()));
            pieces.add(new Piece(light, by));
        });
        return pieces;
    }

    private List<FilterPack> ring(FilterPack middle) {
        // Times come from the head that stands; here the packs alone count.
        return RingAround.plan(
                        middle,
                        ExposureTime.ofSeconds(1),
                        step,
                        rings,
                        mixtures,
                        List.of(),
                        FilterSet.IDEAL,
                        FilterSet.Weights.GREEN)
                .stream()
                .map(RingAround.Patch::pack)
                .toList();
    }

    private List<FilterPack> grid(FilterPack middle) {
        List<Double> steps = steps().boxed().toList();
        return steps.stream()
                .flatMap(m -> steps.stream().map(y -> moved(middle, m, y)))
                .toList();
    }

    private DoubleStream steps() {
        return IntStream.rangeClosed(-rings, rings).mapToDouble(i -> i * step);
    }

    private static FilterPack moved(FilterPack middle, double magenta, double yellow) {
        return NeutralRemoval.of(middle.toShift().plus(FilterShift.of(0, magenta, yellow)))
                .pack();
    }

    private static FilterPack whole(FilterPack pack) {
        return FilterPack.of(Math.rint(pack.inCyan()), Math.rint(pack.inMagenta()), Math.rint(pack.inYellow()));
    }

    /** Which errors of a pack it cannot show, in words. */
    public String isBlindTo() {
        return kind == Kind.LADDER
                ? "A ladder of both filters alike moves along red and cyan alone: it cannot show green or magenta, nor blue or yellow."
                : "";
    }
}
