package keyslate.server;

import java.time.Clock;
import java.time.temporal.ChronoUnit;

/** Time stamps as they are stored: ISO 8601, UTC, milliseconds. */
public final class Clocks {
    private Clocks() {}

    public static String now(Clock clock) {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS).toString();
    }
}
