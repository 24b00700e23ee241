package keyslate.server.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Collectors;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.LampLag;
import keyslate.core.light.Light;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.script.Phase;
import keyslate.core.test.TestPlan;
import keyslate.server.Show;
import keyslate.server.rig.Grades;
import keyslate.server.rig.LightView;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetViews.PhaseView;
import keyslate.server.sheet.SheetViews.RectView;
import keyslate.server.sheet.SheetViews.StepView;
import keyslate.store.slate.Recipe;

/** A script in words: one wording for the page, for cards and for speech. */
public final class StepWords {
    private static final String STACK = "Paper emulsion up, film emulsion down on it, glass on top";

    private final Map<String, String> names;
    private final ScriptFacts facts;
    private final SaidSteps spoken;

    /**
     * What the words rest on besides the steps.
     *
     * @param contact whether the negative lies on the paper
     * @param redFilter whether a red filter can keep the lamp's light off it meanwhile
     * @param burns whether the lamp burns all through
     * @param blackout whether nothing can be seen there
     * @param ring engraved marks of the lens from the widest on, which clicks are counted along
     * @param plan the test that a test's steps are of
     * @param written a light as it is set, with the dials of a grade
     */
    record Around(
            Recipe.Local local,
            LampLag lag,
            boolean contact,
            boolean redFilter,
            boolean burns,
            boolean blackout,
            List<Double> ring,
            TestPlan plan,
            Function<Light, String> written) {
        static Around of(Rig rig) {
            return new Around(
                    rig.recipe().local(),
                    rig.lag(),
                    rig.inContact(),
                    !rig.medium().isBlackout() && !rig.byBareLamp(),
                    rig.way() == LampWay.BURNS,
                    rig.medium().isBlackout(),
                    rig.ring().stream().map(ApertureMark::engraved).toList(),
                    rig.recipe().test(),
                    light -> Grades.written(rig, light));
        }
    }

    private StepWords(Map<String, String> names, ScriptFacts facts) {
        this.names = names;
        this.facts = facts;
        this.spoken = new SaidSteps(facts);
    }

    /** The steps of a sheet whose areas are those of the rig's recipe. */
    public static List<StepView> of(List<ExposureStep> steps, Rig rig) {
        return of(steps, Around.of(rig));
    }

    static List<StepView> of(List<ExposureStep> steps, Around around) {
        List<Recipe.Area> areas = around.local().areas();
        Map<String, String> names =
                areas.stream().collect(Collectors.toMap(Recipe.Area::key, Recipe.Area::name, (one, other) -> one));
        List<String> keys = areas.stream().map(Recipe.Area::key).toList();
        StepWords words = new StepWords(names, new ScriptFacts(steps, keys, around));
        return steps.stream().map(words::view).toList();
    }

    private StepView view(ExposureStep step) {
        List<PhaseView> phases = new ArrayList<>();
        for (Phase phase : step.phases()) {
            phases.add(phase(phase));
        }
        return new StepView(
                step.place(),
                LightView.of(step.light()),
                step.set().inSeconds(),
                step.presses(),
                step.receivedSeconds(facts.around().lag()),
                before(step),
                step.cues().contains(Cue.SET_IN_LIGHT),
                putAway(step),
                spoken.putAway(step),
                words(step, phases),
                spoken.said(step),
                phases);
    }

    private String putAway(ExposureStep step) {
        if (!step.cues().contains(Cue.SET_IN_LIGHT)) {
            return "";
        }
        return ScriptFacts.isPiece(step) ? "Piece " + (step.piece() - 1) + putPiece() : "Paper into its box";
    }

    private String putPiece() {
        return facts.around().blackout() ? " into the drum, lid on" : " aside, face down";
    }

    private String before(ExposureStep step) {
        List<String> settings = new ArrayList<>();
        if (step.cues().contains(Cue.CHANGE_LIGHT)) {
            settings.add(
                    step.light() instanceof Light.Third
                            ? step.light().words()
                            : "set " + facts.around().written().apply(step.light()));
        }
        if (step.cues().contains(Cue.SET_TIMER)) {
            settings.add("set " + facts.timers(step));
        }
        List<String> words = new ArrayList<>();
        if (step.cues().contains(Cue.LAY_STACK)) {
            words.addAll(stack());
        }
        boolean piece = ScriptFacts.isPiece(step);
        if (piece && step.place() > 1) {
            words.add("Piece " + (step.piece() - 1) + putPiece());
        }
        if (step.cues().contains(Cue.SET_IN_LIGHT)) {
            if (!piece) {
                words.add("Paper into its box");
            }
            words.add("In white light " + Show.listed(settings));
            words.add(
                    piece
                            ? "Dark. " + pieceTaken(step)
                            : facts.around().contact() ? "Dark. " + STACK : "Dark, paper back against its stops");
        } else {
            settings.stream().map(Show::capital).forEach(words::add);
            if (piece) {
                words.add(pieceTaken(step));
            }
        }
        int row = facts.row(step.phases().get(0));
        boolean otherRow = step.cues().contains(Cue.OTHER_HALF);
        if (facts.rows() > 2 && (otherRow || step.place() == 1)) {
            words.add("Cards over all but the " + side(row));
        } else if (otherRow) {
            words.add("Card off the " + side(2) + ", over the " + side(1));
        } else if (step.place() == 1 && row == 1) {
            words.add("Card over the " + side(2));
        }
        if (step.cues().contains(Cue.MOVE_PAPER)) {
            words.add((facts.around().burns() ? "Card over the window, move" : "Move") + " the paper on to patch "
                    + step.piece());
        }
        if (step.cues().contains(Cue.CHANGE_OPENING)) {
            words.add("Lens to " + Show.aperture(step.opening()) + clicks(step));
        }
        if (step.cues().contains(Cue.MOVE_CARD) || step.cues().contains(Cue.ONE_PATCH_FREE)) {
            words.add(covered(step.phases().get(0)));
        }
        return String.join(". ", words);
    }

