package keyslate.server.decide;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
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
import keyslate.core.reading.GradedLights;
import keyslate.core.reading.NextRecipe;
import keyslate.core.reading.SlateEvidence;
import keyslate.core.reading.SlateEvidence.Mark;
import keyslate.core.reading.SlateEvidence.Tone;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.LampWay;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.decide.DecisionViews.Wishes;
import keyslate.server.rig.Grades;
import keyslate.server.rig.LightView;
import keyslate.server.rig.OtherGrades;
import keyslate.server.rig.Rig;
import keyslate.server.test.CheckPlan;
import keyslate.server.web.FieldErrors;
import keyslate.store.json.Look;
import keyslate.store.json.Seen;
import org.springframework.stereotype.Component;

/** Monochrome paper: time by the whites, grade by the blacks; on graded paper that is another box. */
@Component
class MonoAdviser implements Adviser {
    private static final double MISSED_STOPS = 1.0 / 6;
    private static final double ON_TIME_STOPS = 1.0 / 12;
    private static final double MOST_GRADES = 6;

    private final OtherGrades otherGrades;

    MonoAdviser(OtherGrades otherGrades) {
        this.otherGrades = otherGrades;
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
    public Optional<CheckPlan> check(Hung strip, Marks marks) {
        return BySum.reads(strip)
                ? BySum.check(strip, marks)
                : Beyond.of(strip, marks).or(() -> read(strip, marks).check());
    }

    /**
     * What all readings of the slate say together.
     *
     * @param outcome about the grade, where whites and black are both known
     * @param filter to set
     * @param time through it
     * @param kept through the filter of the sheet that is being read
     * @param check what would settle it
     */
    private record Read(
            Evidence evidence,
            Tone anchor,
            Optional<GradeAdvice.Outcome> outcome,
            Light filter,
            SlateEvidence.Estimate time,
            SlateEvidence.Estimate kept,
            Optional<Stops> middleMisses,
            Optional<CheckPlan> check) {}

    private Read read(Hung strip, Marks marks) {
        boolean black = strip.now().recipe().naming().blackWanted();
        Evidence evidence = evidence(strip, marks, black);
        Light now = strip.light();
        SlateEvidence said = weighed(strip, evidence, now);
        // Dials that are off print other grades than they are called: the strips tell which.
        VariableContrastPaper paper = Grades.paper(strip.onItsPaper()).turnedOut(f -> said.rangeOff(Light.filter(f)));
        Tone anchor = said.knows(Tone.WHITES) ? Tone.WHITES : Tone.MIDDLE;
        SlateEvidence.Estimate kept = said.time(anchor, now).orElseThrow();
        Optional<GradeAdvice.Outcome> outcome = black
                ? said.between(Tone.BLACKS, Tone.WHITES)
                        .map(d -> GradeAdvice.forRange(paper, now.toFilter(), kept.time(), GradedLights.neededRange(d)))
                : Optional.empty();
        Light filter = outcome.map(o -> Light.filter(GradeAdvice.goingOn(paper, read(evidence, anchor, now), o)))
                .orElse(now);
        SlateEvidence through = weighed(strip, evidence, filter);
        SlateEvidence.Estimate time = through.time(anchor, filter).orElseThrow();
        Optional<Stops> misses = through.time(Tone.MIDDLE, filter)
                .map(middle -> middle.time().stopsFrom(time.time()))
                .filter(off -> Math.abs(off.inStops()) > MISSED_STOPS);
        Stops open = evidence.all().stream()
                .filter(m -> black && m.tone() == Tone.BLACKS)
                .map(Mark::limit)
                .min(Comparator.naturalOrder())
                .filter(limit -> limit.compareTo(time.toSettle()) > 0)
                .orElse(time.toSettle());
        Optional<Light> beside = outcome.flatMap(o -> GradeAdvice.beside(paper, filter.toFilter(), o))
                .map(Light::filter)
                .filter(l -> strip.now().way() != LampWay.BURNS);
        return new Read(
                evidence,
                anchor,
                outcome,
                filter,
                time,
                kept,
                misses,
                CheckStrip.after(time.time(), open).map(s -> new CheckPlan(s, beside)));
    }

    /** Filters that the anchor was marked through, and the standing one. */
    private static Set<GradeFilter> read(Evidence evidence, Tone anchor, Light now) {
        Set<GradeFilter> read = new LinkedHashSet<>(List.of(now.toFilter()));
        evidence.all().stream()
                .filter(m -> m.tone() == anchor)
                .map(m -> m.light().toFilter())
                .forEach(read::add);
        return read;
    }

    private SlateEvidence weighed(Hung strip, Evidence evidence, Light standing) {
        return SlateEvidence.of(
                evidence.all(), Grades.lights(strip.onItsPaper()), Grades.lag(strip.onItsPaper()), standing);
    }

    private Evidence evidence(Hung strip, Marks marks, boolean black) {
        List<ExposureTime> totals = Readings.totals(strip);
        FieldErrors errors = new FieldErrors();
        boolean one = totals.size() == 1;
        if (one && marks.moreStops() == null) {
            errors.add("/marks/moreStops", "E_SHAPE", Readings.HOW_MUCH_MORE);
        }
        if (!one && marks.whitesAt() == null && marks.rightAt() == null && !isBlackBesideWhites(strip, marks, black)) {
            errors.add("/marks/whitesAt", "E_SHAPE", "Mark the patch where the whites just hold first.");
        }
        Readings.mark(errors, "/marks/whitesAt", marks.whitesAt(), totals);
        Readings.mark(errors, "/marks/rightAt", marks.rightAt(), totals);
        Readings.mark(errors, "/marks/blacksAt", marks.blacksAt(), totals);
        Readings.stops(errors, "/marks/moreStops", marks.moreStops());
        if (marks.blackBeyond() != null && !List.of("LIGHTER", "DARKER").contains(marks.blackBeyond())) {
            errors.add("/marks/blackBeyond", "E_SHAPE", "This is nowhere; there are LIGHTER and DARKER.");
        }
        errors.throwIfAny();
        return Evidence.of(strip, marks, Tone.WHITES, black);
    }

    /** A black alone tells no time, unless another row or test has told where the whites hold: as the hard strip of a split. */
    private static boolean isBlackBesideWhites(Hung strip, Marks marks, boolean black) {
        return black
                && marks.blacksAt() != null
                && Evidence.of(strip, marks, Tone.WHITES, true).others().stream()
                        .anyMatch(o -> o.mark().tone() != Tone.BLACKS);
    }

    @Override
    public VerdictView reading(Hung strip, Marks marks) {
        Optional<VerdictView> other = ByPieces.verdict(strip, marks)
                .or(() -> BySum.verdict(strip, marks))
                .or(() -> Beyond.verdict(strip, marks));
        if (other.isPresent()) {
            return other.get();
        }
        Read read = read(strip, marks);
        GradeFilter now = strip.light().toFilter();
        List<String> rests = new ArrayList<>(rests(strip, marks, read));
        Words words = read.outcome()
                .map(outcome -> {
                    rests.add("ISO range needed " + Math.round(outcome.neededRange())
                            + ", the model of a generic paper (CON-06).");
                    return strip.onItsPaper().paper().hasOneGrade()
                            ? ofOneGrade(strip.onItsPaper(), outcome, read)
                            : graded(outcome, now, read);
                })
                .orElseGet(() -> timeOnly(strip, read, now));
        return new VerdictView(
                words.headline(),
                words.why() + missed(read),
                rests,
                LightView.of(read.filter()),
                read.time().time().inSeconds(),
                read.kept().time().inSeconds(),
                read.time().limit().inStops(),
                read.check().map(Readings::check).orElse(null));
    }

    private static List<String> rests(Hung strip, Marks marks, Read read) {
        List<String> rests = new ArrayList<>();
        List<ExposureTime> totals = Readings.totals(strip);
        Readings.said(
                rests, "Whites hold at ", marks.whitesAt(), SeveralLooks.of(marks.looks(), Look::whitesAt), totals);
        Readings.said(
                rests,
                "The middle is right at ",
                marks.rightAt(),
                SeveralLooks.of(marks.looks(), Look::rightAt),
                totals);
        Readings.needs(rests, strip, marks);
        if (marks.moreStops() != null
                && FromPicture.ofOneSheet(marks.pictured(), "blacksAt").isPresent()
                && !FromPicture.tellsBlack(marks.pictured())) {
            rests.add("Its black lies too far from where it is wanted to tell the grade.");
        }
        rests.addAll(Readings.tones(strip));
        ExposureTime own = marks.whitesAt() != null
                ? PatchPick.ofPosition(marks.whitesAt()).timeOn(totals)
                : marks.rightAt() != null
                        ? PatchPick.ofPosition(marks.rightAt()).timeOn(totals)
                        : strip.before().base();
        ExposureTime carried = strip.carried(own);
        if (Math.abs(carried.stopsFrom(own).inStops()) > 0.01) {
            rests.add("Carried to the size and opening that stand now: " + Show.seconds(carried.inSeconds()) + ".");
        }
        DriesDown.of(strip, marks).say(carried).ifPresent(rests::add);
        rests.addAll(read.evidence().saysOf(read.anchor()));
        rests.add(Readings.together(read.time()));
        if (read.outcome().isPresent()) {
            read.evidence().saysOf(Tone.BLACKS).forEach(line -> rests.add("Black: " + line));
        }
        if (strip.now().recipe().naming().blackWanted() && marks.blacksAt() == null && marks.blackBeyond() != null) {
            rests.add(
                    "DARKER".equals(marks.blackBeyond())
                            ? "No patch is black: the first true black takes more than the last one got."
                            : "Every patch is black: the first true black takes less than the first one got.");
        }
        if (strip.now().recipe().naming().blackWanted() && marks.blacksAt() != null) {
            rests.add("First true black at "
                    + Show.seconds(PatchPick.ofPosition(marks.blacksAt())
                            .timeOn(totals)
                            .inSeconds()) + ", your mark.");
        }
        return rests;
    }

    /** Marks that one time cannot all meet are said, not hidden. */
    private static String missed(Read read) {
        return read.middleMisses()
                .map(off -> " The middle, as you marked it, would want " + Show.stops(off)
                        + ": one time does not meet both, and the whites lead.")
                .orElse("");
    }

    private record Words(String headline, String why) {}

    private static Words timeOnly(Hung strip, Read read, GradeFilter now) {
        String headline = "Set " + Show.seconds(read.time().time().inSeconds())
                + (strip.onItsPaper().paper().hasOneGrade() ? "" : " at " + now.written()) + ".";
        if (read.anchor() == Tone.MIDDLE) {
            return new Words(
                    headline, "The middle is right there. Mark where the whites hold, and the time follows them.");
        }
        return strip.now().recipe().naming().blackWanted()
                ? new Words(
                        headline, "The whites hold there. Mark the first true black too, and the grade can be judged.")
                : new Words(headline, "The whites hold there. No true black is wanted, so the grade stays.");
    }

    /** What to do about the grade, and why. */
    private static Words graded(GradeAdvice.Outcome outcome, GradeFilter now, Read read) {
        GradeFilter filter = read.filter().toFilter();
        boolean same = filter == now;
        String seconds = Show.seconds(read.time().time().inSeconds());
        String why;
        if (outcome instanceof GradeAdvice.TooHard) {
            why = "Even grade 5 leaves the blacks grey: short development, a thin negative or a flat subject. It is"
                    + " the nearest there is.";
        } else if (outcome instanceof GradeAdvice.TooSoft) {
            why = "Even grade 00 is too hard for this range. Hold back and burn, or split the grade.";
        } else if (same) {
            why = outcome.filter() == now
                    ? "Whites and blacks fall together at this grade."
                    : Show.capital(outcome.filter().written())
                            + " would be nearer by less than a filter's time is sure: not worth the change.";
        } else {
            why = Show.capital(filter.written()) + " keeps the whites where you marked them and "
                    + (filter.grade().compareTo(now.grade()) > 0
                            ? "brings the blacks down to meet them."
                            : "lets the blacks open up.");
        }
        String late = late(outcome.blacksLate());
        return same
                ? new Words(late + " Keep " + filter.written() + ", " + seconds + ".", why)
                : new Words(late + " Go to " + filter.written() + ".", why + " Base exposure becomes " + seconds + ".");
    }

    /** Graded paper: the time is this paper's, the contrast may ask for another box. */
    private Words ofOneGrade(Rig now, GradeAdvice.Outcome outcome, Read read) {
        ExposureTime time = read.time().time();
        String why = outcome instanceof GradeAdvice.Reached
                ? "Whites and blacks fall together on this paper, within half a grade."
                : otherGrades
                        .forRange(now, time, outcome.neededRange())
                        .orElse(
                                outcome instanceof GradeAdvice.TooHard
                                        ? "No paper is harder: short development, a thin negative or a flat subject."
                                        : "No paper is softer: hold back and burn, or flash it.");
        return new Words(late(outcome.blacksLate()) + " Set " + Show.seconds(time.inSeconds()) + ".", why);
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
        // Two parts stay two where they stand still and the contrast is right; else they are taken as one filter.
        boolean both = harder == 0 && isSplitAlike(print.before(), print.now());
        BaseExposure.Part stood =
                both ? print.before().exposure().main() : print.before().one();
        GradeFilter now = stood.light().toFilter();
        NextRecipe next =
                NextRecipe.after(Grades.paper(print.onItsPaper()), now, stood.time(), Stops.of(darker), harder);
        ExposureTime time = print.carried(next.time());
        List<String> rests = new ArrayList<>();
        rests.add(print.view().label() + ": " + print.before().exposureInWords() + ", on record.");
        if (!both && print.before().exposure().isSplit()) {
            rests.add("Worth " + stood.light().notation() + ", "
                    + Show.seconds(stood.time().inSeconds()) + " as one filter (CON-08); a split again at Contrast.");
        }
        if (darker != 0) {
            rests.add((darker > 0 ? "Darker by " : "Lighter by ") + Show.stopsApart(Stops.of(darker))
                    + ", your judgement.");
        }
        if (next.filter() != now) {
            rests.add("Time moved so that light tones of density 0.16 stay, the model of a generic paper (CON-05).");
        }
        return new VerdictView(
                judged(now, next, darker, both ? parts(print, time) : Show.seconds(time.inSeconds())),
                otherGrades
                        .harderBy(print.onItsPaper(), time, next.gradeShort())
                        .orElseGet(() -> why(now, next, darker)),
                rests,
                LightView.of(Light.filter(next.filter())),
                time.inSeconds(),
                print.carried(stood.time()).inSeconds(),
                0,
                null);
    }

    /** Whether both stand in two parts through the same filters. */
    private static boolean isSplitAlike(Rig before, Rig now) {
        return before.exposure().isSplit() && lights(before).equals(lights(now));
    }

    private static List<Light> lights(Rig rig) {
        return rig.exposure().parts().stream().map(BaseExposure.Part::light).toList();
    }

    /** Both parts of a base as they are proposed, each as much longer. */
    private static String parts(Hung print, ExposureTime main) {
        BaseExposure stood = print.before().exposure();
        double factor = main.inSeconds() / stood.main().time().inSeconds();
        return Show.listed(stood.times(factor).parts().stream()
                .map(p -> Show.seconds(p.time().inSeconds()) + " through "
                        + p.light().notation())
                .toList());
    }

    private static String judged(GradeFilter now, NextRecipe next, double darker, String seconds) {
        if (next.filter() == now && darker == 0) {
            return "Nothing to change.";
        }
        return next.filter() == now
                ? "Give " + Show.stops(Stops.of(darker)) + ": " + seconds + "."
                : "Set " + next.filter().written() + ", " + seconds + ".";
    }

    private static String why(GradeFilter now, NextRecipe next, double darker) {
        if (next.filter() == now && darker == 0 && next.gradeShort() == 0) {
            return "Accept this print, or say how the next one should differ.";
        }
        List<String> parts = new ArrayList<>();
        if (next.filter() != now) {
            parts.add(now.written() + " to " + next.filter().written() + ", the light tones stay where they are");
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
