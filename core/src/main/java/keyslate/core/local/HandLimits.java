package keyslate.core.local;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;

/**
 * What two hands can do. Defaults (a printer's own wins): a hold of at least 2 s, and at most 0.8 of the base.
 *
 * @param shortestHold seconds
 * @param largestFraction of the base
 */
public record HandLimits(ExposureTime shortestHold, double largestFraction) {
    public static final HandLimits DEFAULT = new HandLimits(ExposureTime.ofSeconds(2), 0.8);

    /**
     * Whether a hold can be done well.
     *
     * @param holdSeconds its length
     * @param fraction of the base
     * @param longEnough not too short for a hand
     * @param fractionFits not too much of the base
     * @param stopDown stops to close the lens so that it becomes long enough; 0 when it is
     */
    public record Feasibility(
            double holdSeconds, double fraction, boolean longEnough, boolean fractionFits, Stops stopDown) {}

    /** LOC-04: hold ≥ shortest, hold/T ≤ largest; else close ceil(q·log2(shortest/hold))/q stops. */
    public Feasibility check(ExposureTime base, LocalChange hold, int marksPerStop) {
        double seconds = Math.abs(Math.min(0, hold.secondsOn(base)));
        double fraction = seconds / base.inSeconds();
        boolean longEnough = seconds == 0 || seconds >= shortestHold.inSeconds() - 1e-9;
        Stops stopDown = Stops.ZERO;
        if (!longEnough) {
            double missing = Math.log(shortestHold.inSeconds() / seconds) / Math.log(2);
            stopDown = Stops.ofFraction((int) Math.ceil(marksPerStop * missing - 1e-9), marksPerStop);
        }
        return new Feasibility(seconds, fraction, longEnough, fraction <= largestFraction + 1e-9, stopDown);
    }

    /** LOC-05: width of the soft edge of a tool's shadow, A·h/(D − h); A exit pupil, D lens to paper, h above paper. */
    public static Length penumbra(Length pupil, Length lensToPaper, Length height) {
        checkHeight(lensToPaper, height);
        return Length.ofMm(pupil.inMm() * height.inMm() / (lensToPaper.inMm() - height.inMm()));
    }

    /** LOC-06: how much larger than the tool its shadow is, D/(D − h). */
    public static double shadowScale(Length lensToPaper, Length height) {
        checkHeight(lensToPaper, height);
        return lensToPaper.inMm() / (lensToPaper.inMm() - height.inMm());
    }

    /** LOC-07: the height that gives a soft edge of {@code width}: w·D/(A + w). */
    public static Length heightFor(Length pupil, Length lensToPaper, Length width) {
        Check.positive("exit pupil", pupil.inMm(), "mm");
        return Length.ofMm(width.inMm() * lensToPaper.inMm() / (pupil.inMm() + width.inMm()));
    }

    private static void checkHeight(Length lensToPaper, Length height) {
        Check.positive("lens to paper", lensToPaper.inMm(), "mm");
        if (height.inMm() >= lensToPaper.inMm()) {
            throw Check.outOfRange("tool height", "the tool must be held below the lens");
        }
    }
}
