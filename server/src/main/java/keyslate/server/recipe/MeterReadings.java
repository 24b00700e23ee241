package keyslate.server.recipe;

import java.util.Optional;
import keyslate.core.quantity.Check;
import keyslate.core.rescale.Link;
import keyslate.core.rescale.Links;
import keyslate.server.Show;
import keyslate.server.web.FieldErrors;
import org.jspecify.annotations.Nullable;

/**
 * A meter's readings at the board, carrier empty: as it stood for a print, and as it stands now.
 *
 * @param before above 0, in any unit; {@code now} in the same
 */
public record MeterReadings(double before, double now) {
    /** Both, or none; what cannot be is said at its field under {@code at}. */
    public static Optional<MeterReadings> of(
            FieldErrors errors, String at, @Nullable Double before, @Nullable Double now) {
        if (before == null && now == null) {
            return Optional.empty();
        }
        double first = reading(errors, at + "/luxBefore", before);
        double second = reading(errors, at + "/luxNow", now);
        return Optional.of(new MeterReadings(first, second));
    }

    private static double reading(FieldErrors errors, String pointer, @Nullable Double given) {
        return errors.check(pointer, 1.0, () -> Check.positive("reading", given == null ? Double.NaN : given, ""));
    }

    /** It takes the place of size, opening and lamp. */
    Link link() {
        return Links.meter(before, now, Links.METER_STOPS);
    }

    String line() {
        return "× " + Show.factor(before / now) + " by the meter: " + Show.number(before) + " then, " + Show.number(now)
                + " now; it takes the place of size, opening and lamp";
    }
}
