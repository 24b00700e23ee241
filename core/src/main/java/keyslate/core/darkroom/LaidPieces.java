package keyslate.core.darkroom;

import java.util.Arrays;
import java.util.List;
import keyslate.core.script.Part;
import keyslate.core.test.PieceLayout;

/** Pieces of paper in one picture. */
public final class LaidPieces {
    private LaidPieces() {}

    /**
     * One picture of all pieces, in their order; each is cut to the smallest of them.
     *
     * @param pieces as many as the layout has places, or fewer: what is left stays paper white
     */
    public static Look picture(List<Look> pieces, PieceLayout layout) {
        if (pieces.size() == 1) {
            return pieces.get(0);
        }
        int width = pieces.stream().mapToInt(Look::width).min().orElseThrow();
        int height = pieces.stream().mapToInt(Look::height).min().orElseThrow();
        int planes = pieces.get(0).planes();
        int wide = width * layout.columns();
        byte[] samples = new byte[wide * height * layout.lines() * planes];
        Arrays.fill(samples, (byte) 0xff);
        for (int p = 0; p < pieces.size(); p++) {
            Part place = layout.place(p + 1);
            int left = (int) Math.round(place.left() * layout.columns()) * width;
            int top = (int) Math.round(place.top() * layout.lines()) * height;
            Look piece = pieces.get(p);
            for (int y = 0; y < height; y++) {
                System.arraycopy(
                        piece.samples(),
                        y * piece.width() * planes,
                        samples,
                        ((top + y) * wide + left) * planes,
                        width * planes);
            }
        }
        return planes == 1
                ? Look.grey(wide, height * layout.lines(), samples)
                : Look.colour(wide, height * layout.lines(), samples);
    }

    /** One piece out of a picture of all, from 1. */
    public static Look cut(Look picture, PieceLayout layout, int piece) {
        if (layout.columns() * layout.lines() == 1) {
            return picture;
        }
        Part place = layout.place(piece);
        int left = (int) Math.round(place.left() * picture.width());
        int top = (int) Math.round(place.top() * picture.height());
        int width = Math.max(1, Math.min(picture.width() - left, (int) (place.width() * picture.width())));
        int height = Math.max(1, Math.min(picture.height() - top, (int) (place.height() * picture.height())));
        return picture.part(left, top, width, height);
    }
}
