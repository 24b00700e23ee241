package keyslate.core.colour;

import java.util.List;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;

/**
 * The pack that all judgements of a cast so far speak for, instead of the last one alone.
 *
 * <p>COL-29: each print says pack + k·V for the cast V seen on it. Its variance in a filter is (k·3 CC)² for the eye and (0.25·k·V)² for k, which nobody
 * knows better than that; the prints are averaged with the reciprocals as weights. So a strong cast points the way, and the nearly neutral prints decide. Derived in
 * docs/formulas/colour.md.
 */
public final class CastEvidence {
    /** How well an eye tells a cast, points of a viewing filter. */
    public static final double EYE_POINTS = 3;

    private static final double GAIN_DOUBT = 0.25;

    private CastEvidence() {}

    /**
     * One print as it was judged.
     *
     * @param pack what it was printed with
     * @param magenta strength of the magenta cast in points of a viewing filter; negative = green
     * @param yellow strength of the yellow cast; negative = blue
     */
    public record Judged(FilterPack pack, double magenta, double yellow) {}

    /**
     * The pack to set next.
     *
     * @param prints at least one
     * @param gain k of COL-06, 0.2 to 1
     */
    public static FilterPack weighed(List<Judged> prints, double gain) {
        if (prints.isEmpty()) {
            throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "prints", "judge at least one print");
        }
        double magenta = 0;
        double magentaWeight = 0;
        double yellow = 0;
        double yellowWeight = 0;
        for (Judged print : prints) {
            double m = weight(print.magenta(), gain);
            double y = weight(print.yellow(), gain);
            magenta += m * (print.pack().inMagenta() - print.pack().inCyan() + change(Hue.M, print.magenta(), gain));
            yellow += y * (print.pack().inYellow() - print.pack().inCyan() + change(Hue.Y, print.yellow(), gain));
            magentaWeight += m;
            yellowWeight += y;
        }
        return NeutralRemoval.of(
                        keyslate.core.quantity.FilterShift.of(0, magenta / magentaWeight, yellow / yellowWeight))
                .pack();
    }

    /** Points of a hue to add for a cast of it, by the viewing filter of the complement (COL-06). */
    private static double change(Hue cast, double strength, double gain) {
        Hue clearing = strength >= 0 ? cast.complement() : cast;
        var shift = CastCorrection.byViewingFilter(clearing, Math.abs(strength), gain);
        double own = cast == Hue.M ? shift.inMagenta() : shift.inYellow();
        return own - shift.inCyan();
    }

    private static double weight(double strength, double gain) {
        double eye = gain * EYE_POINTS;
        double doubt = GAIN_DOUBT * gain * strength;
        return 1 / (eye * eye + doubt * doubt);
    }
}
