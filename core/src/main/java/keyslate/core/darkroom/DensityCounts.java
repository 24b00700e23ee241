package keyslate.core.darkroom;

import keyslate.core.quantity.Check;

/**
 * How often each density occurs in a part of a negative, in steps of {@value #STEP}: counted in one pass, so that it can be asked anew with every picture of a drag. What lies
 * beyond {@value #LEAST} to {@value #MOST} counts at that end.
 */
public final class DensityCounts {
    public static final double STEP = 0.001;
    private static final double LEAST = -0.5;
    private static final double MOST = 6;

    /** How many samples lie below the upper edge of each step. */
    private final int[] upTo = new int[(int) Math.round((MOST - LEAST) / STEP)];

    private DensityCounts(float[] densities) {
        for (float density : densities) {
            upTo[step(density)]++;
        }
        for (int i = 1; i < upTo.length; i++) {
            upTo[i] += upTo[i - 1];
        }
    }

    /** Of densities, one at least. */
    public static DensityCounts of(float[] densities) {
        Check.count("densities", densities.length, 1, Integer.MAX_VALUE);
        return new DensityCounts(densities);
    }

    private static int step(double density) {
        int steps = (int) Math.round((MOST - LEAST) / STEP);
        return Math.max(0, Math.min(steps - 1, (int) Math.floor((density - LEAST) / STEP)));
    }

    private int all() {
        return upTo[upTo.length - 1];
    }

    /** The density that a share of them, 0 to 1, does not exceed, to a step. */
    public double at(double share) {
        double wanted = Math.max(1, Check.within("share", share, 0, 1, "") * all());
        int low = 0;
        int high = upTo.length - 1;
        while (low < high) {
            int middle = (low + high) / 2;
            if (upTo[middle] >= wanted) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return LEAST + (low + 0.5) * STEP;
    }

    /** The share that is denser, 0 to 1, to a step. */
    public double denser(double density) {
        return 1 - (double) upTo[step(density)] / all();
    }

    /** The share that is thinner, 0 to 1, to a step. */
    public double thinner(double density) {
        int step = step(density);
        return step == 0 ? 0 : (double) upTo[step - 1] / all();
    }
}
