package keyslate.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class TwoLampsTest {
    private static final ViewingLight WARM = new ViewingLight(2700);

    @Test
    void oneLampIsAsItself() {
        assertThat(TwoLamps.of(WARM, WARM, FilterSet.DICHROIC)).isEqualTo(new TwoLamps(0, 0));
    }

    @Test
    void thereAndBackCancel() {
        TwoLamps there = TwoLamps.of(ViewingLight.USUAL, WARM, FilterSet.DICHROIC);
        TwoLamps back = TwoLamps.of(WARM, ViewingLight.USUAL, FilterSet.DICHROIC);
        assertThat(there.magenta()).isCloseTo(-back.magenta(), within(1e-9)).isGreaterThan(0.3);
        assertThat(there.yellow()).isCloseTo(-back.yellow(), within(1e-9));
    }

    @Test
    void aLampChosenAfterAnotherLooksAsItDidBefore() {
        DyeImage grey = new DyeImage(new Layers(0.7, 0.7, 0.7));
        DyeImage.Appearance first = grey.in(WARM);
        grey.in(new ViewingLight(6500));
        assertThat(grey.in(WARM)).isEqualTo(first);
    }
}
