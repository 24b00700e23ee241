package keyslate.core.trial.printer;

import keyslate.core.colour.ColourBalance;
import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Layers;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * What a printer in colour starts from: the pack and time of a normal negative under the usual lamp on paper as
 * labelled.
 */
public final class ColourStart {
    /** Density the grey card should have. */
    public static final double WANTED_DENSITY = 0.75;

    private static final double GREY_CARD = 0.18;
    private static final double USUAL_KELVIN = 3200;

    private ColourStart() {}

    static Exposed usual() {
        Layers normal = ColourFilm.printingDensity(new Layers(GREY_CARD, GREY_CARD, GREY_CARD), Stops.ZERO);
        ColourBalance usual = ColourBalance.of(normal, WANTED_DENSITY, USUAL_KELVIN, FilterSet.DICHROIC);
        return new Exposed(usual.pack(), usual.time());
    }

    /** What the timer is set to for a time to be received. */
    static Exposed set(Exposed received) {
        double seconds = StripOnPaper.KNOWN_LAG.toSet(received.time()).inSeconds();
        return new Exposed(received.pack(), ExposureTime.ofSeconds(Math.max(0.1, Printers.tenth(seconds))));
    }
}
