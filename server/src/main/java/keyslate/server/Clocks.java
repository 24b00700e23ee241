package keyslate.server;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;

/** Time stamps as they are stored: ISO 8601, UTC, always with three digits of milliseconds, so that text sorts as time. */
public final class Clocks {
    private static final DateTimeFormatter STAMP =
            DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm:ss.SSS'Z'").withZone(ZoneOffset.UTC);

    private Clocks() {}

    public static String now(Clock clock) {
        return of(clock.instant());
    }

    public static String of(Instant instant) {
        return STAMP.format(instant);
    }
}
