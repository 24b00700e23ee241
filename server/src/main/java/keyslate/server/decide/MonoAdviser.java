package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.PatchPick;
import keyslate.core.light.Light;
import keyslate.core.medium.Monochrome;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.NextRecipe;
import keyslate.core.reading.StripReading;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.decide.DecisionViews.Wishes;
import keyslate.server.rig.LightView;
import keyslate.server.web.FieldErrors;
import keyslate.store.json.Seen;
import org.springframework.stereotype.Component;

/** Variable-contrast paper: time by the whites, grade by the blacks. */
@Component
class MonoAdviser implements Adviser {
    private static final double ON_TIME_STOPS = 1.0 / 12;
    private static final double MOST_GRADES = 6;

    private final VariableContrastPaper paper;

    MonoAdviser(VariableContrastPaper paper) {
        this.paper = paper;
    }

    @Override
    public String mediumId() {
        return Monochrome.ID;
    }

    @Override
    public Seen seen(Marks marks) {
        return Readings.seen(marks, marks.whitesAt(), marks.rightAt(), marks.blacksAt());
    }

    @Override
    public Optional<CheckStrip> check(Hung strip, Marks marks) {
        return read(strip, marks).check();
    }

    @Override
    public VerdictView reading(Hung strip, Marks marks) {
        StripReading reading = read(strip, marks);
        GradeFilter now = strip.before().light().toFilter();
        DriesDown dries = DriesDown.of(strip, marks);
        ExposureTime right = strip.carried(reading.whites());
        ExposureTime carried = dries.allowed(right);
        List<String> rests = new ArrayList<>();
        rests.add("Whites hold at " + Show.seconds(reading.whites().inSeconds()) + ", your mark, ± "
                + Show.stopsApart(reading.uncertainty()) + ".");
        rests.addAll(Readings.tones(strip));
        if (Math.abs(right.stopsFrom(reading.whites()).inStops()) > 0.01) {
            rests.add("Carried to the size and opening that stand now: " + Show.seconds(right.inSeconds()) + ".");
        }
        dries.say(right).ifPresent(rests::add);
        Words words = reading.outcome()
                .map(outcome -> {
                    rests.add("First true black at "
                            + Show.seconds(reading.blacks().orElseThrow().inSeconds()) + ", your mark.");
                    rests.add("ISO range needed " + Math.round(outcome.neededRange())
                            + ", the model of a generic paper (CON-06).");
                    return graded(outcome, now, dries.allowed(strip.carried(outcome.time())));
                })
                .orElseGet(() -> timeOnly(strip, carried, now));
        return new VerdictView(
                words.headline(),
                words.why(),
                rests,
                LightView.of(Light.filter(reading.filter())),
                dries.allowed(strip.carried(reading.time())).inSeconds(),
                carried.inSeconds(),
                dries.with(reading.uncertainty()).inStops(),
                reading.check().map(Readings::check).orElse(null));
    }

    /** Where no true black is wanted in the print, none is looked for and the grade is left alone. */
    private StripReading read(Hung strip, Marks marks) {
        boolean black = strip.now().recipe().naming().blackWanted();
        List<ExposureTime> totals = Readings.totals(strip);
        FieldErrors errors = new FieldErrors();
        if (marks.whitesAt() == null) {
            errors.add("/marks/whitesAt", "E_SHAPE", "Mark the patch where the whites just hold first.");
        }
        Optional<PatchPick> whites = Readings.mark(errors, "/marks/whitesAt", marks.whitesAt(), totals);
        Optional<PatchPick> blacks =
                black ? Readings.mark(errors, "/marks/blacksAt", marks.blacksAt(), totals) : Optional.empty();
        errors.throwIfAny();
        return StripReading.of(paper, strip.before().light().toFilter(), totals, whites.orElseThrow(), blacks);
    }

    private record Words(String headline, String why) {}

