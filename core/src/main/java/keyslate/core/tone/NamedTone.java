package keyslate.core.tone;

import keyslate.core.darkroom.Negative;
import keyslate.core.quantity.Check;
import keyslate.core.script.Part;

/**
 * A tone of the picture that matters.
 *
 * @param name as the printer calls it
 * @param x place on the whole frame, 0 at its left edge to 1; {@code y} alike from its upper edge
 * @param wish what it should become
 * @param wantedNet density over the paper's white that is wanted, 0 to 2.5
 */
public record NamedTone(String name, double x, double y, ToneWish wish, double wantedNet) {
    private static final double DENSEST = 2.5;

    /** How far around its place a tone is taken from, as a share of the frame: about what a finger tip covers. */
    private static final double RADIUS = 0.012;

    public NamedTone {
        Check.within("place across", x, 0, 1, "");
        Check.within("place down", y, 0, 1, "");
        Check.within("wanted density", wantedNet, 0, DENSEST, "");
    }

    /**
     * A tone.
     *
     * @param ownNet the density that is wanted where it is the printer's own; else nothing is read of it
     */
    public static NamedTone of(String name, double x, double y, ToneWish wish, double ownNet) {
        return new NamedTone(name, x, y, wish, wish == ToneWish.OWN ? ownNet : wish.net());
    }

    /** Its density on the film, of the first plane; the whole frame is given. */
    public double densityOn(Negative negative) {
        Part part = part();
        return negative.cropped(part.left(), part.top(), part.width(), part.height())
                .reducedTo(1)
                .firstPlane()
                .samples()[0];
    }

    /** The part of the frame it is taken from. */
    Part part() {
        return new Part(x - RADIUS, y - RADIUS, 2 * RADIUS, 2 * RADIUS);
    }

    /**
     * Where it lies on a piece of paper.
     *
     * @param view the part of the frame on that piece
     * @param patch a patch in fractions of the piece
     */
    public boolean liesIn(Part view, Part patch) {
        return view.within(patch).holds(x, y);
    }
}
