package keyslate.server.calculation;

import java.util.List;
import keyslate.core.contrast.ColourHead;
import keyslate.core.contrast.ColourMask;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.GradeScale;
import keyslate.core.contrast.SchoolFactors;
import keyslate.core.contrast.SplitExposure;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Grades, heads and split exposures on variable-contrast paper. Grades stand on a scale from −1 (filter 00) to 5. */
@RestController
@RequestMapping("/api/calculations")
class ContrastCalculationsController {
    private static final double LEAST_LOG = -6;
    private static final double MOST_LOG = 6;
    private static final Grade SOFTEST = Grade.of(-1);
    private static final Grade HARDEST = Grade.of(5);

    private final VariableContrastPaper paper;

    ContrastCalculationsController(VariableContrastPaper paper) {
        this.paper = paper;
    }

    /** Log exposure time in the paper's own unit: about −0.3 gives net 0.6 up to grade 3½. */
    record PaperToneRequest(Grade grade, double logTime) {}

    record PaperToneAnswer(
            double isoRange, double ratioLog, double netDensity, double printDensity, List<String> formulas) {}

    @Calculates("ISO range of a grade, and the tone of an exposure at it (CON-01 to CON-04)")
    @PostMapping("/paper-tone")
    PaperToneAnswer paperTone(@RequestBody PaperToneRequest asked) {
        Given given = new Given();
        Grade grade = asked.grade();
        double log = given.within("/logTime", asked.logTime(), LEAST_LOG, MOST_LOG);
        given.complete();
        FilterLight light = paper.lightAt(grade);
        double net = paper.netDensityAtGrade(grade, log);
        return new PaperToneAnswer(
                GradeScale.isoRangeOf(grade),
                light.ratio(),
                net,
                net + VariableContrastPaper.PAPER_WHITE,
                List.of("CON-01", "CON-02", "CON-03", "CON-04"));
    }

    /** Times read off one strip made through {@code filter}. */
    record GradeAdviceRequest(GradeFilter filter, ExposureTime whitesSeconds, ExposureTime blacksSeconds) {}

    /** {@code reached} false: no filter reaches it, the nearest is named. */
    record GradeAdviceAnswer(
            String filter,
            double seconds,
            boolean reached,
            @Nullable Double exactGrade,
            double neededIsoRange,
            double blacksLateStops,
            List<String> formulas) {}

    @Calculates("The grade that two times on one strip ask for (CON-05, CON-06)")
    @PostMapping("/grade-advice")
    GradeAdviceAnswer gradeAdvice(@RequestBody GradeAdviceRequest asked) {
        GradeFilter filter = asked.filter();
        ExposureTime whites = asked.whitesSeconds();
        ExposureTime blacks = asked.blacksSeconds();
        GradeAdvice.Outcome outcome = GradeAdvice.fromStrip(paper, filter, whites, blacks);
        Double exact = outcome instanceof GradeAdvice.Reached r ? r.exactGrade().onScale() : null;
        Given.noteIf(exact == null, "No filter reaches it; the nearest one is given.");
        return new GradeAdviceAnswer(
                outcome.filter().label(),
                outcome.time().inSeconds(),
                exact != null,
                exact,
                outcome.neededRange(),
                outcome.blacksLate().inStops(),
                List.of("CON-05", "CON-06"));
    }

    /** The tone of {@code heldNetDensity} (above paper white) stays where it is. */
    record GradeChangeRequest(ExposureTime seconds, Grade fromGrade, Grade toGrade, double heldNetDensity) {}

    /** {@code schoolSeconds}: by the two school tables. */
    record GradeChangeAnswer(
            double seconds,
            double factor,
            double schoolDoubleFromFourSeconds,
            double schoolDoublePerGradeSeconds,
            List<String> formulas) {}

    @Calculates("The time at another grade, a tone held (CON-05; schools CON-12)")
    @PostMapping("/grade-change")
    GradeChangeAnswer gradeChange(@RequestBody GradeChangeRequest asked) {
        ExposureTime time = asked.seconds();
        Grade from = asked.fromGrade();
        Grade to = asked.toGrade();
        double factor = paper.pivotFactor(from, to, asked.heldNetDensity());
        return new GradeChangeAnswer(
                time.times(factor).inSeconds(),
                factor,
                time.times(SchoolFactors.DOUBLE_FROM_4.factor(from, to)).inSeconds(),
                time.times(SchoolFactors.DOUBLE_PER_GRADE_FROM_3.factor(from, to))
                        .inSeconds(),
                List.of("CON-05", "CON-12"));
    }

    /**
     * One filter alone, or both so that every grade takes {@code slowerLog} (log10 of a factor) more time than white
     * light.
     */
    record ColourHeadRequest(Grade grade, @Nullable Double slowerLog) {}

    /** True points, 0 to 130. */
    record ColourHeadAnswer(double yellowPoints, double magentaPoints, double timeFactor, List<String> formulas) {}

    @Calculates("A grade on a colour head (CON-13 to CON-15)")
    @PostMapping("/colour-head")
    ColourHeadAnswer colourHead(@RequestBody ColourHeadRequest asked) {
        Grade grade = asked.grade();
        ColourHead head = new ColourHead(paper);
        ColourHead.Setting set = asked.slowerLog() == null ? head.single(grade) : head.dual(grade, asked.slowerLog());
        return new ColourHeadAnswer(
                set.yellow(), set.magenta(), set.timeFactor(), List.of("CON-13", "CON-14", "CON-15"));
    }

