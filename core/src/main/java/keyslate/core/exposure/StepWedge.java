package keyslate.core.exposure;

import java.util.List;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;

/** A test through a step wedge: one exposure, each step a known part of it. */
public final class StepWedge {
    private StepWedge() {}

    /** EXP-24: what lies under each step, T·10^(−D). */
    public static List<ExposureTime> times(ExposureTime exposure, List<Density> steps) {
        return steps.stream().map(d -> exposure.times(d.toTransmittance())).toList();
    }

    /** EXP-25: the exposure that gives {@code wanted} under a step, T = wanted·10^D. */
    public static ExposureTime exposureFor(ExposureTime wanted, Density step) {
        return wanted.times(1 / step.toTransmittance());
    }
}
