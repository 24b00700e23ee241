package keyslate.core.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlacementTest {
    private static final Length LEAST = Length.ofMm(10);

    private static PrintFit fit(Placement placement) {
        return placement.fit(Length.ofMm(56), Length.ofMm(41.5), Length.ofMm(300), Length.ofMm(240), LEAST);
    }

    private static Placement with(PrintFit.Way way, double overfill, Placement.Sized sized) {
        return new Placement(Blades.even(0), way, overfill, Optional.ofNullable(sized), 0.5, 0.5);
    }

    @Test
    void fillOrWholeBySidesAndBorders() {
        assertThat(fit(Placement.even(0, PrintFit.Way.FILL_SHEET))
                        .magnification()
                        .inTimes())
                .isCloseTo(240 / 41.5, within(1e-9));
        assertThat(fit(Placement.even(0, PrintFit.Way.WHOLE_PICTURE))
                        .magnification()
                        .inTimes())
                .isCloseTo(300.0 / 56, within(1e-9));
        assertThat(fit(Placement.even(10, PrintFit.Way.FILL_SHEET))
                        .magnification()
                        .inTimes())
                .isCloseTo(Math.max(280 / 56.0, 220 / 41.5), within(1e-9));
    }

    @Test
    void overfillMakesAFilledSheetLargerAndLeavesAWholePictureAlone() {
        assertThat(fit(with(PrintFit.Way.FILL_SHEET, 1, null)).magnification().inTimes())
                .isCloseTo(1.01 * 240 / 41.5, within(1e-9));
        assertThat(fit(with(PrintFit.Way.WHOLE_PICTURE, 1, null))
                        .magnification()
                        .inTimes())
                .isCloseTo(300.0 / 56, within(1e-9));
    }

    @Test
    void aSizeByEyeIsWhatItIs() {
        Placement.Sized sized = new Placement.Sized(Placement.By.PICTURE, 224, Magnification.of(4));
        PrintFit fit = fit(with(PrintFit.Way.FILL_SHEET, 1, sized));
        assertThat(fit.magnification().inTimes()).isEqualTo(4);
        assertThat(fit.imageWidth().inMm()).isCloseTo(224, within(1e-9));
    }

    @Test
    void bordersThatLeaveNothingCountAsLeavingTheLeast() {
        PrintFit fit = fit(Placement.even(149, PrintFit.Way.WHOLE_PICTURE));
        assertThat(fit.magnification().inTimes()).isCloseTo(2 / 56.0, within(0.3));
    }

    @ParameterizedTest
    @CsvSource({"-0.1, 0.5, 0.5", "51, 0.5, 0.5", "0, 1.1, 0.5", "0, 0.5, -0.1"})
    void refusesWhatCannotBe(double overfill, double across, double down) {
        Blades blades = Blades.even(0);
        assertThatThrownBy(
                        () -> new Placement(blades, PrintFit.Way.FILL_SHEET, overfill, Optional.empty(), across, down))
                .isInstanceOf(QuantityException.class);
    }

    @Test
    void bladesKnowTheirNarrowestAndWhetherTheyAreEven() {
        Blades uneven = new Blades(4, 5, 6, 7);
        assertThat(uneven.narrowestMm()).isEqualTo(4);
        assertThat(uneven.areEven()).isFalse();
        assertThat(Blades.even(6).areEven()).isTrue();
        assertThat(uneven.acrossMm()).isEqualTo(10);
        assertThat(uneven.downMm()).isEqualTo(12);
        assertThatThrownBy(() -> new Blades(-1, 0, 0, 0)).isInstanceOf(QuantityException.class);
    }
}
