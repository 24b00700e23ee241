package keyslate.store;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.sqlite.SQLiteDataSource;

/** Whether a data file is sound. */
public final class FileHealth {
    private FileHealth() {}

    /**
     * Reads the whole file and checks every page, every index and every reference between rows.
     *
     * @return what is wrong with it; nothing when it is sound
     */
    public static Optional<String> damage(Path file) {
        SQLiteDataSource source = new SQLiteDataSource();
        source.setUrl("jdbc:sqlite:" + file.toAbsolutePath());
        JdbcClient sql = JdbcClient.create(source);
        try {
            List<String> found =
                    sql.sql("PRAGMA integrity_check").query(String.class).list();
            if (!found.equals(List.of("ok"))) {
                return Optional.of(String.join("; ", found));
            }
            List<String> loose = sql.sql("SELECT \"table\" FROM pragma_foreign_key_check")
                    .query(String.class)
                    .list();
            return loose.isEmpty() ? Optional.empty() : Optional.of("rows point at nothing in " + loose);
        } catch (DataAccessException e) {
            return Optional.of(String.valueOf(e.getMessage()));
        }
    }
}
