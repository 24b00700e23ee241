package keyslate.server.calculation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import keyslate.server.calculation.CalculationExamples.Example;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What docs/calculations.md shows is what the application answers, and all of it is there. */
class CalculationExamplesTest extends ApplicationTest {
    private static final Path FORMULAS = Path.of("../docs/formulas");

    @ParameterizedTest
    @MethodSource("keyslate.server.calculation.CalculationExamples#all")
    void anExampleAnswersAsThePageSays(Example example) {
        Answer answer = http().send("POST", example.path(), example.request());
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        ObjectNode found = (ObjectNode) answer.json();
        JsonNode understood = found.remove("understood");
        assertThat(found.remove("notes").isArray()).isTrue();
        assertSame("", found, example.answer());
        JsonNode asked = JsonMapper.shared().readTree(example.request());
        asked.propertyNames()
                .forEach(name -> assertThat(understood.has(name)).as(name).isTrue());
    }

    @Test
    void anAnswerSaysWhatWasAskedAsItWasUnderstood() {
        JsonNode answer = http().post(
                        "/api/calculations/strip-reading",
                        Map.of(
                                "filter",
                                " 2.5",
                                "totalsSeconds",
                                List.of(6.3, 7.9, 10, 12.6, 15.9),
                                "whitesAt",
                                2,
                                "blacksAt",
                                3))
                .json();
        assertThat(answer.get("understood").get("filter").asString()).isEqualTo("2½");
        assertThat(answer.get("understood").get("totalsSeconds").get(4).asDouble())
                .isEqualTo(15.9);
        assertThat(answer.get("notes").toString()).contains("“ 2.5” is understood as “2½”");
    }

    @Test
    void anAnswerNotesWhatItsReaderShouldKnow() {
        JsonNode end = http().post(
                        "/api/calculations/strip-pick", Map.of("totalsSeconds", List.of(5, 7, 10), "place", 2))
                .json();
        assertThat(end.get("notes").toString()).contains("an end of the strip");
        JsonNode middle = http().post(
                        "/api/calculations/strip-pick", Map.of("totalsSeconds", List.of(5, 7, 10), "place", 1))
                .json();
        assertThat(middle.get("notes").isEmpty()).isTrue();
    }

    @Test
    void everyCalculationHasAnExampleAndSaysTheSameInTheApisDescription() throws IOException {
        JsonNode paths = JsonMapper.shared()
                .readTree(Files.readString(Path.of("../openapi.json")))
                .get("paths");
        Set<String> described = paths.propertyStream()
                .map(p -> p.getKey())
                .filter(p -> p.startsWith("/api/calculations/"))
                .collect(Collectors.toCollection(TreeSet::new));
        assertThat(CalculationExamples.all().map(Example::path)).containsExactlyInAnyOrderElementsOf(described);
        CalculationExamples.all()
                .forEach(e -> assertThat(
                                paths.get(e.path()).get("post").get("summary").asString())
                        .isEqualTo(e.says()));
    }

    @Test
    void everyFormulaThatAnAnswerNamesStandsInTheDocumentation() throws IOException {
        String pages;
        try (Stream<Path> files = Files.list(FORMULAS)) {
            pages = files.map(CalculationExamplesTest::read).collect(Collectors.joining());
        }
        CalculationExamples.all()
                .flatMap(e -> e.answer().get("formulas").valueStream())
                .map(JsonNode::asString)
                .forEach(id -> assertThat(pages).contains("**" + id + ","));
    }

    private static String read(Path page) {
        try {
            return Files.readString(page);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Numbers as the page shows them, to four digits. */
    private static void assertSame(String at, JsonNode found, JsonNode shown) {
        if (shown.isNumber()) {
            double value = shown.asDouble();
            assertThat(found.asDouble()).as(at).isCloseTo(value, within(5e-4 * Math.abs(value) + 1e-8));
        } else if (shown.isObject()) {
            assertThat(found.propertyNames()).as(at).containsExactlyElementsOf(shown.propertyNames());
            shown.propertyStream().forEach(p -> assertSame(at + "/" + p.getKey(), found.get(p.getKey()), p.getValue()));
        } else if (shown.isArray()) {
            assertThat(found.size()).as(at).isEqualTo(shown.size());
            for (int i = 0; i < shown.size(); i++) {
                assertSame(at + "/" + i, found.get(i), shown.get(i));
            }
        } else {
            assertThat(found).as(at).isEqualTo(shown);
        }
    }
}
