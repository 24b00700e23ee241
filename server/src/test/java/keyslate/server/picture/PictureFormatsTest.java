package keyslate.server.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.IndexColorModel;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.IntUnaryOperator;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.server.web.RefusedException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The same picture is the same light, however it was written. */
class PictureFormatsTest {
    /** A ramp from left to right, four rows high; two different rows tell up from down. */
    private static final int WIDE = 64;

    private static final int HIGH = 32;

    @TempDir
    private Path folder;

    private static int code8(int x, int y) {
        return y < HIGH / 2 ? 4 * x + 2 : 255 - 4 * x;
    }

    private static double lightAt(int x, int y) {
        return ToneEncoding.decode(code8(x, y) / 255.0);
    }

    private Path file(byte[] bytes) {
        try {
            return Files.write(folder.resolve("picture"), bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] encoded(BufferedImage image, String format) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            assertThat(ImageIO.write(image, format, out)).isTrue();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** Samples of the ramp as a TIFF has them; {@code own} makes a sample's code from the ramp's. */
    private static byte[] samples(int count, int bits, IntUnaryOperator own) {
        ByteBuffer out = ByteBuffer.allocate(WIDE * HIGH * count * bits / 8).order(java.nio.ByteOrder.LITTLE_ENDIAN);
        for (int i = 0; i < WIDE * HIGH; i++) {
            int code = own.applyAsInt(code8(i % WIDE, i / WIDE));
            for (int s = 0; s < count; s++) {
                if (bits == 8) {
                    out.put((byte) code);
                } else {
                    out.putShort((short) (code * 257));
                }
            }
        }
        return out.array();
    }

    private static BufferedImage ramp(int type) {
        BufferedImage image = new BufferedImage(WIDE, HIGH, type);
        int bands = image.getRaster().getNumBands();
        boolean deep = type == BufferedImage.TYPE_USHORT_GRAY;
        for (int y = 0; y < HIGH; y++) {
            for (int x = 0; x < WIDE; x++) {
                for (int b = 0; b < bands; b++) {
                    int opaque = b == 3 ? 255 : code8(x, y);
                    image.getRaster().setSample(x, y, b, deep ? opaque * 257 : opaque);
                }
            }
        }
        return image;
    }

    private void assertIsTheRamp(byte[] bytes, double tolerance) {
        Path file = file(bytes);
        PictureFiles.describe(file);
        ColourRaster light = PictureFiles.light(file);
        assertThat(light.width()).isEqualTo(WIDE);
        for (int y = 1; y < HIGH; y += 5) {
            for (int x = 1; x < WIDE; x += 3) {
                double expected = lightAt(x, y);
                for (float found : new float[] {
                    light.red().samples()[y * WIDE + x],
                    light.green().samples()[y * WIDE + x],
                    light.blue().samples()[y * WIDE + x]
                }) {
                    assertThat(found).as(x + ", " + y).isCloseTo((float) expected, within((float) tolerance));
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "png, 10",
        "png, 11",
        "png, 5",
        "png, 6",
        "tiff, 10",
        "tiff, 11",
        "tiff, 5",
    })
    void greyAndColourIn8And16Bit(String format, int type) {
        assertIsTheRamp(encoded(ramp(type), format), 0.001);
    }

    @ParameterizedTest
    @CsvSource({"10", "5"})
    void jpeg(int type) {
        assertIsTheRamp(encoded(ramp(type), "jpeg"), 0.03);
    }

    @Test
    void deepColourInATiff() {
        assertIsTheRamp(new TiffFile(WIDE, HIGH, 3, 16, 2, samples(3, 16, c -> c)).bytes(), 0.001);
        assertIsTheRamp(new TiffFile(WIDE, HIGH, 1, 16, 1, samples(1, 16, c -> c)).bytes(), 0.001);
        // White is 0 here.
        assertIsTheRamp(new TiffFile(WIDE, HIGH, 1, 8, 0, samples(1, 8, c -> 255 - c)).bytes(), 0.001);
    }

    @Test
    void aPalette() {
        byte[] codes = new byte[256];
        for (int i = 0; i < 256; i++) {
            codes[i] = (byte) (255 - i);
        }
        IndexColorModel palette = new IndexColorModel(8, 256, codes, codes, codes);
        BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_BYTE_INDEXED, palette);
        for (int y = 0; y < HIGH; y++) {
            for (int x = 0; x < WIDE; x++) {
                image.getRaster().setSample(x, y, 0, 255 - code8(x, y));
            }
        }
        assertIsTheRamp(encoded(image, "png"), 0.001);
    }

    @Test
    void whatShinesThroughLiesOnWhite() {
        BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_ARGB);
        for (int x = 0; x < WIDE; x++) {
            image.getRaster().setPixel(x, 0, new int[] {0, 0, 0, x < WIDE / 2 ? 0 : 255});
        }
        ColourRaster light = PictureFiles.light(file(encoded(image, "png")));
        assertThat(light.red().samples()[3]).isCloseTo(1f, within(1e-4f));
        assertThat(light.red().samples()[WIDE - 3]).isCloseTo(0f, within(1e-4f));
    }

    @Test
    void fourInks() {
        byte[] inks = new byte[4 * WIDE * HIGH];
        for (int i = 0; i < WIDE * HIGH; i++) {
            // Only the first row has ink: black, cyan, none.
            int x = i % WIDE;
            inks[4 * i + 3] = (byte) (x < 20 ? 255 : 0);
            inks[4 * i] = (byte) (x >= 20 && x < 40 ? 255 : 0);
        }
        ColourRaster light = PictureFiles.light(file(new TiffFile(WIDE, HIGH, 4, 8, 5, inks).bytes()));
        assertThat(light.green().samples()[10]).isLessThan(0.05f);
        assertThat(light.red().samples()[30]).isLessThan(0.2f);
        assertThat(light.blue().samples()[30]).isGreaterThan(0.25f);
        assertThat(light.green().samples()[50]).isGreaterThan(0.95f);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void aTiffStandsAsItsOrientationSays(int exif) {
        byte[] spot = new byte[WIDE * HIGH];
        // The upright picture is light in its upper left corner.
        boolean turned = exif >= 5;
        int width = turned ? HIGH : WIDE;
        int height = turned ? WIDE : HIGH;
        Orientation orientation = new Orientation(exif);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                var at = orientation.asStored(
                        new keyslate.core.reading.Corners.Place((x + 0.5) / width, (y + 0.5) / height));
                int stored = (int) (at.y() * HIGH) * WIDE + (int) (at.x() * WIDE);
                spot[stored] = (byte) (x < 5 && y < 5 ? 255 : 0);
            }
        }
        Path file =
                file(new TiffFile(WIDE, HIGH, 1, 8, 1, spot).orientation(exif).bytes());
        PictureFiles.Described described = PictureFiles.describe(file);
        assertThat(described.widthPx()).isEqualTo(width);
        ColourRaster light = PictureFiles.light(file);
        assertThat(light.width()).isEqualTo(width);
        assertThat(light.red().samples()[0]).isEqualTo(1f);
        assertThat(light.red().samples()[width - 1]).isEqualTo(0f);
        assertThat(light.red().samples()[width * (height - 1)]).isEqualTo(0f);
    }

    @Test
    void aProfileIsMinded() {
        byte[] linear = ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
        IntUnaryOperator asLinear = c -> (int) Math.round(255 * ToneEncoding.decode(c / 255.0));
        byte[] tiff = new TiffFile(WIDE, HIGH, 3, 8, 2, samples(3, 8, asLinear))
                .profile(linear)
                .bytes();
        assertIsTheRamp(tiff, 0.006);
        assertThat(PictureFiles.describe(file(tiff)).isProfiled()).isTrue();
        BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_3BYTE_BGR);
        for (int y = 0; y < HIGH; y++) {
            for (int x = 0; x < WIDE; x++) {
                int code = asLinear.applyAsInt(code8(x, y));
                image.getRaster().setPixel(x, y, new int[] {code, code, code});
            }
        }
        byte[] png = withProfile(encoded(image, "png"), linear);
        assertIsTheRamp(png, 0.006);
        assertThat(PictureFiles.describe(file(png)).isProfiled()).isTrue();
        assertThat(PictureFiles.describe(file(encoded(image, "png"))).isProfiled())
                .isFalse();
    }

