package keyslate.core.colour;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;

/**
 * The layers of chromogenic paper: log exposure to dye.
 *
 * <p>COL-12: a = 0.04 + 2.20/(1 + 10^(−2.37·x)), all three layers alike; gradient ln10·s·A·q(1 − q), 3.00 at most, 2.50 at a neutral density of
 * 0.75. Generic.
 */
public final class ColourPaper {
    /** Dye of paper that saw no light. */
    public static final double LEAST = 0.04;
    /** What light can add to it. */
    public static final double RANGE = 2.20;

    private static final double STEEPNESS = 2.37;
    private static final double INVERSE_CLAMP = 0.005;
    private static final double HEAVIEST_WEIGHT = 10;
    private static final double[] SPEED = {-0.169, 0.732, 1.095};
    private static final double[] PEAK_NM = {690, 550, 470};
    private static final double REFERENCE_KELVIN = 3200;
    private static final double COOLEST_KELVIN = 2000;
    private static final double HOTTEST_KELVIN = 7000;

    private ColourPaper() {}

    /** Dye amount at a log exposure. */
    public static double amount(double logExposure) {
        return LEAST + RANGE / (1 + Math.pow(10, -STEEPNESS * Check.finite("log exposure", logExposure)));
    }

    /** Log exposure for a dye amount; held short of both ends of the curve, where it has no slope. */
    public static double logExposureFor(double amount) {
        double q = (Check.finite("dye amount", amount) - LEAST) / RANGE;
        double held = Math.max(INVERSE_CLAMP, Math.min(1 - INVERSE_CLAMP, q));
        return Math.log10(held / (1 - held)) / STEEPNESS;
    }

    /** Dye per log exposure at an amount, 0.04 to 2.24. */
    public static double gradient(double amount) {
        double q = (Check.within("dye amount", amount, LEAST, LEAST + RANGE, "") - LEAST) / RANGE;
        return Math.log(10) * STEEPNESS * RANGE * q * (1 - q) + 0.0;
    }

    /** COL-13: what a cast of so many points does to a layer of this amount, gradient·CC/100. */
    public static double castGain(double amount, double points) {
        return gradient(amount) * Check.finite("points", points) / 100;
    }

    /**
     * COL-14: by how much a cast judged at one amount counts at another, gradient(reference)/gradient(amount). Where the paper has no slope left it says
     * nothing and is refused.
     */
    public static double castWeight(double amount, double reference) {
        double slope = gradient(amount);
        double weight = slope > 0 ? gradient(reference) / slope : Double.MAX_VALUE;
        return Check.within("weight of the cast", weight, 0, HEAVIEST_WEIGHT, "");
    }

    /**
     * COL-15: shift of the layers' log exposure for a lamp of another colour temperature, log10 of Planck's law at 690, 550 and 470 nm against 3200
     * K, less the green one; 2000 to 7000 K.
     */
    public static Layers lampShift(double kelvin) {
        Check.within("colour temperature", kelvin, COOLEST_KELVIN, HOTTEST_KELVIN, "K");
        double[] shift = new double[3];
        for (int l = 0; l < 3; l++) {
            shift[l] = Math.log10(
                    ViewingLight.planck(PEAK_NM[l], kelvin) / ViewingLight.planck(PEAK_NM[l], REFERENCE_KELVIN));
        }
        return new Layers(shift[0] - shift[1], 0, shift[2] - shift[1]);
    }

    /** COL-16: log exposure of each layer, log10 t + S + κ − D − a(pack). */
    public static Layers logExposure(
            Layers negative, FilterPack pack, double logSeconds, double kelvin, FilterSet set) {
        Layers lamp = lampShift(kelvin);
        double[] x = new double[3];
        for (int l = 0; l < 3; l++) {
            x[l] = logSeconds + SPEED[l] + lamp.at(l) - negative.at(l) - set.layerDensity(pack, l);
        }
        return Layers.of(x);
    }
}
