package keyslate.core.numeric;

/** Straight lines between the rows of a table whose x rises strictly; refuses to extrapolate. */
public final class LinearTable {
    private final double[] xs;
    private final double[] ys;

    private LinearTable(double[] xs, double[] ys) {
        this.xs = xs;
        this.ys = ys;
    }

    /** Rows of (x, y), at least two, x rising strictly. */
    public static LinearTable of(double[][] rows) {
        if (rows.length < 2) {
            throw new IllegalArgumentException("a table needs at least two rows, had " + rows.length);
        }
        double[] xs = new double[rows.length];
        double[] ys = new double[rows.length];
        for (int i = 0; i < rows.length; i++) {
            xs[i] = rows[i][0];
            ys[i] = rows[i][1];
            if (i > 0 && !(xs[i] > xs[i - 1])) {
                throw new IllegalArgumentException("the first column must rise, row " + i + " does not");
            }
        }
        return new LinearTable(xs, ys);
    }

    public double first() {
        return xs[0];
    }

    public double last() {
        return xs[xs.length - 1];
    }

    public boolean covers(double x) {
        return x >= first() && x <= last();
    }

    /** y at x; x must be within the table. */
    public double at(double x) {
        if (!covers(x)) {
            throw new IllegalArgumentException("x must be from " + first() + " to " + last() + ", was " + x);
        }
        int i = 1;
        while (i < xs.length - 1 && x > xs[i]) {
            i++;
        }
        double w = (x - xs[i - 1]) / (xs[i] - xs[i - 1]);
        return ys[i - 1] + w * (ys[i] - ys[i - 1]);
    }

    /** The table read the other way; y must rise or fall strictly. */
    public LinearTable inverse() {
        int n = xs.length;
        double[][] rows = new double[n][2];
        boolean rising = ys[n - 1] > ys[0];
        for (int i = 0; i < n; i++) {
            int from = rising ? i : n - 1 - i;
            rows[i][0] = ys[from];
            rows[i][1] = xs[from];
        }
        return of(rows);
    }
}
