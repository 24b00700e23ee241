package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.PatchPick;
import keyslate.core.light.Light;
import keyslate.core.medium.Colour;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.PackedLights;
import keyslate.core.reading.SlateEvidence;
import keyslate.core.reading.SlateEvidence.Tone;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.decide.DecisionViews.Wishes;
import keyslate.server.rig.LightView;
import keyslate.server.test.CheckPlan;
import keyslate.server.web.FieldErrors;
import keyslate.store.json.Look;
import keyslate.store.json.Seen;
import org.springframework.stereotype.Component;

/** Colour paper: time by the patch of the right density; the pack is judged at Colour. */
@Component
class ColourAdviser implements Adviser {
    @Override
    public String mediumId() {
        return Colour.ID;
    }

    @Override
    public Seen seen(Marks marks) {
        return Readings.seen(marks, null, marks.rightAt(), null);
    }

    /** What all readings of the slate say together, through the pack that stands; what earlier packs cost counts, even where the time is not to follow. */
    private static SlateEvidence.Estimate read(Hung strip, Evidence evidence) {
        Light now = strip.now().light();
        PackedLights.Factor factor = strip.now().medium().core() instanceof Colour colour
                ? colour::asDark
                : strip.now().medium().core()::timeFactor;
        PackedLights lights = new PackedLights(now, factor);
        return SlateEvidence.of(evidence.all(), lights, strip.now().knownLag().limit(), now)
                .time(Tone.MIDDLE, now)
                .orElseThrow();
    }

    private static Evidence evidence(Hung strip, Marks marks) {
        List<ExposureTime> totals = Readings.totals(strip);
        FieldErrors errors = new FieldErrors();
        if (totals.size() == 1 && marks.moreStops() == null) {
            errors.add("/marks/moreStops", "E_SHAPE", Readings.HOW_MUCH_MORE);
        }
        if (totals.size() > 1 && marks.rightAt() == null) {
            errors.add("/marks/rightAt", "E_SHAPE", "Mark the patch that has the right density first.");
        }
        Readings.mark(errors, "/marks/rightAt", marks.rightAt(), totals);
        Readings.stops(errors, "/marks/moreStops", marks.moreStops());
        errors.throwIfAny();
        return Evidence.of(strip, marks, Tone.MIDDLE, false);
    }

    @Override
    public Optional<CheckPlan> check(Hung strip, Marks marks) {
        return Beyond.of(strip, marks).or(() -> settling(read(strip, evidence(strip, marks))));
    }

    private static Optional<CheckPlan> settling(SlateEvidence.Estimate read) {
        return CheckStrip.after(read.time(), read.toSettle()).map(CheckPlan::inOneRow);
    }

    @Override
    public VerdictView reading(Hung strip, Marks marks) {
        Optional<VerdictView> other = ByPieces.verdict(strip, marks).or(() -> Beyond.verdict(strip, marks));
        if (other.isPresent()) {
            return other.get();
        }
        Evidence evidence = evidence(strip, marks);
        SlateEvidence.Estimate read = read(strip, evidence);
        List<ExposureTime> totals = Readings.totals(strip);
        List<String> rests = new ArrayList<>();
        Readings.said(
                rests, "Right density at ", marks.rightAt(), SeveralLooks.of(marks.looks(), Look::rightAt), totals);
        Readings.needs(rests, strip, marks);
        rests.addAll(Readings.tones(strip));
        ExposureTime own = evidence.own(Tone.MIDDLE).orElseThrow().time();
        ExposureTime here = marks.rightAt() == null
                ? own
                : PatchPick.ofPosition(marks.rightAt()).timeOn(totals);
        if (Math.abs(own.stopsFrom(here).inStops()) > 0.01) {
            rests.add("Carried to the size and opening that stand now: " + Show.seconds(own.inSeconds()) + ".");
        }
        if (!strip.before().light().equals(strip.now().light())) {
            rests.add("Carried from " + strip.before().light().notation() + " to "
                    + strip.now().light().notation() + ", as dark (COL-04): "
                    + Show.seconds(read.time().inSeconds()) + ".");
        }
        rests.addAll(evidence.saysOf(Tone.MIDDLE));
        rests.add(Readings.together(read));
        return new VerdictView(
                "Set " + strip.now().timeInWords(strip.now().light(), read.time()) + " at "
                        + strip.now().light().notation() + ".",
                "The density is right there. Look at its colour next: a cast is judged on the patch of the right density.",
                rests,
                LightView.of(strip.now().light()),
                read.time().inSeconds(),
                read.time().inSeconds(),
                read.limit().inStops(),
                settling(read).map(Readings::check).orElse(null));
    }

    @Override
    public VerdictView judgement(Hung print, Wishes wishes) {
        FieldErrors errors = new FieldErrors();
        double darker = Readings.stops(errors, "/wishes/darkerStops", wishes.darkerStops());
        if (wishes.harderGrades() != null && wishes.harderGrades() != 0) {
            errors.add("/wishes/harderGrades", "E_INFEASIBLE", "Colour paper has one contrast.");
        }
        errors.throwIfAny();
        ExposureTime same = print.carried(print.before().base());
        ExposureTime time = same.plus(Stops.of(darker));
        List<String> rests = new ArrayList<>();
        rests.add(
                print.view().label() + ": " + Show.seconds(print.before().base().inSeconds()) + " at "
                        + print.before().light().notation() + ", on record.");
        if (darker != 0) {
            rests.add((darker > 0 ? "Darker by " : "Lighter by ") + Show.stopsApart(Stops.of(darker))
                    + ", your judgement.");
        }
        return new VerdictView(
                darker == 0
                        ? "Nothing to change."
                        : "Give " + Show.stops(Stops.of(darker)) + ": "
                                + print.onItsPaper().timeInWords(print.before().light(), time) + ".",
                darker == 0
                        ? "Accept this print, say how the next one should differ, or judge its colour at Colour."
                        : "The whole print " + (darker > 0 ? "darker by " : "lighter by ")
                                + Show.stopsApart(Stops.of(darker))
                                + ". The pack stays; holds and burns keep their stops.",
                rests,
                LightView.of(print.before().light()),
                time.inSeconds(),
                same.inSeconds(),
                0,
                null);
    }
}
