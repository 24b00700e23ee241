package keyslate.server.attack;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.GZIPOutputStream;
import javax.imageio.ImageIO;

/** Files that are damaged, foreign, or larger than they look. */
final class Bad {
    private static final byte[] PNG_HEAD = {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10};
    /** One pixel more than 100 megapixels, in two shapes. */
    private static final List<int[]> TOO_LARGE =
            List.of(new int[] {10_000, 10_001}, new int[] {65_000, 65_000}, new int[] {100_000_001, 1});

    private static final int GREY = 0;
    private static final int COLOUR = 2;
    private static final List<String> FOREIGN = List.of(
            "GIF89a\u0001\u0000\u0001\u0000",
            "BM6\u0000\u0000",
            "%PDF-1.7\n",
            "<svg xmlns='http://www.w3.org/2000/svg'/>",
            "PK\u0003\u0004",
            "II*\u0000",
            "#!/bin/sh\n",
            "RIFF\u0000\u0000\u0000\u0000WEBP",
            "<html><script>1</script>",
            "");

    private final Random random;
    private final byte[][] good;

    Bad(Random random) {
        this.random = random;
        this.good = new byte[][] {
            encoded("png", BufferedImage.TYPE_INT_RGB), encoded("png", BufferedImage.TYPE_BYTE_GRAY),
            encoded("jpeg", BufferedImage.TYPE_INT_RGB), encoded("jpeg", BufferedImage.TYPE_BYTE_GRAY),
            encoded("png", BufferedImage.TYPE_USHORT_GRAY), encoded("png", BufferedImage.TYPE_INT_ARGB),
            encoded("png", BufferedImage.TYPE_BYTE_INDEXED), encoded("tiff", BufferedImage.TYPE_3BYTE_BGR),
            encoded("tiff", BufferedImage.TYPE_BYTE_GRAY), encoded("tiff", BufferedImage.TYPE_USHORT_GRAY),
            encoded("tiff", BufferedImage.TYPE_BYTE_INDEXED)
        };
    }

