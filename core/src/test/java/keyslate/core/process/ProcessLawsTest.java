package keyslate.core.process;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.random.RandomGenerator;
import keyslate.core.Draws;
import keyslate.core.quantity.Length;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Laws of solutions and baths, with their edges. */
class ProcessLawsTest {
    /** Rounding of a few operations on doubles. */
    private static final double FLOAT = 1e-9;

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void concentrateAndWaterAreTheVolumeAndItsConcentrateMakesItAgain(long seed) {
        RandomGenerator random = Draws.from(seed);
        double parts = random.nextDouble(0, 50);
        double volume = Draws.logBetween(random, 50, 20_000);
        Dilution mixed = Dilution.ofVolume(1, parts, volume);
        assertThat(mixed.concentrateMl() + mixed.waterMl()).isCloseTo(volume, within(1e-6));
        assertThat(Dilution.volumeFrom(parts, mixed.concentrateMl())).isCloseTo(volume, within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void aTimeTakenToAnotherTemperatureAndBackIsItself(long seed) {
        RandomGenerator random = Draws.from(seed);
        double there = random.nextDouble(16, 27);
        double time = ProcessTime.atTemperature(BathType.MONO_DEVELOPER, 90, 20, there);
        assertThat(ProcessTime.atTemperature(BathType.MONO_DEVELOPER, time, there, 20))
                .isCloseTo(90, within(FLOAT));
        assertThat(time < 90).isEqualTo(there > 20);
    }

    @Test
    void aColourDeveloperIsWarnedOfBeyondThreeTenths() {
        assertThat(ProcessTime.of(BathType.COLOUR_DEVELOPER, 45, 35.3, 0).warnTemperature())
                .isFalse();
        assertThat(ProcessTime.of(BathType.COLOUR_DEVELOPER, 45, 35.31, 0).warnTemperature())
                .isTrue();
        assertThatThrownBy(() -> ProcessTime.of(BathType.COLOUR_DEVELOPER, 45, 20, 0))
                .hasMessage("temperature must be from 30 to 40 °C, was 20 °C");
    }

    @Test
    void aBathIsExhaustedWhenNothingIsLeft() {
        BathCapacity half = BathCapacity.of(2, 1, 1);
        assertThat(half.isExhausted()).isFalse();
        assertThat(half.leftSheets8x10()).isCloseTo(1 / BathCapacity.SHEET_8X10, within(FLOAT));
        assertThat(BathCapacity.of(2, 1, 2.5).isExhausted()).isTrue();
        assertThat(BathCapacity.of(2, 1, 2.5).leftSquareMetres()).isZero();
        assertThatThrownBy(() -> BathCapacity.areaOf(Length.ofMm(200), Length.ofMm(250), 1.5))
                .hasMessage("sheets must be a whole number, was 1.5");
    }

    @Test
    void aFullerBottleKeepsLongerAndADrumTakesWhatAsksForMost() {
        assertThat(ShelfLife.of(0, 1).lifeDays())
                .isGreaterThan(ShelfLife.of(0, 0.5).lifeDays());
        assertThat(ShelfLife.of(200, 1).isExpired()).isTrue();
        assertThat(DrumVolume.of(0.05, 1200, 0.8, 0).governedBy()).isEqualTo(DrumVolume.Need.CAPACITY);
        assertThat(DrumVolume.of(0.05, 2000, 0.8, 0).governedBy()).isEqualTo(DrumVolume.Need.WETTING);
        assertThat(DrumVolume.of(0.05, 1200, 0.8, 500).governedBy()).isEqualTo(DrumVolume.Need.DRUM);
    }
}
