package keyslate.server.picture;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Map;
import java.util.TreeMap;

/** A TIFF of one strip, written plainly, so that its colours, orientation and profile are what a test says. */
public final class TiffFile {
    private static final int SHORT = 3;
    private static final int LONG = 4;
    private static final int UNDEFINED = 7;
    private static final int HEAD = 8;
    private static final int ENTRY = 12;

    private final Map<Integer, Integer> tags = new TreeMap<>();
    private final byte[] pixels;
    private final int samples;
    private final int bits;
    private byte[] profile = new byte[0];

    /** Pixels row by row, samples side by side; of 16 bit the low byte first. Photometric: 1 grey, 2 RGB, 5 four inks. */
    public TiffFile(int width, int height, int samples, int bits, int photometric, byte[] pixels) {
        this.pixels = pixels;
        this.samples = samples;
        this.bits = bits;
        tags.put(256, width);
        tags.put(257, height);
        tags.put(259, 1);
        tags.put(262, photometric);
        tags.put(277, samples);
        tags.put(278, height);
        tags.put(279, pixels.length);
        tags.put(284, 1);
    }

    TiffFile orientation(int exif) {
        tags.put(274, exif);
        return this;
    }

    TiffFile profile(byte[] bytes) {
        profile = bytes;
        return this;
    }

    public byte[] bytes() {
        int entries = tags.size() + 2 + (profile.length > 0 ? 1 : 0);
        int depths = HEAD + 2 + entries * ENTRY + 4;
        int pixelsAt = depths + 2 * samples;
        int profileAt = pixelsAt + pixels.length;
        tags.put(273, pixelsAt);
        ByteBuffer out = ByteBuffer.allocate(profileAt + profile.length).order(ByteOrder.LITTLE_ENDIAN);
        out.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(HEAD);
        out.putShort((short) entries);
        boolean depthsWritten = false;
        for (Map.Entry<Integer, Integer> tag : tags.entrySet()) {
            if (!depthsWritten && tag.getKey() > 258) {
                depths(out, depths);
                depthsWritten = true;
            }
            out.putShort(tag.getKey().shortValue())
                    .putShort((short) LONG)
                    .putInt(1)
                    .putInt(tag.getValue());
        }
        if (profile.length > 0) {
            out.putShort((short) 34675)
                    .putShort((short) UNDEFINED)
                    .putInt(profile.length)
                    .putInt(profileAt);
        }
        out.putInt(0);
        for (int i = 0; i < samples; i++) {
            out.putShort((short) bits);
        }
        return out.put(pixels).put(profile).array();
    }

    private void depths(ByteBuffer out, int at) {
        out.putShort((short) 258).putShort((short) SHORT).putInt(samples);
        if (samples > 2) {
            out.putInt(at);
        } else {
            out.putShort((short) bits).putShort((short) (samples == 2 ? bits : 0));
        }
    }
}
