package keyslate.server.picture;

import java.awt.image.BufferedImage;
import java.awt.image.WritableRaster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.function.DoubleToIntFunction;
import javax.imageio.ImageIO;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import keyslate.core.darkroom.ColourRaster;

/** PNG files of 16 bit, grey or in colour. */
final class DeepPng {
    /** The highest code of a sample. */
    static final int LARGEST_CODE = 65535;

    private static final int USUAL_BYTES = 1 << 20;

    private DeepPng() {}

    /**
     * A picture as a file.
     *
     * @param code of a sample, 0 to {@value #LARGEST_CODE}
     */
    static byte[] of(ColourRaster picture, DoubleToIntFunction code) {
        boolean grey = picture.red() == picture.green();
        float[][] planes = grey
                ? new float[][] {picture.red().samples()}
                : new float[][] {
                    picture.red().samples(),
                    picture.green().samples(),
                    picture.blue().samples()
                };
        BufferedImage image = PictureFiles.deep(picture.width(), picture.height(), planes.length);
        WritableRaster raster = image.getRaster();
        int[] row = new int[planes.length * picture.width()];
        for (int y = 0; y < picture.height(); y++) {
            for (int x = 0; x < picture.width(); x++) {
                for (int p = 0; p < planes.length; p++) {
                    row[x * planes.length + p] = code.applyAsInt(planes[p][y * picture.width() + x]);
                }
            }
            raster.setPixels(0, y, picture.width(), 1, row);
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream(USUAL_BYTES);
        try (MemoryCacheImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
            ImageIO.write(image, "png", stream);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
