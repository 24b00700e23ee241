package keyslate.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import keyslate.core.quantity.QuantityException;
import keyslate.core.reading.Corners.Place;
import org.junit.jupiter.api.Test;

class CornersTest {
    private static final double SMALL = 1e-9;

    @Test
    void theWholePictureIsItself() {
        assertThat(Corners.whole().at(0.3, 0.8)).isEqualTo(new Place(0.3, 0.8));
    }

    @Test
    void theCornersOfTheSheetLieOnTheCorners() {
        Corners corners = Corners.of(List.of(0.1, 0.2, 0.9, 0.1, 0.8, 0.95, 0.05, 0.8));
        near(corners.at(0, 0), 0.1, 0.2);
        near(corners.at(1, 0), 0.9, 0.1);
        near(corners.at(1, 1), 0.8, 0.95);
        near(corners.at(0, 1), 0.05, 0.8);
    }

    @Test
    void theMiddleOfTheSheetIsWhereItsDiagonalsCross() {
        // A sheet seen from below: its upper edge is half as long, so that the middle lies above the middle of the
        // picture.
        Corners corners = Corners.of(List.of(0.25, 0.0, 0.75, 0.0, 1.0, 1.0, 0.0, 1.0));
        near(corners.at(0.5, 0.5), 0.5, 1.0 / 3);
    }

    @Test
    void straightLinesStayStraight() {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(7);
        for (int i = 0; i < 200; i++) {
            Corners corners = Corners.of(List.of(
                    0.2 * random.nextDouble(),
                    0.2 * random.nextDouble(),
                    0.8 + 0.2 * random.nextDouble(),
                    0.2 * random.nextDouble(),
                    0.8 + 0.2 * random.nextDouble(),
                    0.8 + 0.2 * random.nextDouble(),
                    0.2 * random.nextDouble(),
                    0.8 + 0.2 * random.nextDouble()));
            double u = random.nextDouble();
            Place p = corners.at(u, 0.1);
            Place q = corners.at(u, 0.5);
            Place r = corners.at(u, 0.9);
            assertThat((q.x() - p.x()) * (r.y() - p.y()) - (q.y() - p.y()) * (r.x() - p.x()))
                    .isCloseTo(0, within(SMALL));
        }
    }

    @Test
    void refusesWhatIsNoSheet() {
        refused(List.of(0.1, 0.1), "eight numbers");
        refused(List.of(0.0, 0.0, 1.0, 0.0, 1.0, 1.0, 0.0, 1.1), "corner");
        // Counter-clockwise, crossed, one corner inside, and a speck.
        refused(List.of(0.0, 0.0, 0.0, 1.0, 1.0, 1.0, 1.0, 0.0), "clockwise");
        refused(List.of(0.0, 0.0, 1.0, 1.0, 1.0, 0.0, 0.0, 1.0), "clockwise");
        refused(List.of(0.0, 0.0, 1.0, 0.0, 0.2, 0.2, 0.0, 1.0), "clockwise");
        refused(List.of(0.5, 0.5, 0.55, 0.5, 0.55, 0.55, 0.5, 0.55), "nearer");
        refused(List.of(0.0, 0.0, Double.NaN, 0.0, 1.0, 1.0, 0.0, 1.0), "corner");
    }

    private static void refused(List<Double> corners, String words) {
        assertThatThrownBy(() -> Corners.of(corners))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining(words);
    }

    private static void near(Place place, double x, double y) {
        assertThat(place.x()).isCloseTo(x, within(SMALL));
        assertThat(place.y()).isCloseTo(y, within(SMALL));
    }
}
