package keyslate.server.test;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.darkroom.Negative;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.rescale.Known;
import keyslate.core.script.CoverStripPlan;
import keyslate.core.script.LampWay;
import keyslate.core.script.Part;
import keyslate.core.script.StripScript;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetKind;
import keyslate.server.sheet.SheetPlan;
import keyslate.server.sheet.SheetViews.NextStepView;
import keyslate.server.sheet.SheetViews.PatchView;
import keyslate.server.sheet.SheetViews.RectView;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.server.sheet.StepWords;
import keyslate.server.test.TestViews.PlannedPatchView;
import keyslate.server.test.TestViews.TestView;
import keyslate.store.json.StoredTest;
import keyslate.store.slate.Decision;
import org.springframework.stereotype.Component;

/** The covered strip. */
@Component
public class StripKind implements SheetKind {
    public static final String ID = StoredTest.STRIP;

    private static final Stops WHOLE_STOP = Stops.of(1);
    private static final int WIDE_PATCHES_BY_PRESSES = 6;

    @Override
    public String id() {
        return ID;
    }

    @Override
    public String name(Rig rig) {
        return "Strip";
    }

    @Override
    public String station() {
        return "test";
    }

    @Override
    public String lookedAtStation() {
        return "test";
    }

    @Override
    public SheetPlan plan(Rig rig, Optional<Negative> small) {
        CoverStripPlan plan = (CoverStripPlan) rig.recipe().test();
        StripGeometry geometry = new StripGeometry(rig, plan, small);
        return new SheetPlan(
                rig.crop().within(geometry.area()),
                rig.withStack(script(rig, plan).steps()),
                geometry.paperShare());
    }

    @Override
    public String summary(Rig rig, SheetView sheet) {
        List<PatchView> patches = sheet.patches();
        String from = Show.seconds(patches.get(0).plannedSeconds()).replace(" s", "");
        String to = Show.seconds(patches.get(patches.size() - 1).plannedSeconds());
        return from + " to " + to + ", " + Show.aperture(rig.aperture().engraved());
    }

    @Override
    public NextStepView next(Rig standing, SheetView last) {
        String label = last.label().toLowerCase(Locale.ROOT);
        if (last.decisions().isEmpty()) {
            return new NextStepView(
                    station(),
                    "Read " + label + ".",
                    standing.subject().isProof()
                            ? "Look for the first patch whose film edge is as black as the paper beside it."
                            : "Look for the patch that has the right density.",
                    "Read strip");
        }
        if (standing.subject().isProof()) {
            return new NextStepView(
                    "print",
                    "Expose the proof: " + standing.light().notation() + ", "
                            + Show.seconds(standing.base().inSeconds()) + ".",
                    last.label() + " is read. All frames on one sheet, the film edge just black.",
                    "Go to Print");
        }
        boolean looks = standing.medium().stations().stream().anyMatch(s -> "colour".equals(s.path()));
        boolean looked = last.decisions().stream().anyMatch(d -> Decision.CAST.equals(d.kind()));
        if (looks && !looked) {
            return new NextStepView(
                    "colour",
                    "Look at the colour of " + label + ".",
                    "Through which filter does its neutral look right?",
                    "Go to Colour");
        }
        return new NextStepView(
                "print",
                "Expose a work print: " + standing.light().notation() + ", "
                        + Show.seconds(standing.base().inSeconds()) + ".",
                last.label() + " is read. Hold back and burn after you see the straight print.",
                "Go to Print");
    }

    /** The strip that would be made, with what there is to say about it. */
    public TestView view(Rig rig, Optional<Negative> small) {
        CoverStripPlan plan = (CoverStripPlan) rig.recipe().test();
        StripGeometry geometry = new StripGeometry(rig, plan, small);
        Part area = geometry.area();
        ExposureTime centre = plan.centre().orElse(rig.base());
        try {
            StripScript script = script(rig, plan);
            return view(rig, plan, geometry, area, centre, script);
        } catch (QuantityException e) {
            return new TestView(
                    StoredTest.of(plan),
                    List.of(),
                    List.of(),
                    RectView.of(area),
                    plan.length().inMm(),
                    plan.breadth().inMm(),
                    0,
                    geometry.paperShare(),
                    centre.inSeconds(),
                    List.of(),
                    wideStripOffered(rig, plan),
                    Show.sentence(e.getMessage()));
        }
    }

