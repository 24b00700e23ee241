package keyslate.core.darkroom;

/**
 * What a finished print looks like on a screen, sRGB, 8 bits a channel. The array is shared and not copied: whoever makes
 * a look must not write to it again.
 */
public final class Look {
    private final int width;
    private final int height;
    private final int planes;
    private final byte[] samples;

    private Look(int width, int height, int planes, byte[] samples) {
        this.width = width;
        this.height = height;
        this.planes = planes;
        this.samples = samples;
    }

    /** One grey byte a pixel. */
    public static Look grey(int width, int height, byte[] grey) {
        return checked(width, height, 1, grey);
    }

    /** Three bytes a pixel: red, green, blue. */
    public static Look colour(int width, int height, byte[] rgb) {
        return checked(width, height, 3, rgb);
    }

    /** From codes with red highest, as the kernel makes them. */
    static Look ofCodes(int width, int height, int[] rgb) {
        byte[] bytes = new byte[3 * rgb.length];
        for (int i = 0; i < rgb.length; i++) {
            bytes[3 * i] = (byte) (rgb[i] >> 16);
            bytes[3 * i + 1] = (byte) (rgb[i] >> 8);
            bytes[3 * i + 2] = (byte) rgb[i];
        }
        return new Look(width, height, 3, bytes);
    }

    private static Look checked(int width, int height, int planes, byte[] samples) {
        if (width < 1 || height < 1 || samples.length != width * height * planes) {
            throw new IllegalArgumentException(
                    width + " × " + height + " × " + planes + " do not match " + samples.length + " samples");
        }
        return new Look(width, height, planes, samples);
    }

    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    /** 1 for grey, 3 for colour. */
    public int planes() {
        return planes;
    }

    /** The bytes themselves, interleaved; read only. */
    public byte[] samples() {
        return samples;
    }

    /** The mean density of a plane, −log10 of each decoded code; code 0 counts as half a code. */
    public double density(int plane) {
        double sum = 0;
        for (int i = Math.min(plane, planes - 1); i < samples.length; i += planes) {
            sum += ToneEncoding.density(samples[i]);
        }
        return sum / (samples.length / planes);
    }

    /** A part of it, pixels; all of it inside. */
    public Look part(int left, int top, int partWidth, int partHeight) {
        if (left < 0
                || top < 0
                || partWidth < 1
                || partHeight < 1
                || left + partWidth > width
                || top + partHeight > height) {
            throw new IllegalArgumentException(partWidth + " × " + partHeight + " at " + left + ", " + top
                    + " reach over " + width + " × " + height);
        }
        byte[] out = new byte[partWidth * partHeight * planes];
        for (int y = 0; y < partHeight; y++) {
            System.arraycopy(
                    samples, ((top + y) * width + left) * planes, out, y * partWidth * planes, partWidth * planes);
        }
        return new Look(partWidth, partHeight, planes, out);
    }

    /** The densities of a plane, pixel by pixel; code 0 counts as half a code. */
    public double[] densities(int plane) {
        double[] out = new double[width * height];
        for (int i = 0; i < out.length; i++) {
            out[i] = ToneEncoding.density(samples[i * planes + Math.min(plane, planes - 1)]);
        }
        return out;
    }

    /** The density of one pixel as the eye takes it: the grey, or of three planes the green one. */
    public double visualDensity(int pixel) {
        return ToneEncoding.density(samples[pixel * planes + planes / 2]);
    }
}
