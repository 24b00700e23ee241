package keyslate.server.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import keyslate.core.exposure.LampLag;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.script.Phase;
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

    /**
     * What the words rest on besides the steps.
     *
     * @param contact whether the negative lies on the paper
     * @param redFilter whether a red filter can keep the lamp's light off it meanwhile
     * @param burns whether the lamp burns all through
     */
    record Around(Recipe.Local local, LampLag lag, boolean contact, boolean redFilter, boolean burns) {
        static Around of(Rig rig) {
            return new Around(
                    rig.recipe().local(),
                    rig.lag(),
                    rig.inContact(),
                    !rig.medium().isBlackout() && !rig.byBareLamp(),
                    rig.way() == LampWay.BURNS);
        }
    }

    private StepWords(Map<String, String> names, List<String> keys, Around around) {
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
        StepWords words = new StepWords(names, keys, around);
        return steps.stream().map(words::view).toList();
    }

    private StepView view(ExposureStep step) {
        List<PhaseView> phases = new ArrayList<>();
        for (Phase phase : step.phases()) {
            phases.add(phase(step, phase, phases.size()));
        }
        return new StepView(
                step.place(),
                LightView.of(step.light()),
                step.set().inSeconds(),
                step.presses(),
                step.receivedSeconds(around.lag()),
                before(step),
                step.cues().contains(Cue.SET_IN_LIGHT),
                words(step, phases),
                said(step),
                phases);
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
        if (step.cues().contains(Cue.SET_IN_LIGHT)) {
            words.add("Paper into its box");
            words.add("In white light " + Show.listed(settings));
            words.add(around.contact() ? "Dark. " + STACK : "Dark, paper back against its stops");
        } else {
            settings.stream().map(Show::capital).forEach(words::add);
        }
        if (step.cues().contains(Cue.MOVE_CARD)) {
            words.add(covered(step, 0));
        }
        return String.join(". ", words);
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
            return covered(step, 0) + press;
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
        if (step.cues().contains(Cue.SET_IN_LIGHT)) {
            if (around.contact()) {
                sayPapersAndGlass(spoken);
            } else {
                spoken.say("paper-back");
            }
        } else {
            settings(spoken, step);
        }
        if (step.burned().isPresent()) {
            spoken.say("burn").areas(List.of(number(step.burned().get())));
        } else if (step.isCovered()) {
            covered(spoken, step.place() - 1);
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

    private static void covered(Spoken spoken, int patches) {
        switch (patches) {
            case 0 -> spoken.say("whole-strip");
            case 1 -> spoken.say("cover-patch").number(1);
            default -> spoken.say("cover-patches-one-to").number(patches);
        }
    }

    private PhaseView phase(ExposureStep step, Phase phase, int index) {
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
            String words = covered(step, index);
            return new PhaseView(phase.seconds(), "CARD", words, keys, uncovered);
        }
        List<String> held = phase.held().stream().map(this::name).toList();
        return held.isEmpty()
                ? new PhaseView(phase.seconds(), "LIGHT", "hands out", keys, null)
                : new PhaseView(phase.seconds(), "HOLD", "hold back " + Show.listed(held), keys, null);
    }

    /** How many patches lie under the card: one more with every step, or with every phase of one long exposure. */
    private static String covered(ExposureStep step, int phase) {
        int covered = step.place() - 1 + phase;
        return switch (covered) {
            case 0 -> "Whole strip";
            case 1 -> "Cover patch 1";
            default -> "Cover patches 1 to " + covered;
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
