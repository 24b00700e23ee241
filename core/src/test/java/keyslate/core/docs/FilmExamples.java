package keyslate.core.docs;

import java.util.HashMap;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import keyslate.core.film.FilmSheet;
import keyslate.core.film.FrameNeed;
import keyslate.core.film.NegativeReadings;
import keyslate.core.film.ProofLayout;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.Stops;

/** The code behind the worked examples of docs/formulas/film.md. */
final class FilmExamples {
    private static final Density SHADOW = Density.of(0.3);

    private FilmExamples() {}

    static Map<String, ToDoubleFunction<Example>> formulas() {
        Map<String, ToDoubleFunction<Example>> formulas = new HashMap<>();
        formulas.put(
                "FLM-01",
                e -> FilmSheet.cut(e.count("frames"), e.count("strip"), false)
                        .strips()
                        .size());
        formulas.put(
                "FLM-02",
                e -> new NegativeReadings(Density.of(e.at("shadow")), Density.of(e.at("highlight")))
                        .neededRange(e.at("flare"), e.at("callier")));
        formulas.put(
                "FLM-03",
                e -> new NegativeReadings(SHADOW, Density.of(e.at("after")))
                        .needAgainst(new NegativeReadings(SHADOW, Density.of(e.at("before"))), e.at("callier"))
                        .inStops());
        formulas.put(
                "FLM-04",
                e -> ProofLayout.of(
                                FilmSheet.cut(e.count("frames"), e.count("strip"), false), e.mm("long"), e.mm("short"))
                        .height()
                        .inMm());
        formulas.put(
                "FLM-05",
                e -> new FrameNeed(Stops.of(e.at("more")), Stops.ZERO, 1)
                        .firstTime(e.time("time"))
                        .inSeconds());
        return formulas;
    }
}
