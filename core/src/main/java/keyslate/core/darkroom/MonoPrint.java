package keyslate.core.darkroom;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.darkroom.SheetExposure.Burst;
import keyslate.core.local.AreaMask;

/**
 * The monochrome print: negative, light and local work to densities on variable-contrast paper.
 *
 * <p>DRK-03: H_B = 10^(E − D) · Σ_f S_f · 10^(b_f), H_G likewise with g_f; S_f = seconds received through filter f at that
 * place: bursts · Π(1 − mask of each hold) or · mask of the burn. Density from CON-02.
 */
public final class MonoPrint {
    private static final int LEVEL = 0;
    private static final int RATIO = 1;
    private static final int MOST_TABLES = 20;
    /** ISO units of a shift of log green/blue, about white light: what makes one batch softer than another. */
    private static final double RANGE_OF_RATIO = 67;

    private final VariableContrastPaper paper;
    private final ReachMasks masks = new ReachMasks();
    /** By how much softer a batch is: graded paper has a curve for each. */
    private final Map<Double, PaperTable> tables = new ConcurrentHashMap<>();

    public MonoPrint(VariableContrastPaper paper) {
        this.paper = paper;
    }

    private PaperTable table(PaperTruth truth) {
        if (!paper.isOfOneGrade()) {
            return PaperTable.generic();
        }
        if (tables.size() > MOST_TABLES) {
            tables.clear();
        }
        return tables.computeIfAbsent(truth.ratioOffset(), softer -> {
            double range = paper.rangeThrough(GradeFilter.NONE) + softer * RANGE_OF_RATIO;
            return PaperTable.of(VariableContrastPaper.ofOneGrade(range, 0));
        });
    }

    /**
     * Densities of the sheet, paper white included.
     *
     * @param negative densities of the part of the negative that prints
     * @param view which part of the frame that is
     */
    public Raster print(Raster negative, AreaMask.View view, SheetExposure exposure, PaperTruth truth) {
        PaperTable table = table(truth);
        float[] film = negative.samples();
        float[] out = new float[film.length];
        light(negative, view, exposure, truth)
                .walk(
                        negative.width(),
                        negative.height(),
                        (at, row, even) -> table.densities(row[LEVEL], row[RATIO], film, out, at));
        return Raster.over(negative.width(), negative.height(), out);
    }

    /** The same as one sRGB grey byte a pixel, for looking at: quicker than {@link #print}, and within one code of it. */
    public byte[] printGrey(Raster negative, AreaMask.View view, SheetExposure exposure, PaperTruth truth) {
        PaperTable table = table(truth);
        float[] film = negative.samples();
        byte[] out = new byte[film.length];
        OneRatio oneRatio = new OneRatio(table);
        light(negative, view, exposure, truth).walk(negative.width(), negative.height(), (at, row, even) -> {
            if (even[RATIO]) {
                PaperTable.greys(oneRatio.greysAt(row[RATIO][0]), row[LEVEL], film, out, at);
            } else {
                table.greys(row[LEVEL], row[RATIO], film, out, at);
            }
        });
        return out;
    }

    /** Most rows have one green/blue ratio from side to side, and the same as the row before. */
    private static final class OneRatio {
        private final PaperTable table;
        private byte[] greys = {};
        private float ratio = Float.NaN;

        OneRatio(PaperTable table) {
            this.table = table;
        }

        byte[] greysAt(float wanted) {
            if (wanted != ratio) {
                greys = table.greysAt(wanted);
                ratio = wanted;
            }
            return greys;
        }
    }

    private LightField light(Raster negative, AreaMask.View view, SheetExposure exposure, PaperTruth truth) {
        LightField field = LightField.forPicture(
                negative.width(), negative.height(), exposure.bursts().stream().map(Burst::reach), 2);
        Map<GradeFilter, float[]> seconds = new LinkedHashMap<>();
        for (Burst burst : exposure.bursts()) {
            float[] sum = seconds.computeIfAbsent(burst.filter(), f -> new float[field.columns * field.rows]);
            float[] shares = masks.shares(burst.reach(), view, field.columns, field.rows);
            for (int i = 0; i < sum.length; i++) {
                sum[i] += (float) burst.receivedSeconds() * shares[i];
            }
        }
        fill(field, seconds, exposure.logPerSecond() + truth.logSpeed(), truth.ratioOffset());
        field.darkenCorners(truth.cornerLoss(), 1);
        field.shade(exposure.evenness(), view, 1);
        return field;
    }

    /** log10 of the blue light and log10 green/blue at each point, from the seconds through each filter. */
    private void fill(LightField field, Map<GradeFilter, float[]> seconds, double base, double ratioOffset) {
        List<float[]> sums = new ArrayList<>(seconds.values());
        double[] blue = new double[sums.size()];
        double[] green = new double[sums.size()];
        int f = 0;
        for (GradeFilter filter : seconds.keySet()) {
            FilterLight light = paper.lightThrough(filter);
            blue[f] = Math.pow(10, light.blueLog());
            green[f++] = Math.pow(10, light.greenLog() + ratioOffset);
        }
        double lastBlue = -1;
        double lastGreen = -1;
        double level = LightField.NO_LIGHT_LOG;
        double ratio = 0;
        for (int i = 0; i < field.columns * field.rows; i++) {
            double sumBlue = 0;
            double sumGreen = 0;
            for (f = 0; f < blue.length; f++) {
                float s = sums.get(f)[i];
                sumBlue += s * blue[f];
                sumGreen += s * green[f];
            }
            // Outside the areas neighbours got the same light: their logarithms are taken once.
            if (sumBlue != lastBlue || sumGreen != lastGreen) {
                boolean dark = sumBlue <= 0;
                level = dark ? LightField.NO_LIGHT_LOG : base + Math.log10(sumBlue);
                ratio = dark ? 0 : Math.log10(sumGreen / sumBlue);
                lastBlue = sumBlue;
                lastGreen = sumGreen;
            }
            field.planes[LEVEL][i] = (float) level;
            field.planes[RATIO][i] = (float) ratio;
        }
    }
}
