package keyslate.server.recipe;

import java.util.List;
import java.util.Optional;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.script.StripDirection;
import keyslate.core.script.WedgeDisc;
import keyslate.core.test.GuessPlan;
import keyslate.core.test.PacksAround;
import keyslate.core.test.PatchSeries;
import keyslate.core.test.PieceMarks;
import keyslate.core.test.PiecesPlan;
import keyslate.core.test.SameSpotPlan;
import keyslate.core.test.Spot;
import keyslate.core.test.TestPlan;
import keyslate.core.test.WedgePlan;
import keyslate.server.Show;
import keyslate.server.recipe.RecipeChange.AroundChange;
import keyslate.server.recipe.RecipeChange.TestChange;
import keyslate.server.rig.Rig;

/** The edits of the tests that look at one spot of the picture: window, disc, one sheet, pieces. */
final class SpotEdit {
    /** Patches of a strip that takes a fifth of a sheet. */
    private static final int FIFTH = 5;

    private static final int THIRD = 3;
    private static final double USUAL_DISC_MM = 100;
    private static final String NO_PACKS = "NONE";
    private static final PacksAround USUAL_RING = new PacksAround(PacksAround.Kind.RING, 8, 1, false, Optional.empty());
    private static final double DISC_OF_PICTURE = 0.9;

    private SpotEdit() {}

    static SameSpotPlan freshSameSpot(Rig rig, TestPlan before) {
        StripDirection direction = Sizes.direction(before);
        PatchSeries series = Sizes.series(before);
        return new SameSpotPlan(
                series,
                direction,
                fitting(longSide(rig) / Math.max(FIFTH, series.patches()), roomAlong(rig, direction)),
                fitting(shortSide(rig) / FIFTH, roomAcross(rig, direction)),
                Optional.empty());
    }

    static SameSpotPlan sameSpot(Edit edit, Rig rig, SameSpotPlan now, TestChange change) {
        StripDirection direction = edit.oneOf("/test/direction", change.direction(), now.direction());
        PatchSeries series = SeriesEdit.of(edit, rig.base(), now.series(), change);
        Length patch =
                Sizes.side(edit, "/test/patchMm", "window", change.patchMm(), now.patch(), roomAlong(rig, direction));
        double most = Math.max(longSide(rig), shortSide(rig));
        if (series.patches() * patch.inMm() > most + 0.05) {
            Length fits = Length.ofMm(Math.max(Sizes.NARROWEST_MM, Math.floor(most / series.patches())));
            if (change.patchMm() != null) {
                edit.errors()
                        .add(
                                "/test/patchMm",
                                "E_RANGE",
                                "So many windows are longer than a sheet of this paper; " + Show.number(fits.inMm())
                                        + " mm fit.");
            }
            patch = fits;
        }
        return new SameSpotPlan(
                series,
                direction,
                patch,
                Sizes.side(
                        edit,
                        "/test/breadthMm",
                        "window",
                        change.breadthMm(),
                        now.breadth(),
                        roomAcross(rig, direction)),
                spot(edit, now.spot(), change));
    }

    static WedgePlan freshWedge(Rig rig, TestPlan before) {
        double room =
                Math.min(rig.fit().imageWidth().inMm(), rig.fit().imageHeight().inMm());
        return new WedgePlan(
                WedgeDisc.USUAL, Optional.empty(), fitting(USUAL_DISC_MM, DISC_OF_PICTURE * room), Optional.empty());
    }

    static WedgePlan wedge(Edit edit, Rig rig, WedgePlan now, TestChange change) {
        double room =
                Math.min(rig.fit().imageWidth().inMm(), rig.fit().imageHeight().inMm());
        return new WedgePlan(
                disc(edit, now.disc(), change),
                OpeningsEdit.time(edit, change, now.given()),
                Sizes.side(edit, "/test/patchMm", "disc", change.patchMm(), now.diameter(), room),
                spot(edit, now.spot(), change));
    }

    private static WedgeDisc disc(Edit edit, WedgeDisc now, TestChange change) {
        if (change.labels() == null && change.referenceSeconds() == null) {
            return now;
        }
        String pointer = change.labels() == null ? "/test/referenceSeconds" : "/test/labels";
        return edit.errors()
                .check(
                        pointer,
                        now,
                        () -> new WedgeDisc(
                                Edit.or(change.referenceSeconds(), now.referenceSeconds()),
                                Edit.or(change.labels(), now.labels())));
    }

    static GuessPlan freshGuess(Rig rig, TestPlan before) {
        return new GuessPlan(Optional.empty(), 1, Optional.empty(), Optional.empty());
    }

    static GuessPlan guess(Edit edit, Rig rig, GuessPlan now, TestChange change) {
        double share = change.share() == null
                ? now.share()
                : edit.errors()
                        .check(
                                "/test/share",
                                now.share(),
                                () -> Check.within(
                                        "share of the picture", change.share(), GuessPlan.SMALLEST_SHARE, 1, ""));
        return new GuessPlan(
                OpeningsEdit.time(edit, change, now.time()),
                share,
                spot(edit, now.spot(), change),
                StripEdit.second(edit, rig, now.second(), change));
    }

