package keyslate.store;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.function.Function;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.sqlite.SQLiteDataSource;

/** A data file through one connection of its own, outside the pools: to look at it, to copy it. */
final class Alone {
    private static final SqliteErrors ERRORS = new SqliteErrors();

    private Alone() {}

    /**
     * Opens the file, makes it if it is missing, and closes it after the work.
     *
     * @throws org.springframework.dao.DataAccessException when it cannot be opened, or when a statement fails
     */
    static <T> T with(Path file, Function<JdbcClient, T> work) {
        SQLiteDataSource source = new SQLiteDataSource();
        source.setUrl("jdbc:sqlite:" + file.toAbsolutePath());
        try (Connection connection = source.getConnection()) {
            JdbcTemplate template = new JdbcTemplate(new SingleConnectionDataSource(connection, true));
            template.setExceptionTranslator(ERRORS);
            return work.apply(JdbcClient.create(template));
        } catch (SQLException e) {
            throw ERRORS.translate("open", null, e);
        }
    }
}
