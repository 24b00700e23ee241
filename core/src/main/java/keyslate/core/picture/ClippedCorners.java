package keyslate.core.picture;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.reading.Corners;
import keyslate.core.reading.Corners.Place;
import keyslate.core.test.PieceMarks;

/**
 * Which piece is which in a picture of them all.
 *
 * <p>REA-23: a corner is clipped where the light just inside it is nearer to the table's beside it than to the rim's a little farther along both sides. A code that fits no piece,
 * or two that are alike, are no answer: then the pieces are taken as they lie, row by row.
 */
public final class ClippedCorners {
    private static final double INSIDE = 0.025;
    private static final double ALONG = 0.3;
    private static final double OUTSIDE = 0.03;

    private ClippedCorners() {}

    /**
     * The papers in the order of their pieces.
     *
     * @return none where the corners do not tell it
     */
    public static Optional<List<Corners>> ordered(ColourRaster light, List<Corners> papers) {
        LitPicture picture = new LitPicture(light);
        Corners[] pieces = new Corners[papers.size()];
        for (Corners paper : papers) {
            List<PieceMarks.Seen> seen = IntStream.range(0, 4)
                    .mapToObj(corner ->
                            isClipped(picture, paper, corner) ? PieceMarks.Seen.CLIPPED : PieceMarks.Seen.WHOLE)
                    .toList();
            List<Integer> can = PieceMarks.byCorners(seen, papers.size());
            if (can.size() != 1 || pieces[can.get(0) - 1] != null) {
                return Optional.empty();
            }
            pieces[can.get(0) - 1] = paper;
        }
        return Optional.of(List.of(pieces));
    }

    /** The papers row by row, as they lie. */
    public static List<Corners> asTheyLie(List<Corners> papers) {
        List<Corners> left = new ArrayList<>(papers);
        left.sort(Comparator.comparingDouble(c -> c.at(0.5, 0.5).y()));
        List<Corners> rows = new ArrayList<>();
        while (!left.isEmpty()) {
            Corners top = left.get(0);
            double bottom = top.at(0.5, 1).y();
            List<Corners> row = left.stream()
                    .filter(c -> c.at(0.5, 0.5).y() < bottom)
                    .sorted(Comparator.comparingDouble(c -> c.at(0.5, 0.5).x()))
                    .toList();
            rows.addAll(row);
            left.removeAll(row);
        }
        return rows;
    }

    private static boolean isClipped(LitPicture picture, Corners paper, int corner) {
        double[] sides = Rim.sides(picture, paper);
        double shorter = Math.min(sides[0], sides[1]);
        double across = shorter / sides[0];
        double down = shorter / sides[1];
        double inside = picture.log(at(paper, corner, INSIDE * across, INSIDE * down));
        double rim = Math.max(
                picture.log(at(paper, corner, ALONG * across, INSIDE * down)),
                picture.log(at(paper, corner, INSIDE * across, ALONG * down)));
        double table = picture.log(at(paper, corner, -OUTSIDE * across, -OUTSIDE * down));
        return Math.abs(inside - table) < Math.abs(inside - rim);
    }

    private static Place at(Corners paper, int corner, double u, double v) {
        return switch (corner) {
            case 0 -> paper.at(u, v);
            case 1 -> paper.at(1 - u, v);
            case 2 -> paper.at(1 - u, 1 - v);
            default -> paper.at(u, 1 - v);
        };
    }
}
