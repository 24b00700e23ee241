package keyslate.core.colour;

import keyslate.core.quantity.Check;

/**
 * How a colour print changes while it dries.
 *
 * <p>COL-24: D_wet = gain·D_dry + offset in red, green and blue; by default gain 1 and (+0.02, +0.02, −0.04): wet it is darker and bluer. Paper and light decide
 * even the sign: the user's own figures win.
 *
 * @param offset densities added when wet
 * @param gain 0.8 to 1.25
 */
public record WetPrint(Layers offset, double gain) {
    public static final WetPrint USUAL = new WetPrint(new Layers(0.02, 0.02, -0.04), 1);

    /** How much of it is not known of a paper before it was tried, points, one standard deviation: even the sign may be another. */
    static final double OPEN_POINTS = 4;

    private static final double POINTS = 100;

    public WetPrint {
        gain = Check.within("gain", gain, 0.8, 1.25, "");
    }

    /** COL-39: points of a viewing filter that a neutral is more magenta when dry than when wet: 100·(red − green offset). */
    public double magentaCast() {
        return POINTS * (offset.red() - offset.green());
    }

    /** The same of yellow: 100·(red − blue offset). */
    public double yellowCast() {
        return POINTS * (offset.red() - offset.blue());
    }

    public Layers wetFromDry(Layers dry) {
        return new Layers(
                gain * dry.red() + offset.red(),
                gain * dry.green() + offset.green(),
                gain * dry.blue() + offset.blue());
    }

    public Layers dryFromWet(Layers wet) {
        return new Layers(
                (wet.red() - offset.red()) / gain,
                (wet.green() - offset.green()) / gain,
                (wet.blue() - offset.blue()) / gain);
    }
}
