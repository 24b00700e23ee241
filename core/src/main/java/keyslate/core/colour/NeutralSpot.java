package keyslate.core.colour;

import keyslate.core.colour.DyeImage.Appearance;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;

/**
 * What the colour of a spot that is to be neutral says of the pack.
 *
 * <p>COL-37: the look of the spot and the neutral of its own lightness, both brought back through the paper's curve (COL-23): their difference in magenta and yellow is what the pack is off by. The lightness is left as it
 * is: a neutral may be light or dark. Refused beyond L* {@value #DARKEST} to {@value #LIGHTEST}, where the layers tell nothing.
 *
 * @param magenta points that the pack lacks, negative = has too much
 */
public record NeutralSpot(double magenta, double yellow) {
    /** L* from which on the layers tell a colour, and to which. */
    static final double DARKEST = 12;

    static final double LIGHTEST = 88;

    /** Of a spot as it looks in the usual viewing light. */
    public static NeutralSpot of(Appearance seen, FilterSet set) {
        if (seen.lightness() < DARKEST || seen.lightness() > LIGHTEST) {
            throw Check.outOfRange(
                    "spot",
                    "this spot is nearly " + (seen.lightness() < DARKEST ? "black" : "white")
                            + " and tells no colour; mark a grey between");
        }
        DyeImage wanted = DyeImage.looking(seen.lightness(), 0, 0, ViewingLight.USUAL);
        double[] change = ColourBalance.change(dyes(seen), wanted, set);
        return new NeutralSpot(change[1], change[2]);
    }

    private static DyeImage dyes(Appearance seen) {
        try {
            return DyeImage.looking(seen.lightness(), seen.a(), seen.b(), ViewingLight.USUAL);
        } catch (QuantityException e) {
            throw Check.infeasible("spot", "no print has this colour; mark a place that is to be neutral");
        }
    }
}
