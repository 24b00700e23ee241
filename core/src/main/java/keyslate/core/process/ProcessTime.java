package keyslate.core.process;

import keyslate.core.quantity.Check;

/**
 * The time in a bath at its temperature and age.
 *
 * @param seconds the time to give
 * @param warnTemperature whether the temperature is farther from the reference than the bath bears
 * @param warnUsed whether the bath has taken more than it should
 */
public record ProcessTime(double seconds, boolean warnTemperature, boolean warnUsed) {
    private static final double AGEING = 0.35;
    private static final double MOST_USED = 1.2;
    private static final double FLOAT_GUARD = 1e-9;

    /** PRO-07: t2 = t1·Q^(−(T2 − T1)/10) · PRO-08. Temperatures outside the bath's range are refused. */
    public static ProcessTime of(BathType bath, double secondsAtReference, double celsius, double usedFraction) {
        double warm = atTemperature(bath, secondsAtReference, bath.reference(), celsius);
        boolean far = Math.abs(celsius - bath.reference()) > bath.tolerance() + FLOAT_GUARD;
        return new ProcessTime(warm * usedFactor(usedFraction), far, usedFraction > 1);
    }

    /** PRO-07: t2 = t1·Q^(−(T2 − T1)/10), seconds at another temperature. Example: 60 s at 20 °C is 41.6 s at 24 °C. */
    public static double atTemperature(BathType bath, double seconds, double from, double to) {
        Check.positive("process time", seconds, "s");
        Check.within("temperature", from, bath.coldest(), bath.warmest(), "°C");
        Check.within("temperature", to, bath.coldest(), bath.warmest(), "°C");
        return seconds * Math.pow(bath.q10(), -(to - from) / 10);
    }

    /** PRO-08: how much longer a used developer takes, 1/(1 − 0.35·u), u 0 to 1.2 of its capacity; a generic figure. */
    public static double usedFactor(double usedFraction) {
        Check.notNegative("used share", usedFraction, "");
        return 1 / (1 - AGEING * Check.within("used share", usedFraction, 0, MOST_USED, ""));
    }

    /** PRO-09: factorial development: time of emergence × factor, factor 1 to 20. */
    public static double factorialSeconds(double emergenceSeconds, double factor) {
        return Check.positive("time of emergence", emergenceSeconds, "s") * Check.within("factor", factor, 1, 20, "");
    }
}
