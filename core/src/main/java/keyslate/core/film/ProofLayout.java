package keyslate.core.film;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;

/**
 * FLM-04: the strips of a film side by side under the glass, as one negative. A strip is as broad as its film: 35 mm for
 * pictures up to 24.5 mm across it, 61.5 mm up to 57 mm, and sheet film 7 mm more than its picture; the longer side lies across
 * where it fits, as in half frame and 6 × 4.5. From picture to picture it goes on by a gap of 2, 5 and 7 mm. Source: the sizes
 * of usual film; a millimetre more or less between cameras.
 *
 * @param width of all strips, along them
 * @param height across them
 * @param frames where each frame lies, in the film's order
 */
public record ProofLayout(Length width, Length height, List<Place> frames) {
    private static final Gauge PERFORATED = new Gauge(24.5, 35, 2);
    private static final Gauge ROLL = new Gauge(57, 61.5, 5);
    private static final double SHEET_MORE_MM = 7;

    /** A rectangle in fractions of the layout. */
    public record Place(double left, double top, double width, double height) {}

    private record Gauge(double mostAcrossMm, double breadthMm, double gapMm) {}

    public ProofLayout {
        frames = List.copyOf(frames);
    }

    /**
     * Lays a film out.
     *
     * @param sheet how it is cut; at least one frame
     * @param longSide of a picture; {@code shortSide} alike
     */
    public static ProofLayout of(FilmSheet sheet, Length longSide, Length shortSide) {
        double a = Check.positive("long side", longSide.inMm(), "mm");
        double b = Check.positive("short side", shortSide.inMm(), "mm");
        Check.count("frames", sheet.longest(), 1, FilmSheet.MOST_FRAMES);
        Gauge gauge = b <= PERFORATED.mostAcrossMm()
                ? PERFORATED
                : b <= ROLL.mostAcrossMm() ? ROLL : new Gauge(b, b + SHEET_MORE_MM, SHEET_MORE_MM);
        double across = a <= gauge.mostAcrossMm() ? a : b;
        double along = across == a ? b : a;
        double pitch = along + gauge.gapMm();
        double width = sheet.longest() * pitch;
        double height = sheet.strips().size() * gauge.breadthMm();
        List<Place> frames = new ArrayList<>();
        for (int row = 0; row < sheet.strips().size(); row++) {
            double top = row * gauge.breadthMm() + (gauge.breadthMm() - across) / 2;
            for (int column = 0; column < sheet.strips().get(row); column++) {
                double left = column * pitch + gauge.gapMm() / 2;
                frames.add(new Place(left / width, top / height, along / width, across / height));
            }
        }
        return new ProofLayout(Length.ofMm(width), Length.ofMm(height), frames);
    }
}
