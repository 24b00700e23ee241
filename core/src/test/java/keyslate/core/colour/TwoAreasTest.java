package keyslate.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import keyslate.core.quantity.FilterPack;
import org.junit.jupiter.api.Test;

class TwoAreasTest {
    private static final FilterPack PACK = FilterPack.of(0, 50, 50);

    private static CastLook seen(double magenta, double yellow) {
        return CastLook.of(PACK, magenta, yellow, CastWay.VIEWING_FILTER);
    }

    @Test
    void whatDiffersByLessThanAnEyeErrsIsNotApart() {
        TwoAreas areas = TwoAreas.of(List.of(seen(10, 0)), List.of(seen(13, -2)), List.of());
        assertThat(areas.magenta()).isCloseTo(1.5, within(1e-9));
        assertThat(areas.isApart()).isFalse();
    }

    @Test
    void twoLightsInOneSceneAreApart() {
        TwoAreas areas = TwoAreas.of(List.of(seen(2, 0), seen(0, 2)), List.of(seen(0, -20), seen(2, -18)), List.of());
        assertThat(areas.yellow()).isCloseTo(-10, within(1e-9));
        assertThat(areas.isApart()).isTrue();
    }

    @Test
    void moreLooksTellASmallerDifference() {
        double one =
                TwoAreas.of(List.of(seen(0, 0)), List.of(seen(9, 0)), List.of()).limit();
        double four = TwoAreas.of(
                        List.of(seen(0, 0), seen(0, 0), seen(0, 0), seen(0, 0)),
                        List.of(seen(9, 0), seen(9, 0), seen(9, 0), seen(9, 0)),
                        List.of())
                .limit();
        assertThat(four).isCloseTo(one / 2, within(1e-9));
    }
}
