package keyslate.core.rescale;

import keyslate.core.quantity.Check;

/**
 * A constant of the equipment and how well it is known.
 *
 * @param figure of it, in its own unit
 * @param limit of that, 95 %, the same unit; 0 where it is exact by definition
 * @param source of both
 */
public record Known(double figure, double limit, Source source) {
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
        Check.finite("figure", figure);
        Check.notNegative("limit", limit, "");
    }

    public static Known byDefault(double figure, double limit) {
        return new Known(figure, limit, Source.DEFAULT);
    }

    public static Known measured(double figure, double limit) {
        return new Known(figure, limit, Source.MEASURED);
    }
}
