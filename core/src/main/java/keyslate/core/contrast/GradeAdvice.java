package keyslate.core.contrast;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;

/** The grade and time that a negative asks for, from the two times read off one strip. */
public final class GradeAdvice {
    /** What the strip says; a result and not an error when no grade reaches. */
    public sealed interface Outcome permits Reached, TooHard, TooSoft {
        /** Stops by which the first true black comes later (positive) or earlier than the whites hold. */
        Stops blacksLate();

        /** R the negative needs between its white and its black. */
        double neededRange();

        /** The filter to set: the nearest there is. */
        GradeFilter filter();

        /** The time that keeps the whites with that filter. */
        ExposureTime time();
    }

    /**
     * Some grade puts both tones right.
     *
     * @param exactGrade the place on the scale
     * @param filter the filter of the set nearest to it
     * @param time the time that keeps the whites with that filter
     */
    public record Reached(Stops blacksLate, double neededRange, Grade exactGrade, GradeFilter filter, ExposureTime time)
            implements Outcome {}

    /** Even the hardest filter leaves the blacks late: short development, a thin negative or a flat subject. */
    public record TooHard(Stops blacksLate, double neededRange, GradeFilter filter, ExposureTime time)
            implements Outcome {}

    /** Even the softest filter blocks up: hold back, burn or split. */
    public record TooSoft(Stops blacksLate, double neededRange, GradeFilter filter, ExposureTime time)
            implements Outcome {}

    private static final double HARDEST_RANGE = 40;
    private static final double SOFTEST_RANGE = 170;
    /** A range beyond the last filter by less is that filter's. */
    private static final double EDGE = 1e-9;
    /** Graded papers are a grade apart: within half of it, in ISO units, none of them is nearer. */
    private static final double GRADED_EDGE = 10;

    private GradeAdvice() {}

    /** CON-06: R needed = R(g) + 100·log10(t_whites/t_blacks). Blacks late asks for a harder grade. */
    public static double neededRange(Grade now, ExposureTime whites, ExposureTime blacks) {
        return GradeScale.isoRangeOf(now) + 100 * Math.log10(whites.inSeconds() / blacks.inSeconds());
    }

    /**
     * The grade from one strip: {@link #neededRange}, the nearest filter, and the time that keeps the whites where they
     * held (CON-05 at net 0.04).
     */
    public static Outcome fromStrip(
            VariableContrastPaper paper, GradeFilter now, ExposureTime whites, ExposureTime blacks) {
        double needed = paper.rangeThrough(now) + 100 * Math.log10(whites.inSeconds() / blacks.inSeconds());
        return forRange(paper, now, whites, needed);
    }

    /** The same where the range that is needed is known: the black comes later through {@code now} by R(now) − R needed. */
    public static Outcome forRange(VariableContrastPaper paper, GradeFilter now, ExposureTime whites, double needed) {
        Stops late = Stops.ofLogExposure((paper.rangeThrough(now) - needed) / 100);
        double edge = paper.isOfOneGrade() ? GRADED_EDGE : EDGE;
        GradeFilter softest = paper.set().get(0);
        GradeFilter hardest = paper.set().get(paper.set().size() - 1);
        if (needed < paper.rangeThrough(hardest) - edge) {
            return new TooHard(late, needed, hardest, held(paper, now, hardest, whites));
        }
        if (needed > paper.rangeThrough(softest) + edge) {
            return new TooSoft(late, needed, softest, held(paper, now, softest, whites));
        }
        Grade exact = GradeScale.gradeOf(Math.max(HARDEST_RANGE, Math.min(SOFTEST_RANGE, needed)));
        GradeFilter filter = paper.nearest(exact);
        return new Reached(late, needed, exact, filter, held(paper, now, filter, whites));
    }

    /** Within this of its own grade a filter that a test was made through is taken: a change would cost more in time that nobody measured than it gives in contrast. */
    public static final double STAYS_WITHIN = 0.3;

