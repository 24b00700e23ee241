package keyslate.core.reading;

import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.GradeScale;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.light.Light;
import keyslate.core.reading.SlateEvidence.Tone;

/**
 * Filters of grades for {@link SlateEvidence}. Sets are matched in speed at a tone between net 0.04 and 0.60, and which one nobody knows who has not measured it: the
 * factor is taken half way between those of the two (CON-05), and its limit reaches both (REA-17). The black comes later by the ISO range (CON-06).
 *
 * @param limitStops of one filter's factor, 95 %
 * @param limitRange of one filter's ISO range, 95 %
 */
public record GradedLights(VariableContrastPaper paper, double limitStops, double limitRange)
        implements SlateEvidence.LightModel {
    /** Two filters of a set that was not measured: 1/6 stop between them. */
    public static final double USUAL_LIMIT_STOPS = 1.0 / 6 / Math.sqrt(2);
    /** ISO units; two standard deviations of what filters of a set differ by besides what all are off by. */
    public static final double USUAL_LIMIT_RANGE = 4;

    private static final GradeFilter REFERENCE = GradeFilter.G2;
    private static final VariableContrastPaper NOMINAL = new VariableContrastPaper();
    /** What putting a filter in costs is 1 to 1½ stops in most sets: so far from the 1.11 of the model. */
    private static final double FILTER_IN_STOPS = 0.4;
    /** "No filter is about grade 2": give or take a grade, until it was measured on this lamp. */
    private static final double NO_FILTER_RANGE = 20;

    /** Where between the two tones a set that nobody measured is matched in speed. */
    private static final double HALF_WAY = 0.5;

    /** A set that was not measured. */
    public static GradedLights usual(VariableContrastPaper paper) {
        return new GradedLights(paper, USUAL_LIMIT_STOPS, USUAL_LIMIT_RANGE);
    }

    @Override
    public double factorLog(Light light, Tone tone) {
        GradeFilter filter = light.toFilter();
        double whites = whitesLog(filter);
        return switch (tone) {
            case WHITES -> whites;
            case MIDDLE -> whites + middleAfterWhites(filter) - middleAfterWhites(REFERENCE);
            case BLACKS -> whites + (paper.rangeThrough(filter) - GradeScale.isoRangeOf(REFERENCE.grade())) / 100;
        };
    }

    /** By the table where it knows the filter, else half way between the two tones at which sets are matched. */
    private double whitesLog(GradeFilter filter) {
        FilterTable measured = paper.measured();
        return measured.of(filter)
                .map(e -> halfWay(measured.reference()) + e.whitesLog())
                .orElseGet(() -> halfWay(filter)
                        + (filter == GradeFilter.NONE
                                ? 0
                                : measured.filterIn(f -> halfWay(f) - halfWay(GradeFilter.NONE))));
    }

    private static double halfWay(GradeFilter filter) {
        return (1 - HALF_WAY) * heldLog(filter, VariableContrastPaper.HIGHLIGHT_NET)
                + HALF_WAY * heldLog(filter, VariableContrastPaper.SPEED_NET);
    }

    /** log10 between the exposures of whites and of a middle tone: the paper's curve alone. */
    private double middleAfterWhites(GradeFilter filter) {
        double ratio = paper.lightThrough(filter).ratio();
        return paper.logBlueFor(VariableContrastPaper.SPEED_NET, ratio)
                - paper.logBlueFor(VariableContrastPaper.HIGHLIGHT_NET, ratio);
    }

    private static double heldLog(GradeFilter filter, double net) {
        return Math.log10(NOMINAL.pivotFactor(REFERENCE, filter, net));
    }

    @Override
    public double limitStops(Light light) {
        GradeFilter filter = light.toFilter();
        return paper.measured().of(filter).map(FilterTable.Entry::limitStops).orElseGet(() -> {
            double apart = heldLog(filter, VariableContrastPaper.SPEED_NET)
                    - heldLog(filter, VariableContrastPaper.HIGHLIGHT_NET);
            return Math.hypot(
                    filter == GradeFilter.NONE ? Math.hypot(limitStops, FILTER_IN_STOPS) : limitStops,
                    HALF_WAY * apart / Math.log10(2));
        });
    }

    @Override
    public double contrastLimitLog(Light light) {
        GradeFilter filter = light.toFilter();
        return paper.measured()
                .of(filter)
                .map(e -> e.limitRange() / 100)
                .orElse((filter == GradeFilter.NONE ? NO_FILTER_RANGE : limitRange) / 100);
    }

    /** R that the negative needs: its black later than its whites, free of every filter. */
    public static double neededRange(SlateEvidence.Difference blacksAfterWhites) {
        return GradeScale.isoRangeOf(REFERENCE.grade()) - 100 * blacksAfterWhites.log();
    }
}
