package keyslate.core.exposure;

import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;

/** Time against lens opening at the same light on the paper. */
public final class ApertureTrade {
    private ApertureTrade() {}

    /** EXP-06: t2 = t1 · (N2/N1)², with true f-numbers. One stop smaller is twice the time: 10 s at f/5.66 is 20 s at f/8. */
    public static ExposureTime timeAt(ExposureTime time, FNumber from, FNumber to) {
        double ratio = to.inFStops() / from.inFStops();
        return time.times(ratio * ratio);
    }

    /** EXP-07: N2 = N1 · √(t2/t1), the inverse of EXP-06. */
    public static FNumber openingFor(ExposureTime time, FNumber from, ExposureTime wanted) {
        return FNumber.of(from.inFStops() * Math.sqrt(wanted.inSeconds() / time.inSeconds()));
    }
}
