package keyslate.core.trial;

import java.util.OptionalDouble;
import keyslate.core.colour.ColourBalance;
import keyslate.core.colour.ColourBalance.Printed;
import keyslate.core.colour.ColourDifference;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.colour.ViewingLight;
import keyslate.core.quantity.QuantityException;
import keyslate.core.reading.ScanColour;

/** A test print, its grey card read from a scan, the correction through the curve; from the second print on the correction learns from the first. */
final class ColourByScan implements Method {
    private static final double DONE_DELTA_E = 1;
    private static final DyeImage WANTED =
            DyeImage.looking(ColourBalance.lightnessOf(ColourWorld.WANTED_DENSITY), 0, 0, ViewingLight.USUAL);

    @Override
    public Outcome run(long seed) {
        ColourWorld world = new ColourWorld(seed);
        Exposed standing = ColourWorld.firstGuess();
        Printed before = null;
        boolean withinGoal = false;
        int pieces = 0;
        while (pieces < MOST_PIECES) {
            pieces++;
            DyeImage.Appearance seen = ScanColour.of(world.scanned(ColourByEye.set(standing)), world.scannedWhite());
            Printed now = new Printed(dyes(seen), standing.pack(), standing.time());
            boolean done = ColourDifference.of(seen, WANTED.in(ViewingLight.USUAL)) <= DONE_DELTA_E;
            if (!done) {
                ColourBalance next = before == null
                        ? ColourBalance.corrected(now.look(), WANTED, now.pack(), now.time(), FilterSet.DICHROIC)
                        : ColourBalance.correctedBySecant(before, now, WANTED, FilterSet.DICHROIC)
                                .balance();
                standing = new Exposed(next.pack(), next.time());
                before = now;
            }
            if (pieces <= Outcome.COLOUR_PIECES) {
                withinGoal = isWithinGoal(world, standing);
            }
            if (done) {
                break;
            }
        }
        Exposed set = ColourByEye.set(standing);
        return new Outcome(
                pieces,
                Math.abs(world.stopsTooDark(set)),
                OptionalDouble.empty(),
                OptionalDouble.of(world.castDeltaE(set.pack())),
                withinGoal);
    }

    private static boolean isWithinGoal(ColourWorld world, Exposed standing) {
        Exposed set = ColourByEye.set(standing);
        return Outcome.colourGoal(world.stopsTooDark(set), world.castDeltaE(set.pack()));
    }

    /** A print so pale or dark that its look is outside the dyes is taken for the neutral of its lightness. */
    private static DyeImage dyes(DyeImage.Appearance seen) {
        try {
            return DyeImage.looking(seen.lightness(), seen.a(), seen.b(), ViewingLight.USUAL);
        } catch (QuantityException e) {
            return DyeImage.looking(Math.max(10, Math.min(90, seen.lightness())), 0, 0, ViewingLight.USUAL);
        }
    }
}
