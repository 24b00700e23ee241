package keyslate.core.darkroom;

/** A negative as the paper under it sees it: densities of one plane, or printing densities over three layers. */
public sealed interface Negative {
    /** A monochrome negative. */
    record Mono(Raster density) implements Negative {
        @Override
        public Raster firstPlane() {
            return density;
        }

        @Override
        public Mono cropped(double left, double top, double width, double height) {
            return new Mono(density.cropped(left, top, width, height));
        }

        @Override
        public Mono reducedTo(int longSide) {
            return new Mono(density.reducedTo(longSide));
        }

        @Override
        public Mono through(double[] wedge) {
            return new Mono(density.firstThrough(wedge));
        }
    }

    /** A colour negative. */
    record Colour(ColourRaster density) implements Negative {
        /** The green-sensitive layer, which the eye takes for density. */
        @Override
        public Raster firstPlane() {
            return density.green();
        }

        @Override
        public Colour cropped(double left, double top, double width, double height) {
            return new Colour(density.cropped(left, top, width, height));
        }

        @Override
        public Colour reducedTo(int longSide) {
            return new Colour(density.reducedTo(longSide));
        }

        @Override
        public Colour through(double[] wedge) {
            return new Colour(new ColourRaster(
                    density.red().firstThrough(wedge),
                    density.green().firstThrough(wedge),
                    density.blue().firstThrough(wedge)));
        }
    }

    /** The plane that tells light from dark. */
    Raster firstPlane();

    /** See {@link Raster#cropped}. */
    Negative cropped(double left, double top, double width, double height);

    /** See {@link Raster#reducedTo}. */
    Negative reducedTo(int longSide);

    /** Its first place alone, under a neutral step wedge of these densities: one pixel for each step. */
    Negative through(double[] wedge);

    default int width() {
        return firstPlane().width();
    }

    default int height() {
        return firstPlane().height();
    }
}
