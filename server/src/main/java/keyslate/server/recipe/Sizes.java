package keyslate.server.recipe;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;
import keyslate.core.script.StripDirection;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.OpeningsPlan;
import keyslate.core.test.PatchSeries;
import keyslate.core.test.SameSpotPlan;
import keyslate.core.test.TestPlan;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.server.test.Strips;
import org.jspecify.annotations.Nullable;

/** Lengths of patches, windows and pieces: read, checked against the picture, made to fit where the picture has become smaller. */
final class Sizes {
    static final double NARROWEST_MM = 2;
    private static final double LONGEST_MM = 2000;
    private static final double SLACK_MM = 0.05;

    private Sizes() {}

    /** A length along a strip of so many patches. */
    static Length patch(
            Edit edit, Rig rig, @Nullable Double asked, Length now, int patches, int before, StripDirection[] turned) {
        double room = Strips.room(rig, turned[1]).inMm();
        boolean refit = patches != before
                || turned[0].isAlong() != turned[1].isAlong()
                || before * now.inMm() > room + SLACK_MM;
        if (asked == null) {
            return refit ? Length.ofMm(Math.max(NARROWEST_MM, Math.floor(room / patches))) : now;
        }
        Length patch = length(edit, "/test/patchMm", "patch", asked, now);
        if (patches * patch.inMm() > room + SLACK_MM) {
            edit.errors()
                    .add(
                            "/test/patchMm",
                            "E_RANGE",
                            patches + " patches of " + Show.number(patch.inMm()) + " mm make a strip of "
                                    + Show.number(patches * patch.inMm())
                                    + " mm, longer than the picture on this paper (" + Show.number(room) + " mm). "
                                    + Show.number(Math.floor(room / patches)) + " mm fit.");
        }
        return patch;
    }

    /** The breadth of a strip. */
    static Length breadth(Edit edit, Rig rig, @Nullable Double asked, Length now, StripDirection direction) {
        double across = Strips.roomAcross(rig, direction).inMm();
        if (asked == null) {
            return Length.ofMm(Math.max(NARROWEST_MM, Math.min(now.inMm(), Math.floor(across))));
        }
        Length breadth = length(edit, "/test/breadthMm", "strip", asked, now);
        if (breadth.inMm() > across + SLACK_MM) {
            edit.errors()
                    .add(
                            "/test/breadthMm",
                            "E_RANGE",
                            "A strip of " + Show.number(breadth.inMm()) + " mm is broader than the picture on this"
                                    + " paper (" + Show.number(across) + " mm).");
        }
        return breadth;
    }

    /** A side of a window, a disc or a piece, which must fit into the picture. */
    static Length side(Edit edit, String pointer, String what, @Nullable Double asked, Length now, double room) {
        if (asked == null) {
            return Length.ofMm(Math.max(NARROWEST_MM, Math.min(now.inMm(), Math.floor(room))));
        }
        Length side = length(edit, pointer, what, asked, now);
        if (side.inMm() > room + SLACK_MM) {
            edit.errors()
                    .add(
                            pointer,
                            "E_RANGE",
                            Show.number(side.inMm()) + " mm is more than the picture has on this paper ("
                                    + Show.number(Math.floor(room)) + " mm).");
        }
        return side;
    }

    private static Length length(Edit edit, String pointer, String what, double asked, Length now) {
        return edit.errors()
                .check(
                        pointer,
                        now,
                        () -> Length.ofMm(
                                Check.within(what, Check.positive(what, asked, "mm"), NARROWEST_MM, LONGEST_MM, "mm")));
    }

    /** Where the dark end lay in the test before, else at the right. */
    static StripDirection direction(TestPlan before) {
        if (before instanceof CoverStripPlan strip) {
            return strip.direction();
        }
        if (before instanceof SameSpotPlan same) {
            return same.direction();
        }
        return before instanceof OpeningsPlan openings ? openings.direction() : StripDirection.DARK_RIGHT;
    }

    /** The series of the test before, else the usual one. */
    static PatchSeries series(TestPlan before) {
        return before instanceof TestPlan.OfSeries of
                ? of.series()
                : PatchSeries.stops(Strips.USUAL_STEP, Strips.USUAL_STEP_SECONDS, Strips.USUAL_PATCHES);
    }
}
