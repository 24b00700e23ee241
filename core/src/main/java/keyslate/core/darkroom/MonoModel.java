package keyslate.core.darkroom;

import java.util.List;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.local.AreaMask;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.PaperMatch;

/** Variable-contrast paper as labelled. */
public final class MonoModel implements PrintModel {
    private final MonoPrint print;

    public MonoModel(VariableContrastPaper paper) {
        this.print = new MonoPrint(paper);
    }

    @Override
    public Look look(Negative negative, AreaMask.View view, SheetLight light, List<Double> offsets) {
        Raster film = negative.firstPlane();
        byte[] grey = print.printGrey(film, view, exposure(light, offsets.get(0)), PaperTruth.asLabelled());
        return Look.grey(film.width(), film.height(), grey);
    }

    @Override
    public List<Double> match(Negative negative, AreaMask.View view, SheetLight light, Look scan) {
        double wanted = scan.density(0);
        Stops found = PaperMatch.speedOffset(
                stops -> print.print(negative.firstPlane(), view, exposure(light, stops), PaperTruth.asLabelled())
                        .mean(),
                wanted);
        return List.of(found.inStops());
    }

    /** The same light as this paper's kernel takes it, faster by so many stops. */
    static SheetExposure exposure(SheetLight light, double stops) {
        return new SheetExposure(
                light.logPerSecond() + Stops.of(stops).toLogExposure(),
                light.bursts().stream()
                        .map(b -> new SheetExposure.Burst(b.light().toFilter(), b.receivedSeconds(), b.reach()))
                        .toList(),
                light.evenness());
    }
}
