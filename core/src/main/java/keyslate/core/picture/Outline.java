package keyslate.core.picture;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import keyslate.core.picture.PaperFinder.Point;

/** The four sides of a sheet from the pixels along its rim. */
final class Outline {
    private static final double FLAT = 1e-9;
    /** Pixels that count for a side lie no farther from it. */
    private static final double[] NEAR = {8, 4, 2};

    private static final int FEWEST = 8;
    /** The middle of a rim's pixel lies half a pixel inside the edge. */
    private static final double TO_THE_EDGE = 0.5;

    private Outline() {}

    /**
     * The corners, clockwise from the one nearest the upper left; none where four sides cannot be told.
     *
     * @param trim share of each side at its ends that is left out, where corners may be clipped
     */
    static List<Point> quadrilateral(List<Point> rim, double trim) {
        List<Point> four = fewest(hull(rim));
        if (four.size() != 4) {
            return List.of();
        }
        for (double near : NEAR) {
            four = straightened(rim, four, trim, near);
            if (four.isEmpty()) {
                return List.of();
            }
        }
        return fromUpperLeft(four);
    }

    private static List<Point> straightened(List<Point> rim, List<Point> four, double trim, double near) {
        double cx = four.stream().mapToDouble(Point::x).average().orElse(0);
        double cy = four.stream().mapToDouble(Point::y).average().orElse(0);
        List<double[]> sides = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            Optional<double[]> side = side(rim, four.get(i), four.get((i + 1) % 4), trim, near, cx, cy);
            if (side.isEmpty()) {
                return List.of();
            }
            sides.add(side.get());
        }
        List<Point> corners = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            double[] before = sides.get((i + 3) % 4);
            double[] after = sides.get(i);
            double cross = before[0] * after[1] - before[1] * after[0];
            if (Math.abs(cross) < FLAT) {
                return List.of();
            }
            corners.add(new Point(
                    (before[2] * after[1] - before[1] * after[2]) / cross,
                    (before[0] * after[2] - before[2] * after[0]) / cross));
        }
        return corners;
    }

    private static List<Point> fromUpperLeft(List<Point> corners) {
        int first = 0;
        for (int i = 1; i < 4; i++) {
            if (corners.get(i).x() + corners.get(i).y()
                    < corners.get(first).x() + corners.get(first).y()) {
                first = i;
            }
        }
        List<Point> turned = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            turned.add(corners.get((first + i) % 4));
        }
        return turned;
    }

    /** The convex hull, clockwise as pictures are seen (y downwards). Source: Andrew's monotone chain. */
    private static List<Point> hull(List<Point> points) {
        List<Point> sorted = points.stream()
                .sorted(Comparator.comparingDouble(Point::x).thenComparingDouble(Point::y))
                .toList();
        List<Point> hull = new ArrayList<>();
        for (int pass = 0; pass < 2; pass++) {
            int start = hull.size();
            for (int k = 0; k < sorted.size(); k++) {
                Point p = sorted.get(pass == 0 ? k : sorted.size() - 1 - k);
                while (hull.size() >= start + 2
                        && cross(hull.get(hull.size() - 2), hull.get(hull.size() - 1), p) <= 0) {
                    hull.remove(hull.size() - 1);
                }
                hull.add(p);
            }
            hull.remove(hull.size() - 1);
        }
        return hull;
    }

    private static double cross(Point a, Point b, Point c) {
        return (b.x() - a.x()) * (c.y() - a.y()) - (b.y() - a.y()) * (c.x() - a.x());
    }

    /** Lets the sides go one by one whose neighbours, drawn on until they meet, add the least area. */
    private static List<Point> fewest(List<Point> hull) {
        List<Point> left = new ArrayList<>(hull);
        while (left.size() > 4) {
            int best = -1;
            double least = Double.POSITIVE_INFINITY;
            Point meeting = null;
            for (int i = 0; i < left.size(); i++) {
                int n = left.size();
                Point a = left.get((i + n - 1) % n);
                Point b = left.get(i);
                Point c = left.get((i + 1) % n);
                Point d = left.get((i + 2) % n);
                Optional<Point> x = meeting(a, b, d, c);
                if (x.isPresent()) {
                    double area = Math.abs(cross(b, x.get(), c)) / 2;
                    if (area < least) {
                        least = area;
                        best = i;
                        meeting = x.get();
                    }
                }
            }
            if (best < 0) {
                return List.of();
            }
            int after = (best + 1) % left.size();
            left.set(best, meeting);
            left.remove(after);
        }
        return left;
    }

    /** Where the line from a over b and the one from d over c meet beyond b and c. */
    private static Optional<Point> meeting(Point a, Point b, Point d, Point c) {
        double ux = b.x() - a.x();
        double uy = b.y() - a.y();
        double vx = c.x() - d.x();
        double vy = c.y() - d.y();
        double cross = ux * vy - uy * vx;
        if (Math.abs(cross) < FLAT) {
            return Optional.empty();
        }
        double s = ((d.x() - a.x()) * vy - (d.y() - a.y()) * vx) / cross;
        double t = ((d.x() - a.x()) * uy - (d.y() - a.y()) * ux) / cross;
        return s >= 1 - FLAT && t >= 1 - FLAT
                ? Optional.of(new Point(a.x() + s * ux, a.y() + s * uy))
                : Optional.empty();
    }

    /** The line a·x + b·y = c along a side, at the edge of the paper. */
    private static Optional<double[]> side(
            List<Point> rim, Point from, Point to, double trim, double near, double cx, double cy) {
        double dx = to.x() - from.x();
        double dy = to.y() - from.y();
        double length = Math.hypot(dx, dy);
        if (length < FEWEST) {
            return Optional.empty();
        }
        double nx = -dy / length;
        double ny = dx / length;
        List<Point> along = new ArrayList<>();
        for (Point p : rim) {
            double at = ((p.x() - from.x()) * dx + (p.y() - from.y()) * dy) / (length * length);
            double off = (p.x() - from.x()) * nx + (p.y() - from.y()) * ny;
            if (at > trim && at < 1 - trim && Math.abs(off) < near) {
                along.add(p);
            }
        }
        if (along.size() < FEWEST) {
            return Optional.empty();
        }
        double mx = along.stream().mapToDouble(Point::x).average().orElse(0);
        double my = along.stream().mapToDouble(Point::y).average().orElse(0);
        double xx = 0;
        double xy = 0;
        double yy = 0;
        for (Point p : along) {
            xx += (p.x() - mx) * (p.x() - mx);
            xy += (p.x() - mx) * (p.y() - my);
            yy += (p.y() - my) * (p.y() - my);
        }
        double angle = 0.5 * Math.atan2(2 * xy, xx - yy);
        double a = -Math.sin(angle);
        double b = Math.cos(angle);
        double c = a * mx + b * my;
        double outwards = a * cx + b * cy < c ? 1 : -1;
        return Optional.of(new double[] {a, b, c + outwards * TO_THE_EDGE});
    }
}
