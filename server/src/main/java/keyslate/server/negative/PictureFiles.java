package keyslate.server.negative;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.jpeg.JpegDirectory;
import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.WritableRaster;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Locale;
import java.util.concurrent.Semaphore;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Raster;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.server.web.RefusedException;
import keyslate.store.negative.Picture;

/** Picture files to linear light and back: PNG and JPEG, 8 bit sRGB or 16 bit. */
public final class PictureFiles {
    /** Longest side that is kept for work on screen; more would only cost memory. */
    public static final int WORKING_SIDE = 960;

    /** Most bytes of a picture file. */
    public static final long MOST_BYTES = 200L << 20;

    static final int WORKING_COPY_SIDE = 1280;
    private static final double WHITE_CODE_16 = 16384.0;
    private static final long MOST_PIXELS = 100_000_000L;
    /** A progressive JPEG is held whole while it is decoded. */
    private static final long MOST_PIXELS_PROGRESSIVE = 40_000_000L;

    private static final float JPEG_QUALITY = 0.9f;
    static final float WORKING_QUALITY = 0.96f;
    private static final int LARGEST_CODE_16 = 65535;
    private static final Semaphore DECODING = new Semaphore(1, true);

    static {
        ImageIO.setUseCache(false);
    }

    private PictureFiles() {}

    /** What an uploaded file is; sides as the picture stands upright. */
    public record Described(String mediaType, int widthPx, int heightPx) {}

    /** Looks into a file without decoding it; refuses what is no PNG or JPEG, or has too many pixels. */
    public static Described describe(Path file) {
        return read(file.toFile(), reader -> {
            String format = reader.getFormatName().toLowerCase(Locale.ROOT);
            boolean jpeg = format.contains("jp");
            if (!jpeg && !format.contains("png")) {
                throw notAPicture();
            }
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            long most = jpeg && isProgressive(file.toFile()) ? MOST_PIXELS_PROGRESSIVE : MOST_PIXELS;
            if ((long) width * height > most) {
                throw RefusedException.of(
                        "/file",
                        "E_RANGE",
                        "The picture has " + width + " × " + height + " pixels; " + most / 1_000_000 + " million fit"
                                + (most < MOST_PIXELS ? " in a progressive JPEG." : "."));
            }
            boolean turned = jpeg && orientation(file.toFile()) >= 5;
            return new Described(jpeg ? "image/jpeg" : "image/png", turned ? height : width, turned ? width : height);
        });
    }

    /** A copy of an sRGB picture that is small enough to be read whole, upright; decoded with as few pixels as do. */
    public static byte[] workingCopy(Path file) {
        BufferedImage image = read(file.toFile(), reader -> {
            int longer = Math.max(reader.getWidth(0), reader.getHeight(0));
            ImageReadParam param = reader.getDefaultReadParam();
            int every = Math.max(1, longer / WORKING_COPY_SIDE);
            param.setSourceSubsampling(every, every, 0, 0);
            return reader.read(0, param);
        });
        ColourRaster light = linear(upright(image, orientation(file.toFile()))).reducedTo(WORKING_COPY_SIDE);
        return jpeg(look(light), WORKING_QUALITY);
    }

    /** The codes of linear light. */
    static Look look(ColourRaster light) {
        int pixels = light.width() * light.height();
        boolean grey = light.red() == light.green();
        byte[] codes = new byte[grey ? pixels : 3 * pixels];
        for (int i = 0; i < pixels; i++) {
            if (grey) {
                codes[i] = (byte) ToneEncoding.encode(light.red().samples()[i]);
            } else {
                codes[3 * i] = (byte) ToneEncoding.encode(light.red().samples()[i]);
                codes[3 * i + 1] = (byte) ToneEncoding.encode(light.green().samples()[i]);
                codes[3 * i + 2] = (byte) ToneEncoding.encode(light.blue().samples()[i]);
            }
        }
        return grey
                ? Look.grey(light.width(), light.height(), codes)
                : Look.colour(light.width(), light.height(), codes);
    }

    /** Linear light of a working copy, 1 = a white diffuser, at most {@link #WORKING_SIDE} pixels long. */
    public static ColourRaster toScene(byte[] working, String encoding) {
        BufferedImage image = decode(working);
        return (Picture.LINEAR_16.equals(encoding) ? linear16(image) : linear(image)).reducedTo(WORKING_SIDE);
    }

    /** A scan as it is looked at. */
    public static Look toLook(byte[] working) {
        return look(linear(decode(working)));
    }

    public static byte[] jpeg(Look look) {
        return jpeg(look, JPEG_QUALITY);
    }

