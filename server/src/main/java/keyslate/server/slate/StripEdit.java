package keyslate.server.slate;

import java.util.Set;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.server.Show;
import keyslate.server.slate.SlateRequests.RecipeChange;
import keyslate.server.test.StripPlanner;
import keyslate.store.slate.Recipe.Strip;
import org.jspecify.annotations.Nullable;

/** The edit of a strip's plan; the width of a patch follows the number of patches where it must. */
final class StripEdit {
    private static final int FEWEST_PATCHES = 2;
    private static final int MOST_PATCHES = 15;
    private static final double SMALLEST_STEP_STOPS = 1.0 / 24;
    private static final double LARGEST_STEP_STOPS = 3;
    private static final double SMALLEST_STEP_SECONDS = 0.1;
    private static final double LARGEST_STEP_SECONDS = 600;
    /** What a strip may stand over before it is called too long. */
    private static final double SLACK_MM = 0.05;

    private final Edit edit;
    private final Rig rig;
    private final Strip now;

    private StripEdit(Edit edit, Rig rig) {
        this.edit = edit;
        this.rig = rig;
        this.now = rig.recipe().strip();
    }

    static Strip of(Edit edit, Rig rig, RecipeChange change) {
        return new StripEdit(edit, rig).strip(change);
    }

    /** A strip of equal stops about the base exposure, its patches as long as the picture allows. */
    static Strip series(Rig rig, Strip now, CheckStrip plan) {
        double room = StripPlanner.room(rig, now.direction());
        return new Strip(
                "EQUAL_STOPS",
                null,
                plan.step().inStops(),
                now.stepSeconds(),
                plan.patches(),
                now.direction(),
                Math.floor(room / plan.patches()),
                now.breadthMm(),
                now.place());
    }

    private Strip strip(RecipeChange change) {
        if (Boolean.TRUE.equals(change.stripForUnknownNegative())) {
            Strip first = series(rig, now, CheckStrip.first(rig.base()));
            edit.sayIf(!first.equals(now), "strip for an unknown negative");
            return first;
        }
        String kind = edit.oneOf("/stripKind", change.stripKind(), now.kind(), Set.of("EQUAL_STOPS", "EQUAL_SECONDS"));
        String direction = edit.oneOf(
                "/stripDirection",
                change.stripDirection(),
                now.direction(),
                Set.of("DARK_RIGHT", "DARK_LEFT", "DARK_BOTTOM", "DARK_TOP"));
        Integer asked = change.stripPatches();
        int patches = edit.errors()
                .check(
                        "/stripPatches",
                        now.patches(),
                        () -> Check.count(
                                "patches", asked == null ? now.patches() : asked, FEWEST_PATCHES, MOST_PATCHES));
        double stops = step(
                "/stripStepStops",
                Edit.or(change.stripStepStops(), now.stepStops()),
                now.stepStops(),
                SMALLEST_STEP_STOPS,
                LARGEST_STEP_STOPS,
                "stops");
        double seconds = step(
                "/stripStepSeconds",
                Edit.or(change.stripStepSeconds(), now.stepSeconds()),
                now.stepSeconds(),
                SMALLEST_STEP_SECONDS,
                LARGEST_STEP_SECONDS,
                "s");
        double patchMm = patch(change, patches, direction);
        double breadth = breadth(change, direction);
        Strip next =
                new Strip(kind, centre(change), stops, seconds, patches, direction, patchMm, breadth, place(change));
        edit.sayIf(!next.equals(now), "strip plan");
        return next;
    }

    private double step(String pointer, double asked, double stands, double least, double most, String unit) {
        return edit.errors()
                .check(
                        pointer,
                        stands,
                        () -> Check.within("step", Check.positive("step", asked, unit), least, most, unit));
    }

    private double patch(RecipeChange change, int patches, String direction) {
        double room = StripPlanner.room(rig, direction);
        boolean refit = patches != now.patches()
                || StripPlanner.along(direction) != StripPlanner.along(now.direction())
                || now.patches() * now.patchMm() > room + SLACK_MM;
        Double asked = change.stripPatchMm();
        double patchMm = asked != null
                ? edit.errors().check("/stripPatchMm", now.patchMm(), () -> Check.positive("patch", asked, "mm"))
                : refit ? Math.floor(room / patches) : now.patchMm();
        if (patches * patchMm > room + SLACK_MM) {
            edit.errors()
                    .add(
                            "/stripPatchMm",
                            "E_RANGE",
                            patches + " patches of " + Show.number(patchMm) + " mm make a strip of "
                                    + Show.number(patches * patchMm) + " mm, longer than the picture on this paper ("
                                    + Show.number(room) + " mm). " + Show.number(Math.floor(room / patches))
                                    + " mm fit.");
        }
        return patchMm;
    }

    private double breadth(RecipeChange change, String direction) {
        double across = StripPlanner.roomAcross(rig, direction);
        Double asked = change.stripBreadthMm();
        double breadth = asked != null
                ? edit.errors().check("/stripBreadthMm", now.breadthMm(), () -> Check.positive("strip", asked, "mm"))
                : Math.min(now.breadthMm(), Math.floor(across));
        if (breadth > across + SLACK_MM) {
            edit.errors()
                    .add(
                            "/stripBreadthMm",
                            "E_RANGE",
                            "A strip of " + Show.number(breadth) + " mm is broader than the picture on this paper ("
                                    + Show.number(across) + " mm).");
        }
        return breadth;
    }

    /** Where the strip lies across the picture; null lets it be placed where it tells most. */
    private @Nullable Double place(RecipeChange change) {
        if (change.stripPlace() != null) {
            return edit.errors()
                    .check(
                            "/stripPlace",
                            now.place(),
                            () -> Check.within("place of the strip", change.stripPlace(), 0, 1, ""));
        }
        return Boolean.TRUE.equals(change.stripPlacedByComputation()) ? null : now.place();
    }

    /** The centre of the series; null follows the base exposure. */
    private @Nullable Double centre(RecipeChange change) {
        if (Boolean.TRUE.equals(change.stripFollowsBase())) {
            return null;
        }
        Double asked = change.stripCentreSeconds();
        return asked == null
                ? now.centreSeconds()
                : (Double) edit.set("/stripCentreSeconds", asked, () -> ExposureTime.ofSeconds(asked));
    }
}
