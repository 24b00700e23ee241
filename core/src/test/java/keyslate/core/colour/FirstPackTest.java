package keyslate.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import keyslate.core.quantity.FilterPack;
import org.junit.jupiter.api.Test;

/** The pack that own prints say to begin with. */
class FirstPackTest {
    /** Scenario 11. */
    @Test
    void isTheMedianOfEachFilter() {
        FirstPack first =
                FirstPack.of(List.of(FilterPack.of(0, 52, 47), FilterPack.of(0, 58, 50), FilterPack.of(0, 49, 41)));
        assertThat(first.pack()).isEqualTo(FilterPack.of(0, 52, 47));
        assertThat(first.prints()).isEqualTo(3);
        // Distances of 0, 6 and 3, and a guess of 20 that counts a tenth.
        assertThat(first.openPoints()).isCloseTo(Math.sqrt(45 / 3.0 + 40), within(1e-9));
    }

    @Test
    void lieBetweenTheTwoInTheMiddleAndHaveNoNeutralDensity() {
        FirstPack first = FirstPack.of(List.of(FilterPack.of(10, 60, 50), FilterPack.of(0, 54, 44)));
        assertThat(first.pack()).isEqualTo(FilterPack.of(0, 52, 42));
    }

    @Test
    void manyPrintsThatAgreeLeaveLittleOpenAndOneLeavesMuch() {
        FilterPack pack = FilterPack.of(0, 50, 50);
        assertThat(FirstPack.of(Collections.nCopies(40, pack)).openPoints()).isEqualTo(1.5);
        assertThat(FirstPack.of(List.of(pack)).openPoints()).isCloseTo(20 / Math.sqrt(2), within(1e-9));
        assertThatThrownBy(() -> FirstPack.of(List.of())).hasMessageContaining("one print at least");
    }

    @Test
    void aPackOfGreyOrOfCyanAloneFiltersNothing() {
        assertThat(List.of(FilterPack.of(0, 0, 0), FilterPack.of(10, 10, 10), FilterPack.of(30, 0, 0)))
                .allMatch(FirstPack::isUnfiltered);
        assertThat(List.of(FilterPack.of(0, 1, 0), FilterPack.of(10, 10, 12))).noneMatch(FirstPack::isUnfiltered);
    }
}
