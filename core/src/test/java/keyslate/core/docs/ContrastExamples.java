package keyslate.core.docs;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import keyslate.core.calibration.FilterReadings;
import keyslate.core.contrast.ColourHead;
import keyslate.core.contrast.ColourMask;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.GradeScale;
import keyslate.core.contrast.HeadTable;
import keyslate.core.contrast.MixedBurn;
import keyslate.core.contrast.SchoolFactors;
import keyslate.core.contrast.SplitByStrips;
import keyslate.core.contrast.SplitExposure;
import keyslate.core.contrast.Threads;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.light.Light;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.GradedLights;
import keyslate.core.reading.LearnedBench;
import keyslate.core.reading.SlateEvidence;

/** The code behind the worked examples of docs/formulas/contrast.md. */
final class ContrastExamples {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();

    private ContrastExamples() {}

    /** Whites through grade 2 and grade 3, the latter so many stops off what its set says. */
    private static List<SlateEvidence.Mark> twoRows(double seconds, double off) {
        double factor = Math.pow(
                10,
                GradedLights.usual(PAPER).factorLog(Light.filter(GradeFilter.G3), SlateEvidence.Tone.WHITES)
                        + off * Math.log10(2));
        return Stream.of(GradeFilter.G2, GradeFilter.G3)
                .map(f -> new SlateEvidence.Mark(
                        SlateEvidence.Tone.WHITES,
                        Light.filter(f),
                        ExposureTime.ofSeconds(f == GradeFilter.G2 ? seconds : seconds * factor),
                        Stops.ofFraction(1, 24),
                        0))
                .toList();
    }

