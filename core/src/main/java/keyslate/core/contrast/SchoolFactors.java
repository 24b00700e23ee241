package keyslate.core.contrast;

import keyslate.core.numeric.LinearTable;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Grade;

/**
 * The rule of thumb of a school: one factor of time for each grade, whatever the tone.
 *
 * <p>CON-12: factor from g1 to g2 = f(g2)/f(g1), f log-linear between the rows of a table. Right for no tone exactly: the pivot (CON-05) is.
 */
public final class SchoolFactors {
    /** Twice the time from grade 4 on. */
    public static final SchoolFactors DOUBLE_FROM_4 = of(new double[][] {{-1, 1}, {3.5, 1}, {4, 2}, {5, 2}});

    /** Twice the time for each grade above 3. */
    public static final SchoolFactors DOUBLE_PER_GRADE_FROM_3 = of(new double[][] {{-1, 1}, {3, 1}, {4, 2}, {5, 4}});

    private final LinearTable logFactor;

    private SchoolFactors(LinearTable logFactor) {
        this.logFactor = logFactor;
    }

    /** Rows of (grade on the scale, factor above 0), grades rising. */
    public static SchoolFactors of(double[][] rows) {
        double[][] logs = new double[rows.length][];
        for (int i = 0; i < rows.length; i++) {
            logs[i] = new double[] {rows[i][0], Math.log(Check.positive("factor", rows[i][1], ""))};
        }
        return new SchoolFactors(LinearTable.of(logs));
    }

    /** Factor of time from one grade to another; grades outside the table are refused. */
    public double factor(Grade from, Grade to) {
        return Math.exp(at(to) - at(from));
    }

    private double at(Grade grade) {
        return logFactor.at(Check.within("grade", grade.onScale(), logFactor.first(), logFactor.last(), ""));
    }
}
