package keyslate.server.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.PatchPick;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.NextRecipe;
import keyslate.core.reading.StripReading;
import keyslate.server.Show;
import keyslate.server.judge.DecisionViews.CheckView;
import keyslate.server.judge.DecisionViews.Marks;
import keyslate.server.judge.DecisionViews.VerdictView;
import keyslate.server.judge.DecisionViews.Wishes;
import keyslate.server.slate.CarryOver;
import keyslate.server.slate.Rig;
import keyslate.server.slate.SlateViews.SheetView;
import keyslate.server.web.FieldErrors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Turns marks on a strip and wishes about a print into a verdict in words and numbers. */
@Component
public class Verdicts {
    private static final double SHORTEST_TOTAL_SECONDS = 0.001;
    private static final double ON_TIME_STOPS = 1.0 / 12;

    private final VariableContrastPaper paper;

    Verdicts(VariableContrastPaper paper) {
        this.paper = paper;
    }

    /** The verdict on a strip that was made with {@code before} and is read for {@code now}. */
    public VerdictView reading(SheetView strip, Rig before, Rig now, Marks marks) {
        StripReading reading = read(strip, before, marks);
        ExposureTime carried = carry(reading.whites(), strip, before, now);
        List<String> rests = new ArrayList<>();
        rests.add("Whites hold at " + Show.seconds(reading.whites().inSeconds()) + ", your mark, ± "
                + Show.stopsApart(reading.uncertainty()) + ".");
        if (Math.abs(carried.stopsFrom(reading.whites()).inStops()) > 0.01) {
            rests.add("Carried to the size and opening that stand now: " + Show.seconds(carried.inSeconds()) + ".");
        }
        Words words = reading.outcome()
                .map(outcome -> {
                    rests.add("First true black at "
                            + Show.seconds(reading.blacks().orElseThrow().inSeconds()) + ", your mark.");
                    rests.add("ISO range needed " + Math.round(outcome.neededRange())
                            + ", the model of a generic paper (CON-06).");
                    return graded(outcome, before.filter(), set(carry(outcome.time(), strip, before, now)));
                })
                .orElseGet(() -> new Words(
                        "Set " + Show.seconds(set(carried)) + " at grade "
                                + before.filter().label() + ".",
                        "The whites hold there. Mark the first true black too, and the grade can be judged."));
        return new VerdictView(
                words.headline(),
                words.why(),
                rests,
                reading.filter().label(),
                set(carry(reading.time(), strip, before, now)),
                set(carried),
                reading.uncertainty().inStops(),
                reading.whites().inSeconds(),
                reading.blacks().map(ExposureTime::inSeconds).orElse(null),
                reading.check().map(Verdicts::check).orElse(null));
    }

    /** What the marks say; refuses marks that are missing or off the strip. */
    public StripReading read(SheetView strip, Rig before, Marks marks) {
        List<ExposureTime> totals = strip.patches().stream()
                .map(p -> ExposureTime.ofSeconds(Math.max(SHORTEST_TOTAL_SECONDS, p.givenSeconds())))
                .toList();
        FieldErrors errors = new FieldErrors();
        if (marks.whitesAt() == null) {
            errors.add("/whitesAt", "E_SHAPE", "Mark the patch where the whites just hold first.");
        }
        Optional<PatchPick> whites = mark(errors, "/whitesAt", marks.whitesAt(), totals);
        Optional<PatchPick> blacks = mark(errors, "/blacksAt", marks.blacksAt(), totals);
        errors.throwIfAny();
        return StripReading.of(paper, before.filter(), totals, whites.orElseThrow(), blacks);
    }

    private static Optional<PatchPick> mark(
            FieldErrors errors, String pointer, @Nullable Double at, List<ExposureTime> totals) {
        if (at == null) {
            return Optional.empty();
        }
        return errors.check(pointer, Optional.empty(), () -> {
            PatchPick pick = PatchPick.ofPosition(at);
            pick.timeOn(totals);
            return Optional.of(pick);
        });
    }

    private record Words(String headline, String why) {}

    /** What to do about the grade, and why. */
    private static Words graded(GradeAdvice.Outcome outcome, GradeFilter now, double seconds) {
        GradeFilter filter = outcome.filter();
        boolean same = filter == now;
        String why;
        if (outcome instanceof GradeAdvice.TooHard) {
            why = "Even grade 5 leaves the blacks grey: short development, a thin negative or a flat subject. It is"
                    + " the nearest there is.";
        } else if (outcome instanceof GradeAdvice.TooSoft) {
            why = "Even grade 00 is too hard for this range. Hold back and burn, or split the grade.";
        } else if (same) {
            why = "Whites and blacks fall together at this grade.";
        } else {
            why = "Grade " + filter.label() + " keeps the whites where you marked them and "
                    + (filter.grade().compareTo(now.grade()) > 0
                            ? "brings the blacks down to meet them."
                            : "lets the blacks open up.");
        }
        String late = late(outcome.blacksLate());
        return same
                ? new Words(late + " Keep grade " + filter.label() + ", " + Show.seconds(seconds) + ".", why)
                : new Words(
                        late + " Go to grade " + filter.label() + ".",
                        why + " Base exposure becomes " + Show.seconds(seconds) + ".");
    }

