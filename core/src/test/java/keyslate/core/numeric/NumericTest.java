package keyslate.core.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import keyslate.core.Draws;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Tables that refuse to extrapolate, and inversion by halving. */
class NumericTest {
    private static final LinearTable TABLE = LinearTable.of(new double[][] {{0, 10}, {1, 20}, {3, 0}});

    @Test
    void aTableHitsItsRowsAndIsStraightBetween() {
        assertThat(TABLE.at(0)).isEqualTo(10);
        assertThat(TABLE.at(1)).isEqualTo(20);
        assertThat(TABLE.at(2)).isEqualTo(10);
        assertThat(TABLE.at(3)).isZero();
    }

    @Test
    void aTableRefusesToExtrapolate() {
        assertThat(TABLE.covers(3.001)).isFalse();
        assertThatThrownBy(() -> TABLE.at(3.001)).hasMessage("x must be from 0.0 to 3.0, was 3.001");
        assertThatThrownBy(() -> TABLE.at(-0.001)).hasMessageContaining("x must be from");
    }

    @Test
    void aTableNeedsRisingRows() {
        assertThatThrownBy(() -> LinearTable.of(new double[][] {{0, 1}})).hasMessageContaining("two rows");
        assertThatThrownBy(() -> LinearTable.of(new double[][] {{0, 1}, {0, 2}}))
                .hasMessageContaining("must rise");
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void theInverseOfAFallingTableLeadsBack(long seed) {
        LinearTable falling = LinearTable.of(new double[][] {{0, 9}, {2, 5}, {3, -1}});
        double x = Draws.from(seed).nextDouble(0, 3);
        assertThat(falling.inverse().at(falling.at(x))).isCloseTo(x, within(1e-12));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void halvingFindsTheRootOfRisingAndFalling(long seed) {
        double x = Draws.from(seed).nextDouble(-2, 2);
        assertThat(Bisection.solve(v -> v * v * v, x * x * x, -2, 2)).isCloseTo(x, within(1e-6));
        assertThat(Bisection.solve(v -> Math.exp(-v), Math.exp(-x), -2, 2)).isCloseTo(x, within(1e-9));
    }

    @Test
    void halvingEndsAtTheNearerEndWhenThereIsNoRoot() {
        assertThat(Bisection.solve(v -> v, 9, 0, 1)).isCloseTo(1, within(1e-9));
        assertThat(Bisection.solve(v -> v, -9, 0, 1)).isCloseTo(0, within(1e-9));
    }
}
