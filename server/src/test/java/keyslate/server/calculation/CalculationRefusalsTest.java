package keyslate.server.calculation;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import keyslate.server.calculation.CalculationExamples.Example;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every field of every calculation with everything that does not belong there: a problem document or an answer of
 * numbers, never a failure.
 */
class CalculationRefusalsTest extends ApplicationTest {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    private static final List<JsonNode> WRONG = List.of(
            NODES.nullNode(),
            NODES.stringNode("NaN"),
            NODES.stringNode("a dozen"),
            NODES.numberNode(-1),
            NODES.numberNode(0),
            NODES.numberNode(-0.0),
            NODES.numberNode(1e308),
            NODES.numberNode(-1e308),
            NODES.numberNode(1e-308),
            NODES.numberNode(123456789),
            NODES.booleanNode(true),
            NODES.arrayNode(),
            NODES.objectNode());

    private static final Set<String> NAMES = Set.of("name", "held", "leaves", "rest");

    @ParameterizedTest
    @MethodSource("keyslate.server.calculation.CalculationExamples#all")
    void whatDoesNotBelongThereIsRefusedWithAProblemDocument(Example example) {
        List<ObjectNode> requests = new ArrayList<>();
        JsonNode valid = JsonMapper.shared().readTree(example.request());
        spoil(valid, valid, requests::add);
        for (ObjectNode request : requests) {
            Answer answer = http().send("POST", example.path(), request.toString());
            if (answer.status() == 200) {
                assertNumbers(example + " " + request, answer.json());
            } else {
                assertThat(answer.status()).as(example + " " + request).isIn(400, 422);
                assertThat(answer.headers().get("content-type")).contains("application/problem+json");
                assertThat(answer.json().get("detail").asString()).isNotBlank();
            }
        }
    }

    @ParameterizedTest
    @MethodSource("keyslate.server.calculation.CalculationExamples#all")
    void nothingAtAllIsRefused(Example example) {
        assertThat(http().send("POST", example.path(), "{}").status()).isEqualTo(422);
        assertThat(http().send("POST", example.path(), "null").status()).isEqualTo(400);
        assertThat(http().send("POST", example.path(), "{\"seconds\": ").status())
                .isEqualTo(400);
        assertThat(http().send("POST", example.path(), "[1]").status()).isEqualTo(422);
    }

