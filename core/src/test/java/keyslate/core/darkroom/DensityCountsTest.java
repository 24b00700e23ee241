package keyslate.core.darkroom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;

/** Against the same densities sorted. */
class DensityCountsTest {
    private static final double STEP = DensityCounts.STEP;

    @Test
    void sharesAndPlacesAreThoseOfTheSortedDensities() {
        Random random = new Random(4);
        float[] densities = new float[5000];
        for (int i = 0; i < densities.length; i++) {
            densities[i] = (float) (0.3 + 0.9 * Math.abs(random.nextGaussian()));
        }
        DensityCounts counts = DensityCounts.of(densities);
        float[] sorted = densities.clone();
        Arrays.sort(sorted);
        for (double share : new double[] {0.01, 0.3, 0.5, 0.99}) {
            assertThat(counts.at(share)).isCloseTo(sorted[(int) Math.ceil(share * 5000) - 1], within(STEP));
        }
        for (double density : new double[] {0.4, 0.9, 2}) {
            double thinner = 0;
            for (float one : sorted) {
                thinner += one < density ? 1 : 0;
            }
            assertThat(counts.thinner(density)).isCloseTo(thinner / 5000, within(0.002));
            assertThat(counts.denser(density)).isCloseTo(1 - thinner / 5000, within(0.002));
        }
    }

    @Test
    void whatLiesBeyondCountsAtTheEnds() {
        DensityCounts counts = DensityCounts.of(new float[] {-3, 0.5f, 9});
        assertThat(counts.thinner(0.2)).isCloseTo(1 / 3.0, within(1e-9));
        assertThat(counts.denser(1)).isCloseTo(1 / 3.0, within(1e-9));
        assertThat(counts.at(0)).isCloseTo(-0.5, within(STEP));
        assertThat(counts.at(1)).isCloseTo(6, within(STEP));
        assertThat(counts.thinner(-2)).isZero();
        assertThat(counts.denser(8)).isZero();
        assertThatThrownBy(() -> DensityCounts.of(new float[0])).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> counts.at(1.2)).isInstanceOf(QuantityException.class);
    }
}
