package keyslate.core.local;

import keyslate.core.exposure.Reciprocity;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;

/**
 * A hold-back or a burn: kept in stops, because stops survive a new size, opening, time or paper. Positive = burn (more
 * light), negative = hold back.
 *
 * @param change −4 to +6 stops
 */
public record LocalChange(Stops change) {
    private static final double DEEPEST_HOLD = -4;
    private static final double DEEPEST_BURN = 6;

    public LocalChange {
        Check.within("local change", change.inStops(), DEEPEST_HOLD, DEEPEST_BURN, "stops");
    }

    public static LocalChange ofStops(double stops) {
        return new LocalChange(Stops.of(stops));
    }

    /** LOC-03: s = log2(1 + p/100), p above −100 %. +50 % is +0.58 stop, −50 % is −1 stop: not the same stops. */
    public static LocalChange ofPercent(double percent) {
        Check.finite("percent", percent);
        if (percent <= -100) {
            throw new QuantityException(
                    QuantityException.Kind.OUT_OF_RANGE,
                    "percent",
                    "a hold-back must leave some light: more than −100 %, was " + Check.shown(percent) + " %");
        }
        return new LocalChange(Stops.ofFactor(1 + percent / 100));
    }

    /** From signed seconds on a base: + burned after it, − held back during it (less than the base). */
    public static LocalChange ofSeconds(ExposureTime base, double seconds) {
        Check.finite("seconds", seconds);
        if (seconds <= -base.inSeconds()) {
            throw new QuantityException(
                    QuantityException.Kind.OUT_OF_RANGE,
                    "seconds",
                    "a hold-back must be shorter than the base exposure");
        }
        return new LocalChange(Stops.ofFactor(1 + seconds / base.inSeconds()));
    }

    /**
     * LOC-15: s = log2(t_area/t_base), both read off strips for their own tone: what the area wants more (+) or less
     * (−) than the base gives.
     */
    public static LocalChange between(ExposureTime base, ExposureTime area) {
        return new LocalChange(area.stopsFrom(base));
    }

    public boolean isHold() {
        return change.inStops() < 0;
    }

    public boolean isBurn() {
        return change.inStops() > 0;
    }

    /** LOC-01, LOC-02: burn = T·(2^s − 1), hold = −T·(1 − 2^s): signed seconds on a base. */
    public double secondsOn(ExposureTime base) {
        return base.inSeconds() * (change.toFactor() - 1) + 0.0;
    }

    /** Signed seconds on a base that is long enough for the paper to lose speed: R(2^s·R⁻¹(T)) − T. */
    public double secondsOn(ExposureTime base, Reciprocity paper) {
        return paper.scaled(base, change.toFactor()).inSeconds() - base.inSeconds();
    }

    /** The same in percent of the base, signed. */
    public double toPercent() {
        return 100 * (change.toFactor() - 1) + 0.0;
    }
}
