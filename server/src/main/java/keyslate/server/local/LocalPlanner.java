package keyslate.server.local;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.local.HandLimits;
import keyslate.core.local.LocalChange;
import keyslate.core.local.RunSchedule;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.server.Show;
import keyslate.server.slate.Rig;
import keyslate.server.slate.SlateViews.AreaTimeView;
import keyslate.server.slate.SlateViews.LocalPlanView;
import keyslate.server.slate.SlateViews.ScriptStepView;
import keyslate.server.slate.SlateViews.StopDownView;
import keyslate.store.slate.Area;
import org.jspecify.annotations.Nullable;

/** The local plan of a recipe: times, script, and whether two hands can do it. */
public final class LocalPlanner {
    private static final int HANDS = 2;
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final double NO_CHANGE_STOPS = 1e-9;

    private LocalPlanner() {}

    /** The plan with its script; a problem instead of a script when the holds do not fit. */
    public static LocalPlanView plan(Rig rig) {
        List<AreaTimeView> areas =
                rig.recipe().areas().stream().map(a -> time(rig, a)).toList();
        try {
            List<ScriptStepView> script = script(rig);
            double total =
                    script.stream().mapToDouble(ScriptStepView::setSeconds).sum();
            return new LocalPlanView(areas, script, Math.rint(total * 10) / 10, null, stopDown(rig));
        } catch (QuantityException e) {
            return new LocalPlanView(areas, List.of(), 0, sentence(e.getMessage()), stopDown(rig));
        }
    }

    /**
     * The bursts of a whole sheet: the base in pieces, then the burns; keys of areas in held and burned. Set times are
     * what the timer can be set to, received times what the paper gets from them.
     */
    public static List<ScriptStepView> script(Rig rig) {
        List<RunSchedule.Hold> holds = new ArrayList<>();
        List<RunSchedule.Burn> burns = new ArrayList<>();
        for (Area area : rig.recipe().areas()) {
            LocalChange change = LocalChange.ofStops(area.changeStops());
            if (area.changeStops() < -NO_CHANGE_STOPS) {
                holds.add(new RunSchedule.Hold(area.areaKey(), change));
            } else if (area.changeStops() > NO_CHANGE_STOPS) {
                burns.add(burn(rig, area, change));
            }
        }
        RunSchedule schedule = RunSchedule.plan(rig.base(), holds, burns, HANDS, rig.lag());
        List<ScriptStepView> steps = new ArrayList<>();
        for (RunSchedule.Segment s : schedule.segments()) {
            steps.add(step(rig, steps.size() + 1, "BASE", rig.filter(), s.set(), s.held(), null));
        }
        for (RunSchedule.BurnStep b : schedule.burns()) {
            GradeFilter filter = b.grade().map(GradeFilter::nearest).orElse(rig.filter());
            steps.add(step(rig, steps.size() + 1, "BURN", filter, b.set(), List.of(), b.area()));
        }
        return steps;
    }

    /** The same script with names instead of keys, for showing. */
    public static List<ScriptStepView> named(List<ScriptStepView> script, List<Area> areas) {
        Map<String, String> names = areas.stream().collect(Collectors.toMap(Area::areaKey, Area::name, (a, b) -> a));
        return script.stream()
                .map(s -> new ScriptStepView(
                        s.place(),
                        s.kind(),
                        s.filter(),
                        s.setSeconds(),
                        s.receivedSeconds(),
                        s.patch(),
                        s.patchTotalSeconds(),
                        s.held().stream().map(k -> names.getOrDefault(k, k)).toList(),
                        s.burned() == null ? null : names.getOrDefault(s.burned(), s.burned())))
                .toList();
    }

    /** A burn in another light takes the time factor of the two filters at a mid tone (R39). */
    private static RunSchedule.Burn burn(Rig rig, Area area, LocalChange change) {
        GradeFilter filter = area.filter() == null ? rig.filter() : GradeFilter.ofLabel(area.filter());
        if (filter == rig.filter()) {
            return RunSchedule.Burn.atBase(area.areaKey(), change);
        }
        double factor = PAPER.pivotFactor(rig.filter().grade(), filter.grade(), VariableContrastPaper.SPEED_NET);
        return new RunSchedule.Burn(area.areaKey(), change, Optional.of(filter.grade()), factor);
    }

    private static ScriptStepView step(
            Rig rig,
            int place,
            String kind,
            GradeFilter filter,
            ExposureTime set,
            List<String> held,
            @Nullable String burned) {
        ExposureTime onTimer = TimerSteps.tenths().nearest(set).time();
        return new ScriptStepView(
                place,
                kind,
                filter.label(),
                onTimer.inSeconds(),
                rig.lag().receivedSeconds(onTimer),
                null,
                null,
                held,
                burned);
    }

    private static AreaTimeView time(Rig rig, Area area) {
        LocalChange change = LocalChange.ofStops(area.changeStops());
        double seconds = change.secondsOn(rig.base());
        String note = "";
        boolean workable = true;
        if (change.isHold()) {
            HandLimits.Feasibility found =
                    HandLimits.DEFAULT.check(rig.base(), change, rig.lens().marksPerStop());
            workable = found.longEnough() && found.fractionFits();
            if (!found.longEnough()) {
                note = "too short for a hand";
            } else if (!found.fractionFits()) {
                note = "over 80 % of the base";
            }
        } else if (change.isBurn() && area.filter() != null) {
            note = "at grade " + area.filter();
        }
        return new AreaTimeView(area.areaKey(), area.changeStops(), seconds, change.toPercent(), workable, note);
    }

    private static @Nullable StopDownView stopDown(Rig rig) {
        int marks = rig.lens().marksPerStop();
        Stops most = rig.recipe().areas().stream()
                .filter(a -> a.changeStops() < 0)
                .map(a -> HandLimits.DEFAULT
                        .check(rig.base(), LocalChange.ofStops(a.changeStops()), marks)
                        .stopDown())
                .max(Stops::compareTo)
                .orElse(Stops.ZERO);
        if (most.inStops() <= 0) {
            return null;
        }
        FNumber now = rig.aperture().trueNumber();
        FNumber wanted = FNumber.of(now.inFStops() * Math.sqrt(most.toFactor()));
        double limit = Math.min(
                wanted.inFStops(),
                ApertureMark.ofEngraved(rig.lens().smallestMark(), marks)
                        .trueNumber()
                        .inFStops());
        ApertureMark mark = ApertureMark.nearest(FNumber.of(limit), marks);
        if (mark.trueNumber().inFStops() <= now.inFStops() * 1.01) {
            return null;
        }
        ExposureTime base = ApertureTrade.timeAt(rig.base(), now, mark.trueNumber());
        ExposureTime set = TimerSteps.tenths().nearest(base).time();
        double shortest = rig.recipe().areas().stream()
                .filter(a -> a.changeStops() < 0)
                .mapToDouble(a -> -LocalChange.ofStops(a.changeStops()).secondsOn(base))
                .min()
                .orElse(0);
        return new StopDownView(
                "A hold is too short for a hand.",
                "Stop down to " + Show.aperture(mark.engraved()) + ": the base becomes " + Show.seconds(set.inSeconds())
                        + " and the shortest hold " + Show.seconds(shortest) + ".",
                mark.engraved(),
                set.inSeconds());
    }

    private static String sentence(String message) {
        return Character.toUpperCase(message.charAt(0)) + message.substring(1) + ".";
    }
}
