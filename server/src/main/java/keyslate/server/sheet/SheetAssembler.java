package keyslate.server.sheet;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import keyslate.server.rig.LightView;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.sheet.SheetViews.DecisionView;
import keyslate.server.sheet.SheetViews.EventView;
import keyslate.server.sheet.SheetViews.RectView;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.store.json.Seen;
import keyslate.store.slate.Decision;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.Piece;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.Scan;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import org.springframework.stereotype.Component;

/** The sheets on the cord, as they were really made. */
@Component
public class SheetAssembler {
    private final RecipeRepository recipes;
    private final SheetRepository sheets;
    private final Rigs rigs;
    private final SheetKinds kinds;

    SheetAssembler(RecipeRepository recipes, SheetRepository sheets, Rigs rigs, SheetKinds kinds) {
        this.recipes = recipes;
        this.sheets = sheets;
        this.rigs = rigs;
        this.kinds = kinds;
    }

    /** What came on, in words. */
    private static String doubt(ExposedSheet.Doubt doubt) {
        return switch (doubt) {
            case GLANCE -> "Doubtful: the screen was lit for a look while this paper was out, and may have fogged it.";
            case WHITE_LIGHT -> "Doubtful: white light was put on before this paper was safe.";
            case ALARM -> "Doubtful: an alarm was given while this paper was not safe.";
        };
    }

    /** A sheet as it stood when it was begun, with what is shown of it and, where it is a test, its patches. */
    public record OnCord(ExposedSheet exposed, Rig rig, SheetView view, Optional<Patches> patches) {
        /** As if one row of its patches were all there is; from 1. */
        public OnCord row(int number) {
            Patches row = patches.orElseThrow().rows().get(number - 1);
            return new OnCord(exposed, rig, view.withPatches(row.views(rig)), Optional.of(row));
        }
    }

    /** All sheets of a slate in order; as many queries for forty as for one. */
    public List<OnCord> cord(String slateId, Rig today) {
        Map<String, Recipe> recipe = recipes.ofSheets(slateId);
        Map<String, Integer> countOfKind = new HashMap<>();
        List<OnCord> views = new ArrayList<>();
        Rig before = null;
        boolean blackWanted = today.recipe().naming().blackWanted();
        for (ExposedSheet exposed : sheets.cord(slateId)) {
            Sheet sheet = exposed.sheet();
            Rig rig = rigs.of(sheet, recipe.get(sheet.recipeId()), today);
            SheetKind kind = kinds.of(sheet.kind());
            String label = kind.name(rig) + " " + countOfKind.merge(sheet.kind(), 1, Integer::sum);
            views.add(onCord(exposed, rig, kind, label, before, blackWanted));
            before = rig;
        }
        return views;
    }

    private static OnCord onCord(
            ExposedSheet exposed, Rig rig, SheetKind kind, String label, Rig before, boolean blackWanted) {
        Sheet sheet = exposed.sheet();
        Recipe recipe = rig.recipe();
        RectView view = RectView.of(exposed.piece().view());
        double ofPiece = rig.frameAspect() * view.width() / view.height();
        Optional<Patches> patches = patches(exposed, rig, kind);
        Scan scan = exposed.scan().orElse(null);
        SheetView bare = new SheetView(
                sheet.id(),
                sheet.number(),
                sheet.kind(),
                label,
                sheet.state(),
                sheet.begunAt(),
                "",
                before == null ? List.of() : Differences.inWords(before, rig),
                LightView.of(rig.light()),
                recipe.setup().apertureMark(),
                rig.base().inSeconds(),
                recipe.id(),
                sheet.paperUsed(),
                sheet.magnification(),
                view,
                Patches.layout(rig, exposed.pieces().size()).aspect(ofPiece),
                exposed.lamp().stream().anyMatch(LampRecord::told),
                sheet.stood() != null,
                scan == null ? null : scan.pictureId(),
                exposed.scans().size(),
                scan != null && Scan.SIMULATED.equals(scan.source()),
                exposed.scans().stream().anyMatch(s -> Scan.SIMULATED.equals(s.source())),
                patches.map(p -> p.views(rig)).orElse(List.of()),
                patches.map(p -> p.asks(rig, blackWanted)).orElse(List.of()),
                StepWords.of(exposed.steps(), rig),
                exposed.stepsDone(),
                exposed.standing().stream()
                        .map(e -> new EventView(e.kind(), e.happenedAt()))
                        .toList(),
                exposed.decisions().stream().map(SheetAssembler::view).toList(),
                sheet.note(),
                exposed.doubt().map(SheetAssembler::doubt).orElse(null),
                kind.station(),
                kind.lookedAtStation(rig));
        return new OnCord(exposed, rig, bare.summed(kind.summary(rig, bare)), patches);
    }

    private static Optional<Patches> patches(ExposedSheet exposed, Rig rig, SheetKind kind) {
        return kind.isTest()
                ? Optional.of(Patches.of(
                        exposed.steps(),
                        rig,
                        exposed.pieces().stream().map(Piece::view).toList(),
                        exposed.received(rig.lag())))
                : Optional.empty();
    }

    private static DecisionView view(Decision d) {
        Seen seen = d.seen();
        return new DecisionView(
                d.kind(),
                d.madeAt(),
                seen.whitesAt(),
                seen.blacksAt(),
                seen.rightAt(),
                seen.magentaPoints(),
                seen.yellowPoints(),
                seen.way(),
                seen.densityStops(),
                seen.darkerStops(),
                seen.harderGrades(),
                seen.dry(),
                seen.moreStops(),
                seen.beyond(),
                seen.whitesTone(),
                seen.rightTone(),
                seen.blacksTone(),
                seen.lamp(),
                seen.second(),
                seen.blackBeyond(),
                seen.row(),
                seen.looks(),
                seen.pictured() != null,
                d.remark(),
                d.headline(),
                d.why(),
                d.overruled(),
                d.takenLight(),
                d.takenSeconds());
    }
}
