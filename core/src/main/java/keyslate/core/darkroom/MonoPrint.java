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

    private static final int KEPT_MASKS = 48;

    private final VariableContrastPaper paper;
    private final Map<MaskKey, float[]> masks = new LinkedHashMap<>(KEPT_MASKS, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<MaskKey, float[]> eldest) {
            return size() > KEPT_MASKS;
        }
    };

    /** The same outline on the same raster has the same weights. */
    private record MaskKey(Area area, AreaMask.View view, int columns, int rows) {}

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
        PaperTable table = PaperTable.generic();
        float[] out = new float[negative.samples().length];
        develop(negative, light(negative, view, exposure, truth), (at, level, ratio) -> {
            for (int x = 0; x < level.length; x++) {
                out[at + x] = table.density(level[x], ratio[x]);
            }
        });
        return Raster.over(negative.width(), negative.height(), out);
    }

    /** The same as one sRGB grey byte a pixel, for looking at: quicker than {@link #print}, and within one code of it. */
    public byte[] printGrey(Raster negative, AreaMask.View view, SheetExposure exposure, PaperTruth truth) {
        PaperTable table = PaperTable.generic();
        byte[] out = new byte[negative.samples().length];
        develop(negative, light(negative, view, exposure, truth), (at, level, ratio) -> {
            for (int x = 0; x < level.length; x++) {
                out[at + x] = table.grey(level[x], ratio[x]);
            }
        });
        return out;
    }

    private Field light(Raster negative, AreaMask.View view, SheetExposure exposure, PaperTruth truth) {
        boolean strip = exposure.bursts().stream().anyMatch(b -> b.uncovered().isPresent());
        int columns = strip ? negative.width() : coarse(negative.width());
        int rows = strip ? negative.height() : coarse(negative.height());
        return light(exposure, view, columns, rows, truth);
    }

    private static int coarse(int pixels) {
        return Math.max(2, (pixels + COARSENESS - 1) / COARSENESS);
    }

    /** Takes a row of the sheet: where it starts, log10 blue exposure and log10 green/blue of each pixel. */
    private interface RowSink {
        void take(int at, float[] level, float[] ratio);
    }

    /** Walks the sheet row by row; light between the points of the coarse raster is read in straight lines. */
    private static void develop(Raster negative, Field field, RowSink sink) {
        int width = negative.width();
        int height = negative.height();
        float[] film = negative.samples();
        float[] level = new float[width];
        float[] ratio = new float[width];
        int[] cellEnd = new int[field.columns];
        float[] weight = new float[width];
        for (int x = 0; x < width; x++) {
            float u = between((x + 0.5f) * field.columns / width - 0.5f, field.columns);
            int cell = (int) u;
            cellEnd[cell] = x + 1;
            weight[x] = u - cell;
        }
        float[] blueRow = new float[field.columns + 1];
        float[] ratioRow = new float[field.columns + 1];
        for (int y = 0; y < height; y++) {
            float v = between((y + 0.5f) * field.rows / height - 0.5f, field.rows);
            int row = (int) v;
            field.row(field.logBlue, row, v - row, blueRow);
            field.row(field.ratio, row, v - row, ratioRow);
            int at = y * width;
            // Cell by cell, so that the inner loop reads straight on: looking the cell up for each pixel makes the
            // compiler gather, which is five times slower here.
            int x = 0;
            for (int cell = 0; cell < field.columns; cell++) {
                float blue = blueRow[cell];
                float blueStep = blueRow[cell + 1] - blue;
                float mix = ratioRow[cell];
                float mixStep = ratioRow[cell + 1] - mix;
                for (; x < cellEnd[cell]; x++) {
                    level[x] = blue + weight[x] * blueStep - film[at + x];
                    ratio[x] = mix + weight[x] * mixStep;
                }
            }
            sink.take(at, level, ratio);
        }
    }

    private static float between(float place, int count) {
        return Math.max(0, Math.min(count - 1, place));
    }

    private Field light(SheetExposure exposure, AreaMask.View view, int columns, int rows, PaperTruth truth) {
        Map<GradeFilter, float[]> seconds = new LinkedHashMap<>();
        for (Burst burst : exposure.bursts()) {
            float[] sum = seconds.computeIfAbsent(burst.filter(), f -> new float[columns * rows]);
            float[] weights = weights(burst, view, columns, rows);
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
        double lastBlue = -1;
        double lastGreen = -1;
        double level = NO_LIGHT_LOG;
        double ratio = 0;
        for (int i = 0; i < field.logBlue.length; i++) {
            double sumBlue = 0;
            double sumGreen = 0;
            for (int f = 0; f < blue.length; f++) {
                float s = seconds.get(filters.get(f))[i];
                sumBlue += s * blue[f];
                sumGreen += s * green[f];
            }
            // Outside the areas neighbours got the same light: their logarithms are taken once.
            if (sumBlue != lastBlue || sumGreen != lastGreen) {
                boolean dark = sumBlue <= 0;
                level = dark ? NO_LIGHT_LOG : base + Math.log10(sumBlue);
                ratio = dark ? 0 : Math.log10(sumGreen / sumBlue);
                lastBlue = sumBlue;
                lastGreen = sumGreen;
            }
            field.logBlue[i] = (float) level;
            field.ratio[i] = (float) ratio;
        }
        if (truth.cornerLoss().inStops() > 0) {
            for (int i = 0; i < field.logBlue.length; i++) {
                field.logBlue[i] -= (float) falloff(i, field, truth);
            }
        }
        return field;
    }

    /** Light lost towards the corners, growing with the square of the distance from the centre, in log10. */
    private static double falloff(int i, Field field, PaperTruth truth) {
        double x = 2.0 * (i % field.columns + 0.5) / field.columns - 1;
        double y = 2.0 * (i / field.columns + 0.5) / field.rows - 1;
        return truth.cornerLoss().toLogExposure() * (x * x + y * y) / 2;
    }

    private float[] weights(Burst burst, AreaMask.View view, int columns, int rows) {
        float[] weights = new float[columns * rows];
        if (burst.burned().isPresent()) {
            System.arraycopy(mask(burst.burned().get(), view, columns, rows), 0, weights, 0, weights.length);
        } else {
            java.util.Arrays.fill(weights, 1);
        }
        for (Area held : burst.heldBack()) {
            float[] mask = mask(held, view, columns, rows);
            for (int i = 0; i < weights.length; i++) {
                weights[i] *= 1 - mask[i];
            }
        }
        burst.uncovered().ifPresent(part -> cover(weights, part, columns, rows));
        return weights;
    }

    private float[] mask(Area area, AreaMask.View view, int columns, int rows) {
        MaskKey key = new MaskKey(area, view, columns, rows);
        synchronized (masks) {
            float[] kept = masks.get(key);
            if (kept != null) {
                return kept;
            }
        }
        float[] made = AreaMask.rasterise(area.shape(), area.softEdge(), view, columns, rows);
        synchronized (masks) {
            masks.put(key, made);
        }
        return made;
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

        /** One row between two of the raster, with its last point repeated so that reading to the right is safe. */
        void row(float[] values, int row, float weight, float[] out) {
            int top = row * columns;
            int low = Math.min(row + 1, rows - 1) * columns;
            for (int c = 0; c < columns; c++) {
                out[c] = values[top + c] + weight * (values[low + c] - values[top + c]);
            }
            out[columns] = out[columns - 1];
        }
    }
}
