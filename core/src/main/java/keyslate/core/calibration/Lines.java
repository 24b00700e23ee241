package keyslate.core.calibration;

import keyslate.core.numeric.LineFit;
import keyslate.core.quantity.Check;

/** A line through readings, or why there is none. */
final class Lines {
    private Lines() {}

    static LineFit through(String readings, double[] x, double[] y, double[] weights) {
        try {
            return LineFit.of(x, y, weights);
        } catch (IllegalArgumentException e) {
            throw Check.infeasible(readings, "all of these are taken at one place; the line through them needs two");
        }
    }
}
