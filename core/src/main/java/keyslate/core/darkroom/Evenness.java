package keyslate.core.darkroom;

import java.util.List;
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
        double x = within(2 * (frameX - picture.left()) / picture.width() - 1);
        double y = within(2 * (frameY - picture.top()) / picture.height() - 1);
        double sum = 0;
        for (int c = 0; c < corners.size(); c++) {
            sum += corners.get(c).inStops() * (1 + RIGHT[c] * x) * (1 + DOWN[c] * y) / 4;
        }
        return Stops.of(sum * (x * x + y * y) / 2);
    }

    private static double within(double value) {
        return Math.max(-1, Math.min(1, value));
    }
}
