package keyslate.server.decide;

import java.util.Optional;
import keyslate.core.exposure.LampLag;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.SheetPatches.Patch;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.PressesView;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.sheet.Patches;

/**
 * A patch given again as it was: short bursts lose the lag each time, so that as many of the same setting are exactly the patch, and one long
 * one is not (R08).
 */
final class AsPatch {
    private static final double SAME_SECONDS = 1e-6;
    private static final double SAME_PLACE = 1e-9;

    private AsPatch() {}

    /** The verdict with the bursts of the patch that was marked, where it was marked itself and got equal ones. */
    static VerdictView with(VerdictView verdict, Hung strip, Marks marks) {
        return verdict.withPatch(of(strip, marks)
                .filter(p -> !verdict.again()
                        && verdict.light()
                                .notation()
                                .equals(strip.before().light().notation())));
    }

    private static Optional<PressesView> of(Hung strip, Marks marks) {
        Double at = marks.whitesAt() != null ? marks.whitesAt() : marks.rightAt();
        if (at == null || Math.abs(at - Math.rint(at)) > SAME_PLACE || marks.pictured() != null) {
            return Optional.empty();
        }
        return strip.sheet()
                .patches()
                .flatMap(found -> found.all().stream()
                        .map(Patches.OnPaper::patch)
                        .filter(p -> p.number() == (int) Math.rint(at) + 1)
                        .findFirst()
                        .flatMap(p -> given(strip, p)));
    }

    private static Optional<PressesView> given(Hung strip, Patch patch) {
        if (patch.isOfSeveralLights()) {
            return Optional.empty();
        }
        LampLag lag = strip.before().lag();
        double each = lag.receivedSeconds(patch.step().set());
        int count = patch.lampOns();
        boolean equal = Math.abs(count * each - patch.plannedSeconds()) < SAME_SECONDS
                && Math.abs(patch.receivedSeconds() - patch.plannedSeconds()) < SAME_SECONDS;
        boolean asNow = lag.equals(strip.now().lag())
                && strip.before().enlarger().id().equals(strip.now().enlarger().id())
                && strip.carried(strip.before().base()).equals(strip.before().base());
        return equal && asNow && patch.sector().isEmpty() && count > 1 && count <= BaseExposure.MOST_PRESSES
                ? Optional.of(new PressesView(count, patch.step().set().inSeconds(), count * each))
                : Optional.empty();
    }
}
