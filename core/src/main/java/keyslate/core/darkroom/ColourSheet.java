package keyslate.core.darkroom;

import java.util.List;
import keyslate.core.colour.FilterSet;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;

/**
 * All the light one sheet of colour paper got, burst by burst.
 *
 * @param lightLog10 light at the paper against that of the model's reference enlarger, log10; 0 = the same
 * @param kelvin colour temperature of the lamp, 2000 to 7000
 * @param filters what the packs are made of
 * @param bursts in order
 * @param evenness how it lies over the picture
 */
public record ColourSheet(double lightLog10, double kelvin, FilterSet filters, List<Burst> bursts, Evenness evenness) {
    /** The lamp of the model's reference enlarger. */
    public static final double USUAL_KELVIN = 3200;

    /**
     * One burst.
     *
     * @param pack true points in the light
     * @param receivedSeconds seconds of full light, lag already taken off, 0 or more
     * @param reach where on the sheet it fell
     */
    public record Burst(FilterPack pack, double receivedSeconds, Reach reach) {
        public Burst {
            receivedSeconds = Check.notNegative("received time", receivedSeconds, "s");
        }
    }

    public ColourSheet {
        lightLog10 = Check.within("light", lightLog10, -4, 4, "");
        kelvin = Check.within("colour temperature", kelvin, 2000, 7000, "K");
        bursts = List.copyOf(bursts);
    }

    /** Light that lies evenly. */
    public ColourSheet(double lightLog10, double kelvin, FilterSet filters, List<Burst> bursts) {
        this(lightLog10, kelvin, filters, bursts, Evenness.EVEN);
    }

    /** A straight sheet under the reference enlarger. */
    public static ColourSheet straight(FilterPack pack, double receivedSeconds) {
        return new ColourSheet(
                0, USUAL_KELVIN, FilterSet.DICHROIC, List.of(new Burst(pack, receivedSeconds, Reach.WHOLE)));
    }
}
