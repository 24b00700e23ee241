package keyslate.core.trial;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.SplitExposure;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.StripReading;

/**
 * Strips, marks and the advice on them, followed to the letter: a strip of thirds about a plain guess, a check strip where the reading is not sure enough, the print. As a split the
 * same reading is exposed through both filters, so that the grade need not be one of the set.
 */
final class MonoMethod implements Method {
    private static final int PATCHES = 15;
    private static final Stops STEP = Stops.ofFraction(1, 3);
    private static final ExposureTime GUESS = ExposureTime.ofSeconds(10);

    private final VariableContrastPaper paper = new VariableContrastPaper();
    private final boolean split;

    MonoMethod(boolean split) {
        this.split = split;
    }

    /** What stands in the recipe: a grade and the seconds of one burst at it. */
    private record Standing(Grade grade, double setSeconds) {}

    @Override
    public Outcome run(long seed) {
        MonoWorld world = new MonoWorld(seed);
        Eye eye = new Eye(seed);
        GradeFilter filter = GradeFilter.G2;
        CheckStrip next = new CheckStrip(GUESS, STEP, PATCHES);
        Standing standing = standing(filter, filter.grade(), GUESS);
        boolean withinGoal = false;
        int pieces = 0;
        while (pieces < MOST_PIECES) {
            pieces++;
            StripOnPaper strip = StripOnPaper.expose(next);
            List<ExposureTime> totals = strip.totals();
            double whites =
                    eye.place(world.whitesPlace(filter, strip), next.step().inStops());
            double blacks =
                    eye.place(world.blacksPlace(filter, strip), next.step().inStops());
            if (Eye.beyond(whites, totals.size())) {
                next = CheckStrip.beyond(totals, whites > 0);
            } else {
                StripReading reading = StripReading.of(
                        paper,
                        filter,
                        totals,
                        Eye.mark(whites, totals.size()),
                        Optional.of(Eye.mark(blacks, totals.size())));
                filter = reading.filter();
                standing = standing(filter, exact(reading), reading.time());
                Optional<CheckStrip> check = CheckStrip.after(reading.time(), reading.uncertainty());
                if (check.isEmpty()) {
                    withinGoal |= pieces <= Outcome.MONO_PIECES && isWithinGoal(world, standing);
                    break;
                }
                next = check.get();
            }
            withinGoal = pieces == Outcome.MONO_PIECES ? isWithinGoal(world, standing) : withinGoal;
        }
        return new Outcome(
                pieces,
                Math.abs(world.stopsTooDark(standing.grade(), standing.setSeconds())),
                OptionalDouble.of(world.gradesOff(standing.grade(), !split)),
                OptionalDouble.empty(),
                withinGoal);
    }

    private boolean isWithinGoal(MonoWorld world, Standing s) {
        return Outcome.monoGoal(world.stopsTooDark(s.grade(), s.setSeconds()), world.gradesOff(s.grade(), !split));
    }

    private static Grade exact(StripReading reading) {
        return reading.outcome()
                .filter(GradeAdvice.Reached.class::isInstance)
                .map(o -> ((GradeAdvice.Reached) o).exactGrade())
                .orElse(reading.filter().grade());
    }

    private Standing standing(GradeFilter filter, Grade exact, ExposureTime time) {
        if (!split) {
            double seconds = MonoWorld.KNOWN_LAG.toSet(time).inSeconds();
            return new Standing(
                    filter.grade(),
                    TimerSteps.tenths()
                            .nearest(ExposureTime.ofSeconds(seconds))
                            .time()
                            .inSeconds());
        }
        // The whites stay while the grade moves from the filter to the exact one; then the pair that is worth it.
        ExposureTime held = time.times(paper.pivotFactor(filter.grade(), exact, VariableContrastPaper.HIGHLIGHT_NET));
        SplitExposure two = new SplitExposure(paper, GradeFilter.G00.grade(), GradeFilter.G5.grade());
        SplitExposure.Pair pair = two.of(exact, held);
        SplitExposure.Single single = two.equivalent(tenth(pair.softSeconds()), tenth(pair.hardSeconds()));
        return new Standing(
                single.grade(), MonoWorld.KNOWN_LAG.toSet(single.time()).inSeconds());
    }

    private static double tenth(double seconds) {
        return Math.round(10 * seconds) / 10.0;
    }
}
