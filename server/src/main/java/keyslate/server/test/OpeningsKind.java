package keyslate.server.test;

import java.util.List;
import keyslate.core.quantity.Stops;
import keyslate.core.test.OpeningsPlan;
import keyslate.core.test.TestScript;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetViews.NextStepView;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.store.json.StoredTest;
import org.springframework.stereotype.Component;

/** One time through one opening after another. */
@Component
final class OpeningsKind extends TestKind<OpeningsPlan> {
    OpeningsKind() {
        super(OpeningsPlan.class, StoredTest.OPENINGS, "o", "Openings", "Openings");
    }

    @Override
    int order() {
        return 3;
    }

    @Override
    TestPlaces.Lie lie(Rig rig, OpeningsPlan plan, TestPlaces places) {
        return places.strip(plan.direction(), plan.count(), plan.patch(), plan.breadth(), plan.place());
    }

    @Override
    String cannotShow(Rig rig, OpeningsPlan plan) {
        return "It cannot tell a lens's marks from the light: each is out by up to "
                + Show.stopsApart(Stops.of(rig.openingOffset().limit()))
                + " until it was measured, and the wide ones may fall off to the corners."
                + (plan.second().isPresent()
                        ? ""
                        : " Its steps are wide to read between: a second row through another light tells more.");
    }

    @Override
    String headline(OpeningsPlan plan, TestScript script) {
        List<TestScript.Patch> patches = script.patches();
        if (plan.second().isPresent()) {
            int inRow = patches.size() / 2;
            return "Two rows of " + inRow + " openings, " + marks(patches.subList(0, inRow)) + ": "
                    + each(patches.get(0)) + ", " + each(patches.get(inRow)) + ".";
        }
        return patches.size() + " openings, " + marks(patches) + ", "
                + Show.seconds(patches.get(0).set()) + " each.";
    }

    private static String marks(List<TestScript.Patch> patches) {
        return Show.aperture(patches.get(0).opening()) + " to "
                + Show.aperture(patches.get(patches.size() - 1).opening());
    }

    private static String each(TestScript.Patch patch) {
        return patch.light().notation() + " " + Show.seconds(patch.set()) + " each";
    }

    @Override
    String why(Rig rig, OpeningsPlan plan, TestScript script) {
        return Show.seconds(script.totalSetSeconds())
                + " under the lamp. One setting of the timer" + (plan.second().isPresent() ? " for each row" : "")
                + "; the lens clicks, and one patch alone is free of the card. Afterwards it goes back to "
                + Show.aperture(rig.aperture().engraved()) + ".";
    }

    /** The lens is left where the last patch had it: the next sheet must not be. */
    @Override
    public NextStepView next(Rig standing, SheetView last) {
        NextStepView next = super.next(standing, last);
        String left = last.patches().get(last.patches().size() - 1).name();
        String stands = Show.aperture(standing.aperture().engraved());
        boolean back = left.equals(stands);
        return back
                ? next
                : new NextStepView(
                        next.station(),
                        next.headline(),
                        next.why() + " The lens was left at " + left + ": back to " + stands + ".",
                        next.action());
    }

    @Override
    public String summary(Rig rig, SheetView sheet) {
        return sheet.patches().get(0).name() + " to "
                + sheet.patches().get(sheet.patches().size() - 1).name() + ", "
                + Show.seconds(sheet.script().get(0).setSeconds());
    }
}
