package keyslate.core.test;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.script.Phase;

/** Tests whose patches have one exposure each, on pieces of their own: the lag counts once for each of them. */
final class SinglesScript {
    private final TestRig rig;
    private final List<ExposureStep> steps = new ArrayList<>();
    private final List<TestScript.Patch> patches = new ArrayList<>();

    private SinglesScript(TestRig rig) {
        this.rig = rig;
    }

    /** A strip that moves on in its holder. A timer of one's own has one setting for all of it. */
    static TestScript sameSpot(SameSpotPlan plan, ExposureTime base, TestRig rig) {
        SinglesScript script = new SinglesScript(rig);
        List<ExposureTime> totals = plan.series().totals(base, rig.timer(), rig.lag());
        if (plan.series().kind() == PatchSeries.Kind.PRESSES && rig.way() != LampWay.BURNS) {
            script.presses(CoverScript.Presses.ofPlan(plan.series(), base, rig));
        } else if (rig.way() == LampWay.MY_TIMER) {
            script.presses(CoverScript.Presses.near(totals, rig));
        } else {
            totals.forEach(t -> script.single(rig.light(), t, script.moveOn()));
        }
        return new TestScript(script.steps, script.patches);
    }

    /** Pieces of paper, each with its light and its time; what cannot be set in the dark is set in white light between two. */
    static TestScript pieces(PiecesPlan plan, ExposureTime base, TestRig rig) {
        SinglesScript script = new SinglesScript(rig);
        if (plan.isOfOneLight()) {
            plan.series()
                    .totals(base, rig.timer(), rig.lag())
                    .forEach(t -> script.single(rig.light(), t, List.of(Cue.TAKE_PIECE)));
        } else {
            plan.byLight(rig)
                    .forEach(p -> script.single(
                            p.light(), plan.asDark(base, p.light(), rig).plus(p.more()), List.of(Cue.TAKE_PIECE)));
        }
        return new TestScript(script.steps, script.patches);
    }

    /** One sheet on a hunch. */
    static TestScript guess(ExposureTime time, TestRig rig) {
        SinglesScript script = new SinglesScript(rig);
        script.single(rig.light(), time, List.of());
        return new TestScript(script.steps, script.patches);
    }

    private List<Cue> moveOn() {
        return steps.isEmpty() ? List.of() : List.of(Cue.MOVE_PAPER);
    }

    private void presses(CoverScript.Presses series) {
        for (int k = 0; k < series.counts().size(); k++) {
            int count = series.counts().get(k);
            if (rig.way() == LampWay.SWITCHED) {
                for (int i = 0; i < count; i++) {
                    step(k + 1, rig.light(), series.set(), 1, i == 0 ? moveOn() : List.of());
                }
            } else {
                step(k + 1, rig.light(), series.set(), count, moveOn());
            }
            patch(series.received(k), series.set(), count, series.errors().get(k), rig.light());
        }
    }

    private void single(Light light, ExposureTime total, List<Cue> first) {
        ExposureTime set = rig.timer().nearest(rig.lag().toSet(total)).time();
        ExposureTime received = rig.received(set);
        step(patches.size() + 1, light, set, 1, first);
        patch(received, set, 1, received.stopsFrom(total), light);
    }

    private void step(int piece, Light light, ExposureTime set, int presses, List<Cue> first) {
        ExposureStep bare = new ExposureStep(
                steps.size() + 1,
                piece,
                light,
                rig.opening().engraved(),
                set,
                presses,
                List.of(Phase.holding(set.inSeconds(), List.of())),
                List.of());
        List<Cue> cues = new ArrayList<>();
        if (!steps.isEmpty()) {
            cues.addAll(rig.settings().cues(steps.get(steps.size() - 1), bare));
        }
        cues.addAll(first);
        steps.add(bare.with(cues));
    }

    private void patch(ExposureTime total, ExposureTime set, int presses, Stops error, Light light) {
        patches.add(new TestScript.Patch(
                total,
                set.inSeconds(),
                presses,
                error,
                set.inSeconds() < CoverStrip.SHORTEST_BURST_SECONDS,
                light,
                rig.opening().engraved()));
    }
}
