package keyslate.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.Random;
import keyslate.store.negative.Picture;
import keyslate.store.negative.PictureRepository;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataIntegrityViolationException;

/** All or nothing, one moment at a time, nothing acknowledged is lost, and trouble is said in plain words. */
class DatabaseTest extends StoreTest {
    @Test
    void aFailureInTheMiddleLeavesNothing() {
        RollRepository rolls = new RollRepository(database());
        assertThatThrownBy(() -> database().inTransaction(() -> {
                    rolls.add(roll("1"));
                    throw new IllegalStateException("in the middle");
                }))
                .hasMessage("in the middle");
        assertThat(rolls.first(false, 99)).isEmpty();
    }

    @Test
    void aSnapshotSeesOneMoment() {
        RollRepository rolls = new RollRepository(database());
        int seen = database().inSnapshot(() -> {
            int before = rolls.first(false, 99).size();
            Thread other = new Thread(() -> database().inTransaction(() -> rolls.add(roll("1"))));
            other.start();
            join(other);
            return before + rolls.first(false, 99).size();
        });
        assertThat(seen).isZero();
        assertThat(rolls.first(false, 99)).hasSize(1);
    }

    @Test
    void aSnapshotInsideATransactionSeesWhatItHasWritten() {
        RollRepository rolls = new RollRepository(database());
        int seen = database().inTransaction(() -> {
            rolls.add(roll("1"));
            return database().inSnapshot(() -> rolls.first(false, 99).size());
        });
        assertThat(seen).isEqualTo(1);
    }

    @Test
    void aReaderCannotWrite() {
        assertThatThrownBy(() -> new RollRepository(database()).add(roll("1")))
                .isInstanceOf(StorageException.class)
                .hasMessageContaining("cannot be written");
    }

    @Test
    void aFullDiskIsSaidInPlainWordsAndLeavesWhatWas() {
        RollRepository rolls = new RollRepository(database());
        database().inTransaction(() -> rolls.add(roll("1")));
        database().inTransaction(() -> {
            int pages = database()
                    .sql()
                    .sql("PRAGMA page_count")
                    .query(Integer.class)
                    .single();
            database().sql().sql("PRAGMA max_page_count = " + pages).query().singleValue();
        });
        byte[] huge = new byte[200_000];
        Picture picture = new Picture("big", "image/png", Picture.SRGB_8, 9, 9, huge.length, true, false, null);
        PictureRepository pictures = new PictureRepository(database());
        PictureRepository.Working working = new PictureRepository.Working("image/png", huge);
        assertThatThrownBy(() ->
                        database().inTransaction(() -> pictures.add(picture, new ByteArrayInputStream(huge), working)))
                .isInstanceOf(StorageException.class)
                .hasMessage("The disk is full. Free some space, then try again.");
        assertThat(rolls.first(false, 99)).containsExactly(roll("1"));
    }

    @Test
    void aCommitThatFailsLeavesTheNextWriteFree() {
        Samples.fill(database());
        assertThatThrownBy(() -> database()
                        .inTransaction(
                                () -> Samples.insert(database(), "slate", Map.of("id", "other", "recipe_id", "none"))))
                .isInstanceOf(DataIntegrityViolationException.class);
        RollRepository rolls = new RollRepository(database());
        database().inTransaction(() -> rolls.add(roll("1")));
        assertThat(rolls.first(false, 99)).extracting(Roll::id).contains("1");
        assertThat(new SlateRepository(database()).find("other")).isEmpty();
    }

    /** The driver counts a transaction that could not begin: the next ones must be whole all the same. */
    @Test
    void aFileThatAnotherProgramWritesIsSaidToBeBusyAndTheNextTransactionIsWhole() throws SQLException {
        try (Connection other =
                        DriverManager.getConnection("jdbc:sqlite:" + database().file());
                Statement statement = other.createStatement()) {
            database().setForWriter("busy_timeout = 20");
            statement.execute("BEGIN IMMEDIATE");
            RollRepository rolls = new RollRepository(database());
            assertThatThrownBy(() -> database().inTransaction(() -> rolls.add(roll("1"))))
                    .isInstanceOf(StorageException.class)
                    .hasMessageContaining("Another program is writing");
            statement.execute("ROLLBACK");
            assertThatThrownBy(() -> database().inTransaction(() -> {
                        rolls.add(roll("2"));
                        throw new IllegalStateException("in the middle");
                    }))
                    .hasMessage("in the middle");
            assertThat(rolls.roll("2")).isEmpty();
            database().inTransaction(() -> rolls.add(roll("3")));
            assertThat(rolls.roll("3")).isPresent();
        }
    }

    @Test
    void aFolderIsOpenInOneProgramOnly() {
        assertThatThrownBy(() -> Database.open(folder()))
                .isInstanceOf(StorageException.class)
                .hasMessageContaining("open in another Key Slate");
        reopen();
    }

