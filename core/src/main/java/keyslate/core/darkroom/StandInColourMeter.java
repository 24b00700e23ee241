package keyslate.core.darkroom;

import java.util.SplittableRandom;
import keyslate.core.colour.CardSpot;
import keyslate.core.colour.ColourBalance;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Layers;
import keyslate.core.quantity.FilterPack;

/**
 * The simulated colour meter: under a diffuser all that the negative lets through is mixed, and the pack it asks for would print that mixture neutral on the box that
 * it was set for. A scene whose colours do not add up to grey misleads it, as they do; its own error is half a point.
 */
public final class StandInColourMeter {
    private static final double NOISE_POINTS = 0.5;

    private StandInColourMeter() {}

    /**
     * The pack it asks for, by the dials.
     *
     * @param negative the part that is projected
     * @param box names the batch that it was set for
     * @param reading makes each reading's error its own
     * @throws keyslate.core.quantity.QuantityException where no pack prints the mixture neutral
     */
    public static FilterPack asks(Negative.Colour negative, long box, long reading) {
        ColourTruth truth = ColourTruth.ofBatch(box, 0);
        double[] mixed = new double[3];
        for (int l = 0; l < 3; l++) {
            mixed[l] = mixed(negative.density().channel(l)) - truth.logSpeed(l);
        }
        FilterPack light = ColourBalance.of(
                        Layers.of(mixed), CardSpot.WANTED_DENSITY, ColourSheet.USUAL_KELVIN, FilterSet.DICHROIC)
                .pack();
        SplittableRandom random = new SplittableRandom(box ^ reading);
        return FilterPack.of(
                light.inCyan() / truth.dial(),
                shown(light.inMagenta() / truth.dial(), random),
                shown(light.inYellow() / truth.dial(), random));
    }

    private static double shown(double points, SplittableRandom random) {
        return Math.max(0, points + random.nextDouble(-NOISE_POINTS, NOISE_POINTS));
    }

    /** Density of what comes through, mixed. */
    private static double mixed(Raster density) {
        double through = 0;
        for (float d : density.samples()) {
            through += Math.pow(10, -d);
        }
        return -Math.log10(through / density.samples().length);
    }
}
