package keyslate.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The lines between the patches of a strip, where the card or the holder really lay.
 *
 * <p>REA-20: about each line as planned, within {@value #REACH} of a patch, the place where the print changes most on both sides of a narrow gap over the whole breadth; it must be
 * {@value #STANDS_OUT} times as much as is usual there, else the line stays where it was planned.
 *
 * @param at where each line lies, in fractions of the strip along its patches
 * @param found how many of them were seen
 * @param rises how much denser the print gets over the lines, density, added up: below 0 where the strip lies the other way round
 */
record PatchLines(List<Double> at, int found, double rises) {
    private static final double REACH = 0.3;
    private static final double STANDS_OUT = 1.4;
    private static final double GAP = 0.004;
    private static final double BESIDE = 0.012;
    private static final double LEAST_CHANGE = 0.012;
    private static final int ROWS = 60;
    private static final double STEP = 0.002;

    PatchLines {
        at = List.copyOf(at);
    }

    /** Density at a place along the patches and across them, fractions of the strip. */
    interface Densities {
        double at(double along, double across);
    }

    /**
     * Looks for the lines.
     *
     * @param planned places of the lines, rising
     * @param alike whether all patches show one spot: what rises then is told by whole patches, else at the lines, over which the picture goes on
     */
    static PatchLines in(Densities strip, List<Double> planned, boolean alike) {
        List<Double> lines = new ArrayList<>();
        int found = 0;
        double rises = 0;
        for (int i = 0; i < planned.size(); i++) {
            double before = i == 0 ? 0 : planned.get(i - 1);
            double after = i == planned.size() - 1 ? 1 : planned.get(i + 1);
            double here = planned.get(i);
            double reach = REACH * Math.min(here - before, after - here);
            int steps = Math.max(2, (int) (reach / STEP));
            double[] change = new double[2 * steps + 1];
            for (int k = 0; k < change.length; k++) {
                change[k] = change(strip, here + (k - steps) * STEP, false);
            }
            int best = 0;
            for (int k = 1; k < change.length; k++) {
                best = change[k] > change[best] ? k : best;
            }
            double[] sorted = change.clone();
            Arrays.sort(sorted);
            double usual = sorted[sorted.length / 2];
            boolean seen = change[best] > Math.max(LEAST_CHANGE, STANDS_OUT * usual);
            double line = seen ? here + (best - steps) * STEP : here;
            lines.add(line);
            found += seen ? 1 : 0;
            rises += alike ? mean(strip, here, after) - mean(strip, before, here) : change(strip, line, true);
        }
        return new PatchLines(lines, found, rises);
    }

    private static double mean(Densities strip, double from, double to) {
        double sum = 0;
        for (int i = 0; i < ROWS * ROWS; i++) {
            double along = from + (to - from) * (0.1 + 0.8 * (i % ROWS + 0.5) / ROWS);
            sum += strip.at(along, (i / ROWS + 0.5) / ROWS);
        }
        return sum / (ROWS * ROWS);
    }

    /** How much the print changes over a gap, by rows: how much at all, or how much denser it gets. */
    private static double change(Densities strip, double along, boolean signed) {
        double sum = 0;
        for (int r = 0; r < ROWS; r++) {
            double across = 0.03 + 0.94 * (r + 0.5) / ROWS;
            double change = 0;
            for (int s = 0; s < 3; s++) {
                double off = GAP + BESIDE * s / 2;
                change += (strip.at(along + off, across) - strip.at(along - off, across)) / 3;
            }
            sum += signed ? change : Math.abs(change);
        }
        return sum / ROWS;
    }
}
