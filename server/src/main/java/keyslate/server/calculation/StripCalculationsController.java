package keyslate.server.calculation;

import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.PatchPick;
import keyslate.core.exposure.StepWedge;
import keyslate.core.exposure.TestSeries;
import keyslate.core.exposure.TimeEvidence;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.NextRecipe;
import keyslate.core.reading.StripReading;
import keyslate.core.test.PieceMarks;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Test strips: planned, read, followed by another. */
@RestController
@RequestMapping("/api/calculations")
class StripCalculationsController {
    private final VariableContrastPaper paper;

    StripCalculationsController(VariableContrastPaper paper) {
        this.paper = paper;
    }

    /** How the patches follow each other. */
    enum Series {
        EQUAL_STOPS,
        EQUAL_SECONDS
    }

    /**
     * A strip about a centre.
     *
     * @param step stops or seconds, as the series has it
     * @param patches 2 to 15
     * @param lagSeconds of the lamp, added to each burst
     * @param timerStepSeconds step of the timer, up to 999.9 s
     */
    record TestStripRequest(
            Series series,
            ExposureTime centreSeconds,
            double step,
            int patches,
            LampLag lagSeconds,
            double timerStepSeconds) {}

    /** A patch: what it receives in all, the burst that ends with it being covered, and how far rounding put it off. */
    record TestPatch(double totalSeconds, double burstSeconds, double errorStops, boolean tooShort) {}

    record TestStripAnswer(List<TestPatch> patches, double totalSetSeconds, List<String> formulas) {}

    @Calculates("Bursts of a strip that is covered patch by patch (EXP-14, EXP-15, EXP-17, EXP-08)")
    @PostMapping("/test-strip")
    TestStripAnswer testStrip(@RequestBody TestStripRequest asked) {
        Given given = new Given();
        ExposureTime centre = asked.centreSeconds();
        LampLag lag = asked.lagSeconds();
        TimerSteps timer = given.of(
                "/timerStepSeconds", () -> TimerSteps.everywhere(asked.timerStepSeconds(), LONGEST_TIMER_SECONDS));
        given.complete();
        List<ExposureTime> totals = asked.series() == Series.EQUAL_STOPS
                ? TestSeries.equalStopsAbout(centre, Stops.of(asked.step()), asked.patches())
                : TestSeries.equalSecondsAbout(centre, asked.step(), asked.patches());
        CoverStrip strip = CoverStrip.plan(totals, timer, lag, CoverStrip.SHORTEST_BURST_SECONDS);
        List<TestPatch> patches = strip.patches().stream()
                .map(p -> new TestPatch(
                        p.total().inSeconds(),
                        p.burst().inSeconds(),
                        p.roundingError().inStops(),
                        p.tooShort()))
                .toList();
        return new TestStripAnswer(patches, strip.totalSetSeconds(), List.of("EXP-14", "EXP-15", "EXP-17", "EXP-08"));
    }

    private static final double LONGEST_TIMER_SECONDS = 999.9;

    /** One exposure under the steps of a wedge. */
    record StepWedgeRequest(ExposureTime seconds, List<Density> densities) {}

    /** What the paper under each step receives. */
    record StepWedgeAnswer(List<Double> seconds, List<String> formulas) {}

    @Calculates("Times under the steps of a wedge (EXP-24)")
    @PostMapping("/step-wedge")
    StepWedgeAnswer stepWedge(@RequestBody StepWedgeRequest asked) {
        Given given = new Given();
        ExposureTime time = asked.seconds();
        List<Density> steps = given.list("/densities", asked.densities());
        given.complete();
        return new StepWedgeAnswer(
                StepWedge.times(time, steps).stream()
                        .map(ExposureTime::inSeconds)
                        .toList(),
                List.of("EXP-24"));
    }

    /** A place on a strip, in patches from the first (0); halves and other parts lie between two. */
    record StripPickRequest(List<ExposureTime> totalsSeconds, PatchPick place) {}

    record StripPickAnswer(double seconds, double uncertaintyStops, List<String> formulas) {}

    @Calculates("The time at a place on a strip (EXP-19, EXP-20)")
    @PostMapping("/strip-pick")
    StripPickAnswer stripPick(@RequestBody StripPickRequest asked) {
        Given given = new Given();
        List<ExposureTime> totals = given.list("/totalsSeconds", asked.totalsSeconds());
        PatchPick pick = asked.place();
        given.complete();
        Given.noteIf(
                pick.toPosition() <= 0 || pick.toPosition() >= totals.size() - 1,
                "The place is an end of the strip: what is looked for may lie beyond it.");
        return new StripPickAnswer(
                pick.timeOn(totals).inSeconds(), pick.uncertaintyOn(totals).inStops(), List.of("EXP-19", "EXP-20"));
    }

    /**
     * Marks as places in patches from the first (0); the black may be left out. The filter is the one the strip was
     * made through.
     */
    record StripReadingRequest(
            GradeFilter filter,
            List<ExposureTime> totalsSeconds,
            PatchPick whitesAt,
            @Nullable PatchPick blacksAt) {}

    /** Steps of stops about a time. */
    record StripPlan(double centreSeconds, double stepStops, int patches) {
        static StripPlan of(CheckStrip strip) {
            return new StripPlan(strip.centre().inSeconds(), strip.step().inStops(), strip.patches());
        }
    }

    /** What to set; the check strip is there when the reading is not sure enough without one. */
    record StripReadingAnswer(
            String filter,
            double seconds,
            double uncertaintyStops,
            @Nullable Double neededIsoRange,
            @Nullable Double blacksLateStops,
            @Nullable StripPlan checkStrip,
            List<String> formulas) {}