    static Map<String, ToDoubleFunction<Example>> formulas() {
        Map<String, ToDoubleFunction<Example>> formulas = new HashMap<>();
        SplitExposure split = new SplitExposure(PAPER, Grade.of(-1), Grade.of(5));
        ColourHead head = new ColourHead(PAPER);
        formulas.put("CON-01", e -> GradeScale.isoRangeOf(Grade.of(e.at("grade"))));
        formulas.put("CON-02", e -> PAPER.netDensity(e.at("blue"), e.at("green")));
        formulas.put("CON-03", e -> PAPER.isoRange(e.at("ratio")));
        formulas.put(
                "CON-04",
                e -> (PAPER.logTimeFor(0.6, Grade.of(e.at("grade"))) - PAPER.logTimeFor(0.6, Grade.of(e.at("from"))))
                        / Math.log10(2));
        formulas.put("CON-05", e -> PAPER.pivotFactor(Grade.of(e.at("from")), Grade.of(e.at("to")), e.at("net")));
        formulas.put(
                "CON-06", e -> GradeAdvice.neededRange(Grade.of(e.at("grade")), e.time("whites"), e.time("blacks")));
        formulas.put(
                "CON-07",
                e -> GradeAdvice.exact(
                                PAPER,
                                Grade.of(e.at("grade")),
                                e.time("high"),
                                e.time("shadow"),
                                e.at("high net"),
                                e.at("shadow net"))
                        .grade()
                        .onScale());
        formulas.put(
                "CON-08",
                e -> split.equivalent(e.at("soft"), e.at("hard")).time().inSeconds());
        formulas.put(
                "CON-09", e -> split.of(Grade.of(e.at("grade")), e.time("time")).softSeconds());
        formulas.put("CON-10", e -> split.sensitivity(e.at("soft"), e.at("hard"), Density.of(e.at("tone")), true));
        formulas.put(
                "CON-11",
                e -> split.find(
                                SplitExposure.School.EXACT,
                                Density.of(e.at("high")),
                                Density.of(e.at("shadow")),
                                e.at("white"),
                                e.at("black"))
                        .pair()
                        .softSeconds());
        formulas.put("CON-18", e -> {
            GradeFilter now = GradeFilter.nearest(Grade.of(e.at("grade")));
            ExposureTime whites = ExposureTime.ofSeconds(10);
            return GradeAdvice.goingOn(
                            PAPER,
                            List.of(now),
                            GradeAdvice.fromStrip(PAPER, now, whites, whites.plus(e.stops("late"))))
                    .grade()
                    .onScale();
        });
        // Stops by which a filter that was measured differs from the model at net 0.6.
        formulas.put("CON-22", e -> {
            FilterTable table = new FilterTable(
                    GradeFilter.G2,
                    Map.of(
                            GradeFilter.G2, new FilterTable.Entry(0, 0, 110, 0),
                            GradeFilter.G4, new FilterTable.Entry(e.at("factor log"), 0.1, e.at("range"), 2)));
            return Math.log10(new VariableContrastPaper(table).pivotFactor(GradeFilter.G2, GradeFilter.G4, 0.04));
        });
        // Stops by which grade 3 turned out to be off, from two slates that saw it so far off against grade 2.
        formulas.put("CON-23", e -> {
            List<List<SlateEvidence.Mark>> slates =
                    Stream.of(10.0, 20.0).map(t -> twoRows(t, e.at("off"))).toList();
            FilterTable told =
                    LearnedBench.of(slates, GradedLights.usual(PAPER), 0).filters();
            return told.of(GradeFilter.G3).orElseThrow().whitesLog() / Math.log10(2)
                    - GradedLights.usual(PAPER).factorLog(Light.filter(GradeFilter.G3), SlateEvidence.Tone.WHITES)
                            / Math.log10(2);
        });
        formulas.put(
                "CON-24",
                e -> HeadTable.generic(PAPER, HeadTable.Way.PAIRED)
                        .of(GradeFilter.nearest(Grade.of(e.at("grade"))))
                        .orElseThrow()
                        .magenta());
        formulas.put(
                "CON-26",
                e -> VariableContrastPaper.ofOneGrade(e.at("range"), 0)
                        .netDensityAt(e.at("log"), VariableContrastPaper.WHITE_LIGHT_RATIO));
        formulas.put(
                "CON-25",
                e -> FilterReadings.byEye(e.time("whites"), e.time("blacks"), FilterReadings.USUAL_UNCERTAINTY)
                        .isoRange());
        // R of the pair that follows from one that prints R 100, where black came late by so much.
        formulas.put("CON-27", e -> {
            SplitExposure both = new SplitExposure(PAPER, GradeFilter.G00.grade(), GradeFilter.G5.grade());
            SplitExposure.Pair stood = both.of(PAPER.lightAt(Grade.of(2.5)), ExposureTime.ofSeconds(10));
            double later = e.stops("late").toFactor();
            SplitExposure.Pair found = SplitByStrips.bySum(
                    PAPER,
                    SplitByStrips.Lights.of(PAPER, GradeFilter.G00, GradeFilter.G5),
                    stood,
                    new SplitExposure.Pair(stood.softSeconds() * later, stood.hardSeconds() * later));
            return both.equivalent(found.softSeconds(), found.hardSeconds()).isoRange();
        });
        // R that the grade of the pair is worth, on strips of a negative of that range through nominal filters.
        formulas.put("CON-21", e -> {
            List<SplitByStrips.Marks> strips = Stream.of(GradeFilter.G00, GradeFilter.G5)
                    .map(filter -> {
                        VariableContrastPaper.FilterLight light = PAPER.lightThrough(filter);
                        double white =
                                PAPER.logBlueFor(VariableContrastPaper.HIGHLIGHT_NET, light.ratio()) - light.blueLog();
                        double black = PAPER.logBlueFor(VariableContrastPaper.SHADOW_NET, light.ratio())
                                - light.blueLog()
                                - e.at("range");
                        return new SplitByStrips.Marks(
                                filter,
                                Optional.of(ExposureTime.ofSeconds(Math.pow(10, white + 1))),
                                Optional.of(ExposureTime.ofSeconds(Math.pow(10, black + 1))));
                    })
                    .toList();
            SplitExposure.Pair pair =
                    new SplitByStrips(PAPER, strips.get(0), strips.get(1)).pair(SplitByStrips.School.EXACT);
            return new SplitExposure(PAPER, GradeFilter.G00.grade(), GradeFilter.G5.grade())
                    .equivalent(pair.softSeconds(), pair.hardSeconds())
                    .isoRange();
        });
        // The time that its own light and dark tone lead back to.
        formulas.put("CON-20", e -> {
            GradeFilter filter = GradeFilter.nearest(Grade.of(e.at("grade")));
            VariableContrastPaper.FilterLight light = PAPER.lightThrough(filter);
            double asked = Math.log10(e.time("time").inSeconds());
            List<Threads.Tone> tones = Stream.of(0.1, 1.6)
                    .map(net -> new Threads.Tone(
                            PAPER.logBlueFor(net, light.ratio()) - light.blueLog() - asked, net, false, 1))
                    .toList();
            return new Threads(PAPER, tones)
                    .best(GradeFilter.G2, GradeFilter.set())
                    .seconds();
        });
        formulas.put("CON-19", e -> {
            GradeFilter now = GradeFilter.nearest(Grade.of(e.at("grade")));
            ExposureTime whites = ExposureTime.ofSeconds(10);
            GradeAdvice.Outcome outcome = GradeAdvice.fromStrip(PAPER, now, whites, whites.plus(e.stops("late")));
            return GradeAdvice.beside(PAPER, now, outcome).orElseThrow().grade().onScale();
        });
        formulas.put("CON-12", e -> SchoolFactors.DOUBLE_FROM_4.factor(Grade.of(e.at("from")), Grade.of(e.at("to"))));
        formulas.put(
                "CON-13", e -> head.lightOf(e.at("yellow"), e.at("magenta")).isoRange());
        formulas.put("CON-14", e -> head.single(Grade.of(e.at("grade"))).yellow());
        formulas.put(
                "CON-15",
                e -> head.dual(Grade.of(e.at("grade")), e.at("slower")).yellow());
        formulas.put(
                "CON-16",
                e -> new MixedBurn(PAPER)
                        .of(
                                Grade.of(e.at("base")),
                                e.time("time"),
                                e.at("tone"),
                                e.stops("change"),
                                Grade.of(e.at("burn")))
                        .effective()
                        .inStops());
        formulas.put(
                "CON-17",
                e -> ColourMask.over(PAPER, Grade.of(e.at("grade")), e.at("yellow"), 0)
                        .grade()
                        .orElseThrow()
                        .onScale());
        return formulas;
    }
}
