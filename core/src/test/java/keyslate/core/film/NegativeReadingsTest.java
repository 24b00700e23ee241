package keyslate.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import keyslate.core.quantity.Density;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;

class NegativeReadingsTest {
    private static NegativeReadings read(double shadow, double highlight) {
        return new NegativeReadings(Density.of(shadow), Density.of(highlight));
    }

    @Test
    void withoutFlareTheRangeIsTheDifferenceOfTheDensities() {
        assertThat(read(0.35, 1.35).neededRange(0, 1)).isCloseTo(100, within(1e-9));
        assertThat(read(0.35, 1.35).nearestGrade(0, 1).onScale()).isCloseTo(2.5, within(1e-9));
        assertThat(read(0.35, 1.35).neededRange(0, 1.3)).isCloseTo(130, within(1e-9));
    }

    @Test
    void flareShortensTheRangeAndMostAtTheDenseEnd() {
        double clean = read(0.3, 1.8).logRange(0, 1);
        double flared = read(0.3, 1.8).logRange(NegativeReadings.USUAL_FLARE, 1);
        assertThat(flared).isCloseTo(Math.log10((0.501187 + 0.005) / (0.0158489 + 0.005)), within(1e-5));
        assertThat(clean - flared)
                .isGreaterThan(
                        read(0.3, 1.0).logRange(0, 1) - read(0.3, 1.0).logRange(NegativeReadings.USUAL_FLARE, 1));
    }

    @Test
    void whatNoGradeReachesGetsTheLastOne() {
        assertThat(read(0.3, 2.6).nearestGrade(0, 1).onScale()).isEqualTo(-1);
        assertThat(read(0.3, 0.5).nearestGrade(0, 1).onScale()).isEqualTo(5);
    }

    @Test
    void aDenserHighlightNeedsMoreLight() {
        assertThat(read(0.3, 1.6).needAgainst(read(0.2, 1.3), 1).inStops())
                .isCloseTo(0.3 / Math.log10(2), within(1e-9));
        assertThat(read(0.3, 1.3).needAgainst(read(0.3, 1.6), 1.2).inStops())
                .isCloseTo(-1.2 * 0.3 / Math.log10(2), within(1e-9));
    }

    @Test
    void theHighlightIsTheDenseEnd() {
        assertThatThrownBy(() -> read(1.3, 0.4))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("must read more than the shadow");
    }
}
