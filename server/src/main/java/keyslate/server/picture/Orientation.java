package keyslate.server.picture;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.io.File;
import java.io.IOException;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Raster;
import keyslate.core.reading.Corners.Place;

/** How a stored picture is turned and mirrored to stand upright: EXIF 1 to 8, 1 where nothing is said. */
record Orientation(int exif) {
    private static final int TURNED_FROM = 5;

    static Orientation of(File file) {
        try {
            ExifIFD0Directory found =
                    ImageMetadataReader.readMetadata(file).getFirstDirectoryOfType(ExifIFD0Directory.class);
            int exif = found == null || !found.containsTag(ExifIFD0Directory.TAG_ORIENTATION)
                    ? 1
                    : found.getInt(ExifIFD0Directory.TAG_ORIENTATION);
            return new Orientation(exif < 1 || exif > 8 ? 1 : exif);
        } catch (ImageProcessingException | MetadataException | IOException e) {
            return new Orientation(1);
        }
    }

    /** Whether width and height change places. */
    boolean turns() {
        return exif >= TURNED_FROM;
    }

    /** A place of the upright picture in the file as it is stored. */
    Place asStored(Place p) {
        return switch (exif) {
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

    ColourRaster upright(ColourRaster stored) {
        if (exif == 1) {
            return stored;
        }
        Raster red = upright(stored.red());
        return stored.red() == stored.green()
                ? new ColourRaster(red, red, red)
                : new ColourRaster(red, upright(stored.green()), upright(stored.blue()));
    }

    private Raster upright(Raster stored) {
        int w = stored.width();
        int h = stored.height();
        int width = turns() ? h : w;
        int height = turns() ? w : h;
        float[] from = stored.samples();
        float[] to = new float[from.length];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                Place at = asStored(new Place((x + 0.5) / width, (y + 0.5) / height));
                to[y * width + x] = from[(int) (at.y() * h) * w + (int) (at.x() * w)];
            }
        }
        return Raster.over(width, height, to);
    }
}
