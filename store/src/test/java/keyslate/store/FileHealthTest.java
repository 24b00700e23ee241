package keyslate.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.sqlite.SQLiteDataSource;

class FileHealthTest {
    private static final int PAGE = 4096;

    @TempDir
    private Path folder;

    @Test
    void aFileAsItWasWrittenIsSound() {
        assertThat(FileHealth.damage(written())).isEmpty();
    }

    @Test
    void aPageThatWasOverwrittenIsFound() throws IOException {
        Path file = written();
        byte[] bytes = Files.readAllBytes(file);
        for (int i = 3 * PAGE; i < 4 * PAGE; i++) {
            bytes[i] = (byte) 0x5A;
        }
        Files.write(file, bytes);
        assertThat(FileHealth.damage(file)).isPresent();
    }

    @Test
    void whatIsNoDataFileIsSaidToBeNone() throws IOException {
        Path file = Files.writeString(folder.resolve("notes.db"), "Developer mixed on Monday.".repeat(100));
        assertThat(FileHealth.damage(file))
                .hasValueSatisfying(words -> assertThat(words).contains("not a database"));
    }

    @Test
    void aRowThatPointsAtNothingIsFound() {
        Path file = written();
        SQLiteDataSource careless = new SQLiteDataSource();
        careless.setUrl("jdbc:sqlite:" + file);
        JdbcClient.create(careless)
                .sql("INSERT INTO event (sheet_id, place, kind, happened_at) VALUES ('nobody', 1, 'GLANCE', '2026')")
                .update();
        assertThat(FileHealth.damage(file)).hasValue("rows point at nothing in [event]");
    }

    private Path written() {
        try (Database database = Database.open(folder)) {
            Samples.fill(database);
        }
        return folder.resolve(Database.FILE_NAME);
    }
}
