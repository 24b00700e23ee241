package keyslate.server.calculation;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import keyslate.core.contrast.MixedBurn;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.LampLag;
import keyslate.core.local.CarriedWork;
import keyslate.core.local.HandLimits;
import keyslate.core.local.LocalChange;
import keyslate.core.local.MaskChart;
import keyslate.core.local.RunSchedule;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Holding back and burning: changes, hands, schedules, masks. */
@RestController
@RequestMapping("/api/calculations")
class LocalCalculationsController {
    private static final double MOST_MARKS_PER_STOP = 3;

    private final VariableContrastPaper paper;

    LocalCalculationsController(VariableContrastPaper paper) {
        this.paper = paper;
    }

    /** One of stops, percent or signed seconds, on a base. */
    record LocalChangeRequest(
            ExposureTime baseSeconds,
            @Nullable LocalChange changeStops,
            @Nullable Double changePercent,
            @Nullable Double changeSeconds) {}

    /** The same change in all three ways. */
    record LocalChangeAnswer(
            double baseSeconds,
            double changeStops,
            double changePercent,
            double changeSeconds,
            List<String> formulas) {}

    @Calculates("A hold or burn said in one way, answered in all three (LOC-01 to LOC-03)")
    @PostMapping("/local-change")
    LocalChangeAnswer localChange(@RequestBody LocalChangeRequest asked) {
        ExposureTime base = asked.baseSeconds();
        Given given = new Given();
        LocalChange change = change(given, asked, base);
        given.complete();
        return new LocalChangeAnswer(
                base.inSeconds(),
                change.change().inStops(),
                change.toPercent(),
                change.secondsOn(base),
                List.of("LOC-01", "LOC-02", "LOC-03"));
    }

    private static LocalChange change(Given given, LocalChangeRequest asked, ExposureTime base) {
        if (asked.changeStops() != null) {
            return asked.changeStops();
        }
        if (asked.changePercent() != null) {
            return given.of("/changePercent", () -> LocalChange.ofPercent(asked.changePercent()));
        }
        return given.required("/changeSeconds", asked.changeSeconds())
                ? given.of("/changeSeconds", () -> LocalChange.ofSeconds(base, asked.changeSeconds()))
                : null;
    }

    /** A change of one area, negative = held back. */
    record AreaChange(String name, LocalChange changeStops) {}

    /** Areas on a new base; {@code gradeChanged} asks for a person to look again. */
    record CarriedWorkRequest(ExposureTime baseSeconds, List<AreaChange> areas, boolean gradeChanged) {}

    record AreaSeconds(String name, double changeSeconds) {}

    record CarriedWorkAnswer(List<AreaSeconds> areas, boolean review, List<String> formulas) {}

    @Calculates("Local work on another base exposure: stops stay, seconds follow (LOC-14)")
    @PostMapping("/carried-work")
    CarriedWorkAnswer carriedWork(@RequestBody CarriedWorkRequest asked) {
        Given given = new Given();
        ExposureTime base = asked.baseSeconds();
        Map<String, LocalChange> areas = areas(given, asked.areas());
        given.complete();
        CarriedWork work = CarriedWork.onto(base, areas, asked.gradeChanged());
        List<AreaSeconds> seconds = work.seconds().entrySet().stream()
                .map(e -> new AreaSeconds(e.getKey(), e.getValue()))
                .toList();
        return new CarriedWorkAnswer(seconds, work.review(), List.of("LOC-14"));
    }

    private static Map<String, LocalChange> areas(Given given, List<AreaChange> asked) {
        Map<String, LocalChange> areas = new LinkedHashMap<>();
        given.each("/areas", asked, (at, a) -> {
            if (areas.put(a.name(), a.changeStops()) != null) {
                given.refuse(at + "/name", "E_SHAPE", "Two areas have this name.");
            }
            return a;
        });
        return areas;
    }

    /** A hold on a base; limits are the hand's own, 2 s and 0.8 of the base when they are left out. */
    record HoldRequest(
            ExposureTime baseSeconds,
            LocalChange changeStops,
            int marksPerStop,
            @Nullable ExposureTime shortestSeconds,
            @Nullable Double largestFraction) {}

    /** {@code stopDownStops}: how far to close the lens so that the hold becomes long enough. */
    record HoldAnswer(
            double holdSeconds,
            double fraction,
            boolean longEnough,
            boolean fractionFits,
            double stopDownStops,
            List<String> formulas) {}

