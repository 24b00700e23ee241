package keyslate.server.negative;

import java.awt.Rectangle;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageReadParam;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Raster;
import keyslate.core.reading.Corners;
import keyslate.core.reading.Corners.Place;

/** The paper in a picture of it, cropped by its corners and squared. */
final class SquaredPicture {
    /** Each pixel is the mean of so many places a side in it, so that fine grain does not turn into noise. */
    private static final int SAMPLES = 2;
    /** One pixel more all round, so that a corner on the edge has neighbours. */
    private static final int MARGIN = 1;

    private SquaredPicture() {}

    /**
     * A working copy of the paper alone (REA-13): only the part of the file that holds it is decoded, with as few pixels as
     * do.
     *
     * <p>The result is a JPEG in sRGB codes, at most {@value PictureFiles#WORKING_COPY_SIDE} pixels long and never larger than what was
     * decoded.
     *
     * @param corners of the paper in the picture as it stands upright
     * @param aspect width of the paper over its height
     * @throws keyslate.server.web.RefusedException when the file is damaged
     */
    static byte[] of(Path file, Corners corners, double aspect) {
        int orientation = PictureFiles.orientation(file.toFile());
        ColourRaster paper = PictureFiles.read(file.toFile(), reader -> {
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            Rectangle part = part(corners, orientation, width, height);
            ImageReadParam param = reader.getDefaultReadParam();
            int every = 1 + (Math.max(part.width, part.height) - 1) / (2 * PictureFiles.WORKING_COPY_SIDE);
            param.setSourceRegion(part);
            param.setSourceSubsampling(every, every, 0, 0);
            ColourRaster light = PictureFiles.linear(reader.read(0, param));
            Finder finder = (u, v) -> {
                Place raw = asStored(corners.at(u, v), orientation);
                return new Place((raw.x() * width - part.x) / every - 0.5, (raw.y() * height - part.y) / every - 0.5);
            };
            return squared(light, finder, aspect);
        });
        return PictureFiles.jpeg(PictureFiles.look(paper), PictureFiles.WORKING_QUALITY);
    }

    /** From a place of the paper to one of the decoded part, in pixels. */
    private interface Finder {
        Place at(double u, double v);
    }

    private static Rectangle part(Corners corners, int orientation, int width, int height) {
        List<Place> raw =
                corners.places().stream().map(p -> asStored(p, orientation)).toList();
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

    /** A place of the upright picture in the file as it is stored, by its EXIF orientation. */
    private static Place asStored(Place p, int orientation) {
        return switch (orientation) {
            case 2 -> new Place(1 - p.x(), p.y());
            case 3 -> new Place(1 - p.x(), 1 - p.y());
            case 4 -> new Place(p.x(), 1 - p.y());
            case 5 -> new Place(p.y(), p.x());
            case 6 -> new Place(p.y(), 1 - p.x());
            case 7 -> new Place(1 - p.y(), 1 - p.x());
            case 8 -> new Place(1 - p.y(), p.x());
            default -> p;
        };
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
