package keyslate.server.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What went wrong and where, and not a word of anybody's. */
class LogFileTest {
    private static final Logger OWN = LoggerFactory.getLogger("keyslate.server.Something");
    private static final Logger FOREIGN = LoggerFactory.getLogger("org.example.Something");

    @TempDir
    private Path folder;

    private LogFile log;

    @BeforeEach
    void open() {
        log = new LogFile(folder.toString());
    }

    @AfterEach
    void close() {
        log.close();
    }

    @Test
    void anErrorIsWrittenWithItsClassAndItsPlaceButNotWithItsWords() throws IOException {
        RuntimeException error = new IllegalStateException("her note", new IOException("No space left on device"));
        OWN.error("Unexpected failure", error);
        FOREIGN.warn("cannot read 'her other note'");
        assertThat(text())
                .contains("ERROR Something: Unexpected failure")
                .contains("java.lang.IllegalStateException")
                .contains("java.io.IOException: No space left on device")
                .contains("LogFileTest.anErrorIsWritten")
                .contains("WARN Something")
                .doesNotContain("note");
    }

    @Test
    void itNeverGrowsBeyondItsLimitAndItsNewestLinesAreThere() throws IOException {
        String line = "x".repeat(10_000);
        for (int i = 0; i < 400; i++) {
            OWN.warn("{} {}", i, line);
        }
        assertThat(Files.size(folder.resolve("key-slate.log"))).isLessThan(1_200_000);
        assertThat(text()).hasSizeLessThan(2_400_000).contains("399 xxx");
        try (var files = Files.list(folder)) {
            assertThat(files).hasSizeLessThanOrEqualTo(2);
        }
    }

    private String text() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        log.copy(out);
        return out.toString(StandardCharsets.UTF_8);
    }
}
