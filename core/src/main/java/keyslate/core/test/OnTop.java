package keyslate.core.test;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.script.Phase;

/**
 * EXP-45: two lights that fall on the same patches. A sheet of both parts of a base; or a covered strip: both in the same steps, so that every patch is a print of that split with so many stops more or less of both parts; or the whole first part
 * and the second in steps on top of it.
 */
final class OnTop {
    private OnTop() {}

    static TestScript script(CoverStripPlan plan, ExposureTime base, TestRig rig) {
        Light second = plan.second().orElseThrow();
        if (second.equals(rig.light())) {
            throw Check.infeasible("second", "both parts would have the same light; choose another for the second");
        }
        refuseIfBurning(rig, "second");
        CoverStripPlan alone = plan.alone();
        ExposureTime middle = plan.secondMiddle()
                .map(t -> t.times(base.inSeconds() / plan.middle(base).inSeconds()))
                .orElseGet(() -> rig.carried().time(base, second));
        boolean inSteps = plan.lies() == CoverStripPlan.SecondLies.ON_TOP;
        TestScript first = inSteps ? CoverScript.of(alone, base, rig) : whole(plan, base, rig);
        TestScript over = CoverScript.of(
                alone.of(plan.series().times(middle.stopsFrom(base)), plan.patch()), middle, rig.through(second));
        return together(first, over, inSteps, List.of(Cue.MOVE_CARD), rig);
    }

    /** Both parts of a base on one sheet, whose first part gets {@code first}. */
    static TestScript sheet(TestRig.Split split, ExposureTime first, ExposureTime base, TestRig rig) {
        refuseIfBurning(rig, "kind");
        ExposureTime second = split.second().time().times(first.inSeconds() / base.inSeconds());
        return together(
                SinglesScript.guess(first, rig),
                SinglesScript.guess(second, rig.through(split.second().light())),
                true,
                List.of(),
                rig);
    }

    private static void refuseIfBurning(TestRig rig, String field) {
        if (rig.way() == LampWay.BURNS) {
            throw Check.infeasible(
                    field,
                    "a lamp that burns all the time gives two parts no light of their own; let the lamp be switched");
        }
    }

    /**
     * One after the other.
     *
     * @param inSteps whether the first falls in steps too, or was one for all
     * @param between what the hands do between both, besides changing the light
     */
    private static TestScript together(
            TestScript first, TestScript over, boolean inSteps, List<Cue> between, TestRig rig) {
        List<ExposureStep> steps = new ArrayList<>(first.steps());
        for (ExposureStep step : over.steps()) {
            steps.add(placed(step, steps, between, rig));
        }
        List<TestScript.Patch> patches = new ArrayList<>();
        for (int i = 0; i < over.patches().size(); i++) {
            patches.add(both(
                    first.patches().get(Math.min(i, first.patches().size() - 1)),
                    over.patches().get(i),
                    inSteps));
        }
        return new TestScript(steps, patches);
    }

    /** The first part on the whole strip. */
    private static TestScript whole(CoverStripPlan plan, ExposureTime base, TestRig rig) {
        ExposureTime set = rig.timer().nearest(rig.lag().toSet(base)).time();
        ExposureTime received = rig.received(set);
        Stops error = received.stopsFrom(base);
        Phase phase = Phase.uncovering(
                set.inSeconds(), plan.direction().uncovered(1, plan.series().patches()));
        return new TestScript(
                List.of(new ExposureStep(
                        1, 1, rig.light(), rig.opening().engraved(), set, 1, List.of(phase), List.of())),
                List.of(new TestScript.Patch(
                        received,
                        set.inSeconds(),
                        1,
                        error,
                        set.inSeconds() < CoverStrip.SHORTEST_BURST_SECONDS,
                        rig.light(),
                        rig.opening().engraved())));
    }

    /** A step of the second part after those of the first. */
    private static ExposureStep placed(ExposureStep step, List<ExposureStep> before, List<Cue> between, TestRig rig) {
        List<Cue> cues = new ArrayList<>(step.cues());
        if (step.place() == 1) {
            cues.addAll(0, rig.settings().cues(before.get(before.size() - 1), step));
            between.stream().filter(c -> !cues.contains(c)).forEach(cues::add);
        }
        return new ExposureStep(
                before.size() + 1,
                step.piece(),
                step.light(),
                step.opening(),
                step.set(),
                step.presses(),
                step.phases(),
                cues);
    }

    /** What a patch gets of both; its light is the second's, which falls last. */
    private static TestScript.Patch both(TestScript.Patch first, TestScript.Patch over, boolean inSteps) {
        double all = first.total().inSeconds() + over.total().inSeconds();
        double error = (first.error().inStops() * first.total().inSeconds()
                        + over.error().inStops() * over.total().inSeconds())
                / all;
        return new TestScript.Patch(
                ExposureTime.ofSeconds(all),
                over.set(),
                over.presses(),
                Stops.of(error),
                first.tooShort() || over.tooShort(),
                over.light(),
                over.opening(),
                inSteps ? OptionalDouble.of(first.set()) : OptionalDouble.empty());
    }
}
