package keyslate.store.slate;

/**
 * What the lamp did: on, and once it is off, for how long and why.
 *
 * @param stepPlace the step of the script, from 1
 * @param attempt from 1; a step that was stopped is gone on with in another
 * @param setSeconds what the timer was set to, all presses together, above 0, lag included
 * @param offAt null while it is on
 * @param givenSeconds how long it was on, lag not taken off; null while it is on, or when nobody knows
 * @param outcome COMPLETE, STOPPED or POWER_LOST; null while it is on
 * @param told whether the printer said so and the application switched nothing
 */
public record LampRecord(
        String sheetId,
        int stepPlace,
        int attempt,
        double setSeconds,
        String onAt,
        String offAt,
        Double givenSeconds,
        String outcome,
        boolean told) {
    public static final String COMPLETE = "COMPLETE";
    public static final String STOPPED = "STOPPED";
    public static final String POWER_LOST = "POWER_LOST";

    public boolean isOn() {
        return offAt == null;
    }

    public boolean isComplete() {
        return COMPLETE.equals(outcome);
    }

    public boolean isLost() {
        return POWER_LOST.equals(outcome);
    }

    /** The same record once the lamp is off. */
    public LampRecord ended(String at, Double given, String how) {
        return new LampRecord(sheetId, stepPlace, attempt, setSeconds, onAt, at, given, how, told);
    }
}