    private byte[] encoded(String format, int type) {
        BufferedImage image = new BufferedImage(160, 120, type);
        for (int y = 0; y < 120; y++) {
            for (int x = 0; x < 160; x++) {
                image.setRGB(x, y, 0xff000000 | (x * 255 / 160) << 16 | (y * 255 / 120) << 8 | random.nextInt(256));
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, format, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** A picture that may be none. */
    byte[] picture() {
        byte[] file = good[random.nextInt(good.length)].clone();
        return switch (random.nextInt(9)) {
            case 0 -> file;
            case 1 -> cut(file);
            case 2 -> flipped(file, 1 + random.nextInt(4));
            case 3 -> flipped(file, 200);
            case 4 -> swollen(file);
            case 5 -> bomb();
            case 6 -> foreign();
            case 7 -> claimsToBeLarge(file);
            default -> joined(file, good[random.nextInt(good.length)]);
        };
    }

    private byte[] cut(byte[] file) {
        return Arrays.copyOf(file, random.nextInt(file.length));
    }

    /** Bits turned anywhere. */
    byte[] flipped(byte[] file, int times) {
        byte[] copy = file.clone();
        for (int i = 0; i < times && copy.length > 0; i++) {
            copy[random.nextInt(copy.length)] ^= (byte) (1 << random.nextInt(8));
        }
        return copy;
    }

    /** A piece of it twice. */
    byte[] swollen(byte[] file) {
        int from = random.nextInt(file.length);
        byte[] piece = Arrays.copyOfRange(file, from, Math.min(file.length, from + 1 + random.nextInt(2000)));
        return joined(joined(Arrays.copyOf(file, from), piece), Arrays.copyOfRange(file, from, file.length));
    }

    private static byte[] joined(byte[] one, byte[] other) {
        byte[] both = Arrays.copyOf(one, one.length + other.length);
        System.arraycopy(other, 0, both, one.length, other.length);
        return both;
    }

    private byte[] foreign() {
        String head = FOREIGN.get(random.nextInt(FOREIGN.size()));
        byte[] noise = new byte[random.nextInt(3000)];
        random.nextBytes(noise);
        return joined(head.getBytes(StandardCharsets.ISO_8859_1), noise);
    }

    /** A few kilobytes that unpack to more than there is room for. */
    byte[] bomb() {
        int[] size = TOO_LARGE.get(random.nextInt(TOO_LARGE.size()));
        int depth = random.nextBoolean() ? COLOUR : GREY;
        return png(size[0], size[1], depth, random.nextBoolean() ? 30_000_000 : 10);
    }

    /** The size in the head of a PNG is another one than that of its rows; an entry of a TIFF is anything. */
    private byte[] claimsToBeLarge(byte[] file) {
        if (file[0] == 'I' || file[0] == 'M') {
            return lies(file);
        }
        if (file[0] != PNG_HEAD[0]) {
            return cut(file);
        }
        ByteBuffer head = ByteBuffer.wrap(file);
        head.putInt(16, 1 << random.nextInt(31));
        CRC32 sum = new CRC32();
        sum.update(file, 12, 17);
        head.putInt(29, (int) sum.getValue());
        return file;
    }

    /** One entry of a TIFF's directory, its count or its value, is as large as may be: sides, strips, tiles, places. */
    private byte[] lies(byte[] tiff) {
        ByteBuffer file = ByteBuffer.wrap(tiff).order(tiff[0] == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
        int directory = file.getInt(4);
        int entry = directory + 2 + 12 * random.nextInt(file.getShort(directory));
        file.putInt(entry + (random.nextBoolean() ? 4 : 8), 1 << random.nextInt(32));
        return tiff;
    }

    /** A PNG of zeros, of so many bytes of them, whatever its head says. */
    static byte[] png(int width, int height, int colour, int zeros) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(PNG_HEAD);
        byte[] head = ByteBuffer.allocate(13)
                .putInt(width)
                .putInt(height)
                .put((byte) 8)
                .put((byte) colour)
                .put((byte) 0)
                .put((byte) 0)
                .put((byte) 0)
                .array();
        chunk(out, "IHDR", head);
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (DeflaterOutputStream deflated = new DeflaterOutputStream(packed, new Deflater(Deflater.BEST_SPEED))) {
            byte[] piece = new byte[Math.min(zeros, 1 << 16)];
            for (int left = zeros; left > 0; left -= piece.length) {
                deflated.write(piece);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        chunk(out, "IDAT", packed.toByteArray());
        chunk(out, "IEND", new byte[0]);
        return out.toByteArray();
    }

    private static void chunk(ByteArrayOutputStream out, String type, byte[] data) {
        byte[] named = joined(type.getBytes(StandardCharsets.US_ASCII), data);
        CRC32 sum = new CRC32();
        sum.update(named);
        out.writeBytes(ByteBuffer.allocate(4).putInt(data.length).array());
        out.writeBytes(named);
        out.writeBytes(ByteBuffer.allocate(4).putInt((int) sum.getValue()).array());
    }

    /** A slate file that may be none; one in a few is as it should be. */
    byte[] slate(String text) {
        byte[] file = text.getBytes(StandardCharsets.UTF_8);
        return switch (random.nextInt(12)) {
            case 0 -> file;
            case 1 -> cut(file);
            case 2 -> flipped(file, 1);
            case 3 -> flipped(file, 50);
            case 4 -> swollen(file);
            case 5 -> changed(text, "\"formatVersion\"\\s*:\\s*\\d+", "\"formatVersion\": " + (3 + random.nextInt(90)));
            case 6 -> changed(text, "\"format\"\\s*:\\s*\"[^\"]*\"", "\"format\": \"other\"");
            case 7 -> changed(text, "(\"[a-z][A-Za-z]*\"\\s*:\\s*)-?[0-9.]+", "$1" + number());
            case 8 ->
                changed(
                        text,
                        "(\"(?:file|working)\"\\s*:\\s*\")[^\"]*",
                        "$1" + java.util.Base64.getEncoder().encodeToString(random.nextBoolean() ? bomb() : picture()));
            case 9 -> packed(file);
            case 10 -> changed(text, "(\"[a-zA-Z]*[iI]d\"\\s*:\\s*)\"[^\"]*\"", "$1\"none\"");
            default -> "[".repeat(100_000).getBytes(StandardCharsets.UTF_8);
        };
    }

    private String number() {
        return List.of("1e999", "-1", "0", "1e308", "NaN", "9223372036854775808", "0.5", "null", "\"7\"", "[1]")
                .get(random.nextInt(10));
    }

    /** One of the places that a pattern finds, replaced. */
    private byte[] changed(String text, String pattern, String by) {
        java.util.regex.Matcher matcher =
                java.util.regex.Pattern.compile(pattern).matcher(text);
        int found = (int) matcher.results().count();
        matcher.reset();
        int chosen = found == 0 ? -1 : random.nextInt(found);
        StringBuilder out = new StringBuilder();
        for (int i = 0; matcher.find(); i++) {
            if (i == chosen) {
                matcher.appendReplacement(out, by);
            }
        }
        matcher.appendTail(out);
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] packed(byte[] file) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
            gzip.write(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
