package keyslate.server.test;

import java.util.List;
import keyslate.core.test.TestScript;
import keyslate.core.test.WedgePlan;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.store.json.StoredTest;
import org.springframework.stereotype.Component;

/** A disc of grey sectors on the paper, and one exposure through it. */
@Component
final class WedgeKind extends TestKind<WedgePlan> {
    WedgeKind() {
        super(WedgePlan.class, StoredTest.WEDGE, "d", "Wedge disc", "Wedge");
    }

    @Override
    int order() {
        return 4;
    }

    @Override
    TestPlaces.Lie lie(Rig rig, WedgePlan plan, TestPlaces places) {
        refuseIfLarger(rig, plan.diameter().inMm(), plan.diameter().inMm());
        return places.spot(1, plan.diameter(), plan.diameter(), plan.spot());
    }

    @Override
    String cannotShow(Rig rig, WedgePlan plan) {
        return "Every sector shows another part of the picture, and none is finer than its neighbours on the disc. What lies beyond its labels is not guessed.";
    }

    @Override
    List<String> notes(Rig rig, WedgePlan plan, TestPlaces places, TestPlaces.Lie lie) {
        return ofSpot(rig, places, lie);
    }

    @Override
    String headline(WedgePlan plan, TestScript script) {
        List<TestScript.Patch> patches = script.patches();
        return "One exposure of " + Show.seconds(patches.get(0).set()) + ", read from "
                + fromTo(
                        patches.get(0).total().inSeconds(),
                        patches.get(patches.size() - 1).total().inSeconds())
                + ".";
    }

    @Override
    String why(Rig rig, WedgePlan plan, TestScript script) {
        return "The disc lies on the paper, " + plan.disc().labels().size() + " sectors labelled for "
                + Show.seconds(plan.disc().referenceSeconds()) + ". Nothing moves; the lag counts once.";
    }

    @Override
    public String summary(Rig rig, SheetView sheet) {
        return sheet.patches().size() + " sectors, "
                + Show.seconds(sheet.script().get(0).setSeconds()) + ", "
                + Show.aperture(rig.aperture().engraved());
    }

    @Override
    String lookFor() {
        return "Look for the sector that has the right density.";
    }
}
