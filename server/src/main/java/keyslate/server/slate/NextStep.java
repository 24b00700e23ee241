package keyslate.server.slate;

import java.util.List;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.server.sheet.SheetKinds;
import keyslate.server.sheet.SheetViews.NextStepView;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.store.slate.Slate;

/** What a slate waits for. */
final class NextStep {
    private NextStep() {}

    static NextStepView of(Slate slate, Rig rig, List<OnCord> cord, SheetKinds kinds) {
        if (slate.acceptedSheetId() != null) {
            String label = cord.stream()
                    .map(OnCord::view)
                    .filter(s -> s.id().equals(slate.acceptedSheetId()))
                    .map(SheetView::label)
                    .findFirst()
                    .orElse("The print");
            return new NextStepView(
                    "keep", label + " is accepted.", "The recipe is kept and can be made again.", "Open recipe");
        }
        List<OnCord> made =
                cord.stream().filter(s -> !s.exposed().sheet().isAbandoned()).toList();
        if (made.isEmpty()) {
            return first(rig);
        }
        OnCord last = made.get(made.size() - 1);
        SheetView view = last.view();
        if (last.exposed().sheet().isExposing()) {
            return new NextStepView(
                    view.station(),
                    view.label() + " is under the lamp.",
                    view.stepsDone() + " of " + view.script().size() + " exposures are given.",
                    "Continue");
        }
        return kinds.of(view.kind()).next(rig, view);
    }

    private static NextStepView first(Rig rig) {
        boolean carried = "rescaled".equals(rig.recipe().base().source());
        if (carried && rig.subject().isProof()) {
            return new NextStepView(
                    "print",
                    "Expose the proof: " + rig.exposureInWords() + ".",
                    "The standard proof of this enlarger is on record.",
                    "Go to Print");
        }
        return new NextStepView(
                "test",
                "Expose a first strip about " + Show.seconds(rig.base().inSeconds()) + ".",
                carried ? "The time is carried over from an earlier print." : "No time is known yet for this set-up.",
                "Plan strip");
    }
}
