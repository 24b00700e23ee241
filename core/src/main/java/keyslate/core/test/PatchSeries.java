package keyslate.core.test;

import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TestSeries;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;

/**
 * What the patches of a test are to receive, the lightest first. Every way keeps its own figures, so that another way can be tried and left again.
 *
 * @param kind how the patches follow each other
 * @param centre of a series of stops or seconds, received; none follows the base exposure
 * @param step from patch to patch, 1/24 to 3 stops
 * @param stepSeconds from patch to patch in equal seconds, 0.1 to 600
 * @param count patches of a series of stops or seconds, 2 to 15
 * @param own times received, rising, one's own list; empty until one was made
 * @param presses counts of one setting in all for each patch, rising, 1 to {@value #MOST_PRESSES}
 * @param eachPress what the timer is set to for a press, lag included; none = so that the middle patch gets the base exposure
 */
public record PatchSeries(
        Kind kind,
        Optional<ExposureTime> centre,
        Stops step,
        double stepSeconds,
        int count,
        List<ExposureTime> own,
        List<Integer> presses,
        Optional<ExposureTime> eachPress) {
    public static final Stops SMALLEST_STEP = Stops.ofFraction(1, 24);
    public static final Stops LARGEST_STEP = Stops.of(3);
    public static final double SMALLEST_STEP_SECONDS = 0.1;
    public static final double LARGEST_STEP_SECONDS = 600;
    public static final int MOST_PRESSES = 99;
    /** Half stops by whole presses. */
    public static final List<Integer> HALF_STOPS = List.of(4, 6, 8, 11, 16);
    /** Nearly thirds of a stop from the sixth on, for a negative of which nothing is known. */
    public static final List<Integer> FAR_PRESSES = List.of(1, 2, 3, 4, 5, 6, 8, 10, 13, 16, 20, 25, 32, 40, 50);
    /** Steps of 1/9 to 1/18 stop, one stop in all. */
    public static final List<Integer> FINE_PRESSES =
            List.of(12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24, 25, 26);

    /** How the patches follow each other. */
    public enum Kind {
        EQUAL_STOPS,
        EQUAL_SECONDS,
        /** A list of one's own. */
        OWN_TIMES,
        /** So many presses of one setting. */
        PRESSES
    }

    public PatchSeries {
        Check.within(
                "step",
                Check.positive("step", step.inStops(), "stops"),
                SMALLEST_STEP.inStops(),
                LARGEST_STEP.inStops(),
                "stops");
        Check.within(
                "step", Check.positive("step", stepSeconds, "s"), SMALLEST_STEP_SECONDS, LARGEST_STEP_SECONDS, "s");
        Check.count("patches", count, TestSeries.FEWEST_PATCHES, TestSeries.MOST_PATCHES);
        own = own.isEmpty() && kind != Kind.OWN_TIMES ? List.of() : checkedOwn(own);
        presses = checkedPresses(presses);
    }

    /** A list of one's own: 2 to 15 times, each more than the one before it. */
    public static List<ExposureTime> checkedOwn(List<ExposureTime> times) {
        Check.count("patches", times.size(), TestSeries.FEWEST_PATCHES, TestSeries.MOST_PATCHES);
        refuseUnlessRising(times.stream().map(ExposureTime::inSeconds).toList());
        return List.copyOf(times);
    }

    /** Presses in all for each patch: 2 to 15 counts, each more than the one before it, 1 to {@value #MOST_PRESSES}. */
    public static List<Integer> checkedPresses(List<Integer> counts) {
        Check.count("patches", counts.size(), TestSeries.FEWEST_PATCHES, TestSeries.MOST_PATCHES);
        counts.forEach(n -> Check.count("presses", n, 1, MOST_PRESSES));
        refuseUnlessRising(counts.stream().map(Integer::doubleValue).toList());
        return List.copyOf(counts);
    }

    /** A series about the base exposure. */
    public static PatchSeries stops(Stops step, double stepSeconds, int count) {
        return new PatchSeries(
                Kind.EQUAL_STOPS, Optional.empty(), step, stepSeconds, count, List.of(), HALF_STOPS, Optional.empty());
    }

    private static void refuseUnlessRising(List<Double> series) {
        for (int i = 1; i < series.size(); i++) {
            if (series.get(i) <= series.get(i - 1)) {
                throw new QuantityException(
                        QuantityException.Kind.OUT_OF_RANGE,
                        "series",
                        "each patch must get more than the one before it");
            }
        }
    }

    /** The same series with so many stops more light in each patch; what follows the base exposure follows it still. */
    PatchSeries times(Stops more) {
        double seconds = stepSeconds * more.toFactor();
        return new PatchSeries(
                kind,
                centre.map(t -> t.plus(more)),
                step,
                Math.max(SMALLEST_STEP_SECONDS, Math.min(LARGEST_STEP_SECONDS, seconds)),
                count,
                own.stream().map(t -> t.plus(more)).toList(),
                presses,
                eachPress.map(t -> t.plus(more)));
    }

    /** How many patches there are. */
    public int patches() {
        return switch (kind) {
            case EQUAL_STOPS, EQUAL_SECONDS -> count;
            case OWN_TIMES -> own.size();
            case PRESSES -> presses.size();
        };
    }

    /** The middle of the series where it is its own, else the base exposure. */
    public ExposureTime middle(ExposureTime base) {
        return kind == Kind.OWN_TIMES || kind == Kind.PRESSES ? base : centre.orElse(base);
    }

    /** What each patch is to receive, the lightest first. */
    public List<ExposureTime> totals(ExposureTime base, TimerSteps timer, LampLag lag) {
        return switch (kind) {
            case EQUAL_STOPS -> TestSeries.equalStopsAbout(middle(base), step, count);
            case EQUAL_SECONDS -> TestSeries.equalSecondsAbout(middle(base), stepSeconds, count);
            case OWN_TIMES -> own;
            case PRESSES -> {
                double each = lag.receivedSeconds(press(base, timer, lag));
                yield presses.stream()
                        .map(n -> ExposureTime.ofSeconds(n * each))
                        .toList();
            }
        };
    }

    /** What the timer is set to for each press. */
    public ExposureTime press(ExposureTime base, TimerSteps timer, LampLag lag) {
        ExposureTime set =
                eachPress.orElseGet(() -> timer.nearest(lag.toSet(base.times(1.0 / presses.get(presses.size() / 2))))
                        .time());
        if (lag.receivedSeconds(set) <= 0) {
            throw Check.outOfRange(
                    "press", "a press of " + Check.shown(set.inSeconds()) + " s is no longer than the lamp's lag");
        }
        return set;
    }

    /** The same series about whatever base exposure stands; a list and presses of one's own stay. */
    public PatchSeries followingBase() {
        return new PatchSeries(kind, Optional.empty(), step, stepSeconds, count, own, presses, eachPress);
    }

    /** Equal stops about the base exposure. */
    public PatchSeries ofStops(Stops each, int patches) {
        return new PatchSeries(Kind.EQUAL_STOPS, Optional.empty(), each, stepSeconds, patches, own, presses, eachPress);
    }

    /** Presses of one setting about the base exposure. */
    public PatchSeries pressed(List<Integer> counts) {
        return new PatchSeries(Kind.PRESSES, centre, step, stepSeconds, count, own, counts, Optional.empty());
    }

    /** The step in stops, of equal stops alone. */
    public Optional<Stops> inStops() {
        return kind == Kind.EQUAL_STOPS ? Optional.of(step) : Optional.empty();
    }
}
