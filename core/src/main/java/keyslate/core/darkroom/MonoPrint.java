package keyslate.core.darkroom;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.darkroom.SheetExposure.Area;
import keyslate.core.darkroom.SheetExposure.Burst;
import keyslate.core.darkroom.SheetExposure.Uncovered;
import keyslate.core.local.AreaMask;

/**
 * The monochrome print: negative, light and local work to densities on variable-contrast paper.
 *
 * <p>DRK-03: H_B = 10^(E − D) · Σ_f S_f · 10^(b_f), H_G likewise with g_f; S_f = seconds received through filter f at that
 * place: bursts · Π(1 − mask of each hold) or · mask of the burn. Density from CON-02.
 *
 * <p>The local work is smooth, so log S and log(H_G/H_B) are computed on a raster four times coarser and read between its
 * points; a strip's patches have hard edges and are computed column by column at full size.
 */
public final class MonoPrint {
    private static final int COARSENESS = 4;
    private static final double NO_LIGHT_LOG = -9;

    private final VariableContrastPaper paper;

    public MonoPrint(VariableContrastPaper paper) {
        this.paper = paper;
    }

    /**
     * Densities of the sheet, paper white included.
     *
     * @param negative densities of the part of the negative that prints
     * @param view which part of the frame that is
     */
    public Raster print(Raster negative, AreaMask.View view, SheetExposure exposure, PaperTruth truth) {
        boolean strip = exposure.bursts().stream().anyMatch(b -> b.uncovered().isPresent());
        int columns = strip ? negative.width() : coarse(negative.width());
        int rows = strip ? negative.height() : coarse(negative.height());
        Field field = light(exposure, view, columns, rows, truth);
        return strip || columns == negative.width()
                ? develop(negative, field)
                : develop(negative, field.finer(negative.width(), negative.height()));
    }

    private static int coarse(int pixels) {
        return Math.max(2, (pixels + COARSENESS - 1) / COARSENESS);
    }

    private static Raster develop(Raster negative, Field field) {
        PaperTable table = PaperTable.generic();
        float[] film = negative.samples();
        float[] out = new float[film.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = table.density(field.logBlue[i] - film[i], field.ratio[i]);
        }
        return Raster.over(negative.width(), negative.height(), out);
    }

    private Field light(SheetExposure exposure, AreaMask.View view, int columns, int rows, PaperTruth truth) {
        Map<GradeFilter, float[]> seconds = new LinkedHashMap<>();
        Map<Area, float[]> masks = new LinkedHashMap<>();
        for (Burst burst : exposure.bursts()) {
            float[] sum = seconds.computeIfAbsent(burst.filter(), f -> new float[columns * rows]);
            float[] weights = weights(burst, view, columns, rows, masks);
            for (int i = 0; i < sum.length; i++) {
                sum[i] += (float) burst.receivedSeconds() * weights[i];
            }
        }
        double base = exposure.logPerSecond() + truth.speedOffset().toLogExposure();
        Field field = new Field(columns, rows);
        List<GradeFilter> filters = new ArrayList<>(seconds.keySet());
        double[] blue = new double[filters.size()];
        double[] green = new double[filters.size()];
        for (int f = 0; f < blue.length; f++) {
            FilterLight light = paper.lightThrough(filters.get(f));
            blue[f] = Math.pow(10, light.blueLog());
            green[f] = Math.pow(10, light.greenLog() + truth.ratioOffset());
        }
        for (int i = 0; i < field.logBlue.length; i++) {
            double sumBlue = 0;
            double sumGreen = 0;
            for (int f = 0; f < blue.length; f++) {
                float s = seconds.get(filters.get(f))[i];
                sumBlue += s * blue[f];
                sumGreen += s * green[f];
            }
            boolean dark = sumBlue <= 0;
            field.logBlue[i] = (float) (dark ? NO_LIGHT_LOG : base + Math.log10(sumBlue) - falloff(i, field, truth));
            field.ratio[i] = (float) (dark ? 0 : Math.log10(sumGreen / sumBlue));
        }
        return field;
    }

    /** Light lost towards the corners, growing with the square of the distance from the centre, in log10. */
    private static double falloff(int i, Field field, PaperTruth truth) {
        double x = 2.0 * (i % field.columns + 0.5) / field.columns - 1;
        double y = 2.0 * (i / field.columns + 0.5) / field.rows - 1;
        return truth.cornerLoss().toLogExposure() * (x * x + y * y) / 2;
    }

    private static float[] weights(Burst burst, AreaMask.View view, int columns, int rows, Map<Area, float[]> masks) {
        float[] weights = new float[columns * rows];
        if (burst.burned().isPresent()) {
            System.arraycopy(mask(burst.burned().get(), view, columns, rows, masks), 0, weights, 0, weights.length);
        } else {
            java.util.Arrays.fill(weights, 1);
        }
        for (Area held : burst.heldBack()) {
            float[] mask = mask(held, view, columns, rows, masks);
            for (int i = 0; i < weights.length; i++) {
                weights[i] *= 1 - mask[i];
            }
        }
        burst.uncovered().ifPresent(part -> cover(weights, part, columns, rows));
        return weights;
    }

    private static float[] mask(Area area, AreaMask.View view, int columns, int rows, Map<Area, float[]> masks) {
        return masks.computeIfAbsent(area, a -> AreaMask.rasterise(a.shape(), a.softEdge(), view, columns, rows));
    }

    private static void cover(float[] weights, Uncovered part, int columns, int rows) {
        for (int i = 0; i < weights.length; i++) {
            double x = (i % columns + 0.5) / columns;
            double y = (i / columns + 0.5) / rows;
            boolean lit = x >= part.left()
                    && x < part.left() + part.width()
                    && y >= part.top()
                    && y < part.top() + part.height();
            if (!lit) {
                weights[i] = 0;
            }
        }
    }

    /** Light over the sheet: log10 blue exposure through clear film, and log10 green/blue. */
    private static final class Field {
        private final int columns;
        private final int rows;
        private final float[] logBlue;
        private final float[] ratio;

        Field(int columns, int rows) {
            this.columns = columns;
            this.rows = rows;
            this.logBlue = new float[columns * rows];
            this.ratio = new float[columns * rows];
        }

        Field finer(int width, int height) {
            Field out = new Field(width, height);
            for (int y = 0; y < height; y++) {
                float v = Math.max(0, Math.min(rows - 1.001f, (y + 0.5f) * rows / height - 0.5f));
                int row = (int) v;
                float vw = v - row;
                for (int x = 0; x < width; x++) {
                    float u = Math.max(0, Math.min(columns - 1.001f, (x + 0.5f) * columns / width - 0.5f));
                    int column = (int) u;
                    float uw = u - column;
                    int at = row * columns + column;
                    out.logBlue[y * width + x] = between(logBlue, at, uw, vw);
                    out.ratio[y * width + x] = between(ratio, at, uw, vw);
                }
            }
            return out;
        }

        private float between(float[] values, int at, float uw, float vw) {
            float top = values[at] + uw * (values[at + 1] - values[at]);
            float low = values[at + columns] + uw * (values[at + columns + 1] - values[at + columns]);
            return top + vw * (low - top);
        }
    }
}
