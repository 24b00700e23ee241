package keyslate.core.docs;

import java.util.HashMap;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import keyslate.core.process.BathCapacity;
import keyslate.core.process.BathType;
import keyslate.core.process.Dilution;
import keyslate.core.process.DrumVolume;
import keyslate.core.process.ProcessTime;
import keyslate.core.process.ShelfLife;

/** The code behind the worked examples of docs/formulas/process.md. */
final class ProcessExamples {
    private ProcessExamples() {}

    static Map<String, ToDoubleFunction<Example>> formulas() {
        Map<String, ToDoubleFunction<Example>> formulas = new HashMap<>();
        formulas.put(
                "PRO-01",
                e -> Dilution.ofVolume(1, e.at("water"), e.at("volume")).concentrateMl());
        formulas.put("PRO-02", e -> Dilution.volumeFrom(e.at("water"), e.at("concentrate")));
        formulas.put(
                "PRO-03",
                e -> BathCapacity.of(e.at("litres"), e.at("takes"), e.at("used"))
                        .leftSquareMetres());
        formulas.put("PRO-04", e -> BathCapacity.sheets8x10(e.at("area")));
        formulas.put("PRO-05", e -> BathCapacity.areaOf(e.mm("width"), e.mm("height"), e.at("sheets")));
        formulas.put("PRO-06", e -> BathCapacity.replenishMl(e.at("area"), e.at("rate")));
        formulas.put(
                "PRO-07",
                e -> ProcessTime.atTemperature(BathType.MONO_DEVELOPER, e.at("time"), e.at("from"), e.at("to")));
        formulas.put("PRO-08", e -> ProcessTime.usedFactor(e.at("used")));
        formulas.put("PRO-09", e -> ProcessTime.factorialSeconds(e.at("emergence"), e.at("factor")));
        formulas.put("PRO-10", e -> ShelfLife.of(e.at("age"), e.at("fullness")).leftDays());
        formulas.put(
                "PRO-11",
                e -> DrumVolume.of(e.at("area"), DrumVolume.WETTING_ML_PER_M2, 0.8, 0)
                        .millilitres());
        return formulas;
    }
}
