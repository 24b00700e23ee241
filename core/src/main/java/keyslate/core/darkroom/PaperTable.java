package keyslate.core.darkroom;

import keyslate.core.contrast.VariableContrastPaper;

/**
 * The paper's density as a table over (log10 blue exposure, log10 green/blue), so that a pixel costs a few additions.
 *
 * <p>2049 × 129 entries: bilinear reading is within 0.002 D of the formula everywhere (measured in the tests).
 */
final class PaperTable {
    private static final int LEVELS = 2049;
    private static final int RATIOS = 129;
    private static final double LOWEST_LEVEL = -4.6;
    private static final double HIGHEST_LEVEL = 1.4;
    private static final double LOWEST_RATIO = -1.4;
    private static final double HIGHEST_RATIO = 2.8;
    private static final float LEVEL_SCALE = (float) ((LEVELS - 1) / (HIGHEST_LEVEL - LOWEST_LEVEL));
    private static final float RATIO_SCALE = (float) ((RATIOS - 1) / (HIGHEST_RATIO - LOWEST_RATIO));

    private static final class Holder {
        static final PaperTable GENERIC = new PaperTable(new VariableContrastPaper());
    }

    /** 2049 × 2 where a paper answers alike to every ratio. */
    private final int ratios;

    private final float[] densities;
    /** Codes as bytes: a quarter of the floats' size, so that the table stays in the near cache. */
    private final byte[] greys;

    private PaperTable(VariableContrastPaper paper) {
        ratios = paper.isOfOneGrade() ? 2 : RATIOS;
        densities = new float[LEVELS * ratios];
        greys = new byte[LEVELS * ratios];
        for (int r = 0; r < ratios; r++) {
            double ratio = LOWEST_RATIO + r / (double) RATIO_SCALE;
            for (int l = 0; l < LEVELS; l++) {
                double level = LOWEST_LEVEL + l / (double) LEVEL_SCALE;
                double density = VariableContrastPaper.PAPER_WHITE + paper.netDensityAt(level, ratio);
                densities[r * LEVELS + l] = (float) density;
                greys[r * LEVELS + l] = (byte) ToneEncoding.encode(Math.pow(10, -density));
            }
        }
    }

    /** The table of the generic paper, made once. */
    static PaperTable generic() {
        return Holder.GENERIC;
    }

    /** The table of a paper: one of its own for graded paper, else the generic one, whatever is known of its filters. */
    static PaperTable of(VariableContrastPaper paper) {
        return paper.isOfOneGrade() ? new PaperTable(paper) : generic();
    }

    /**
     * Densities of a row, paper white included; clamped at the ends, where the paper is white or black.
     *
     * @param level log10 blue light of each pixel; used up
     * @param ratio log10 green/blue of each pixel; used up
     */
    void densities(float[] level, float[] ratio, float[] film, float[] out, int at) {
        place(level, film, at);
        place(ratio);
        for (int x = 0; x < level.length; x++) {
            int li = (int) level[x];
            int ri = (int) ratio[x];
            float lw = level[x] - li;
            int i = ri * LEVELS + li;
            float low = densities[i] + lw * (densities[i + 1] - densities[i]);
            float high = densities[i + LEVELS] + lw * (densities[i + LEVELS + 1] - densities[i + LEVELS]);
            out[at + x] = low + (ratio[x] - ri) * (high - low);
        }
    }

    /** The sRGB grey codes of a row: the nearest level, between two ratios. The arrays are used up as in {@link #densities}. */
    void greys(float[] level, float[] ratio, float[] film, byte[] out, int at) {
        place(level, film, at);
        place(ratio);
        for (int x = 0; x < level.length; x++) {
            int ri = (int) ratio[x];
            int i = ri * LEVELS + (int) (level[x] + 0.5f);
            int soft = greys[i] & 0xff;
            out[at + x] = (byte) (int) (soft + (ratio[x] - ri) * ((greys[i + LEVELS] & 0xff) - soft) + 0.5f);
        }
    }

    /** The codes along the levels at one ratio, for rows whose ratio does not change. */
    byte[] greysAt(float ratio) {
        byte[] along = new byte[LEVELS];
        float[] level = new float[LEVELS];
        float[] ratios = new float[LEVELS];
        for (int l = 0; l < LEVELS; l++) {
            level[l] = (float) LOWEST_LEVEL + l / LEVEL_SCALE;
            ratios[l] = ratio;
        }
        greys(level, ratios, new float[LEVELS], along, 0);
        return along;
    }

    /** As {@link #greys(float[], float[], float[], byte[], int)} for a row of one ratio: one small table, twice as quick. */
    static void greys(byte[] along, float[] level, float[] film, byte[] out, int at) {
        place(level, film, at);
        for (int x = 0; x < level.length; x++) {
            out[at + x] = along[(int) (level[x] + 0.5f)];
        }
    }

    /** Light less film to places along the levels; a loop of its own, so that the compiler turns it into vectors. */
    private static void place(float[] level, float[] film, int at) {
        for (int x = 0; x < level.length; x++) {
            float place = (level[x] - film[at + x] - (float) LOWEST_LEVEL) * LEVEL_SCALE;
            level[x] = clamp(place, LEVELS - 1.001f);
        }
    }

    private void place(float[] ratio) {
        for (int x = 0; x < ratio.length; x++) {
            float place = (ratio[x] - (float) LOWEST_RATIO) * RATIO_SCALE;
            ratio[x] = clamp(place, ratios - 1.001f);
        }
    }

    private static float clamp(float value, float high) {
        // Plain comparisons: Math.min and Math.max also order zeros and NaN, and the loop is then no vector code any
        // more.
        float low = value < 0 ? 0 : value;
        return low > high ? high : low;
    }
}
