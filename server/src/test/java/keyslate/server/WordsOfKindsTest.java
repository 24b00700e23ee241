package keyslate.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A kind of sheet, of paper or of light is a part and no word: nobody asks for it by comparing text. */
class WordsOfKindsTest {
    private static final String KIND = "\"(STRIP|PRINT|MONOCHROME|COLOUR|SWITCHED|MY_TIMER|BURNS|grade [^\"]*)\"";
    private static final Pattern COMPARED = Pattern.compile(
            KIND + "\\.equals|equals\\(" + KIND + "|case " + KIND + "|[!=]= " + KIND + "|startsWith\\(" + KIND);

    @Test
    void noneIsComparedInServerOrStore() throws IOException {
        List<String> found = Stream.of("src/main/java", "../store/src/main/java")
                .flatMap(WordsOfKindsTest::sources)
                .flatMap(file -> lines(file).stream()
                        .filter(line -> COMPARED.matcher(line).find())
                        .map(line -> file + ": " + line.strip()))
                .toList();
        assertThat(found).isEmpty();
        assertThat(COMPARED.matcher("if (\"STRIP\".equals(kind))").find()).isTrue();
    }

    private static Stream<Path> sources(String folder) {
        try (Stream<Path> files = Files.walk(Path.of(folder))) {
            return files.filter(f -> f.toString().endsWith(".java")).toList().stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static List<String> lines(Path file) {
        try {
            return Files.readAllLines(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