    private static TestView view(
            Rig rig, CoverStripPlan plan, StripGeometry geometry, Part area, ExposureTime centre, StripScript script) {
        List<PlannedPatchView> patches = new ArrayList<>();
        for (StripScript.Patch p : script.patches()) {
            int number = patches.size() + 1;
            boolean byStep = script.steps().size() == script.patches().size();
            patches.add(new PlannedPatchView(
                    number,
                    p.total().inSeconds(),
                    byStep ? script.steps().get(number - 1).set().inSeconds() : p.set(),
                    byStep ? script.steps().get(number - 1).presses() : 1,
                    p.total().stopsFrom(centre).inStops(),
                    p.error().inStops(),
                    p.tooShort(),
                    RectView.of(plan.direction().patch(number, plan.patches()))));
        }
        return new TestView(
                StoredTest.of(plan),
                patches,
                StepWords.of(rig.withStack(script.steps()), rig),
                RectView.of(area),
                plan.length().inMm(),
                plan.breadth().inMm(),
                script.steps().stream().mapToDouble(s -> s.totalSetSeconds()).sum(),
                geometry.paperShare(),
                centre.inSeconds(),
                notes(rig, plan, geometry, area, centre, script),
                wideStripOffered(rig, plan),
                null);
    }

    private static List<String> notes(
            Rig rig, CoverStripPlan plan, StripGeometry geometry, Part area, ExposureTime centre, StripScript script) {
        List<String> notes = new ArrayList<>();
        if (script.patches().stream().anyMatch(StripScript.Patch::tooShort)) {
            notes.add("A burst under " + Show.number(CoverStrip.SHORTEST_BURST_SECONDS) + " s is hard to repeat: "
                    + stopDown(rig, plan, centre, stopsToClose(rig, script)) + ", or take fewer patches.");
        }
        if (!rig.subject().isProof() && geometry.hasPoorPatch(area)) {
            notes.add("One patch holds no light and dark tone together. Move the strip, or turn it.");
        }
        rig.recipe().naming().tones().stream()
                .limit(1)
                .filter(t -> rig.crop().holds(t.x(), t.y()))
                .filter(t -> !rig.crop().within(area).holds(t.x(), t.y()))
                .forEach(t -> notes.add("The strip misses “" + t.name() + "”: move it there, or read it elsewhere."));
        double lag = rig.lag().inSeconds();
        if (lag > 0) {
            String how = rig.knownLag().source() == Known.Source.DEFAULT
                    ? "not measured yet."
                    : "as " + rig.knownLag().source().name().toLowerCase(Locale.ROOT) + ".";
            notes.add("Bursts hold " + Show.number(lag) + " s for the lamp's lag, " + how);
        }
        return notes;
    }

    /** A time that is known follows the opening by itself; a plain default and a centre of one's own do not. */
    private static String stopDown(Rig rig, CoverStripPlan plan, ExposureTime centre, Stops stops) {
        boolean follows = plan.centre().isEmpty() && !isPlainDefault(rig);
        return "stop down " + Show.stopsApart(stops)
                + (follows
                        ? ""
                        : " and centre on " + Show.seconds(centre.plus(stops).inSeconds()));
    }

    private static boolean isPlainDefault(Rig rig) {
        return "default".equals(rig.recipe().base().source());
    }

    /** Whole stops to close the lens by, so that the shortest burst becomes long enough. */
    private static Stops stopsToClose(Rig rig, StripScript script) {
        double shortest = script.patches().stream()
                .mapToDouble(p -> p.set() - rig.lag().inSeconds())
                .min()
                .orElseThrow();
        double wanted = CoverStrip.SHORTEST_BURST_SECONDS - rig.lag().inSeconds();
        return Stops.of(
                Math.ceil(Stops.ofFactor(wanted / Math.max(0.01, shortest)).inStops()));
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

    /** While the base exposure is a plain default, a strip that is not yet as wide as EXP-32 wants it may miss the answer. */
    private static boolean wideStripOffered(Rig rig, CoverStripPlan plan) {
        CheckStrip wide = wideStrip(rig);
        boolean isWide = plan.series() == CoverStripPlan.Series.EQUAL_STOPS
                && plan.patches() == wide.patches()
                && plan.step().equals(wide.step());
        return isPlainDefault(rig) && !isWide;
    }

    private static StripScript script(Rig rig, CoverStripPlan plan) {
        return StripScript.plan(
                plan,
                rig.base(),
                new StripScript.Rig(
                        rig.light(), rig.recipe().setup().apertureMark(), rig.way(), rig.timer(), rig.lag()));
    }
}
