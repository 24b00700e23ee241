package keyslate.core.numeric;

import java.util.ArrayList;
import java.util.List;

/**
 * Weighted least squares for a few unknowns: rows a·x = b, each with a spread of its own; what is known of an unknown beforehand is one more row. The answer
 * carries its covariance, in the unit of the spreads squared. Source: normal equations by Cholesky's decomposition, any textbook of adjustment computation.
 */
public final class LeastSquares {
    private final int unknowns;
    private final List<double[]> rows = new ArrayList<>();

    /** So many unknowns, each of which needs a row at least. */
    public LeastSquares(int unknowns) {
        this.unknowns = unknowns;
    }

    /**
     * Adds a row.
     *
     * @param factors one for each unknown
     * @param spread above 0
     */
    public void add(double[] factors, double seen, double spread) {
        if (factors.length != unknowns || !(spread > 0) || !Double.isFinite(seen)) {
            throw new IllegalArgumentException("a row of " + factors.length + " factors for " + unknowns
                    + " unknowns, seen " + seen + ", spread " + spread);
        }
        double[] row = new double[unknowns + 1];
        for (int i = 0; i < unknowns; i++) {
            row[i] = factors[i] / spread;
        }
        row[unknowns] = seen / spread;
        rows.add(row);
    }

    /**
     * What the rows speak for.
     *
     * @param figures of the unknowns
     * @param covariance of them
     */
    public record Solution(double[] figures, double[][] covariance) {
        /** A sum of the unknowns. */
        public double at(double[] factors) {
            double sum = 0;
            for (int i = 0; i < figures.length; i++) {
                sum += factors[i] * figures[i];
            }
            return sum;
        }

        /** How far that sum is open. */
        public double spreadAt(double[] factors) {
            double sum = 0;
            for (int i = 0; i < figures.length; i++) {
                for (int j = 0; j < figures.length; j++) {
                    sum += factors[i] * covariance[i][j] * factors[j];
                }
            }
            return Math.sqrt(Math.max(0, sum));
        }
    }

    /** @throws IllegalStateException where the rows leave an unknown open */
    public Solution solve() {
        double[][] normal = new double[unknowns][unknowns];
        double[] right = new double[unknowns];
        for (double[] row : rows) {
            for (int i = 0; i < unknowns; i++) {
                for (int j = 0; j < unknowns; j++) {
                    normal[i][j] += row[i] * row[j];
                }
                right[i] += row[i] * row[unknowns];
            }
        }
        double[][] lower = decomposed(normal);
        double[][] inverse = new double[unknowns][];
        for (int i = 0; i < unknowns; i++) {
            double[] unit = new double[unknowns];
            unit[i] = 1;
            inverse[i] = solved(lower, unit);
        }
        return new Solution(solved(lower, right), inverse);
    }

    private double[][] decomposed(double[][] normal) {
        double[][] lower = new double[unknowns][unknowns];
        for (int i = 0; i < unknowns; i++) {
            for (int j = 0; j <= i; j++) {
                double sum = normal[i][j];
                for (int k = 0; k < j; k++) {
                    sum -= lower[i][k] * lower[j][k];
                }
                if (i != j) {
                    lower[i][j] = sum / lower[j][j];
                } else if (sum > 1e-12 * Math.max(1e-12, normal[i][i])) {
                    lower[i][i] = Math.sqrt(sum);
                } else {
                    throw new IllegalStateException("nothing is said of unknown " + i);
                }
            }
        }
        return lower;
    }

    private double[] solved(double[][] lower, double[] right) {
        double[] x = right.clone();
        for (int i = 0; i < unknowns; i++) {
            for (int k = 0; k < i; k++) {
                x[i] -= lower[i][k] * x[k];
            }
            x[i] /= lower[i][i];
        }
        for (int i = unknowns - 1; i >= 0; i--) {
            for (int k = i + 1; k < unknowns; k++) {
                x[i] -= lower[k][i] * x[k];
            }
            x[i] /= lower[i][i];
        }
        return x;
    }
}
