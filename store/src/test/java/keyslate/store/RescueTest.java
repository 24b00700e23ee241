package keyslate.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A damaged file is said to be so before it is opened, and what can be read of it is saved into a sound one. */
class RescueTest extends StoreTest {
    private static final int SLATES = 60;
    private static final int PAGE = 4096;

    @BeforeEach
    void fill() {
        Samples.fill(database());
        database().inTransaction(() -> {
            for (int i = 0; i < SLATES - 1; i++) {
                slate(Integer.toString(i));
            }
        });
        database().close();
    }

    private void slate(String id) {
        insert("slate", Map.of("id", "s" + id, "recipe_id", "c" + id));
        insert("recipe", Map.of("id", "c" + id, "slate_id", "s" + id, "intent", "x".repeat(300)));
        insert("base_part", Map.of("recipe_id", "c" + id));
        insert("sheet", Map.of("id", "t" + id, "slate_id", "s" + id, "recipe_id", "c" + id));
        for (String table : List.of("piece", "step", "lamp", "event", "scan")) {
            insert(table, Map.of("sheet_id", "t" + id));
        }
    }

    private void insert(String table, Map<String, Object> changed) {
        Samples.insert(database(), table, new HashMap<>(changed));
    }

    @Test
    void aSoundFileOpensAndNothingIsWrittenBesideIt() {
        reopen();
        assertThat(rescued()).doesNotExist();
    }

    @Test
    void pagesOverwrittenAnywhereAreFoundAndTheRestIsSaved() throws IOException {
        byte[] sound = Files.readAllBytes(file());
        Random random = new Random(7);
        int found = 0;
        for (int round = 0; round < 25; round++) {
            Files.write(file(), sound);
            overwrite(1 + random.nextInt(sound.length / PAGE - 1), random);
            found += refused() ? 1 : 0;
        }
        // The rest hit pages of indexes of pictures, or free ones.
        assertThat(found).isGreaterThan(15);
    }

    @Test
    void aFileCutAnywhereIsFoundAndTheRestIsSaved() throws IOException {
        byte[] sound = Files.readAllBytes(file());
        Random random = new Random(8);
        for (int round = 0; round < 15; round++) {
            Files.write(file(), Arrays.copyOf(sound, 1 + random.nextInt(sound.length - 1)));
            assertThat(refused()).as("round %d", round).isTrue();
        }
    }

    @Test
    void whatIsSavedCanBePutInItsPlace() throws IOException {
        overwrite(pageOf("sheet"), new Random(1));
        assertThatThrownBy(() -> Database.open(folder()))
                .isInstanceOf(StorageException.class)
                .hasMessageContaining("is damaged")
                .hasMessageContaining("What can be read lies in")
                .hasMessageContaining("of " + SLATES + " slates")
                .hasMessageContaining("./slate restore --from");
        byte[] damaged = Files.readAllBytes(file());
        Backups.Restored back = Backups.restore(rescued(), folder(), Database.FILE_NAME, Instant.EPOCH);
        assertThat(back.slates()).isEqualTo(SLATES);
        assertThat(Files.readAllBytes(back.aside().orElseThrow())).isEqualTo(damaged);
        reopen();
        assertThat(count("slate")).isEqualTo(SLATES);
        // The rules that keep what was exposed are in force again.
        assertThatThrownBy(() -> database()
                        .inTransaction(() -> database()
                                .sql()
                                .sql("UPDATE recipe SET intent = 'other'")
                                .update()))
                .hasMessageContaining("never");
    }

    @Test
    void theNewestBackupIsNamed() throws IOException {
        Path backups = Files.createDirectory(folder().resolve(Backups.USUAL_FOLDER));
        Path copy = backups.resolve("key-slate-auto-2026-03-04-120000-000.db");
        Files.copy(file(), copy);
        overwrite(1, new Random(1));
        assertThatThrownBy(() -> Database.open(folder())).hasMessageContaining(copy.toString());
    }

    @Test
    void aFileThatIsNoneIsSaidToBe() throws IOException {
        Files.write(
                file(),
                "not a data file at all, but long enough to look like one "
                        .repeat(200)
                        .getBytes());
        assertThatThrownBy(() -> Database.open(folder()))
                .isInstanceOf(StorageException.class)
                .hasMessageContaining("is damaged");
    }

    /** Whether the file is refused; what was saved of it is then sound and opens. */
    private boolean refused() throws IOException {
        try {
            Database.open(folder()).close();
            return false;
        } catch (StorageException e) {
            assertThat(e).hasMessageContaining("is damaged");
            if (!e.getMessage().contains("Nothing of it can be read")) {
                assertThat(FileHealth.damage(rescued())).isEmpty();
                Path place = Files.createTempDirectory(folder(), "place");
                Files.copy(rescued(), place.resolve(Database.FILE_NAME));
                Database.open(place).close();
            }
            return true;
        }
    }

    private int pageOf(String table) {
        return Alone.with(
                file(),
                sql -> sql.sql("SELECT rootpage FROM sqlite_schema WHERE name = ?")
                        .param(table)
                        .query(Integer.class)
                        .single());
    }

    private void overwrite(int page, Random random) throws IOException {
        byte[] noise = new byte[PAGE];
        random.nextBytes(noise);
        try (FileChannel channel = FileChannel.open(file(), StandardOpenOption.WRITE)) {
            channel.write(ByteBuffer.wrap(noise), (page - 1L) * PAGE);
        }
    }

    private int count(String table) {
        return database()
                .sql()
                .sql("SELECT count(*) FROM " + table)
                .query(Integer.class)
                .single();
    }

    private Path file() {
        return folder().resolve(Database.FILE_NAME);
    }

    private Path rescued() {
        return folder().resolve("key-slate.rescued.db");
    }
}
