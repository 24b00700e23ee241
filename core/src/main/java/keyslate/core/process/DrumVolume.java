package keyslate.core.process;

import keyslate.core.quantity.Check;

/**
 * One-shot solution for a drum.
 *
 * <p>PRO-11: the largest of area·wetting, area/capacity·1000 and the drum's least; a tie goes to the first of drum, capacity,
 * wetting that reaches it.
 *
 * @param millilitres what to pour
 * @param governedBy what asked for the most
 */
public record DrumVolume(double millilitres, Need governedBy) {
    /** Millilitres that wet a square metre; generic. */
    public static final double WETTING_ML_PER_M2 = 1200;

    /** What asks for solution. */
    public enum Need {
        CAPACITY,
        WETTING,
        DRUM
    }

    /** For an area above 0 m²; wetting in ml/m², capacity in m²/l, the drum's least in ml (0 = none). */
    public static DrumVolume of(
            double squareMetres, double wettingMlPerM2, double squareMetresPerLitre, double drumMinimumMl) {
        Check.positive("area", squareMetres, "m²");
        double wetting = squareMetres * Check.positive("wetting", wettingMlPerM2, "ml/m²");
        double capacity = squareMetres / Check.positive("capacity", squareMetresPerLitre, "m²/l") * 1000;
        double drum = Check.notNegative("least volume of the drum", drumMinimumMl, "ml");
        if (drum >= capacity && drum >= wetting) {
            return new DrumVolume(drum, Need.DRUM);
        }
        return capacity >= wetting ? new DrumVolume(capacity, Need.CAPACITY) : new DrumVolume(wetting, Need.WETTING);
    }
}
