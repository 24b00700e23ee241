package keyslate.store.json;

import java.util.List;
import java.util.Objects;
import keyslate.core.local.AreaShape;
import keyslate.core.local.AreaShape.Point;
import keyslate.core.quantity.QuantityException;

/**
 * The outline of an area as it is stored and sent.
 *
 * @param kind ellipse (first point centre, second radii), lasso (its corners) or edge (its two ends)
 * @param points in fractions of the frame
 */
public record StoredShape(String kind, List<StoredPoint> points) {
    /** A place in fractions of the frame. */
    public record StoredPoint(double x, double y) {
        Point toCore() {
            return new Point(x, y);
        }

        static StoredPoint of(Point p) {
            return new StoredPoint(p.x(), p.y());
        }
    }

    public static StoredShape of(AreaShape shape) {
        if (shape instanceof AreaShape.Ellipse e) {
            return new StoredShape(
                    "ellipse", List.of(StoredPoint.of(e.centre()), new StoredPoint(e.radiusX(), e.radiusY())));
        }
        if (shape instanceof AreaShape.Lasso lasso) {
            return new StoredShape(
                    "lasso", lasso.points().stream().map(StoredPoint::of).toList());
        }
        AreaShape.Edge edge = (AreaShape.Edge) shape;
        return new StoredShape("edge", List.of(StoredPoint.of(edge.from()), StoredPoint.of(edge.to())));
    }

    /**
     * The outline as the core computes with it.
     *
     * @throws QuantityException when it is none
     */
    public AreaShape toCore() {
        if (kind == null || points == null || points.stream().anyMatch(Objects::isNull)) {
            throw wrong("an outline needs a kind and points");
        }
        return switch (kind) {
            case "ellipse" -> {
                two("an ellipse needs its centre and its radii");
                yield new AreaShape.Ellipse(
                        points.get(0).toCore(), points.get(1).x(), points.get(1).y());
            }
            case "edge" -> {
                two("an edge needs two ends");
                yield new AreaShape.Edge(points.get(0).toCore(), points.get(1).toCore());
            }
            case "lasso" ->
                new AreaShape.Lasso(points.stream().map(StoredPoint::toCore).toList());
            default -> throw wrong("an outline is an ellipse, a lasso or an edge");
        };
    }

    private void two(String message) {
        if (points.size() != 2) {
            throw wrong(message);
        }
    }

    private static QuantityException wrong(String message) {
        return new QuantityException(QuantityException.Kind.WRONG_SHAPE, "outline", message);
    }
}
