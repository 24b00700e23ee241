package keyslate.server.local;

import java.util.List;
import keyslate.core.darkroom.Reach;
import keyslate.core.local.AreaShape;
import keyslate.core.local.AreaShape.Point;
import keyslate.core.quantity.QuantityException;
import keyslate.server.slate.SlateViews.AreaView;
import keyslate.server.slate.SlateViews.PointView;
import keyslate.server.slate.SlateViews.ShapeView;
import keyslate.store.slate.Area;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Outlines as the page draws them, as the store keeps them and as the core computes with them. */
public final class Shapes {
    private static final JsonMapper JSON = JsonMapper.shared();

    private Shapes() {}

    /** Checks an outline and gives the core's value. */
    public static AreaShape toCore(ShapeView shape) {
        List<Point> points =
                shape.points().stream().map(p -> new Point(p.x(), p.y())).toList();
        boolean two = points.size() == 2;
        return switch (shape.kind()) {
            case "ellipse" -> {
                check(two, "an ellipse needs its centre and its radii");
                yield new AreaShape.Ellipse(
                        points.get(0), points.get(1).x(), points.get(1).y());
            }
            case "edge" -> {
                check(two, "an edge needs two ends");
                yield new AreaShape.Edge(points.get(0), points.get(1));
            }
            case "lasso" -> new AreaShape.Lasso(points);
            default -> throw wrong("an outline is an ellipse, a lasso or an edge");
        };
    }

    public static String toJson(ShapeView shape) {
        return JSON.writeValueAsString(shape);
    }

    public static ShapeView fromJson(String json) {
        try {
            ShapeView shape = JSON.readValue(json, ShapeView.class);
            check(shape.kind() != null && shape.points() != null, "an outline needs a kind and points");
            return new ShapeView(shape.kind(), List.<PointView>copyOf(shape.points()));
        } catch (JacksonException e) {
            throw wrong("an outline needs a kind and points");
        }
    }

    /** A stored area as the darkroom wants it. */
    public static Reach.Area toExposed(Area area) {
        return new Reach.Area(toCore(fromJson(area.shape())), area.softEdge());
    }

    /** The stored areas as the page sees them. */
    public static List<AreaView> toViews(List<Area> areas) {
        return areas.stream()
                .map(a -> new AreaView(
                        a.areaKey(),
                        a.name(),
                        fromJson(a.shape()),
                        a.softEdge(),
                        a.changeStops(),
                        a.filter(),
                        a.tool()))
                .toList();
    }

    private static void check(boolean holds, String message) {
        if (!holds) {
            throw wrong(message);
        }
    }

    private static QuantityException wrong(String message) {
        return new QuantityException(QuantityException.Kind.WRONG_SHAPE, "outline", message);
    }
}
