package keyslate.core.process;

/**
 * The generic baths of the model: figures of plausible order, none from a product; the user's own win.
 *
 * @param squareMetresPerLitre area a litre takes
 * @param q10 how many times faster the bath works 10 °C warmer
 * @param coldest lowest temperature it may be used at, °C; {@code warmest} the highest, {@code reference} the usual one
 * @param tolerance beyond this distance from the reference the temperature is warned of, °C
 */
public record BathType(
        double squareMetresPerLitre, double q10, double coldest, double warmest, double reference, double tolerance) {
    public static final BathType MONO_DEVELOPER = new BathType(1.0, 2.5, 16, 27, 20, 1.0);
    public static final BathType MONO_STOP = new BathType(2.5, 1.0, 15, 30, 20, 5);
    public static final BathType MONO_FIX = new BathType(2.0, 1.5, 16, 27, 20, 2);
    /** Outside 0.3 °C a longer time cannot restore the colour balance. */
    public static final BathType COLOUR_DEVELOPER = new BathType(0.8, 2.5, 30, 40, 35, 0.3);

    public static final BathType BLEACH_FIX = new BathType(1.0, 1.5, 28, 40, 35, 1.0);
}
