package keyslate.core.local;

import keyslate.core.local.AreaShape.Edge;
import keyslate.core.local.AreaShape.Ellipse;
import keyslate.core.local.AreaShape.Lasso;
import keyslate.core.local.AreaShape.Point;

/**
 * How strongly an area acts at each place of a raster, 0 outside to 1 inside, with a soft edge.
 *
 * <p>LOC-09: the weight is a smooth step of the signed distance d to the outline over the width f of the soft edge, w =
 * 3u² − 2u³, u = clamp(½ − d/f). The distance is nearly straight across a soft edge, so it is enough to have it on a
 * coarse raster.
 */
public final class AreaMask {
    /** Narrowest soft edge, as a fraction of the longer side: no tool held above the paper throws a sharper shadow. */
    public static final double NARROWEST_EDGE = 0.01;

    private AreaMask() {}

    /**
     * The part of the frame that a raster shows, in fractions of the frame.
     *
     * @param aspect width/height of the whole frame in millimetres
     */
    public record View(double left, double top, double width, double height, double aspect) {}

    /** Weights on a raster of {@code columns} × {@code rows} pixel centres, row by row. */
    public static float[] rasterise(AreaShape shape, double softEdge, View view, int columns, int rows) {
        float[] weights = new float[columns * rows];
        double feather = Math.max(NARROWEST_EDGE, softEdge) * Math.max(1, 1 / view.aspect());
        for (int row = 0; row < rows; row++) {
            double y = (view.top() + view.height() * (row + 0.5) / rows) / view.aspect();
            for (int column = 0; column < columns; column++) {
                double x = view.left() + view.width() * (column + 0.5) / columns;
                double u = 0.5 - distance(shape, x, y, view.aspect()) / feather;
                double clamped = Math.max(0, Math.min(1, u));
                weights[row * columns + column] = (float) (clamped * clamped * (3 - 2 * clamped));
            }
        }
        return weights;
    }

    /** Signed distance to the outline, negative inside, in units of the frame's width. */
    private static double distance(AreaShape shape, double x, double y, double aspect) {
        if (shape instanceof Ellipse e) {
            return toEllipse(e, x, y, aspect);
        }
        if (shape instanceof Lasso lasso) {
            return toLasso(lasso, x, y, aspect);
        }
        Edge edge = (Edge) shape;
        double dx = edge.to().x() - edge.from().x();
        double dy = (edge.to().y() - edge.from().y()) / aspect;
        double px = x - edge.from().x();
        double py = y - edge.from().y() / aspect;
        return (dx * py - dy * px) / Math.hypot(dx, dy);
    }

    /** First-order distance k·(k − 1)/|∇k|, good near the outline, where it matters. */
    private static double toEllipse(Ellipse e, double x, double y, double aspect) {
        double rx = e.radiusX();
        double ry = e.radiusY() / aspect;
        double px = x - e.centre().x();
        double py = y - e.centre().y() / aspect;
        double k = Math.hypot(px / rx, py / ry);
        if (k < 1e-9) {
            return -Math.min(rx, ry);
        }
        double gradient = Math.hypot(px / (rx * rx), py / (ry * ry)) / k;
        return (k - 1) / gradient;
    }

    private static double toLasso(Lasso lasso, double x, double y, double aspect) {
        double nearest = Double.POSITIVE_INFINITY;
        boolean inside = false;
        int n = lasso.points().size();
        for (int i = 0, j = n - 1; i < n; j = i++) {
            Point a = lasso.points().get(j);
            Point b = lasso.points().get(i);
            double ay = a.y() / aspect;
            double by = b.y() / aspect;
            double ex = b.x() - a.x();
            double ey = by - ay;
            double along = ((x - a.x()) * ex + (y - ay) * ey) / Math.max(1e-18, ex * ex + ey * ey);
            double t = Math.max(0, Math.min(1, along));
            double dx = x - a.x() - t * ex;
            double dy = y - ay - t * ey;
            nearest = Math.min(nearest, dx * dx + dy * dy);
            if (ay > y != by > y && x < ex * (y - ay) / ey + a.x()) {
                inside = !inside;
            }
        }
        double distance = Math.sqrt(nearest);
        return inside ? -distance : distance;
    }
}
