package keyslate.store.json;

import java.util.List;

/**
 * A constant as it was found: one number, one for each of several places, or a scale; the parts it has not are null.
 *
 * @param value in the unit of what it is; {@code limit} of that, 95 %
 * @param second another number that came with it, such as how well a lamp repeats
 * @param places openings by their marks, corners by their names
 */
public record StoredConstant(Double value, Double limit, Double second, List<Place> places, Scale scale) {
    /** The value at one place. */
    public record Place(String at, double value, double limit) {}

    /** A column's scale with one lens (keyslate.core.calibration.ColumnScale). */
    public record Scale(
            double focalMm,
            double begins,
            double beginsVariance,
            double focalVariance,
            double covariance,
            int freedom) {}

    public static StoredConstant number(double value, double limit) {
        return new StoredConstant(value, limit, null, null, null);
    }
}
