package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.colour.CastEvidence.Estimate;
import keyslate.core.colour.CastEvidence.SteadyError;
import keyslate.core.colour.CastLook;
import keyslate.core.colour.CastWay;
import keyslate.core.colour.KitFactors;
import keyslate.core.light.Light;
import keyslate.core.quantity.FilterPack;
import keyslate.server.decide.DecisionViews.ColourView;
import keyslate.server.decide.DecisionViews.KitView;
import keyslate.server.decide.DecisionViews.LookedView;
import keyslate.server.decide.DecisionViews.SteadyView;
import keyslate.server.rig.LightView;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.store.json.SeenCast;
import keyslate.store.slate.Decision;

/** All looks at the colour of a slate: those at sheets on the box of paper that stands now, and what they say together. */
final class ColourSoFar {
    private ColourSoFar() {}

    /** The pack that the slate began with, and every look since, the oldest first. */
    static List<CastLook> looks(List<OnCord> cord, Rig rig) {
        List<CastLook> looks = new ArrayList<>();
        for (OnCord sheet : cord) {
            if (samePaper(sheet, rig) && !sheet.rig().light().points().isEmpty()) {
                FilterPack pack = sheet.rig().light().toPack();
                if (looks.isEmpty()) {
                    looks.add(CastAdvice.start(pack));
                }
                casts(sheet).forEach(d -> looks.addAll(CastLooks.kept(d.seen()).at(pack)));
            }
        }
        return looks;
    }

    private static List<Decision> casts(OnCord sheet) {
        return sheet.exposed().decisions().stream()
                .filter(d -> Decision.CAST.equals(d.kind()))
                .toList();
    }

    private static boolean samePaper(OnCord sheet, Rig rig) {
        return sheet.rig().paper().id().equals(rig.paper().id());
    }

    /** For the rose; none before the first look. */
    static Optional<ColourView> view(List<OnCord> cord, Rig now) {
        List<CastLook> looks = looks(cord, now);
        return CastAdvice.together(looks).map(together -> view(together, looked(cord, now), looks));
    }

    private static ColourView view(Estimate together, List<LookedView> looked, List<CastLook> looks) {
        long throughKit =
                looks.stream().filter(l -> l.way() == CastWay.VIEWING_FILTER).count();
        return new ColourView(
                looked,
                LightView.of(Light.dials(together.pack())),
                together.uncertaintyPoints(),
                together.isSettled(),
                CastAdvice.outline(together.region()),
                together.of(CastWay.VIEWING_FILTER)
                        .map(k -> kit(k, (int) throughKit))
                        .orElse(null),
                together.steady().map(ColourSoFar::steady).orElse(null));
    }

    private static KitView kit(KitFactors kit, int looks) {
        return new KitView(kit.magentaFactor(), kit.yellowFactor(), CastAdvice.limitShare(kit), looks);
    }

    private static SteadyView steady(SteadyError steady) {
        return new SteadyView(steady.magenta(), steady.yellow(), 2 * steady.spread(), steady.isFound());
    }

    private static List<LookedView> looked(List<OnCord> cord, Rig now) {
        List<LookedView> looked = new ArrayList<>();
        for (OnCord sheet : cord) {
            if (samePaper(sheet, now)) {
                for (Decision decision : casts(sheet)) {
                    for (SeenCast cast : CastLooks.kept(decision.seen()).casts()) {
                        looked.add(new LookedView(
                                sheet.view().id(),
                                sheet.view().light(),
                                cast.magentaPoints(),
                                cast.yellowPoints(),
                                cast.words()));
                    }
                }
            }
        }
        return looked;
    }
}
