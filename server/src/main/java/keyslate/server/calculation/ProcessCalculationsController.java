package keyslate.server.calculation;

import java.util.List;
import keyslate.core.process.BathCapacity;
import keyslate.core.process.BathType;
import keyslate.core.process.Dilution;
import keyslate.core.process.DrumVolume;
import keyslate.core.process.ProcessTime;
import keyslate.core.process.ShelfLife;
import keyslate.core.quantity.Length;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Solutions, baths, times and temperatures. */
@RestController
@RequestMapping("/api/calculations")
class ProcessCalculationsController {
    /** Mixed {@code concentrateParts} + {@code waterParts}, as a rule 1 + n. */
    record DilutionRequest(double concentrateParts, double waterParts, double volumeMl) {}

    record DilutionAnswer(double concentrateMl, double waterMl, List<String> formulas) {}

    @Calculates("Concentrate and water of a working solution (PRO-01)")
    @PostMapping("/dilution")
    DilutionAnswer dilution(@RequestBody DilutionRequest asked) {
        Dilution mixed = Dilution.ofVolume(asked.concentrateParts(), asked.waterParts(), asked.volumeMl());
        return new DilutionAnswer(mixed.concentrateMl(), mixed.waterMl(), List.of("PRO-01"));
    }

    /** Sheets of one size that a bath has taken, and what replenisher it gets for each square metre. */
    record BathCapacityRequest(
            double litres,
            double squareMetresPerLitre,
            Length sheetWidthMm,
            Length sheetHeightMm,
            double sheets,
            @Nullable Double replenishMlPerSquareMetre) {}

    record BathCapacityAnswer(
            double usedSquareMetres,
            double usedFraction,
            double leftSquareMetres,
            double leftSheets8x10,
            boolean exhausted,
            @Nullable Double replenishMl,
            List<String> formulas) {}

    @Calculates("What a bath has taken and still takes (PRO-03 to PRO-06)")
    @PostMapping("/bath-capacity")
    BathCapacityAnswer bathCapacity(@RequestBody BathCapacityRequest asked) {
        Length width = asked.sheetWidthMm();
        Length height = asked.sheetHeightMm();
        double used = BathCapacity.areaOf(width, height, asked.sheets());
        BathCapacity capacity = BathCapacity.of(asked.litres(), asked.squareMetresPerLitre(), used);
        Given.noteIf(capacity.isExhausted(), "This bath is used up.");
        return new BathCapacityAnswer(
                used,
                capacity.usedFraction(),
                capacity.leftSquareMetres(),
                capacity.leftSheets8x10(),
                capacity.isExhausted(),
                asked.replenishMlPerSquareMetre() == null
                        ? null
                        : BathCapacity.replenishMl(used, asked.replenishMlPerSquareMetre()),
                List.of("PRO-03", "PRO-04", "PRO-05", "PRO-06"));
    }

    /** The generic baths. */
    enum Bath {
        MONO_DEVELOPER(BathType.MONO_DEVELOPER),
        MONO_STOP(BathType.MONO_STOP),
        MONO_FIX(BathType.MONO_FIX),
        COLOUR_DEVELOPER(BathType.COLOUR_DEVELOPER),
        BLEACH_FIX(BathType.BLEACH_FIX);

        private final BathType type;

        Bath(BathType type) {
            this.type = type;
        }
    }

    /** A time at the bath's reference temperature; used share 0 to 1.2 of its capacity. */
    record ProcessTimeRequest(Bath bath, double secondsAtReference, double celsius, double usedFraction) {}

    /** Warnings: the temperature is beyond what time can make good; the bath is used up. */
    record ProcessTimeAnswer(
            double seconds,
            double referenceCelsius,
            boolean warnTemperature,
            boolean warnUsed,
            List<String> formulas) {}

    @Calculates("Time in a bath at another temperature and age (PRO-07, PRO-08)")
    @PostMapping("/process-time")
    ProcessTimeAnswer processTime(@RequestBody ProcessTimeRequest asked) {
        ProcessTime time =
                ProcessTime.of(asked.bath().type, asked.secondsAtReference(), asked.celsius(), asked.usedFraction());
        Given.noteIf(time.warnTemperature(), "The temperature lies outside what is usual for this bath.");
        Given.noteIf(time.warnUsed(), "The bath is nearly used up.");
        return new ProcessTimeAnswer(
                time.seconds(),
                asked.bath().type.reference(),
                time.warnTemperature(),
                time.warnUsed(),
                List.of("PRO-07", "PRO-08"));
    }

    /** When the image appears, and the factor that is usual with this developer, 1 to 20. */
    record FactorialTimeRequest(double emergenceSeconds, double factor) {}

    record FactorialTimeAnswer(double seconds, List<String> formulas) {}

    @Calculates("Factorial development (PRO-09)")
    @PostMapping("/factorial-time")
    FactorialTimeAnswer factorialTime(@RequestBody FactorialTimeRequest asked) {
        return new FactorialTimeAnswer(
                ProcessTime.factorialSeconds(asked.emergenceSeconds(), asked.factor()), List.of("PRO-09"));
    }

    /** Fullness of the bottle above 0, up to 1. */
    record ShelfLifeRequest(double ageDays, double fullness) {}

    record ShelfLifeAnswer(double lifeDays, double leftDays, boolean expired, List<String> formulas) {}

    @Calculates("How long a bottle still keeps (PRO-10)")
    @PostMapping("/shelf-life")
    ShelfLifeAnswer shelfLife(@RequestBody ShelfLifeRequest asked) {
        ShelfLife life = ShelfLife.of(asked.ageDays(), asked.fullness());
        return new ShelfLifeAnswer(life.lifeDays(), life.leftDays(), life.isExpired(), List.of("PRO-10"));
    }

    /** Paper in a drum, developed in one shot; wetting 1200 ml/m² when it is left out. */
    record DrumVolumeRequest(
            double squareMetres,
            double squareMetresPerLitre,
            double drumMinimumMl,
            @Nullable Double wettingMlPerSquareMetre) {}

    /** {@code governedBy}: CAPACITY, WETTING or DRUM. */
    record DrumVolumeAnswer(double millilitres, String governedBy, List<String> formulas) {}

    @Calculates("Solution for one shot in a drum (PRO-11)")
    @PostMapping("/drum-volume")
    DrumVolumeAnswer drumVolume(@RequestBody DrumVolumeRequest asked) {
        double wetting = asked.wettingMlPerSquareMetre() == null
                ? DrumVolume.WETTING_ML_PER_M2
                : asked.wettingMlPerSquareMetre();
        DrumVolume volume =
                DrumVolume.of(asked.squareMetres(), wetting, asked.squareMetresPerLitre(), asked.drumMinimumMl());
        return new DrumVolumeAnswer(volume.millilitres(), volume.governedBy().name(), List.of("PRO-11"));
    }
}
