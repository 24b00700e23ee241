package keyslate.core.curve;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;

/** What paper speed and drying do to a time. */
public final class PaperSpeed {
    private PaperSpeed() {}

    /** EXP-26: ISO speed P = 1000/H, H the exposure for 0.6 above paper white, from log10 H. */
    public static double isoSpeed(double logExposure) {
        return 1000 / Math.pow(10, Check.within("log exposure", logExposure, -6, 6, ""));
    }

    /** EXP-27: the time on another paper, t·P_old/P_new. */
    public static ExposureTime timeOn(ExposureTime time, double speedBefore, double speedAfter) {
        return time.times(
                Check.positive("speed before", speedBefore, "") / Check.positive("speed after", speedAfter, ""));
    }

    /** EXP-28: the time for a print that dries darker by so many percent of exposure, t·(1 − percent/100), percent 0 to 20. */
    public static ExposureTime allowingForDryDown(ExposureTime time, double percent) {
        Check.notNegative("dry-down", percent, "%");
        return time.times(1 - Check.within("dry-down", percent, 0, 20, "%") / 100);
    }
}
