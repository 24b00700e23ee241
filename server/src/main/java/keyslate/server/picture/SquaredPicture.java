package keyslate.server.picture;

import java.awt.Rectangle;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageReadParam;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Raster;
import keyslate.core.reading.Corners;
import keyslate.core.reading.Corners.Place;

/** The paper in a picture of it, cropped by its corners and squared. */
public final class SquaredPicture {
    /** The encoding of sRGB (IEC 61966-2-1), for more than the 8 bit of {@code ToneEncoding}. */
    private static final double LINEAR_BELOW = 0.0031308;

    private static final double LINEAR_SLOPE = 12.92;
    /** Each pixel is the mean of so many places a side in it, so that fine grain does not turn into noise. */
    private static final int SAMPLES = 2;
    /** One pixel more all round, so that a corner on the edge has neighbours. */
    private static final int MARGIN = 1;

    private SquaredPicture() {}

    /**
     * The light of the paper alone (REA-13): only the part of the file that holds it is decoded, with as few pixels as
     * do.
     *
     * <p>The result is at most {@value PictureFiles#WORKING_COPY_SIDE} pixels long and never larger than what was
     * decoded.
     *
     * @param corners of the paper in the picture as it stands upright
     * @param aspect width of the paper over its height
     * @throws keyslate.server.web.RefusedException when the file is damaged
     */
    static ColourRaster of(Path file, Corners corners, double aspect) {
        Orientation orientation = Orientation.of(file.toFile());
        return PictureFiles.read(file.toFile(), reader -> {
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            Rectangle part = part(corners, orientation, width, height);
            ImageReadParam param = reader.getDefaultReadParam();
            int every = 1 + (Math.max(part.width, part.height) - 1) / (2 * PictureFiles.WORKING_COPY_SIDE);
            param.setSourceRegion(part);
            param.setSourceSubsampling(every, every, 0, 0);
            ColourRaster light = LinearLight.of(reader.read(0, param), EmbeddedProfile.leftAside(reader));
            Finder finder = (u, v) -> {
                Place raw = orientation.asStored(corners.at(u, v));
                return new Place((raw.x() * width - part.x) / every - 0.5, (raw.y() * height - part.y) / every - 0.5);
            };
            return squared(light, finder, aspect);
        });
    }

    /**
     * The same as a file of its own, 16 bit in sRGB.
     *
     * @throws keyslate.server.web.RefusedException when the file is damaged
     */
    public static byte[] cutOut(Path file, Corners corners, double aspect) {
        return DeepPng.of(of(file, corners, aspect), light -> {
            double c = Math.max(0, Math.min(1, light));
            double coded = c <= LINEAR_BELOW ? LINEAR_SLOPE * c : 1.055 * Math.pow(c, 1 / 2.4) - 0.055;
            return (int) Math.round(DeepPng.LARGEST_CODE * coded);
        });
    }

    /** From a place of the paper to one of the decoded part, in pixels. */
    private interface Finder {
        Place at(double u, double v);
    }

    private static Rectangle part(Corners corners, Orientation orientation, int width, int height) {
        List<Place> raw = corners.places().stream().map(orientation::asStored).toList();
        double left = raw.stream().mapToDouble(Place::x).min().orElse(0);
        double right = raw.stream().mapToDouble(Place::x).max().orElse(1);
        double top = raw.stream().mapToDouble(Place::y).min().orElse(0);
        double bottom = raw.stream().mapToDouble(Place::y).max().orElse(1);
        int x = Math.max(0, (int) (left * width) - MARGIN);
        int y = Math.max(0, (int) (top * height) - MARGIN);
        int x2 = Math.min(width, (int) Math.ceil(right * width) + MARGIN);
        int y2 = Math.min(height, (int) Math.ceil(bottom * height) + MARGIN);
        return new Rectangle(x, y, Math.max(1, x2 - x), Math.max(1, y2 - y));
    }

    private static ColourRaster squared(ColourRaster from, Finder finder, double aspect) {
        int longest = Math.min(PictureFiles.WORKING_COPY_SIDE, Math.max(from.width(), from.height()));
        int width = Math.max(1, (int) Math.round(aspect >= 1 ? longest : longest * aspect));
        int height = Math.max(1, (int) Math.round(aspect >= 1 ? longest / aspect : longest));
        boolean grey = from.red() == from.green();
        Raster[] planes = grey ? new Raster[] {from.red()} : new Raster[] {from.red(), from.green(), from.blue()};
        float[][] squared = new float[planes.length][width * height];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                for (int s = 0; s < SAMPLES * SAMPLES; s++) {
                    Place at = finder.at(
                            (x + (s % SAMPLES + 0.5) / SAMPLES) / width, (y + (s / SAMPLES + 0.5) / SAMPLES) / height);
                    for (int p = 0; p < planes.length; p++) {
                        squared[p][y * width + x] += between(planes[p], at) / (SAMPLES * SAMPLES);
                    }
                }
            }
        }
        Raster first = Raster.over(width, height, squared[0]);
        return grey
                ? new ColourRaster(first, first, first)
                : new ColourRaster(
                        first, Raster.over(width, height, squared[1]), Raster.over(width, height, squared[2]));
    }

    /** Light between four pixels, by how near each is. */
    private static float between(Raster raster, Place at) {
        double x = Math.max(0, Math.min(raster.width() - 1.0, at.x()));
        double y = Math.max(0, Math.min(raster.height() - 1.0, at.y()));
        int left = (int) x;
        int top = (int) y;
        int right = Math.min(raster.width() - 1, left + 1);
        int bottom = Math.min(raster.height() - 1, top + 1);
        float[] light = raster.samples();
        double across = x - left;
        double down = y - top;
        int w = raster.width();
        double upper = light[top * w + left] * (1 - across) + light[top * w + right] * across;
        double lower = light[bottom * w + left] * (1 - across) + light[bottom * w + right] * across;
        return (float) (upper * (1 - down) + lower * down);
    }
}
