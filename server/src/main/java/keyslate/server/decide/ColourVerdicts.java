package keyslate.server.decide;

import java.util.List;
import java.util.Optional;
import keyslate.core.colour.CastEvidence.Estimate;
import keyslate.core.colour.CastLook;
import keyslate.server.decide.CastLooks.Told;
import keyslate.server.decide.DecisionViews.Cast;
import keyslate.server.decide.DecisionViews.ColourProposal;
import keyslate.server.decide.DecisionViews.ColourView;
import keyslate.server.decide.DecisionViews.SceneView;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.store.json.Seen;
import org.springframework.stereotype.Component;

/** Verdicts on the colour of a sheet, by all looks that count. */
@Component
class ColourVerdicts {
    private final AskedCast asked;
    private final ColourSoFar soFar;
    private final MeterLog meters;

    ColourVerdicts(AskedCast asked, ColourSoFar soFar, MeterLog meters) {
        this.asked = asked;
        this.soFar = soFar;
        this.meters = meters;
    }

    /** A verdict with what was seen for it. */
    record Judged(VerdictView verdict, Seen seen) {}

    ColourProposal proposed(Hung sheet, Cast cast) {
        Told told = asked.told(cast, sheet);
        List<CastLook> counting = soFar.counting(sheet, told);
        Estimate together = soFar.weighed(sheet, counting);
        return new ColourProposal(
                CastAdvice.verdict(sheet, told, counting, together), soFar.with(sheet, told, counting, together));
    }

    Judged judged(Hung sheet, Cast cast) {
        Told told = asked.told(cast, sheet);
        List<CastLook> counting = soFar.counting(sheet, told);
        Estimate together = soFar.weighed(sheet, counting);
        return new Judged(CastAdvice.verdict(sheet, told, counting, together), told.seen(soFar.taught(told, together)));
    }

    /** What all looks of a slate say so far; none before the first sheet. */
    Optional<ColourView> soFar(List<OnCord> cord, Rig now) {
        return soFar.view(cord, now);
    }

    /** What a meter is off on the kinds of scene that other slates metered on the paper that stands. */
    List<SceneView> scenes(Rig now) {
        return meters.scenes(now.paper().id(), now.recipe().slateId());
    }
}
