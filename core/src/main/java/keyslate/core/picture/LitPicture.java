package keyslate.core.picture;

import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Raster;
import keyslate.core.reading.Corners.Place;

/** A picture as linear light, asked at places in fractions of its sides; between pixels straight. */
final class LitPicture {
    static final int CHANNELS = 3;
    /** Less light than this is noise and nothing else. */
    private static final double LEAST = 5e-4;
    /** Weights of linear light as the eye takes it (IEC 61966-2-1). */
    private static final double[] EYE = {0.2126, 0.7152, 0.0722};

    private final ColourRaster picture;

    LitPicture(ColourRaster picture) {
        this.picture = picture;
    }

    int width() {
        return picture.width();
    }

    int height() {
        return picture.height();
    }

    double light(int channel, Place at) {
        Raster raster = picture.channel(channel);
        double x = Math.max(0, Math.min(raster.width() - 1.0, at.x() * raster.width() - 0.5));
        double y = Math.max(0, Math.min(raster.height() - 1.0, at.y() * raster.height() - 0.5));
        int left = (int) x;
        int top = (int) y;
        int right = Math.min(raster.width() - 1, left + 1);
        int bottom = Math.min(raster.height() - 1, top + 1);
        double across = x - left;
        double down = y - top;
        double upper = raster.at(left, top) * (1 - across) + raster.at(right, top) * across;
        double lower = raster.at(left, bottom) * (1 - across) + raster.at(right, bottom) * across;
        return upper * (1 - down) + lower * down;
    }

    /** log10 of the light of a channel. */
    double log(int channel, Place at) {
        return Math.log10(Math.max(LEAST, light(channel, at)));
    }

    /** log10 of the light as the eye takes it. */
    double log(Place at) {
        double sum = 0;
        for (int c = 0; c < CHANNELS; c++) {
            sum += EYE[c] * light(c, at);
        }
        return Math.log10(Math.max(LEAST, sum));
    }

    /** The share of white's light as the eye takes it, each channel against its own white. */
    double share(Place at, WhiteOfPaper white) {
        double sum = 0;
        for (int c = 0; c < CHANNELS; c++) {
            sum += EYE[c] * light(c, at) / Math.pow(10, white.log(c, at));
        }
        return Math.max(LEAST, sum);
    }
}
