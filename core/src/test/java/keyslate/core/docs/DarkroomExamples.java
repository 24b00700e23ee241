package keyslate.core.docs;

import java.util.HashMap;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import keyslate.core.curve.FilmCurve;
import keyslate.core.darkroom.EnlargerLight;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.core.process.ProcessTime;

/** The code behind the worked examples of docs/formulas/darkroom.md. */
final class DarkroomExamples {
    private DarkroomExamples() {}

    static Map<String, ToDoubleFunction<Example>> formulas() {
        Map<String, ToDoubleFunction<Example>> formulas = new HashMap<>();
        formulas.put("DRK-01", e -> FilmCurve.density(e.at("scene"), e.at("exposure")));
        formulas.put("DRK-02", e -> new EnlargerLight(e.at("strength")).logPerSecond(e.f("opening"), e.times("at")));
        formulas.put("DRK-04", e -> ToneEncoding.encode(Math.pow(10, -e.at("density"))));
        formulas.put("DRK-05", e -> -Math.log10(ProcessTime.usedFactor(e.at("used"))));
        return formulas;
    }
}