    @Calculates("Whether a hold can be done by hand (LOC-04)")
    @PostMapping("/hold")
    HoldAnswer hold(@RequestBody HoldRequest asked) {
        Given given = new Given();
        ExposureTime base = asked.baseSeconds();
        LocalChange change = asked.changeStops();
        given.within("/marksPerStop", asked.marksPerStop(), 1, MOST_MARKS_PER_STOP);
        ExposureTime shortest =
                asked.shortestSeconds() == null ? HandLimits.DEFAULT.shortestHold() : asked.shortestSeconds();
        double largest = asked.largestFraction() == null
                ? HandLimits.DEFAULT.largestFraction()
                : given.within("/largestFraction", asked.largestFraction(), 0, 1);
        given.complete();
        HandLimits.Feasibility found = new HandLimits(shortest, largest).check(base, change, asked.marksPerStop());
        return new HoldAnswer(
                found.holdSeconds(),
                found.fraction(),
                found.longEnough(),
                found.fractionFits(),
                found.stopDown().inStops(),
                List.of("LOC-04"));
    }

    /** A tool between lens and paper; height above the paper, or the soft edge that is wanted. */
    record ToolShadowRequest(
            Length exitPupilMm,
            Length lensToPaperMm,
            @Nullable Double heightMm,
            @Nullable Double softEdgeMm) {}

    /** {@code scale}: how much larger than the tool its shadow is. */
    record ToolShadowAnswer(double heightMm, double softEdgeMm, double scale, List<String> formulas) {}

    @Calculates("Soft edge and size of a tool's shadow, or the height for a soft edge (LOC-05 to LOC-07)")
    @PostMapping("/tool-shadow")
    ToolShadowAnswer toolShadow(@RequestBody ToolShadowRequest asked) {
        Given given = new Given();
        Length pupil = asked.exitPupilMm();
        Length distance = asked.lensToPaperMm();
        boolean byHeight = asked.heightMm() != null;
        if (!byHeight) {
            given.required("/softEdgeMm", asked.softEdgeMm());
        }
        Length told = byHeight
                ? given.of("/heightMm", () -> Length.ofMm(asked.heightMm()))
                : asked.softEdgeMm() == null ? null : given.of("/softEdgeMm", () -> Length.ofMm(asked.softEdgeMm()));
        given.complete();
        Length height = byHeight ? told : HandLimits.heightFor(pupil, distance, told);
        return new ToolShadowAnswer(
                height.inMm(),
                HandLimits.penumbra(pupil, distance, height).inMm(),
                HandLimits.shadowScale(distance, height),
                List.of("LOC-05", "LOC-06", "LOC-07"));
    }

    /**
     * A burn of an area, at the base's grade or at one of its own (−1 to 5), which takes the time factor of the two
     * grades at a mid tone (R39).
     */
    record AreaBurn(
            String name, LocalChange changeStops, @Nullable Grade grade) {}

    /** Holds have negative stops, burns positive; tools 1 or 2, one for each hand. */
    record ScheduleRequest(
            ExposureTime baseSeconds,
            @Nullable Grade baseGrade,
            @Nullable List<AreaChange> holds,
            @Nullable List<AreaBurn> burns,
            int tools,
            LampLag lagSeconds) {}

    /** A burst of the base with what is held back during it. */
    record ScheduleSegment(double setSeconds, double receivedSeconds, List<String> held) {}

    record ScheduleBurn(String name, @Nullable Double grade, double setSeconds, double receivedSeconds) {}

    record ScheduleAnswer(
            List<ScheduleSegment> segments, List<ScheduleBurn> burns, double totalSetSeconds, List<String> formulas) {}

    @Calculates("Bursts of a base exposure with holds and burns for two hands (LOC-08)")
    @PostMapping("/local-schedule")
    ScheduleAnswer localSchedule(@RequestBody ScheduleRequest asked) {
        Given given = new Given();
        ExposureTime base = asked.baseSeconds();
        LampLag lag = asked.lagSeconds();
        List<RunSchedule.Hold> holds =
                given.eachOrNone("/holds", asked.holds(), (at, h) -> new RunSchedule.Hold(h.name(), h.changeStops()));
        Grade baseGrade = asked.baseGrade();
        List<RunSchedule.Burn> burns = given.eachOrNone("/burns", asked.burns(), (at, b) -> {
            if (b.grade() == null) {
                return RunSchedule.Burn.atBase(b.name(), b.changeStops());
            }
            return !given.required("/baseGrade", baseGrade)
                    ? null
                    : new RunSchedule.Burn(
                            b.name(),
                            b.changeStops(),
                            Optional.of(b.grade()),
                            paper.pivotFactor(baseGrade, b.grade(), VariableContrastPaper.SPEED_NET));
        });
        given.complete();
        RunSchedule plan = RunSchedule.plan(base, holds, burns, asked.tools(), lag);
        return new ScheduleAnswer(
                plan.segments().stream()
                        .map(s -> new ScheduleSegment(s.set().inSeconds(), s.receivedSeconds(), s.held()))
                        .toList(),
                plan.burns().stream()
                        .map(b -> new ScheduleBurn(
                                b.area(),
                                b.grade().map(Grade::onScale).orElse(null),
                                b.set().inSeconds(),
                                b.receivedSeconds()))
                        .toList(),
                plan.totalSetSeconds(),
                List.of("LOC-08"));
    }

