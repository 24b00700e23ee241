package keyslate.server.recipe;

import java.util.Optional;
import keyslate.core.exposure.TestSeries;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.script.LampWay;
import keyslate.core.script.StripDirection;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.OpeningsPlan;
import keyslate.core.test.TestPlan;
import keyslate.server.recipe.RecipeChange.TestChange;
import keyslate.server.rig.Rig;
import keyslate.server.test.Strips;
import org.jspecify.annotations.Nullable;

/** The edit of a strip of one time through one opening after another. */
final class OpeningsEdit {
    private OpeningsEdit() {}

    /**
     * Openings in place of another test. Clicks are wide steps to read between: where the contrast can be chosen a second row a grade harder tells nearly as much as steps half as wide, and of
     * the contrast besides. Not by a timer of one's own, which it would have to be set anew for.
     */
    static OpeningsPlan fresh(Rig rig, TestPlan before) {
        CoverStripPlan strip = StripEdit.fresh(rig, before);
        int most = Math.max(TestSeries.FEWEST_PATCHES, rig.ring().size());
        int count =
                Math.min(Math.min(most, TestSeries.MOST_PATCHES), strip.series().patches());
        return new OpeningsPlan(
                Optional.empty(),
                Optional.empty(),
                1,
                count,
                strip.direction(),
                strip.patch(),
                strip.breadth(),
                Optional.empty(),
                second(rig));
    }

    /** The second row's light; where the base has come to the same light the second moves on. */
    private static Optional<Light> other(Edit edit, Rig rig, OpeningsPlan now, TestChange change) {
        Optional<Light> asked = StripEdit.second(edit, rig, now.second(), change);
        boolean same = change.second() == null
                && asked.filter(l -> l.equals(rig.light())).isPresent();
        return same ? second(rig) : asked;
    }

    private static Optional<Light> second(Rig rig) {
        return rig.subject().isProof() || rig.way() != LampWay.SWITCHED ? Optional.empty() : Strips.harder(rig);
    }

    static OpeningsPlan of(Edit edit, Rig rig, OpeningsPlan now, TestChange change) {
        StripDirection direction = edit.oneOf("/test/direction", change.direction(), now.direction());
        int count = counted(
                edit,
                "/test/patches",
                "patches",
                change.patches(),
                now.count(),
                TestSeries.FEWEST_PATCHES,
                TestSeries.MOST_PATCHES);
        return new OpeningsPlan(
                time(edit, change, now.time()),
                first(edit, rig, now, change),
                counted(edit, "/test/clicks", "clicks", change.clicks(), now.clicks(), 1, OpeningsPlan.MOST_CLICKS),
                count,
                direction,
                Sizes.patch(edit, rig, change.patchMm(), now.patch(), count, now.count(), new StripDirection[] {
                    now.direction(), direction
                }),
                Sizes.breadth(edit, rig, change.breadthMm(), now.breadth(), direction),
                StripEdit.place(edit, now.place(), change),
                other(edit, rig, now, change));
    }

    private static Optional<Double> first(Edit edit, Rig rig, OpeningsPlan now, TestChange change) {
        if (change.firstMark() == null) {
            return Boolean.TRUE.equals(change.aboutStanding()) ? Optional.empty() : now.first();
        }
        boolean there = rig.ring().stream().anyMatch(m -> m.engraved() == change.firstMark());
        if (!there) {
            edit.errors().add("/test/firstMark", "E_RANGE", "This lens has no such mark.");
            return now.first();
        }
        return Optional.of(change.firstMark());
    }

    /** A time of its own, of a test that has one time. */
    static Optional<ExposureTime> time(Edit edit, TestChange change, Optional<ExposureTime> now) {
        if (change.seconds() == null) {
            return Boolean.TRUE.equals(change.followsBase()) ? Optional.empty() : now;
        }
        return edit.errors().check("/test/seconds", now, () -> Optional.of(ExposureTime.ofSeconds(change.seconds())));
    }

    private static int counted(
            Edit edit, String pointer, String what, @Nullable Integer asked, int now, int least, int most) {
        return asked == null ? now : edit.errors().check(pointer, now, () -> Check.count(what, asked, least, most));
    }
}