    @Test
    void everyWrongFieldIsNamedAtOnceWithItsCode() {
        Answer answer = http().post(
                        "/api/calculations/size-change",
                        Map.of(
                                "seconds", -3,
                                "fromMagnification", 0,
                                "toMagnification", 900,
                                "fromFNumber", 8,
                                "toFNumber", 8));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.pointers()).containsExactlyInAnyOrder("/seconds", "/fromMagnification", "/toMagnification");
        assertThat(answer.json().get("errors").findValuesAsString("code"))
                .containsExactlyInAnyOrder("E_NONPOS", "E_NONPOS", "E_RANGE");
    }

    @Test
    void aCalculationThatDoesNotExistAndAWrongMethodHaveCodes() {
        Answer unknown = http().post("/api/calculations/alchemy", Map.of("lead", 1));
        assertThat(unknown.status()).isEqualTo(404);
        assertThat(unknown.code()).isEqualTo("not-found");
        assertThat(unknown.json().get("detail").asString()).isEqualTo("There is nothing at this address.");
        assertThat(http().get("/api/calculations/dilution").code()).isEqualTo("method-not-allowed");
    }

    @Test
    void anEntryOfAListIsNamedByItsPlace() {
        Answer answer =
                http().post("/api/calculations/strip-pick", Map.of("totalsSeconds", List.of(5, -7, 10), "place", 1));
        assertThat(answer.pointers()).containsExactly("/totalsSeconds/1");
    }

    /** What the description calls a range is in force: beyond it every field is refused. */
    @ParameterizedTest
    @MethodSource("keyslate.server.calculation.CalculationExamples#all")
    void aDescribedRangeIsInForce(Example example) throws IOException {
        JsonNode api = JsonMapper.shared().readTree(Files.readString(Path.of("../openapi.json")));
        String schema = api.at("/paths/" + example.path().replace("/", "~1")
                        + "/post/requestBody/content/application~1json/schema/$ref")
                .asString()
                .replaceFirst(".*/", "");
        JsonNode fields = api.get("components").get("schemas").get(schema).get("properties");
        ObjectNode valid = (ObjectNode) JsonMapper.shared().readTree(example.request());
        for (Map.Entry<String, JsonNode> field : fields.properties()) {
            if (!field.getValue().has("maximum") || !valid.has(field.getKey())) {
                continue;
            }
            double most = field.getValue().get("maximum").asDouble();
            double least = field.getValue().get("minimum").asDouble();
            for (double beyond : new double[] {most + 0.5 + most / 1e3, least - 0.5}) {
                ObjectNode request = valid.deepCopy().put(field.getKey(), beyond);
                assertThat(http().send("POST", example.path(), request.toString())
                                .status())
                        .as(example + " " + field.getKey() + " " + beyond)
                        .isEqualTo(422);
            }
        }
    }

    /** A script's slip is not made into something else. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "lamp-lag | {\"bursts\": 2.9, \"burstSeconds\": 1, \"singleSeconds\": 2}",
                "lamp-lag | {\"bursts\": 4, \"bursts\": 5, \"burstSeconds\": 1, \"singleSeconds\": 3}",
                "lamp-lag | {\"bursts\": 4, \"burstSeconds\": \"1\", \"singleSeconds\": 3}",
                "lamp-lag | {\"bursts\": 4, \"burstSeconds\": \"\", \"singleSeconds\": 3}",
                "lamp-lag | {\"bursts\": 4, \"burstSeconds\": 1, \"singleSeconds\": 3} {}",
                "cast-correction | {\"cast\": 1, \"points\": 5, \"process\": \"NEGATIVE\", \"way\": \"ADD\"}",
                "cast-correction | {\"cast\": \"\", \"points\": 5, \"process\": \"NEGATIVE\", \"way\": \"ADD\"}"
            })
    void nothingIsCutOrTakenForSomethingElse(String noun, String request) {
        assertThat(http().send("POST", "/api/calculations/" + noun, request).status())
                .isIn(400, 422);
    }

    @ParameterizedTest
    @ValueSource(strings = {"NaN", "Infinity", "ten"})
    void textIsNoNumber(String text) {
        Answer answer = http().post("/api/calculations/lamp-light", Map.of("setSeconds", text));
        assertThat(answer.status()).isEqualTo(422);
    }

    @Test
    void aChoiceThatDoesNotExistNamesThoseThatDo() {
        Answer answer = http().post(
                        "/api/calculations/cast-correction",
                        Map.of("cast", "purple", "points", 5, "process", "NEGATIVE", "way", "ADD"));
        assertThat(answer.json().get("detail").asString()).contains("one of R, Y, G, C, B, M");
    }

    @Test
    void whatNoSettingReachesIsSaidOfTheWholeRequest() {
        Answer answer = http().post(
                        "/api/calculations/split", Map.of("grade", 5, "seconds", 10, "softGrade", 0, "hardGrade", 4));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.json().get("errors").findValuesAsString("code")).containsExactly("E_INFEASIBLE");
        assertThat(answer.pointers()).containsExactly("");
    }

    /** Puts each wrong value into each place of a request, one at a time; leaves a field out, and lengthens a list. */
    private static void spoil(JsonNode whole, JsonNode part, Consumer<ObjectNode> to) {
        if (part instanceof ObjectNode object) {
            List.copyOf(object.propertyNames()).forEach(name -> {
                JsonNode was = object.get(name);
                WRONG.forEach(wrong -> {
                    object.set(name, wrong);
                    to.accept((ObjectNode) whole.deepCopy());
                });
                object.remove(name);
                to.accept((ObjectNode) whole.deepCopy());
                object.set(name, was);
                spoil(whole, was, to);
            });
        } else if (part instanceof ArrayNode array && !array.isEmpty()) {
            JsonNode was = array.get(0);
            WRONG.forEach(wrong -> {
                array.set(0, wrong);
                to.accept((ObjectNode) whole.deepCopy());
            });
            array.set(0, was);
            spoil(whole, was, to);
            ArrayNode longer = array.deepCopy();
            for (int i = 0; i < 200; i++) {
                array.add(was.deepCopy());
            }
            to.accept((ObjectNode) whole.deepCopy());
            array.removeAll();
            array.addAll(longer);
        }
    }

    /**
     * JSON has no NaN: a number that is none would stand there as text. Names are the user's own and may be anything.
     */
    private static void assertNumbers(String as, JsonNode answer) {
        if (answer.isString()) {
            assertThat(answer.asString()).as(as).isNotIn("NaN", "Infinity", "-Infinity");
        } else if (answer.isObject()) {
            answer.propertyStream()
                    .filter(p -> !NAMES.contains(p.getKey()))
                    .forEach(p -> assertNumbers(as, p.getValue()));
        } else {
            answer.forEach(part -> assertNumbers(as, part));
        }
    }
}
