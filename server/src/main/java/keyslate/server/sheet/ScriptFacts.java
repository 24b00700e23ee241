package keyslate.server.sheet;

import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import keyslate.core.colour.Primary;
import keyslate.core.light.Light;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Part;
import keyslate.core.script.Phase;
import keyslate.server.Show;

/** What the words of a script, read or heard, rest on besides the step that they are about. */
final class ScriptFacts {
    /** What a test has for steps. */
    enum Test {
        NONE,
        SAME_SPOT,
        OPENINGS,
        PIECES
    }

    private final StepWords.Around around;
    private final List<ExposureStep> steps;
    private final List<String> keys;
    /** What the card left free, in the order it was moved. */
    private final List<Part> covers;

    /** Where the covers of further rows begin. */
    private final List<Integer> otherRowsFrom;

    private final Test test;
    /** Lights of the base, in the order they are given; none of a test. */
    private final List<Light> baseLights;

    /** For the steps of a whole script; {@code keys} of the areas as they stand on the list. */
    ScriptFacts(List<ExposureStep> steps, List<String> keys, StepWords.Around around) {
        this.around = around;
        this.steps = steps;
        this.keys = keys;
        this.covers = steps.stream()
                .flatMap(s -> s.phases().stream())
                .flatMap(p -> p.uncovered().stream())
                .filter(p -> !p.isEmpty())
                .distinct()
                .toList();
        this.otherRowsFrom = steps.stream()
                .filter(s -> s.cues().contains(Cue.OTHER_HALF))
                .flatMap(s -> s.phases().get(0).uncovered().stream())
                .map(covers::indexOf)
                .toList();
        this.test = test(steps);
        this.baseLights = test == Test.NONE
                ? steps.stream()
                        .filter(s -> s.burned().isEmpty())
                        .map(ExposureStep::light)
                        .distinct()
                        .toList()
                : List.of();
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

    /** "the timer to 12.4 s"; of three lights "the timers to 9.1 s red, 6.2 s green, 8.8 s blue". */
    String timers(ExposureStep step) {
        if (!(step.light() instanceof Light.Third)) {
            return "the timer to " + Show.seconds(step.set().inSeconds());
        }
        return "the timers to "
                + steps.stream()
                        .filter(s -> s.place() >= step.place())
                        .limit(Primary.values().length)
                        .map(s -> Show.seconds(s.set().inSeconds()) + " "
                                + s.light().words().replace(" light", ""))
                        .collect(Collectors.joining(", "));
    }

    /** " 2 of 2" where a base is given through several lights; empty as a rule. */
    String part(ExposureStep step) {
        return baseLights.size() < 2 ? "" : " " + (baseLights.indexOf(step.light()) + 1) + " of " + baseLights.size();
    }

    StepWords.Around around() {
        return around;
    }

    Test test() {
        return test;
    }

    static boolean isPiece(ExposureStep step) {
        return step.cues().contains(Cue.TAKE_PIECE);
    }

    /** How often the card was moved before, on its row. */
    int moved(Phase phase) {
        int moved = phase.uncovered().map(covers::indexOf).orElse(0);
        return otherRowsFrom.stream()
                .filter(from -> from <= moved)
                .reduce((first, last) -> last)
                .map(from -> moved - from)
                .orElse(moved);
    }

    /** How many rows got lights of their own; 1 as a rule. */
    int rows() {
        return otherRowsFrom.size() + 1;
    }

    /** The row that a phase falls on, from 1; 0 where there is but one. */
    int row(Phase phase) {
        int at = phase.uncovered().map(covers::indexOf).orElse(0);
        return otherRowsFrom.isEmpty()
                ? 0
                : 1 + (int) otherRowsFrom.stream().filter(from -> from <= at).count();
    }

    /** Whether its rows lie one above the other; else side by side. */
    boolean rowsAreAbove() {
        return covers.get(0).height() < 1;
    }

    /** The number of an area on the list, from 1. */
    int number(String key) {
        return keys.indexOf(key) + 1;
    }

    /** How many clicks an exposure's opening is from the widest mark, as one feels it; none where the ring has no such mark. */
    OptionalInt clicksFromOpen(ExposureStep step) {
        int at = around.ring().indexOf(step.opening());
        return at < 0 ? OptionalInt.empty() : OptionalInt.of(at);
    }
}
