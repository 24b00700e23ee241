package keyslate.core.script;

import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.TestSeries;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;

/**
 * A strip that is exposed whole first and then covered patch by patch.
 *
 * @param series equal stops or equal seconds
 * @param centre centre of the series, seconds received; none follows the base exposure
 * @param step from patch to patch, 1/24 to 3 stops
 * @param stepSeconds from patch to patch in a series of equal seconds, 0.1 to 600
 * @param patches 2 to 15
 * @param direction where the dark end lies
 * @param patch length of a patch along the strip
 * @param breadth breadth of the strip
 * @param place across the picture, 0 to 1; none is chosen where it tells most
 */
public record CoverStripPlan(
        Series series,
        Optional<ExposureTime> centre,
        Stops step,
        double stepSeconds,
        int patches,
        StripDirection direction,
        Length patch,
        Length breadth,
        Optional<Double> place)
        implements TestPlan {
    public static final Stops SMALLEST_STEP = Stops.ofFraction(1, 24);
    public static final Stops LARGEST_STEP = Stops.of(3);
    public static final double SMALLEST_STEP_SECONDS = 0.1;
    public static final double LARGEST_STEP_SECONDS = 600;

    /** How the patches follow each other. */
    public enum Series {
        EQUAL_STOPS,
        EQUAL_SECONDS
    }

    public CoverStripPlan {
        Check.within(
                "step",
                Check.positive("step", step.inStops(), "stops"),
                SMALLEST_STEP.inStops(),
                LARGEST_STEP.inStops(),
                "stops");
        Check.within(
                "step", Check.positive("step", stepSeconds, "s"), SMALLEST_STEP_SECONDS, LARGEST_STEP_SECONDS, "s");
        Check.count("patches", patches, TestSeries.FEWEST_PATCHES, TestSeries.MOST_PATCHES);
        Check.positive("patch", patch.inMm(), "mm");
        Check.positive("strip", breadth.inMm(), "mm");
        place.ifPresent(p -> Check.within("place of the strip", p, 0, 1, ""));
    }

    /** What each patch is to receive, the lightest first. */
    public List<ExposureTime> totals(ExposureTime base) {
        ExposureTime middle = centre.orElse(base);
        return series == Series.EQUAL_SECONDS
                ? TestSeries.equalSecondsAbout(middle, stepSeconds, patches)
                : TestSeries.equalStopsAbout(middle, step, patches);
    }

    /** Length along the strip. */
    public Length length() {
        return Length.ofMm(patches * patch.inMm());
    }

    /** The same strip about the base exposure. */
    @Override
    public CoverStripPlan followingBase() {
        return new CoverStripPlan(
                series, Optional.empty(), step, stepSeconds, patches, direction, patch, breadth, place);
    }

    /** Steps and patches of {@code strip} about the base exposure, patches so long that they fill {@code room}. */
    public CoverStripPlan as(CheckStrip strip, Length room) {
        return new CoverStripPlan(
                Series.EQUAL_STOPS,
                Optional.empty(),
                strip.step(),
                stepSeconds,
                strip.patches(),
                direction,
                Length.ofMm(Math.floor(room.inMm() / strip.patches())),
                breadth,
                place);
    }

    @Override
    public Optional<Stops> stepUnlike(TestPlan before) {
        boolean same = before instanceof CoverStripPlan was && was.step().equals(step);
        return series == Series.EQUAL_STOPS && !same ? Optional.of(step) : Optional.empty();
    }
}
