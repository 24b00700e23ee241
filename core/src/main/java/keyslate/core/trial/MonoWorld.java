package keyslate.core.trial;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.GradeScale;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.darkroom.PaperTruth;
import keyslate.core.exposure.LampLag;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;

/**
 * An unknown negative on unknown paper under a lamp of unknown lag: what happens to light. It answers only with what can be seen on paper, and at the end with how far a
 * recipe is from the best.
 */
final class MonoWorld {
    /** The lag that the printer knows, seconds. */
    static final LampLag KNOWN_LAG = LampLag.ofSeconds(0.1);

    private static final double FIRST_GUESS = 10;
    private static final double GUESS_SPREAD_STOPS = 0.6;
    private static final double LAG_SPREAD = 0.02;
    private static final double SOFTEST = 0.25;
    private static final double HARDEST = 4.25;
    private static final double AREA_SPREAD_STOPS = 1;

    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private final PaperTruth truth;
    private final double lightLog;
    private final double highlight;
    private final double shadow;
    private final double area;

    MonoWorld(long seed) {
        Eye fate = new Eye(seed * 31 + 7);
        truth = PaperTruth.ofBatch(seed, KNOWN_LAG.inSeconds() + fate.even(-LAG_SPREAD, LAG_SPREAD));
        Grade wanted = Grade.of(fate.even(SOFTEST, HARDEST));
        shadow = 0.3;
        highlight = shadow + GradeScale.isoRangeOf(wanted) / 100;
        area = highlight + fate.bell(AREA_SPREAD_STOPS) * Stops.of(1).toLogExposure();
        // The printer's first guess is off by about half a stop from all causes together.
        double guess = Math.log10(FIRST_GUESS)
                + Stops.of(fate.bell(GUESS_SPREAD_STOPS)).toLogExposure();
        FilterLight light = through(GradeFilter.G2.grade());
        lightLog = PAPER.logBlueFor(VariableContrastPaper.HIGHLIGHT_NET, light.ratio())
                + highlight
                - light.blueLog()
                - guess;
    }

    /** Light through a filter as this batch sees it, per second of the model's lamp. */
    private FilterLight through(Grade grade) {
        FilterLight nominal = PAPER.lightAt(grade);
        double speed = truth.speedOffset().toLogExposure();
        return new FilterLight(nominal.blueLog() + speed, nominal.greenLog() + truth.ratioOffset() + speed);
    }

    /** Where on a strip a tone reaches a net density, counted in patches and read between them. */
    private double place(double tone, double net, GradeFilter filter, StripOnPaper strip) {
        FilterLight light = through(filter.grade());
        double needed = PAPER.logBlueFor(net, light.ratio()) + tone - light.blueLog() - lightLog;
        List<Double> given = new ArrayList<>();
        double received = 0;
        List<ExposureTime> bursts = strip.bursts();
        for (int i = 0; i < bursts.size(); i++) {
            received += Math.max(0.01, bursts.get(i).inSeconds() - truth.lagSeconds());
            double x = 2 * (i + 0.5) / bursts.size() - 1;
            given.add(Math.log10(received)
                    - strip.closed().toLogExposure()
                    - truth.cornerLoss().toLogExposure() * x * x / 2);
        }
        int i = 0;
        while (i < given.size() - 2 && given.get(i + 1) < needed) {
            i++;
        }
        return i + (needed - given.get(i)) / (given.get(i + 1) - given.get(i));
    }

    /** Where the whites just hold. */
    double whitesPlace(GradeFilter filter, StripOnPaper strip) {
        return place(highlight, VariableContrastPaper.HIGHLIGHT_NET, filter, strip);
    }

    /** Where the first true black stands. */
    double blacksPlace(GradeFilter filter, StripOnPaper strip) {
        return place(shadow, VariableContrastPaper.SHADOW_NET, filter, strip);
    }

    /** Where the area that wants local work is as pale as the whites should be. */
    double areaPlace(GradeFilter filter, StripOnPaper strip) {
        return place(area, VariableContrastPaper.HIGHLIGHT_NET, filter, strip);
    }

    /** The grade that would put both tones right on this PAPER. */
    Grade bestGrade() {
        double ratio = PAPER.ratioForRange(100 * (highlight - shadow)) - truth.ratioOffset();
        return GradeScale.gradeOf(PAPER.isoRange(ratio));
    }

    /** The set time that puts the whites right at a grade, as one burst. */
    double bestSetSeconds(Grade grade) {
        FilterLight light = through(grade);
        double log = PAPER.logBlueFor(VariableContrastPaper.HIGHLIGHT_NET, light.ratio())
                + highlight
                - light.blueLog()
                - lightLog;
        return Math.pow(10, log) + truth.lagSeconds();
    }

    /** Stops by which the whites of a print are too dark (+), from the seconds set in one burst at a grade. */
    double stopsTooDark(Grade grade, double setSeconds) {
        double received = Math.max(0.01, setSeconds - truth.lagSeconds());
        return Stops.ofFactor(received / (bestSetSeconds(grade) - truth.lagSeconds()))
                .inStops();
    }

    /** Grades by which a print misses the best grade, less what the nearest filter of the set must miss it by. */
    double gradesOff(Grade grade, boolean filtersOnly) {
        double best = bestGrade().onScale();
        double least = filtersOnly
                ? Math.abs(GradeFilter.nearest(Grade.of(best)).grade().onScale() - best)
                : 0;
        return Math.max(0, Math.abs(grade.onScale() - best) - least);
    }

    /** The change that the area truly wants on a base that is right. */
    double areaStops() {
        return Stops.ofLogExposure(area - highlight).inStops();
    }
}
