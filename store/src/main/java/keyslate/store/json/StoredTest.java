package keyslate.store.json;

import java.util.Optional;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;
import keyslate.core.script.CoverStripPlan;
import keyslate.core.script.StripDirection;
import keyslate.core.script.TestPlan;
import org.jspecify.annotations.Nullable;

/**
 * The plan of a test as it is stored and sent.
 *
 * @param kind which test; "STRIP" is the covered strip, the only one today
 * @param series EQUAL_STOPS or EQUAL_SECONDS
 * @param centreSeconds null follows the base exposure
 * @param direction where the dark end lies: DARK_RIGHT, DARK_LEFT, DARK_BOTTOM or DARK_TOP
 * @param place across the picture, 0 to 1; null is chosen by computation
 */
public record StoredTest(
        String kind,
        String series,
        @Nullable Double centreSeconds,
        double stepStops,
        double stepSeconds,
        int patches,
        String direction,
        double patchMm,
        double breadthMm,
        @Nullable Double place) {
    /** The kind of a covered strip. */
    public static final String STRIP = "STRIP";

    public static StoredTest of(TestPlan plan) {
        CoverStripPlan strip = (CoverStripPlan) plan;
        return new StoredTest(
                STRIP,
                strip.series().name(),
                strip.centre().map(ExposureTime::inSeconds).orElse(null),
                strip.step().inStops(),
                strip.stepSeconds(),
                strip.patches(),
                strip.direction().name(),
                strip.patch().inMm(),
                strip.breadth().inMm(),
                strip.place().orElse(null));
    }

    /**
     * The plan as the core computes with it.
     *
     * @throws IllegalArgumentException when a word or a number is none of its own
     */
    public TestPlan toCore() {
        return new CoverStripPlan(
                CoverStripPlan.Series.valueOf(series),
                Optional.ofNullable(centreSeconds).map(ExposureTime::ofSeconds),
                Stops.of(stepStops),
                stepSeconds,
                patches,
                StripDirection.valueOf(direction),
                Length.ofMm(patchMm),
                Length.ofMm(breadthMm),
                Optional.ofNullable(place));
    }
}
