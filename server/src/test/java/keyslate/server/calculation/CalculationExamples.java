package keyslate.server.calculation;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The examples of docs/calculations.md: under each heading a request and its answer. */
final class CalculationExamples {
    private static final Path PAGE = Path.of("../docs/calculations.md");
    private static final Pattern EXAMPLE = Pattern.compile(
            "^### (\\S+)\\n\\n([^\\n]+)\\.\\n\\n```json\\n([^\\n]+)\\n```\\n\\n```json\\n([^\\n]+)\\n```",
            Pattern.MULTILINE);

    private CalculationExamples() {}

    /** One example; it prints as its noun. */
    record Example(String noun, String says, String request, JsonNode answer) {
        String path() {
            return "/api/calculations/" + noun;
        }

        @Override
        public String toString() {
            return noun;
        }
    }

    /** For {@code @MethodSource}. */
    static Stream<Example> all() {
        return list().stream();
    }

    static List<Example> list() {
        try {
            return EXAMPLE.matcher(Files.readString(PAGE))
                    .results()
                    .map(m -> new Example(
                            m.group(1),
                            m.group(2),
                            m.group(3),
                            JsonMapper.shared().readTree(m.group(4))))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
