package keyslate.core.darkroom;

import keyslate.core.colour.Layers;
import keyslate.core.quantity.Check;

/**
 * What a simulated flatbed does to a print.
 *
 * @param gradation exponent on the codes, 0.7 to 1.4; 1 is faithful, more is darker
 * @param noiseCodes spread of the noise in codes, 0 to 20
 * @param rotationDegrees how crooked the print lies, ±5, positive clockwise
 * @param lampCast factor on the linear red, green and blue, 0.5 to 1.5
 */
public record ScannerLook(double gradation, double noiseCodes, double rotationDegrees, Layers lampCast) {
    /** A good scanner and a straight sheet: only noise. */
    public static final ScannerLook USUAL = new ScannerLook(1, 1.2, 0, new Layers(1, 1, 1));

    public ScannerLook {
        gradation = Check.within("gradation", gradation, 0.7, 1.4, "");
        noiseCodes = Check.within("noise", noiseCodes, 0, 20, "codes");
        rotationDegrees = Check.within("rotation", rotationDegrees, -5, 5, "°");
        for (int l = 0; l < 3; l++) {
            Check.within("lamp cast", lampCast.at(l), 0.5, 1.5, "");
        }
    }
}
