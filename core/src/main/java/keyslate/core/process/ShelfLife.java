package keyslate.core.process;

import keyslate.core.quantity.Check;

/**
 * How long a stock keeps in its bottle.
 *
 * <p>PRO-10: life is log-linear in fullness, 20 days nearly empty to 180 days full; a generic figure, the maker's own wins.
 *
 * @param lifeDays days from mixing
 * @param leftDays days that are left, 0 or more
 */
public record ShelfLife(double lifeDays, double leftDays) {
    private static final double NEARLY_EMPTY_DAYS = 20;
    private static final double FULL_DAYS = 180;

    /** For a bottle mixed {@code ageDays} ago; fullness above 0, up to 1. */
    public static ShelfLife of(double ageDays, double fullness) {
        Check.notNegative("age", ageDays, "days");
        Check.positive("fullness", fullness, "");
        Check.within("fullness", fullness, 0, 1, "");
        double life = NEARLY_EMPTY_DAYS * Math.pow(FULL_DAYS / NEARLY_EMPTY_DAYS, fullness);
        return new ShelfLife(life, Math.max(0, life - ageDays));
    }

    public boolean isExpired() {
        return leftDays <= 0;
    }
}
