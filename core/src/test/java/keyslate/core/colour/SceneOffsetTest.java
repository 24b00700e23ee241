package keyslate.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import keyslate.core.quantity.FilterShift;
import org.junit.jupiter.api.Test;

class SceneOffsetTest {
    @Test
    void beforeAnyPrintItIsAGuessOfNothing() {
        SceneOffset none = SceneOffset.of(List.of());
        assertThat(none.magenta()).isZero();
        assertThat(none.openPoints()).isCloseTo(8, within(1e-9));
        assertThat(none.prints()).isZero();
    }

    @Test
    void isTheRunningMeanOfWhatPrintsHadBeyondTheMeter() {
        SceneOffset night =
                SceneOffset.of(List.of(FilterShift.of(0, 10, -4), FilterShift.of(2, 10, 0), FilterShift.of(0, 9, -3)));
        assertThat(night.magenta()).isCloseTo(9, within(1e-9));
        assertThat(night.yellow()).isCloseTo(-3, within(1e-9));
        assertThat(night.prints()).isEqualTo(3);
    }

    @Test
    void isKnownTheBetterTheMorePrintsAgree() {
        FilterShift same = FilterShift.of(0, 6, 6);
        double one = SceneOffset.of(List.of(same)).openPoints();
        double four = SceneOffset.of(List.of(same, same, same, same)).openPoints();
        assertThat(one).isGreaterThan(5);
        assertThat(four).isLessThan(2.1).isGreaterThanOrEqualTo(1.5);
        double scattered = SceneOffset.of(List.of(
                        FilterShift.of(0, 0, 0),
                        FilterShift.of(0, 12, 0),
                        FilterShift.of(0, 0, 0),
                        FilterShift.of(0, 12, 0)))
                .openPoints();
        assertThat(scattered).isGreaterThan(6);
    }
}