    private static Words timeOnly(Hung strip, ExposureTime time, GradeFilter now) {
        String headline = "Set " + Show.seconds(time.inSeconds()) + " at grade " + now.label() + ".";
        return strip.now().recipe().naming().blackWanted()
                ? new Words(
                        headline, "The whites hold there. Mark the first true black too, and the grade can be judged.")
                : new Words(headline, "The whites hold there. No true black is wanted, so the grade stays.");
    }

    /** What to do about the grade, and why. */
    private static Words graded(GradeAdvice.Outcome outcome, GradeFilter now, ExposureTime time) {
        GradeFilter filter = outcome.filter();
        boolean same = filter == now;
        String seconds = Show.seconds(time.inSeconds());
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
                ? new Words(late + " Keep grade " + filter.label() + ", " + seconds + ".", why)
                : new Words(
                        late + " Go to grade " + filter.label() + ".", why + " Base exposure becomes " + seconds + ".");
    }

    private static String late(Stops late) {
        if (Math.abs(late.inStops()) < ON_TIME_STOPS) {
            return "Blacks come on time.";
        }
        String size = String.format(Locale.ROOT, "%.2f", Math.abs(late.inStops()));
        return "Blacks come " + size + " stop" + (Math.abs(late.inStops()) > 1.005 ? "s" : "")
                + (late.inStops() > 0 ? " late." : " early.");
    }

    @Override
    public VerdictView judgement(Hung print, Wishes wishes) {
        FieldErrors errors = new FieldErrors();
        double darker = Readings.stops(errors, "/wishes/darkerStops", wishes.darkerStops());
        double harder = errors.check(
                "/wishes/harderGrades",
                0.0,
                () -> Check.within(
                        "change of grade",
                        wishes.harderGrades() == null ? 0 : wishes.harderGrades(),
                        -MOST_GRADES,
                        MOST_GRADES,
                        ""));
        errors.throwIfAny();
        GradeFilter now = print.before().light().toFilter();
        NextRecipe next = NextRecipe.after(paper, now, print.before().base(), Stops.of(darker), harder);
        ExposureTime time = print.carried(next.time());
        List<String> rests = new ArrayList<>();
        rests.add(print.view().label() + ": "
                + Show.seconds(print.before().base().inSeconds()) + " at grade " + now.label() + ", on record.");
        if (darker != 0) {
            rests.add((darker > 0 ? "Darker by " : "Lighter by ") + Show.stopsApart(Stops.of(darker))
                    + ", your judgement.");
        }
        if (next.filter() != now) {
            rests.add("Time moved so that light tones of density 0.16 stay, the model of a generic paper (CON-05).");
        }
        return new VerdictView(
                judged(now, next, darker, Show.seconds(time.inSeconds())),
                why(now, next, darker),
                rests,
                LightView.of(Light.filter(next.filter())),
                time.inSeconds(),
                print.carried(print.before().base()).inSeconds(),
                0,
                null);
    }

    private static String judged(GradeFilter now, NextRecipe next, double darker, String seconds) {
        if (next.filter() == now && darker == 0) {
            return "Nothing to change.";
        }
        return next.filter() == now
                ? "Give " + Show.stops(Stops.of(darker)) + ": " + seconds + "."
                : "Set grade " + next.filter().label() + ", " + seconds + ".";
    }

    private static String why(GradeFilter now, NextRecipe next, double darker) {
        if (next.filter() == now && darker == 0 && next.gradeShort() == 0) {
            return "Accept this print, or say how the next one should differ.";
        }
        List<String> parts = new ArrayList<>();
        if (next.filter() != now) {
            parts.add(
                    "grade " + now.label() + " to " + next.filter().label() + ", the light tones stay where they are");
        }
        if (darker != 0) {
            parts.add((darker > 0 ? "the whole print darker by " : "the whole print lighter by ")
                    + Show.stopsApart(Stops.of(darker)));
        }
        if (next.gradeShort() != 0) {
            parts.add("the filters end there: " + (next.gradeShort() > 0 ? "5 is the hardest" : "00 is the softest"));
        }
        return Show.sentence(String.join("; ", parts)) + " Holds and burns keep their stops.";
    }
}
