package keyslate.core.reading;

import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;

/**
 * The next exposure after a print was judged.
 *
 * <p>REA-03: t2 = t1 · 2^(darker) · f, f the time factor from the old filter to the new one that holds a light tone of
 * density 0.16 (CON-05 at net 0.10). Example: one third darker at the same filter, 12 s becomes 15.1 s.
 *
 * @param filter the filter to set
 * @param time the time to set
 * @param gradeShort grades that were asked for beyond 00 or 5, or of graded paper at all, positive = harder; 0 when the set reaches
 */
public record NextRecipe(GradeFilter filter, ExposureTime time, double gradeShort) {
    /** Net density of the light tone that is held when the grade changes. */
    public static final double HELD_NET = 0.10;

    /** From what was printed and how it should change: positive stops = darker print, positive grades = harder. */
    public static NextRecipe after(
            VariableContrastPaper paper, GradeFilter now, ExposureTime time, Stops darker, double harder) {
        double wanted = paper.gradeThrough(now).onScale() + harder;
        double clamped = Math.max(-1, Math.min(5, wanted));
        if (paper.isOfOneGrade()) {
            return new NextRecipe(now, time.plus(darker), harder);
        }
        GradeFilter filter = harder == 0 ? now : paper.nearest(Grade.of(clamped));
        ExposureTime held = GradeAdvice.held(paper, now, filter, time, HELD_NET);
        return new NextRecipe(filter, held.plus(darker), wanted - clamped);
    }
}
