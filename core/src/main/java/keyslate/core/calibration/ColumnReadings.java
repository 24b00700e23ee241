package keyslate.core.calibration;

import java.util.List;
import keyslate.core.numeric.LineFit;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;

/**
 * The column's own scale against the size on the board, for one lens.
 *
 * <p>CAL-05: film to paper is f·(2 + m + 1/m) plus the lens's thickness, so the reading is a line over x = 2 + m + 1/m: its slope is the lens's focal length as
 * it really is, its intercept where the scale begins. m is the projected length of a mark in the carrier over its own length.
 */
public record ColumnReadings(List<Place> places) {
    public static final int LEAST = 4;
    private static final double LEAST_FOCAL_MM = 10;
    private static final double MOST_FOCAL_MM = 600;

    /**
     * One height of the head, focused.
     *
     * @param reading of the column's scale, mm from wherever it begins
     * @param magnification over 1
     */
    public record Place(double reading, Magnification magnification) {
        public Place {
            Check.finite("column reading", reading);
            if (magnification.inTimes() <= 1) {
                throw Check.outOfRange("magnification", "the scale can be read for enlargements only");
            }
        }

        double spread() {
            double m = magnification.inTimes();
            return 2 + m + 1 / m;
        }
    }

    public ColumnReadings {
        places = List.copyOf(places);
        Check.count("heights", places.size(), LEAST, 100);
    }

    /** The scale they make; refused where no lens gives such sizes. */
    public ColumnScale scale() {
        double[] even = places.stream().mapToDouble(p -> 1).toArray();
        LineFit line = Lines.through(
                "heights",
                places.stream().mapToDouble(Place::spread).toArray(),
                places.stream().mapToDouble(Place::reading).toArray(),
                even);
        if (line.slope() < LEAST_FOCAL_MM || line.slope() > MOST_FOCAL_MM) {
            throw Check.infeasible(
                    "heights",
                    "these sizes at these heights would be those of a lens of " + Check.shown(line.slope()) + " mm");
        }
        return new ColumnScale(
                Length.ofMm(line.slope()),
                line.intercept(),
                line.interceptVariance(),
                line.slopeVariance(),
                line.covariance(),
                line.freedom());
    }
}
