package keyslate.server.test;

import java.util.List;
import java.util.stream.Collectors;
import keyslate.core.light.Light;
import keyslate.core.test.PieceMarks;
import keyslate.core.test.PiecesPlan;
import keyslate.core.test.TestScript;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.store.json.StoredTest;
import org.springframework.stereotype.Component;

/** Separate pieces of paper with different times or lights. */
@Component
final class PiecesKind extends TestKind<PiecesPlan> {
    PiecesKind() {
        super(PiecesPlan.class, StoredTest.PIECES, "p", "Pieces", "Pieces");
    }

    @Override
    int order() {
        return 6;
    }

    @Override
    TestPlaces.Lie lie(Rig rig, PiecesPlan plan, TestPlaces places) {
        refuseIfLarger(rig, plan.patch().inMm(), plan.breadth().inMm());
        return places.spot(plan.pieces(), plan.patch(), plan.breadth(), plan.spot());
    }

    @Override
    String cannotShow(Rig rig, PiecesPlan plan) {
        return "Pieces show one spot alone, and each is handled for itself: what differs in the developer shows too.";
    }

    @Override
    List<String> notes(Rig rig, PiecesPlan plan, TestPlaces places, TestPlaces.Lie lie) {
        return ofSpot(rig, places, lie);
    }

    @Override
    String headline(PiecesPlan plan, TestScript script) {
        if (plan.lights().isEmpty()) {
            List<TestScript.Patch> patches = script.patches();
            return patches.size() + " pieces, "
                    + fromTo(
                            patches.get(0).total().inSeconds(),
                            patches.get(patches.size() - 1).total().inSeconds())
                    + ".";
        }
        return plan.lights().size() + " pieces, "
                + plan.lights().stream().map(Light::notation).collect(Collectors.joining(", ")) + ".";
    }

    @Override
    String why(Rig rig, PiecesPlan plan, TestScript script) {
        String told = switch (plan.marks()) {
            case CORNERS -> "Clip each as the list says before its light";
            case NIPS -> "Nip each on a short edge as the list says before its light";
            case ORDER -> "Keep them in their order";
        };
        return told + (plan.marks() == PieceMarks.Way.ORDER ? "" : ", so that it can be told from the others") + ". "
                + Show.seconds(script.totalSetSeconds()) + " under the lamp.";
    }

    @Override
    public String summary(Rig rig, SheetView sheet) {
        List<String> names = sheet.patches().stream().map(p -> p.name()).toList();
        return names.get(0).isEmpty()
                ? super.summary(rig, sheet)
                : names.size() > 3 ? names.size() + " lights" : String.join(", ", names);
    }

    @Override
    String lookFor() {
        return "Lay the pieces side by side and look for the right one.";
    }
}
