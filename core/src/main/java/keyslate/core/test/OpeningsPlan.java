package keyslate.core.test;

import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.TestSeries;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.script.StripDirection;

/**
 * A strip of one time through one opening after another, one patch alone free of the card each time (EXP-16): the timer is set once, the lens clicks.
 *
 * @param time of each patch, received; none follows the base exposure
 * @param first engraved mark of the lightest patch, the smallest opening; none lets the series lie about the opening that stands
 * @param clicks of the lens from patch to patch, 1 to 6
 * @param count patches, 2 to 15
 * @param direction where the dark end lies
 * @param patch length of a patch along the strip
 * @param breadth of the strip
 * @param place across the picture, 0 to 1; none is chosen where it tells most
 * @param second light of a second row beside the first, gone through again; none = one row
 */
public record OpeningsPlan(
        Optional<ExposureTime> time,
        Optional<Double> first,
        int clicks,
        int count,
        StripDirection direction,
        Length patch,
        Length breadth,
        Optional<Double> place,
        Optional<Light> second)
        implements TestPlan {
    public static final int MOST_CLICKS = 6;

    public OpeningsPlan {
        Check.count("clicks", clicks, 1, MOST_CLICKS);
        Check.count("patches", count, TestSeries.FEWEST_PATCHES, TestSeries.MOST_PATCHES);
        first.ifPresent(f -> Check.positive("opening", f, ""));
        Check.positive("patch", patch.inMm(), "mm");
        Check.positive("strip", breadth.inMm(), "mm");
        place.ifPresent(p -> Check.within("place of the strip", p, 0, 1, ""));
    }

    @Override
    public TestScript script(ExposureTime base, TestRig rig) {
        return LightRows.of(
                OpeningsScript.of(this, base, rig),
                second.map(l -> new LightRows.Other(l, Optional.empty())).stream()
                        .toList(),
                rig,
                base,
                direction.isAlong(),
                (carried, other) -> OpeningsScript.of(at(carried, base), carried, other));
    }

    @Override
    public ExposureTime middle(ExposureTime base) {
        return time.orElse(base);
    }

    /** With the time of its patches carried to another light, where they have one of their own. */
    private OpeningsPlan at(ExposureTime carried, ExposureTime base) {
        return with(time.map(t -> t.times(carried.inSeconds() / base.inSeconds())));
    }

    @Override
    public OpeningsPlan followingBase() {
        return with(Optional.empty());
    }

    @Override
    public List<Light> otherLights() {
        return second.stream().toList();
    }

    private OpeningsPlan with(Optional<ExposureTime> other) {
        return new OpeningsPlan(other, first, clicks, count, direction, patch, breadth, place, second);
    }
}
