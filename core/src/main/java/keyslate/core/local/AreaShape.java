package keyslate.core.local;

import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;

/**
 * The outline of an area on the negative. Points are fractions of the frame: x of its width, y of its height, 0 at the
 * left and at the top; a little outside is allowed so that an area can run off the edge.
 */
public sealed interface AreaShape {
    /** A point in fractions of the frame. */
    record Point(double x, double y) {
        public Point {
            x = Check.within("x", x, -1, 2, "");
            y = Check.within("y", y, -1, 2, "");
        }
    }

    /** An upright ellipse; radii in fractions of the frame's width and height. */
    record Ellipse(Point centre, double radiusX, double radiusY) implements AreaShape {
        public Ellipse {
            Check.within("width of the ellipse", radiusX, 0.005, 2, "");
            Check.within("height of the ellipse", radiusY, 0.005, 2, "");
        }
    }

    /** A closed outline of 3 to 200 points. */
    record Lasso(List<Point> points) implements AreaShape {
        public Lasso {
            points = List.copyOf(points);
            if (points.size() < 3 || points.size() > 200) {
                throw new QuantityException(
                        QuantityException.Kind.WRONG_SHAPE,
                        "outline",
                        "an outline needs 3 to 200 points, had " + points.size());
            }
        }
    }

    /** Everything to the left of the line, looking from {@code from} to {@code to}, as a card would uncover it. */
    record Edge(Point from, Point to) implements AreaShape {
        public Edge {
            if (Math.hypot(to.x() - from.x(), to.y() - from.y()) < 0.01) {
                throw Check.outOfRange("edge", "the two ends of an edge must lie apart");
            }
        }
    }
}
