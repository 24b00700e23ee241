package keyslate.core.reading;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.film.FilmSheet;
import keyslate.core.quantity.Check;
import keyslate.core.reading.Corners.Place;

/**
 * FLM-07: where the frames of a film lie in a picture of its sleeve or proof sheet. The corners stand at the outer corners of the outermost frames
 * of full strips; between two frames of a strip lies a gap of {@code gapAlong} of a frame's length, between two strips one of {@code gapAcross} of
 * its breadth: a frame is 1 / (n + (n − 1) · gap) of the whole that way.
 *
 * @param gapAlong 0 to {@value #MOST_GAP}; {@code gapAcross} alike
 */
public record FrameGrid(Corners corners, FilmSheet cut, double gapAlong, double gapAcross) {
    /** Strips that lie as far apart as they are broad, twice over. */
    public static final double MOST_GAP = 2;

    public FrameGrid {
        Check.within("gap along", gapAlong, 0, MOST_GAP, "");
        Check.within("gap across", gapAcross, 0, MOST_GAP, "");
    }

    /** The corners of each frame in the film's order, clockwise from its upper left, in fractions of the picture. */
    public List<List<Place>> frames() {
        double width = share(cut.longest(), gapAlong);
        double height = share(cut.strips().size(), gapAcross);
        List<List<Place>> frames = new ArrayList<>();
        for (int row = 0; row < cut.strips().size(); row++) {
            double top = row * (1 + gapAcross) * height;
            for (int column = 0; column < cut.strips().get(row); column++) {
                double left = column * (1 + gapAlong) * width;
                frames.add(List.of(
                        corners.at(left, top),
                        corners.at(left + width, top),
                        corners.at(left + width, top + height),
                        corners.at(left, top + height)));
            }
        }
        return frames;
    }

    private static double share(int count, double gap) {
        return 1 / (count + Math.max(0, count - 1) * gap);
    }
}
