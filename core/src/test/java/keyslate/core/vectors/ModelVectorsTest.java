package keyslate.core.vectors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import keyslate.core.quantity.QuantityException;
import keyslate.core.vectors.ModelVectors.Row;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/** Every vector of the model. */
class ModelVectorsTest {
    static Stream<Row> values() {
        return ModelVectors.all().stream().filter(r -> r.error().isEmpty());
    }

    static Stream<Row> errors() {
        return ModelVectors.all().stream().filter(r -> !r.error().isEmpty());
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("values")
    void givesTheValueOfTheTable(Row row) {
        Object found = Adapters.ALL.get(row.function()).apply(row);
        compare(row, row.id(), found, row.expect());
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("errors")
    void refusesWithTheErrorOfTheTable(Row row) {
        assertThatThrownBy(() -> Adapters.ALL.get(row.function()).apply(row))
                .isInstanceOfSatisfying(
                        QuantityException.class,
                        e -> assertThat(e.kind().code()).isEqualTo(row.error()));
    }

    @Test
    void everyFunctionOfTheModelHasCode() {
        assertThat(ModelVectors.all()).hasSize(605);
        assertThat(ModelVectors.all()).extracting(Row::function).allMatch(Adapters.ALL::containsKey);
    }

    private static void compare(Row row, String at, Object found, JsonNode expected) {
        if (expected.isObject()) {
            Map<?, ?> map = (Map<?, ?>) found;
            for (Map.Entry<String, JsonNode> e : expected.properties()) {
                assertThat(map.containsKey(e.getKey()))
                        .as(at + "." + e.getKey())
                        .isTrue();
                compare(row, at + "." + e.getKey(), map.get(e.getKey()), e.getValue());
            }
        } else if (expected.isArray()) {
            List<?> list = List.copyOf((Collection<?>) found);
            assertThat(list).as(at).hasSize(expected.size());
            for (int i = 0; i < list.size(); i++) {
                compare(row, at + "[" + i + "]", list.get(i), expected.get(i));
            }
        } else if (expected.isNumber()) {
            double number = ((Number) found).doubleValue();
            assertThat(row.close(number, expected.asDouble()))
                    .as("%s: expected %s, found %s", at, expected.asDouble(), number)
                    .isTrue();
        } else if (expected.isNull()) {
            assertThat(found).as(at).isNull();
        } else {
            assertThat(String.valueOf(found)).as(at).isEqualTo(expected.asString());
        }
    }
}
