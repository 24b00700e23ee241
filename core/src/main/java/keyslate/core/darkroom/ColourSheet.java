package keyslate.core.darkroom;

import java.util.List;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Layers;
import keyslate.core.colour.Primary;
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
    private static final Layers WHITE = new Layers(0, 0, 0);
    /** Density of a coloured light over the layers it is not meant for. */
    private static final double DARK = 4;

    /** The lamp of the model's reference enlarger. */
    public static final double USUAL_KELVIN = 3200;

    /**
     * One burst.
     *
     * @param pack true points in the light
     * @param beyond what lies over each layer besides the pack, density: of a coloured light, what it lacks of white
     * @param receivedSeconds seconds of full light, lag already taken off, 0 or more
     * @param reach where on the sheet it fell
     */
    public record Burst(FilterPack pack, Layers beyond, double receivedSeconds, Reach reach) {
        public Burst {
            receivedSeconds = Check.notNegative("received time", receivedSeconds, "s");
        }

        /** Of white light through a pack. */
        public Burst(FilterPack pack, double receivedSeconds, Reach reach) {
            this(pack, WHITE, receivedSeconds, reach);
        }

        /** One of the lights of an additive head: its own layer gets its share, the others next to nothing (COL-34). */
        static Burst of(Primary primary, double share, double receivedSeconds, Reach reach) {
            double[] beyond = {DARK, DARK, DARK};
            beyond[primary.ordinal()] = -Math.log10(share);
            return new Burst(FilterPack.of(0, 0, 0), Layers.of(beyond), receivedSeconds, reach);
        }

        boolean isThrough(Burst other) {
            return pack.equals(other.pack) && beyond.equals(other.beyond);
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
