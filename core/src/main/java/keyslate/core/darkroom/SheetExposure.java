package keyslate.core.darkroom;

import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.local.AreaShape;
import keyslate.core.quantity.Check;

/**
 * All the light one sheet got, burst by burst.
 *
 * @param logPerSecond log10 light at the paper through clear film, per second (DRK-02)
 * @param bursts in order
 */
public record SheetExposure(double logPerSecond, List<Burst> bursts) {
    /** An area with its soft edge, as a fraction of the frame's longer side. */
    public record Area(AreaShape shape, double softEdge) {}

    /** A part of the sheet, in fractions of it, that a burst reaches when the rest lies under the card. */
    public record Uncovered(double left, double top, double width, double height) {}

    /**
     * One burst.
     *
     * @param filter what stood in the light
     * @param receivedSeconds seconds of full light, lag already taken off, 0 or more
     * @param heldBack areas under a tool all through it
     * @param burned the one area the light was let through to, when this is a burn
     * @param uncovered the part not under the card, when this is a burst of a strip
     */
    public record Burst(
            GradeFilter filter,
            double receivedSeconds,
            List<Area> heldBack,
            Optional<Area> burned,
            Optional<Uncovered> uncovered) {
        public Burst {
            receivedSeconds = Check.notNegative("received time", receivedSeconds, "s");
            heldBack = List.copyOf(heldBack);
        }

        /** A burst over the whole sheet. */
        public static Burst whole(GradeFilter filter, double receivedSeconds) {
            return new Burst(filter, receivedSeconds, List.of(), Optional.empty(), Optional.empty());
        }
    }

    public SheetExposure {
        Check.finite("light", logPerSecond);
        bursts = List.copyOf(bursts);
    }
}
