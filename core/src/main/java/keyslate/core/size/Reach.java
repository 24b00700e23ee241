package keyslate.core.size;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;

/** Whether an enlarger reaches a size with a lens, and how sharp a print can be there. */
public final class Reach {
    /** A lens covers what is longer by no more than this: makers round. */
    private static final double COVERS_SLACK_MM = 0.5;

    /** Middle of the visible light, mm. */
    private static final double WAVELENGTH_MM = 0.00055;

    /** A disc of more than this is seen as soft at reading distance; a default. */
    public static final double SEEN_SOFT_MM = 0.2;

    private Reach() {}

    /**
     * What a lens is for this question.
     *
     * @param covers the longest film diagonal
     */
    public record Candidate(String id, String name, Length focal, Length covers) {}

    /** Whether a lens covers a negative of this diagonal. */
    public static boolean covers(Length covers, Length diagonal) {
        return diagonal.inMm() <= covers.inMm() + COVERS_SLACK_MM;
    }

    /**
     * SIZ-17: the lens to take when the head does not rise far enough: of those that cover the negative and whose f·(1 + m) is within the column, the longest,
     * since it lights the paper most evenly. None = the size is out of reach: a wall, the floor, or a crop.
     */
    public static Optional<Candidate> instead(List<Candidate> lenses, Length diagonal, Magnification m, Length column) {
        return lenses.stream()
                .filter(l -> covers(l.covers(), diagonal))
                .filter(l -> new ThinLens(l.focal()).lensToPaper(m).inMm() <= column.inMm())
                .max(Comparator.comparingDouble(l -> l.focal().inMm()));
    }

    /**
     * SIZ-16: the disc that a point of the negative becomes on paper by diffraction alone, 2.44·λ·N·(1 + m), λ 0.00055 mm. A rule for when not to
     * stop down further, not a measure of the lens.
     */
    public static Length blur(FNumber opening, Magnification m) {
        return Length.ofMm(2.44 * WAVELENGTH_MM * opening.inFStops() * (1 + m.inTimes()));
    }

    /** SIZ-18: m from lens to paper by a tape, v/f − 1. */
    public static Magnification atHeight(Length focal, Length lensToPaper) {
        double m = lensToPaper.inMm() / Check.positive("focal length", focal.inMm(), "mm") - 1;
        return Magnification.of(Check.positive("magnification", m, "times"));
    }
}
