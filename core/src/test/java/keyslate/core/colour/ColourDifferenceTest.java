package keyslate.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Pairs of the test table in Sharma, Wu and Dalal, 2005, to its four decimals. */
class ColourDifferenceTest {
    @ParameterizedTest
    @CsvSource({
        "50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425",
        "50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615",
        "50, 2.8361, -74.0200, 50, 0, -82.7485, 3.4412",
        "50, -1.3802, -84.2814, 50, 0, -82.7485, 1.0000",
        "50, 0, 0, 50, -1, 2, 2.3669",
        "50, 2.5, 0, 50, 0, -2.5, 4.3065",
        "50, 2.5, 0, 73, 25, -18, 27.1492",
        "60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644",
        "22.7233, 20.0904, -46.6940, 23.0331, 14.9730, -42.5619, 2.0373",
        "2.0776, 0.0795, -1.1350, 0.9033, -0.0636, -0.5514, 0.9082"
    })
    void asInTheTable(double l1, double a1, double b1, double l2, double a2, double b2, double expected) {
        assertThat(ColourDifference.of(l1, a1, b1, l2, a2, b2)).isCloseTo(expected, within(0.00005));
        assertThat(ColourDifference.of(l2, a2, b2, l1, a1, b1)).isCloseTo(expected, within(0.00005));
    }

    @Test
    void theSameColourDiffersByNothing() {
        assertThat(ColourDifference.of(40, 10, -5, 40, 10, -5)).isZero();
    }
}
