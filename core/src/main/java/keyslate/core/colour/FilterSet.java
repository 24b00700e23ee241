package keyslate.core.colour;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;

/**
 * What a set of filters does to the three layers of the paper.
 *
 * <p>COL-03: attenuation of a layer a_l = Σ_f A[l][f]·CC_f/100, layers red, green, blue; the surfaces of gels count in the time (COL-04).
 * Source: Beer-Lambert; generic figures.
 */
public enum FilterSet {
    IDEAL(new double[][] {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}}, 0),
    DICHROIC(new double[][] {{1.00, 0.02, 0}, {0.05, 1.00, 0.02}, {0.02, 0.05, 1.00}}, 0),
    GEL(new double[][] {{1.00, 0.06, 0.01}, {0.22, 1.00, 0.05}, {0.10, 0.20, 1.00}}, 0.035);

    private final double[][] absorption;
    private final double surface;

    FilterSet(double[][] absorption, double surface) {
        this.absorption = absorption;
        this.surface = surface;
    }

    /**
     * How the three layers count in the time.
     *
     * @param red weight of the red-sensitive layer; the three make 1
     */
    public record Weights(double red, double green, double blue) {
        /** By the layer that the eye takes for density. */
        public static final Weights GREEN = new Weights(0, 1, 0);

        public static final Weights MEAN = new Weights(1 / 3.0, 1 / 3.0, 1 / 3.0);
        /** As the eye weighs them: the default of the product. */
        public static final Weights VISUAL = new Weights(0.30, 0.60, 0.10);
    }

    /**
     * Density over one layer.
     *
     * @param layer 0 red, 1 green, 2 blue
     */
    public double layerDensity(FilterPack pack, int layer) {
        double[] row = absorption[layer];
        return (row[0] * pack.inCyan() + row[1] * pack.inMagenta() + row[2] * pack.inYellow()) / 100;
    }

    /**
     * COL-04: factor of time from one pack to another, 10^(Σ w_l·(a2_l − a1_l)), and for gels 10^0.035 for each one more.
     *
     * @param gelsBefore how many gels were in; {@code gelsAfter} how many are; 0 to 20
     */
    public double timeFactor(FilterPack from, FilterPack to, Weights weights, int gelsBefore, int gelsAfter) {
        Check.count("gels before", gelsBefore, 0, 20);
        Check.count("gels after", gelsAfter, 0, 20);
        double log = weights.red() * (layerDensity(to, 0) - layerDensity(from, 0))
                + weights.green() * (layerDensity(to, 1) - layerDensity(from, 1))
                + weights.blue() * (layerDensity(to, 2) - layerDensity(from, 2));
        return Math.pow(10, log + surface * (gelsAfter - gelsBefore));
    }

    /** The set of a name as it stands in test tables and requests. */
    public static FilterSet named(String name) {
        for (FilterSet set : values()) {
            if (set.name().equalsIgnoreCase(name)) {
                return set;
            }
        }
        throw new QuantityException(
                QuantityException.Kind.WRONG_SHAPE, "filter set", "the filter sets are ideal, dichroic and gel");
    }
}
