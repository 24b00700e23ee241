package keyslate.core.rescale;

import keyslate.core.quantity.Check;

/**
 * A constant of the equipment and how well it is known.
 *
 * @param value of it, in its own unit
 * @param limit of that, 95 %, the same unit; 0 where it is exact by definition
 * @param source of both
 */
public record Known(double value, double limit, Source source) {
    /** Where a constant comes from. */
    public enum Source {
        /** Ships with the application. */
        DEFAULT,
        /** Typed in by the printer, from a data sheet or a test of their own. */
        ENTERED,
        /** By a calibration, from readings that are kept. */
        MEASURED
    }

    public Known {
        Check.finite("value", value);
        Check.notNegative("limit", limit, "");
    }

    public static Known byDefault(double value, double limit) {
        return new Known(value, limit, Source.DEFAULT);
    }

    public static Known measured(double value, double limit) {
        return new Known(value, limit, Source.MEASURED);
    }
}
