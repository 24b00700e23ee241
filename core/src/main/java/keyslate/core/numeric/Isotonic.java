package keyslate.core.numeric;

/** The rising sequence nearest to given values: pool adjacent violators, equal weights. */
public final class Isotonic {
    private Isotonic() {}

    /** Values that never fall, with the same sum; at least one value. */
    public static double[] rising(double[] values) {
        if (values.length == 0) {
            throw new IllegalArgumentException("at least one value is needed");
        }
        double[] sums = new double[values.length];
        int[] counts = new int[values.length];
        int blocks = 0;
        for (double value : values) {
            sums[blocks] = value;
            counts[blocks] = 1;
            blocks++;
            while (blocks > 1 && mean(sums, counts, blocks - 2) > mean(sums, counts, blocks - 1)) {
                sums[blocks - 2] += sums[blocks - 1];
                counts[blocks - 2] += counts[blocks - 1];
                blocks--;
            }
        }
        double[] out = new double[values.length];
        int at = 0;
        for (int b = 0; b < blocks; b++) {
            for (int i = 0; i < counts[b]; i++) {
                out[at++] = mean(sums, counts, b);
            }
        }
        return out;
    }

    private static double mean(double[] sums, int[] counts, int block) {
        return sums[block] / counts[block];
    }
}
