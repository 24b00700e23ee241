package keyslate.server.test;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import keyslate.core.darkroom.Negative;
import keyslate.core.exposure.CoverStrip;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.rescale.Known;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Part;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.PieceLayout;
import keyslate.core.test.TestPlan;
import keyslate.core.test.TestScript;
import keyslate.core.tone.NamedTone;
import keyslate.server.Show;
import keyslate.server.rig.LightView;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.Patches;
import keyslate.server.sheet.SheetViews.RectView;
import keyslate.server.sheet.StepWords;
import keyslate.server.test.TestViews.KindView;
import keyslate.server.test.TestViews.PlannedPatchView;
import keyslate.server.test.TestViews.TestView;
import keyslate.store.json.StoredTest;
import org.springframework.stereotype.Component;

/** The test that is planned, of whatever kind, with what there is to say about it. */
@Component
public class PlannedTests {
    private final Map<Class<?>, TestKind<?>> kinds = new HashMap<>();
    private final List<KindView> named;

    PlannedTests(List<TestKind<?>> all) {
        all.forEach(k -> kinds.put(k.planClass(), k));
        named = all.stream()
                .sorted(Comparator.comparingInt(TestKind::order))
                .map(TestKind::named)
                .toList();
    }

    /** The test that would be made; a problem says why it cannot. */
    public TestView view(Rig rig, Optional<Negative> small) {
        return view(kinds.get(rig.recipe().test().getClass()), rig, small);
    }

    private <P extends TestPlan> TestView view(TestKind<P> kind, Rig rig, Optional<Negative> small) {
        P plan = kind.of(rig);
        TestPlaces places = new TestPlaces(rig, small);
        TestPlaces.Lie lie;
        TestScript script;
        List<ExposureStep> steps;
        try {
            lie = kind.lie(rig, plan, places);
            script = plan.script(rig.base(), rig.testRig());
            steps = rig.atEnlarger(script.steps());
        } catch (QuantityException e) {
            return impossible(kind, rig, plan, e);
        }
        List<Part> pieces = lie.pieces().stream().map(rig.crop()::within).toList();
        Patches patches = Patches.planned(script.steps(), rig, pieces);
        PieceLayout layout = Patches.layout(rig, pieces.size());
        List<String> notes = new ArrayList<>(lampNotes(rig, plan, script));
        notes.addAll(kind.notes(rig, plan, places, lie));
        return new TestView(
                StoredTest.of(plan),
                kind.named().name(),
                named,
                views(rig, plan, script, patches),
                StepWords.of(steps, rig),
                lie.pieces().stream().map(RectView::of).toList(),
                RectView.of(lie.area()),
                layout.aspect(rig.frameAspect()
                        * pieces.get(0).width()
                        / pieces.get(0).height()),
                lie.length().inMm(),
                lie.breadth().inMm(),
                steps.stream().mapToDouble(ExposureStep::totalSetSeconds).sum(),
                lie.paperShare(),
                plan.middle(rig.base()).inSeconds(),
                kind.headline(plan, script),
                kind.why(rig, plan, script) + " " + percent(lie.paperShare()) + " of a sheet.",
                kind.cannotShow(rig, plan),
                notes,
                beside(rig),
                wideStripOffered(rig, plan),
                Strips.benchWords(rig, plan).orElse(null),
                null);
    }

    private static List<String> beside(Rig rig) {
        return rig.medium().core().beside(rig.light()).stream()
                .map(Light::notation)
                .toList();
    }

    private static String percent(double share) {
        return Show.number(Math.round(100 * share)) + " %";
    }

    private TestView impossible(TestKind<?> kind, Rig rig, TestPlan plan, QuantityException e) {
        return new TestView(
                StoredTest.of(plan),
                kind.named().name(),
                named,
                List.of(),
                List.of(),
                List.of(),
                new RectView(0, 0, 1, 1),
                rig.frameAspect(),
                0,
                0,
                0,
                0,
                plan.middle(rig.base()).inSeconds(),
                "",
                "",
                "",
                List.of(),
                beside(rig),
                wideStripOffered(rig, plan),
                Strips.benchWords(rig, plan).orElse(null),
                Show.sentence(e.getMessage()));
    }

