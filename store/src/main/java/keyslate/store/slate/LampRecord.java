package keyslate.store.slate;

/** What the lamp did: on, and once it is off, for how long and why. */
public record LampRecord(
        String sheetId,
        int burstPlace,
        int attempt,
        double setSeconds,
        String onAt,
        String offAt,
        Double givenSeconds,
        String outcome) {}
