package keyslate.core.colour;

/**
 * What a print that is neutral in one lamp is in another, where its dyes meet other light.
 *
 * <p>COL-44: the dyes that make the middle grey neutral in either lamp (COL-21), the eye adapted to each; from one to the other by the correction of COL-23.
 *
 * @param magenta points that the pack needs more so that the print is neutral in the second lamp; more turns it greener
 * @param yellow alike: more turns it bluer
 */
public record TwoLamps(double magenta, double yellow) {
    private static final double MIDDLE = 50;

    /** For prints of filters of a kind. */
    public static TwoLamps of(ViewingLight first, ViewingLight second, FilterSet set) {
        DyeImage neutral = DyeImage.looking(MIDDLE, 0, 0, first);
        double[] change = ColourBalance.change(neutral, DyeImage.looking(MIDDLE, 0, 0, second), set);
        return new TwoLamps(change[1] + 0.0, change[2] + 0.0);
    }
}
