package keyslate.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import keyslate.store.Backups.Backup;
import keyslate.store.Backups.Restored;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A copy is whole whoever writes meanwhile, and comes back without anything being overwritten. */
class BackupsTest extends StoreTest {
    private static final Instant NOON = Instant.parse("2026-03-04T12:00:00Z");

    @TempDir
    private Path elsewhere;

    @BeforeEach
    void fill() {
        Samples.fill(database());
    }

    @Test
    void aCopyThatIsMadeWhileOthersWriteHoldsWhatWasAcknowledgedBefore() throws InterruptedException {
        RollRepository rolls = new RollRepository(database());
        AtomicInteger acknowledged = new AtomicInteger();
        Thread writer = new Thread(() -> {
            for (int i = 0; i < 400; i++) {
                int number = i;
                database().inTransaction(() -> rolls.add(roll("roll " + number)));
                acknowledged.set(i + 1);
            }
        });
        writer.start();
        for (int i = 0; i < 4; i++) {
            int before = acknowledged.get();
            Backup backup = Backups.make(database().file(), elsewhere, NOON.plusSeconds(i), false);
            assertThat(FileHealth.damage(backup.file())).isEmpty();
            int copied = Alone.with(
                    backup.file(),
                    sql -> sql.sql("SELECT count(*) FROM roll")
                            .query(Integer.class)
                            .single());
            assertThat(copied).isBetween(1 + before, 1 + 400);
        }
        writer.join();
        assertThat(acknowledged).hasValue(400);
        assertThat(names(elsewhere)).hasSize(4).noneMatch(n -> n.endsWith(".part"));
    }

    @Test
    void onlyThoseMadeByThemselvesGoAndTheNewestStay() {
        for (int day = 0; day < 5; day++) {
            Backups.make(database().file(), elsewhere, NOON.plus(Duration.ofDays(day)), day != 1);
        }
        Backups.thin(elsewhere, database().file(), 2);
        List<Backup> left = Backups.in(elsewhere, database().file());
        assertThat(left)
                .extracting(Backup::madeAt)
                .containsExactly(
                        NOON.plus(Duration.ofDays(4)), NOON.plus(Duration.ofDays(3)), NOON.plus(Duration.ofDays(1)));
        assertThat(left).extracting(Backup::byItself).containsExactly(true, true, false);
        assertThat(left).allSatisfy(b -> assertThat(b.bytes()).isPositive());
    }

    @Test
    void otherFilesInTheFolderAreNoBackups() throws IOException {
        Files.writeString(elsewhere.resolve("key-slate-auto-yesterday.db"), "");
        Files.writeString(elsewhere.resolve("key-slate.db"), "");
        Files.writeString(elsewhere.resolve("practice-auto-2026-03-04-120000-000.db"), "");
        assertThat(Backups.in(elsewhere, database().file())).isEmpty();
        assertThat(Backups.in(elsewhere.resolve("none"), database().file())).isEmpty();
        Backups.thin(elsewhere, database().file(), 1);
        assertThat(names(elsewhere)).hasSize(3);
    }

    @Test
    void whatCannotBeWrittenIsSaidAndLeavesNothing() {
        assertThatThrownBy(() -> Backups.make(database().file(), Path.of("/proc/self"), NOON, false))
                .isInstanceOf(StorageException.class);
        Backups.make(database().file(), elsewhere, NOON, false);
        assertThatThrownBy(() -> Backups.make(database().file(), elsewhere, NOON, false))
                .hasMessageContaining("this very moment");
    }

    @Test
    void aBackupComesBackAndWhatWasThereStaysBesideIt() throws IOException {
        Backup backup = Backups.make(database().file(), elsewhere, NOON, false);
        database().inTransaction(() -> new RollRepository(database()).add(roll("later")));
        database().close();
        Restored back = Backups.restore(backup.file(), folder(), Database.FILE_NAME, NOON);
        assertThat(back.slates()).isEqualTo(1);
        assertThat(back.sheets()).isEqualTo(1);
        reopen();
        assertThat(rollIds(folder().resolve(Database.FILE_NAME))).containsExactly("r");
        assertThat(rollIds(back.aside().orElseThrow())).containsExactlyInAnyOrder("r", "later");
        assertThat(backup.file()).exists();
    }

