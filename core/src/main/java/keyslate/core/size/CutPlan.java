package keyslate.core.size;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;

/**
 * How to cut a sheet into pieces of several sizes on a guillotine or rotary trimmer, with the fence moved as seldom as
 * can be: every move in the dark is a chance to cut the wrong width.
 *
 * <p>SIZ-13: a cut at fence d leaves a piece of exactly d and the remainder. Of all trees of cuts the one with the fewest
 * different fence distances, then the fewest cuts, then the largest single offcut. Pieces may lie either way. Derived in
 * docs/formulas/size.md.
 *
 * @param fences the different fence distances, rising
 * @param cuts how many cuts
 * @param largestOffcutSquareMm area of the largest unused part, whole mm², 0 when nothing is left
 * @param runs the cuts in the order that moves the fence least; a distance comes twice when it is needed again later
 */
public record CutPlan(List<Length> fences, int cuts, long largestOffcutSquareMm, List<Run> runs) {
    /** More pieces than this take too long to plan. */
    public static final int MOST_PIECES = 6;

    /** More sizes than this take too long to plan. */
    public static final int MOST_SIZES = 4;

    /**
     * So many pieces of one size.
     *
     * @param count 1 or more
     */
    public record Piece(String name, Length width, Length height, int count) {
        public Piece {
            Check.positive("piece width", width.inMm(), "mm");
            Check.positive("piece height", height.inMm(), "mm");
            Check.count("count", count, 1, MOST_PIECES);
        }
    }

    /** All cuts that can be made while the fence stands at one distance. */
    public record Run(Length fence, List<Cut> cuts) {
        public Run {
            cuts = List.copyOf(cuts);
        }

        /** How often the blade comes down when what is alike lies on one stack: once for each shape that comes under it. */
        public int strokes() {
            return (int) cuts.stream()
                    .map(c -> List.of(c.width(), c.height(), c.acrossWidth()))
                    .distinct()
                    .count();
        }
    }

    /**
     * One cut.
     *
     * @param width of what lies on the board
     * @param height of what lies on the board
     * @param acrossWidth true when the fence measures along the width
     * @param leaves what lies between fence and blade afterwards: a piece's name, or nothing when it is cut again
     * @param rest what falls off: a piece's name, or nothing when it is cut again or left over
     */
    public record Cut(
            Length width, Length height, boolean acrossWidth, Optional<String> leaves, Optional<String> rest) {}

    public CutPlan {
        fences = List.copyOf(fences);
        runs = List.copyOf(runs);
    }

    /**
     * The best plan, or nothing when the pieces do not come out of the sheet.
     *
     * @param pieces at least one size and at most {@value #MOST_SIZES}, in all at most {@value #MOST_PIECES} pieces
     * @throws QuantityException for a side that is not more than 0, no size at all, too many sizes or pieces
     */
    public static Optional<CutPlan> of(Length sheetWidth, Length sheetHeight, List<Piece> pieces) {
        return of(sheetWidth, sheetHeight, pieces, Optional.empty());
    }

    /** The same, with the first cut at {@code first} where that is given: nothing when the pieces come out no more. */
    static Optional<CutPlan> of(Length sheetWidth, Length sheetHeight, List<Piece> pieces, Optional<Length> first) {
        Check.positive("sheet width", sheetWidth.inMm(), "mm");
        Check.positive("sheet height", sheetHeight.inMm(), "mm");
        if (pieces.isEmpty()) {
            throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "pieces", "name at least one piece to cut");
        }
        Check.count("sizes", pieces.size(), 1, MOST_SIZES);
        Check.count("pieces", pieces.stream().mapToInt(Piece::count).sum(), 1, MOST_PIECES);
        return new CutSearch(pieces).best(sheetWidth, sheetHeight, first);
    }

    static Length ofMicrometres(long micrometres) {
        return Length.ofMm(micrometres / 1000.0);
    }

    static List<Length> lengths(List<Long> micrometres) {
        List<Length> lengths = new ArrayList<>();
        micrometres.forEach(m -> lengths.add(ofMicrometres(m)));
        return lengths;
    }
}
