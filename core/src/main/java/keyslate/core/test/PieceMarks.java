package keyslate.core.test;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import keyslate.core.quantity.Check;

/**
 * How pieces of one test are told apart once they are processed (EXP-41): by clipped corners, fifteen ways; by nips on one short edge; or by the order they come
 * in. What cannot be read for sure gives every piece that it can be, and is never guessed.
 */
public final class PieceMarks {
    private static final int MOST_NIPS = 15;

    private PieceMarks() {}

    /** How pieces are marked. */
    public enum Way {
        CORNERS,
        NIPS,
        ORDER
    }

    /** The corners as the picture on the piece lies upright. */
    public enum Corner {
        UPPER_LEFT,
        UPPER_RIGHT,
        LOWER_RIGHT,
        LOWER_LEFT
    }

    /** What is seen of a corner. */
    public enum Seen {
        WHOLE,
        CLIPPED,
        /** Torn or bent, so that nobody can say. */
        DOUBTFUL
    }

    /** The corners that are clipped on a piece, from 1: one corner for the first four, two for the next six, and so on. */
    public static List<Corner> corners(int piece) {
        Check.count("piece", piece, 1, PiecesPlan.MOST_PIECES);
        return CODES.get(piece - 1);
    }

    private static final List<List<Corner>> CODES = IntStream.range(1, 1 << Corner.values().length)
            .mapToObj(bits -> {
                List<Corner> clipped = new ArrayList<>();
                for (Corner corner : Corner.values()) {
                    if ((bits >> corner.ordinal() & 1) == 1) {
                        clipped.add(corner);
                    }
                }
                return List.copyOf(clipped);
            })
            .sorted(Comparator.comparingInt((List<Corner> c) -> c.size())
                    .thenComparingInt(c -> c.get(0).ordinal()))
            .toList();

    /**
     * The pieces that a piece can be by its corners.
     *
     * @param seen of the four corners, in their order
     * @param of how many there are
     */
    public static List<Integer> byCorners(List<Seen> seen, int of) {
        Check.count("corners", seen.size(), 4, 4);
        return IntStream.rangeClosed(1, Check.count("pieces", of, 1, PiecesPlan.MOST_PIECES))
                .filter(piece -> {
                    Set<Corner> clipped = Set.copyOf(corners(piece));
                    return IntStream.range(0, 4).allMatch(i -> switch (seen.get(i)) {
                        case DOUBTFUL -> true;
                        case CLIPPED -> clipped.contains(Corner.values()[i]);
                        case WHOLE -> !clipped.contains(Corner.values()[i]);
                    });
                })
                .boxed()
                .toList();
    }

    /** By their order alone a piece that was mixed up can be any of them. */
    public static List<Integer> byOrder(int of) {
        return IntStream.rangeClosed(1, Check.count("pieces", of, 1, PiecesPlan.MOST_PIECES))
                .boxed()
                .toList();
    }

    /**
     * The pieces that a piece can be by its nips.
     *
     * @param seen nips that are there for sure, 0 to 15; {@code maybe} that might be there beside them
     */
    public static List<Integer> byNips(int seen, int maybe, int of) {
        Check.count("nips", seen, 0, MOST_NIPS);
        Check.count("nips", maybe, 0, MOST_NIPS);
        return IntStream.rangeClosed(1, Check.count("pieces", of, 1, PiecesPlan.MOST_PIECES))
                .filter(piece -> piece >= seen && piece <= seen + maybe)
                .boxed()
                .toList();
    }
}
