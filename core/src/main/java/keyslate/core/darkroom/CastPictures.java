package keyslate.core.darkroom;

import java.util.List;
import java.util.stream.Stream;
import keyslate.core.colour.ColourBalance;
import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Hue;
import keyslate.core.colour.Layers;
import keyslate.core.colour.NamedCast;
import keyslate.core.colour.NamedCast.Picture;
import keyslate.core.colour.NeutralRemoval;
import keyslate.core.local.AreaMask;
import keyslate.core.medium.Colour;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;

/**
 * A picture as it would print with a cast, for comparing by name: the pack that prints a grey card neutral on this model, moved by what makes the cast (COL-30), the time kept as
 * dark. Whatever pack stands and however the paper acts, they show the same casts.
 */
public final class CastPictures {
    private static final double GREY_CARD = 0.18;
    private static final ColourBalance NEUTRAL = ColourBalance.of(
            ColourFilm.printingDensity(new Layers(GREY_CARD, GREY_CARD, GREY_CARD), Stops.ZERO),
            Colour.WANTED_DENSITY,
            ColourSheet.USUAL_KELVIN,
            FilterSet.DICHROIC);

    private CastPictures() {}

    /** The order of {@link #all}: neutral, then round the rose from the top, each hue from slight to strong. */
    public static final List<Picture> ORDER = Stream.concat(
                    Stream.of(Picture.NEUTRAL),
                    Stream.of(Hue.G, Hue.C, Hue.B, Hue.M, Hue.R, Hue.Y)
                            .flatMap(hue -> Stream.of(NamedCast.SLIGHT, NamedCast.CLEAR, NamedCast.STRONG)
                                    .map(strength -> new Picture(hue, strength))))
            .toList();

    /**
     * All of them, one under the other in their {@link #ORDER}.
     *
     * @param negative the part that prints
     * @param view which part of the frame that is
     * @param scale how many times as strong as usual, 0.5 to 4
     */
    public static Look all(Negative negative, AreaMask.View view, double scale) {
        Check.within("scale", scale, NamedCast.LEAST_SCALE, NamedCast.MOST_SCALE, "");
        // Nothing of one print hangs on another.
        List<Look> made = ORDER.parallelStream()
                .map(cast -> of(negative, view, cast, scale))
                .toList();
        int bytes = made.get(0).samples().length;
        byte[] all = new byte[bytes * made.size()];
        for (int i = 0; i < made.size(); i++) {
            System.arraycopy(made.get(i).samples(), 0, all, i * bytes, bytes);
        }
        return Look.colour(negative.width(), negative.height() * made.size(), all);
    }

    /** The print with one cast. */
    public static Look of(Negative negative, AreaMask.View view, Picture cast, double scale) {
        FilterPack pack = NeutralRemoval.of(NEUTRAL.pack().toShift().plus(cast.shift(scale)))
                .pack();
        double seconds = NEUTRAL.time().inSeconds()
                * FilterSet.DICHROIC.timeFactor(NEUTRAL.pack(), pack, FilterSet.Weights.VISUAL, 0, 0);
        ColourSheet sheet = new ColourSheet(
                0,
                ColourSheet.USUAL_KELVIN,
                FilterSet.DICHROIC,
                List.of(new ColourSheet.Burst(pack, seconds, Reach.WHOLE)));
        ColourPrint.Picture made =
                new ColourPrint().print(((Negative.Colour) negative).density(), view, sheet, ColourTruth.asLabelled());
        return Look.ofCodes(made.width(), made.height(), made.rgb());
    }
}
