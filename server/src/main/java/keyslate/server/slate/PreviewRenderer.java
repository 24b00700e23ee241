package keyslate.server.slate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.MonoPrint;
import keyslate.core.darkroom.PaperTruth;
import keyslate.core.darkroom.Raster;
import keyslate.core.darkroom.Reach;
import keyslate.core.darkroom.SheetExposure;
import keyslate.core.darkroom.SheetExposure.Burst;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.server.local.LocalPlanner;
import keyslate.server.local.Shapes;
import keyslate.server.negative.Negatives;
import keyslate.server.negative.PictureFiles;
import keyslate.server.slate.SlateViews.PreviewBasisView;
import keyslate.server.slate.SlateViews.RectView;
import keyslate.server.slate.SlateViews.ScriptStepView;
import keyslate.store.slate.Area;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Component;

/** What the next sheet should look like: computed from the scan, never a measurement, and anchored on one where possible. */
@Component
public class PreviewRenderer {
    private final Negatives negatives;
    private final SlateRepository slates;
    private final SheetRepository sheets;
    private final MonoPrint print;

    PreviewRenderer(Negatives negatives, SlateRepository slates, SheetRepository sheets, VariableContrastPaper paper) {
        this.negatives = negatives;
        this.slates = slates;
        this.sheets = sheets;
        this.print = new MonoPrint(paper);
    }

    /** A BMP file of the picture area, at most {@code side} pixels long; empty when the frame was never scanned. */
    public Optional<byte[]> bmp(Rig rig, boolean withLocalWork, int side) {
        return negatives.negative(rig.frame()).map(negative -> {
            RectView crop = rig.crop();
            Raster part = negative.cropped(crop.left(), crop.top(), crop.width(), crop.height())
                    .reducedTo(side);
            double light = rig.logPerSecond() + offset(rig).toLogExposure();
            byte[] grey = print.printGrey(
                    part, rig.view(), new SheetExposure(light, bursts(rig, withLocalWork)), PaperTruth.asLabelled());
            return PictureFiles.greyBmp(grey, part.width(), part.height());
        });
    }

    /** What the preview rests on, in words. */
    public PreviewBasisView basis(Rig rig) {
        return anchor(rig)
                .map(s -> new PreviewBasisView(true, "Computed from the scan, set to the tone of " + label(s) + "."))
                .orElseGet(() -> new PreviewBasisView(
                        false, "Computed from the scan with an assumed paper speed: may be a stop off."));
    }

    private String label(Sheet sheet) {
        long n = sheets.of(sheet.slateId()).stream()
                .filter(s -> s.kind().equals(sheet.kind()) && s.number() <= sheet.number())
                .count();
        return ("STRIP".equals(sheet.kind()) ? "strip " : "work print ") + n;
    }

    private Stops offset(Rig rig) {
        return anchor(rig).map(s -> Stops.of(s.speedOffsetStops())).orElse(Stops.ZERO);
    }

    /** The last sheet of the slate on the same paper that told its speed. */
    private Optional<Sheet> anchor(Rig rig) {
        List<Sheet> told = sheets.of(rig.recipe().slateId()).stream()
                .filter(s -> s.speedOffsetStops() != null)
                .filter(s -> slates.recipe(s.recipeId())
                        .setup()
                        .paperId()
                        .equals(rig.recipe().setup().paperId()))
                .toList();
        return told.isEmpty() ? Optional.empty() : Optional.of(told.get(told.size() - 1));
    }

    private static List<Burst> bursts(Rig rig, boolean withLocalWork) {
        if (withLocalWork) {
            try {
                return exposed(LocalPlanner.script(rig), rig.recipe().areas());
            } catch (QuantityException e) {
                // Holds that two hands cannot fit are shown without local work; the plan says why.
            }
        }
        return List.of(Burst.whole(rig.filter(), rig.base().inSeconds()));
    }

    private static List<Burst> exposed(List<ScriptStepView> script, List<Area> areas) {
        var byKey = areas.stream().collect(Collectors.toMap(Area::areaKey, Shapes::toExposed));
        Function<String, Reach.Area> find = byKey::get;
        List<Burst> bursts = new ArrayList<>();
        for (ScriptStepView s : script) {
            bursts.add(new Burst(
                    GradeFilter.ofLabel(s.filter()),
                    s.receivedSeconds(),
                    new Reach(
                            s.held().stream().map(find).toList(),
                            Optional.ofNullable(s.burned()).map(find),
                            Optional.empty())));
        }
        return bursts;
    }
}
