package keyslate.core.process;

import keyslate.core.quantity.Check;

/**
 * A working solution mixed 1 + n.
 *
 * <p>PRO-01: concentrate = V/(1 + n), water = the rest. Source: definition of 1 + n. Example: 1 l of 1 + 9 takes 100 ml.
 *
 * @param concentrateMl millilitres of concentrate
 * @param waterMl millilitres of water
 */
public record Dilution(double concentrateMl, double waterMl) {
    /**
     * For a volume above 0 ml of working solution mixed c + n: {@code water} parts n, 0 or more, to {@code concentrate} parts c, as a
     * rule 1.
     */
    public static Dilution ofVolume(double concentrate, double water, double volumeMl) {
        Check.positive("parts of concentrate", concentrate, "");
        Check.notNegative("parts of water", water, "");
        Check.positive("volume", volumeMl, "ml");
        double taken = volumeMl * concentrate / (concentrate + water);
        return new Dilution(taken, volumeMl - taken);
    }

    /** PRO-02: what {@code concentrateMl} makes in all, V = c·(1 + n). */
    public static double volumeFrom(double parts, double concentrateMl) {
        Check.notNegative("parts of water", parts, "");
        return Check.positive("concentrate", concentrateMl, "ml") * (1 + parts);
    }
}
