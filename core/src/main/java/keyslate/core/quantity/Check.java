package keyslate.core.quantity;

import java.util.Locale;
import keyslate.core.quantity.QuantityException.Kind;

/** The checks that every quantity shares; each returns the value, with −0.0 made 0.0. */
public final class Check {
    /**
     * No quantity of the craft in any unit is larger, and what is computed from several of this size is still finite.
     */
    private static final double LARGEST = 1e15;

    private static final double SMALLEST = 1e-15;

    private Check() {}

    /** Any finite number up to ±10^15. */
    public static double finite(String parameter, double value) {
        if (!Double.isFinite(value)) {
            throw new QuantityException(Kind.NOT_A_NUMBER, parameter, parameter + " must be a number, was " + value);
        }
        if (Math.abs(value) > LARGEST) {
            throw new QuantityException(
                    Kind.OUT_OF_RANGE, parameter, parameter + " is too large to be meant, was " + shown(value));
        }
        return value + 0.0;
    }

    /** A finite number above 0, at least 10^−15, so that it can be divided by. */
    public static double positive(String parameter, double value, String unit) {
        finite(parameter, value);
        if (value <= 0) {
            throw new QuantityException(
                    Kind.NOT_POSITIVE,
                    parameter,
                    parameter + " must be more than 0" + unit(unit) + ", was " + shown(value) + unit(unit));
        }
        if (value < SMALLEST) {
            throw new QuantityException(
                    Kind.OUT_OF_RANGE, parameter, parameter + " is too small to be meant, was " + shown(value));
        }
        return value;
    }

    /** A finite number of 0 or more. */
    public static double notNegative(String parameter, double value, String unit) {
        finite(parameter, value);
        if (value < 0) {
            throw new QuantityException(
                    Kind.NEGATIVE,
                    parameter,
                    parameter + " must be 0" + unit(unit) + " or more, was " + shown(value) + unit(unit));
        }
        return value + 0.0;
    }

    /** A finite number from {@code low} to {@code high}, both allowed. */
    public static double within(String parameter, double value, double low, double high, String unit) {
        finite(parameter, value);
        if (value < low || value > high) {
            throw new QuantityException(
                    Kind.OUT_OF_RANGE,
                    parameter,
                    parameter + " must be from " + shown(low) + " to " + shown(high) + unit(unit) + ", was "
                            + shown(value) + unit(unit));
        }
        return value + 0.0;
    }

    /** A whole number from {@code low} to {@code high}, both allowed. */
    public static int count(String parameter, int value, int low, int high) {
        return (int) within(parameter, value, low, high, "");
    }

    /** Valid input without a solution. */
    public static QuantityException infeasible(String parameter, String message) {
        return new QuantityException(Kind.INFEASIBLE, parameter, message);
    }

    /** A value outside what a table or a formula covers. */
    public static QuantityException outOfRange(String parameter, String message) {
        return new QuantityException(Kind.OUT_OF_RANGE, parameter, message);
    }

    private static String unit(String unit) {
        return unit.isEmpty() ? "" : " " + unit;
    }

    /** A number as a message shows it: four digits, typographic minus. */
    public static String shown(double value) {
        String text = value == Math.rint(value) && Math.abs(value) < 1e9
                ? String.format(Locale.ROOT, "%.0f", value)
                : String.format(Locale.ROOT, "%.4g", value)
                        .replaceAll("0+$", "")
                        .replaceAll("\\.$", "");
        return text.replace('-', '−');
    }
}
