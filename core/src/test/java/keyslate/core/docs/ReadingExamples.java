package keyslate.core.docs;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.MonoModel;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.PrintModel;
import keyslate.core.darkroom.Raster;
import keyslate.core.darkroom.SheetLight;
import keyslate.core.exposure.PatchPick;
import keyslate.core.exposure.TestSeries;
import keyslate.core.light.Light;
import keyslate.core.quantity.Grade;
import keyslate.core.reading.Corners;
import keyslate.core.reading.NextRecipe;
import keyslate.core.reading.ScanDensity;
import keyslate.core.reading.StripMatch;
import keyslate.core.reading.StripReading;
import keyslate.core.tone.NamedTone;
import keyslate.core.tone.ToneInPrint;
import keyslate.core.tone.ToneWish;

/** The code behind the worked examples of docs/formulas/reading.md. */
final class ReadingExamples {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();

    private ReadingExamples() {}

    static Map<String, ToDoubleFunction<Example>> formulas() {
        Map<String, ToDoubleFunction<Example>> formulas = new HashMap<>();
        formulas.put(
                "REA-03",
                e -> NextRecipe.after(PAPER, filter(e.at("grade")), e.time("time"), e.stops("darker"), e.at("harder"))
                        .time()
                        .inSeconds());
        formulas.put("REA-05", e -> ScanDensity.byReference(e.at("code"), e.at("reference"), e.at("density")));
        formulas.put(
                "REA-07",
                e -> StripMatch.at(
                                List.of(e.time("first"), e.time("second")),
                                new double[] {e.at("light"), e.at("dark")},
                                e.at("wanted"),
                                StripMatch.Between.LINEAR)
                        .time()
                        .inSeconds());
        formulas.put(
                "REA-12",
                e -> StripReading.of(
                                PAPER,
                                filter(e.at("grade")),
                                TestSeries.equalStops(e.time("whites"), e.stops("late"), 2),
                                PatchPick.ofPosition(0),
                                Optional.of(PatchPick.ofPosition(1)))
                        .time()
                        .inSeconds());
        formulas.put(
                "REA-13",
                e -> Corners.of(List.of(e.at("edge"), 0.0, 1 - e.at("edge"), 0.0, 1.0, 1.0, 0.0, 1.0))
                        .at(0.5, 0.5)
                        .y());
        formulas.put("REA-14", ReadingExamples::missing);
        return formulas;
    }

    /** Stops that an even piece of film needs more, to print as a middle tone at grade 2. */
    private static double missing(Example e) {
        Negative film = new Negative.Mono(Raster.over(1, 1, new float[] {(float) e.at("film")}));
        SheetLight light = SheetLight.straight(
                e.at("light"), Light.filter(GradeFilter.G2), e.time("time").inSeconds());
        return ToneInPrint.of(
                        NamedTone.of("", 0.5, 0.5, ToneWish.MIDDLE, 0),
                        new MonoModel(PAPER),
                        film,
                        1,
                        light,
                        PrintModel.AS_LABELLED)
                .change()
                .orElseThrow()
                .inStops();
    }

    private static GradeFilter filter(double grade) {
        return GradeFilter.nearest(Grade.of(grade));
    }
}
