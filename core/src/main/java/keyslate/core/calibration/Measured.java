package keyslate.core.calibration;

import keyslate.core.quantity.Check;

/**
 * A figure from readings.
 *
 * @param figure in the unit of what it is
 * @param limit of that, 95 %, the same unit, 0 or more
 * @param readings it rests on
 */
public record Measured(double figure, double limit, int readings) {
    public Measured {
        Check.finite("figure", figure);
        Check.notNegative("limit", limit, "");
        Check.count("readings", readings, 1, Integer.MAX_VALUE);
    }
}
