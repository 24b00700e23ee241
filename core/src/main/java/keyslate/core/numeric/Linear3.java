package keyslate.core.numeric;

/** Three linear equations in three unknowns, by Cramer's rule. */
public final class Linear3 {
    private static final double SINGULAR = 1e-14;

    private Linear3() {}

    /** x with m·x = b; refuses a matrix whose rows depend on each other. */
    public static double[] solve(double[][] m, double[] b) {
        double whole = determinant(m);
        if (Math.abs(whole) < SINGULAR) {
            throw new IllegalArgumentException("the three equations are not independent");
        }
        double[] x = new double[3];
        for (int column = 0; column < 3; column++) {
            double[][] replaced = new double[3][];
            for (int row = 0; row < 3; row++) {
                replaced[row] = m[row].clone();
                replaced[row][column] = b[row];
            }
            x[column] = determinant(replaced) / whole;
        }
        return x;
    }

    private static double determinant(double[][] m) {
        return m[0][0] * (m[1][1] * m[2][2] - m[1][2] * m[2][1])
                - m[0][1] * (m[1][0] * m[2][2] - m[1][2] * m[2][0])
                + m[0][2] * (m[1][0] * m[2][1] - m[1][1] * m[2][0]);
    }
}
