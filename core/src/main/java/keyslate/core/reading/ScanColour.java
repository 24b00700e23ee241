package keyslate.core.reading;

import keyslate.core.colour.DyeImage;
import keyslate.core.colour.DyeImage.Appearance;
import keyslate.core.colour.Layers;
import keyslate.core.colour.ViewingLight;
import keyslate.core.quantity.Check;

/**
 * The look of a patch of a colour print from its scan.
 *
 * <p>REA-11: the scan's linear red, green and blue, each divided by what the paper's own unexposed white gives in the same scan and
 * multiplied by what it should give; then the inverse of COL-20. The white takes the scanner's lamp and gain away, but not its gradation.
 */
public final class ScanColour {
    /** Dye in each layer of paper that got no light (COL-12). */
    private static final double LEAST_DYE = 0.04;

    /** What bare paper gives in the scan of a scanner that is set to it: linear red, green and blue. */
    public static final Layers WHITE = whiteOnScreen();

    private ScanColour() {}

    /**
     * The appearance in the usual viewing light.
     *
     * @param patch linear red, green and blue of the patch, above 0, 1 = white of the scan
     * @param white the same of unexposed paper beside it, above 0
     */
    public static Appearance of(Layers patch, Layers white) {
        double[] linear = new double[3];
        for (int l = 0; l < 3; l++) {
            linear[l] = Check.positive("patch", patch.at(l), "")
                    / Check.positive("white of the paper", white.at(l), "")
                    * WHITE.at(l);
        }
        return DyeImage.ofScreen(linear[0], linear[1], linear[2], ViewingLight.USUAL);
    }

    private static Layers whiteOnScreen() {
        DyeImage.Screen white = new DyeImage(new Layers(LEAST_DYE, LEAST_DYE, LEAST_DYE)).onScreen(ViewingLight.USUAL);
        return new Layers(decoded(white.red()), decoded(white.green()), decoded(white.blue()));
    }

    private static double decoded(double code) {
        return code <= 0.04045 ? code / 12.92 : Math.pow((code + 0.055) / 1.055, 2.4);
    }
}
