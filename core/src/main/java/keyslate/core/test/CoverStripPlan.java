package keyslate.core.test;

import java.util.Optional;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.script.StripDirection;

/**
 * A strip that is exposed whole first and then covered patch by patch.
 *
 * @param series what the patches receive
 * @param direction where the dark end lies
 * @param patch length of a patch along the strip
 * @param breadth breadth of the strip
 * @param place across the picture, 0 to 1; none is chosen where it tells most
 * @param second another light, for a second row or on top of the first; none = one light
 * @param secondMiddle what the middle receives of it; none = what keeps the print as dark as in the first
 * @param lies where the second light falls
 */
public record CoverStripPlan(
        PatchSeries series,
        StripDirection direction,
        Length patch,
        Length breadth,
        Optional<Double> place,
        Optional<Light> second,
        Optional<ExposureTime> secondMiddle,
        SecondLies lies)
        implements TestPlan.OfSeries {
    /** Where the light of a second filter falls. */
    public enum SecondLies {
        /** In a row of its own beside the first, each of half the breadth. */
        BESIDE,
        /** On the same patches in the same steps: a strip of both parts of a split. */
        ON_TOP,
        /** On the same patches, all of which got the base exposure through the first light: the second part of a split on the whole first one. */
        ON_WHOLE
    }

    public CoverStripPlan {
        Check.positive("patch", patch.inMm(), "mm");
        Check.positive("strip", breadth.inMm(), "mm");
        place.ifPresent(p -> Check.within("place of the strip", p, 0, 1, ""));
    }

    /** Length along the strip. */
    public Length length() {
        return Length.ofMm(series.patches() * patch.inMm());
    }

    /** One row, or two beside each other. */
    public CoverStripPlan(
            PatchSeries series,
            StripDirection direction,
            Length patch,
            Length breadth,
            Optional<Double> place,
            Optional<Light> second,
            Optional<ExposureTime> secondMiddle) {
        this(series, direction, patch, breadth, place, second, secondMiddle, SecondLies.BESIDE);
    }

    /** Whether two lights fall on the same patches. */
    public boolean isOfBothLights() {
        return second.isPresent() && lies != SecondLies.BESIDE;
    }

    @Override
    public TestScript script(ExposureTime base, TestRig rig) {
        if (isOfBothLights()) {
            return OnTop.script(this, base, rig);
        }
        return SecondRow.of(
                CoverScript.of(this, base, rig),
                second,
                secondMiddle.map(t -> t.times(base.inSeconds() / middle(base).inSeconds())),
                rig,
                base,
                direction.isAlong(),
                (carried, other) -> CoverScript.of(of(series.times(carried.stopsFrom(base)), patch), carried, other));
    }

    /** The same in two rows, or in one. */
    public CoverStripPlan inRows(Optional<Light> other) {
        return inRows(other, Optional.empty());
    }

    /** The same in two rows, the second about a time of its own. */
    public CoverStripPlan inRows(Optional<Light> other, Optional<ExposureTime> middle) {
        return new CoverStripPlan(series, direction, patch, breadth, place, other, middle);
    }

    /** The same with another light on the same patches. */
    public CoverStripPlan onTop(Light other, ExposureTime middle, SecondLies how) {
        return new CoverStripPlan(
                series, direction, patch, breadth, place, Optional.of(other), Optional.of(middle), how);
    }

    /** The same with so many times what the middle receives of the second light, where that has a time of its own. */
    public CoverStripPlan secondTimes(double factor) {
        return new CoverStripPlan(
                series, direction, patch, breadth, place, second, secondMiddle.map(t -> t.times(factor)), lies);
    }

    /** The first light alone. */
    CoverStripPlan alone() {
        return inRows(Optional.empty());
    }

    @Override
    public CoverStripPlan followingBase() {
        return of(series.followingBase(), patch);
    }

    @Override
    public CoverStripPlan of(PatchSeries other, Length each) {
        return new CoverStripPlan(other, direction, each, breadth, place, second, secondMiddle, lies);
    }

    @Override
    public Optional<Light> secondLight() {
        return second;
    }

    /** Steps and patches of {@code strip} about the base exposure, patches so long that they fill {@code room}. */
    public CoverStripPlan as(CheckStrip strip, Length room) {
        return of(
                series.ofStops(strip.step(), strip.patches()), Length.ofMm(Math.floor(room.inMm() / strip.patches())));
    }
}
