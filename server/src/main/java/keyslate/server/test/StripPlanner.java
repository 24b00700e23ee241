package keyslate.server.test;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.darkroom.Raster;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.exposure.TestSeries;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.StripPlacement;
import keyslate.core.size.PrintFit;
import keyslate.server.Show;
import keyslate.server.slate.Rig;
import keyslate.server.slate.SlateViews.PatchView;
import keyslate.server.slate.SlateViews.RectView;
import keyslate.server.slate.SlateViews.ScriptStepView;
import keyslate.server.slate.SlateViews.StripPlanView;
import keyslate.store.slate.Recipe.Strip;

/** The next test strip: times, bursts, and where each patch falls on the picture. */
public final class StripPlanner {
    private static final double POOR_RANGE = 0.35;

    private StripPlanner() {}

    /** The strip of a recipe; the negative, where there is one, decides where a narrow strip lies. */
    public static StripPlanView plan(Rig rig, Optional<Raster> negative) {
        Strip strip = rig.recipe().strip();
        ExposureTime centre = centre(rig);
        RectView area = area(rig, negative);
        double length = strip.patches() * strip.patchMm();
        double share = length
                * strip.breadthMm()
                / (rig.sheetWidth().inMm() * rig.sheetHeight().inMm());
        try {
            CoverStrip plan = cover(rig);
            List<PatchView> patches = patches(plan, centre, strip);
            List<String> notes = new ArrayList<>();
            if (patches.stream().anyMatch(PatchView::tooShort)) {
                notes.add("A burst under " + Show.number(CoverStrip.SHORTEST_BURST_SECONDS) + " s is hard to repeat: "
                        + stopDown(rig, centre, stopsToClose(plan)) + ", or take fewer patches.");
            }
            negative.ifPresent(n -> poorPatch(rig, n, area).ifPresent(notes::add));
            if (rig.enlarger().lagSeconds() > 0) {
                notes.add("Bursts hold " + Show.number(rig.enlarger().lagSeconds()) + " s for the lamp's lag, "
                        + ("measured".equals(rig.enlarger().lagSource()) ? "as measured." : "not measured yet."));
            }
            return new StripPlanView(
                    patches,
                    area,
                    length,
                    strip.breadthMm(),
                    plan.totalSetSeconds(),
                    share,
                    centre.inSeconds(),
                    notes,
                    wideStripOffered(rig),
                    null);
        } catch (QuantityException e) {
            return new StripPlanView(
                    List.of(),
                    area,
                    length,
                    strip.breadthMm(),
                    0,
                    share,
                    centre.inSeconds(),
                    List.of(),
                    wideStripOffered(rig),
                    sentence(e));
        }
    }

    /** A time that is known follows the opening by itself; a plain default and a centre of one's own do not. */
    private static String stopDown(Rig rig, ExposureTime centre, Stops stops) {
        boolean follows = rig.recipe().strip().centreSeconds() == null && !isPlainDefault(rig);
        return "stop down " + Show.stopsApart(stops)
                + (follows
                        ? ""
                        : " and centre on " + Show.seconds(centre.plus(stops).inSeconds()));
    }

    private static boolean isPlainDefault(Rig rig) {
        return "default".equals(rig.recipe().setup().baseSource());
    }

    /** Whole stops to close the lens by, so that the shortest burst becomes long enough. */
    private static Stops stopsToClose(CoverStrip plan) {
        double shortest = plan.patches().stream()
                .mapToDouble(p -> plan.lag().receivedSeconds(p.burst()))
                .min()
                .orElseThrow();
        double wanted = CoverStrip.SHORTEST_BURST_SECONDS - plan.lag().inSeconds();
        return Stops.of(Math.ceil(Stops.ofFactor(wanted / shortest).inStops()));
    }

    /**
     * While the base exposure is a plain default, a strip that is not yet as wide as EXP-32 wants it may miss the
     * answer.
     */
    private static boolean wideStripOffered(Rig rig) {
        Strip strip = rig.recipe().strip();
        CheckStrip wide = CheckStrip.first(rig.base());
        boolean isWide = "EQUAL_STOPS".equals(strip.kind())
                && strip.patches() == wide.patches()
                && Stops.of(strip.stepStops()).equals(wide.step());
        return isPlainDefault(rig) && !isWide;
    }

    /** The bursts that a strip is exposed with. */
    public static List<ScriptStepView> script(Rig rig) {
        List<ScriptStepView> steps = new ArrayList<>();
        for (CoverStrip.Patch patch : cover(rig).patches()) {
            int place = steps.size() + 1;
            steps.add(new ScriptStepView(
                    place,
                    "PATCH",
                    rig.filter().label(),
                    patch.burst().inSeconds(),
                    rig.lag().receivedSeconds(patch.burst()),
                    place,
                    patch.total().inSeconds(),
                    List.of(),
                    null));
        }
        return steps;
    }

