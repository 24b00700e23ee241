package keyslate.core.colour;

import keyslate.core.numeric.Linear3;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Stops;

/**
 * Colour negative film as paper sees it.
 *
 * <p>COL-11: x = log10(scene/0.18) + exposure, analytical density an = 0.60·[sp(x + 1.30) − sp(x − 2.30)], sp(z) = 0.35·log10(1 + 10^(z/0.35)),
 * printing density = (0.20, 0.60, 0.85) + K·an; the rows of K make 1 (masking). Generic.
 */
public final class ColourFilm {
    private static final double MID_GREY = 0.18;
    private static final double GAMMA = 0.60;
    private static final double TOE = -1.30;
    private static final double SHOULDER = 2.30;
    private static final double SOFTNESS = 0.35;
    private static final double[] BASE = {0.20, 0.60, 0.85};
    private static final double[][] MASKING = {{0.95, 0.04, 0.01}, {0.05, 0.92, 0.03}, {0.02, 0.06, 0.92}};

    private ColourFilm() {}

    /** Printing densities of a scene colour, linear light per layer above 0, 0.18 = mid grey. */
    public static Layers printingDensity(Layers scene, Stops exposure) {
        double[] analytical = new double[3];
        for (int l = 0; l < 3; l++) {
            analytical[l] = analyticalDensity(scene.at(l), exposure);
        }
        double[] density = new double[3];
        for (int l = 0; l < 3; l++) {
            density[l] = BASE[l];
            for (int k = 0; k < 3; k++) {
                density[l] += MASKING[l][k] * analytical[k];
            }
        }
        return Layers.of(density);
    }

    /** Density that one layer alone would have, before masking, for scene light above 0. */
    public static double analyticalDensity(double light, Stops exposure) {
        double x = Math.log10(Check.positive("scene light", light, "") / MID_GREY) + exposure.toLogExposure();
        return GAMMA * (softPlus(x - TOE) - softPlus(x - SHOULDER));
    }

    /** Density of the masked base over the three layers, for pixel loops. */
    public static float[] base() {
        return toFloats(BASE);
    }

    /** The masking matrix K row by row, for pixel loops. */
    public static float[][] masking() {
        return new float[][] {toFloats(MASKING[0]), toFloats(MASKING[1]), toFloats(MASKING[2])};
    }

    /** The inverse of K row by row: from densities over base to what each layer alone would have, before masking. */
    public static double[][] unmasking() {
        double[][] inverse = new double[3][3];
        for (int k = 0; k < 3; k++) {
            double[] unit = new double[3];
            unit[k] = 1;
            double[] column = Linear3.solve(MASKING, unit);
            for (int l = 0; l < 3; l++) {
                inverse[l][k] = column[l];
            }
        }
        return inverse;
    }

    private static float[] toFloats(double[] numbers) {
        float[] floats = new float[numbers.length];
        for (int i = 0; i < floats.length; i++) {
            floats[i] = (float) numbers[i];
        }
        return floats;
    }

    private static double softPlus(double z) {
        return SOFTNESS * Math.log10(1 + Math.pow(10, z / SOFTNESS));
    }
}
