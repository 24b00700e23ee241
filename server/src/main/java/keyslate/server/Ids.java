package keyslate.server;

import java.util.UUID;

/** Names for stored things: they stay the same when a slate moves to another data file. */
public final class Ids {
    private Ids() {}

    public static String fresh() {
        return UUID.randomUUID().toString();
    }
}