    @Test
    void aFileOfAPreviewIsRefusedWithTheWayOut() {
        database().inTransaction(() -> {
            database().sql().sql("CREATE TABLE burst (id TEXT)").update();
        });
        database().close();
        assertThatThrownBy(() -> Database.open(folder()))
                .isInstanceOf(StorageException.class)
                .hasMessageContaining("save each slate as a file at Keep");
    }

    @Test
    void aNewerFileIsLeftAsItIs() {
        database().inTransaction(() -> {
            database()
                    .sql()
                    .sql("INSERT INTO flyway_schema_history (installed_rank, version, description, type, script,"
                            + " checksum, installed_by, execution_time, success) VALUES (99, '99', 'later', 'SQL',"
                            + " 'V99__later.sql', 1, 'x', 1, 1)")
                    .update();
        });
        database().close();
        assertThatThrownBy(() -> Database.open(folder()))
                .isInstanceOf(StorageException.class)
                .hasMessageContaining("written by a newer Key Slate");
    }

    @Test
    void pictureFilesComeBackByteForByte() throws IOException {
        byte[] file = new byte[2 * PictureRepository.PART_BYTES + 17];
        new Random(1).nextBytes(file);
        PictureRepository pictures = new PictureRepository(database());
        Picture picture = new Picture("big", "image/jpeg", Picture.SRGB_8, 9, 9, file.length, true, false, null);
        database()
                .inTransaction(() -> pictures.add(
                        picture,
                        new ByteArrayInputStream(file),
                        new PictureRepository.Working("image/png", new byte[] {7})));
        try (InputStream in = pictures.open("big")) {
            assertThat(in.readAllBytes()).isEqualTo(file);
        }
        assertThat(pictures.find("big")).contains(picture);
        assertThat(pictures.working("big").orElseThrow().bytes()).containsExactly(7);
    }

    @Test
    void onlyOneOfTwoChangesOfTheSameVersionIsTaken() {
        Samples.fill(database());
        SlateRepository slates = new SlateRepository(database());
        Slate slate = slates.find("s").orElseThrow();
        assertThat(database().inTransaction(() -> slates.advance(slate))).isTrue();
        assertThat(database().inTransaction(() -> slates.advance(slate))).isFalse();
        assertThat(slates.find("s").orElseThrow().version()).isEqualTo(slate.version() + 1);
    }

    @Test
    void everythingIsThereAfterReopening() throws IOException {
        Samples.fill(database());
        reopen();
        for (String table : Samples.tables()) {
            assertThat(database()
                            .sql()
                            .sql("SELECT count(*) FROM " + table)
                            .query(Integer.class)
                            .single())
                    .as(table)
                    .isEqualTo(1);
        }
        try (InputStream file = new PictureRepository(database()).open("pic")) {
            assertThat(file.readAllBytes()).containsExactly(1, 2, 3);
        }
    }

    @Test
    void nothingAcknowledgedIsLostWhenTheProgramIsKilledWhileWriting() throws IOException {
        database().close();
        int acknowledged = 0;
        for (int round = 0; round < 3; round++) {
            acknowledged += writeUntilKilled(acknowledged);
        }
        reopen();
        assertThat(database()
                        .sql()
                        .sql("PRAGMA integrity_check")
                        .query(String.class)
                        .single())
                .isEqualTo("ok");
        List<String> ids = new RollRepository(database())
                .first(false, Integer.MAX_VALUE).stream().map(Roll::id).toList();
        for (int i = 0; i < acknowledged; i++) {
            assertThat(ids).contains("roll " + i);
        }
    }

    /** Runs {@link Writer} as a process of its own, kills it after some rows; how many it had acknowledged. */
    private int writeUntilKilled(int from) throws IOException {
        Process writer = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Writer.class.getName(),
                        folder().toString(),
                        Integer.toString(from))
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        int rows = 0;
        try (BufferedReader words = writer.inputReader()) {
            while (rows < 20 && words.readLine() != null) {
                rows++;
            }
            writer.toHandle().destroyForcibly();
            // What it had said by the time it died counts too.
            while (words.readLine() != null) {
                rows++;
            }
        }
        assertThat(rows).isGreaterThanOrEqualTo(20);
        writer.onExit().join();
        return rows;
    }

    /** Writes rolls for ever and says so after each. */
    static final class Writer {
        private Writer() {}

        public static void main(String[] args) {
            Database database = Database.open(Path.of(args[0]));
            RollRepository rolls = new RollRepository(database);
            for (int i = Integer.parseInt(args[1]); ; i++) {
                String id = "roll " + i;
                if (rolls.roll(id).isEmpty()) {
                    database.inTransaction(() ->
                            rolls.add(new Roll(id, id, "x".repeat(70), "MONOCHROME", 36, 24, 6, false, "2026", null)));
                }
                System.out.println(id);
            }
        }
    }

    private static Roll roll(String id) {
        return new Roll(id, "Roll " + id, "made-up 100", "MONOCHROME", 36, 24, 6, false, "2026-01-02T03:04:05Z", null);
    }

    private static void join(Thread thread) {
        try {
            thread.join();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
