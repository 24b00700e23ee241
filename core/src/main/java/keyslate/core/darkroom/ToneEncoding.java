package keyslate.core.darkroom;

/**
 * Print densities to what a screen or a scanner shows: reflectance 10^−D, encoded as sRGB (IEC 61966-2-1), 8 bit.
 */
public final class ToneEncoding {
    private static final int STEPS = 4096;
    private static final float DENSEST = 3f;
    private static final double[] DECODED = decoded();
    private static final byte[] CODES = codes();
    private static final float[] DENSITIES = densities();

    private ToneEncoding() {}

    /** DRK-04: the sRGB code 0 to 255 of a linear value 0 to 1. */
    public static int encode(double linear) {
        double c = Math.max(0, Math.min(1, linear));
        double coded = c <= 0.0031308 ? 12.92 * c : 1.055 * Math.pow(c, 1 / 2.4) - 0.055;
        return (int) Math.round(255 * coded);
    }

    /** The linear value 0 to 1 of an sRGB code 0 to 255, the inverse of DRK-04. */
    public static double decode(int code) {
        return DECODED[code];
    }

    /** The linear value of an sRGB value 0 to 1. */
    public static double decode(double coded) {
        double c = Math.max(0, Math.min(1, coded));
        return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }

    /** One grey byte a pixel. */
    public static byte[] toGrey(Raster densities) {
        float[] from = densities.samples();
        byte[] out = new byte[from.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = CODES[step(from[i])];
        }
        return out;
    }

    /** Densities from grey bytes, −log10 of the decoded value; code 0 counts as half a code. */
    public static Raster fromGrey(byte[] grey, int width, int height) {
        float[] out = new float[grey.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = DENSITIES[grey[i] & 0xff];
        }
        return Raster.over(width, height, out);
    }

    /** The density of one code; code 0 counts as half a code. */
    static float density(byte code) {
        return DENSITIES[code & 0xff];
    }

    private static int step(float density) {
        return Math.max(0, Math.min(STEPS - 1, (int) (density * (STEPS / DENSEST))));
    }

    private static double[] decoded() {
        double[] decoded = new double[256];
        for (int code = 0; code < decoded.length; code++) {
            decoded[code] = decode(code / 255.0);
        }
        return decoded;
    }

    private static byte[] codes() {
        byte[] codes = new byte[STEPS];
        for (int i = 0; i < STEPS; i++) {
            codes[i] = (byte) encode(Math.pow(10, -(i + 0.5) * DENSEST / STEPS));
        }
        return codes;
    }

    private static float[] densities() {
        float[] densities = new float[256];
        for (int code = 0; code < 256; code++) {
            double linear = code == 0 ? decode(1) / 2 : decode(code);
            densities[code] = (float) -Math.log10(linear);
        }
        return densities;
    }
}
