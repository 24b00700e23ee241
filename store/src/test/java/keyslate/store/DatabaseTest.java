package keyslate.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.junit.jupiter.api.Test;

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
        assertThat(rolls.rolls()).isEmpty();
    }

    @Test
    void aSnapshotSeesOneMoment() {
        RollRepository rolls = new RollRepository(database());
        int seen = database().inSnapshot(() -> {
            int before = rolls.rolls().size();
            Thread other = new Thread(() -> database().inTransaction(() -> rolls.add(roll("1"))));
            other.start();
            join(other);
            return before + rolls.rolls().size();
        });
        assertThat(seen).isZero();
        assertThat(rolls.rolls()).hasSize(1);
    }

    @Test
    void aSnapshotInsideATransactionSeesWhatItHasWritten() {
        RollRepository rolls = new RollRepository(database());
        int seen = database().inTransaction(() -> {
            rolls.add(roll("1"));
            return database().inSnapshot(() -> rolls.rolls().size());
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
        Roll huge = new Roll("2", "Roll 2", "x".repeat(200_000), 36, 24, "2026");
        assertThatThrownBy(() -> database().inTransaction(() -> rolls.add(huge)))
                .isInstanceOf(StorageException.class)
                .hasMessage("The disk is full. Free some space, then try again.");
        assertThat(rolls.rolls()).containsExactly(roll("1"));
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
    void everythingIsThereAfterReopening() {
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
        assertThat(new RollRepository(database()).pictureBytes("pic").orElseThrow())
                .containsExactly(1, 2, 3);
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
        List<String> ids =
                new RollRepository(database()).rolls().stream().map(Roll::id).toList();
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
                    database.inTransaction(() -> rolls.add(new Roll(id, id, "x".repeat(5000), 36, 24, "2026")));
                }
                System.out.println(id);
            }
        }
    }

    private static Roll roll(String id) {
        return new Roll(id, "Roll " + id, "made-up 100", 36, 24, "2026-01-02T03:04:05Z");
    }

    private static void join(Thread thread) {
        try {
            thread.join();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
