package keyslate.core.numeric;

import java.util.function.DoubleUnaryOperator;

/** Inversion of a monotone function by a fixed number of halvings: deterministic, and needs no derivative. */
public final class Bisection {
    private Bisection() {}

    /** {@link #solve(DoubleUnaryOperator, double, double, double, int)} with 60 halvings. */
    public static double solve(DoubleUnaryOperator f, double target, double low, double high) {
        return solve(f, target, low, high, 60);
    }

    /**
     * The x between {@code low} and {@code high} at which a monotone {@code f} takes {@code target}; the nearer end when
     * the target lies outside f's values there, so a caller that must refuse checks the ends first.
     */
    public static double solve(DoubleUnaryOperator f, double target, double low, double high, int halvings) {
        boolean rising = f.applyAsDouble(high) >= f.applyAsDouble(low);
        double a = low;
        double b = high;
        for (int i = 0; i < halvings; i++) {
            double middle = 0.5 * (a + b);
            if (f.applyAsDouble(middle) < target == rising) {
                a = middle;
            } else {
                b = middle;
            }
        }
        return 0.5 * (a + b);
    }
}
