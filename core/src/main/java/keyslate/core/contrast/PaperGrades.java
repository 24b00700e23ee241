package keyslate.core.contrast;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import keyslate.core.quantity.Grade;

/** Graded papers beside one another: which one a negative asks for, and what its time is (CON-26). */
public final class PaperGrades {
    private PaperGrades() {}

    /** The paper of a grade, −1 to 5, by its name alone: R by CON-01, ± 10. */
    public static VariableContrastPaper paper(Grade grade) {
        return VariableContrastPaper.ofOneGrade(GradeScale.isoRangeOf(grade), VariableContrastPaper.GRADED_LIMIT_RANGE);
    }

    /** The grade whose R (CON-01) is nearest to one that is needed (ISO units, CON-06); none of none; of two equally near the softer, which risks less. */
    public static Optional<Grade> nearest(Collection<Grade> grades, double neededRange) {
        return grades.stream()
                .sorted(Comparator.comparing(Grade::onScale))
                .min(Comparator.comparingDouble(g -> Math.abs(GradeScale.isoRangeOf(g) - neededRange)));
    }

    /** The grade that brings tones nearest to where they are wanted, at its own best time (CON-20). */
    public static Optional<Grade> best(Collection<Grade> grades, List<Threads.Tone> tones) {
        return grades.stream()
                .sorted(Comparator.comparing(Grade::onScale))
                .min(Comparator.comparingDouble(g -> fit(g, tones).cost()));
    }

    /** What a grade makes of tones at its own best time, seconds (CON-20). */
    public static Threads.Fit fit(Grade grade, List<Threads.Tone> tones) {
        return new Threads(paper(grade), tones).through(VariableContrastPaper.WHITE_LIGHT);
    }

    /** The factor of time from a light on one paper to a light on another that holds a tone of net density {@code net}; both are as fast as one another at net 0.6 in white light. From grade 2 to 4 it is 1.46 at net 0.10 (CON-05, CON-26). */
    public static double timeFactor(
            VariableContrastPaper from, GradeFilter light, VariableContrastPaper to, GradeFilter then, double net) {
        return Math.pow(10, to.logTimeThrough(net, then) - from.logTimeThrough(net, light));
    }
}
