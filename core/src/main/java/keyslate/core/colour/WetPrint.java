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

    public WetPrint {
        gain = Check.within("gain", gain, 0.8, 1.25, "");
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
