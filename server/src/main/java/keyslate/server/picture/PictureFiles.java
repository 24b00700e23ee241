package keyslate.server.picture;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.jpeg.JpegDirectory;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.WritableRaster;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.concurrent.Semaphore;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
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

/** Picture files to linear light and back: JPEG, PNG and TIFF, 8 or 16 bit. */
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

    private static final int MOST_BITS = 16;

    private static final float JPEG_QUALITY = 0.9f;
    static final float WORKING_QUALITY = 0.96f;
    private static final Semaphore DECODING = new Semaphore(1, true);

    static {
        ImageIO.setUseCache(false);
    }

    private PictureFiles() {}

    /**
     * What an uploaded file is; sides as the picture stands upright.
     *
     * @param isProfiled whether it says what its colours mean; those of others are taken for sRGB
     */
    public record Described(String mediaType, int widthPx, int heightPx, boolean isProfiled) {}

    /** Looks into a file without decoding it; refuses what is no JPEG, PNG or TIFF of 8 or 16 bit, or has too many pixels. */
    public static Described describe(Path path) {
        File file = path.toFile();
        return read(file, reader -> {
            PictureKind kind = PictureKind.ofFormat(reader.getFormatName()).orElseThrow(PictureFiles::notAPicture);
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            boolean jpeg = kind == PictureKind.JPEG;
            long most = jpeg && isProgressive(file) ? MOST_PIXELS_PROGRESSIVE : MOST_PIXELS;
            if ((long) width * height > most) {
                throw RefusedException.of(
                        "/file",
                        "E_RANGE",
                        "The picture has " + width + " × " + height + " pixels; " + most / 1_000_000 + " million fit"
                                + (most < MOST_PIXELS ? " in a progressive JPEG." : "."));
            }
            refuseDeeper(reader);
            boolean turned = Orientation.of(file).turns();
            return new Described(
                    kind.mediaType(), turned ? height : width, turned ? width : height, EmbeddedProfile.isIn(file));
        });
    }

    private static void refuseDeeper(ImageReader reader) throws IOException {
        ImageTypeSpecifier raw = reader.getRawImageType(0);
        if (raw != null && raw.getSampleModel().getSampleSize(0) > MOST_BITS) {
            throw RefusedException.of(
                    "/file", "E_SHAPE", "Pictures of 8 or 16 bit a colour are taken in; save this one as 16 bit.");
        }
    }

    /** The light of a picture, upright, decoded with as few pixels as do for a working copy. */
    public static ColourRaster light(Path path) {
        File file = path.toFile();
        ColourRaster light = read(file, reader -> {
            int longer = Math.max(reader.getWidth(0), reader.getHeight(0));
            ImageReadParam param = reader.getDefaultReadParam();
            int every = Math.max(1, longer / WORKING_COPY_SIDE);
            param.setSourceSubsampling(every, every, 0, 0);
            return LinearLight.of(reader.read(0, param), EmbeddedProfile.leftAside(reader));
        });
        return Orientation.of(file).upright(light);
    }

    /** An empty picture of 16 bit, grey or in colour. */
    static BufferedImage deep(int width, int height, int planes) {
        ColorModel model = new ComponentColorModel(
                ColorSpace.getInstance(planes == 1 ? ColorSpace.CS_GRAY : ColorSpace.CS_sRGB),
                false,
                false,
                Transparency.OPAQUE,
                DataBuffer.TYPE_USHORT);
        return new BufferedImage(model, model.createCompatibleWritableRaster(width, height), false, null);
    }

    /** The codes of linear light. */
    public static Look look(ColourRaster light) {
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
        return (Picture.LINEAR_16.equals(encoding) ? linear16(image) : LinearLight.of(image, null))
                .reducedTo(WORKING_SIDE);
    }

    /** A scan as it is looked at. */
    public static Look toLook(byte[] working) {
        return look(LinearLight.of(decode(working), null));
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
        ImageWriter writer = ImageIO.getImageWritersByFormatName("bmp").next();
        try (MemoryCacheImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
            writer.setOutput(stream);
            // Of an image the writer copies every sample before it begins; a raster it takes as it is.
            writer.write(null, look.planes() == 1 ? new IIOImage(image(look), null, null) : inRows(look), null);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    /** The samples in the order that a BMP has them: blue, green, red. */
    private static IIOImage inRows(Look look) {
        byte[] from = look.samples();
        byte[] bytes = new byte[from.length];
        for (int i = 0; i < from.length; i += 3) {
            bytes[i] = from[i + 2];
            bytes[i + 1] = from[i + 1];
            bytes[i + 2] = from[i];
        }
        WritableRaster raster = WritableRaster.createInterleavedRaster(
                new DataBufferByte(bytes, bytes.length),
                look.width(),
                look.height(),
                3 * look.width(),
                3,
                new int[] {2, 1, 0},
                null);
        return new IIOImage(raster, null, null);
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
        } catch (RefusedException e) {
            throw e;
        } catch (IOException | RuntimeException | OutOfMemoryError e) {
            // Readers fail in whatever way on what is damaged, or ask for an array as large as a damaged number says.
            throw notAPicture();
        } finally {
            if (reader != null) {
                reader.dispose();
            }
        }
    }

    private static RefusedException notAPicture() {
        return RefusedException.of("/file", "E_SHAPE", "This is not a JPEG, PNG or TIFF picture, or it is damaged.");
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
}
