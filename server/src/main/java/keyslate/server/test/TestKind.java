package keyslate.server.test;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.darkroom.Negative;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.QuantityException;
import keyslate.core.script.Part;
import keyslate.core.test.TestPlan;
import keyslate.core.test.TestScript;
import keyslate.server.Show;
import keyslate.server.medium.MediumPart;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetKind;
import keyslate.server.sheet.SheetPlan;
import keyslate.server.sheet.SheetViews.NextStepView;
import keyslate.server.sheet.SheetViews.PatchView;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.server.test.TestViews.KindView;
import keyslate.store.slate.Decision;

/**
 * A kind of test: how it lies on the picture, what it cannot show, and what it is called. What all of them share is here; a new kind is one more of these.
 *
 * @param <P> its plan
 */
abstract class TestKind<P extends TestPlan> implements SheetKind {
    private final Class<P> planClass;
    private final KindView named;

    TestKind(Class<P> planClass, String id, String key, String name, String label) {
        this.planClass = planClass;
        this.named = new KindView(id, key, name, label);
    }

    final Class<P> planClass() {
        return planClass;
    }

    /** Its place among the kinds on the page. */
    abstract int order();

    /** How it is chosen. */
    final KindView named() {
        return named;
    }

    @Override
    public final String id() {
        return named.id();
    }

    @Override
    public String name(Rig rig) {
        return named.name();
    }

    @Override
    public final String station() {
        return "test";
    }

    @Override
    public String lookedAtStation(Rig rig) {
        return "test";
    }

    @Override
    public final boolean isTest() {
        return true;
    }

    /** Where it lies on the picture. */
    abstract TestPlaces.Lie lie(Rig rig, P plan, TestPlaces places);

    /** What this test cannot show, in one sentence, and what it costs beside another one. */
    abstract String cannotShow(Rig rig, P plan);

    /** What is to be said of a plan besides what is said of all tests. */
    List<String> notes(Rig rig, P plan, TestPlaces places, TestPlaces.Lie lie) {
        return List.of();
    }

    /** In one line what the hands do, and how long it takes. */
    abstract String why(Rig rig, P plan, TestScript script);

    /** What it is, as a headline: so many patches, from and to. */
    String headline(P plan, TestScript script) {
        List<TestScript.Patch> patches = script.patches();
        return patches.size() + " patches, "
                + fromTo(
                        patches.get(0).total().inSeconds(),
                        patches.get(patches.size() - 1).total().inSeconds())
                + ".";
    }

    static String fromTo(double first, double last) {
        return Show.seconds(first).replace(" s", "") + " to " + Show.seconds(last);
    }

    @Override
    public final SheetPlan plan(Rig rig, Optional<Negative> small) {
        P plan = of(rig);
        TestPlaces.Lie lie = lie(rig, plan, new TestPlaces(rig, small));
        Part crop = rig.crop();
        List<Part> pieces = lie.pieces().stream().map(crop::within).toList();
        return new SheetPlan(
                pieces, rig.atEnlarger(plan.script(rig.base(), rig.testRig()).steps()), lie.paperShare());
    }

    /** The plan that stands; refused when another kind stands. */
    final P of(Rig rig) {
        TestPlan plan = rig.recipe().test();
        if (!planClass.isInstance(plan)) {
            throw Check.infeasible("kind", "another kind of test is planned now; look at the plan again");
        }
        return planClass.cast(plan);
    }

    @Override
    public String summary(Rig rig, SheetView sheet) {
        List<PatchView> patches = sheet.patches();
        return fromTo(
                        patches.get(0).plannedSeconds(),
                        patches.get(patches.size() - 1).plannedSeconds())
                + ", " + Show.aperture(rig.aperture().engraved());
    }

    @Override
    public NextStepView next(Rig standing, SheetView last) {
        String label = last.label().toLowerCase(Locale.ROOT);
        boolean proof = standing.subject().isProof();
        String proposed = standing.exposureInWords() + ".";
        boolean byLight = last.asks().contains(MediumPart.PIECE);
        boolean looks = hasColour(standing);
        if (last.decisions().isEmpty() && byLight && looks) {
            return new NextStepView(
                    "colour",
                    "Look at the pieces of " + label + ".",
                    "Which of them is neutral, or between which does it lie?",
                    "Go to Colour");
        }
        if (last.decisions().isEmpty()) {
            return new NextStepView(
                    station(),
                    "Read " + label + ".",
                    proof ? "Look for the first patch whose film edge is as black as the paper beside it." : lookFor(),
                    "Read it");
        }
        if (proof) {
            return new NextStepView(
                    "print",
                    "Expose the proof: " + proposed,
                    last.label() + " is read. All frames on one sheet, the film edge just black.",
                    "Go to Print");
        }
        boolean looked = byLight || last.decisions().stream().anyMatch(d -> Decision.CAST.equals(d.kind()));
        if (looks && !looked) {
            return new NextStepView(
                    "colour",
                    "Look at the colour of " + label + ".",
                    "Through which filter does its neutral look right?",
                    "Go to Colour");
        }
        return new NextStepView(
                "print",
                "Expose a work print: " + proposed,
                last.label() + " is read. Hold back and burn after you see the straight print.",
                "Go to Print");
    }

    static boolean hasColour(Rig rig) {
        return rig.medium().stations().stream().anyMatch(s -> "colour".equals(s.path()));
    }

    /** What one looks for as the sheet hangs. */
    String lookFor() {
        return "Look for the patch that has the right density.";
    }

    /** Notes of a window, a disc or pieces over one spot. */
    static List<String> ofSpot(Rig rig, TestPlaces places, TestPlaces.Lie lie) {
        List<String> notes = new ArrayList<>();
        if (!rig.subject().isProof() && places.isPoor(lie.area())) {
            notes.add("This spot holds no light and dark tone together. Move it.");
        }
        return notes;
    }

    /** Refuses what is larger than the picture, with what fits. */
    static void refuseIfLarger(Rig rig, double wideMm, double highMm) {
        double width = rig.fit().imageWidth().inMm();
        double height = rig.fit().imageHeight().inMm();
        if (wideMm > width + 0.05 || highMm > height + 0.05) {
            throw new QuantityException(
                    QuantityException.Kind.OUT_OF_RANGE,
                    "patch",
                    Show.number(wideMm) + " × " + Show.number(highMm) + " mm is larger than the picture ("
                            + Show.number(Math.floor(width)) + " × " + Show.number(Math.floor(height)) + " mm)");
        }
    }
}