    /** What stands on a colour head. */
    record HeadLightRequest(double yellowPoints, double magentaPoints) {}

    /** No grade where the range lies beyond the scale. */
    record HeadLightAnswer(
            double isoRange,
            double ratioLog,
            double timeFactor,
            @Nullable Double grade,
            List<String> formulas) {}

    @Calculates("The grade that a colour head's setting gives (CON-13)")
    @PostMapping("/head-light")
    HeadLightAnswer headLight(@RequestBody HeadLightRequest asked) {
        ColourHead.Light light = new ColourHead(paper).lightOf(asked.yellowPoints(), asked.magentaPoints());
        Double grade = GradeScale.reaches(light.isoRange())
                ? GradeScale.gradeOf(light.isoRange()).onScale()
                : null;
        return new HeadLightAnswer(light.isoRange(), light.ratio(), light.timeFactor(), grade, List.of("CON-13"));
    }

    /** A grade and time as a split between a soft and a hard filter, −1 and 5 when they are left out. */
    record SplitRequest(
            Grade grade,
            ExposureTime seconds,
            @Nullable Grade softGrade,
            @Nullable Grade hardGrade) {}

    record SplitAnswer(double softSeconds, double hardSeconds, List<String> formulas) {}

    @Calculates("A grade and time as a split exposure (CON-09)")
    @PostMapping("/split")
    SplitAnswer split(@RequestBody SplitRequest asked) {
        Given given = new Given();
        Grade grade = asked.grade();
        ExposureTime time = asked.seconds();
        SplitExposure split = split(given, asked.softGrade(), asked.hardGrade());
        SplitExposure.Pair pair = split.of(grade, time);
        return new SplitAnswer(pair.softSeconds(), pair.hardSeconds(), List.of("CON-09"));
    }

    /** Reads the two filters and refuses everything that was wrong so far. */
    private SplitExposure split(Given given, @Nullable Grade softGrade, @Nullable Grade hardGrade) {
        Grade soft = softGrade == null ? SOFTEST : softGrade;
        Grade hard = hardGrade == null ? HARDEST : hardGrade;
        given.of("/hardGrade", () -> {
            Check.positive("hard grade less soft grade", hard.onScale() - soft.onScale(), "");
            return hard;
        });
        given.complete();
        return new SplitExposure(paper, soft, hard);
    }

    /** Two times, either may be 0. */
    record SplitWorthRequest(
            double softSeconds,
            double hardSeconds,
            @Nullable Grade softGrade,
            @Nullable Grade hardGrade) {}

    record SplitWorthAnswer(double grade, double isoRange, double seconds, List<String> formulas) {}

    @Calculates("The grade and time that a split exposure is worth (CON-08)")
    @PostMapping("/split-worth")
    SplitWorthAnswer splitWorth(@RequestBody SplitWorthRequest asked) {
        SplitExposure split = split(new Given(), asked.softGrade(), asked.hardGrade());
        SplitExposure.Single worth = split.equivalent(asked.softSeconds(), asked.hardSeconds());
        return new SplitWorthAnswer(
                worth.grade().onScale(), worth.isoRange(), worth.time().inSeconds(), List.of("CON-08"));
    }

    /** Densities of two tones of the negative, and what they are to print as (paper white included). */
    record SplitSearchRequest(
            SplitExposure.School school,
            Density highlightNegative,
            Density shadowNegative,
            double highlightPrint,
            double shadowPrint,
            @Nullable Grade softGrade,
            @Nullable Grade hardGrade) {}

    /** Errors: print density that comes out above what was wanted. */
    record SplitSearchAnswer(
            double softSeconds, double hardSeconds, double highlightError, double shadowError, List<String> formulas) {}

    @Calculates("A split exposure for two tones, by three schools (CON-11)")
    @PostMapping("/split-search")
    SplitSearchAnswer splitSearch(@RequestBody SplitSearchRequest asked) {
        Given given = new Given();
        Density highlight = asked.highlightNegative();
        Density shadow = asked.shadowNegative();
        SplitExposure split = split(given, asked.softGrade(), asked.hardGrade());
        SplitExposure.Found found =
                split.find(asked.school(), highlight, shadow, asked.highlightPrint(), asked.shadowPrint());
        return new SplitSearchAnswer(
                found.pair().softSeconds(),
                found.pair().hardSeconds(),
                found.highlightError(),
                found.shadowError(),
                List.of("CON-11"));
    }

    /** Densities of dye over an area of a mask. */
    record ColourMaskRequest(Grade grade, double yellowDensity, double magentaDensity) {}

    record ColourMaskAnswer(double isoRange, @Nullable Double grade, double lostStops, List<String> formulas) {}

    @Calculates("What yellow or magenta in a mask does to the grade under it (CON-17)")
    @PostMapping("/colour-mask")
    ColourMaskAnswer colourMask(@RequestBody ColourMaskRequest asked) {
        Grade grade = asked.grade();
        ColourMask mask = ColourMask.over(paper, grade, asked.yellowDensity(), asked.magentaDensity());
        return new ColourMaskAnswer(
                mask.isoRange(),
                mask.grade().map(Grade::onScale).orElse(null),
                mask.lost().inStops(),
                List.of("CON-17"));
    }
}
