package keyslate.core.darkroom;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.colour.ColourPaper;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Layers;
import keyslate.core.darkroom.ColourSheet.Burst;
import keyslate.core.local.AreaMask;
import keyslate.core.quantity.FilterPack;

/**
 * The colour print: negative, pack, light and local work to dyes, and to what they look like.
 *
 * <p>DRK-07: for each layer x = gradient·(log10 Σ_bursts seconds·share·10^(−a(pack)) + S + κ − D + offset), dye by COL-12, look by COL-18 and COL-20. The share of a burst
 * is Π(1 − mask of each hold), or the mask of the burn.
 */
public final class ColourPrint {
    private final ReachMasks masks = new ReachMasks();

    /** A finished picture for looking at. */
    public record Picture(int width, int height, int[] rgb) {}

    /**
     * The sheet as a screen shows it, sRGB, 8 bits a channel, red highest.
     *
     * @param negative printing densities of the part of the negative that prints
     * @param view which part of the frame that is
     */
    public Picture print(ColourRaster negative, AreaMask.View view, ColourSheet sheet, ColourTruth truth) {
        ColourLook look = ColourLook.usual();
        float gradient = (float) truth.gradient();
        float[][] film = {
            negative.red().samples(),
            negative.green().samples(),
            negative.blue().samples()
        };
        int[] out = new int[film[0].length];
        light(negative, view, sheet, truth)
                .walk(
                        negative.width(),
                        negative.height(),
                        (at, row, even) -> look.colours(row, film, gradient, out, at));
        return new Picture(negative.width(), negative.height(), out);
    }

    /** The dyes of one tone of the negative in the middle of a straight sheet under a lamp, by the formulas themselves and no table. */
    public static DyeImage patch(
            Layers negative, FilterPack pack, double receivedSeconds, double kelvin, ColourTruth truth) {
        Layers x = ColourPaper.logExposure(
                negative, truth.inTheLight(pack), Math.log10(receivedSeconds), kelvin, FilterSet.DICHROIC);
        double[] dyes = new double[3];
        for (int l = 0; l < 3; l++) {
            dyes[l] = ColourPaper.amount(truth.gradient() * (x.at(l) + truth.logSpeed(l)));
        }
        return new DyeImage(Layers.of(dyes));
    }

    private LightField light(ColourRaster negative, AreaMask.View view, ColourSheet sheet, ColourTruth truth) {
        LightField field = LightField.forPicture(
                negative.width(), negative.height(), sheet.bursts().stream().map(Burst::reach), 3);
        List<float[]> shares = new ArrayList<>();
        double[][] perShare = new double[3][sheet.bursts().size()];
        for (Burst burst : sheet.bursts()) {
            FilterPack pack = truth.inTheLight(burst.pack());
            for (int l = 0; l < 3; l++) {
                perShare[l][shares.size()] =
                        burst.receivedSeconds() * Math.pow(10, -sheet.filters().layerDensity(pack, l));
            }
            shares.add(masks.shares(burst.reach(), view, field.columns, field.rows));
        }
        // The light of the reference enlarger through no filter at all: speed of the layer and colour of the lamp.
        Layers reference = ColourPaper.logExposure(
                new Layers(0, 0, 0), FilterPack.of(0, 0, 0), sheet.lightLog10(), sheet.kelvin(), sheet.filters());
        for (int l = 0; l < 3; l++) {
            fill(field.planes[l], shares, perShare[l], reference.at(l) + truth.logSpeed(l));
        }
        field.darkenCorners(truth.cornerLoss(), 3);
        return field;
    }

    private static void fill(float[] plane, List<float[]> shares, double[] perShare, double base) {
        double last = -1;
        double level = LightField.NO_LIGHT_LOG;
        for (int i = 0; i < plane.length; i++) {
            double sum = 0;
            for (int burst = 0; burst < perShare.length; burst++) {
                sum += perShare[burst] * shares.get(burst)[i];
            }
            // Outside the areas neighbours got the same light: their logarithm is taken once.
            if (sum != last) {
                level = sum <= 0 ? LightField.NO_LIGHT_LOG : base + Math.log10(sum);
                last = sum;
            }
            plane[i] = (float) level;
        }
    }
}
