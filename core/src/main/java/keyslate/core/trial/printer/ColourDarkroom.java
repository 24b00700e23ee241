package keyslate.core.trial.printer;

import keyslate.core.colour.Layers;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.quantity.FilterPack;

/** What a printer in colour sees of the grey card on a print. Times are as the timer is set. */
public interface ColourDarkroom {
    /**
     * A cast in points of a viewing filter.
     *
     * @param magenta negative = green
     * @param yellow negative = blue
     */
    record Cast(double magenta, double yellow) {
        double strongest() {
            return Math.max(Math.abs(magenta), Math.abs(yellow));
        }
    }

    /** Linear red, green and blue of the card, and of unexposed paper beside it, as a scanner gives them. */
    record Scanned(Layers card, Layers white) {}

    /** Where on a strip the card has the right density; counted as in {@link MonoDarkroom}. */
    double density(FilterPack pack, StripOnPaper strip);

    /** The cast of a patch through the kit of viewing filters that clears it best. */
    Cast castWithKit(Exposed patch);

    /** The cast of a patch by the naked eye, compared with its neighbours. */
    Cast castByEye(Exposed patch);

    /** How much too dark a whole print is, stops. */
    double tooDark(Exposed print);

    /** A scan of the print. */
    Scanned scan(Exposed print);
}
