package keyslate.core.size;

import java.util.HashMap;
import java.util.Map;
import java.util.stream.IntStream;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;

/** How many pieces a guillotine, which only cuts right across, gets out of a sheet. */
public final class CutYield {
    private static final int MOST_LENGTHS = 400;
    /** Sides in inches are no whole parts of a millimetre: what differs by less than this is the same length. */
    private static final double SAME_MM = 1e-6;

    private final double width;
    private final double height;
    private final boolean turned;
    private final Map<Long, Integer> known = new HashMap<>();

    private CutYield(double width, double height, boolean turned) {
        this.width = width;
        this.height = height;
        this.turned = turned;
    }

    /**
     * SIZ-11: the most pieces of one size, by trying every right-across cut at a sum of the piece's sides. Refused when the pieces are so small that
     * there are too many cuts to try.
     *
     * @param mayTurn whether a piece may lie either way; paper with a grain or a picture may not
     */
    public static int of(Length sheetWidth, Length sheetHeight, Length width, Length height, boolean mayTurn) {
        double w = Check.positive("sheet width", sheetWidth.inMm(), "mm");
        double h = Check.positive("sheet height", sheetHeight.inMm(), "mm");
        double pw = Check.positive("piece width", width.inMm(), "mm");
        double ph = Check.positive("piece height", height.inMm(), "mm");
        double shortest = Math.min(pw, ph);
        Check.within("pieces along a side", Math.max(w, h) / shortest, 0, Math.sqrt(MOST_LENGTHS), "");
        return new CutYield(pw, ph, mayTurn).most(w, h);
    }

    /** SIZ-12: test strips of a breadth from an offcut, cut along whichever side gives more. */
    public static int strips(Length offcutWidth, Length offcutHeight, Length breadth) {
        double b = Check.positive("strip", breadth.inMm(), "mm");
        return (int) Math.floor((Math.max(offcutWidth.inMm(), offcutHeight.inMm()) + SAME_MM) / b);
    }

    private int most(double w, double h) {
        boolean upright = reaches(w, width) && reaches(h, height);
        boolean lying = turned && reaches(w, height) && reaches(h, width);
        if (!upright && !lying) {
            return 0;
        }
        long key = Math.round(w * 1000) << 32 | Math.round(h * 1000);
        Integer before = known.get(key);
        if (before != null) {
            return before;
        }
        int best = 1;
        for (double cut : sums(width, height, w)) {
            best = Math.max(best, most(cut, h) + most(w - cut, h));
        }
        for (double cut : sums(height, width, h)) {
            best = Math.max(best, most(w, cut) + most(w, h - cut));
        }
        known.put(key, best);
        return best;
    }

    /** Sums of so many sides one way, and if pieces may turn so many the other way, short of the whole side; the first half is enough. */
    private double[] sums(double side, double other, double whole) {
        double half = whole / 2 + SAME_MM;
        return IntStream.rangeClosed(0, turned ? (int) (half / other) : 0)
                .mapToDouble(n -> n * other)
                .flatMap(base ->
                        IntStream.rangeClosed(0, (int) ((half - base) / side)).mapToDouble(n -> base + n * side))
                .filter(cut -> cut > 0)
                .toArray();
    }

    private static boolean reaches(double whole, double side) {
        return whole >= side - SAME_MM;
    }
}
