package keyslate.core.darkroom;

/**
 * A picture of one channel as a flat array, row by row. What the numbers mean (scene light, density) is said where one
 * is made. The array is shared and not copied: whoever makes a raster must not write to it again.
 */
public final class Raster {
    private final int width;
    private final int height;
    private final float[] samples;

    private Raster(int width, int height, float[] samples) {
        this.width = width;
        this.height = height;
        this.samples = samples;
    }

    /** A raster over {@code samples}, whose length must be width · height. */
    public static Raster over(int width, int height, float[] samples) {
        if (width < 1 || height < 1 || samples.length != width * height) {
            throw new IllegalArgumentException(
                    width + " × " + height + " pixels do not match " + samples.length + " samples");
        }
        return new Raster(width, height, samples);
    }

    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    /** The samples themselves, for pixel loops; read only. */
    public float[] samples() {
        return samples;
    }

    public float at(int x, int y) {
        return samples[y * width + x];
    }

    /** The mean of all samples. */
    public double mean() {
        double sum = 0;
        for (float sample : samples) {
            sum += sample;
        }
        return sum / samples.length;
    }

    /** The part from (left, top), cut to whole pixels; fractions of width and height, clamped to the picture. */
    public Raster cropped(double left, double top, double cropWidth, double cropHeight) {
        int x0 = clamp((int) Math.round(left * width), width - 1);
        int y0 = clamp((int) Math.round(top * height), height - 1);
        int x1 = Math.max(x0 + 1, Math.min(width, (int) Math.round((left + cropWidth) * width)));
        int y1 = Math.max(y0 + 1, Math.min(height, (int) Math.round((top + cropHeight) * height)));
        if (x1 - x0 == width && y1 - y0 == height) {
            return this;
        }
        float[] out = new float[(x1 - x0) * (y1 - y0)];
        for (int y = y0; y < y1; y++) {
            System.arraycopy(samples, y * width + x0, out, (y - y0) * (x1 - x0), x1 - x0);
        }
        return new Raster(x1 - x0, y1 - y0, out);
    }

    /** Scaled by area means to a longer side of {@code longSide} pixels; never enlarged. */
    public Raster reducedTo(int longSide) {
        double scale = (double) longSide / Math.max(width, height);
        if (scale >= 1) {
            return this;
        }
        int w = Math.max(1, (int) Math.round(width * scale));
        int h = Math.max(1, (int) Math.round(height * scale));
        float[] out = new float[w * h];
        for (int y = 0; y < h; y++) {
            int y0 = (int) ((long) y * height / h);
            int y1 = Math.max(y0 + 1, (int) ((long) (y + 1) * height / h));
            for (int x = 0; x < w; x++) {
                int x0 = (int) ((long) x * width / w);
                int x1 = Math.max(x0 + 1, (int) ((long) (x + 1) * width / w));
                double sum = 0;
                for (int yy = y0; yy < y1; yy++) {
                    for (int xx = x0; xx < x1; xx++) {
                        sum += samples[yy * width + xx];
                    }
                }
                out[y * w + x] = (float) (sum / ((y1 - y0) * (x1 - x0)));
            }
        }
        return new Raster(w, h, out);
    }

    /** A row of the first sample with each of these added. */
    Raster firstThrough(double[] added) {
        float[] out = new float[added.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) (samples[0] + added[i]);
        }
        return new Raster(out.length, 1, out);
    }

    private static int clamp(int value, int high) {
        return Math.max(0, Math.min(high, value));
    }
}
