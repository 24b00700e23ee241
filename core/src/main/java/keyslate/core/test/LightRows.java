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
 * EXP-42: the same test twice or three times on one paper, each time through another light beside the first: every patch at the time that keeps the print as dark as its neighbour in
 * the first row.
 */
final class LightRows {
    /** A row by itself, about a base exposure of its own. */
    @FunctionalInterface
    interface Row {
        TestScript script(ExposureTime base, TestRig rig);
    }

    /**
     * A row beside the first.
     *
     * @param base what it is made about; none = the time that keeps the print as dark
     */
    record Other(Light light, Optional<ExposureTime> base) {}

    private final TestRig rig;
    private final boolean sideBySide;
    private final int rows;
    private final List<ExposureStep> steps = new ArrayList<>();
    private final List<TestScript.Patch> patches = new ArrayList<>();

    private LightRows(TestRig rig, boolean sideBySide, int rows) {
        this.rig = rig;
        this.sideBySide = sideBySide;
        this.rows = rows;
    }

    /**
     * All rows, or the first alone all over the paper where there is no other light.
     *
     * @param sideBySide whether the rows run from side to side, one above the other; else one beside the other
     */
    static TestScript of(
            TestScript first, List<Other> others, TestRig rig, ExposureTime base, boolean sideBySide, Row row) {
        if (others.isEmpty()) {
            return first;
        }
        refuseIfAlike(rig, others);
        if (rig.way() == LampWay.BURNS) {
            throw Check.infeasible(
                    "second",
                    "a lamp that burns all the time gives two rows of one paper no light of their own; make two strips, or let"
                            + " the lamp be switched");
        }
        LightRows all = new LightRows(rig, sideBySide, others.size() + 1);
        all.add(first, 0);
        for (int i = 0; i < others.size(); i++) {
            Other other = others.get(i);
            ExposureTime about = other.base().orElseGet(() -> rig.carried().time(base, other.light()));
            all.add(row.script(about, rig.through(other.light())), i + 1);
        }
        return new TestScript(all.steps, all.patches);
    }

    private static void refuseIfAlike(TestRig rig, List<Other> others) {
        for (int i = 0; i < others.size(); i++) {
            Light light = others.get(i).light();
            boolean alike = light.equals(rig.light())
                    || others.subList(0, i).stream().anyMatch(o -> o.light().equals(light));
            if (alike) {
                throw Check.infeasible(
                        i == 0 ? "second" : "third",
                        "two rows would have the same light; choose another for one of them");
            }
        }
    }

    private void add(TestScript script, int row) {
        for (ExposureStep step : script.steps()) {
            List<Cue> cues = new ArrayList<>(step.cues());
            if (row > 0 && step.place() == 1) {
                ExposureStep before = steps.get(steps.size() - 1);
                cues.addAll(0, List.of(Cue.OTHER_HALF));
                cues.addAll(0, rig.settings().cues(before, step));
                if (before.opening() != step.opening() && !cues.contains(Cue.CHANGE_OPENING)) {
                    cues.add(0, Cue.CHANGE_OPENING);
                }
            }
            steps.add(on(part(row), step, steps.size() + 1, cues));
        }
        patches.addAll(script.patches());
    }

    private Part part(int row) {
        double from = (double) row / rows;
        return sideBySide ? new Part(0, from, 1, 1.0 / rows) : new Part(from, 0, 1.0 / rows, 1);
    }

    private static ExposureStep on(Part row, ExposureStep step, int place, List<Cue> cues) {
        List<Phase> phases = step.phases().stream()
                .map(p -> p.reachesNothing()
                        ? p
                        : Phase.uncovering(p.seconds(), row.within(p.uncovered().orElse(Part.WHOLE))))
                .toList();
        return new ExposureStep(
                place, step.piece(), step.light(), step.opening(), step.set(), step.presses(), phases, cues);
    }
}
