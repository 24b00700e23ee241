package keyslate.core.test;

import java.util.Optional;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.script.StripDirection;

/**
 * A strip that is moved on in its holder, so that every patch shows the same spot of the picture and has one exposure of its own.
 *
 * @param series what the patches receive
 * @param direction along which the strip moves, and where its dark end comes to lie
 * @param patch length of the window along the strip: by so much it moves on
 * @param breadth breadth of the strip and of the window
 * @param spot middle of the window on the picture; none is chosen where it tells most
 */
public record SameSpotPlan(
        PatchSeries series, StripDirection direction, Length patch, Length breadth, Optional<Spot> spot)
        implements TestPlan.OfSeries {
    public SameSpotPlan {
        Check.positive("patch", patch.inMm(), "mm");
        Check.positive("strip", breadth.inMm(), "mm");
    }

    @Override
    public TestScript script(ExposureTime base, TestRig rig) {
        return SinglesScript.sameSpot(this, base, rig);
    }

    @Override
    public int pieces() {
        return series.patches();
    }

    @Override
    public PieceLayout layout() {
        boolean reversed = direction == StripDirection.DARK_LEFT || direction == StripDirection.DARK_TOP;
        return PieceLayout.strip(pieces(), direction.isAlong(), reversed);
    }

    @Override
    public SameSpotPlan followingBase() {
        return of(series.followingBase(), patch);
    }

    @Override
    public SameSpotPlan of(PatchSeries other, Length each) {
        return new SameSpotPlan(other, direction, each, breadth, spot);
    }
}
