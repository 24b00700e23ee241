package keyslate.core.trial;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.PatchPick;
import keyslate.core.local.LocalChange;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;

/** One area that wants more or less than the base: both read off strips, the change in stops, the seconds from them. */
final class LocalMethod implements Method {
    private static final int PATCHES = 9;
    private static final Stops STEP = Stops.ofFraction(1, 3);
    private static final double DEEPEST = 4;

    /** Reads a tone off a strip. */
    private interface Place {
        double on(StripOnPaper strip);
    }

    private record Read(ExposureTime time, int pieces) {}

    @Override
    public Outcome run(long seed) {
        MonoWorld world = new MonoWorld(seed);
        Eye eye = new Eye(seed);
        Read base = read(eye, ExposureTime.ofSeconds(10), b -> world.whitesPlace(GradeFilter.G2, b));
        Read area = read(eye, base.time(), b -> world.areaPlace(GradeFilter.G2, b));
        double stops = Math.max(
                -DEEPEST, Math.min(DEEPEST, area.time().stopsFrom(base.time()).inStops()));
        LocalChange change = LocalChange.between(base.time(), base.time().plus(Stops.of(stops)));
        // The base is one burst; the seconds of the area are another, or are held back from it, to a tenth.
        double seconds = Math.round(10 * change.secondsOn(base.time())) / 10.0;
        double given = LocalChange.ofSeconds(base.time(), seconds).change().inStops();
        double error = Math.abs(given - world.areaStops());
        int pieces = base.pieces() + area.pieces();
        return new Outcome(
                pieces,
                error,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Outcome.monoGoal(error, 0) && pieces <= 2 * Outcome.MONO_PIECES);
    }

    private static Read read(Eye eye, ExposureTime guess, Place place) {
        CheckStrip next = new CheckStrip(guess, STEP, PATCHES);
        int pieces = 0;
        ExposureTime time = guess;
        while (pieces < MOST_PIECES) {
            pieces++;
            StripOnPaper strip = StripOnPaper.expose(next);
            List<ExposureTime> totals = strip.totals();
            double seen = eye.place(place.on(strip), next.step().inStops());
            if (Eye.beyond(seen, totals.size())) {
                next = CheckStrip.beyond(totals, seen > 0);
                continue;
            }
            PatchPick mark = Eye.mark(seen, totals.size());
            time = mark.timeOn(totals);
            Optional<CheckStrip> check = CheckStrip.after(time, mark.uncertaintyOn(totals));
            if (check.isEmpty()) {
                break;
            }
            next = check.get();
        }
        return new Read(time, pieces);
    }
}
