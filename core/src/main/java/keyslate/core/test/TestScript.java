package keyslate.core.test;

import java.util.List;
import java.util.OptionalDouble;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.script.ExposureStep;

/**
 * The exposures of a test.
 *
 * @param steps in order
 * @param patches what each patch is to receive, in the order of the plan
 */
public record TestScript(List<ExposureStep> steps, List<Patch> patches) {
    /**
     * One patch.
     *
     * @param total what it receives, as if all of it came through the standing opening
     * @param set lamp seconds of one press that are given to it after the patch before, or to it alone
     * @param presses how often
     * @param error of rounding, against what was wanted
     * @param tooShort whether {@code set} is under the shortest burst a hand and a lamp repeat
     * @param light that falls on it
     * @param opening engraved
     * @param firstSet lamp seconds that were given to it before, through the first of two lights on the same patches; none as a rule
     */
    public record Patch(
            ExposureTime total,
            double set,
            int presses,
            Stops error,
            boolean tooShort,
            Light light,
            double opening,
            OptionalDouble firstSet) {
        /** Of one light. */
        public Patch(
                ExposureTime total,
                double set,
                int presses,
                Stops error,
                boolean tooShort,
                Light light,
                double opening) {
            this(total, set, presses, error, tooShort, light, opening, OptionalDouble.empty());
        }
    }

    public TestScript {
        steps = List.copyOf(steps);
        patches = List.copyOf(patches);
    }

    /** All the seconds the lamp is on. */
    public double totalSetSeconds() {
        return steps.stream().mapToDouble(ExposureStep::totalSetSeconds).sum();
    }
}
