package keyslate.server.negative;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.WritableRaster;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import keyslate.core.darkroom.Raster;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.server.web.RefusedException;
import keyslate.store.negative.Picture;

/** Picture files to scene light and back: PNG and JPEG, 8 bit sRGB or 16 bit linear. */
public final class PictureFiles {
    /** Longest side that is kept for work on screen; more would only cost memory. */
    public static final int WORKING_SIDE = 960;

    private static final double WHITE_CODE_16 = 16384.0;
    private static final long MOST_PIXELS = 120_000_000L;
    private static final float JPEG_QUALITY = 0.9f;

    static {
        ImageIO.setUseCache(false);
    }

    private PictureFiles() {}

    /** What an uploaded file is. */
    public record Described(String mediaType, String encoding, int widthPx, int heightPx) {}

    /** Looks into a file without decoding it whole; refuses what is no PNG or JPEG, or is too large. */
    public static Described describe(byte[] file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw notAPicture();
            }
            ImageReader reader = readers.next();
            String format = reader.getFormatName().toLowerCase(java.util.Locale.ROOT);
            boolean jpeg = format.contains("jp");
            if (!jpeg && !format.contains("png")) {
                throw notAPicture();
            }
            reader.setInput(in, true, true);
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            if ((long) width * height > MOST_PIXELS) {
                throw RefusedException.of(
                        "/file", "E_RANGE", "The picture has " + width + " × " + height + " pixels; 120 million fit.");
            }
            boolean turned = jpeg && orientation(file) >= 5;
            return new Described(
                    jpeg ? "image/jpeg" : "image/png",
                    Picture.SRGB_8,
                    turned ? height : width,
                    turned ? width : height);
        } catch (IOException e) {
            throw notAPicture();
        }
    }

    private static RefusedException notAPicture() {
        return RefusedException.of("/file", "E_SHAPE", "This is not a PNG or JPEG picture, or it is damaged.");
    }

    /** Scene light of a positive, 1 = a white diffuser, at most {@link #WORKING_SIDE} pixels long. */
    public static Raster toScene(byte[] file, String encoding) {
        BufferedImage image = decode(file);
        float[] light = Picture.LINEAR_16.equals(encoding) ? linear(image) : decoded(image);
        return Raster.over(image.getWidth(), image.getHeight(), light).reducedTo(WORKING_SIDE);
    }

    /** One grey byte a pixel as a JPEG file. */
    public static byte[] greyJpeg(byte[] grey, int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        image.getRaster().setDataElements(0, 0, width, height, grey);
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream out = new ByteArrayOutputStream(width * height / 4);
        try (MemoryCacheImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionQuality(JPEG_QUALITY);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(image, null, null), param);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    /** One grey byte a pixel as a BMP file: large but made in no time, for previews that never leave the machine. */
    public static byte[] greyBmp(byte[] grey, int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        image.getRaster().setDataElements(0, 0, width, height, grey);
        ByteArrayOutputStream out = new ByteArrayOutputStream(grey.length + 2048);
        try (MemoryCacheImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
            ImageIO.write(image, "bmp", stream);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static BufferedImage decode(byte[] file) {
        try {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(file));
            if (image == null) {
                throw notAPicture();
            }
            return upright(image, orientation(file));
        } catch (IOException | IndexOutOfBoundsException | IllegalArgumentException e) {
            throw notAPicture();
        }
    }

    /** EXIF orientation 1 to 8; 1 when there is none. */
    private static int orientation(byte[] file) {
        try {
            ExifIFD0Directory exif = ImageMetadataReader.readMetadata(new ByteArrayInputStream(file))
                    .getFirstDirectoryOfType(ExifIFD0Directory.class);
            Integer found = exif == null ? null : exif.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
            return found == null || found < 1 || found > 8 ? 1 : found;
        } catch (ImageProcessingException | IOException e) {
            return 1;
        }
    }

    /** Turns and mirrors as the EXIF orientation says. */
    private static BufferedImage upright(BufferedImage from, int orientation) {
        if (orientation == 1) {
            return from;
        }
        boolean swapped = orientation >= 5;
        int w = from.getWidth();
        int h = from.getHeight();
        BufferedImage to = new BufferedImage(swapped ? h : w, swapped ? w : h, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                int tx = switch (orientation) {
                    case 2, 3 -> w - 1 - x;
                    case 6, 7 -> h - 1 - y;
                    case 5, 8 -> y;
                    default -> x;
                };
                int ty = switch (orientation) {
                    case 3, 4 -> h - 1 - y;
                    case 7, 8 -> w - 1 - x;
                    case 5, 6 -> x;
                    default -> y;
                };
                to.setRGB(tx, ty, from.getRGB(x, y));
            }
        }
        return to;
    }

    private static float[] linear(BufferedImage image) {
        WritableRaster raster = image.getRaster();
        int w = image.getWidth();
        int h = image.getHeight();
        float[] light = new float[w * h];
        double scale = raster.getTransferType() == DataBuffer.TYPE_USHORT ? 1 / WHITE_CODE_16 : 4.0 / 255;
        int[] row = new int[w * raster.getNumBands()];
        for (int y = 0; y < h; y++) {
            raster.getPixels(0, y, w, 1, row);
            for (int x = 0; x < w; x++) {
                light[y * w + x] = (float) (scale * luminance(row, x, raster.getNumBands()));
            }
        }
        return light;
    }

    private static double luminance(int[] row, int x, int bands) {
        return bands < 3
                ? row[x * bands]
                : 0.2126 * row[x * bands] + 0.7152 * row[x * bands + 1] + 0.0722 * row[x * bands + 2];
    }

    private static float[] decoded(BufferedImage image) {
        float[] table = new float[256];
        for (int i = 0; i < table.length; i++) {
            table[i] = (float) ToneEncoding.decode(i);
        }
        int w = image.getWidth();
        int h = image.getHeight();
        float[] light = new float[w * h];
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                int rgb = image.getRGB(x, y);
                light[y * w + x] = 0.2126f * table[rgb >> 16 & 0xff]
                        + 0.7152f * table[rgb >> 8 & 0xff]
                        + 0.0722f * table[rgb & 0xff];
            }
        }
        return light;
    }
}
