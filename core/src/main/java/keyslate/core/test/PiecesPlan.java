package keyslate.core.test;

import java.util.List;
import java.util.Optional;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;

/**
 * Pieces of paper with different times, or with different lights at the time that keeps the print as dark.
 *
 * @param series what the pieces receive; not used where there are lights
 * @param lights one for each piece, {@value #MOST_PIECES} at most; empty = the standing light and the series
 * @param around packs about the one that stands, in place of lights of one's own; none as a rule
 * @param marks how the pieces are told apart afterwards
 * @param patch long side of a piece
 * @param breadth its short side
 * @param spot middle of what is printed on each; none is chosen where it tells most
 */
public record PiecesPlan(
        PatchSeries series,
        List<Light> lights,
        Optional<PacksAround> around,
        PieceMarks.Way marks,
        Length patch,
        Length breadth,
        Optional<Spot> spot)
        implements TestPlan.OfSeries {
    public static final int MOST_PIECES = 15;

    public PiecesPlan {
        lights = List.copyOf(lights);
        if (around.isEmpty()) {
            Check.count("pieces", lights.isEmpty() ? series.patches() : lights.size(), 2, MOST_PIECES);
        }
        Check.positive("piece", patch.inMm(), "mm");
        Check.positive("piece", breadth.inMm(), "mm");
    }

    /** Of lights of one's own, or of one light and a series. */
    public PiecesPlan(
            PatchSeries series,
            List<Light> lights,
            PieceMarks.Way marks,
            Length patch,
            Length breadth,
            Optional<Spot> spot) {
        this(series, lights, Optional.empty(), marks, patch, breadth, spot);
    }

    @Override
    public TestScript script(ExposureTime base, TestRig rig) {
        return SinglesScript.pieces(this, base, rig);
    }

    /** What each piece gets where they differ in light; empty where they differ in time alone. */
    public List<PacksAround.Piece> byLight(TestRig rig) {
        return around.map(a -> a.pieces(rig.light().toPack(), rig.settable()))
                .orElseGet(() -> lights.stream()
                        .map(l -> new PacksAround.Piece(l, Stops.ZERO))
                        .toList());
    }

    @Override
    public int pieces() {
        return around.map(PacksAround::count).orElseGet(() -> lights.isEmpty() ? series.patches() : lights.size());
    }

    @Override
    public boolean isCutApart() {
        return true;
    }

    @Override
    public boolean isOfOneLight() {
        return lights.isEmpty() && around.isEmpty();
    }

    @Override
    public PieceLayout layout() {
        return PieceLayout.laid(pieces());
    }

    @Override
    public ExposureTime middle(ExposureTime base) {
        return isOfOneLight() ? series.middle(base) : base;
    }

    @Override
    public ExposureTime asDark(ExposureTime base, Light other, TestRig rig) {
        return rig.ofWhole().time(base, other);
    }

    @Override
    public Optional<Stops> step() {
        return isOfOneLight() ? series.inStops() : Optional.empty();
    }

    @Override
    public PiecesPlan followingBase() {
        return of(series.followingBase(), patch);
    }

    @Override
    public PiecesPlan of(PatchSeries other, Length each) {
        return new PiecesPlan(other, lights, around, marks, each, breadth, spot);
    }
}
