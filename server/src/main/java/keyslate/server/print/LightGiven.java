package keyslate.server.print;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.Reach;
import keyslate.core.darkroom.SheetLight;
import keyslate.core.exposure.LampLag;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Part;
import keyslate.server.preview.Previews;
import keyslate.server.rig.Rig;
import keyslate.store.slate.ExposedSheet;

/** The light a sheet really got, from the lamp's records, and what its scan then says of the paper. */
final class LightGiven {
    /** Pixels along the longer side that are enough to compare mean tones. */
    private static final int MATCH_SIDE = 160;

    private LightGiven() {}

    /** What the lamp gave, phase by phase, less a lag for every time it went on. */
    static SheetLight of(ExposedSheet sheet, Rig rig, LampLag lag) {
        return of(sheet, rig, lag, rig.logPerSecond()).lying(rig.evenness());
    }

    static SheetLight of(ExposedSheet sheet, Rig rig, LampLag lag, double logPerSecond) {
        Map<Integer, Double> received = sheet.received(lag);
        Function<String, Reach.Area> areas = Previews.areas(rig.recipe());
        List<SheetLight.Burst> bursts = new ArrayList<>();
        for (ExposureStep step : sheet.steps()) {
            step.given(received.getOrDefault(step.place(), 0.0), lag)
                    .forEach(g -> bursts.add(SheetLight.burst(step, g, areas)));
        }
        return new SheetLight(logPerSecond, bursts);
    }

    /** How the paper acts as the scan tells it, against the model with what is assumed of lamp and lag (REA-01). */
    static List<Double> offsets(ExposedSheet sheet, Rig rig, Negative negative, Look scan) {
        Part view = sheet.piece().view();
        Negative part = negative.cropped(view.left(), view.top(), view.width(), view.height())
                .reducedTo(MATCH_SIDE);
        return rig.medium().core().model().match(part, rig.view(view), of(sheet, rig, rig.lag()), scan);
    }
}
