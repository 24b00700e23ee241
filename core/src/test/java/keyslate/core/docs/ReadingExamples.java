package keyslate.core.docs;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.HeadTable;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.MonoModel;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.PrintModel;
import keyslate.core.darkroom.Raster;
import keyslate.core.darkroom.SheetLight;
import keyslate.core.exposure.PatchPick;
import keyslate.core.exposure.TestSeries;
import keyslate.core.light.Light;
import keyslate.core.picture.ToneTime;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.Corners;
import keyslate.core.reading.GradedLights;
import keyslate.core.reading.Looks;
import keyslate.core.reading.NextRecipe;
import keyslate.core.reading.ScanDensity;
import keyslate.core.reading.SlateEvidence;
import keyslate.core.reading.SpotPlacement;
import keyslate.core.reading.StripMatch;
import keyslate.core.reading.StripReading;
import keyslate.core.test.Spot;
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
        formulas.put("REA-15", ReadingExamples::window);
        formulas.put("REA-22", ReadingExamples::toneTime);
        // By how much R moves with an offset of the magenta dial, points.
        formulas.put(
                "REA-25",
                e -> e.at("offset")
                        * HeadTable.generic(PAPER, HeadTable.Way.SINGLE)
                                .effect(PAPER, filter(e.at("grade")), HeadTable.Error.MAGENTA_OFFSET)[1]
                        * -1);
        formulas.put(
                "REA-24",
                e -> new Looks(List.of(e.at("place"), e.at("again")))
                        .limit(e.stops("one"))
                        .inStops());
        formulas.put(
                "REA-16",
                e -> together(mark(e.time("first"), e.stops("surer")), mark(e.time("second"), e.stops("less"))));
        formulas.put("REA-17", e -> {
            GradedLights lights = GradedLights.usual(PAPER);
            return Math.pow(
                    10,
                    lights.factorLog(Light.filter(filter(e.at("to"))), SlateEvidence.Tone.WHITES)
                            - lights.factorLog(Light.filter(filter(e.at("from"))), SlateEvidence.Tone.WHITES));
        });
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

    /** Across: the middle of a window of 40 % on an even negative that must hold a tone. */
    private static double window(Example e) {
        Spot best = SpotPlacement.best(new float[100 * 100], 100, 0.4, 0.4, List.of(new Spot(e.at("tone"), 0.5)));
        return Math.rint(best.x() * 10) / 10;
    }

    private static SlateEvidence.Mark mark(ExposureTime time, Stops limit) {
        return new SlateEvidence.Mark(SlateEvidence.Tone.WHITES, Light.filter(GradeFilter.G2), time, limit, 0);
    }

    private static double together(SlateEvidence.Mark... marks) {
        Light light = Light.filter(GradeFilter.G2);
        return SlateEvidence.of(List.of(marks), GradedLights.usual(PAPER), 0, light)
                .time(SlateEvidence.Tone.WHITES, light)
                .orElseThrow()
                .time()
                .inSeconds();
    }

    private static double toneTime(Example e) {
        Grade grade = Grade.of(e.at("grade"));
        return ToneTime.of(
                        log -> PAPER.netDensityAtGrade(grade, log),
                        List.of(new ToneTime.Seen(e.time("time"), e.at("seen"), 0)),
                        e.at("wanted"))
                .time()
                .inSeconds();
    }
}
