package keyslate.store;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationState;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Whether a data file is of this program's time. */
final class FileAge {
    private FileAge() {}

    /** Refuses a file of a preview whose tables are others, and one that a newer program has written. */
    static void refuseForeign(DataSource source, Flyway flyway) {
        boolean preview = JdbcClient.create(source)
                        .sql("SELECT count(*) FROM sqlite_schema WHERE type = 'table' AND name = 'burst'")
                        .query(Integer.class)
                        .single()
                > 0;
        if (preview) {
            throw new StorageException(
                    "The file in this data folder was made by an early preview of Key Slate, whose tables this program does"
                            + " not know. Open it once more with that preview, save each slate as a file at Keep, then start"
                            + " this one with an empty folder (--data) and take the files in on the Bench.",
                    null);
        }
        boolean newer = Arrays.stream(flyway.info().applied())
                .map(MigrationInfo::getState)
                .anyMatch(s -> s == MigrationState.FUTURE_SUCCESS || s == MigrationState.FUTURE_FAILED);
        if (newer) {
            throw new StorageException(
                    "The file in this data folder was written by a newer Key Slate. Start that one; this program leaves the"
                            + " file as it is.",
                    null);
        }
    }

    /** Keeps a copy of the file beside it when the tables are about to change. */
    static void copyBeforeMigration(DataSource source, Flyway flyway, Path file) {
        MigrationInfo[] pending = flyway.info().pending();
        if (pending.length == 0 || flyway.info().current() == null) {
            return;
        }
        Path copy = file.resolveSibling(file.getFileName().toString().replaceFirst("\\.db$", "") + ".before-"
                + pending[0].getVersion() + ".db");
        if (!Files.exists(copy)) {
            JdbcClient.create(source)
                    .sql("VACUUM INTO ?")
                    .param(copy.toAbsolutePath().toString())
                    .update();
        }
    }
}
