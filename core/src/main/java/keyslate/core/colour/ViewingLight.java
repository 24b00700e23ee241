package keyslate.core.colour;

import keyslate.core.quantity.Check;

/**
 * The light a print is looked at in, and what the eye makes of it: the CIE 1931 observer on a grid from 400 to 700 nm
 * by 10.
 *
 * <p>COL-17: colour-matching functions as sums of two-sided Gaussians (after Wyman, Sloan and Shirley, 2013), light by
 * Planck's law, 2000 to 12 000 K; Y of a white diffuser = 1.
 *
 * @param kelvin colour temperature
 */
public record ViewingLight(double kelvin) {
    /** The usual viewing light. */
    public static final ViewingLight USUAL = new ViewingLight(5000);

    private static final double USUAL_KELVIN = 5000;

    static final int BANDS = 31;
    private static final double FIRST_NM = 400;
    private static final double STEP_NM = 10;
    private static final double C2 = 1.4388e7;
    private static final double ANCHOR_NM = 560;

    public ViewingLight {
        Check.within("colour temperature", kelvin, 2000, 12_000, "K");
    }

    /** Planck's law relative to 560 nm: (560/λ)^5·(e^(c/560T) − 1)/(e^(c/λT) − 1). */
    static double planck(double nm, double kelvin) {
        return Math.pow(ANCHOR_NM / nm, 5) * Math.expm1(C2 / (ANCHOR_NM * kelvin)) / Math.expm1(C2 / (nm * kelvin));
    }

    static double wavelength(int band) {
        return FIRST_NM + band * STEP_NM;
    }

    /** XYZ of a reflectance given band by band; Y of a white diffuser = 1. */
    double[] xyz(double[] reflectance) {
        double[][] weights = weights();
        double[] sum = new double[3];
        for (int i = 0; i < BANDS; i++) {
            for (int k = 0; k < 3; k++) {
                sum[k] += reflectance[i] * weights[i][k];
            }
        }
        return sum;
    }

    private double[][] weights() {
        if (kelvin == USUAL_KELVIN) {
            return Holder.USUAL_WEIGHTS;
        }
        Chosen last = Holder.last;
        if (last == null || last.kelvin != kelvin) {
            last = new Chosen(kelvin, weights(kelvin));
            Holder.last = last;
        }
        return last.weights;
    }

    /** The light that was asked for last beside the usual one: thousands of colours are looked at in one. */
    private record Chosen(double kelvin, double[][] weights) {}

    /** The weights of the usual light, which nearly everything is looked at in, made once. */
    private static final class Holder {
        static final double[][] USUAL_WEIGHTS = weights(USUAL_KELVIN);
        static volatile Chosen last;
    }

    /** What each band of a white diffuser adds to X, Y and Z. */
    private static double[][] weights(double kelvin) {
        double[][] weights = new double[BANDS][];
        double white = 0;
        for (int i = 0; i < BANDS; i++) {
            double nm = wavelength(i);
            double light = planck(nm, kelvin);
            weights[i] = new double[] {light * xBar(nm), light * yBar(nm), light * zBar(nm)};
            white += weights[i][1];
        }
        for (double[] band : weights) {
            for (int k = 0; k < 3; k++) {
                band[k] /= white;
            }
        }
        return weights;
    }

    /** XYZ of a white diffuser in this light. */
    public double[] white() {
        double[] all = new double[BANDS];
        java.util.Arrays.fill(all, 1);
        return xyz(all);
    }

    private static double xBar(double nm) {
        return 1.056 * bell(nm, 599.8, 37.9, 31.0)
                + 0.362 * bell(nm, 442.0, 16.0, 26.7)
                - 0.065 * bell(nm, 501.1, 20.4, 26.2);
    }

    private static double yBar(double nm) {
        return 0.821 * bell(nm, 568.8, 46.9, 40.5) + 0.286 * bell(nm, 530.9, 16.3, 31.1);
    }

    private static double zBar(double nm) {
        return 1.217 * bell(nm, 437.0, 11.8, 36.0) + 0.681 * bell(nm, 459.0, 26.0, 13.8);
    }

    private static double bell(double nm, double centre, double below, double above) {
        double z = (nm - centre) / (nm < centre ? below : above);
        return Math.exp(-0.5 * z * z);
    }
}
