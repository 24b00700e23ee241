package keyslate.core.darkroom;

import java.util.List;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.quantity.Check;

/**
 * All the light one sheet got, burst by burst.
 *
 * @param logPerSecond log10 light at the paper through clear film, per second (DRK-02)
 * @param bursts in order
 * @param evenness how it lies over the picture
 */
public record SheetExposure(double logPerSecond, List<Burst> bursts, Evenness evenness) {
    /**
     * One burst.
     *
     * @param filter what stood in the light
     * @param receivedSeconds seconds of full light, lag already taken off, 0 or more
     * @param reach where on the sheet it fell
     */
    public record Burst(GradeFilter filter, double receivedSeconds, Reach reach) {
        public Burst {
            receivedSeconds = Check.notNegative("received time", receivedSeconds, "s");
        }

        /** A burst over the whole sheet. */
        public static Burst whole(GradeFilter filter, double receivedSeconds) {
            return new Burst(filter, receivedSeconds, Reach.WHOLE);
        }
    }

    public SheetExposure {
        Check.finite("light", logPerSecond);
        bursts = List.copyOf(bursts);
    }

    /** Light that lies evenly. */
    public SheetExposure(double logPerSecond, List<Burst> bursts) {
        this(logPerSecond, bursts, Evenness.EVEN);
    }
}
