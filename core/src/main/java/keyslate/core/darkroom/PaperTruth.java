package keyslate.core.darkroom;

import java.util.SplittableRandom;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Stops;

/**
 * What a simulated box of paper and a simulated enlarger really are, which no advice may see.
 *
 * @param speedOffset how much faster (positive) the batch is than its type, ±1 stop
 * @param ratioOffset shift of log10(green/blue), positive = softer than labelled, ±0.3
 * @param lagSeconds the lamp's real dead time per burst
 * @param cornerLoss light lost in the corners of the sheet beyond the centre, stops
 */
public record PaperTruth(Stops speedOffset, double ratioOffset, double lagSeconds, Stops cornerLoss) {
    private static final double SPEED_SPREAD_STOPS = 0.35;
    private static final double RATIO_SPREAD = 0.08;

    public PaperTruth {
        Check.within("speed offset", speedOffset.inStops(), -1, 1, "stops");
        ratioOffset = Check.within("contrast offset", ratioOffset, -0.3, 0.3, "");
        lagSeconds = Check.within("lamp lag", lagSeconds, 0, 2, "s");
        Check.within("corner loss", cornerLoss.inStops(), 0, 1, "stops");
    }

    /** No offset at all: the paper of the model, as a preview assumes it. */
    public static PaperTruth asLabelled() {
        return new PaperTruth(Stops.ZERO, 0, 0, Stops.ZERO);
    }

    /** The truth of a batch, the same for the same seed. */
    public static PaperTruth ofBatch(long seed, double lagSeconds) {
        SplittableRandom random = new SplittableRandom(seed);
        double speed = SPEED_SPREAD_STOPS * (2 * random.nextDouble() - 1);
        double ratio = RATIO_SPREAD * (2 * random.nextDouble() - 1);
        return new PaperTruth(Stops.of(speed), ratio, lagSeconds, Stops.of(0.05 + 0.05 * random.nextDouble()));
    }
}
