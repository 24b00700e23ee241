package keyslate.server.test;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import keyslate.core.light.Light;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.CoverStripPlan.SecondLies;
import keyslate.core.test.TestScript;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.store.json.StoredTest;
import org.springframework.stereotype.Component;

/** The covered strip. */
@Component
final class StripKind extends TestKind<CoverStripPlan> {
    StripKind() {
        super(CoverStripPlan.class, StoredTest.STRIP, "c", "Strip", "Cover");
    }

    @Override
    int order() {
        return 1;
    }

    @Override
    TestPlaces.Lie lie(Rig rig, CoverStripPlan plan, TestPlaces places) {
        return places.strip(plan.direction(), plan.series().patches(), plan.patch(), plan.breadth(), plan.place());
    }

    @Override
    String cannotShow(Rig rig, CoverStripPlan plan) {
        if (plan.isOfBothLights()) {
            return "Each patch shows another part of the picture, and both parts of the split together: neither filter alone is told.";
        }
        return plan.second().isPresent()
                ? "Each patch shows another part of the picture, and each row its part of the strip: lay it where a tone runs through all."
                : "Each patch shows another part of the picture: a tone is seen at one time only.";
    }

    @Override
    List<String> notes(Rig rig, CoverStripPlan plan, TestPlaces places, TestPlaces.Lie lie) {
        List<String> notes = new ArrayList<>();
        if (!rig.subject().isProof()
                && places.hasPoorPatch(
                        lie.area(), plan.direction(), plan.series().patches())) {
            notes.add("One patch holds no light and dark tone together. Move the strip, or turn it.");
        }
        rig.recipe().naming().tones().stream()
                .limit(1)
                .filter(t -> rig.crop().holds(t.x(), t.y()))
                .filter(t -> !rig.crop().within(lie.area()).holds(t.x(), t.y()))
                .forEach(t -> notes.add("The strip misses “" + t.name() + "”: move it there, or read it elsewhere."));
        return notes;
    }

    @Override
    String headline(CoverStripPlan plan, TestScript script) {
        if (plan.second().isEmpty()) {
            return super.headline(plan, script);
        }
        if (plan.isOfBothLights()) {
            return ofBoth(plan, script);
        }
        int rows = 1 + plan.otherLights().size();
        int inRow = script.patches().size() / rows;
        return (rows == 2 ? "Two" : "Three") + " rows of " + inRow + ": "
                + IntStream.range(0, rows)
                        .mapToObj(
                                row -> script.patches().get(row * inRow).light().notation() + ", "
                                        + fromTo(script, row * inRow, (row + 1) * inRow - 1))
                        .collect(Collectors.joining("; "))
                + ".";
    }

    private static String ofBoth(CoverStripPlan plan, TestScript script) {
        List<ExposureStep> steps = script.steps();
        Light first = steps.get(0).light();
        Light second = steps.get(steps.size() - 1).light();
        String over = second.notation() + " in " + plan.series().patches() + " steps";
        return plan.lies() == SecondLies.ON_TOP
                ? Show.capital(first.notation()) + " and " + over + " on the same patches: "
                        + fromTo(script, 0, script.patches().size() - 1) + " in all."
                : Show.capital(first.notation()) + ", "
                        + Show.seconds(steps.get(0).set().inSeconds()) + " on the whole strip, then " + over
                        + " on top.";
    }

    private static String fromTo(TestScript script, int first, int last) {
        return fromTo(
                script.patches().get(first).total().inSeconds(),
                script.patches().get(last).total().inSeconds());
    }

    @Override
    String why(Rig rig, CoverStripPlan plan, TestScript script) {
        return Show.seconds(script.totalSetSeconds()) + " under the lamp. "
                + (rig.way() == LampWay.BURNS
                        ? "The card moves on a tone, from the light end."
                        : "Cover the light end first."
                                + (plan.isOfBothLights() && plan.lies() == SecondLies.ON_TOP
                                        ? " Then the other filter, and the same again from the whole strip on."
                                        : ""));
    }
}