    /** The part of the strip that is not under the card during the burst of patch {@code number} (from 1). */
    public static RectView uncovered(String direction, int number, int patches) {
        double covered = (number - 1.0) / patches;
        return switch (direction) {
            case "DARK_RIGHT" -> new RectView(covered, 0, 1 - covered, 1);
            case "DARK_LEFT" -> new RectView(0, 0, 1 - covered, 1);
            case "DARK_BOTTOM" -> new RectView(0, covered, 1, 1 - covered);
            default -> new RectView(0, 0, 1, 1 - covered);
        };
    }

    /** Where patch {@code number} (from 1) lies on the strip. */
    public static RectView patchPlace(String direction, int number, int patches) {
        double size = 1.0 / patches;
        double from = "DARK_RIGHT".equals(direction) || "DARK_BOTTOM".equals(direction)
                ? (number - 1) * size
                : 1 - number * size;
        return along(direction) ? new RectView(from, 0, size, 1) : new RectView(0, from, 1, size);
    }

    /** Whether the patches follow each other across the picture from side to side. */
    public static boolean along(String direction) {
        return "DARK_RIGHT".equals(direction) || "DARK_LEFT".equals(direction);
    }

    /** The length of the picture in the direction of the strip, millimetres. */
    public static double room(Rig rig, String direction) {
        PrintFit fit = rig.fit();
        return along(direction) ? fit.imageWidth().inMm() : fit.imageHeight().inMm();
    }

    /** The length of the picture across the strip, millimetres. */
    public static double roomAcross(Rig rig, String direction) {
        return room(rig, along(direction) ? "DARK_BOTTOM" : "DARK_RIGHT");
    }

    private static ExposureTime centre(Rig rig) {
        Double own = rig.recipe().strip().centreSeconds();
        return own == null ? rig.base() : ExposureTime.ofSeconds(own);
    }

    private static CoverStrip cover(Rig rig) {
        Strip strip = rig.recipe().strip();
        List<ExposureTime> totals = "EQUAL_SECONDS".equals(strip.kind())
                ? TestSeries.equalSecondsAbout(centre(rig), strip.stepSeconds(), strip.patches())
                : TestSeries.equalStopsAbout(centre(rig), Stops.of(strip.stepStops()), strip.patches());
        return CoverStrip.plan(totals, TimerSteps.tenths(), rig.lag(), CoverStrip.SHORTEST_BURST_SECONDS);
    }

    private static List<PatchView> patches(CoverStrip plan, ExposureTime centre, Strip strip) {
        List<PatchView> patches = new ArrayList<>();
        for (CoverStrip.Patch p : plan.patches()) {
            int number = patches.size() + 1;
            patches.add(new PatchView(
                    number,
                    p.total().inSeconds(),
                    p.burst().inSeconds(),
                    p.total().stopsFrom(centre).inStops(),
                    p.roundingError().inStops(),
                    p.tooShort(),
                    patchPlace(strip.direction(), number, strip.patches())));
        }
        return patches;
    }

    /** The strip on the printed picture, in fractions of it. */
    private static RectView area(Rig rig, Optional<Raster> negative) {
        Strip strip = rig.recipe().strip();
        double room = room(rig, strip.direction());
        double across = roomAcross(rig, strip.direction());
        double length = Math.min(1, strip.patches() * strip.patchMm() / room);
        double breadth = Math.min(1, strip.breadthMm() / across);
        double from = (1 - length) / 2;
        double start = strip.place() != null
                ? (1 - breadth) * strip.place()
                : negative.map(n -> richest(rig, n, breadth)).orElse((1 - breadth) / 2);
        return along(strip.direction())
                ? new RectView(from, start, length, breadth)
                : new RectView(start, from, breadth, length);
    }

    private static double richest(Rig rig, Raster negative, double breadth) {
        Raster printed = printed(rig, negative);
        Strip strip = rig.recipe().strip();
        return StripPlacement.bestStart(
                printed.samples(), printed.width(), along(strip.direction()), strip.patches(), breadth);
    }

    private static Optional<String> poorPatch(Rig rig, Raster negative, RectView area) {
        Raster printed = printed(rig, negative);
        Strip strip = rig.recipe().strip();
        boolean along = along(strip.direction());
        double range = StripPlacement.poorestRange(
                printed.samples(),
                printed.width(),
                along,
                strip.patches(),
                along ? area.top() : area.left(),
                along ? area.height() : area.width());
        return range < POOR_RANGE
                ? Optional.of("One patch holds no light and dark tone together. Move the strip, or turn it.")
                : Optional.empty();
    }

    private static Raster printed(Rig rig, Raster negative) {
        RectView crop = rig.crop();
        return negative.cropped(crop.left(), crop.top(), crop.width(), crop.height());
    }

    private static String sentence(QuantityException e) {
        return Character.toUpperCase(e.getMessage().charAt(0)) + e.getMessage().substring(1) + ".";
    }
}