    private String pieceTaken(ExposureStep step) {
        String mark = Patches.mark(facts.around().plan(), step.piece());
        return "Piece " + step.piece() + " to its place, emulsion up" + (mark.isEmpty() ? "" : ", " + mark);
    }

    /** ", 3 clicks from open"; nothing where the ring has no such mark. */
    private String clicks(ExposureStep step) {
        OptionalInt clicks = facts.clicksFromOpen(step);
        if (clicks.isEmpty()) {
            return "";
        }
        int n = clicks.getAsInt();
        return n == 0 ? ", wide open" : ", " + n + (n == 1 ? " click" : " clicks") + " from open";
    }

    /** How the stack of a contact print is laid, with the red filter over the lens where there is one; without it by touch or under a dark lamp. */
    private List<String> stack() {
        return facts.around().redFilter()
                ? List.of(
                        "Red filter in",
                        STACK,
                        facts.around().burns()
                                ? "Lamp on; red filter out is the start, in again the end"
                                : "Lamp off, red filter out")
                : List.of(STACK);
    }

    private String words(ExposureStep step, List<PhaseView> phases) {
        String press = step.presses() > 1 ? ", press " + step.presses() + " times" : "";
        if (step.burned().isPresent()) {
            return "Burn " + name(step.burned().get()) + press;
        }
        if (step.isCovered()) {
            return covered(step.phases().get(0)) + press;
        }
        if (facts.test() == ScriptFacts.Test.SAME_SPOT || facts.test() == ScriptFacts.Test.PIECES) {
            return (facts.test() == ScriptFacts.Test.PIECES ? "Piece " : "Patch ") + step.piece() + press;
        }
        if (step.phases().get(0).disc().isPresent()) {
            return "Through the disc" + press;
        }
        List<String> held = step.held().stream().map(this::name).toList();
        if (phases.size() > 1) {
            return "Base" + facts.part(step) + "; hold back " + Show.listed(held);
        }
        if (!held.isEmpty()) {
            return "Hold back " + Show.listed(held) + press;
        }
        String hands = step.cues().contains(Cue.HANDS_OUT) ? ", hands out" : ", nothing held";
        return "Base" + facts.part(step) + hands + press;
    }

    private PhaseView phase(Phase phase) {
        List<String> keys = phase.burned().map(List::of).orElse(phase.held());
        RectView uncovered = phase.uncovered().map(RectView::of).orElse(null);
        if (phase.reachesNothing()) {
            return new PhaseView(phase.seconds(), "COVERED", "everything under the card", keys, uncovered);
        }
        if (phase.burned().isPresent()) {
            return new PhaseView(
                    phase.seconds(), "BURN", "burn " + name(phase.burned().get()), keys, null);
        }
        if (phase.uncovered().isPresent()) {
            String words = covered(phase);
            return new PhaseView(phase.seconds(), "CARD", words, keys, uncovered);
        }
        List<String> held = phase.held().stream().map(this::name).toList();
        return held.isEmpty()
                ? new PhaseView(phase.seconds(), "LIGHT", "hands out", keys, null)
                : new PhaseView(phase.seconds(), "HOLD", "hold back " + Show.listed(held), keys, null);
    }

    /** How many patches lie under the card: one more with every move; or which one alone does not. */
    private String covered(Phase phase) {
        int moved = facts.moved(phase);
        int row = facts.row(phase);
        if (facts.test() == ScriptFacts.Test.OPENINGS) {
            return (row > 0 ? Show.capital(side(row)) + ", patch " : "Patch ") + (moved + 1)
                    + " alone free of the card";
        }
        if (row > 0 && moved == 0) {
            return Show.capital(side(row));
        }
        return switch (moved) {
            case 0 -> "Whole strip";
            case 1 -> "Cover patch 1";
            default -> "Cover patches 1 to " + moved;
        };
    }

    /** Which row of the paper, from 1. */
    private String side(int row) {
        boolean middle = row > 1 && row < facts.rows();
        if (facts.rowsAreAbove()) {
            return middle ? "middle row" : row == 1 ? "upper row" : "lower row";
        }
        String share = facts.rows() > 2 ? " third" : " half";
        return (middle ? "middle" : row == 1 ? "left" : "right") + share;
    }

    private String name(String key) {
        return names.getOrDefault(key, key);
    }
}
