package keyslate.core.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class LeastSquaresTest {
    @Test
    void twoReadingsAreWeighedByTheirSpreads() {
        LeastSquares fit = new LeastSquares(1);
        fit.add(new double[] {1}, 10, 1);
        fit.add(new double[] {1}, 13, 2);
        LeastSquares.Solution found = fit.solve();
        assertThat(found.figures()[0]).isCloseTo(10.6, within(1e-12));
        assertThat(found.spreadAt(new double[] {1})).isCloseTo(Math.sqrt(0.8), within(1e-12));
    }

    @Test
    void aLineThroughThreePointsIsTheTextbooks() {
        LeastSquares fit = new LeastSquares(2);
        fit.add(new double[] {1, 0}, 1, 1);
        fit.add(new double[] {1, 1}, 2, 1);
        fit.add(new double[] {1, 2}, 4, 1);
        LeastSquares.Solution found = fit.solve();
        assertThat(found.figures()[0]).isCloseTo(5.0 / 6, within(1e-12));
        assertThat(found.figures()[1]).isCloseTo(1.5, within(1e-12));
        assertThat(found.covariance()[1][1]).isCloseTo(0.5, within(1e-12));
        assertThat(found.at(new double[] {1, 3})).isCloseTo(5.0 / 6 + 4.5, within(1e-12));
    }

    @Test
    void whatNoRowSpeaksOfIsRefused() {
        LeastSquares fit = new LeastSquares(2);
        fit.add(new double[] {1, 1}, 1, 1);
        assertThatThrownBy(fit::solve).isInstanceOf(IllegalStateException.class);
        assertThatThrownBy(() -> fit.add(new double[] {1}, 1, 1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> fit.add(new double[] {1, 0}, 1, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> fit.add(new double[] {1, 0}, Double.NaN, 1))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
