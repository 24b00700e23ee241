package keyslate.core.darkroom;

import java.util.SplittableRandom;
import keyslate.core.colour.Layers;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;

/**
 * What a simulated box of colour paper, a head and a developer really are, which no advice may see.
 *
 * @param speed offset of each layer's log exposure against the type, ±0.5: the batch's speed and balance
 * @param gradient steepness of the batch against the type, 0.8 to 1.25
 * @param dial true points for a point of the dial, 0.7 to 1.4
 * @param lagSeconds the lamp's real dead time per burst
 * @param cornerLoss light lost in the corners of the sheet beyond the centre, stops
 * @param developerUsed share of the developer's capacity that is used up, 0 fresh to 1.2
 */
public record ColourTruth(
        Layers speed, double gradient, double dial, double lagSeconds, Stops cornerLoss, double developerUsed) {
    private static final double SPEED_SPREAD = 0.10;
    private static final double BALANCE_SPREAD = 0.08;
    private static final double GRADIENT_SPREAD = 0.08;
    private static final double DIAL_SPREAD = 0.12;
    /** A tired developer reaches the layer next to the base last: its loss beyond the common one. Generic. */
    private static final double[] STARVED = {0, 0.02, 0.05};

    public ColourTruth {
        for (int l = 0; l < 3; l++) {
            Check.within("speed offset", speed.at(l), -0.5, 0.5, "");
        }
        gradient = Check.within("gradient", gradient, 0.8, 1.25, "");
        dial = Check.within("dial", dial, 0.7, 1.4, "");
        lagSeconds = Check.within("lamp lag", lagSeconds, 0, 2, "s");
        Check.within("corner loss", cornerLoss.inStops(), 0, 1, "stops");
        developerUsed = Check.within("developer used", developerUsed, 0, 1.2, "");
    }

    /** No offset at all: the paper of the model, as a preview assumes it. */
    public static ColourTruth asLabelled() {
        return new ColourTruth(new Layers(0, 0, 0), 1, 1, 0, Stops.ZERO, 0);
    }

    /** Paper as labelled but for the speed of each layer, log10, as a scan has told it. */
    static ColourTruth withSpeeds(Layers speed) {
        return new ColourTruth(speed, 1, 1, 0, Stops.ZERO, 0);
    }

    /** The truth of a batch in fresh developer, the same for the same seed. */
    public static ColourTruth ofBatch(long seed, double lagSeconds) {
        SplittableRandom random = new SplittableRandom(seed);
        double speed = spread(random, SPEED_SPREAD);
        Layers layers =
                new Layers(speed + spread(random, BALANCE_SPREAD), speed, speed + spread(random, BALANCE_SPREAD));
        return new ColourTruth(
                layers,
                1 + spread(random, GRADIENT_SPREAD),
                1 + spread(random, DIAL_SPREAD),
                lagSeconds,
                Stops.of(0.05 + 0.05 * random.nextDouble()),
                0);
    }

    /** The same paper in a developer that has been used. */
    public ColourTruth inDeveloperUsed(double share) {
        return new ColourTruth(speed, gradient, dial, lagSeconds, cornerLoss, share);
    }

    /**
     * DRK-06: offset of a layer's log exposure: the batch's, log10(1 − 0.35·used) as in DRK-05, and up to 0.05 more in the
     * layer next to the base. Time brings back the first, not the second.
     */
    double logSpeed(int layer) {
        return speed.at(layer) + PaperTruth.usedLog(developerUsed) - STARVED[layer] * developerUsed;
    }

    /** What is in the light when the dial says {@code pack}. */
    FilterPack inTheLight(FilterPack pack) {
        return FilterPack.of(
                Math.min(FilterPack.MOST, pack.inCyan() * dial),
                Math.min(FilterPack.MOST, pack.inMagenta() * dial),
                Math.min(FilterPack.MOST, pack.inYellow() * dial));
    }

    private static double spread(SplittableRandom random, double size) {
        return size * (2 * random.nextDouble() - 1);
    }
}
