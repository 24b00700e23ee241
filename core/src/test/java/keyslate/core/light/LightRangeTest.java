package keyslate.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LightRangeTest {
    @ParameterizedTest
    @CsvSource({
        "grade 2, grade 3, grade 2½, true",
        "grade 3, grade 2, grade 2, true",
        "grade 2, grade 3, grade 3½, false",
        "grade 00, grade 1, grade 0, true",
        "0/40/40, 0/60/60, 0/52/47, true",
        "0/60/40, 0/40/60, 0/60/60, true",
        "0/40/40, 0/60/60, 0/52/61, false",
        "0/40/40, 0/60/60, 5/52/47, false",
        "grade 2, grade 3, 0/52/47, false"
    })
    void containsWhatLiesBetween(String from, String to, String light, boolean contained) {
        assertThat(new LightRange(Light.of(from), Light.of(to)).contains(Light.of(light)))
                .isEqualTo(contained);
    }

    @Test
    void isOfOneKind() {
        assertThatThrownBy(() -> new LightRange(Light.of("grade 2"), Light.of("0/40/40")))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("one of each");
    }
}
