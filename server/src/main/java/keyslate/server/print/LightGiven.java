package keyslate.server.print;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;
import keyslate.core.darkroom.LaidPieces;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.Reach;
import keyslate.core.darkroom.SheetLight;
import keyslate.core.exposure.LampLag;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Part;
import keyslate.core.test.PieceLayout;
import keyslate.server.preview.Previews;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.Patches;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.Piece;

/** The light a sheet really got, from the lamp's records, and what its scan then says of the paper. */
final class LightGiven {
    /** Pixels along the longer side that are enough to compare mean tones. */
    private static final int MATCH_SIDE = 160;

    private LightGiven() {}

    /**
     * What the lamp gave a piece, phase by phase, less a lag for every time it went on.
     *
     * @param logPerSecond log10 light per second through a step's opening
     */
    static SheetLight of(ExposedSheet sheet, Piece piece, Rig rig, LampLag lag, DoubleUnaryOperator logPerSecond) {
        Map<Integer, Double> received = sheet.received(lag);
        Function<String, Reach.Area> areas = Previews.areas(rig.recipe());
        double stands = logPerSecond.applyAsDouble(rig.recipe().setup().apertureMark());
        List<SheetLight.Burst> bursts = new ArrayList<>();
        for (ExposureStep step : sheet.steps()) {
            if (step.piece() != piece.number()) {
                continue;
            }
            double factor = Math.pow(10, logPerSecond.applyAsDouble(step.opening()) - stands);
            step.given(received.getOrDefault(step.place(), 0.0), lag)
                    .forEach(g -> bursts.add(SheetLight.burst(step, g.times(factor), areas)));
        }
        return new SheetLight(stands, bursts);
    }

    private static SheetLight asKnown(ExposedSheet sheet, Piece piece, Rig rig) {
        double stands = rig.logPerSecond();
        return of(sheet, piece, rig, rig.lag(), opening -> stands + Math.log10(rig.openingFactor(opening)))
                .lying(rig.evenness());
    }

    /** How the paper acts as the scan tells it, against the model with what is assumed of lamp and lag (REA-01); of several pieces the middle one. */
    static List<Double> offsets(ExposedSheet sheet, Rig rig, Negative negative, Look scan) {
        List<List<Double>> found = sheet.pieces().stream()
                .map(piece -> offsets(sheet, piece, rig, negative, scan))
                .toList();
        List<Double> offsets = new ArrayList<>();
        for (int layer = 0; layer < found.get(0).size(); layer++) {
            List<Double> ofLayer = new ArrayList<>();
            for (List<Double> piece : found) {
                ofLayer.add(piece.get(layer));
            }
            Collections.sort(ofLayer);
            offsets.add(ofLayer.get(ofLayer.size() / 2));
        }
        return offsets;
    }

    private static List<Double> offsets(ExposedSheet sheet, Piece piece, Rig rig, Negative negative, Look scan) {
        Part view = piece.view();
        Negative part = negative.cropped(view.left(), view.top(), view.width(), view.height())
                .reducedTo(MATCH_SIDE);
        PieceLayout layout = Patches.layout(rig, sheet.pieces().size());
        return rig.medium()
                .core()
                .model()
                .match(part, rig.view(view), asKnown(sheet, piece, rig), LaidPieces.cut(scan, layout, piece.number()));
    }
}
