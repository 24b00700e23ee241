package keyslate.core.reading;

import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.PatchPick;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/**
 * What two marks on a strip say: where the whites just hold, and where the first true black stands.
 *
 * <p>REA-12: times by EXP-19, grade by CON-06, time at that grade by CON-05; uncertainty by EXP-20, and a whole patch
 * when a mark lies on the first or the last one, because the answer may lie beyond it.
 *
 * @param whites time of the first mark
 * @param blacks time of the second mark, when there is one
 * @param outcome the grade, when there are both marks
 * @param filter the filter to set
 * @param time the time to set with it
 * @param uncertainty how far off the time may be
 */
public record StripReading(
        ExposureTime whites,
        Optional<ExposureTime> blacks,
        Optional<GradeAdvice.Outcome> outcome,
        GradeFilter filter,
        ExposureTime time,
        Stops uncertainty) {
    private static final double PATCHES_AT_AN_END = 1;

    /** Reads the marks on a strip of {@code totals}, rising, that was made through {@code now}. */
    public static StripReading of(
            VariableContrastPaper paper,
            GradeFilter now,
            List<ExposureTime> totals,
            PatchPick whites,
            Optional<PatchPick> blacks) {
        ExposureTime white = whites.timeOn(totals);
        Optional<ExposureTime> black = blacks.map(b -> b.timeOn(totals));
        Stops open = blacks.map(b -> worse(uncertainty(whites, totals), uncertainty(b, totals)))
                .orElseGet(() -> uncertainty(whites, totals));
        Optional<GradeAdvice.Outcome> outcome = black.map(b -> GradeAdvice.fromStrip(paper, now, white, b));
        return new StripReading(
                white,
                black,
                outcome,
                outcome.map(GradeAdvice.Outcome::filter).orElse(now),
                outcome.map(GradeAdvice.Outcome::time).orElse(white),
                open);
    }

    /** EXP-29: the strip that is worth its paper before the print, when the reading is not sure enough. */
    public Optional<CheckStrip> check() {
        return CheckStrip.after(time, uncertainty);
    }

    /** A mark's uncertainty; on an end it is a whole patch. */
    private static Stops uncertainty(PatchPick mark, List<ExposureTime> totals) {
        Stops half = mark.uncertaintyOn(totals);
        boolean atAnEnd = mark.weight() == 0 && (mark.index() == 0 || mark.index() == totals.size() - 1);
        return atAnEnd ? half.times(2 * PATCHES_AT_AN_END) : half;
    }

    private static Stops worse(Stops one, Stops other) {
        return one.compareTo(other) > 0 ? one : other;
    }
}
