package keyslate.store.slate;

/**
 * What the lamp did: on, and once it is off, for how long and why.
 *
 * @param burstPlace the burst of the script, from 1
 * @param attempt from 1; a burst that was stopped is gone on with in another
 * @param setSeconds what the timer was set to, above 0, lag included
 * @param offAt null while it is on
 * @param givenSeconds how long it was on, lag not taken off; null while it is on, or when nobody knows
 * @param outcome COMPLETE, STOPPED or POWER_LOST; null while it is on
 */
public record LampRecord(
        String sheetId,
        int burstPlace,
        int attempt,
        double setSeconds,
        String onAt,
        String offAt,
        Double givenSeconds,
        String outcome) {}
