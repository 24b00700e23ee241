package keyslate.store;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Whether a data file is sound. */
public final class FileHealth {
    private static final String OK = "ok";
    /** They are large: a copy of the file finds what is wrong with them, and so does whoever looks at a picture. */
    private static final List<String> PICTURES = List.of("picture_part", "picture_working");

    private FileHealth() {}

    /**
     * Reads the whole file and checks every page, every index and every reference between rows.
     *
     * @return what is wrong with it; nothing when it is sound
     */
    public static Optional<String> damage(Path file) {
        return looked(file, sql -> {
            Optional<String> found = said(sql, "PRAGMA integrity_check");
            if (found.isPresent()) {
                return found;
            }
            List<String> loose = sql.sql("SELECT \"table\" FROM pragma_foreign_key_check")
                    .query(String.class)
                    .list();
            return loose.isEmpty() ? Optional.empty() : Optional.of("rows point at nothing in " + loose);
        });
    }

    /** The same of everything but the pictures, and without their indexes: a moment, where there are years of records too. */
    static Optional<String> damageOfRecords(Path file) {
        return looked(
                file,
                sql ->
                        sql
                                .sql("SELECT name FROM sqlite_schema WHERE type = 'table'")
                                .query(String.class)
                                .list()
                                .stream()
                                .filter(table -> !PICTURES.contains(table))
                                .flatMap(table -> said(sql, "PRAGMA quick_check('" + table + "')").stream())
                                .findFirst());
    }

    private static Optional<String> said(JdbcClient sql, String check) {
        List<String> found = sql.sql(check).query(String.class).list();
        return found.equals(List.of(OK)) ? Optional.empty() : Optional.of(String.join("; ", found));
    }

    private static Optional<String> looked(Path file, Function<JdbcClient, Optional<String>> look) {
        try {
            return Alone.with(file, look);
        } catch (DataAccessException e) {
            // What SQLite itself says of the file.
            return Optional.of(String.valueOf(e.getMostSpecificCause().getMessage()));
        }
    }
}