    /**
     * CON-18: the filter to go on with: of those whose whites were read on a test the one nearest to the exact grade, where it is near enough; else the nearest of the set.
     *
     * @param read filters that whites were read through, the standing one among them
     */
    public static GradeFilter goingOn(VariableContrastPaper paper, Collection<GradeFilter> read, Outcome outcome) {
        if (!(outcome instanceof Reached reached)) {
            return outcome.filter();
        }
        return read.stream()
                .filter(f -> off(paper, f, reached) <= STAYS_WITHIN)
                .min(Comparator.comparingDouble(f -> off(paper, f, reached)))
                .orElse(outcome.filter());
    }

    private static double off(VariableContrastPaper paper, GradeFilter filter, Reached reached) {
        return Math.abs(
                reached.exactGrade().onScale() - paper.gradeThrough(filter).onScale());
    }

    /** CON-19: the filter next to the chosen one on the side of the exact grade: where the reading was a little off, the print wants that one. */
    public static Optional<GradeFilter> beside(VariableContrastPaper paper, GradeFilter chosen, Outcome outcome) {
        if (!(outcome instanceof Reached reached)) {
            return Optional.empty();
        }
        boolean harder =
                reached.exactGrade().onScale() > paper.gradeThrough(chosen).onScale();
        List<GradeFilter> set = paper.set();
        int at = set.indexOf(set.contains(chosen) ? chosen : paper.nearest(chosen.grade())) + (harder ? 1 : -1);
        return at < 0 || at >= set.size() ? Optional.empty() : Optional.of(set.get(at));
    }

    /** The time that keeps a highlight (net {@code heldNet}) from one filter to another. */
    public static ExposureTime held(
            VariableContrastPaper paper, GradeFilter from, GradeFilter to, ExposureTime time, double heldNet) {
        return time.times(paper.pivotFactor(from, to, heldNet));
    }

    private static ExposureTime held(VariableContrastPaper paper, GradeFilter from, GradeFilter to, ExposureTime time) {
        return held(paper, from, to, time, VariableContrastPaper.HIGHLIGHT_NET);
    }

    /** The exact grade and time for two net densities other than the ISO points. */
    public record Exact(double negativeLogRange, double neededRange, Grade grade, ExposureTime time) {}

    /**
     * CON-07: the negative's log range = log10(t_high/t_shadow) + [x_g(D_shadow) − x_g(D_high)]; the grade whose curve
     * spans it between the two densities, and the time that keeps the highlight.
     */
    public static Exact exact(
            VariableContrastPaper paper,
            Grade now,
            ExposureTime high,
            ExposureTime shadow,
            double highNet,
            double shadowNet) {
        if (highNet >= shadowNet) {
            throw Check.outOfRange("densities", "the shadow's density must be above the highlight's");
        }
        double ratio = paper.lightAt(now).ratio();
        double range = Math.log10(high.inSeconds() / shadow.inSeconds())
                + paper.logBlueFor(shadowNet, ratio)
                - paper.logBlueFor(highNet, ratio);
        double low = paper.ratioForRange(GradeScale.isoRangeOf(Grade.of(5)));
        double top = paper.ratioForRange(GradeScale.isoRangeOf(Grade.of(-1)));
        if (range < span(paper, low, highNet, shadowNet) || range > span(paper, top, highNet, shadowNet)) {
            throw Check.outOfRange("grade", "no grade from 00 to 5 spans this negative");
        }
        double found =
                keyslate.core.numeric.Bisection.solve(r -> span(paper, r, highNet, shadowNet), range, low, top, 50);
        double isoRange = Math.max(40, Math.min(170, paper.isoRange(found)));
        Grade grade = GradeScale.gradeOf(isoRange);
        return new Exact(range, isoRange, grade, high.times(paper.pivotFactor(now, grade, highNet)));
    }

    private static double span(VariableContrastPaper paper, double ratio, double highNet, double shadowNet) {
        return paper.logBlueFor(shadowNet, ratio) - paper.logBlueFor(highNet, ratio);
    }
}
