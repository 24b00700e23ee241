package keyslate.core.reading;

import java.util.Arrays;
import java.util.stream.IntStream;
import keyslate.core.quantity.Check;

/**
 * Where a strip that is narrower than the picture tells most.
 *
 * <p>REA-02: each patch should hold a light tone and a dark one. For every place across the picture the poorest patch is
 * looked at: its density range from the 3rd to the 97th percentile on the negative; the place whose poorest patch is
 * richest wins. Derived in docs/formulas/reading.md.
 */
public final class StripPlacement {
    private static final int PLACES = 25;
    private static final double LOW = 0.03;
    private static final double HIGH = 0.97;

    private StripPlacement() {}

    /**
     * The best start of the strip across its length, 0 to 1 − breadth, as a fraction of the picture.
     *
     * @param negative densities row by row, {@code width} pixels a row
     * @param alongWidth whether the patches follow each other from left to right (else top to bottom)
     * @param breadth the strip's breadth as a fraction of the picture across, above 0, up to 1
     */
    public static double bestStart(float[] negative, int width, boolean alongWidth, int patches, double breadth) {
        Check.within("breadth", breadth, 0.01, 1, "");
        Strip strip = new Strip(negative, width, alongWidth, patches, breadth);
        double room = 1 - breadth;
        double best = room / 2;
        double bestRange = strip.poorestRange(best) + 1e-3;
        // The patch that was poorest at one place is likely to be so at the next: where it is no better there, the
        // others need not be looked at.
        int poorest = 0;
        for (int i = 0; i < PLACES; i++) {
            double start = room * i / (PLACES - 1);
            double range = Double.POSITIVE_INFINITY;
            int first = poorest;
            for (int p = 0; p < patches && range > bestRange; p++) {
                int patch = (first + p) % patches;
                double its = strip.range(patch, start);
                if (its < range) {
                    range = its;
                    poorest = patch;
                }
            }
            if (range > bestRange) {
                best = start;
                bestRange = range;
            }
        }
        return best;
    }

    /** The density range of the patch that has the least, for one place of the strip. */
    public static double poorestRange(
            float[] negative, int width, boolean alongWidth, int patches, double start, double breadth) {
        return new Strip(negative, width, alongWidth, patches, breadth).poorestRange(start);
    }

    private record Strip(float[] negative, int width, boolean alongWidth, int patches, double breadth) {
        double poorestRange(double start) {
            return IntStream.range(0, patches)
                    .mapToDouble(patch -> range(patch, start))
                    .min()
                    .orElse(Double.POSITIVE_INFINITY);
        }

        double range(int patch, double start) {
            int height = negative.length / width;
            double from = (double) patch / patches;
            double to = (patch + 1.0) / patches;
            return alongWidth
                    ? StripPlacement.range(
                            negative, width, from * width, to * width, start * height, (start + breadth) * height)
                    : StripPlacement.range(
                            negative, width, start * width, (start + breadth) * width, from * height, to * height);
        }
    }

    private static double range(float[] negative, int width, double x0, double x1, double y0, double y1) {
        int height = negative.length / width;
        int stride = Math.max(1, (int) (Math.min(x1 - x0, y1 - y0) / 24));
        int across = (int) ((x1 - x0) / stride) + 2;
        int down = (int) ((y1 - y0) / stride) + 2;
        float[] found = new float[across * down];
        int count = 0;
        for (int y = (int) y0; y < Math.min(height, Math.ceil(y1)); y += stride) {
            for (int x = (int) x0; x < Math.min(width, Math.ceil(x1)); x += stride) {
                found[count++] = negative[y * width + x];
            }
        }
        if (count == 0) {
            return 0;
        }
        float[] sorted = Arrays.copyOf(found, count);
        Arrays.sort(sorted);
        return sorted[(int) (HIGH * (count - 1))] - sorted[(int) (LOW * (count - 1))];
    }
}
