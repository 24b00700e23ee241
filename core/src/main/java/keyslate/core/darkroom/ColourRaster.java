package keyslate.core.darkroom;

/**
 * A picture of three channels as three rasters of one size: red, green and blue light, or the printing densities over the three layers; which, is said where
 * one is made.
 */
public record ColourRaster(Raster red, Raster green, Raster blue) {
    public ColourRaster {
        if (red.width() != green.width()
                || red.width() != blue.width()
                || red.height() != green.height()
                || red.height() != blue.height()) {
            throw new IllegalArgumentException("the three channels must be of one size");
        }
    }

    public int width() {
        return red.width();
    }

    public int height() {
        return red.height();
    }

    /** The raster of a channel, 0 red to 2 blue. */
    public Raster channel(int index) {
        return index == 0 ? red : index == 1 ? green : blue;
    }

    /** See {@link Raster#cropped}. */
    public ColourRaster cropped(double left, double top, double width, double height) {
        return new ColourRaster(
                red.cropped(left, top, width, height),
                green.cropped(left, top, width, height),
                blue.cropped(left, top, width, height));
    }

    /** See {@link Raster#reducedTo}. */
    public ColourRaster reducedTo(int longSide) {
        return new ColourRaster(red.reducedTo(longSide), green.reducedTo(longSide), blue.reducedTo(longSide));
    }

    /** Weighed as the eye sees linear light: 0.2126 red, 0.7152 green, 0.0722 blue (IEC 61966-2-1). */
    public Raster luminance() {
        if (red == green && green == blue) {
            return red;
        }
        float[] r = red.samples();
        float[] g = green.samples();
        float[] b = blue.samples();
        float[] out = new float[r.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = 0.2126f * r[i] + 0.7152f * g[i] + 0.0722f * b[i];
        }
        return Raster.over(width(), height(), out);
    }
}
