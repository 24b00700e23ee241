package keyslate.server.recipe;

import java.util.Optional;
import keyslate.core.exposure.TestSeries;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;
import keyslate.core.script.CoverStripPlan;
import keyslate.core.script.StripDirection;
import keyslate.server.Show;
import keyslate.server.recipe.RecipeChange.TestChange;
import keyslate.server.rig.Rig;
import keyslate.server.test.Strips;

/** The edit of a covered strip. */
final class StripEdit {
    private static final double NARROWEST_PATCH_MM = 2;
    private static final double SLACK_MM = 0.05;

    private final Edit edit;
    private final Rig rig;
    private final CoverStripPlan now;

    private StripEdit(Edit edit, Rig rig) {
        this.edit = edit;
        this.rig = rig;
        this.now = (CoverStripPlan) rig.recipe().test();
    }

    /** The plan after a change; it is made to fit where the picture has become smaller. */
    static CoverStripPlan of(Edit edit, Rig rig, TestChange change) {
        return new StripEdit(edit, rig).strip(change);
    }

    private CoverStripPlan strip(TestChange change) {
        if (Boolean.TRUE.equals(change.forUnknownNegative())) {
            return Strips.wide(rig, now);
        }
        StripDirection direction = edit.oneOf("/test/direction", change.direction(), now.direction());
        int patches = edit.errors()
                .check(
                        "/test/patches",
                        now.patches(),
                        () -> Check.count(
                                "patches",
                                Edit.or(change.patches(), now.patches()),
                                TestSeries.FEWEST_PATCHES,
                                TestSeries.MOST_PATCHES));
        double stops = edit.errors()
                .check(
                        "/test/stepStops",
                        now.step().inStops(),
                        () -> Check.within(
                                "step",
                                Check.positive(
                                        "step",
                                        Edit.or(change.stepStops(), now.step().inStops()),
                                        "stops"),
                                CoverStripPlan.SMALLEST_STEP.inStops(),
                                CoverStripPlan.LARGEST_STEP.inStops(),
                                "stops"));
        double seconds = edit.errors()
                .check(
                        "/test/stepSeconds",
                        now.stepSeconds(),
                        () -> Check.within(
                                "step",
                                Check.positive("step", Edit.or(change.stepSeconds(), now.stepSeconds()), "s"),
                                CoverStripPlan.SMALLEST_STEP_SECONDS,
                                CoverStripPlan.LARGEST_STEP_SECONDS,
                                "s"));
        return new CoverStripPlan(
                edit.oneOf("/test/series", change.series(), now.series()),
                centre(change),
                Stops.of(stops),
                seconds,
                patches,
                direction,
                Length.ofMm(patch(change, patches, direction)),
                Length.ofMm(breadth(change, direction)),
                place(change));
    }

    private double patch(TestChange change, int patches, StripDirection direction) {
        double room = Strips.room(rig, direction).inMm();
        double stands = now.patch().inMm();
        boolean refit = patches != now.patches()
                || direction.isAlong() != now.direction().isAlong()
                || now.length().inMm() > room + SLACK_MM;
        if (change.patchMm() == null) {
            return refit ? Math.max(NARROWEST_PATCH_MM, Math.floor(room / patches)) : stands;
        }
        double patch = edit.errors()
                .check(
                        "/test/patchMm",
                        stands,
                        () -> Check.within(
                                "patch",
                                Check.positive("patch", change.patchMm(), "mm"),
                                NARROWEST_PATCH_MM,
                                2000,
                                "mm"));
        if (patches * patch > room + SLACK_MM) {
            edit.errors()
                    .add(
                            "/test/patchMm",
                            "E_RANGE",
                            patches + " patches of " + Show.number(patch) + " mm make a strip of "
                                    + Show.number(patches * patch) + " mm, longer than the picture on this paper ("
                                    + Show.number(room) + " mm). " + Show.number(Math.floor(room / patches))
                                    + " mm fit.");
        }
        return patch;
    }

    private double breadth(TestChange change, StripDirection direction) {
        double across = Strips.roomAcross(rig, direction).inMm();
        double stands = now.breadth().inMm();
        if (change.breadthMm() == null) {
            return Math.max(NARROWEST_PATCH_MM, Math.min(stands, Math.floor(across)));
        }
        double breadth = edit.errors()
                .check(
                        "/test/breadthMm",
                        stands,
                        () -> Check.within(
                                "strip",
                                Check.positive("strip", change.breadthMm(), "mm"),
                                NARROWEST_PATCH_MM,
                                2000,
                                "mm"));
        if (breadth > across + SLACK_MM) {
            edit.errors()
                    .add(
                            "/test/breadthMm",
                            "E_RANGE",
                            "A strip of " + Show.number(breadth) + " mm is broader than the picture on this paper ("
                                    + Show.number(across) + " mm).");
        }
        return breadth;
    }

    /** Where the strip lies across the picture; none lets it be placed where it tells most. */
    private Optional<Double> place(TestChange change) {
        if (change.place() == null) {
            return Boolean.TRUE.equals(change.placedByComputation()) ? Optional.empty() : now.place();
        }
        return edit.errors()
                .check(
                        "/test/place",
                        now.place(),
                        () -> Optional.of(Check.within("place of the strip", change.place(), 0, 1, "")));
    }

    /** The centre of the series; none follows the base exposure. */
    private Optional<ExposureTime> centre(TestChange change) {
        if (change.centreSeconds() == null) {
            return Boolean.TRUE.equals(change.followsBase()) ? Optional.empty() : now.centre();
        }
        return edit.errors()
                .check(
                        "/test/centreSeconds",
                        now.centre(),
                        () -> Optional.of(ExposureTime.ofSeconds(change.centreSeconds())));
    }
}