    private static List<PlannedPatchView> views(Rig rig, TestPlan plan, TestScript script, Patches patches) {
        ExposureTime centre = plan.middle(rig.base());
        List<NamedTone> tones = rig.recipe().naming().tones();
        List<PlannedPatchView> views = new ArrayList<>();
        // Patches are numbered by their light; a measured ring may have two marks the other way round.
        List<TestScript.Patch> planned = new ArrayList<>(script.patches());
        if (!patches.differInLight()) {
            planned.sort(Comparator.comparing(TestScript.Patch::total));
        }
        for (int i = 0; i < planned.size(); i++) {
            TestScript.Patch p = planned.get(i);
            Patches.OnPaper on = patches.all().get(i);
            boolean ofStrip = patches.isOfBothLights() && plan instanceof CoverStripPlan;
            ExposureTime about = ofStrip
                    ? planned.get(planned.size() / 2).total()
                    : p.light().equals(rig.light()) && !rig.exposure().isSplit()
                            ? centre
                            : Patches.asDark(rig, on.patch());
            views.add(new PlannedPatchView(
                    i + 1,
                    p.total().inSeconds(),
                    p.set(),
                    p.firstSet().isPresent() ? p.firstSet().getAsDouble() : null,
                    p.presses(),
                    p.total().stopsFrom(about).inStops(),
                    p.error().inStops(),
                    p.tooShort(),
                    RectView.of(on.inPicture()),
                    on.patch().piece(),
                    patches.row(on),
                    on.name(),
                    Patches.turns(rig.light(), p.light()),
                    on.mark(),
                    Patches.sector(on),
                    LightView.of(p.light()),
                    tones.stream().filter(on::holds).map(NamedTone::name).toList()));
        }
        return views;
    }

    private static List<String> lampNotes(Rig rig, TestPlan plan, TestScript script) {
        List<String> notes = new ArrayList<>();
        if (script.patches().stream().anyMatch(TestScript.Patch::tooShort)) {
            notes.add("A burst under " + Show.number(CoverStrip.SHORTEST_BURST_SECONDS) + " s is hard to repeat: "
                    + stopDown(rig, plan, stopsToClose(rig, script)) + ", or take fewer patches.");
        }
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
    private static String stopDown(Rig rig, TestPlan plan, Stops stops) {
        ExposureTime centre = plan.middle(rig.base());
        boolean follows = centre.equals(rig.base()) && !isPlainDefault(rig);
        return "stop down " + Show.stopsApart(stops)
                + (follows
                        ? ""
                        : " and centre on " + Show.seconds(centre.plus(stops).inSeconds()));
    }

    private static boolean isPlainDefault(Rig rig) {
        return "default".equals(rig.recipe().base().source());
    }

    /** Whole stops to close the lens by, so that the shortest burst becomes long enough. */
    private static Stops stopsToClose(Rig rig, TestScript script) {
        double shortest = script.patches().stream()
                .mapToDouble(p -> p.set() - rig.lag().inSeconds())
                .min()
                .orElseThrow();
        double wanted = CoverStrip.SHORTEST_BURST_SECONDS - rig.lag().inSeconds();
        return Stops.of(
                Math.ceil(Stops.ofFactor(wanted / Math.max(0.01, shortest)).inStops()));
    }

    /** While the base exposure is a plain default, a strip that is not yet as wide as EXP-32 wants it may miss the answer. */
    private static boolean wideStripOffered(Rig rig, TestPlan plan) {
        return isPlainDefault(rig) && plan instanceof CoverStripPlan strip && !Strips.isWide(rig, strip);
    }
}
