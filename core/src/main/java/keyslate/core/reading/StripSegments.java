package keyslate.core.reading;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;

/**
 * The patches of a strip in a line of a scan across it.
 *
 * <p>REA-10: running median of 5 with the ends repeated; g = |median of the next 4 − median of the last 4|; the strongest first, a least length apart and
 * from the ends; at least max(6·noise, 0.15·max g) high, noise from the raw first differences; or the n − 1 strongest when n is known. Of a
 * flat top the centre. Tones (REA-04) leave out 15 % at each end of a patch.
 *
 * @param edges first pixel of every patch but the first
 * @param means tone of each patch
 */
public record StripSegments(List<Integer> edges, List<Double> means) {
    private static final int REACH = 4;
    private static final int LEAST_LENGTH = 6;
    private static final int SMOOTHING = 2;
    private static final double NOISE_TIMES = 6;
    private static final double LEAST_SHARE = 0.15;
    private static final double TRIM = 0.15;
    private static final double MAD_TO_SIGMA = 1.4826;

    public StripSegments {
        edges = List.copyOf(edges);
        means = List.copyOf(means);
    }

    /** Finds the patches; with their number where it is known. */
    public static StripSegments in(double[] line, OptionalInt patches) {
        if (line.length < 2 * LEAST_LENGTH) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "scan", "the line is too short for two patches");
        }
        for (double v : line) {
            Check.finite("pixel", v);
        }
        double[] g = steps(smoothed(line));
        double highest = Arrays.stream(g).max().orElse(0);
        double threshold =
                patches.isPresent() ? 1e-9 : Math.max(Math.max(NOISE_TIMES * noise(line), LEAST_SHARE * highest), 1e-9);
        int most = patches.isPresent() ? patches.getAsInt() - 1 : line.length;
        List<Integer> edges = strongest(g, threshold, most);
        if (patches.isPresent() && edges.size() < most) {
            throw Check.infeasible("patches", "the scan shows only " + (edges.size() + 1) + " patches");
        }
        return new StripSegments(edges, means(line, edges));
    }

    private static List<Integer> strongest(double[] g, double threshold, int most) {
        boolean[] taken = new boolean[g.length];
        List<Integer> edges = new ArrayList<>();
        while (edges.size() < most) {
            int best = -1;
            for (int i = LEAST_LENGTH; i <= g.length - LEAST_LENGTH; i++) {
                if (i < g.length && !taken[i] && g[i] >= threshold && (best < 0 || g[i] > g[best] + 1e-12)) {
                    best = i;
                }
            }
            if (best < 0) {
                break;
            }
            int end = best;
            while (end + 1 < g.length && !taken[end + 1] && Math.abs(g[end + 1] - g[best]) < 1e-9) {
                end++;
            }
            int centre = (best + end) / 2;
            edges.add(centre);
            for (int i = Math.max(0, centre - LEAST_LENGTH + 1); i < Math.min(g.length, centre + LEAST_LENGTH); i++) {
                taken[i] = true;
            }
        }
        edges.sort(null);
        return edges;
    }

    private static double[] smoothed(double[] line) {
        double[] out = new double[line.length];
        for (int i = 0; i < line.length; i++) {
            double[] window = new double[2 * SMOOTHING + 1];
            for (int k = -SMOOTHING; k <= SMOOTHING; k++) {
                window[k + SMOOTHING] = line[Math.max(0, Math.min(line.length - 1, i + k))];
            }
            out[i] = PatchTone.median(window);
        }
        return out;
    }

    private static double[] steps(double[] line) {
        double[] g = new double[line.length];
        for (int i = REACH; i <= line.length - REACH; i++) {
            g[i == line.length ? i - 1 : i] = Math.abs(PatchTone.median(Arrays.copyOfRange(line, i, i + REACH))
                    - PatchTone.median(Arrays.copyOfRange(line, i - REACH, i)));
        }
        return g;
    }

    private static double noise(double[] line) {
        double[] differences = new double[line.length - 1];
        for (int i = 0; i < differences.length; i++) {
            differences[i] = line[i + 1] - line[i];
        }
        double median = PatchTone.median(differences);
        double mad = PatchTone.median(
                Arrays.stream(differences).map(d -> Math.abs(d - median)).toArray());
        return MAD_TO_SIGMA * mad / Math.sqrt(2);
    }

    private static List<Double> means(double[] line, List<Integer> edges) {
        List<Double> means = new ArrayList<>();
        int from = 0;
        for (int k = 0; k <= edges.size(); k++) {
            int to = k < edges.size() ? edges.get(k) : line.length;
            int trim = (int) Math.floor(TRIM * (to - from));
            means.add(PatchTone.of(Arrays.copyOfRange(line, from + trim, to - trim))
                    .mean());
            from = to;
        }
        return means;
    }
}
