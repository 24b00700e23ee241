package keyslate.server.print;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.MonoPrint;
import keyslate.core.darkroom.PaperTruth;
import keyslate.core.darkroom.Raster;
import keyslate.core.darkroom.Reach;
import keyslate.core.darkroom.Reach.Uncovered;
import keyslate.core.darkroom.SheetExposure;
import keyslate.core.darkroom.SheetExposure.Burst;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.core.exposure.LampLag;
import keyslate.core.local.AreaMask;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.PaperMatch;
import keyslate.server.local.Shapes;
import keyslate.server.negative.Negatives;
import keyslate.server.slate.Rig;
import keyslate.server.slate.SheetAssembler;
import keyslate.server.slate.SlateViews.RectView;
import keyslate.server.slate.SlateViews.ScriptStepView;
import keyslate.server.test.StripPlanner;
import keyslate.store.slate.Area;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import org.springframework.stereotype.Component;

/** The light a sheet really got, from the lamp's records, and what its scan then says of the paper. */
@Component
class LightGiven {
    /** Pixels along the longer side that are enough to compare mean tones. */
    private static final int MATCH_SIDE = 160;

    private final SheetRepository sheets;
    private final SheetAssembler assembler;
    private final Negatives negatives;
    private final MonoPrint model;

    LightGiven(SheetRepository sheets, SheetAssembler assembler, Negatives negatives, VariableContrastPaper paper) {
        this.sheets = sheets;
        this.assembler = assembler;
        this.negatives = negatives;
        this.model = new MonoPrint(paper);
    }

    /** What the lamp gave, burst by burst, less a lag for every time it went on. */
    List<Burst> bursts(Sheet sheet, Rig rig, LampLag lag) {
        Map<String, Reach.Area> areas =
                rig.recipe().areas().stream().collect(Collectors.toMap(Area::areaKey, Shapes::toExposed));
        Map<Integer, ScriptStepView> script =
                assembler.script(sheet.id()).stream().collect(Collectors.toMap(ScriptStepView::place, s -> s));
        String direction = rig.recipe().strip().direction();
        List<Burst> bursts = new ArrayList<>();
        for (LampRecord l : sheets.lampOf(sheet.id())) {
            if (l.givenSeconds() == null || l.givenSeconds() <= 0) {
                continue;
            }
            ScriptStepView step = script.get(l.burstPlace());
            Optional<Uncovered> part = step.patch() == null
                    ? Optional.empty()
                    : Optional.of(uncovered(StripPlanner.uncovered(direction, step.patch(), script.size())));
            bursts.add(new Burst(
                    GradeFilter.ofLabel(step.filter()),
                    lag.receivedSeconds(ExposureTime.ofSeconds(l.givenSeconds())),
                    new Reach(
                            step.held().stream().map(areas::get).toList(),
                            Optional.ofNullable(step.burned()).map(areas::get),
                            part)));
        }
        return bursts;
    }

    private static Uncovered uncovered(RectView r) {
        return new Uncovered(r.left(), r.top(), r.width(), r.height());
    }

    /** The speed of the paper as the scan tells it, against the model with what is assumed of lamp and lag. */
    Stops speedOffset(Sheet sheet, Rig rig, RectView view, PaperProcess.Scan scan) {
        double measured =
                ToneEncoding.fromGrey(scan.grey(), scan.width(), scan.height()).mean();
        Raster negative = negatives
                .negative(rig.frame())
                .orElseThrow()
                .cropped(view.left(), view.top(), view.width(), view.height())
                .reducedTo(MATCH_SIDE);
        AreaMask.View mask = new AreaMask.View(view.left(), view.top(), view.width(), view.height(), rig.frameAspect());
        List<Burst> bursts = bursts(sheet, rig, rig.lag());
        return PaperMatch.speedOffset(
                stops -> model.print(
                                negative,
                                mask,
                                new SheetExposure(
                                        rig.logPerSecond() + Stops.of(stops).toLogExposure(), bursts),
                                PaperTruth.asLabelled())
                        .mean(),
                measured);
    }
}
