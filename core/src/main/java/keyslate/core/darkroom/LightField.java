package keyslate.core.darkroom;

import java.util.stream.Stream;
import keyslate.core.local.AreaMask;
import keyslate.core.quantity.Stops;

/**
 * Light over the sheet as a few planes of logarithms on a coarse raster, read in straight lines between its points.
 *
 * <p>Local work is smooth, so a raster four times coarser than the picture is enough; a strip's patches have hard
 * edges and need the full size.
 */
final class LightField {
    /** What stands for no light at all. */
    static final double NO_LIGHT_LOG = -9;

    private static final int COARSENESS = 4;

    final int columns;
    final int rows;
    final float[][] planes;

    private LightField(int columns, int rows, int planes) {
        this.columns = columns;
        this.rows = rows;
        this.planes = new float[planes][columns * rows];
    }

    /** An empty field for a picture, as fine as the reaches of its bursts need. */
    static LightField forPicture(int width, int height, Stream<Reach> reaches, int planes) {
        boolean strip = reaches.anyMatch(Reach::isSharp);
        return strip ? new LightField(width, height, planes) : new LightField(coarse(width), coarse(height), planes);
    }

    private static int coarse(int pixels) {
        return Math.max(2, (pixels + COARSENESS - 1) / COARSENESS);
    }

    /** Takes the light of each row. */
    interface RowSink {
        /**
         * One row.
         *
         * @param at where the row starts in the picture
         * @param row a plane each; the sink may write to it
         * @param even whether a plane has one value all along the row
         */
        void take(int at, float[][] row, boolean[] even);
    }

    /**
     * Takes light off towards the corners, growing with the square of the distance from the centre, in all of so many
     * planes.
     */
    void darkenCorners(Stops loss, int ofPlanes) {
        if (loss.inStops() <= 0) {
            return;
        }
        for (int i = 0; i < columns * rows; i++) {
            double x = 2.0 * (i % columns + 0.5) / columns - 1;
            double y = 2.0 * (i / columns + 0.5) / rows - 1;
            float lost = (float) (loss.toLogExposure() * (x * x + y * y) / 2);
            for (int p = 0; p < ofPlanes; p++) {
                planes[p][i] -= lost;
            }
        }
    }

    /** Puts on how the light lies over the part of the frame that is seen, in all of so many planes. */
    void shade(Evenness evenness, AreaMask.View view, int ofPlanes) {
        if (evenness.isEven()) {
            return;
        }
        float[] more = evenness.over(view, columns, rows);
        for (int p = 0; p < ofPlanes; p++) {
            float[] plane = planes[p];
            for (int i = 0; i < more.length; i++) {
                plane[i] += more[i];
            }
        }
    }

    /**
     * Walks a picture row by row with the light of each pixel. The rows of the coarse raster are spread to the
     * picture's width once each; from there to a row of the picture is one multiplication a pixel that the compiler
     * turns into vectors.
     */
    void walk(int width, int height, RowSink sink) {
        float[][] out = new float[planes.length][width];
        float[][] above = new float[planes.length][width];
        float[][] below = new float[planes.length][width];
        Spread spread = new Spread(columns, width);
        boolean[] even = new boolean[planes.length];
        int standing = -1;
        for (int y = 0; y < height; y++) {
            float v = between((y + 0.5f) * rows / height - 0.5f, rows);
            int row = (int) v;
            for (int p = 0; p < planes.length; p++) {
                if (row != standing) {
                    even[p] = isEven(planes[p], row);
                    if (row == standing + 1 && standing >= 0) {
                        // The lower row of before is the upper one now.
                        float[] was = above[p];
                        above[p] = below[p];
                        below[p] = was;
                    } else {
                        spread.row(planes[p], row * columns, above[p]);
                    }
                    spread.row(planes[p], Math.min(row + 1, rows - 1) * columns, below[p]);
                }
                mix(above[p], below[p], v - row, out[p]);
            }
            standing = row;
            sink.take(y * width, out, even);
        }
    }

    /** Whether a row of the raster and the next have one value each. */
    private boolean isEven(float[] plane, int row) {
        int low = Math.min(row + 1, rows - 1) * columns;
        for (int c = 1; c < columns; c++) {
            if (plane[row * columns + c] != plane[row * columns] || plane[low + c] != plane[low]) {
                return false;
            }
        }
        return true;
    }

    private static void mix(float[] above, float[] below, float weight, float[] out) {
        for (int x = 0; x < out.length; x++) {
            out[x] = above[x] + weight * (below[x] - above[x]);
        }
    }

    /** Reads a row of the coarse raster in straight lines at the middle of each pixel. */
    private static final class Spread {
        private final int[] left;
        private final int[] right;
        private final float[] weight;

        Spread(int columns, int width) {
            left = new int[width];
            right = new int[width];
            weight = new float[width];
            for (int x = 0; x < width; x++) {
                float u = between((x + 0.5f) * columns / width - 0.5f, columns);
                left[x] = (int) u;
                right[x] = Math.min(left[x] + 1, columns - 1);
                weight[x] = u - left[x];
            }
        }

        void row(float[] plane, int from, float[] out) {
            for (int x = 0; x < out.length; x++) {
                float a = plane[from + left[x]];
                out[x] = a + weight[x] * (plane[from + right[x]] - a);
            }
        }
    }

    private static float between(float place, int count) {
        return Math.max(0, Math.min(count - 1, place));
    }
}
