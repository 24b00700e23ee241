package keyslate.core.colour;

import keyslate.core.colour.DyeImage.Appearance;
import keyslate.core.colour.FilterSet.Weights;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;

/**
 * What a grey card that was photographed says of pack and time, measured in a picture of its print.
 *
 * <p>COL-47: unlike any grey (COL-37) a card of 18 % is known to print to a visual density of {@value #WANTED_DENSITY}. The look of the spot and that of the card as it should be, both brought back through the paper's curve
 * (COL-23): the differences of the layers, weighed as the eye weighs them, are what the time is off by at this pack, and with them magenta and yellow are what the pack is off by. Beyond L* {@value NeutralSpot#DARKEST} to {@value NeutralSpot#LIGHTEST}
 * the layers tell no colour, and of the density only which way and at least how far.
 *
 * @param magenta points that the pack lacks, negative = has too much
 * @param more light that the print needs at its pack; negative when it is too dark
 * @param blind whether it is too dark or too light to tell a colour
 */
public record CardSpot(double magenta, double yellow, Stops more, boolean blind) {
    /** Visual density of a grey card in a print, as in all of this program. */
    public static final double WANTED_DENSITY = 0.75;

    private static final DyeImage WANTED =
            DyeImage.looking(ColourBalance.lightnessOf(WANTED_DENSITY), 0, 0, ViewingLight.USUAL);

    /**
     * Of the card as it looks in the usual viewing light.
     *
     * @param set filters that the pack is made of
     */
    public static CardSpot of(Appearance seen, FilterSet set) {
        double lightness = Math.max(NeutralSpot.DARKEST, Math.min(NeutralSpot.LIGHTEST, seen.lightness()));
        if (tellsColour(seen.lightness())) {
            try {
                DyeImage dyes = DyeImage.looking(lightness, seen.a(), seen.b(), ViewingLight.USUAL);
                double[] change = ColourBalance.change(dyes, WANTED, set);
                return new CardSpot(change[1], change[2], more(dyes), false);
            } catch (QuantityException e) {
                // So dark or pale in one layer that no dyes look like it: its lightness alone tells.
            }
        }
        return new CardSpot(0, 0, more(DyeImage.looking(lightness, 0, 0, ViewingLight.USUAL)), true);
    }

    /** Whether a spot of this L*, 0 to 100, is neither nearly black nor nearly white. */
    public static boolean tellsColour(double lightness) {
        return lightness >= NeutralSpot.DARKEST && lightness <= NeutralSpot.LIGHTEST;
    }

    /** As it is weighed with all other looks; one that is blind leaves the pack as open as nobody's guess. */
    public CastLook look(FilterPack printed) {
        CastLook look = CastLook.of(printed, magenta, yellow, CastWay.PICTURE);
        return blind ? look.open(CastWay.GUESSED_POINTS) : look;
    }

    private static Stops more(DyeImage dyes) {
        double[] layers = ColourBalance.ofLayers(dyes, WANTED);
        Weights eye = Weights.VISUAL;
        return Stops.ofLogExposure(eye.red() * layers[0] + eye.green() * layers[1] + eye.blue() * layers[2]);
    }
}
