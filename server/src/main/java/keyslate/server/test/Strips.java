package keyslate.server.test;

import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.light.Light;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.LampWay;
import keyslate.core.script.StripDirection;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.CoverStripPlan.SecondLies;
import keyslate.core.test.PatchSeries;
import keyslate.core.test.PressSeries;
import keyslate.core.test.TestPlan;
import keyslate.server.Show;
import keyslate.server.rig.Rig;

/** Series as they fit a picture. */
public final class Strips {
    /** Of a first strip. */
    public static final Stops USUAL_STEP = Stops.ofFraction(1, 2);

    public static final double USUAL_STEP_SECONDS = 4;
    public static final int USUAL_PATCHES = 5;
    /** A strip as broad as this share of the sheet takes a fifth of it. */
    private static final double USUAL_BREADTH = 0.25;

    private static final double NARROWEST_BREADTH_MM = 40;
    private static final double LEAST_MM = 2;

    private Strips() {}

    /** The length of the picture in the direction of a strip. */
    public static Length room(Rig rig, StripDirection direction) {
        return TestPlaces.room(rig, direction);
    }

    /** The length of the picture across a strip. */
    public static Length roomAcross(Rig rig, StripDirection direction) {
        return TestPlaces.roomAcross(rig, direction);
    }

    /** The strip to begin with: five half stops along the whole picture. */
    public static CoverStripPlan usual(Rig rig) {
        double breadth = Math.min(
                rig.fit().imageHeight().inMm(),
                Math.max(NARROWEST_BREADTH_MM, rig.sheetHeight().inMm() * USUAL_BREADTH));
        return new CoverStripPlan(
                PatchSeries.stops(USUAL_STEP, USUAL_STEP_SECONDS, USUAL_PATCHES),
                StripDirection.DARK_RIGHT,
                Length.ofMm(Math.max(LEAST_MM, Math.floor(rig.fit().imageWidth().inMm() / USUAL_PATCHES))),
                Length.ofMm(Math.max(LEAST_MM, Math.floor(breadth))),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** The strip for a negative of which nothing is known (EXP-32); on a timer that is pressed presses of one setting reach as far. */
    public static CoverStripPlan wide(Rig rig, CoverStripPlan now) {
        if (rig.way() != LampWay.MY_TIMER) {
            return now.as(CheckStrip.first(rig.base()), room(rig, now.direction()));
        }
        PatchSeries far = now.series().pressed(PatchSeries.FAR_PRESSES);
        return now.of(
                far,
                Length.ofMm(Math.max(
                        LEAST_MM, Math.floor(room(rig, now.direction()).inMm() / far.patches()))));
    }

    /**
     * The first strip of a negative whose time was carried over, as fine as first strips of this bench have turned out to need (EXP-43), with rows through the next harder and the next softer filter beside it where one is chosen; none where that is not
     * known, or no finer than for an unknown negative.
     */
    public static Optional<CoverStripPlan> ofBench(Rig rig, CoverStripPlan now) {
        if (!"rescaled".equals(rig.recipe().base().source())
                || rig.subject().isProof()
                || rig.way() != LampWay.SWITCHED) {
            return Optional.empty();
        }
        return rig.constants()
                .guesses(rig.paper().id(), rig.enlarger().id())
                .map(g -> CheckStrip.first(rig.base(), g.missed(), g.slates()))
                .filter(s -> s.step().compareTo(CheckStrip.first(rig.base()).step()) < 0)
                .map(s -> now.as(s, room(rig, now.direction())).inRows(beside(rig)));
    }

    /** What is said of it. */
    static Optional<String> benchWords(Rig rig, TestPlan plan) {
        if (!(plan instanceof CoverStripPlan strip)) {
            return Optional.empty();
        }
        return ofBench(rig, strip)
                .filter(fine -> !fine.series().equals(strip.series()))
                .flatMap(fine -> rig.constants()
                        .guesses(rig.paper().id(), rig.enlarger().id())
                        .map(g -> fine.series().patches() + " × "
                                + Show.stopsApart(fine.series().step()) + ": carried times missed by "
                                + Show.stopsApart(g.missed()) + " here, " + g.slates() + " slates"));
    }

    private static List<Light> beside(Rig rig) {
        return rig.medium().choosesFilter()
                ? rig.light().toFilter().neighbours().stream()
                        .map(Light::filter)
                        .toList()
                : List.of();
    }

    /** A light a grade harder, for a second row; softer at the end of the set; none where no filter is chosen. */
    public static Optional<Light> harder(Rig rig) {
        if (!rig.medium().choosesFilter()) {
            return Optional.empty();
        }
        return rig.medium().core().beside(rig.light()).stream()
                .filter(l -> !l.equals(rig.light()))
                .reduce((softer, last) -> last);
    }

    /** Whether a strip is as wide as that. */
    static boolean isWide(Rig rig, CoverStripPlan strip) {
        PatchSeries wanted = wide(rig, strip).series();
        PatchSeries stands = strip.series();
        return stands.kind() == wanted.kind()
                && stands.patches() == wanted.patches()
                && (stands.kind() == PatchSeries.Kind.PRESSES
                        ? stands.presses().equals(wanted.presses())
                        : stands.step().equals(wanted.step()));
    }

    /**
     * The test that settles what a reading left open: in two rows a covered strip, else of the kind that stands where it has a series.
     *
     * @param beside light of the second row; none = one row
     */
    public static TestPlan check(Rig rig, CheckStrip strip, Optional<Light> beside) {
        TestPlan now = rig.recipe().test();
        Optional<Light> second = beside.filter(l -> rig.way() != LampWay.BURNS);
        if (second.isEmpty()
                && now instanceof TestPlan.OfSeries series
                && !(now instanceof CoverStripPlan)
                && series.isOfOneLight()) {
            return series.of(finer(rig, series.series(), strip), series.patch());
        }
        return covered(rig, strip).inRows(second);
    }

    /** The strip that settles what a reading of both parts of a split left open: both on the same patches, as the strip that stands where that is one of both. */
    public static CoverStripPlan ofBoth(Rig rig, CheckStrip strip, BaseExposure.Part second) {
        SecondLies lies = rig.recipe().test() instanceof CoverStripPlan standing && standing.isOfBothLights()
                ? standing.lies()
                : SecondLies.ON_TOP;
        return covered(rig, strip).onTop(second.light(), second.time(), lies);
    }

    private static CoverStripPlan covered(Rig rig, CheckStrip strip) {
        CoverStripPlan cover = rig.recipe().test() instanceof CoverStripPlan standing ? standing : usual(rig);
        PatchSeries series = finer(rig, cover.series(), strip);
        double room = room(rig, cover.direction()).inMm();
        return cover.of(series, Length.ofMm(Math.max(LEAST_MM, Math.floor(room / series.patches()))));
    }

    /** The steps of a check; a timer that is pressed gives what presses of one setting come nearest to. */
    private static PatchSeries finer(Rig rig, PatchSeries now, CheckStrip strip) {
        PatchSeries steps = now.ofStops(strip.step(), strip.patches());
        boolean pressed = rig.way() == LampWay.MY_TIMER;
        boolean possible = !pressed
                || PressSeries.of(steps.totals(rig.base(), rig.timer(), rig.lag()), rig.timer(), rig.lag())
                        .isPresent();
        return possible ? steps : now.pressed(PatchSeries.FINE_PRESSES);
    }
}
