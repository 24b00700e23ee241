package keyslate.server.slate;

import keyslate.core.exposure.ApertureTrade;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Magnification;
import keyslate.core.size.SizeChange;

/** A time from one set-up to another at the same light on the paper: size (SIZ-02), then opening (EXP-06). */
public final class CarryOver {
    private CarryOver() {}

    public static ExposureTime time(ExposureTime time, Magnification was, Rig before, Rig now) {
        ExposureTime sized = time.times(SizeChange.timeFactor(was, now.magnification(), 1));
        return ApertureTrade.timeAt(
                sized, before.aperture().trueNumber(), now.aperture().trueNumber());
    }
}
