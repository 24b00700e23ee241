package keyslate.core.numeric;

/** How many standard deviations a 95 % limit is when the deviation itself is known from a few readings only. */
public final class StudentT {
    /** 97.5 % of Student's t for 1 to 30 degrees of freedom, as in any table of it. */
    private static final double[] TABLE = {
        12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.160, 2.145, 2.131, 2.120,
        2.110, 2.101, 2.093, 2.086, 2.080, 2.074, 2.069, 2.064, 2.060, 2.056, 2.052, 2.048, 2.045, 2.042
    };

    private static final double NORMAL = 1.960;
    /** First term of the series in 1/freedom; good to 0.001 beyond the table. */
    private static final double SERIES = 2.37;

    private StudentT() {}

    /** Factor of a 95 % limit to both sides; {@code freedom} 1 or more. */
    public static double limit(int freedom) {
        if (freedom < 1) {
            throw new IllegalArgumentException("one degree of freedom at least, was " + freedom);
        }
        return freedom <= TABLE.length ? TABLE[freedom - 1] : NORMAL + SERIES / freedom;
    }
}
