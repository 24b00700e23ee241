package keyslate.core.test;

import java.util.List;
import java.util.Optional;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * One sheet on a hunch: a test of one patch, corrected by what it looks like. Of a base in two parts it gets both.
 *
 * @param time received, of two parts through the first; none follows the base exposure
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
        if (second.isPresent() && rig.split().map(s -> s.second().light()).equals(second)) {
            throw Check.infeasible("second", "one of both parts has that light; choose another for the other half");
        }
        return LightRows.of(
                rig.split()
                        .map(split -> OnTop.sheet(split, middle, base, rig))
                        .orElseGet(() -> SinglesScript.guess(middle, rig)),
                second.map(other -> new LightRows.Other(other, Optional.of(asDark(middle, other, rig)))).stream()
                        .toList(),
                rig,
                middle,
                false,
                SinglesScript::guess);
    }

    @Override
    public ExposureTime asDark(ExposureTime base, Light other, TestRig rig) {
        return rig.ofWhole().time(base, other);
    }

    @Override
    public List<Light> otherLights() {
        return second.stream().toList();
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