    /** A tone of the negative over the base; the burn is meant in stops at the base's grade and given at another. */
    record MixedBurnRequest(
            Grade baseGrade, ExposureTime baseSeconds, double negativeDensity, Stops changeStops, Grade burnGrade) {}

    /** {@code effectiveStops}: what the burst is worth against the base's time at the burn's grade. */
    record MixedBurnAnswer(
            double seconds,
            double printDensity,
            double sameGradeSeconds,
            double effectiveStops,
            List<String> formulas) {}

    @Calculates("A burn given at another grade (CON-16)")
    @PostMapping("/mixed-burn")
    MixedBurnAnswer mixedBurn(@RequestBody MixedBurnRequest asked) {
        Grade base = asked.baseGrade();
        ExposureTime time = asked.baseSeconds();
        Stops change = asked.changeStops();
        Grade burn = asked.burnGrade();
        MixedBurn.Burn found = new MixedBurn(paper).of(base, time, asked.negativeDensity(), change, burn);
        return new MixedBurnAnswer(
                found.seconds(),
                found.targetDensity(),
                found.sameGradeSeconds(),
                found.effective().inStops(),
                List.of("CON-16"));
    }

    /** One patch of a printed chart. */
    record ChartPatch(double opacityPercent, double density) {}

    /** A chart of clear film as it was measured, and the plan it is to carry out. */
    record MaskPlanRequest(
            List<ChartPatch> chart, ExposureTime baseSeconds, List<AreaChange> areas, Stops diffuserLossStops) {}

    record AreaOpacity(String name, double opacityPercent) {}

    record MaskPlanAnswer(
            List<AreaOpacity> areas,
            double backgroundPercent,
            double seconds,
            double clearFilmStops,
            List<String> formulas) {}

    @Calculates("Opacities of a clear-film mask for a local plan (LOC-10, LOC-11)")
    @PostMapping("/mask-plan")
    MaskPlanAnswer maskPlan(@RequestBody MaskPlanRequest asked) {
        Given given = new Given();
        List<double[]> chart = given.each("/chart", asked.chart(), (at, p) ->
                new double[] {Check.finite("opacity", p.opacityPercent()), Check.finite("density", p.density())});
        ExposureTime base = asked.baseSeconds();
        Map<String, LocalChange> areas = areas(given, asked.areas());
        Stops diffuser = asked.diffuserLossStops();
        given.complete();
        MaskChart measured = MaskChart.measured(
                chart.stream().mapToDouble(p -> p[0]).toArray(),
                chart.stream().mapToDouble(p -> p[1]).toArray());
        MaskChart.Plan plan = measured.plan(areas, base, diffuser);
        return new MaskPlanAnswer(
                plan.opacityOf().entrySet().stream()
                        .map(e -> new AreaOpacity(e.getKey(), e.getValue()))
                        .toList(),
                plan.background(),
                plan.time().inSeconds(),
                measured.baseLoss().inStops(),
                List.of("LOC-10", "LOC-11"));
    }

    /** A printer's resolution, and what a nominal length came out as. */
    record MaskScaleRequest(
            double lengthMm, double dotsPerInch, double currentScale, double nominalMm, double measuredMm) {}

    record MaskScaleAnswer(double pixels, double scale, List<String> formulas) {}

    @Calculates("Pixels of a length, and the scale that makes a printer print to size (LOC-12, LOC-13)")
    @PostMapping("/mask-scale")
    MaskScaleAnswer maskScale(@RequestBody MaskScaleRequest asked) {
        return new MaskScaleAnswer(
                MaskChart.pixels(asked.lengthMm(), asked.dotsPerInch()),
                MaskChart.scale(asked.currentScale(), asked.nominalMm(), asked.measuredMm()),
                List.of("LOC-12", "LOC-13"));
    }
}