    @Calculates("Grade and time from two marks on a strip (REA-12, CON-05, CON-06, EXP-29)")
    @PostMapping("/strip-reading")
    StripReadingAnswer stripReading(@RequestBody StripReadingRequest asked) {
        Given given = new Given();
        GradeFilter filter = asked.filter();
        List<ExposureTime> totals = given.list("/totalsSeconds", asked.totalsSeconds());
        PatchPick whites = asked.whitesAt();
        PatchPick blacks = asked.blacksAt();
        given.complete();
        StripReading reading = StripReading.of(paper, filter, totals, whites, Optional.ofNullable(blacks));
        return new StripReadingAnswer(
                reading.filter().label(),
                reading.time().inSeconds(),
                reading.uncertainty().inStops(),
                reading.outcome().map(o -> o.neededRange()).orElse(null),
                reading.outcome().map(o -> o.blacksLate().inStops()).orElse(null),
                reading.check().map(StripPlan::of).orElse(null),
                List.of("REA-12", "CON-05", "CON-06", "EXP-19", "EXP-20", "EXP-29"));
    }

    /** A reading and how far off it may be. */
    record CheckStripRequest(ExposureTime seconds, Stops uncertaintyStops) {}

    /** No strip when the reading is settled. */
    record CheckStripAnswer(boolean settled, @Nullable StripPlan strip, List<String> formulas) {}

    @Calculates("The strip that settles what a reading leaves open (EXP-29)")
    @PostMapping("/check-strip")
    CheckStripAnswer checkStrip(@RequestBody CheckStripRequest asked) {
        ExposureTime reading = asked.seconds();
        Stops open = asked.uncertaintyStops();
        Optional<CheckStrip> strip = CheckStrip.after(reading, open);
        return new CheckStripAnswer(strip.isEmpty(), strip.map(StripPlan::of).orElse(null), List.of("EXP-29"));
    }

    /**
     * What is seen of a piece of a test.
     *
     * @param way CORNERS or NIPS
     * @param corners upper left, upper right, lower right and lower left as the picture lies upright: WHOLE, CLIPPED or DOUBTFUL; of corners alone
     * @param nips that are there for sure; of nips alone
     * @param maybe nips that might be there beside them; 0 when left out
     * @param pieces how many there are, 2 to 15
     */
    record PieceMarksRequest(
            PieceMarks.Way way,
            @Nullable List<PieceMarks.Seen> corners,
            @Nullable Integer nips,
            @Nullable Integer maybe,
            int pieces) {}

    /** Every piece that it can be, from 1; none where the marks belong to none of them. */
    record PieceMarksAnswer(List<Integer> candidates, List<String> formulas) {}

    @Calculates("The pieces of a test that a marked one can be (EXP-41)")
    @PostMapping("/piece-marks")
    PieceMarksAnswer pieceMarks(@RequestBody PieceMarksRequest asked) {
        Given given = new Given();
        List<PieceMarks.Seen> corners = asked.corners() == null ? List.of() : asked.corners();
        int nips = asked.nips() == null ? 0 : asked.nips();
        int maybe = asked.maybe() == null ? 0 : asked.maybe();
        List<Integer> candidates =
                given.of(asked.way() == PieceMarks.Way.CORNERS ? "/corners" : "/nips", () -> switch (asked.way()) {
                    case CORNERS -> PieceMarks.byCorners(corners, asked.pieces());
                    case NIPS -> PieceMarks.byNips(nips, maybe, asked.pieces());
                    case ORDER -> PieceMarks.byOrder(asked.pieces());
                });
        given.complete();
        return new PieceMarksAnswer(candidates, List.of("EXP-41"));
    }

    /** One reading. */
    record TimeReading(ExposureTime seconds, Stops uncertaintyStops) {}

    record TimeEvidenceRequest(List<TimeReading> readings) {}

    record TimeEvidenceAnswer(double seconds, double uncertaintyStops, List<String> formulas) {}

    @Calculates("Several readings of one time together (EXP-31)")
    @PostMapping("/time-evidence")
    TimeEvidenceAnswer timeEvidence(@RequestBody TimeEvidenceRequest asked) {
        Given given = new Given();
        List<TimeEvidence.Reading> readings = given.each(
                "/readings", asked.readings(), (at, r) -> new TimeEvidence.Reading(r.seconds(), r.uncertaintyStops()));
        given.complete();
        TimeEvidence.Reading both = TimeEvidence.weighed(readings);
        return new TimeEvidenceAnswer(
                both.time().inSeconds(), both.uncertainty().inStops(), List.of("EXP-31"));
    }

    /** What was printed, and how the next print should differ: positive = darker, harder. */
    record NextRecipeRequest(GradeFilter filter, ExposureTime seconds, Stops darkerStops, double harderGrades) {}

    /** {@code gradeShort}: what was asked for beyond 00 or 5. */
    record NextRecipeAnswer(String filter, double seconds, double gradeShort, List<String> formulas) {}

    @Calculates("The next print from what is wrong with this one (REA-03)")
    @PostMapping("/next-recipe")
    NextRecipeAnswer nextRecipe(@RequestBody NextRecipeRequest asked) {
        Given given = new Given();
        GradeFilter filter = asked.filter();
        ExposureTime time = asked.seconds();
        Stops darker = asked.darkerStops();
        double harder = given.number("/harderGrades", asked.harderGrades());
        given.complete();
        NextRecipe next = NextRecipe.after(paper, filter, time, darker, harder);
        Given.noteIf(next.gradeShort() != 0, "The wanted grade is out of reach; the last filter is given.");
        return new NextRecipeAnswer(
                next.filter().label(), next.time().inSeconds(), next.gradeShort(), List.of("REA-03"));
    }
}
