package keyslate.core.colour;

/**
 * How a colour print is looked at.
 *
 * @param light that it is looked at in
 * @param wet whether it is still wet, as {@link WetPrint#USUAL} says (COL-24)
 */
public record Viewing(ViewingLight light, boolean wet) {
    /** Dry, in the usual light. */
    public static final Viewing USUAL = new Viewing(ViewingLight.USUAL, false);

    /** What a screen shows of these dyes. */
    public DyeImage.Screen onScreen(DyeImage dyes) {
        DyeImage seen = wet ? DyeImage.ofIntegralDensity(WetPrint.USUAL.wetFromDry(dyes.integralDensity())) : dyes;
        return seen.onScreen(light);
    }
}
