package keyslate.core.vectors;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import keyslate.core.process.BathCapacity;
import keyslate.core.process.BathType;
import keyslate.core.process.Dilution;
import keyslate.core.process.DrumVolume;
import keyslate.core.process.ProcessTime;
import keyslate.core.process.ShelfLife;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;
import keyslate.core.vectors.ModelVectors.Row;

/** Solutions and baths of the table. */
final class ProcessAdapters {
    private static final double COLOUR_CAPACITY = 0.8;

    static final Map<String, Function<Row, Object>> BY_NAME = Map.ofEntries(
            Map.entry("dilution", r -> {
                Dilution d = Dilution.ofVolume(r.number(2, 1), r.number(0), r.number(1));
                return Map.of("concentrate", d.concentrateMl(), "water", d.waterMl());
            }),
            Map.entry("dilute_from_concentrate", r -> Dilution.volumeFrom(r.number(0), r.number(1))),
            Map.entry("capacity_left", r -> {
                BathCapacity c = BathCapacity.of(r.number(0), r.number(1), r.number(2));
                return Map.of(
                        "used_fraction", c.usedFraction(),
                        "left_m2", c.leftSquareMetres(),
                        "left_8x10", c.leftSheets8x10(),
                        "exhausted", c.isExhausted());
            }),
            Map.entry(
                    "area_m2",
                    r -> BathCapacity.areaOf(Length.ofMm(r.number(0)), Length.ofMm(r.number(1)), r.number(2, 1))),
            Map.entry("eq_8x10", r -> BathCapacity.sheets8x10(r.number(0))),
            Map.entry("replenish", r -> BathCapacity.replenishMl(r.number(0), r.number(1))),
            Map.entry("used_factor", r -> ProcessTime.usedFactor(r.number(0))),
            Map.entry("dev_time", r -> {
                ProcessTime t =
                        ProcessTime.of(bath(r.args().get(0).asString()), r.number(1), r.number(2), r.number(3, 0));
                return Map.of("time", t.seconds(), "warn_temperature", t.warnTemperature(), "warn_used", t.warnUsed());
            }),
            Map.entry(
                    "temp_time",
                    r -> ProcessTime.atTemperature(BathType.MONO_DEVELOPER, r.number(0), r.number(1), r.number(2))),
            Map.entry("factorial_time", r -> ProcessTime.factorialSeconds(r.number(0), r.number(1))),
            Map.entry("shelf_left", r -> {
                ShelfLife life = ShelfLife.of(r.number(0), r.number(1));
                return Map.of("life_days", life.lifeDays(), "left_days", life.leftDays(), "expired", life.isExpired());
            }),
            Map.entry("drum_volume", r -> {
                DrumVolume v = DrumVolume.of(
                        r.number(0), r.number(1, DrumVolume.WETTING_ML_PER_M2), COLOUR_CAPACITY, r.number(2, 0));
                return Map.of(
                        "ml",
                        v.millilitres(),
                        "governed_by",
                        v.governedBy().name().toLowerCase(Locale.ROOT));
            }));

    private ProcessAdapters() {}

    private static BathType bath(String name) {
        return switch (name) {
            case "mono_developer" -> BathType.MONO_DEVELOPER;
            case "mono_stop" -> BathType.MONO_STOP;
            case "mono_fix" -> BathType.MONO_FIX;
            case "colour_developer" -> BathType.COLOUR_DEVELOPER;
            case "colour_bleach_fix" -> BathType.BLEACH_FIX;
            default ->
                throw new QuantityException(
                        QuantityException.Kind.WRONG_SHAPE, "bath", "no bath of this name: " + List.of(name));
        };
    }
}
