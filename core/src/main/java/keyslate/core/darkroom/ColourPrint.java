package keyslate.core.darkroom;

import keyslate.core.colour.ColourPaper;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Layers;
import keyslate.core.colour.Viewing;
import keyslate.core.darkroom.ColourSheet.Burst;
import keyslate.core.local.AreaMask;
import keyslate.core.quantity.FilterPack;

/**
 * The colour print: negative, pack, light and local work to dyes, and to what they look like.
 *
 * <p>DRK-07: for each layer x = gradient·(log10 Σ_bursts seconds·share·10^(−a(pack)) + S + κ − D + offset), dye by
 * COL-12, look by COL-18 and COL-20. The share of a burst is Π(1 − mask of each hold), or the mask of the burn.
 */
public final class ColourPrint {
    private static final int LAYERS = 3;

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
        return print(negative, view, sheet, truth, Viewing.USUAL);
    }

    /** The same looked at in a light of one's own, or wet. */
    public Picture print(
            ColourRaster negative, AreaMask.View view, ColourSheet sheet, ColourTruth truth, Viewing viewing) {
        ColourLook.Rows look = ColourLook.of(viewing).rows(negative.width());
        float gradient = (float) truth.gradient();
        float[][] film = {
            negative.red().samples(),
            negative.green().samples(),
            negative.blue().samples()
        };
        int[] out = new int[film[0].length];
        Light light = light(negative, view, sheet, truth);
        light.field().walk(negative.width(), negative.height(), (at, row, even) -> {
            float[][] planes = row.length == 1 ? new float[][] {row[0], row[0], row[0]} : row;
            look.colours(planes, light.offset(), film, gradient, out, at);
        });
        return new Picture(negative.width(), negative.height(), out);
    }

    /**
     * The dyes of one tone of the negative in the middle of a straight sheet under a lamp, by the formulas themselves
     * and no table.
     */
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

    /** Light over the sheet: a plane for each layer, or one for all three and what each has more than that. */
    private record Light(LightField field, float[] offset) {}

    private Light light(ColourRaster negative, AreaMask.View view, ColourSheet sheet, ColourTruth truth) {
        // Through one pack the three layers get the same light but for a factor: one plane does for all.
        boolean onePack = sheet.bursts().stream()
                .allMatch(burst -> burst.isThrough(sheet.bursts().get(0)));
        int planes = onePack ? 1 : LAYERS;
        LightField field = LightField.forPicture(
                negative.width(), negative.height(), sheet.bursts().stream().map(Burst::reach), planes);
        int bursts = sheet.bursts().size();
        float[][] shares = new float[bursts][];
        double[][] perShare = new double[LAYERS][bursts];
        for (int b = 0; b < bursts; b++) {
            Burst burst = sheet.bursts().get(b);
            for (int l = 0; l < LAYERS; l++) {
                perShare[l][b] = burst.receivedSeconds() * Math.pow(10, logOfFilters(sheet, burst, truth, l));
            }
            shares[b] = masks.shares(burst.reach(), view, field.columns, field.rows);
        }
        // The light of the reference enlarger through no filter at all: speed of the layer and colour of the lamp.
        Layers reference = ColourPaper.logExposure(
                new Layers(0, 0, 0), FilterPack.of(0, 0, 0), sheet.lightLog10(), sheet.kelvin(), sheet.filters());
        for (int p = 0; p < planes; p++) {
            fill(field.planes[p], shares, perShare[p]);
        }
        field.darkenCorners(truth.cornerLoss(), planes);
        field.shade(sheet.evenness(), view, planes);
        float[] offset = new float[LAYERS];
        for (int l = 0; l < LAYERS; l++) {
            double filters = onePack && bursts > 0
                    ? logOfFilters(sheet, sheet.bursts().get(0), truth, l)
                            - logOfFilters(sheet, sheet.bursts().get(0), truth, 0)
                    : 0;
            offset[l] = (float) (reference.at(l) + truth.logSpeed(l) + filters);
        }
        return new Light(field, offset);
    }

    private static double logOfFilters(ColourSheet sheet, Burst burst, ColourTruth truth, int layer) {
        return -sheet.filters().layerDensity(truth.inTheLight(burst.pack()), layer)
                - burst.beyond().at(layer);
    }

    private static void fill(float[] plane, float[][] shares, double[] perShare) {
        double last = -1;
        double level = LightField.NO_LIGHT_LOG;
        for (int i = 0; i < plane.length; i++) {
            double sum = 0;
            for (int burst = 0; burst < perShare.length; burst++) {
                sum += perShare[burst] * shares[burst][i];
            }
            // Outside the areas neighbours got the same light: their logarithm is taken once.
            if (sum != last) {
                level = sum <= 0 ? LightField.NO_LIGHT_LOG : Math.log10(sum);
                last = sum;
            }
            plane[i] = (float) level;
        }
    }
}
