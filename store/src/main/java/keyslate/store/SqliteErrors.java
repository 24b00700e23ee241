package keyslate.store;

import java.sql.SQLException;
import java.util.Locale;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.UncategorizedSQLException;
import org.springframework.jdbc.support.SQLExceptionTranslator;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** SQLite's result codes in words. Spring knows none of them, so this comes first. */
final class SqliteErrors implements SQLExceptionTranslator {
    @Override
    public DataAccessException translate(String task, String sql, SQLException error) {
        if (error instanceof SQLiteException sqlite) {
            String code = sqlite.getResultCode().name().toUpperCase(Locale.ROOT);
            if (code.startsWith(SQLiteErrorCode.SQLITE_FULL.name())) {
                return StorageException.full(error);
            }
            if (code.startsWith(SQLiteErrorCode.SQLITE_READONLY.name())
                    || code.startsWith(SQLiteErrorCode.SQLITE_CANTOPEN.name())
                    || code.startsWith(SQLiteErrorCode.SQLITE_PERM.name())) {
                return new StorageException(
                        "The data folder cannot be written. Check its permissions, then try again.", error);
            }
            if (code.startsWith(SQLiteErrorCode.SQLITE_BUSY.name())) {
                return new StorageException(
                        "Another program is writing the data file. Nothing was changed; try again.", error);
            }
            if (code.startsWith(SQLiteErrorCode.SQLITE_IOERR.name())) {
                return new StorageException("The disk does not answer as it should. Nothing was changed.", error);
            }
            if (code.startsWith(SQLiteErrorCode.SQLITE_CORRUPT.name())
                    || code.startsWith(SQLiteErrorCode.SQLITE_NOTADB.name())) {
                return new StorageException(
                        "The data file is damaged. Close Key Slate and start it again: it says what can be saved.",
                        error);
            }
            if (code.startsWith(SQLiteErrorCode.SQLITE_CONSTRAINT.name())) {
                return new DataIntegrityViolationException(error.getMessage(), error);
            }
        }
        return new UncategorizedSQLException(task, sql, error);
    }
}
