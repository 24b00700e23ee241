package keyslate.core.darkroom;

import java.util.SplittableRandom;

/**
 * A simulated flatbed: the print a little crooked under a white lid, through the scanner's own lamp, gradation and noise; the same for the same seed.
 *
 * <p>DRK-08: code' = 255·(code(cast·linear)/255)^gradation + noise, rounded and clipped; the noise is the sum of three even draws.
 */
public final class Scanner {
    private static final int LID = 250;

    private Scanner() {}

    /** One grey byte a pixel, from print densities. The lamp's cast does not matter. */
    public static byte[] grey(Raster densities, ScannerLook look, long seed) {
        byte[] straight = ToneEncoding.toGrey(densities);
        byte[] out = new byte[straight.length];
        int[] curve = curve(look.gradation(), 1);
        Noise noise = new Noise(look.noiseCodes(), seed);
        Turn turn = new Turn(look.rotationDegrees(), densities.width(), densities.height());
        for (int y = 0; y < densities.height(); y++) {
            for (int x = 0; x < densities.width(); x++) {
                double seen = turn.read(x, y, at -> straight[at] & 0xff);
                out[y * densities.width() + x] = (byte) noise.on(curve[(int) Math.round(seen)]);
            }
        }
        return out;
    }

    /** sRGB, 8 bits a channel, from a finished colour print. */
    public static int[] colour(ColourPrint.Picture print, ScannerLook look, long seed) {
        int[] straight = print.rgb();
        int[] out = new int[straight.length];
        Turn turn = new Turn(look.rotationDegrees(), print.width(), print.height());
        for (int channel = 0; channel < 3; channel++) {
            int shift = 16 - 8 * channel;
            int[] curve = curve(look.gradation(), look.lampCast().at(channel));
            Noise noise = new Noise(look.noiseCodes(), seed + channel);
            for (int y = 0; y < print.height(); y++) {
                for (int x = 0; x < print.width(); x++) {
                    double seen = turn.read(x, y, at -> straight[at] >> shift & 0xff);
                    out[y * print.width() + x] |= noise.on(curve[(int) Math.round(seen)]) << shift;
                }
            }
        }
        return out;
    }

    private static int[] curve(double gradation, double cast) {
        int[] curve = new int[256];
        for (int code = 0; code < curve.length; code++) {
            int lit = ToneEncoding.encode(cast * ToneEncoding.decode(code));
            curve[code] = (int) Math.round(255 * Math.pow(lit / 255.0, gradation));
        }
        return curve;
    }

    /** Three even draws make nearly a bell; twice their sum less its mean has the spread of one code. */
    private record Noise(double codes, SplittableRandom random) {
        Noise(double codes, long seed) {
            this(codes, new SplittableRandom(seed));
        }

        int on(int code) {
            if (codes == 0) {
                return code;
            }
            double draw = (random.nextDouble() + random.nextDouble() + random.nextDouble() - 1.5) * 2 * codes;
            return (int) Math.max(0, Math.min(255, Math.round(code + draw)));
        }
    }

    /** Which code a pixel has. */
    private interface Codes {
        int at(int index);
    }

    /** Reads a picture that lies turned about its middle, in straight lines between four pixels. */
    private static final class Turn {
        private final int width;
        private final int height;
        private final double cos;
        private final double sin;

        Turn(double degrees, int width, int height) {
            this.width = width;
            this.height = height;
            this.cos = Math.cos(Math.toRadians(degrees));
            this.sin = Math.sin(Math.toRadians(degrees));
        }

        double read(int x, int y, Codes codes) {
            if (sin == 0) {
                return codes.at(y * width + x);
            }
            double dx = x - (width - 1) / 2.0;
            double dy = y - (height - 1) / 2.0;
            double u = cos * dx + sin * dy + (width - 1) / 2.0;
            double v = -sin * dx + cos * dy + (height - 1) / 2.0;
            int left = (int) Math.floor(u);
            int top = (int) Math.floor(v);
            double a = u - left;
            double b = v - top;
            return (1 - b) * ((1 - a) * pixel(left, top, codes) + a * pixel(left + 1, top, codes))
                    + b * ((1 - a) * pixel(left, top + 1, codes) + a * pixel(left + 1, top + 1, codes));
        }

        private int pixel(int x, int y, Codes codes) {
            return x < 0 || y < 0 || x >= width || y >= height ? LID : codes.at(y * width + x);
        }
    }
}
