package keyslate.server.recipe;

import java.util.Optional;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.script.StripDirection;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.CoverStripPlan.SecondLies;
import keyslate.core.test.PatchSeries;
import keyslate.core.test.TestPlan;
import keyslate.server.recipe.RecipeChange.TestChange;
import keyslate.server.rig.Rig;
import keyslate.server.test.Strips;
import org.jspecify.annotations.Nullable;

/** The edit of a covered strip. */
final class StripEdit {
    private StripEdit() {}

    /** A strip in place of another test, along the whole picture. */
    static CoverStripPlan fresh(Rig rig, TestPlan before) {
        CoverStripPlan usual = Strips.usual(rig);
        PatchSeries series = Sizes.series(before);
        StripDirection direction = Sizes.direction(before);
        double room = Strips.room(rig, direction).inMm();
        return new CoverStripPlan(
                series,
                direction,
                Length.ofMm(Math.max(Sizes.NARROWEST_MM, Math.floor(room / series.patches()))),
                usual.breadth(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** The plan after a change; it is made to fit where the picture has become smaller. */
    static CoverStripPlan of(Edit edit, Rig rig, CoverStripPlan now, TestChange change) {
        if (Boolean.TRUE.equals(change.forUnknownNegative())) {
            return Strips.wide(rig, now);
        }
        if (Boolean.TRUE.equals(change.forThisBench())) {
            return Strips.ofBench(rig, now).orElse(now);
        }
        StripDirection direction = edit.oneOf("/test/direction", change.direction(), now.direction());
        PatchSeries series = SeriesEdit.of(edit, rig.base(), now.series(), change);
        Optional<Light> second = second(edit, rig, now.second(), change);
        SecondLies lies = lies(edit, rig, now, change);
        return new CoverStripPlan(
                series,
                direction,
                Sizes.patch(
                        edit,
                        rig,
                        change.patchMm(),
                        now.patch(),
                        series.patches(),
                        now.series().patches(),
                        new StripDirection[] {now.direction(), direction}),
                Sizes.breadth(edit, rig, change.breadthMm(), now.breadth(), direction),
                place(edit, now.place(), change),
                second,
                secondMiddle(edit, now, change),
                lies,
                lies == SecondLies.BESIDE && second.isPresent() ? third(edit, rig, now, change) : Optional.empty());
    }

    /** The light of a third row; a second row that is taken away, or laid on the first, takes it along. */
    private static Optional<Light> third(Edit edit, Rig rig, CoverStripPlan now, TestChange change) {
        return light(edit, rig, "/test/third", now.third(), change.third());
    }

    /** On the same patches only where a filter is chosen: packs on top of each other make one pack. */
    private static SecondLies lies(Edit edit, Rig rig, CoverStripPlan now, TestChange change) {
        SecondLies asked = change.lies() == null ? now.lies() : change.lies();
        boolean possible = asked == SecondLies.BESIDE
                || rig.medium().choosesFilter() && !rig.subject().isProof();
        if (!possible && change.lies() != null) {
            edit.errors()
                    .add(
                            "/test/lies",
                            "E_INFEASIBLE",
                            "Two parts on the same patches are for a print on variable-contrast paper.");
        }
        return possible ? asked : SecondLies.BESIDE;
    }

    /** What the middle of a second row receives, where it has a time of its own; another light leaves it. */
    private static Optional<ExposureTime> secondMiddle(Edit edit, CoverStripPlan now, TestChange change) {
        if (change.secondSeconds() == null) {
            return change.second() == null ? now.secondMiddle() : Optional.empty();
        }
        return change.secondSeconds() == 0
                ? Optional.empty()
                : edit.errors()
                        .check(
                                "/test/secondSeconds",
                                now.secondMiddle(),
                                () -> Optional.of(ExposureTime.ofSeconds(change.secondSeconds())));
    }

    /** The light of a second row; that of another kind of paper is dropped when the paper changed. */
    static Optional<Light> second(Edit edit, Rig rig, Optional<Light> now, TestChange change) {
        return light(edit, rig, "/test/second", now, change.second());
    }

    private static Optional<Light> light(
            Edit edit, Rig rig, String pointer, Optional<Light> now, @Nullable String asked) {
        if (asked == null) {
            return now.filter(l -> SpotEdit.reads(rig, l));
        }
        if (asked.isBlank()) {
            return Optional.empty();
        }
        return edit.errors()
                .check(pointer, now, () -> Optional.of(rig.medium().core().read(asked)));
    }

    /** Where a strip lies across the picture; none lets it be placed where it tells most. */
    static Optional<Double> place(Edit edit, Optional<Double> now, TestChange change) {
        if (change.place() == null) {
            return Boolean.TRUE.equals(change.placedByComputation()) ? Optional.empty() : now;
        }
        return edit.errors()
                .check(
                        "/test/place",
                        now,
                        () -> Optional.of(Check.within("place of the strip", change.place(), 0, 1, "")));
    }
}
