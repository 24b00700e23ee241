package keyslate.core.reading;

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
    private static final double MIDDLE_NET = 0.60;
    /** Where between the two tones a set that nobody measured is matched in speed. */
    private static final double HALF_WAY = 0.5;

    /** A set that was not measured. */
    public static GradedLights usual(VariableContrastPaper paper) {
        return new GradedLights(paper, USUAL_LIMIT_STOPS, USUAL_LIMIT_RANGE);
    }

    @Override
    public double factorLog(Light light, Tone tone) {
        GradeFilter filter = light.toFilter();
        double whites = heldLog(filter, VariableContrastPaper.HIGHLIGHT_NET);
        double middle = heldLog(filter, MIDDLE_NET);
        return switch (tone) {
            case WHITES -> whites + HALF_WAY * (middle - whites);
            case MIDDLE -> middle + HALF_WAY * (middle - whites);
            case BLACKS ->
                whites
                        + HALF_WAY * (middle - whites)
                        + (GradeScale.isoRangeOf(filter.grade()) - GradeScale.isoRangeOf(REFERENCE.grade())) / 100;
        };
    }

    private double heldLog(GradeFilter filter, double net) {
        return Math.log10(paper.pivotFactor(REFERENCE.grade(), filter.grade(), net));
    }

    @Override
    public double limitStops(Light light) {
        GradeFilter filter = light.toFilter();
        double apart = heldLog(filter, MIDDLE_NET) - heldLog(filter, VariableContrastPaper.HIGHLIGHT_NET);
        return Math.hypot(limitStops, HALF_WAY * apart / Math.log10(2));
    }

    @Override
    public double contrastLimitLog(Light light) {
        return limitRange / 100;
    }

    /** R that the negative needs: its black later than its whites, free of every filter. */
    public static double neededRange(SlateEvidence.Difference blacksAfterWhites) {
        return GradeScale.isoRangeOf(REFERENCE.grade()) - 100 * blacksAfterWhites.log();
    }
}
