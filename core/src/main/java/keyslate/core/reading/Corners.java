package keyslate.core.reading;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;

/**
 * REA-13: where the four corners of a sheet lie in a picture of it. The sheet is flat and the lens has no distortion, so
 * that one projective map leads from the sheet to the picture; it is the one that takes the unit square to the corners
 * (solved in closed form from the sums and differences of the corners).
 *
 * <p>Places are fractions of the picture, 0 to 1, from its upper left; corners go clockwise from the sheet's own upper left.
 */
public final class Corners {
    /** A sheet that fills less of the picture than this has no detail left. */
    public static final double LEAST_AREA = 0.005;

    private static final double PARALLEL = 1e-12;

    private final List<Place> places;
    private final double a;
    private final double b;
    private final double d;
    private final double e;
    private final double g;
    private final double h;

    private Corners(List<Place> places) {
        this.places = List.copyOf(places);
        Place p = places.get(0);
        Place q = places.get(1);
        Place r = places.get(2);
        Place s = places.get(3);
        double sumX = p.x - q.x + r.x - s.x;
        double sumY = p.y - q.y + r.y - s.y;
        double dx1 = q.x - r.x;
        double dx2 = s.x - r.x;
        double dy1 = q.y - r.y;
        double dy2 = s.y - r.y;
        double whole = dx1 * dy2 - dx2 * dy1;
        g = Math.abs(whole) < PARALLEL ? 0 : (sumX * dy2 - dx2 * sumY) / whole;
        h = Math.abs(whole) < PARALLEL ? 0 : (dx1 * sumY - sumX * dy1) / whole;
        a = q.x - p.x + g * q.x;
        b = s.x - p.x + h * s.x;
        d = q.y - p.y + g * q.y;
        e = s.y - p.y + h * s.y;
    }

    /** A place in a picture, fractions of its width and height. */
    public record Place(double x, double y) {}

    /** The whole picture is the sheet. */
    public static Corners whole() {
        return new Corners(List.of(new Place(0, 0), new Place(1, 0), new Place(1, 1), new Place(0, 1)));
    }

    /**
     * Corners as they were found.
     *
     * @param coordinates x and y of each of the four, clockwise from the sheet's upper left
     * @throws QuantityException when they are not four, lie outside the picture, or do not go round a sheet clockwise
     */
    public static Corners of(List<Double> coordinates) {
        if (coordinates.size() != 8 || coordinates.stream().anyMatch(c -> c == null)) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "corners", "give x and y of four corners, eight numbers");
        }
        coordinates.forEach(c -> Check.within("corner", c, 0, 1, ""));
        List<Place> places = IntStream.range(0, 4)
                .mapToObj(i -> new Place(coordinates.get(2 * i), coordinates.get(2 * i + 1)))
                .toList();
        double area = 0;
        for (int i = 0; i < 4; i++) {
            Place here = places.get(i);
            Place next = places.get((i + 1) % 4);
            Place after = places.get((i + 2) % 4);
            double turn = (next.x - here.x) * (after.y - next.y) - (next.y - here.y) * (after.x - next.x);
            if (turn <= 0) {
                throw Check.infeasible(
                        "corners", "the corners must go round the paper clockwise, with no corner inside the others");
            }
            area += (here.x * next.y - next.x * here.y) / 2;
        }
        if (area < LEAST_AREA) {
            throw Check.infeasible("corners", "the paper is too small in this picture; take one from nearer by");
        }
        return new Corners(places);
    }

    /**
     * Where a place of the sheet lies in the picture.
     *
     * @param u across the sheet, 0 to 1; {@code v} down it
     */
    public Place at(double u, double v) {
        double w = g * u + h * v + 1;
        Place first = places.get(0);
        return new Place((a * u + b * v + first.x) / w, (d * u + e * v + first.y) / w);
    }

    /** Where on the sheet a place of the picture lies, u and v in fractions of it; none beside it. The inverse of {@link #at}. */
    public Optional<Place> on(Place picture) {
        double x0 = places.get(0).x;
        double y0 = places.get(0).y;
        double p = a - g * picture.x;
        double q = b - h * picture.x;
        double r = d - g * picture.y;
        double s = e - h * picture.y;
        double whole = p * s - q * r;
        if (Math.abs(whole) < PARALLEL) {
            return Optional.empty();
        }
        double u = ((picture.x - x0) * s - q * (picture.y - y0)) / whole;
        double v = (p * (picture.y - y0) - (picture.x - x0) * r) / whole;
        return u < 0 || u > 1 || v < 0 || v > 1 ? Optional.empty() : Optional.of(new Place(u, v));
    }

    /** The same sheet a quarter turn on: what was its lower left is its upper left. */
    public Corners turned() {
        return new Corners(List.of(places.get(3), places.get(0), places.get(1), places.get(2)));
    }

    /** The four, clockwise from the sheet's upper left. */
    public List<Place> places() {
        return places;
    }
}
