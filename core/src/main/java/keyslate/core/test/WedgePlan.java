package keyslate.core.test;

import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Phase;
import keyslate.core.script.WedgeDisc;

/**
 * A disc of grey sectors on the paper, and one exposure through it (EXP-24).
 *
 * @param disc its labels
 * @param given what the paper beside it receives; none = so that the middle sector gets the base exposure
 * @param diameter of the disc
 * @param spot its middle on the picture; none is chosen where it tells most
 */
public record WedgePlan(WedgeDisc disc, Optional<ExposureTime> given, Length diameter, Optional<Spot> spot)
        implements TestPlan {
    public WedgePlan {
        Check.positive("disc", diameter.inMm(), "mm");
    }

    /** What lies beside the disc receives. */
    public ExposureTime given(ExposureTime base) {
        return given.orElseGet(() -> base.times(1 / disc.share(disc.labels().size() / 2)));
    }

    @Override
    public TestScript script(ExposureTime base, TestRig rig) {
        TimerSteps.Setting set = rig.timer().nearest(rig.lag().toSet(given(base)));
        ExposureTime received = rig.received(set.time());
        ExposureStep step = new ExposureStep(
                1,
                1,
                rig.light(),
                rig.opening().engraved(),
                set.time(),
                1,
                List.of(Phase.through(set.time().inSeconds(), disc)),
                List.of());
        Stops error = received.stopsFrom(given(base));
        // The sector that lets least through is the lightest patch.
        List<TestScript.Patch> patches = disc.lightestFirst().stream()
                .map(sector -> new TestScript.Patch(
                        received.times(disc.share(sector)),
                        set.time().inSeconds(),
                        1,
                        error,
                        set.time().inSeconds() < CoverStrip.SHORTEST_BURST_SECONDS,
                        rig.light(),
                        rig.opening().engraved()))
                .toList();
        return new TestScript(List.of(step), patches);
    }

    @Override
    public ExposureTime middle(ExposureTime base) {
        return base;
    }

    @Override
    public WedgePlan followingBase() {
        return new WedgePlan(disc, Optional.empty(), diameter, spot);
    }
}
