package keyslate.core.darkroom;

import java.util.SplittableRandom;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Stops;

/**
 * What a simulated box of paper, a simulated enlarger and a simulated developer really are, which no advice may see.
 *
 * @param speedOffset how much faster (positive) the batch is than its type, ±1 stop
 * @param ratioOffset shift of log10(green/blue), positive = softer than labelled, ±0.3
 * @param lagSeconds the lamp's real dead time per burst
 * @param cornerLoss light lost in the corners of the sheet beyond the centre, stops
 * @param developerUsed share of the developer's capacity that is used up, 0 fresh to 1.2
 */
public record PaperTruth(
        Stops speedOffset, double ratioOffset, double lagSeconds, Stops cornerLoss, double developerUsed) {
    private static final double SPEED_SPREAD_STOPS = 0.35;
    private static final double RATIO_SPREAD = 0.08;

    public PaperTruth {
        Check.within("speed offset", speedOffset.inStops(), -1, 1, "stops");
        ratioOffset = Check.within("contrast offset", ratioOffset, -0.3, 0.3, "");
        lagSeconds = Check.within("lamp lag", lagSeconds, 0, 2, "s");
        Check.within("corner loss", cornerLoss.inStops(), 0, 1, "stops");
        developerUsed = Check.within("developer used", developerUsed, 0, 1.2, "");
    }

    /** No offset at all: the paper of the model, as a preview assumes it. */
    public static PaperTruth asLabelled() {
        return new PaperTruth(Stops.ZERO, 0, 0, Stops.ZERO, 0);
    }

    /** The truth of a batch in fresh developer, the same for the same seed. */
    public static PaperTruth ofBatch(long seed, double lagSeconds) {
        SplittableRandom random = new SplittableRandom(seed);
        double speed = SPEED_SPREAD_STOPS * (2 * random.nextDouble() - 1);
        double ratio = RATIO_SPREAD * (2 * random.nextDouble() - 1);
        return new PaperTruth(Stops.of(speed), ratio, lagSeconds, Stops.of(0.05 + 0.05 * random.nextDouble()), 0);
    }

    /** The same paper in a developer that has been used. */
    public PaperTruth inDeveloperUsed(double share) {
        return new PaperTruth(speedOffset, ratioOffset, lagSeconds, cornerLoss, share);
    }

    /**
     * DRK-05: log10 of the speed against the type: the batch's offset, and log10(1 − 0.35·used) for a developer that works
     * on for the usual time though it would need longer (PRO-08).
     */
    double logSpeed() {
        return speedOffset.toLogExposure() + usedLog(developerUsed);
    }

    static double usedLog(double used) {
        return -Math.log10(keyslate.core.process.ProcessTime.usedFactor(used));
    }
}