    private static String late(Stops late) {
        if (Math.abs(late.inStops()) < ON_TIME_STOPS) {
            return "Blacks come on time.";
        }
        String size = String.format(Locale.ROOT, "%.2f", Math.abs(late.inStops()));
        return "Blacks come " + size + " stop" + (Math.abs(late.inStops()) > 1.005 ? "s" : "")
                + (late.inStops() > 0 ? " late." : " early.");
    }

    private static CheckView check(CheckStrip strip) {
        return new CheckView(
                strip.step().inStops(),
                strip.patches(),
                "The reading leaves more open than a print shows. A check strip is worth its paper: " + strip.patches()
                        + " patches, " + Show.stopsApart(strip.step()) + " apart (EXP-29).");
    }

    /** The verdict on a print that was made with {@code before}, for the set-up that stands {@code now}. */
    public VerdictView judgement(SheetView print, Rig before, Rig now, Wishes wishes) {
        FieldErrors errors = new FieldErrors();
        double darker = errors.check(
                "/darkerStops",
                0.0,
                () -> Check.within("change", wishes.darkerStops() == null ? 0 : wishes.darkerStops(), -5, 5, "stops"));
        double harder = errors.check(
                "/harderGrades",
                0.0,
                () -> Check.within(
                        "change of grade", wishes.harderGrades() == null ? 0 : wishes.harderGrades(), -6, 6, ""));
        errors.throwIfAny();
        NextRecipe next = NextRecipe.after(paper, before.filter(), before.base(), Stops.of(darker), harder);
        double seconds = set(carry(next.time(), print, before, now));
        List<String> rests = new ArrayList<>();
        rests.add(print.label() + ": " + Show.seconds(before.base().inSeconds()) + " at grade "
                + before.filter().label() + ", on record.");
        if (darker != 0) {
            rests.add((darker > 0 ? "Darker by " : "Lighter by ") + Show.stopsApart(Stops.of(darker))
                    + ", your judgement.");
        }
        if (next.filter() != before.filter()) {
            rests.add("Time moved so that light tones of density 0.16 stay, the model of a generic paper (CON-05).");
        }
        return new VerdictView(
                judged(before, next, darker, seconds),
                why(before, next, darker),
                rests,
                next.filter().label(),
                seconds,
                set(carry(before.base(), print, before, now)),
                0,
                null,
                null,
                null);
    }

    private static String judged(Rig before, NextRecipe next, double darker, double seconds) {
        if (next.filter() == before.filter() && darker == 0) {
            return "Nothing to change.";
        }
        return next.filter() == before.filter()
                ? "Give " + Show.stops(Stops.of(darker)) + ": " + Show.seconds(seconds) + "."
                : "Set grade " + next.filter().label() + ", " + Show.seconds(seconds) + ".";
    }

    private static String why(Rig before, NextRecipe next, double darker) {
        if (next.filter() == before.filter() && darker == 0 && next.gradeShort() == 0) {
            return "Accept this print, or say how the next one should differ.";
        }
        List<String> parts = new ArrayList<>();
        if (next.filter() != before.filter()) {
            parts.add("Grade " + before.filter().label() + " to "
                    + next.filter().label() + ", the light tones stay where they are");
        }
        if (darker != 0) {
            parts.add((darker > 0 ? "the whole print darker by " : "the whole print lighter by ")
                    + Show.stopsApart(Stops.of(darker)));
        }
        if (next.gradeShort() != 0) {
            parts.add("the filters end there: " + (next.gradeShort() > 0 ? "5 is the hardest" : "00 is the softest"));
        }
        String text = String.join("; ", parts);
        return Character.toUpperCase(text.charAt(0)) + text.substring(1) + ". Holds and burns keep their stops.";
    }

    private static ExposureTime carry(ExposureTime time, SheetView sheet, Rig before, Rig now) {
        return CarryOver.time(time, Magnification.of(sheet.magnification()), before, now);
    }

    private static double set(ExposureTime time) {
        return TimerSteps.tenths().nearest(time).time().inSeconds();
    }
}
