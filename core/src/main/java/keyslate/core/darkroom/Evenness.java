package keyslate.core.darkroom;

import java.util.List;
import keyslate.core.local.AreaMask;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Part;

/**
 * How the light lies over the picture on the board, as its corners are against its middle.
 *
 * <p>CAL-08: e(x, y) = Σ e_c · w_c, w_c = (1 ± x)(1 ± y)/4 · (x² + y²)/2 with x and y from −1 to 1 over the picture: nothing in the middle, each corner's own in the
 * corner, half the mean of two in the middle of a side. Derived: a lens falls off with the square of the distance, a lamp that stands askew tilts it.
 *
 * @param corners stops more (+) or less light, clockwise from the upper left; none = even
 * @param picture the part of the frame that prints
 */
public record Evenness(List<Stops> corners, Part picture) {
    /** The same everywhere. */
    public static final Evenness EVEN = new Evenness(List.of(), Part.WHOLE);

    private static final int[] RIGHT = {-1, 1, 1, -1};
    private static final int[] DOWN = {-1, -1, 1, 1};

    public Evenness {
        corners = List.copyOf(corners);
        if (!corners.isEmpty()) {
            Check.count("corners", corners.size(), RIGHT.length, RIGHT.length);
        }
    }

    public boolean isEven() {
        return corners.isEmpty();
    }

    /** Stops at a place of the frame, in fractions of it; beside the picture as at its edge. */
    public Stops at(double frameX, double frameY) {
        return Stops.of(new Plane().at(across(frameX), down(frameY)));
    }

    /**
     * Log exposure at every place of a grid over a part of the frame, row by row: what a picture is shaded with.
     *
     * @param columns of the grid; {@code rows} alike
     */
    float[] over(AreaMask.View view, int columns, int rows) {
        Plane plane = new Plane();
        double logs = Stops.of(1).toLogExposure();
        double[] xs = new double[columns];
        for (int i = 0; i < columns; i++) {
            xs[i] = across(view.left() + view.width() * (i + 0.5) / columns);
        }
        float[] over = new float[columns * rows];
        for (int row = 0; row < rows; row++) {
            double y = down(view.top() + view.height() * (row + 0.5) / rows);
            for (int i = 0; i < columns; i++) {
                over[row * columns + i] = (float) (logs * plane.at(xs[i], y));
            }
        }
        return over;
    }

    private double across(double frameX) {
        return within(2 * (frameX - picture.left()) / picture.width() - 1);
    }

    private double down(double frameY) {
        return within(2 * (frameY - picture.top()) / picture.height() - 1);
    }

    /** The sum over the corners multiplied out: four numbers in place of four corners at each place. */
    private final class Plane {
        private double mean;
        private double tiltAcross;
        private double tiltDown;
        private double twist;

        Plane() {
            for (int c = 0; c < corners.size(); c++) {
                double part = corners.get(c).inStops() / RIGHT.length;
                mean += part;
                tiltAcross += RIGHT[c] * part;
                tiltDown += DOWN[c] * part;
                twist += RIGHT[c] * DOWN[c] * part;
            }
        }

        double at(double x, double y) {
            return (mean + tiltAcross * x + (tiltDown + twist * x) * y) * (x * x + y * y) / 2;
        }
    }

    private static double within(double value) {
        return Math.max(-1, Math.min(1, value));
    }
}