    static byte[] jpeg(Look look, float quality) {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream out = new ByteArrayOutputStream(look.samples().length / 4);
        try (MemoryCacheImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionQuality(quality);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(image(look), null, null), param);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    /** A BMP file: large but made in no time, for previews that never leave the machine. */
    public static byte[] bmp(Look look) {
        ByteArrayOutputStream out = new ByteArrayOutputStream(look.samples().length + 2048);
        try (MemoryCacheImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
            ImageIO.write(image(look), "bmp", stream);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static BufferedImage image(Look look) {
        byte[] from = look.samples();
        if (look.planes() == 1) {
            BufferedImage grey = new BufferedImage(look.width(), look.height(), BufferedImage.TYPE_BYTE_GRAY);
            grey.getRaster().setDataElements(0, 0, look.width(), look.height(), from);
            return grey;
        }
        // The raster's data are in the order red, green, blue, whatever order the bytes stand in.
        BufferedImage colour = new BufferedImage(look.width(), look.height(), BufferedImage.TYPE_3BYTE_BGR);
        colour.getRaster().setDataElements(0, 0, look.width(), look.height(), from);
        return colour;
    }

    interface Reading<T> {
        T with(ImageReader reader) throws IOException;
    }

    /** Reads a file with the reader that knows it; whatever goes wrong in it means a damaged file. */
    static <T> T read(File file, Reading<T> reading) {
        // One file is decoded at a time: what is in memory is bounded, and the lamp keeps a processor.
        DECODING.acquireUninterruptibly();
        try {
            return reading(file, reading);
        } finally {
            DECODING.release();
        }
    }

    private static <T> T reading(File file, Reading<T> reading) {
        ImageReader reader = null;
        try (ImageInputStream in = ImageIO.createImageInputStream(file)) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw notAPicture();
            }
            reader = readers.next();
            reader.setInput(in, true, false);
            return reading.with(reader);
        } catch (IOException | IndexOutOfBoundsException | IllegalArgumentException | NegativeArraySizeException e) {
            throw notAPicture();
        } finally {
            if (reader != null) {
                reader.dispose();
            }
        }
    }

    private static RefusedException notAPicture() {
        return RefusedException.of("/file", "E_SHAPE", "This is not a PNG or JPEG picture, or it is damaged.");
    }

    private static BufferedImage decode(byte[] file) {
        try {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(file));
            if (image == null) {
                throw notAPicture();
            }
            return image;
        } catch (IOException | IndexOutOfBoundsException | IllegalArgumentException e) {
            throw notAPicture();
        }
    }

    private static boolean isProgressive(File file) {
        try {
            JpegDirectory jpeg = ImageMetadataReader.readMetadata(file).getFirstDirectoryOfType(JpegDirectory.class);
            Integer type = jpeg == null ? null : jpeg.getInteger(JpegDirectory.TAG_COMPRESSION_TYPE);
            return type == null || type != 0 && type != 1;
        } catch (ImageProcessingException | IOException e) {
            return true;
        }
    }

    /** EXIF orientation 1 to 8; 1 when there is none. */
    static int orientation(File file) {
        try {
            ExifIFD0Directory exif =
                    ImageMetadataReader.readMetadata(file).getFirstDirectoryOfType(ExifIFD0Directory.class);
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

    private static ColourRaster linear16(BufferedImage image) {
        WritableRaster raster = image.getRaster();
        double scale = raster.getTransferType() == DataBuffer.TYPE_USHORT ? 1 / WHITE_CODE_16 : 4.0 / 255;
        float[][] planes = planes(raster, code -> (float) (scale * code));
        return raster(image, planes);
    }

    private interface Decoding {
        float light(int code);
    }

    /** A plane for each colour of a raster, or one for a grey one; alpha is left out. */
    private static float[][] planes(WritableRaster raster, Decoding decoding) {
        int w = raster.getWidth();
        int h = raster.getHeight();
        int bands = raster.getNumBands();
        float[][] planes = new float[bands < 3 ? 1 : 3][w * h];
        int[] row = new int[w * bands];
        for (int y = 0; y < h; y++) {
            raster.getPixels(0, y, w, 1, row);
            for (int x = 0; x < w; x++) {
                for (int p = 0; p < planes.length; p++) {
                    planes[p][y * w + x] = decoding.light(row[x * bands + p]);
                }
            }
        }
        return planes;
    }

    private static ColourRaster raster(BufferedImage image, float[][] planes) {
        Raster first = Raster.over(image.getWidth(), image.getHeight(), planes[0]);
        return planes.length == 1
                ? new ColourRaster(first, first, first)
                : new ColourRaster(
                        first,
                        Raster.over(image.getWidth(), image.getHeight(), planes[1]),
                        Raster.over(image.getWidth(), image.getHeight(), planes[2]));
    }

    /**
     * sRGB codes to linear light. Grey files are read by their own codes: the platform takes a grey raster for linear
     * light, which would make it a gamma of 2.2 too light.
     */
    static ColourRaster linear(BufferedImage image) {
        if (image.getRaster().getNumBands() < 3
                && image.getColorModel().getColorSpace().getNumComponents() == 1) {
            boolean wide = image.getRaster().getTransferType() == DataBuffer.TYPE_USHORT;
            int bits = image.getColorModel().getComponentSize(0);
            double most = wide ? LARGEST_CODE_16 : (1 << bits) - 1;
            return raster(image, planes(image.getRaster(), code -> decoded(code / most)));
        }
        int w = image.getWidth();
        int h = image.getHeight();
        float[][] planes = new float[3][w * h];
        int[] row = new int[w];
        for (int y = 0; y < h; y++) {
            image.getRGB(0, y, w, 1, row, 0, w);
            for (int x = 0; x < w; x++) {
                planes[0][y * w + x] = (float) ToneEncoding.decode(row[x] >> 16 & 0xff);
                planes[1][y * w + x] = (float) ToneEncoding.decode(row[x] >> 8 & 0xff);
                planes[2][y * w + x] = (float) ToneEncoding.decode(row[x] & 0xff);
            }
        }
        return raster(image, planes);
    }

    private static float decoded(double code) {
        return (float) ToneEncoding.decode(code);
    }
}
