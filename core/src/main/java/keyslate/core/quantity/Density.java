package keyslate.core.quantity;

/**
 * An optical density, −log10 of the light let through or thrown back; 0.30103 is one stop.
 *
 * @param inLog10 density, 0 to 6
 */
public record Density(double inLog10) {
    public Density {
        Check.notNegative("density", inLog10, "");
        inLog10 = Check.within("density", inLog10, 0, 6, "");
    }

    public static Density of(double log10) {
        return new Density(log10);
    }

    /**
     * What a beam of an enlarger sees of a diffuse density: Q·D. Q (Callier) is 1 for dyes and for diffuse heads, 1.2 to 1.5 for silver
     * in front of condensers.
     */
    public Density toSpecular(double callier) {
        return new Density(inLog10 * Check.within("Callier factor", callier, 1, 2, ""));
    }

    /** The share of light that is let through or thrown back, 10^−D. */
    public double toTransmittance() {
        return Math.pow(10, -inLog10);
    }
}
