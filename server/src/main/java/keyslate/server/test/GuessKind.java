package keyslate.server.test;

import keyslate.core.quantity.Length;
import keyslate.core.test.GuessPlan;
import keyslate.core.test.TestScript;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.store.json.StoredTest;
import org.springframework.stereotype.Component;

/** One sheet on a hunch: a test of one patch. */
@Component
final class GuessKind extends TestKind<GuessPlan> {
    GuessKind() {
        super(GuessPlan.class, StoredTest.GUESS, "g", "One sheet", "One sheet");
    }

    @Override
    int order() {
        return 5;
    }

    @Override
    TestPlaces.Lie lie(Rig rig, GuessPlan plan, TestPlaces places) {
        double side = Math.sqrt(plan.share());
        TestPlaces.Lie part = places.spot(
                1,
                Length.ofMm(side * rig.fit().imageWidth().inMm()),
                Length.ofMm(side * rig.fit().imageHeight().inMm()),
                plan.spot());
        // The sheet has its borders; a smaller piece is cut to the picture.
        return new TestPlaces.Lie(
                part.pieces(), part.length(), part.breadth(), plan.share() == 1 ? 1 : part.paperShare());
    }

    @Override
    String cannotShow(Rig rig, GuessPlan plan) {
        if (plan.second().isPresent()) {
            return "Each half shows its part of the picture alone, and one time.";
        }
        return "It shows one time: how far off it is only the eye can say, ± " + Show.stopsApart(GuessPlan.JUDGED_TO)
                + ". Nothing of it tells the contrast.";
    }

    @Override
    String headline(GuessPlan plan, TestScript script) {
        boolean both = script.patches().get(0).firstSet().isPresent();
        return (plan.share() == 1 ? "One sheet, " : "One piece, ")
                + (both ? "both parts, " : "")
                + Show.seconds(script.patches().get(0).total().inSeconds())
                + plan.second()
                        .map(l -> " on the left, " + l.notation() + " for "
                                + Show.seconds(script.patches().get(1).total().inSeconds()) + " on the right")
                        .orElse("")
                + ".";
    }

    @Override
    String why(Rig rig, GuessPlan plan, TestScript script) {
        return plan.second().isPresent()
                ? "Both halves as dark, each with its contrast. Then say which is right, or that it lies between."
                : "Then say how much more light it needs, or take it as it is.";
    }

    @Override
    public String summary(Rig rig, SheetView sheet) {
        return Show.seconds(sheet.patches().get(0).plannedSeconds()) + ", "
                + sheet.patches().get(0).light();
    }

    @Override
    String lookFor() {
        return "How much more light does it need, or less?";
    }
}
