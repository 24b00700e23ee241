package keyslate.core.trial;

import java.util.OptionalDouble;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.quantity.Grade;

/**
 * The plain rules of the craft, for comparison: a strip of equal seconds, the nearest patch and no reading between, patch number times the step, no lag, a filter harder or softer by feel, the same
 * time from 00 to 3½ and twice from 4 on.
 */
final class MonoCraftRules implements Method {
    private static final double STEP_SECONDS = 3;
    private static final int PATCHES = 8;
    private static final double NOTICED_PATCHES = 1;

    @Override
    public Outcome run(long seed) {
        MonoWorld world = new MonoWorld(seed);
        Eye eye = new Eye(seed);
        GradeFilter filter = GradeFilter.G2;
        double step = STEP_SECONDS;
        double seconds = step;
        boolean withinGoal = false;
        int pieces = 0;
        while (pieces < MOST_PIECES) {
            pieces++;
            StripOnPaper strip = StripOnPaper.equalBursts(step, PATCHES);
            double whites = seen(eye, world.whitesPlace(filter, strip));
            double blacks = seen(eye, world.blacksPlace(filter, strip));
            if (whites > PATCHES - 1) {
                step *= 2;
                continue;
            }
            if (whites < 0) {
                step /= 2;
                continue;
            }
            seconds = (Math.round(whites) + 1) * step;
            GradeFilter next = byFeel(filter, blacks - whites);
            boolean settled = next == filter;
            if (!settled) {
                seconds *= slow(next) / slow(filter);
                filter = next;
            }
            withinGoal = pieces <= Outcome.MONO_PIECES
                    ? Outcome.monoGoal(
                            world.stopsTooDark(filter.grade(), seconds), world.gradesOff(filter.grade(), true))
                    : withinGoal;
            if (settled) {
                break;
            }
        }
        return new Outcome(
                pieces,
                Math.abs(world.stopsTooDark(filter.grade(), seconds)),
                OptionalDouble.of(world.gradesOff(filter.grade(), true)),
                OptionalDouble.empty(),
                withinGoal);
    }

    private static double seen(Eye eye, double place) {
        return eye.place(place, 1);
    }

    /** A whole filter harder when the blacks come clearly later than the whites hold, softer when earlier. */
    private static GradeFilter byFeel(GradeFilter now, double patchesLate) {
        if (Math.abs(patchesLate) < NOTICED_PATCHES) {
            return now;
        }
        double wanted = now.grade().onScale() + Math.signum(patchesLate);
        return GradeFilter.nearest(Grade.of(Math.max(-1, Math.min(5, wanted))));
    }

    private static double slow(GradeFilter filter) {
        return filter.grade().onScale() >= 4 ? 2 : 1;
    }
}
