package keyslate.core.colour;

import keyslate.core.colour.DyeImage.Appearance;

/**
 * How different two colours look.
 *
 * <p>COL-27: CIEDE2000 with all weights 1. Source: CIE 142:2001; the order of the hue terms follows Sharma, Wu and Dalal, “The CIEDE2000
 * color-difference formula”, 2005. A difference of 1 is about what is just seen side by side.
 */
public final class ColourDifference {
    private static final double SEVENTH_OF_25 = Math.pow(25, 7);

    private ColourDifference() {}

    /** ΔE00 of two appearances in the same light; 0 when they are the same, and the same either way round. */
    public static double of(Appearance one, Appearance other) {
        return of(one.lightness(), one.a(), one.b(), other.lightness(), other.a(), other.b());
    }

    /** ΔE00 of two colours by L*, a* and b*. */
    public static double of(double l1, double a1, double b1, double l2, double a2, double b2) {
        double meanC = (Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2;
        double g = 0.5 * (1 - chromaShare(meanC));
        double ap1 = (1 + g) * a1;
        double ap2 = (1 + g) * a2;
        double c1 = Math.hypot(ap1, b1);
        double c2 = Math.hypot(ap2, b2);
        double h1 = hue(ap1, b1);
        double h2 = hue(ap2, b2);
        boolean grey = c1 * c2 == 0;
        double dh = grey ? 0 : turn(h2 - h1);
        double meanH = grey ? h1 + h2 : meanHue(h1, h2);
        double bigDh = 2 * Math.sqrt(c1 * c2) * Math.sin(Math.toRadians(dh / 2));
        double meanL = (l1 + l2) / 2;
        double meanCp = (c1 + c2) / 2;
        double t = 1
                - 0.17 * cos(meanH - 30)
                + 0.24 * cos(2 * meanH)
                + 0.32 * cos(3 * meanH + 6)
                - 0.20 * cos(4 * meanH - 63);
        double off = (meanL - 50) * (meanL - 50);
        double l = (l2 - l1) / (1 + 0.015 * off / Math.sqrt(20 + off));
        double c = (c2 - c1) / (1 + 0.045 * meanCp);
        double h = bigDh / (1 + 0.015 * meanCp * t);
        double blue = (meanH - 275) / 25;
        double rotation = -2 * chromaShare(meanCp) * Math.sin(Math.toRadians(60 * Math.exp(-blue * blue)));
        return Math.sqrt(l * l + c * c + h * h + rotation * c * h);
    }

    private static double chromaShare(double chroma) {
        double seventh = Math.pow(chroma, 7);
        return Math.sqrt(seventh / (seventh + SEVENTH_OF_25));
    }

    private static double hue(double a, double b) {
        double degrees = Math.toDegrees(Math.atan2(b, a));
        return degrees < 0 ? degrees + 360 : degrees;
    }

    /** A difference of hues the short way round, −180 to 180. */
    private static double turn(double degrees) {
        return degrees > 180 ? degrees - 360 : degrees < -180 ? degrees + 360 : degrees;
    }

    private static double meanHue(double h1, double h2) {
        if (Math.abs(h1 - h2) <= 180) {
            return (h1 + h2) / 2;
        }
        return h1 + h2 < 360 ? (h1 + h2 + 360) / 2 : (h1 + h2 - 360) / 2;
    }

    private static double cos(double degrees) {
        return Math.cos(Math.toRadians(degrees));
    }
}
