package keyslate.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import keyslate.core.contrast.GradeFilter;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A light is written down and read back. */
class LightTest {
    @ParameterizedTest
    @EnumSource(GradeFilter.class)
    void everyFilterIsReadBackFromItsNotation(GradeFilter filter) {
        Light light = Light.filter(filter);
        assertThat(Light.of(light.notation())).isEqualTo(light);
        assertThat(Light.of(filter.label())).isEqualTo(light);
        assertThat(light.toFilter()).isEqualTo(filter);
        assertThat(light.points()).isEmpty();
        assertThatThrownBy(light::toPack).isInstanceOf(QuantityException.class).hasMessageContaining("pack");
    }

    @ParameterizedTest
    @CsvSource({"0/47/52, 0/47/52", "' 0 / 47,5 / 52.0 ', 0/47.5/52", "0/0/0, 0/0/0", "10/200/130.04, 10/200/130"})
    void aPackIsWrittenAsItIsSet(String typed, String notation) {
        Light light = Light.of(typed);
        assertThat(light.notation()).isEqualTo(notation);
        assertThat(Light.of(light.notation()).notation()).isEqualTo(notation);
        assertThatThrownBy(light::toFilter)
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("filter");
    }

    @Test
    void aPackHasItsPoints() {
        assertThat(Light.dials(FilterPack.of(0, 47, 52)).points()).containsExactly(0.0, 47.0, 52.0);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "grade", "grade 6", "47/52", "0/47/5200", "0/-3/5", "magenta"})
    void whatIsNoLightIsRefused(String typed) {
        assertThatThrownBy(() -> Light.of(typed)).isInstanceOf(QuantityException.class);
    }
}
