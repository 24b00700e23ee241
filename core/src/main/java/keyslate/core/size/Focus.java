package keyslate.core.size;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.quantity.Magnification;

/**
 * What focus and frame of an enlarger rest on, as it stands or as it stood when they were last looked at.
 *
 * @param lens its id; {@code negative} the id of what is in the carrier
 * @param sheetWidthMm of the sheet in the easel; {@code sheetHeightMm} alike
 * @param below what stands in the beam below the lens, in any words that tell it from another; empty = nothing
 */
public record Focus(
        String lens,
        String negative,
        Magnification magnification,
        Placement placement,
        double sheetWidthMm,
        double sheetHeightMm,
        String below) {
    /** A head settles, a board is leant on: after so long a break one looks again. */
    public static final double LONG_BREAK_HOURS = 3;

    private static final double SAME_SIZE = 0.002;

    /** What can have moved focus or frame, the most likely first. */
    public enum Moved {
        LENS,
        NEGATIVE,
        SIZE,
        EASEL,
        FILTER_BELOW,
        BREAK
    }

    /** What moved since {@code then}, {@code hoursAgo}; empty when both can be relied on. */
    public List<Moved> movedSince(Focus then, double hoursAgo) {
        List<Moved> moved = new ArrayList<>();
        if (!lens.equals(then.lens)) {
            moved.add(Moved.LENS);
        }
        if (!negative.equals(then.negative)) {
            moved.add(Moved.NEGATIVE);
        }
        if (Math.abs(magnification.inTimes() / then.magnification.inTimes() - 1) > SAME_SIZE) {
            moved.add(Moved.SIZE);
        } else if (!liesLike(then)) {
            moved.add(Moved.EASEL);
        }
        if (!below.equals(then.below)) {
            moved.add(Moved.FILTER_BELOW);
        }
        if (hoursAgo > LONG_BREAK_HOURS) {
            moved.add(Moved.BREAK);
        }
        return moved;
    }

    /** Whether the sheet lies under the same part of the picture. */
    private boolean liesLike(Focus then) {
        return sheetWidthMm == then.sheetWidthMm
                && sheetHeightMm == then.sheetHeightMm
                && placement.blades().equals(then.placement.blades())
                && placement.across() == then.placement.across()
                && placement.down() == then.placement.down();
    }
}
