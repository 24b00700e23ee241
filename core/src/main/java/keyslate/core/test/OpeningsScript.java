package keyslate.core.test;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Phase;

/** One time through one opening after another, from the smallest on. */
final class OpeningsScript {
    private OpeningsScript() {}

    static TestScript of(OpeningsPlan plan, ExposureTime base, TestRig rig) {
        List<ApertureMark> marks = marks(plan, rig);
        TimerSteps.Setting set = rig.timer().nearest(rig.lag().toSet(plan.middle(base)));
        ExposureTime received = rig.received(set.time());
        List<ExposureStep> steps = new ArrayList<>();
        List<TestScript.Patch> patches = new ArrayList<>();
        double stands = rig.opening().engraved();
        for (ApertureMark mark : marks) {
            int number = steps.size() + 1;
            steps.add(new ExposureStep(
                    number,
                    1,
                    rig.light(),
                    mark.engraved(),
                    set.time(),
                    1,
                    List.of(Phase.uncovering(
                            set.time().inSeconds(), plan.direction().patch(number, plan.count()))),
                    stands == mark.engraved()
                            ? List.of(Cue.ONE_PATCH_FREE)
                            : List.of(Cue.CHANGE_OPENING, Cue.ONE_PATCH_FREE)));
            stands = mark.engraved();
            Stops more = rig.more(mark);
            patches.add(new TestScript.Patch(
                    received.plus(more),
                    set.time().inSeconds(),
                    1,
                    received.stopsFrom(plan.middle(base)),
                    set.time().inSeconds() < CoverStrip.SHORTEST_BURST_SECONDS,
                    rig.light(),
                    mark.engraved()));
        }
        return new TestScript(steps, patches);
    }

    /** The marks, the smallest opening first. */
    private static List<ApertureMark> marks(OpeningsPlan plan, TestRig rig) {
        List<ApertureMark> ring = rig.ring();
        int span = (plan.count() - 1) * plan.clicks();
        if (ring.size() <= span) {
            throw Check.infeasible(
                    "patches",
                    "this lens has " + ring.size() + " openings; "
                            + (ring.size() < 2
                                    ? "take another kind of test"
                                    : "take " + ((ring.size() - 1) / plan.clicks() + 1) + " patches"
                                            + (plan.clicks() > 1 ? ", or fewer clicks from one to the next" : "")));
        }
        int first = plan.first()
                .map(mark -> at(ring, mark)
                        .orElseThrow(() -> Check.outOfRange("opening", "this lens has no mark f/" + Check.shown(mark))))
                .orElseGet(() -> about(ring, rig.opening(), span));
        if (first - span < 0) {
            throw Check.infeasible(
                    "opening",
                    "from f/" + Check.shown(ring.get(first).engraved())
                            + " on the lens has too few wider openings; begin at f/"
                            + Check.shown(ring.get(span).engraved()) + " or smaller, or take fewer patches");
        }
        List<ApertureMark> marks = new ArrayList<>();
        for (int k = 0; k < plan.count(); k++) {
            marks.add(ring.get(first - k * plan.clicks()));
        }
        return marks;
    }

    private static Optional<Integer> at(List<ApertureMark> ring, double engraved) {
        for (int i = 0; i < ring.size(); i++) {
            if (Math.abs(ring.get(i).engraved() - engraved) < 1e-6) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    /** So that the opening that stands lies in the middle, as far as the ring reaches. */
    private static int about(List<ApertureMark> ring, ApertureMark stands, int span) {
        int here = at(ring, stands.engraved()).orElse(ring.size() / 2);
        return Math.max(span, Math.min(ring.size() - 1, here + span / 2));
    }
}
