package keyslate.core.test;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
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
 * @param third the light of a third row, beside a second one; none = two rows at most
 */
public record CoverStripPlan(
        PatchSeries series,
        StripDirection direction,
        Length patch,
        Length breadth,
        Optional<Double> place,
        Optional<Light> second,
        Optional<ExposureTime> secondMiddle,
        SecondLies lies,
        Optional<Light> third)
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
        if (third.isPresent() && (second.isEmpty() || lies != SecondLies.BESIDE)) {
            throw Check.infeasible("third", "a third row lies beside a second one");
        }
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
        this(series, direction, patch, breadth, place, second, secondMiddle, SecondLies.BESIDE, Optional.empty());
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
        return LightRows.of(
                CoverScript.of(this, base, rig),
                others(base),
                rig,
                base,
                direction.isAlong(),
                (carried, other) -> CoverScript.of(of(series.times(carried.stopsFrom(base)), patch), carried, other));
    }

    private List<LightRows.Other> others(ExposureTime base) {
        List<LightRows.Other> others = new ArrayList<>();
        second.ifPresent(l -> others.add(new LightRows.Other(
                l, secondMiddle.map(t -> t.times(base.inSeconds() / middle(base).inSeconds())))));
        third.ifPresent(l -> others.add(new LightRows.Other(l, Optional.empty())));
        return others;
    }

    /** The same in a row for each light: the first one's, and one or two more. */
    public CoverStripPlan inRows(List<Light> others) {
        CoverStripPlan two = inRows(others.stream().findFirst());
        return new CoverStripPlan(
                series,
                direction,
                patch,
                breadth,
                place,
                two.second,
                two.secondMiddle,
                two.lies,
                others.stream().skip(1).findFirst());
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
                series,
                direction,
                patch,
                breadth,
                place,
                Optional.of(other),
                Optional.of(middle),
                how,
                Optional.empty());
    }

    /** The same with so many times what the middle receives of the second light, where that has a time of its own. */
    public CoverStripPlan secondTimes(double factor) {
        return new CoverStripPlan(
                series, direction, patch, breadth, place, second, secondMiddle.map(t -> t.times(factor)), lies, third);
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
        return new CoverStripPlan(other, direction, each, breadth, place, second, secondMiddle, lies, third);
    }

    @Override
    public List<Light> otherLights() {
        return Stream.concat(second.stream(), third.stream()).toList();
    }

    /** Steps and patches of {@code strip} about the base exposure, patches so long that they fill {@code room}. */
    public CoverStripPlan as(CheckStrip strip, Length room) {
        return of(
                series.ofStops(strip.step(), strip.patches()), Length.ofMm(Math.floor(room.inMm() / strip.patches())));
    }
}
