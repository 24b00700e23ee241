package keyslate.core.picture;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.quantity.QuantityException;
import keyslate.core.reading.Corners;

/**
 * Where sheets of paper lie in a picture of them.
 *
 * <p>REA-18: what surrounds the picture is the table: a surface of second degree through the log light along its edges. What differs from it, and what that
 * encloses, is paper. Each sheet's outline is drawn tight (convex hull), its shortest sides are let go until four are left, so that a clipped corner is none,
 * and a straight line is laid along each of the four. Derived in docs/formulas/reading.md.
 */
public final class PaperFinder {
    /** Enough to place a corner to a thousandth of the picture, as lines are laid along many pixels. */
    private static final int SIDE = 640;

    private static final double EDGE = 0.012;
    private static final double LEAST_DIFFERENCE = 0.05;
    private static final double NOISE_TIMES = 5;
    /** A surround that differs more than this in itself is no table. */
    private static final double MOST_SPREAD = 0.06;

    private static final double LEAST_SHARE = 0.01;
    /** A sheet is at least this share of the largest one. */
    private static final double LEAST_OF_LARGEST = 0.35;

    private static final double TRIM = 0.12;

    private PaperFinder() {}

    /**
     * The sheets in a picture, the largest first; none where it cannot be told from what surrounds it, as when it fills the picture.
     *
     * @param picture linear light, upright
     */
    public static List<Corners> in(ColourRaster picture) {
        ColourRaster small = picture.reducedTo(SIDE);
        int width = small.width();
        int height = small.height();
        boolean[] differs = differing(small);
        if (differs.length == 0) {
            return List.of();
        }
        boolean[] paper = enclosed(differs, width, height);
        List<int[]> sheets = components(paper, width, height);
        int largest = sheets.stream().mapToInt(s -> s.length).max().orElse(0);
        return sheets.stream()
                .filter(s -> s.length >= LEAST_SHARE * width * height && s.length >= LEAST_OF_LARGEST * largest)
                .sorted(Comparator.comparingInt((int[] s) -> -s.length))
                .flatMap(s -> corners(s, paper, width, height).stream())
                .toList();
    }

    private static boolean[] differing(ColourRaster small) {
        int width = small.width();
        int height = small.height();
        LitPicture light = new LitPicture(small);
        List<Corners.Place> edge = new ArrayList<>();
        int band = Math.max(2, (int) (EDGE * Math.max(width, height)));
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                boolean outside = x < band || y < band || x >= width - band || y >= height - band;
                if (outside && (x + y) % 3 == 0) {
                    edge.add(place(x, y, width, height));
                }
            }
        }
        WhiteOfPaper table = WhiteOfPaper.through(light, edge, WhiteOfPaper.Shape.CURVED);
        if (table.rms() > MOST_SPREAD || table.kept() < 0.6) {
            return new boolean[0];
        }
        double least = Math.max(LEAST_DIFFERENCE, NOISE_TIMES * table.rms() / 3);
        double[] off = new double[width * height];
        for (int c = 0; c < LitPicture.CHANNELS; c++) {
            double[] channel = new double[width * height];
            for (int i = 0; i < channel.length; i++) {
                Corners.Place at = place(i % width, i / width, width, height);
                channel[i] = light.log(c, at) - table.log(c, at);
            }
            double[] smooth = smoothed(channel, width, height);
            for (int i = 0; i < off.length; i++) {
                off[i] += smooth[i] * smooth[i];
            }
        }
        boolean[] differs = new boolean[off.length];
        for (int i = 0; i < off.length; i++) {
            differs[i] = Math.sqrt(off[i]) > least;
        }
        return differs;
    }

    private static Corners.Place place(int x, int y, int width, int height) {
        return new Corners.Place((x + 0.5) / width, (y + 0.5) / height);
    }

    /** The mean of three by three. */
    private static double[] smoothed(double[] values, int width, int height) {
        double[] out = new double[values.length];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                double sum = 0;
                int count = 0;
                for (int yy = Math.max(0, y - 1); yy <= Math.min(height - 1, y + 1); yy++) {
                    for (int xx = Math.max(0, x - 1); xx <= Math.min(width - 1, x + 1); xx++) {
                        sum += values[yy * width + xx];
                        count++;
                    }
                }
                out[y * width + x] = sum / count;
            }
        }
        return out;
    }

    /** What cannot be reached from the edge of the picture without crossing what differs. */
    private static boolean[] enclosed(boolean[] differs, int width, int height) {
        boolean[] table = new boolean[differs.length];
        Deque<Integer> open = new ArrayDeque<>();
        for (int i = 0; i < differs.length; i++) {
            boolean edge = i % width == 0 || i % width == width - 1 || i < width || i >= differs.length - width;
            if (edge && !differs[i]) {
                table[i] = true;
                open.add(i);
            }
        }
        while (!open.isEmpty()) {
            int i = open.poll();
            for (int next : neighbours(i, width, height)) {
                if (next >= 0 && !table[next] && !differs[next]) {
                    table[next] = true;
                    open.add(next);
                }
            }
        }
        boolean[] paper = new boolean[differs.length];
        for (int i = 0; i < paper.length; i++) {
            paper[i] = !table[i];
        }
        return paper;
    }

    private static int[] neighbours(int i, int width, int height) {
        int x = i % width;
        int y = i / width;
        return new int[] {
            x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, y > 0 ? i - width : -1, y < height - 1 ? i + width : -1
        };
    }

    private static List<int[]> components(boolean[] paper, int width, int height) {
        boolean[] seen = new boolean[paper.length];
        List<int[]> found = new ArrayList<>();
        int[] pixels = new int[paper.length];
        for (int start = 0; start < paper.length; start++) {
            if (!paper[start] || seen[start]) {
                continue;
            }
            int end = 0;
            pixels[end++] = start;
            seen[start] = true;
            for (int at = 0; at < end; at++) {
                for (int next : neighbours(pixels[at], width, height)) {
                    if (next >= 0 && paper[next] && !seen[next]) {
                        seen[next] = true;
                        pixels[end++] = next;
                    }
                }
            }
            found.add(Arrays.copyOf(pixels, end));
        }
        return found;
    }

    private static List<Corners> corners(int[] sheet, boolean[] paper, int width, int height) {
        List<Point> rim = new ArrayList<>();
        for (int i : sheet) {
            for (int next : neighbours(i, width, height)) {
                if (next < 0 || !paper[next]) {
                    rim.add(new Point(i % width + 0.5, i / width + 0.5));
                    break;
                }
            }
        }
        List<Point> four = Outline.quadrilateral(rim, TRIM);
        if (four.isEmpty()) {
            return List.of();
        }
        List<Double> coordinates = new ArrayList<>();
        for (Point p : four) {
            coordinates.add(Math.max(0, Math.min(1, p.x() / width)));
            coordinates.add(Math.max(0, Math.min(1, p.y() / height)));
        }
        try {
            return List.of(Corners.of(coordinates));
        } catch (QuantityException e) {
            return List.of();
        }
    }

    /** A point in pixels. */
    record Point(double x, double y) {}
}
