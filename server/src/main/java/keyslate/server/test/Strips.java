package keyslate.server.test;

import java.util.Optional;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;
import keyslate.core.script.LampWay;
import keyslate.core.script.StripDirection;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.PatchSeries;
import keyslate.core.test.TestPlan;
import keyslate.server.rig.Rig;

/** Series as they fit a picture. */
public final class Strips {
    /** Of a first strip. */
    public static final Stops USUAL_STEP = Stops.ofFraction(1, 2);

    public static final double USUAL_STEP_SECONDS = 4;
    public static final int USUAL_PATCHES = 5;
    /** A strip as broad as this share of the sheet takes a fifth of it. */
    private static final double USUAL_BREADTH = 0.25;

    private static final Stops WHOLE_STOP = Stops.of(1);
    private static final int WIDE_PATCHES_BY_PRESSES = 6;
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
                Optional.empty());
    }

    /** The strip for a negative of which nothing is known. */
    public static CoverStripPlan wide(Rig rig, CoverStripPlan now) {
        return now.as(wideStrip(rig), room(rig, now.direction()));
    }

    /**
     * The strip for a negative of which nothing is known (EXP-32); with one setting of a timer that is pressed, whole
     * stops reach as far.
     */
    static CheckStrip wideStrip(Rig rig) {
        return rig.way() == LampWay.MY_TIMER
                ? new CheckStrip(rig.base(), WHOLE_STOP, WIDE_PATCHES_BY_PRESSES)
                : CheckStrip.first(rig.base());
    }

    /** The test that settles what a reading left open: of the kind that stands where it has a series, else a strip. */
    public static TestPlan check(Rig rig, CheckStrip strip) {
        TestPlan now = rig.recipe().test();
        if (now instanceof CoverStripPlan cover) {
            return cover.as(strip, room(rig, cover.direction()));
        }
        if (now instanceof TestPlan.OfSeries series && series.step().isPresent()) {
            return series.of(series.series().ofStops(strip.step(), strip.patches()), series.patch());
        }
        CoverStripPlan usual = usual(rig);
        return usual.as(strip, room(rig, usual.direction()));
    }
}
