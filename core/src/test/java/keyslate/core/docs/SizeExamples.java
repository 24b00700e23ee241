package keyslate.core.docs;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import keyslate.core.exposure.Reciprocity;
import keyslate.core.quantity.Length;
import keyslate.core.size.CutPlan;
import keyslate.core.size.CutYield;
import keyslate.core.size.PaperCutting;
import keyslate.core.size.PrintFit;
import keyslate.core.size.Projection;
import keyslate.core.size.Reach;
import keyslate.core.size.SizeChange;
import keyslate.core.size.ThinLens;
import keyslate.core.size.Transport;

/** The code behind the worked examples of docs/formulas/size.md. */
final class SizeExamples {
    private SizeExamples() {}

    static Map<String, ToDoubleFunction<Example>> formulas() {
        Map<String, ToDoubleFunction<Example>> formulas = new HashMap<>();
        formulas.put("SIZ-01", e -> {
            List<Double> sides = List.copyOf(e.given().values());
            return PrintFit.of(
                            Length.ofMm(sides.get(0)),
                            Length.ofMm(sides.get(1)),
                            Length.ofMm(sides.get(2)),
                            Length.ofMm(sides.get(3)),
                            PrintFit.Way.WHOLE_PICTURE)
                    .magnification()
                    .inTimes();
        });
        formulas.put("SIZ-02", e -> SizeChange.timeFactor(e.times("from"), e.times("to"), e.at("pupil")));
        formulas.put("SIZ-03", e -> lens(e).filmToLens(e.times("at")).inMm());
        formulas.put("SIZ-04", e -> lens(e).lensToPaper(e.times("at")).inMm());
        formulas.put(
                "SIZ-05",
                e -> lens(e).magnificationAt(e.mm("total"), Length.ZERO).inTimes());
        formulas.put(
                "SIZ-06", e -> ThinLens.cornerLoss(e.mm("radius"), e.mm("lens")).inStops());
        formulas.put(
                "SIZ-07",
                e -> SizeChange.timeByMeter(e.time("time"), e.at("before"), e.at("after"))
                        .inSeconds());
        formulas.put(
                "SIZ-08",
                e -> SizeChange.timeByDistance(e.time("time"), e.mm("before"), e.mm("after"))
                        .inSeconds());
        formulas.put(
                "SIZ-09",
                e -> SizeChange.rescaled(
                                e.time("time"),
                                e.f("from"),
                                e.times("at"),
                                e.f("to"),
                                e.times("then"),
                                1,
                                e.at("added"),
                                Reciprocity.NONE)
                        .inSeconds());
        formulas.put(
                "SIZ-10",
                e -> SizeChange.shortcutErrors(lens(e), e.times("from"), e.times("to"), 1, Length.ZERO)
                        .bySize()
                        .inStops());
        formulas.put("SIZ-11", e -> CutYield.of(e.mm("sheet"), e.mm("long"), e.mm("piece"), e.mm("deep"), true));
        formulas.put("SIZ-12", e -> CutYield.strips(e.mm("wide"), e.mm("deep"), e.mm("strip")));
        formulas.put(
                "SIZ-13",
                e -> CutPlan.of(
                                e.mm("sheet"),
                                e.mm("long"),
                                List.of(new CutPlan.Piece("piece", e.mm("piece"), e.mm("deep"), e.count("pieces"))))
                        .orElseThrow()
                        .cuts());
        formulas.put(
                "SIZ-14",
                e -> new Projection.Contact(Projection.Source.LENS, e.mm("focal"), e.mm("from"))
                        .timeFactor(new Projection.Contact(Projection.Source.LENS, e.mm("focal"), e.mm("to"))));
        formulas.put(
                "SIZ-15",
                e -> PaperCutting.of(
                                e.mm("wide"),
                                e.mm("deep"),
                                List.of(new PaperCutting.Wanted(
                                        "strip", e.mm("strip"), e.mm("long"), e.count("pieces"))))
                        .orElseThrow()
                        .settings()
                        .size());
        formulas.put("SIZ-16", e -> Reach.blur(e.f("at"), e.times("then")).inMm());
        formulas.put(
                "SIZ-17",
                e -> Reach.instead(
                                List.of(
                                        new Reach.Candidate("a", "a", Length.ofMm(63), Length.ofMm(72)),
                                        new Reach.Candidate("b", "b", Length.ofMm(75), Length.ofMm(72)),
                                        new Reach.Candidate("c", "c", Length.ofMm(80), Length.ofMm(80)),
                                        new Reach.Candidate("d", "d", Length.ofMm(50), Length.ofMm(43.5))),
                                e.mm("diagonal"),
                                e.times("at"),
                                e.mm("column"))
                        .orElseThrow()
                        .focal()
                        .inMm());
        formulas.put("SIZ-18", e -> Reach.atHeight(e.mm("focal"), e.mm("lens")).inTimes());
        formulas.put(
                "SIZ-19",
                e -> new Transport(e.mm("long"), e.mm("deep"), Optional.empty(), Optional.of(Transport.Lead.SHORT))
                        .load(e.mm("strip"), e.mm("piece"))
                        .orElseThrow()
                        .atOnce());
        return formulas;
    }

    private static ThinLens lens(Example e) {
        return new ThinLens(e.mm("focal"));
    }
}
