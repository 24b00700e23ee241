package keyslate.server.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.LampLag;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.script.Part;
import keyslate.core.script.Phase;
import keyslate.core.test.PieceMarks;
import keyslate.core.test.PiecesPlan;
import keyslate.core.test.TestPlan;
import keyslate.server.Show;
import keyslate.server.Spoken;
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
    private final List<String> keys;
    private final Around around;
    /** What the card left free, in the order it was moved. */
    private final List<Part> covers;

    private final Test test;

    /** What tests have for steps. */
    private enum Test {
        NONE,
        SAME_SPOT,
        OPENINGS,
        PIECES
    }

    /**
     * What the words rest on besides the steps.
     *
     * @param contact whether the negative lies on the paper
     * @param redFilter whether a red filter can keep the lamp's light off it meanwhile
     * @param burns whether the lamp burns all through
     * @param blackout whether nothing can be seen there
     * @param ring engraved marks of the lens from the widest on, which clicks are counted along
     * @param plan the test that a test's steps are of
     */
    record Around(
            Recipe.Local local,
            LampLag lag,
            boolean contact,
            boolean redFilter,
            boolean burns,
            boolean blackout,
            List<Double> ring,
            TestPlan plan) {
        static Around of(Rig rig) {
            return new Around(
                    rig.recipe().local(),
                    rig.lag(),
                    rig.inContact(),
                    !rig.medium().isBlackout() && !rig.byBareLamp(),
                    rig.way() == LampWay.BURNS,
                    rig.medium().isBlackout(),
                    rig.ring().stream().map(ApertureMark::engraved).toList(),
                    rig.recipe().test());
        }
    }

    private StepWords(Map<String, String> names, List<String> keys, List<ExposureStep> steps, Around around) {
        this.covers = steps.stream()
                .flatMap(s -> s.phases().stream())
                .flatMap(p -> p.uncovered().stream())
                .filter(p -> !p.isEmpty())
                .distinct()
                .toList();
        this.test = test(steps);
        this.names = names;
        this.keys = keys;
        this.around = around;
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
        StepWords words = new StepWords(names, keys, steps, around);
        return steps.stream().map(words::view).toList();
    }

    private static Test test(List<ExposureStep> steps) {
        Set<Cue> cues = steps.stream().flatMap(s -> s.cues().stream()).collect(Collectors.toSet());
        if (cues.contains(Cue.TAKE_PIECE)) {
            return Test.PIECES;
        }
        if (cues.contains(Cue.ONE_PATCH_FREE)) {
            return Test.OPENINGS;
        }
        return cues.contains(Cue.MOVE_PAPER) ? Test.SAME_SPOT : Test.NONE;
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
                step.receivedSeconds(around.lag()),
                before(step),
                step.cues().contains(Cue.SET_IN_LIGHT),
                putAway(step),
                putAwaySaid(step),
                words(step, phases),
                said(step),
                phases);
    }

    private static boolean isPiece(ExposureStep step) {
        return step.cues().contains(Cue.TAKE_PIECE);
    }

    private String putAway(ExposureStep step) {
        if (!step.cues().contains(Cue.SET_IN_LIGHT)) {
            return "";
        }
        return isPiece(step) ? "Piece " + (step.piece() - 1) + putPiece() : "Paper into its box";
    }

    private String putPiece() {
        return around.blackout() ? " into the drum, lid on" : " aside, face down";
    }

    private List<String> putAwaySaid(ExposureStep step) {
        if (!step.cues().contains(Cue.SET_IN_LIGHT)) {
            return List.of();
        }
        return isPiece(step)
                ? new Spoken()
                        .say("piece")
                        .number(step.piece() - 1)
                        .say(putPieceSaid())
                        .clips()
                : List.of("box-shut");
    }

    private String putPieceSaid() {
        return around.blackout() ? "into-the-drum" : "aside";
    }

    private String before(ExposureStep step) {
        List<String> settings = new ArrayList<>();
        if (step.cues().contains(Cue.CHANGE_LIGHT)) {
            settings.add("set " + step.light().notation());
        }
        if (step.cues().contains(Cue.SET_TIMER)) {
            settings.add("set the timer to " + Show.seconds(step.set().inSeconds()));
        }
        List<String> words = new ArrayList<>();
        if (step.cues().contains(Cue.LAY_STACK)) {
            words.addAll(stack());
        }
        boolean piece = isPiece(step);
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
                            : around.contact() ? "Dark. " + STACK : "Dark, paper back against its stops");
        } else {
            settings.stream().map(Show::capital).forEach(words::add);
            if (piece) {
                words.add(pieceTaken(step));
            }
        }
        if (step.cues().contains(Cue.MOVE_PAPER)) {
            words.add((around.burns() ? "Card over the window, move" : "Move") + " the paper on to patch "
                    + step.piece());
        }
        if (step.cues().contains(Cue.CHANGE_OPENING)) {
            words.add("Lens to " + Show.aperture(step.opening()) + ", " + clicks(step));
        }
        if (step.cues().contains(Cue.MOVE_CARD) || step.cues().contains(Cue.ONE_PATCH_FREE)) {
            words.add(covered(step.phases().get(0)));
        }
        return String.join(". ", words);
    }

    private String pieceTaken(ExposureStep step) {
        String mark = Patches.mark(around.plan(), step.piece());
        return "Piece " + step.piece() + " to its place, emulsion up" + (mark.isEmpty() ? "" : ", " + mark);
    }

    /** How far from the widest mark, as one feels it. */
    private String clicks(ExposureStep step) {
        int clicks = around.ring().indexOf(step.opening());
        return clicks <= 0 ? "wide open" : clicks + (clicks == 1 ? " click" : " clicks") + " from open";
    }

    /** How the stack of a contact print is laid, with the red filter over the lens where there is one; without it by touch or under a dark lamp. */
    private List<String> stack() {
        return around.redFilter()
                ? List.of(
                        "Red filter in",
                        STACK,
                        around.burns()
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
        if (test == Test.SAME_SPOT || test == Test.PIECES) {
            return (test == Test.PIECES ? "Piece " : "Patch ") + step.piece() + press;
        }
        if (step.phases().get(0).disc().isPresent()) {
            return "Through the disc" + press;
        }
        List<String> held = step.held().stream().map(this::name).toList();
        if (phases.size() > 1) {
            return "Base; hold back " + Show.listed(held);
        }
        if (!held.isEmpty()) {
            return "Hold back " + Show.listed(held);
        }
        return (step.cues().contains(Cue.HANDS_OUT) ? "Base, hands out" : "Base, nothing held") + press;
    }

    /** What is to be done and then to be pressed, by ear. */
    private List<String> said(ExposureStep step) {
        Spoken spoken = new Spoken();
        if (step.cues().contains(Cue.LAY_STACK)) {
            sayStack(spoken);
        }
        if (step.cues().contains(Cue.TAKE_PIECE)) {
            sayPiece(spoken, step);
        } else if (step.cues().contains(Cue.SET_IN_LIGHT)) {
            if (around.contact()) {
                sayPapersAndGlass(spoken);
            } else {
                spoken.say("paper-back");
            }
        } else {
            settings(spoken, step);
        }
        if (step.cues().contains(Cue.CHANGE_OPENING)) {
            sayOpening(spoken, step);
        }
        if (step.cues().contains(Cue.MOVE_PAPER)) {
            spoken.say("move-on");
        }
        if (step.burned().isPresent()) {
            spoken.say("burn").areas(List.of(number(step.burned().get())));
        } else if (step.isCovered()) {
            covered(spoken, step.phases().get(0));
        } else if (test == Test.SAME_SPOT) {
            spoken.say("patch").number(step.piece());
        } else if (test == Test.PIECES) {
            return spoken.presses(step.presses()).clips();
        } else if (step.phases().get(0).disc().isPresent()) {
            spoken.say("disc-on");
        } else if (!step.held().isEmpty()) {
            if (step.phases().size() > 1) {
                spoken.say("base");
            }
            spoken.say("hold-back").areas(step.held().stream().map(this::number).toList());
        } else {
            spoken.say(step.cues().contains(Cue.HANDS_OUT) ? "base-hands-out" : "base-nothing-held");
        }
        return spoken.presses(step.presses()).clips();
    }

    private void sayStack(Spoken spoken) {
        if (!around.redFilter()) {
            sayPapersAndGlass(spoken);
            return;
        }
        sayPapersAndGlass(spoken.say("red-in"));
        spoken.say(around.burns() ? "red-starts" : "red-out");
    }

    private static void sayPapersAndGlass(Spoken spoken) {
        spoken.say("paper-up").say("film-down").say("glass-on");
    }

    private static void settings(Spoken spoken, ExposureStep step) {
        if (step.cues().contains(Cue.CHANGE_LIGHT)) {
            spoken.light(step.light());
        }
        if (step.cues().contains(Cue.SET_TIMER)) {
            spoken.say("set-timer-to").seconds(step.set().inSeconds());
        }
    }

    /** The piece before away, this one in its place and marked; what is set for it in white light is on the screen. */
    private void sayPiece(Spoken spoken, ExposureStep step) {
        boolean inLight = step.cues().contains(Cue.SET_IN_LIGHT);
        if (step.place() > 1 && !inLight) {
            spoken.say("piece").number(step.piece() - 1).say(putPieceSaid());
            settings(spoken, step);
        }
        spoken.say("piece").number(step.piece()).say("emulsion-up");
        if (around.plan() instanceof PiecesPlan pieces) {
            switch (pieces.marks()) {
                case CORNERS -> {
                    spoken.say("clip");
                    PieceMarks.corners(step.piece())
                            .forEach(c ->
                                    spoken.say(c.name().toLowerCase(Locale.ROOT).replace('_', '-')));
                    spoken.say("corner");
                }
                case NIPS -> spoken.number(step.piece()).say(step.piece() == 1 ? "nip" : "nips");
                case ORDER -> {
                    // Its number is all that it needs.
                }
            }
        }
    }

    private void sayOpening(Spoken spoken, ExposureStep step) {
        int clicks = around.ring().indexOf(step.opening());
        if (clicks <= 0) {
            spoken.say("wide-open");
        } else {
            spoken.say("the-lens").number(clicks).say(clicks == 1 ? "click-from-open" : "clicks-from-open");
        }
    }

    private void covered(Spoken spoken, Phase phase) {
        int patches = moved(phase);
        if (test == Test.OPENINGS) {
            spoken.say("patch").number(patches + 1).say("alone");
            return;
        }
        switch (patches) {
            case 0 -> spoken.say("whole-strip");
            case 1 -> spoken.say("cover-patch").number(1);
            default -> spoken.say("cover-patches-one-to").number(patches);
        }
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

    /** How often the card was moved before. */
    private int moved(Phase phase) {
        return phase.uncovered().map(covers::indexOf).orElse(0);
    }

    /** How many patches lie under the card: one more with every move; or which one alone does not. */
    private String covered(Phase phase) {
        int moved = moved(phase);
        if (test == Test.OPENINGS) {
            return "Patch " + (moved + 1) + " alone free of the card";
        }
        return switch (moved) {
            case 0 -> "Whole strip";
            case 1 -> "Cover patch 1";
            default -> "Cover patches 1 to " + moved;
        };
    }

    /** The number of an area on the list, from 1. */
    private int number(String key) {
        return keys.indexOf(key) + 1;
    }

    private String name(String key) {
        return names.getOrDefault(key, key);
    }
}
