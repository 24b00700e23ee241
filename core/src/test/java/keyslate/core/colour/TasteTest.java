package keyslate.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;

class TasteTest {
    private static final FilterPack NEUTRAL = FilterPack.of(0, 52, 47);

    @Test
    void aRedderPrintHasLessOfBoth() {
        assertThat(Taste.of(Hue.R, 4).from(NEUTRAL)).isEqualTo(FilterPack.of(0, 48, 43));
        assertThat(Taste.of(Hue.G, 4).from(NEUTRAL)).isEqualTo(FilterPack.of(0, 56, 47));
        assertThat(Taste.of(Hue.Y, 4).from(NEUTRAL)).isEqualTo(FilterPack.of(0, 52, 43));
    }

    @Test
    void whatPleasesTellsTheTasteAndBackTheNeutral() {
        FilterPack pleasing = FilterPack.of(0, 49, 50);
        Taste taste = Taste.between(NEUTRAL, pleasing);
        assertThat(taste.from(NEUTRAL)).isEqualTo(pleasing);
        assertThat(taste.neutralOf(pleasing)).isEqualTo(NEUTRAL);
    }

    @Test
    void noDialGoesUnderZero() {
        FilterPack meant = Taste.of(Hue.R, 10).from(FilterPack.of(0, 4, 20));
        assertThat(meant).isEqualTo(FilterPack.of(6, 0, 16));
    }

    @Test
    void aQuarterPointIsNeutral() {
        assertThat(new Taste(0.25, -0.25).isNeutral()).isTrue();
        assertThat(new Taste(0, 1).isNeutral()).isFalse();
        assertThatThrownBy(() -> new Taste(0, 61)).isInstanceOf(QuantityException.class);
    }
}
