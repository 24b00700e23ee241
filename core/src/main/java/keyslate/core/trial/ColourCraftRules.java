package keyslate.core.trial;

import java.util.OptionalDouble;
import keyslate.core.colour.NeutralRemoval;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;

/**
 * The plain rules of the craft, for comparison: a strip of equal seconds, whole test prints, the strongest cast first and one at a time, half the viewing filter, and the time left as it stands when the pack
 * changes.
 */
final class ColourCraftRules implements Method {
    private static final int PATCHES = 8;
    private static final double STEP_SECONDS = 3;
    private static final double HALF = 0.5;
    private static final double GOOD_ENOUGH = 5;
    private static final double NOTICED_STOPS = 0.25;

    @Override
    public Outcome run(long seed) {
        ColourWorld world = new ColourWorld(seed);
        Eye eye = new Eye(seed);
        FilterPack pack = ColourWorld.firstGuess().pack();
        double seconds = strip(world, eye, pack);
        boolean withinGoal = false;
        int pieces = 1;
        while (pieces < MOST_PIECES) {
            pieces++;
            Exposed print = new Exposed(pack, ExposureTime.ofSeconds(seconds));
            double dark = eye.tooDark(world.stopsTooDark(print));
            double magenta = eye.castWithKit(world.magentaCast(print));
            double yellow = eye.castWithKit(world.yellowCast(print));
            boolean densityOff = Math.abs(dark) > NOTICED_STOPS;
            boolean castOff = Math.max(Math.abs(magenta), Math.abs(yellow)) > GOOD_ENOUGH;
            if (densityOff) {
                seconds *= Stops.of(-dark).toFactor();
            } else if (castOff) {
                boolean magentaFirst = Math.abs(magenta) >= Math.abs(yellow);
                pack = moved(pack, magentaFirst ? HALF * magenta : 0, magentaFirst ? 0 : HALF * yellow);
            }
            if (pieces <= Outcome.COLOUR_PIECES) {
                Exposed now = new Exposed(pack, ExposureTime.ofSeconds(seconds));
                withinGoal = Outcome.colourGoal(world.stopsTooDark(now), world.castDeltaE(pack));
            }
            if (!densityOff && !castOff) {
                break;
            }
        }
        return new Outcome(
                pieces,
                Math.abs(world.stopsTooDark(new Exposed(pack, ExposureTime.ofSeconds(seconds)))),
                OptionalDouble.empty(),
                OptionalDouble.of(world.castDeltaE(pack)),
                withinGoal);
    }

    private static double strip(ColourWorld world, Eye eye, FilterPack pack) {
        StripOnPaper strip = StripOnPaper.equalBursts(STEP_SECONDS, PATCHES);
        double seen = eye.place(world.densityPlace(pack, strip), 1);
        return (Math.max(0, Math.min(PATCHES - 1, Math.round(seen))) + 1) * STEP_SECONDS;
    }

    private static FilterPack moved(FilterPack pack, double magenta, double yellow) {
        return NeutralRemoval.of(pack.toShift().plus(FilterShift.of(0, magenta, yellow)))
                .pack();
    }
}
