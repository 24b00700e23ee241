package keyslate.core.darkroom;

import java.util.List;
import java.util.Optional;
import keyslate.core.script.WedgeDisc;

/**
 * Where on the sheet the light of one burst falls.
 *
 * @param heldBack areas under a tool all through it
 * @param burned the one area the light was let through to, when this is a burn
 * @param uncovered the part not under the card, when this is a burst of a strip
 * @param disc a wedge that lies on the paper
 */
public record Reach(
        List<Area> heldBack, Optional<Area> burned, Optional<Uncovered> uncovered, Optional<WedgeDisc> disc) {
    /** The whole sheet, nothing held back. */
    public static final Reach WHOLE = new Reach(List.of(), Optional.empty(), Optional.empty(), Optional.empty());

    /** An area with its soft edge, as a fraction of the frame's longer side. */
    public record Area(keyslate.core.local.AreaShape shape, double softEdge) {}

    /** A part of the sheet, in fractions of it, that a burst reaches when the rest lies under the card. */
    public record Uncovered(double left, double top, double width, double height) {}

    public Reach {
        heldBack = List.copyOf(heldBack);
    }

    /** Only the burned area. */
    public static Reach burn(Area area) {
        return new Reach(List.of(), Optional.of(area), Optional.empty(), Optional.empty());
    }

    /** The whole sheet but for what is held back. */
    public static Reach holding(List<Area> areas) {
        return new Reach(areas, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** Whether it has hard edges. */
    boolean isSharp() {
        return uncovered.isPresent() || disc.isPresent();
    }

    boolean isWhole() {
        return heldBack.isEmpty() && burned.isEmpty() && uncovered.isEmpty() && disc.isEmpty();
    }
}
