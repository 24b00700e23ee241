package keyslate.core.test;

import java.util.Optional;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * One sheet on a hunch: a test of one patch, corrected by what it looks like.
 *
 * @param time received; none follows the base exposure
 * @param share of the picture that is printed, {@value #SMALLEST_SHARE} to 1
 * @param spot middle of the printed part where it is not the whole; none is chosen where it tells most
 * @param second light of the right half, at the time that keeps the print as dark as the left one; none = one light all over
 */
public record GuessPlan(Optional<ExposureTime> time, double share, Optional<Spot> spot, Optional<Light> second)
        implements TestPlan {
    /** How far off one sheet is, the eye tells to half a stop, 95 %: R16 of a patch alone has no neighbour to be half a step from. */
    public static final Stops JUDGED_TO = Stops.ofFraction(1, 2);

    public static final double SMALLEST_SHARE = 0.05;

    public GuessPlan {
        Check.within("share of the picture", share, SMALLEST_SHARE, 1, "");
    }

    @Override
    public TestScript script(ExposureTime base, TestRig rig) {
        ExposureTime middle = middle(base);
        return SecondRow.of(
                SinglesScript.guess(middle, rig), second, Optional.empty(), rig, middle, false, SinglesScript::guess);
    }

    @Override
    public Optional<Light> secondLight() {
        return second;
    }

    @Override
    public ExposureTime middle(ExposureTime base) {
        return time.orElse(base);
    }

    @Override
    public GuessPlan followingBase() {
        return new GuessPlan(Optional.empty(), share, spot, second);
    }
}
