package keyslate.server.calculation;

import keyslate.core.colour.DyeImage;
import keyslate.core.colour.Layers;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;

/** What requests and answers of several calculations share. Units stand in the names. */
final class CalculationViews {
    private CalculationViews() {}

    /** Filters in points (CC), 100 points = density 1.00: a pack (0 to 400 each) or a change (signed). */
    record Points(double cyan, double magenta, double yellow) {
        static Points of(FilterPack pack) {
            return new Points(pack.inCyan(), pack.inMagenta(), pack.inYellow());
        }

        static Points of(FilterShift shift) {
            return new Points(shift.inCyan(), shift.inMagenta(), shift.inYellow());
        }
    }

    /** A value for each layer or band: red, green, blue. */
    record Three(double red, double green, double blue) {
        static Three of(Layers layers) {
            return new Three(layers.red(), layers.green(), layers.blue());
        }

        Layers toLayers() {
            return new Layers(red, green, blue);
        }
    }

    /** CIE L*a*b* against the viewing light's white. */
    record Lab(double lightness, double a, double b) {
        static Lab of(DyeImage.Appearance seen) {
            return new Lab(seen.lightness(), seen.a(), seen.b());
        }
    }
}
