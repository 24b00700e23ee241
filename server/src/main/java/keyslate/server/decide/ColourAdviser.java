package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.PatchPick;
import keyslate.core.medium.Colour;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.decide.DecisionViews.Wishes;
import keyslate.server.rig.LightView;
import keyslate.server.web.FieldErrors;
import keyslate.store.json.Seen;
import org.springframework.stereotype.Component;

/** Colour paper: time by the patch of the right density; the pack is judged at Colour. */
@Component
class ColourAdviser implements Adviser {
    private static final double AT_AN_END = 2;

    @Override
    public String mediumId() {
        return Colour.ID;
    }

    @Override
    public Seen seen(Marks marks) {
        return Readings.seen(marks, null, marks.rightAt(), null);
    }

    private record Read(ExposureTime time, Stops uncertainty) {}

    private static Read read(Hung strip, Marks marks) {
        List<ExposureTime> totals = Readings.totals(strip);
        FieldErrors errors = new FieldErrors();
        if (marks.rightAt() == null) {
            errors.add("/marks/rightAt", "E_SHAPE", "Mark the patch that has the right density first.");
        }
        Optional<PatchPick> mark = Readings.mark(errors, "/marks/rightAt", marks.rightAt(), totals);
        errors.throwIfAny();
        PatchPick pick = mark.orElseThrow();
        boolean atAnEnd = pick.weight() == 0 && (pick.index() == 0 || pick.index() == totals.size() - 1);
        Stops half = pick.uncertaintyOn(totals);
        return new Read(pick.timeOn(totals), atAnEnd ? half.times(AT_AN_END) : half);
    }

    @Override
    public Optional<CheckStrip> check(Hung strip, Marks marks) {
        Read read = read(strip, marks);
        return CheckStrip.after(read.time(), read.uncertainty());
    }

    @Override
    public VerdictView reading(Hung strip, Marks marks) {
        Read read = read(strip, marks);
        ExposureTime carried = strip.carried(read.time());
        ExposureTime time = carried.times(strip.now()
                .medium()
                .core()
                .timeFactor(strip.before().light(), strip.now().light()));
        List<String> rests = new ArrayList<>();
        rests.add("Right density at " + Show.seconds(read.time().inSeconds()) + ", your mark, ± "
                + Show.stopsApart(read.uncertainty()) + ".");
        rests.addAll(Readings.tones(strip));
        if (!carried.equals(read.time())) {
            rests.add("Carried to the size and opening that stand now: " + Show.seconds(carried.inSeconds()) + ".");
        }
        if (!time.equals(carried)) {
            rests.add("Carried from " + strip.before().light().notation() + " to "
                    + strip.now().light().notation() + ", as dark (COL-04): " + Show.seconds(time.inSeconds()) + ".");
        }
        Optional<CheckStrip> check = CheckStrip.after(read.time(), read.uncertainty());
        return new VerdictView(
                "Set " + Show.seconds(time.inSeconds()) + " at "
                        + strip.now().light().notation() + ".",
                "The density is right there. Look at its colour next: a cast is judged on the patch of the right density.",
                rests,
                LightView.of(strip.now().light()),
                time.inSeconds(),
                time.inSeconds(),
                read.uncertainty().inStops(),
                check.map(Readings::check).orElse(null));
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
                        : "Give " + Show.stops(Stops.of(darker)) + ": " + Show.seconds(time.inSeconds()) + ".",
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
