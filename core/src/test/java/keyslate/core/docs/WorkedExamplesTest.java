package keyslate.core.docs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every worked example of {@code docs/formulas} comes out as it stands there. */
class WorkedExamplesTest {
    private static final Path PAGES = Path.of("..", "docs", "formulas");
    private static final Pattern ROW = Pattern.compile("\\| ([A-Z]{3}-\\d\\d) \\| (.+?) \\| (\\S+) \\|");
    private static final Pattern GIVEN =
            Pattern.compile("([a-z][a-z ]*?) (?:f/ )?(-?\\d[\\d.]*(?:/\\d+)?)(?: (?:s|stops?|mm|x|lx|%))?");

    private static final Map<String, ToDoubleFunction<Example>> FORMULAS = Stream.of(
                    ExposureExamples.formulas(),
                    SizeExamples.formulas(),
                    ContrastExamples.formulas(),
                    FilmExamples.formulas(),
                    LocalExamples.formulas(),
                    ProcessExamples.formulas(),
                    ColourExamples.formulas(),
                    ReadingExamples.formulas(),
                    CalibrationExamples.formulas(),
                    DarkroomExamples.formulas())
            .flatMap(family -> family.entrySet().stream())
            .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));

    @ParameterizedTest
    @MethodSource("examples")
    void comesOutAsItStandsThere(Example example) {
        ToDoubleFunction<Example> formula = FORMULAS.get(example.formula());
        assertThat(formula).as("code behind " + example.formula()).isNotNull();
        int point = example.answer().indexOf('.');
        int decimals = point < 0 ? 0 : example.answer().length() - point - 1;
        assertThat(formula.applyAsDouble(example))
                .isCloseTo(Double.parseDouble(example.answer()), within(0.5001 * Math.pow(10, -decimals)));
    }

    @Test
    void everyFormulaOnAPageHasAnExampleOrAReason() {
        Set<String> described = new HashSet<>();
        Set<String> shown = new HashSet<>();
        examples().forEach(e -> shown.add(e.formula()));
        for (Path page : pages()) {
            Matcher id = Pattern.compile("^- \\*\\*([A-Z]{3}-\\d\\d),", Pattern.MULTILINE)
                    .matcher(read(page));
            while (id.find()) {
                described.add(id.group(1));
            }
        }
        assertThat(described).containsAll(shown);
        described.removeAll(shown);
        // These act on pictures, charts and whole strips: the model's vectors and the laws of the packages test them.
        assertThat(described)
                .containsExactlyInAnyOrder(
                        "LOC-09", "LOC-10", "LOC-11", "DRK-03", "REA-01", "REA-02", "REA-04", "REA-06", "REA-08",
                        "REA-09", "REA-10", "REA-11", "REA-18", "REA-19", "REA-20", "REA-21", "REA-23", "DRK-12",
                        "DRK-06", "DRK-07", "DRK-08", "DRK-09", "DRK-10", "FLM-06", "FLM-07", "FLM-08", "CAL-02",
                        "DRK-11", "COL-16", "COL-20", "COL-23", "COL-25", "COL-26");
    }

    static Stream<Example> examples() {
        return pages().stream()
                .flatMap(page -> ROW.matcher(read(page)).results().map(row -> {
                    Map<String, Double> given = new LinkedHashMap<>();
                    for (String part : row.group(2).split(", ")) {
                        Matcher one = GIVEN.matcher(part);
                        if (!one.matches()) {
                            throw new AssertionError("cannot read “" + part + "” in " + page);
                        }
                        given.merge(one.group(1), number(one.group(2)), (a, b) -> b);
                        if (one.group(1).equals("by")) {
                            given.remove("by");
                            given.put("by " + given.size(), number(one.group(2)));
                        }
                    }
                    return new Example(page.getFileName().toString(), row.group(1), given, row.group(3));
                }));
    }

    private static double number(String text) {
        String[] parts = text.split("/");
        return Double.parseDouble(parts[0]) / (parts.length > 1 ? Double.parseDouble(parts[1]) : 1);
    }

    private static List<Path> pages() {
        try (Stream<Path> files = Files.list(PAGES)) {
            return files.filter(f -> f.toString().endsWith(".md")).sorted().toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String read(Path page) {
        try {
            return Files.readString(page);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
