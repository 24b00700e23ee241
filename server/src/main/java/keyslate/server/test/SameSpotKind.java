package keyslate.server.test;

import java.util.List;
import keyslate.core.quantity.Length;
import keyslate.core.test.SameSpotPlan;
import keyslate.core.test.TestScript;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.store.json.StoredTest;
import org.springframework.stereotype.Component;

/** A strip that is moved on in its holder, so that every patch shows one spot. */
@Component
final class SameSpotKind extends TestKind<SameSpotPlan> {
    SameSpotKind() {
        super(SameSpotPlan.class, StoredTest.SAME_SPOT, "t", "Same-spot strip", "Same spot");
    }

    @Override
    int order() {
        return 2;
    }

    @Override
    TestPlaces.Lie lie(Rig rig, SameSpotPlan plan, TestPlaces places) {
        boolean along = plan.direction().isAlong();
        double wide = (along ? plan.patch() : plan.breadth()).inMm();
        double high = (along ? plan.breadth() : plan.patch()).inMm();
        refuseIfLarger(rig, wide, high);
        TestPlaces.Lie window = places.spot(
                plan.pieces(),
                along ? plan.patch() : plan.breadth(),
                along ? plan.breadth() : plan.patch(),
                plan.spot());
        return new TestPlaces.Lie(
                window.pieces(), Length.ofMm(plan.pieces() * plan.patch().inMm()), plan.breadth(), window.paperShare());
    }

    @Override
    String cannotShow(Rig rig, SameSpotPlan plan) {
        return "It shows this spot alone: not the corners, nor anything beside it. A cover strip as long costs the same and shows the picture once.";
    }

    @Override
    List<String> notes(Rig rig, SameSpotPlan plan, TestPlaces places, TestPlaces.Lie lie) {
        return ofSpot(rig, places, lie);
    }

    @Override
    String why(Rig rig, SameSpotPlan plan, TestScript script) {
        return Show.seconds(script.totalSetSeconds()) + " under the lamp. The paper moves on by "
                + Show.number(plan.patch().inMm())
                + " mm in its holder; each patch has its own full exposure, so the lag counts alike in all of them.";
    }
}
