package keyslate.core.darkroom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import keyslate.core.local.AreaMask;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Part;
import org.junit.jupiter.api.Test;

class EvennessTest {
    private static final List<Stops> CORNERS = List.of(Stops.of(-0.1), Stops.of(-0.2), Stops.of(-0.3), Stops.of(-0.4));
    private static final Evenness LIGHT = new Evenness(CORNERS, new Part(0.1, 0.2, 0.8, 0.6));

    @Test
    void isNothingInTheMiddleAndItsOwnInEachCorner() {
        assertThat(LIGHT.at(0.5, 0.5).inStops()).isZero();
        assertThat(LIGHT.at(0.1, 0.2).inStops()).isCloseTo(-0.1, within(1e-12));
        assertThat(LIGHT.at(0.9, 0.2).inStops()).isCloseTo(-0.2, within(1e-12));
        assertThat(LIGHT.at(0.9, 0.8).inStops()).isCloseTo(-0.3, within(1e-12));
        assertThat(LIGHT.at(0.1, 0.8).inStops()).isCloseTo(-0.4, within(1e-12));
    }

    @Test
    void isHalfTheMeanOfTwoInTheMiddleOfASide() {
        assertThat(LIGHT.at(0.5, 0.2).inStops()).isCloseTo((-0.1 - 0.2) / 4, within(1e-12));
    }

    @Test
    void isAsAtItsEdgeBesideThePicture() {
        assertThat(LIGHT.at(0, 0).inStops()).isCloseTo(-0.1, within(1e-12));
    }

    @Test
    void aPictureIsShadedByWhatLiesAtEachPlace() {
        AreaMask.View view = new AreaMask.View(0.05, 0.1, 0.9, 0.85, 1.5);
        float[] over = LIGHT.over(view, 7, 5);
        for (int row = 0; row < 5; row++) {
            for (int column = 0; column < 7; column++) {
                double x = 0.05 + 0.9 * (column + 0.5) / 7;
                double y = 0.1 + 0.85 * (row + 0.5) / 5;
                assertThat((double) over[row * 7 + column])
                        .isCloseTo(LIGHT.at(x, y).toLogExposure(), within(1e-6));
            }
        }
    }

    @Test
    void isEvenWithoutCornersAndTakesFourOrNone() {
        assertThat(Evenness.EVEN.isEven()).isTrue();
        assertThat(Evenness.EVEN.at(0, 1).inStops()).isZero();
        assertThatThrownBy(() -> new Evenness(CORNERS.subList(0, 3), Part.WHOLE))
                .isInstanceOf(QuantityException.class);
    }
}
