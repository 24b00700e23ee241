package keyslate.core.script;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * The exposures of a covered strip, for each way to have a lamp: a burst for each patch (EXP-17), presses of one setting
 * (EXP-33), or one long exposure in which the card moves.
 *
 * @param steps in order
 * @param patches what each patch is to receive, the lightest first
 */
public record StripScript(List<ExposureStep> steps, List<Patch> patches) {
    /**
     * One patch.
     *
     * @param total what it receives
     * @param set the lamp seconds that are given to it alone, all presses together
     * @param error of rounding, against what was wanted
     * @param tooShort whether that is under the shortest burst a hand and a lamp repeat
     */
    public record Patch(ExposureTime total, double set, Stops error, boolean tooShort) {}

    /** What stands for the exposure besides the plan. */
    public record Rig(Light light, double opening, LampWay way, TimerSteps timer, LampLag lag) {}

    public StripScript {
        steps = List.copyOf(steps);
        patches = List.copyOf(patches);
    }

    /**
     * The script of a plan about a base exposure.
     *
     * @throws keyslate.core.quantity.QuantityException when the steps are too small for the timer, or when one setting of
     *     the printer's own timer cannot give the series; the message names the way out
     */
    public static StripScript plan(CoverStripPlan plan, ExposureTime base, Rig rig) {
        List<ExposureTime> totals = plan.totals(base);
        return switch (rig.way()) {
            case SWITCHED -> bursts(plan, totals, rig);
            case MY_TIMER -> presses(plan, totals, rig);
            case BURNS -> oneExposure(plan, totals, rig);
        };
    }

    private static StripScript bursts(CoverStripPlan plan, List<ExposureTime> totals, Rig rig) {
        CoverStrip strip = CoverStrip.plan(totals, rig.timer(), rig.lag(), CoverStrip.SHORTEST_BURST_SECONDS);
        List<ExposureStep> steps = new ArrayList<>();
        List<Patch> patches = new ArrayList<>();
        for (CoverStrip.Patch p : strip.patches()) {
            steps.add(step(plan, rig, steps.size() + 1, p.burst(), 1));
            patches.add(new Patch(p.total(), p.burst().inSeconds(), p.roundingError(), p.tooShort()));
        }
        return new StripScript(steps, patches);
    }

    private static StripScript presses(CoverStripPlan plan, List<ExposureTime> totals, Rig rig) {
        PressSeries series = PressSeries.of(totals, rig.timer(), rig.lag())
                .orElseThrow(() -> Check.infeasible(
                        "steps",
                        "your timer would need another setting in the dark for this series; take fewer patches, or steps"
                                + " of half or whole stops"));
        List<ExposureStep> steps = new ArrayList<>();
        List<Patch> patches = new ArrayList<>();
        double each = rig.lag().receivedSeconds(series.set());
        int before = 0;
        for (int k = 0; k < totals.size(); k++) {
            int count = series.presses().get(k);
            steps.add(step(plan, rig, k + 1, series.set(), count - before));
            patches.add(new Patch(
                    ExposureTime.ofSeconds(each * count),
                    series.set().inSeconds() * (count - before),
                    series.errors().get(k),
                    series.set().inSeconds() < CoverStrip.SHORTEST_BURST_SECONDS));
            before = count;
        }
        return new StripScript(steps, patches);
    }

    private static ExposureStep step(CoverStripPlan plan, Rig rig, int number, ExposureTime set, int presses) {
        Part part = plan.direction().uncovered(number, plan.patches());
        return new ExposureStep(
                number,
                1,
                rig.light(),
                rig.opening(),
                set,
                presses,
                List.of(Phase.uncovering(set.inSeconds(), part)),
                number == 1 ? List.of() : List.of(Cue.MOVE_CARD));
    }

    private static StripScript oneExposure(CoverStripPlan plan, List<ExposureTime> totals, Rig rig) {
        // The lag counts once: what lies before the first move of the card takes it all.
        CoverStrip strip = CoverStrip.plan(totals, rig.timer(), LampLag.NONE, CoverStrip.SHORTEST_BURST_SECONDS);
        List<Phase> phases = new ArrayList<>();
        List<Patch> patches = new ArrayList<>();
        double sum = 0;
        for (CoverStrip.Patch p : strip.patches()) {
            double seconds =
                    p.burst().inSeconds() + (phases.isEmpty() ? rig.lag().inSeconds() : 0);
            Part part = plan.direction().uncovered(phases.size() + 1, plan.patches());
            phases.add(Phase.uncovering(seconds, part));
            patches.add(new Patch(p.total(), seconds, p.roundingError(), p.tooShort()));
            sum += seconds;
        }
        ExposureStep step =
                new ExposureStep(1, 1, rig.light(), rig.opening(), ExposureTime.ofSeconds(sum), 1, phases, List.of());
        return new StripScript(List.of(step), patches);
    }
}
