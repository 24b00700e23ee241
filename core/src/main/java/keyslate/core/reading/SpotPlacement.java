package keyslate.core.reading;

import java.util.Arrays;
import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.core.test.Spot;

/**
 * Where a window, a disc or a piece tells most.
 *
 * <p>REA-15: of {@value #PLACES} × {@value #PLACES} places those that hold most of the named tones, the first tone counting for more than all others
 * together; among those the one with the greatest density range from the 3rd to the 97th percentile on the negative. Derived in docs/formulas/reading.md.
 */
public final class SpotPlacement {
    private static final int PLACES = 25;
    private static final double LOW = 0.03;
    private static final double HIGH = 0.97;
    private static final int SAMPLES = 24;
    /** Density by which one place must beat another, so that noise moves nothing. */
    private static final double BETTER = 1e-3;

    private SpotPlacement() {}

    /**
     * The middle of the best place.
     *
     * @param negative densities row by row, {@code width} pixels a row
     * @param across breadth of the window as a fraction of the picture, above 0, up to 1; {@code down} alike
     * @param tones places of the named tones on the picture, the most important first
     */
    public static Spot best(float[] negative, int width, double across, double down, List<Spot> tones) {
        Check.within("breadth", across, 0.001, 1, "");
        Check.within("height", down, 0.001, 1, "");
        double bestLeft = (1 - across) / 2;
        double bestTop = (1 - down) / 2;
        int bestHeld = held(tones, bestLeft, bestTop, across, down);
        double bestRange = range(negative, width, bestLeft, bestTop, across, down);
        for (int j = 0; j < PLACES; j++) {
            for (int i = 0; i < PLACES; i++) {
                double left = (1 - across) * i / (PLACES - 1);
                double top = (1 - down) * j / (PLACES - 1);
                int held = held(tones, left, top, across, down);
                if (held < bestHeld) {
                    continue;
                }
                double range = range(negative, width, left, top, across, down);
                if (held > bestHeld || range > bestRange + BETTER) {
                    bestLeft = left;
                    bestTop = top;
                    bestHeld = held;
                    bestRange = range;
                }
            }
        }
        return new Spot(bestLeft + across / 2, bestTop + down / 2);
    }

    private static int held(List<Spot> tones, double left, double top, double across, double down) {
        int held = 0;
        for (int t = 0; t < tones.size(); t++) {
            Spot tone = tones.get(t);
            boolean inside = tone.x() >= left && tone.x() < left + across && tone.y() >= top && tone.y() < top + down;
            held += inside ? (t == 0 ? tones.size() : 1) : 0;
        }
        return held;
    }

    /** The density range inside a window, from the 3rd to the 97th percentile. */
    public static double range(float[] negative, int width, double left, double top, double across, double down) {
        int height = negative.length / width;
        int columns = Math.max(1, Math.min(SAMPLES, (int) Math.round(across * width)));
        int rows = Math.max(1, Math.min(SAMPLES, (int) Math.round(down * height)));
        float[] found = new float[columns * rows];
        for (int y = 0; y < rows; y++) {
            int row = Math.min(height - 1, (int) ((top + down * (y + 0.5) / rows) * height));
            for (int x = 0; x < columns; x++) {
                int column = Math.min(width - 1, (int) ((left + across * (x + 0.5) / columns) * width));
                found[y * columns + x] = negative[row * width + column];
            }
        }
        Arrays.sort(found);
        return found[(int) (HIGH * (found.length - 1))] - found[(int) (LOW * (found.length - 1))];
    }
}
