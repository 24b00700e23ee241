package keyslate.core.test;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.script.Part;
import keyslate.core.script.Phase;

/**
 * EXP-42: the same test twice on one paper, the second time through another light beside the first: every patch at the time that keeps the print as dark as its neighbour in
 * the other row.
 */
final class SecondRow {
    /** A row by itself, about a base exposure of its own. */
    @FunctionalInterface
    interface Row {
        TestScript script(ExposureTime base, TestRig rig);
    }

    private SecondRow() {}

    /**
     * Both rows, or the first alone all over the paper where there is no second light.
     *
     * @param ownBase what the second row is made about; none = the time that keeps the print as dark
     * @param sideBySide whether the rows run from side to side, one above the other; else one beside the other
     */
    static TestScript of(
            TestScript first,
            Optional<Light> second,
            Optional<ExposureTime> ownBase,
            TestRig rig,
            ExposureTime base,
            boolean sideBySide,
            Row row) {
        if (second.isEmpty()) {
            return first;
        }
        if (second.get().equals(rig.light())) {
            throw Check.infeasible("second", "both rows would have the same light; choose another for the second");
        }
        if (rig.way() == LampWay.BURNS) {
            throw Check.infeasible(
                    "second",
                    "a lamp that burns all the time gives two rows of one paper no light of their own; make two strips, or let"
                            + " the lamp be switched");
        }
        TestRig other = rig.through(second.get());
        ExposureTime about = ownBase.orElseGet(() -> rig.carried().time(base, second.get()));
        TestScript below = row.script(about, other);
        List<ExposureStep> steps = new ArrayList<>();
        first.steps().forEach(s -> steps.add(on(half(0, sideBySide), s, s.place(), s.cues())));
        for (ExposureStep step : below.steps()) {
            List<Cue> cues = new ArrayList<>(step.cues());
            if (step.place() == 1) {
                ExposureStep before = steps.get(steps.size() - 1);
                cues.addAll(0, List.of(Cue.OTHER_HALF));
                cues.addAll(0, rig.settings().cues(before, step));
                if (before.opening() != step.opening() && !cues.contains(Cue.CHANGE_OPENING)) {
                    cues.add(0, Cue.CHANGE_OPENING);
                }
            }
            steps.add(on(half(1, sideBySide), step, steps.size() + 1, cues));
        }
        List<TestScript.Patch> patches = new ArrayList<>(first.patches());
        patches.addAll(below.patches());
        return new TestScript(steps, patches);
    }

    private static Part half(int row, boolean sideBySide) {
        return sideBySide ? new Part(0, row / 2.0, 1, 0.5) : new Part(row / 2.0, 0, 0.5, 1);
    }

    private static ExposureStep on(Part half, ExposureStep step, int place, List<Cue> cues) {
        List<Phase> phases = step.phases().stream()
                .map(p -> p.reachesNothing()
                        ? p
                        : Phase.uncovering(
                                p.seconds(), half.within(p.uncovered().orElse(Part.WHOLE))))
                .toList();
        return new ExposureStep(
                place, step.piece(), step.light(), step.opening(), step.set(), step.presses(), phases, cues);
    }
}