    @Test
    void aBackupComesBackIntoAnEmptyFolder() {
        Backup backup = Backups.make(database().file(), elsewhere, NOON, false);
        Path fresh = elsewhere.resolve("fresh");
        assertThat(fresh.toFile().mkdir()).isTrue();
        assertThat(Backups.restore(backup.file(), fresh, Database.FILE_NAME, NOON)
                        .aside())
                .isEmpty();
        try (Database again = Database.open(fresh)) {
            assertThat(new RollRepository(again).count(false)).isEqualTo(1);
        }
    }

    @Test
    void aFolderInUseADamagedAForeignAndANewerFileAreRefused() throws IOException {
        Backup backup = Backups.make(database().file(), elsewhere, NOON, false);
        assertRefused(backup.file(), Database.FILE_NAME, "open in another Key Slate");
        database().close();
        assertRefused(backup.file(), Database.PRACTICE_FILE_NAME, "of one's own");
        assertRefused(Files.writeString(elsewhere.resolve("text"), "no data file"), Database.FILE_NAME, "damaged");
        assertRefused(elsewhere.resolve("none").resolve("none"), Database.FILE_NAME, "damaged");
        Path foreign = elsewhere.resolve("foreign.db");
        Alone.with(foreign, sql -> sql.sql("CREATE TABLE other (id TEXT)").update());
        assertRefused(foreign, Database.FILE_NAME, "no Key Slate data file");
        Path newer = Files.copy(backup.file(), elsewhere.resolve("newer.db"));
        Alone.with(
                newer,
                sql -> sql.sql("INSERT INTO flyway_schema_history (installed_rank, version, description, type,"
                                + " script, checksum, installed_by, execution_time, success) VALUES (99, '99', 'later', 'SQL',"
                                + " 'V99__later.sql', 1, 'x', 1, 1)")
                        .update());
        assertRefused(newer, Database.FILE_NAME, "newer Key Slate");
        Path cut = elsewhere.resolve("cut.db");
        byte[] half = Files.readAllBytes(backup.file());
        Files.write(cut, java.util.Arrays.copyOf(half, half.length / 2));
        assertRefused(cut, Database.FILE_NAME, "damaged");
        reopen();
        assertThat(rollIds(folder().resolve(Database.FILE_NAME))).containsExactly("r");
        assertThat(names(folder())).noneMatch(n -> n.contains("before-restore") || n.endsWith(".part"));
    }

    @Test
    void aBackupOfThePracticeDarkroomGoesBackThereOnly() throws IOException {
        Path practice = Files.createDirectory(elsewhere.resolve("practice"));
        Backup backup;
        try (Database open = Database.open(practice, Database.PRACTICE_FILE_NAME)) {
            backup = Backups.make(open.file(), elsewhere, NOON, false);
        }
        assertThatThrownBy(() -> Backups.restore(backup.file(), practice, Database.FILE_NAME, NOON))
                .hasMessageContaining("Add --demo");
        assertThat(Backups.restore(backup.file(), practice, Database.PRACTICE_FILE_NAME, NOON)
                        .slates())
                .isZero();
    }

    private void assertRefused(Path from, String name, String why) {
        assertThatThrownBy(() -> Backups.restore(from, folder(), name, NOON))
                .isInstanceOf(StorageException.class)
                .hasMessageContaining(why);
    }

    private static List<String> rollIds(Path file) {
        return Alone.with(
                file, sql -> sql.sql("SELECT id FROM roll").query(String.class).list());
    }

    private static List<String> names(Path folder) {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(f -> f.getFileName().toString()).toList();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static Roll roll(String id) {
        return new Roll(id, "Roll " + id, "made-up 100", "MONOCHROME", 36, 24, 6, false, "2026-01-02T03:04:05Z", null);
    }
}
