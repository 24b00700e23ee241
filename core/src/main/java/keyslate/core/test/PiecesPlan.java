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
 * @param marks how the pieces are told apart afterwards
 * @param patch long side of a piece
 * @param breadth its short side
 * @param spot middle of what is printed on each; none is chosen where it tells most
 */
public record PiecesPlan(
        PatchSeries series, List<Light> lights, PieceMarks.Way marks, Length patch, Length breadth, Optional<Spot> spot)
        implements TestPlan.OfSeries {
    public static final int MOST_PIECES = 15;

    public PiecesPlan {
        lights = List.copyOf(lights);
        Check.count("pieces", lights.isEmpty() ? series.patches() : lights.size(), 2, MOST_PIECES);
        Check.positive("piece", patch.inMm(), "mm");
        Check.positive("piece", breadth.inMm(), "mm");
    }

    @Override
    public TestScript script(ExposureTime base, TestRig rig) {
        return SinglesScript.pieces(this, base, rig);
    }

    @Override
    public int pieces() {
        return lights.isEmpty() ? series.patches() : lights.size();
    }

    @Override
    public boolean isCutApart() {
        return true;
    }

    @Override
    public boolean isOfOneLight() {
        return lights.isEmpty();
    }

    @Override
    public PieceLayout layout() {
        return PieceLayout.laid(pieces());
    }

    @Override
    public ExposureTime middle(ExposureTime base) {
        return lights.isEmpty() ? series.middle(base) : base;
    }

    @Override
    public ExposureTime asDark(ExposureTime base, Light other, TestRig rig) {
        return rig.ofWhole().time(base, other);
    }

    @Override
    public Optional<Stops> step() {
        return lights.isEmpty() ? series.inStops() : Optional.empty();
    }

    @Override
    public PiecesPlan followingBase() {
        return of(series.followingBase(), patch);
    }

    @Override
    public PiecesPlan of(PatchSeries other, Length each) {
        return new PiecesPlan(other, lights, marks, each, breadth, spot);
    }
}
