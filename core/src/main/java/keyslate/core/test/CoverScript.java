package keyslate.core.test;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.exposure.LampLag;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.script.Part;
import keyslate.core.script.Phase;

/**
 * The exposures of a covered strip, for each way to have a lamp: a burst for each patch (EXP-17), presses of one setting
 * (EXP-33), or one long exposure in which the card moves.
 */
final class CoverScript {
    private final CoverStripPlan plan;
    private final ExposureTime base;
    private final TestRig rig;
    private final List<ExposureStep> steps = new ArrayList<>();
    private final List<TestScript.Patch> patches = new ArrayList<>();

    private CoverScript(CoverStripPlan plan, ExposureTime base, TestRig rig) {
        this.plan = plan;
        this.base = base;
        this.rig = rig;
    }

    static TestScript of(CoverStripPlan plan, ExposureTime base, TestRig rig) {
        CoverScript script = new CoverScript(plan, base, rig);
        List<ExposureTime> totals = plan.series().totals(base, rig.timer(), rig.lag());
        if (plan.series().kind() == PatchSeries.Kind.PRESSES && rig.way() != LampWay.BURNS) {
            script.presses(Presses.ofPlan(plan.series(), base, rig));
        } else {
            switch (rig.way()) {
                case SWITCHED -> script.bursts(totals);
                case MY_TIMER -> script.presses(Presses.near(totals, rig));
                case BURNS -> script.oneExposure(totals);
            }
        }
        return new TestScript(script.steps, script.patches);
    }

    private void bursts(List<ExposureTime> totals) {
        CoverStrip strip = CoverStrip.plan(totals, rig.timer(), rig.lag(), CoverStrip.SHORTEST_BURST_SECONDS);
        for (CoverStrip.Patch p : strip.patches()) {
            step(patches.size() + 1, p.burst(), 1);
            patch(p.total(), p.burst().inSeconds(), 1, p.roundingError());
        }
    }

    private void presses(Presses series) {
        int before = 0;
        for (int k = 0; k < series.counts().size(); k++) {
            int more = series.counts().get(k) - before;
            if (rig.way() == LampWay.SWITCHED) {
                for (int i = 0; i < more; i++) {
                    step(k + 1, series.set(), 1);
                }
            } else {
                step(k + 1, series.set(), more);
            }
            patch(
                    series.received(k),
                    series.set().inSeconds(),
                    more,
                    series.errors().get(k));
            before = series.counts().get(k);
        }
    }

    private void step(int patch, ExposureTime set, int presses) {
        Part part = plan.direction().uncovered(patch, plan.series().patches());
        boolean moves = !steps.isEmpty()
                && !steps.get(steps.size() - 1).phases().get(0).uncovered().equals(Optional.of(part));
        steps.add(new ExposureStep(
                steps.size() + 1,
                1,
                rig.light(),
                rig.opening().engraved(),
                set,
                presses,
                List.of(Phase.uncovering(set.inSeconds(), part)),
                moves ? List.of(Cue.MOVE_CARD) : List.of()));
    }

    private void oneExposure(List<ExposureTime> totals) {
        // The lag counts once: what lies before the first move of the card takes it all.
        CoverStrip strip = CoverStrip.plan(totals, rig.timer(), LampLag.NONE, CoverStrip.SHORTEST_BURST_SECONDS);
        List<Phase> phases = new ArrayList<>();
        double sum = 0;
        for (CoverStrip.Patch p : strip.patches()) {
            double seconds =
                    p.burst().inSeconds() + (phases.isEmpty() ? rig.lag().inSeconds() : 0);
            phases.add(Phase.uncovering(
                    seconds,
                    plan.direction().uncovered(phases.size() + 1, plan.series().patches())));
            patch(p.total(), seconds, 1, p.roundingError());
            sum += seconds;
        }
        steps.add(new ExposureStep(
                1, 1, rig.light(), rig.opening().engraved(), ExposureTime.ofSeconds(sum), 1, phases, List.of()));
    }

    private void patch(ExposureTime total, double set, int presses, Stops error) {
        patches.add(new TestScript.Patch(
                total,
                set,
                presses,
                error,
                set < CoverStrip.SHORTEST_BURST_SECONDS,
                rig.light(),
                rig.opening().engraved()));
    }

    /**
     * Presses of one setting.
     *
     * @param counts in all for each patch
     */
    record Presses(ExposureTime set, List<Integer> counts, List<Stops> errors, double each) {
        /** As the printer wants them; the one setting is what it is, so that nothing is rounded. */
        static Presses ofPlan(PatchSeries series, ExposureTime base, TestRig rig) {
            ExposureTime set = series.press(base, rig.timer(), rig.lag());
            ExposureTime onTimer = rig.timer().nearest(set).time();
            Stops error = ExposureTime.ofSeconds(rig.lag().receivedSeconds(onTimer))
                    .stopsFrom(ExposureTime.ofSeconds(rig.lag().receivedSeconds(set)));
            return new Presses(
                    onTimer,
                    series.presses(),
                    series.presses().stream().map(n -> error).toList(),
                    rig.lag().receivedSeconds(onTimer));
        }

        /** Near the series that is wanted, because the timer cannot be set anew (EXP-33). */
        static Presses near(List<ExposureTime> totals, TestRig rig) {
            PressSeries series = PressSeries.of(totals, rig.timer(), rig.lag())
                    .orElseThrow(() -> Check.infeasible(
                            "steps",
                            "your timer would need another setting in the dark for this series; take presses of one"
                                    + " setting, fewer patches, or steps of half or whole stops"));
            return new Presses(
                    series.set(), series.presses(), series.errors(), rig.lag().receivedSeconds(series.set()));
        }

        ExposureTime received(int patch) {
            return ExposureTime.ofSeconds(each * counts.get(patch));
        }
    }
}