    /** The profile stands behind the head of a PNG, 33 bytes long. */
    private static byte[] withProfile(byte[] png, byte[] profile) {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            packed.write("iCCPown\0\0".getBytes(StandardCharsets.ISO_8859_1));
            try (DeflaterOutputStream deflater = new DeflaterOutputStream(packed)) {
                deflater.write(profile);
            }
            CRC32 check = new CRC32();
            check.update(packed.toByteArray());
            out.write(png, 0, 33);
            out.write(ByteBuffer.allocate(4).putInt(packed.size() - 4).array());
            out.write(packed.toByteArray());
            out.write(ByteBuffer.allocate(4).putInt((int) check.getValue()).array());
            out.write(png, 33, png.length - 33);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    @Test
    void deeperThan16BitIsRefusedWithASentence() {
        byte[] floats = new byte[4 * WIDE * HIGH];
        byte[] tiff = new TiffFile(WIDE, HIGH, 1, 32, 1, floats).bytes();
        assertThatThrownBy(() -> PictureFiles.describe(file(tiff)))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("16 bit");
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 7, 40, 120, 300, 1500})
    void aTiffThatEndsEarlyIsDamaged(int length) {
        byte[] whole = new TiffFile(WIDE, HIGH, 3, 8, 2, samples(3, 8, c -> c)).bytes();
        byte[] cut = java.util.Arrays.copyOf(whole, length);
        assertThatThrownBy(() -> PictureFiles.light(file(cut))).isInstanceOf(RefusedException.class);
    }
}
