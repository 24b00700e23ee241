package keyslate.core.contrast;

import keyslate.core.numeric.LinearTable;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Grade;

/**
 * CON-01: ISO range R (100 × log exposure range of the paper) for a grade, linear between the rows of a generic table, and
 * back. Source: model parameters, generic; ISO 6846 defines R.
 */
public final class GradeScale {
    private static final LinearTable RANGE = LinearTable.of(new double[][] {
        {-1, 170},
        {0, 150},
        {0.5, 140},
        {1, 130},
        {1.5, 120},
        {2, 110},
        {2.5, 100},
        {3, 90},
        {3.5, 80},
        {4, 66},
        {4.5, 53},
        {5, 40}
    });
    private static final LinearTable GRADE = RANGE.inverse();

    private GradeScale() {}

    /** R of a grade, 40 to 170. */
    public static double isoRangeOf(Grade grade) {
        return RANGE.at(grade.onScale());
    }

    /** The grade of an R from 40 (hardest) to 170 (softest); outside there is none. */
    public static Grade gradeOf(double isoRange) {
        Check.finite("ISO range", isoRange);
        if (!GRADE.covers(isoRange)) {
            throw Check.outOfRange("ISO range", "grades reach R 40 to 170, R " + Math.round(isoRange) + " is needed");
        }
        return Grade.of(GRADE.at(isoRange));
    }

    /** Whether some grade has this R. */
    public static boolean reaches(double isoRange) {
        return GRADE.covers(isoRange);
    }
}
