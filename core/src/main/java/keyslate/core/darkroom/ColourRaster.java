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
}
