package keyslate.server.sheet;

import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Phase;
import keyslate.core.test.PieceMarks;
import keyslate.core.test.PiecesPlan;
import keyslate.server.Spoken;

/** A script by ear: what {@link StepWords} says in words, as names of recorded clips. */
final class SaidSteps {
    private final ScriptFacts facts;

    SaidSteps(ScriptFacts facts) {
        this.facts = facts;
    }

    /** What is to be done and then to be pressed, by ear. */
    List<String> said(ExposureStep step) {
        Spoken spoken = new Spoken();
        if (step.cues().contains(Cue.LAY_STACK)) {
            sayStack(spoken);
        }
        if (step.cues().contains(Cue.TAKE_PIECE)) {
            sayPiece(spoken, step);
        } else if (step.cues().contains(Cue.SET_IN_LIGHT)) {
            if (facts.around().contact()) {
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
        boolean other = step.cues().contains(Cue.OTHER_HALF);
        int row = facts.row(step.phases().get(0));
        if (other || step.place() == 1 && row == 1) {
            if (facts.rows() > 2) {
                spoken.say("all-but-row").number(row);
            } else {
                spoken.say(other ? "other-half" : "first-half");
            }
            // Of openings one patch of it alone is free; else all of it.
            if (facts.test() == ScriptFacts.Test.OPENINGS) {
                covered(spoken, step.phases().get(0));
            }
            return spoken.presses(step.presses()).clips();
        }
        if (step.burned().isPresent()) {
            spoken.say("burn").areas(List.of(facts.number(step.burned().get())));
        } else if (step.isCovered()) {
            covered(spoken, step.phases().get(0));
        } else if (facts.test() == ScriptFacts.Test.SAME_SPOT) {
            spoken.say("patch").number(step.piece());
        } else if (facts.test() == ScriptFacts.Test.PIECES) {
            return spoken.presses(step.presses()).clips();
        } else if (step.phases().get(0).disc().isPresent()) {
            spoken.say("disc-on");
        } else if (!step.held().isEmpty()) {
            if (step.phases().size() > 1) {
                spoken.say("base");
            }
            spoken.say("hold-back")
                    .areas(step.held().stream().map(facts::number).toList());
        } else {
            spoken.say(step.cues().contains(Cue.HANDS_OUT) ? "base-hands-out" : "base-nothing-held");
        }
        return spoken.presses(step.presses()).clips();
    }

    private void sayStack(Spoken spoken) {
        if (!facts.around().redFilter()) {
            sayPapersAndGlass(spoken);
            return;
        }
        sayPapersAndGlass(spoken.say("red-in"));
        spoken.say(facts.around().burns() ? "red-starts" : "red-out");
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
        if (facts.around().plan() instanceof PiecesPlan pieces) {
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
        OptionalInt clicks = facts.clicksFromOpen(step);
        if (clicks.isEmpty()) {
            return;
        }
        if (clicks.getAsInt() == 0) {
            spoken.say("wide-open");
        } else {
            spoken.say("the-lens")
                    .number(clicks.getAsInt())
                    .say(clicks.getAsInt() == 1 ? "click-from-open" : "clicks-from-open");
        }
    }

    private void covered(Spoken spoken, Phase phase) {
        int patches = facts.moved(phase);
        if (facts.test() == ScriptFacts.Test.OPENINGS) {
            spoken.say("patch").number(patches + 1).say("alone");
            return;
        }
        switch (patches) {
            case 0 -> spoken.say("whole-strip");
            case 1 -> spoken.say("cover-patch").number(1);
            default -> spoken.say("cover-patches-one-to").number(patches);
        }
    }

    /** Where the paper goes before what is set in white light. */
    List<String> putAway(ExposureStep step) {
        if (!step.cues().contains(Cue.SET_IN_LIGHT)) {
            return List.of();
        }
        return ScriptFacts.isPiece(step)
                ? new Spoken()
                        .say("piece")
                        .number(step.piece() - 1)
                        .say(putPieceSaid())
                        .clips()
                : List.of("box-shut");
    }

    private String putPieceSaid() {
        return facts.around().blackout() ? "into-the-drum" : "aside";
    }
}
