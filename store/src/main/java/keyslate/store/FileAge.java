package keyslate.store;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationState;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.sqlite.SQLiteDataSource;

/** Whether a data file is of this program's time, and of which darkroom. */
final class FileAge {
    /** {@code user_version} of a file of the practice darkroom, and of one whose demo data are made; a backup of it says so too. */
    private static final int PRACTICE = 1;

    private static final int WITH_DEMO = 2;

    private FileAge() {}

    static Flyway migrations(DataSource source) {
        return Flyway.configure(Database.class.getClassLoader())
                .dataSource(source)
                .locations("classpath:db/migration")
                .load();
    }

    /** The same of a file that is not open. */
    static void refuseForeign(JdbcClient sql, Path file) {
        if (!has(sql, "slate") && !has(sql, "burst")) {
            throw new StorageException("This is no Key Slate data file: " + file, null);
        }
        SQLiteDataSource source = new SQLiteDataSource();
        source.setUrl("jdbc:sqlite:" + file.toAbsolutePath());
        refuseForeign(sql, migrations(source));
    }

    /** Refuses a file of a preview whose tables are others, and one that a newer program has written. */
    static void refuseForeign(JdbcClient sql, Flyway flyway) {
        if (has(sql, "burst")) {
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

    private static boolean has(JdbcClient sql, String table) {
        return sql.sql("SELECT count(*) FROM sqlite_schema WHERE type = 'table' AND name = ?")
                        .param(table)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    static boolean isPractice(JdbcClient sql) {
        return mark(sql) >= PRACTICE;
    }

    static boolean hasDemo(JdbcClient sql) {
        return mark(sql) == WITH_DEMO;
    }

    private static int mark(JdbcClient sql) {
        return sql.sql("PRAGMA user_version").query(Integer.class).single();
    }

    static void markPractice(JdbcClient sql) {
        if (mark(sql) < PRACTICE) {
            sql.sql("PRAGMA user_version = " + PRACTICE).update();
        }
    }

    static void markDemo(JdbcClient sql) {
        sql.sql("PRAGMA user_version = " + WITH_DEMO).update();
    }

    /** Keeps a copy of the file beside it when the tables are about to change. */
    static void copyBeforeMigration(Flyway flyway, Path file) {
        MigrationInfo[] pending = flyway.info().pending();
        if (pending.length == 0 || flyway.info().current() == null) {
            return;
        }
        Path copy = file.resolveSibling(file.getFileName().toString().replaceFirst("\\.db$", "") + ".before-"
                + pending[0].getVersion() + ".db");
        if (!Files.exists(copy)) {
            Backups.copy(file, copy);
        }
    }
}
