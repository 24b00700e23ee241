package keyslate.store;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.function.Supplier;
import org.flywaydb.core.Flyway;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The one data file. A single writer, so that writes never contend; a few readers that may only read. Every commit is on
 * the disk before it is acknowledged (WAL, synchronous FULL).
 */
public final class Database implements AutoCloseable {
    public static final String FILE_NAME = "key-slate.db";
    /** The data file of the practice darkroom, beside one\'s own; it may be deleted. */
    public static final String PRACTICE_FILE_NAME = "practice.db";

    private static final int READERS = 3;
    private static final SqliteErrors ERRORS = new SqliteErrors();

    private final FolderLock lock;
    private final HikariDataSource writer;
    private final HikariDataSource reader;
    private final JdbcClient writing;
    private final JdbcClient reading;
    private final TransactionTemplate transactions;
    private final TransactionTemplate snapshots;

    private Database(FolderLock lock, HikariDataSource writer, HikariDataSource reader) {
        this.lock = lock;
        this.writer = writer;
        this.reader = reader;
        this.writing = client(writer);
        this.reading = client(reader);
        DataSourceTransactionManager writes = new DataSourceTransactionManager(writer);
        // A commit that fails on a deferred key leaves SQLite's transaction open: without this the only writer would
        // carry it into every write that follows.
        writes.setRollbackOnCommitFailure(true);
        this.transactions = new TransactionTemplate(writes);
        this.snapshots = new TransactionTemplate(new DataSourceTransactionManager(reader));
    }

    /**
     * Opens, and where needed makes or migrates, the data file in an existing folder, and holds the folder until it is
     * closed.
     *
     * @throws StorageException when another program holds the folder, or its file is of another time; the message says what
     *     to do
     */
    public static Database open(Path folder) {
        return open(folder, FILE_NAME);
    }

    /** As {@link #open(Path)}, with the data file of this name. */
    public static Database open(Path folder, String fileName) {
        FolderLock lock = FolderLock.take(folder);
        HikariDataSource writer = null;
        try {
            Path file = folder.resolve(fileName);
            boolean there = Files.exists(file);
            String url = "jdbc:sqlite:" + file.toAbsolutePath();
            writer = pool(url, 1, false);
            Flyway flyway = Flyway.configure(Database.class.getClassLoader())
                    .dataSource(writer)
                    .locations("classpath:db/migration")
                    .load();
            if (there) {
                FileAge.refuseForeign(writer, flyway);
                FileAge.copyBeforeMigration(writer, flyway, file);
            }
            flyway.migrate();
            return new Database(lock, writer, pool(url, READERS, true));
        } catch (RuntimeException e) {
            if (writer != null) {
                writer.close();
            }
            lock.close();
            throw e;
        }
    }

    /** For statements; inside {@link #inTransaction} the writer's, else a reader's. */
    public JdbcClient sql() {
        return writing() ? writing : reading;
    }

    /**
     * All or nothing.
     *
     * @throws StorageException when the file cannot be written; nothing of the work is then kept
     */
    public <T> T inTransaction(Supplier<T> work) {
        try {
            return transactions.execute(status -> work.get());
        } catch (TransactionSystemException e) {
            throw reason(e);
        }
    }

    /** All or nothing, without a result; fails like {@link #inTransaction(Supplier)}. */
    public void inTransaction(Runnable work) {
        inTransaction(() -> {
            work.run();
            return null;
        });
    }

    /**
     * What really went wrong. On a full disk SQLite has already rolled back by itself, so that Spring's own rollback
     * fails too and would hide the reason; a commit that fails is not translated by Spring at all.
     */
    private static RuntimeException reason(TransactionSystemException e) {
        if (e.getApplicationException() instanceof RuntimeException first) {
            return first;
        }
        return e.getCause() instanceof SQLException cause ? ERRORS.translate("end of the transaction", null, cause) : e;
    }

    /** Several reads that see the file at one moment; inside {@link #inTransaction} they see what it has written. */
    public <T> T inSnapshot(Supplier<T> work) {
        return writing() ? work.get() : snapshots.execute(status -> work.get());
    }

    private boolean writing() {
        return TransactionSynchronizationManager.hasResource(writer);
    }

    @Override
    public void close() {
        reader.close();
        writer.close();
        lock.close();
    }

    private static JdbcClient client(HikariDataSource pool) {
        JdbcTemplate template = new JdbcTemplate(pool);
        template.setExceptionTranslator(ERRORS);
        return JdbcClient.create(template);
    }

    private static HikariDataSource pool(String url, int size, boolean readOnly) {
        HikariConfig config = new HikariConfig();
        config.setJdbcUrl(url);
        config.setPoolName(readOnly ? "readers" : "writer");
        config.setMaximumPoolSize(size);
        config.setMinimumIdle(1);
        config.setMaxLifetime(0);
        config.addDataSourceProperty("journal_mode", "WAL");
        config.addDataSourceProperty("synchronous", "FULL");
        config.addDataSourceProperty("foreign_keys", "true");
        config.addDataSourceProperty("busy_timeout", "5000");
        if (readOnly) {
            config.setConnectionInitSql("pragma query_only=1");
        } else {
            config.addDataSourceProperty("transaction_mode", "IMMEDIATE");
        }
        return new HikariDataSource(config);
    }
}
