package keyslate.core.calibration;

import java.util.List;
import keyslate.core.numeric.StudentT;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * By how much a paper dries down, from pairs: the patch that looks right wet, and the one that looks the same dry.
 *
 * <p>CAL-07: percent = 100·(1 − dry/wet), the mean of the pairs; its limit from their spread, or for one pair from how surely its two patches were told apart (EXP-20),
 * 2·100·ln 2·(dry/wet)·√(2/n)·uncertainty with n pairs. Percent of time; refused below 0 beyond the limit and above 20.
 */
public final class DryDown {
    private static final double MOST_PERCENT = 20;

    private DryDown() {}

    /** One pair: the time that looks right wet, and the shorter one that looks the same when dry. */
    public record Pair(ExposureTime wet, ExposureTime dry) {
        double percent() {
            return 100 * (1 - dry.inSeconds() / wet.inSeconds());
        }
    }

    /**
     * Percent less time, 0 to 20.
     *
     * @param uncertainty of telling a patch, above 0
     */
    public static Measured of(List<Pair> pairs, Stops uncertainty) {
        Check.count("pairs", pairs.size(), 1, 100);
        Check.positive("uncertainty", uncertainty.inStops(), "stops");
        double mean = pairs.stream().mapToDouble(Pair::percent).average().orElseThrow();
        double told = 100 * Math.log(2) * (1 - mean / 100) * Math.sqrt(2) * uncertainty.inStops();
        double limit = 2 * told / Math.sqrt(pairs.size());
        if (pairs.size() > 2) {
            double squares = pairs.stream()
                    .mapToDouble(p -> (p.percent() - mean) * (p.percent() - mean))
                    .sum();
            limit = StudentT.limit(pairs.size() - 1) * Math.sqrt(squares / (pairs.size() - 1) / pairs.size());
        }
        if (mean < -limit || mean > MOST_PERCENT) {
            throw Check.outOfRange(
                    "dry-down", "paper dries down by 0 to 20 %, this would be " + Check.shown(mean) + " %");
        }
        return new Measured(Math.max(0, mean), limit, pairs.size());
    }
}