    static PiecesPlan freshPieces(Rig rig, TestPlan before) {
        return new PiecesPlan(
                Sizes.series(before),
                List.of(),
                PieceMarks.Way.CORNERS,
                fitting(shortSide(rig) / THIRD, rig.fit().imageWidth().inMm()),
                fitting(longSide(rig) / FIFTH, rig.fit().imageHeight().inMm()),
                Optional.empty());
    }

    static PiecesPlan pieces(Edit edit, Rig rig, PiecesPlan now, TestChange change) {
        PatchSeries series = SeriesEdit.of(edit, rig.base(), now.series(), change);
        return new PiecesPlan(
                series,
                lights(edit, rig, now, change),
                around(edit, rig, now, change),
                edit.oneOf("/test/marks", change.marks(), now.marks()),
                Sizes.side(
                        edit,
                        "/test/patchMm",
                        "piece",
                        change.patchMm(),
                        now.patch(),
                        rig.fit().imageWidth().inMm()),
                Sizes.side(
                        edit,
                        "/test/breadthMm",
                        "piece",
                        change.breadthMm(),
                        now.breadth(),
                        rig.fit().imageHeight().inMm()),
                spot(edit, now.spot(), change));
    }

    /** Packs about the one that stands; dropped where the paper is printed without a pack, or lights of one's own are given. */
    private static Optional<PacksAround> around(Edit edit, Rig rig, PiecesPlan now, TestChange change) {
        AroundChange asked = change.around();
        boolean packs = !rig.light().points().isEmpty();
        if (asked == null) {
            return packs && change.lights() == null ? now.around() : Optional.empty();
        }
        if (NO_PACKS.equals(asked.kind())) {
            return Optional.empty();
        }
        if (!packs) {
            edit.errors().add("/test/around/kind", "E_INFEASIBLE", "Rings of packs are for colour paper.");
            return Optional.empty();
        }
        PacksAround stood = now.around().orElse(USUAL_RING);
        PacksAround.Kind kind = edit.oneOf("/test/around/kind", asked.kind(), stood.kind());
        Optional<Stops> companion = asked.companionStops() == null
                ? stood.companion()
                : edit.errors()
                        .check(
                                "/test/around/companionStops",
                                stood.companion(),
                                () -> Optional.of(asked.companionStops())
                                        .filter(s -> s != 0)
                                        .map(Stops::of));
        String pointer = asked.stepPoints() != null
                ? "/test/around/stepPoints"
                : asked.companionStops() != null ? "/test/around/companionStops" : "/test/around/rings";
        return edit.errors()
                .check(
                        pointer,
                        now.around(),
                        () -> Optional.of(new PacksAround(
                                kind,
                                Edit.or(asked.stepPoints(), stood.step()),
                                Edit.or(asked.rings(), stood.rings()),
                                Edit.or(asked.mixtures(), stood.mixtures()),
                                companion)));
    }

    /** Lights of the paper in hand; those of another kind of paper are dropped when the paper changed. */
    private static List<Light> lights(Edit edit, Rig rig, PiecesPlan now, TestChange change) {
        if (change.lights() == null) {
            boolean ofThisPaper =
                    change.around() == null && now.lights().stream().allMatch(l -> reads(rig, l));
            return ofThisPaper ? now.lights() : List.of();
        }
        return edit.errors().check("/test/lights", now.lights(), () -> {
            List<Light> lights = change.lights().stream()
                    .map(l -> rig.medium().core().read(l == null ? "" : l))
                    .distinct()
                    .toList();
            if (lights.size() != change.lights().size()) {
                throw Check.outOfRange("light", "every piece must have another light");
            }
            return lights.isEmpty() ? lights : counted(lights);
        });
    }

    private static List<Light> counted(List<Light> lights) {
        Check.count("lights", lights.size(), 2, PiecesPlan.MOST_PIECES);
        return lights;
    }

    static boolean reads(Rig rig, Light light) {
        try {
            rig.medium().core().read(light.notation());
            return true;
        } catch (QuantityException e) {
            return false;
        }
    }

    private static Optional<Spot> spot(Edit edit, Optional<Spot> now, TestChange change) {
        if (change.spotX() == null && change.spotY() == null) {
            return Boolean.TRUE.equals(change.placedByComputation()) ? Optional.empty() : now;
        }
        double x = Edit.or(change.spotX(), now.map(Spot::x).orElse(0.5));
        double y = Edit.or(change.spotY(), now.map(Spot::y).orElse(0.5));
        return edit.errors()
                .check(change.spotX() == null ? "/test/spotY" : "/test/spotX", now, () -> Optional.of(new Spot(x, y)));
    }

    private static Length fitting(double mm, double room) {
        return Length.ofMm(Math.max(Sizes.NARROWEST_MM, Math.floor(Math.min(mm, room))));
    }

    private static double longSide(Rig rig) {
        return Math.max(rig.sheetWidth().inMm(), rig.sheetHeight().inMm());
    }

    private static double shortSide(Rig rig) {
        return Math.min(rig.sheetWidth().inMm(), rig.sheetHeight().inMm());
    }

    private static double roomAlong(Rig rig, StripDirection direction) {
        return direction.isAlong()
                ? rig.fit().imageWidth().inMm()
                : rig.fit().imageHeight().inMm();
    }

    private static double roomAcross(Rig rig, StripDirection direction) {
        return direction.isAlong()
                ? rig.fit().imageHeight().inMm()
                : rig.fit().imageWidth().inMm();
    }
}
