package keyslate.server.scan;

import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Raster;
import keyslate.core.reading.Corners;
import keyslate.core.reading.Corners.Place;

/** A piece of a test cut out of the picture of all, small: for the eye alone. */
final class PieceCut {
    private static final int WIDTH = 168;
    private static final int HEIGHT = 128;

    private PieceCut() {}

    /** The light inside corners. */
    static ColourRaster of(ColourRaster picture, Corners corners) {
        return new ColourRaster(
                cut(picture.red(), corners), cut(picture.green(), corners), cut(picture.blue(), corners));
    }

    private static Raster cut(Raster channel, Corners corners) {
        float[] samples = new float[WIDTH * HEIGHT];
        for (int i = 0; i < samples.length; i++) {
            Place at = corners.at((i % WIDTH + 0.5) / WIDTH, (i / WIDTH + 0.5) / HEIGHT);
            int x = (int) Math.max(0, Math.min(channel.width() - 1.0, at.x() * channel.width()));
            int y = (int) Math.max(0, Math.min(channel.height() - 1.0, at.y() * channel.height()));
            samples[i] = channel.at(x, y);
        }
        return Raster.over(WIDTH, HEIGHT, samples);
    }
}
