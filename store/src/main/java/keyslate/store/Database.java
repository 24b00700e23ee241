package keyslate.store;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Properties;
import java.util.function.Supplier;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.transaction.support.DefaultTransactionStatus;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteConnection;
import org.sqlite.SQLiteDataSource;

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

    private final Path file;
    private final Conditioned source;
    private final FolderLock lock;
    private final HikariDataSource writer;
    private final HikariDataSource reader;
    private final JdbcClient writing;
    private final JdbcClient reading;
    private final TransactionTemplate transactions;
    private final TransactionTemplate snapshots;

    private Database(Path file, FolderLock lock, Conditioned source, HikariDataSource writer, HikariDataSource reader) {
        this.file = file;
        this.source = source;
        this.lock = lock;
        this.writer = writer;
        this.reader = reader;
        this.writing = client(writer);
        this.reading = client(reader);
        DataSourceTransactionManager writes = new Writes(writer);
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
            if (there) {
                Rescue.refuseDamaged(file);
            }
            Conditioned source = source(file, false);
            writer = pool(source, 1, false);
            Flyway flyway = FileAge.migrations(writer);
            if (there) {
                FileAge.refuseForeign(JdbcClient.create(writer), flyway);
                FileAge.copyBeforeMigration(flyway, file);
            }
            flyway.migrate();
            if (PRACTICE_FILE_NAME.equals(fileName)) {
                FileAge.markPractice(JdbcClient.create(writer));
            }
            return new Database(file, lock, source, writer, pool(source(file, true), READERS, true));
        } catch (RuntimeException e) {
            if (writer != null) {
                writer.close();
            }
            lock.close();
            throw e;
        }
    }

    /** The file; for copies of it, never for writing. */
    public Path file() {
        return file;
    }

    /** Whether the demo data were made once: what its owner deletes of them does not come back. */
    public boolean hasDemo() {
        return FileAge.hasDemo(sql());
    }

    /** Says that they were. */
    public void markDemo() {
        inTransaction(() -> FileAge.markDemo(sql()));
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
        } catch (CannotCreateTransactionException e) {
            // The driver believes that the transaction began: on this connection every statement would now stand by
            // itself.
            writer.getHikariPoolMXBean().softEvictConnections();
            throw noAnswer(e);
        }
    }

    private static StorageException noAnswer(CannotCreateTransactionException e) {
        return e.getCause() instanceof SQLException cause
                        && ERRORS.translate("begin of the transaction", null, cause) instanceof StorageException known
                ? known
                : new StorageException("The data file does not answer. Nothing was changed; try again.", e);
    }

    /**
     * On a full disk SQLite has rolled back by itself before it says so. That a rollback then finds no transaction must not hide the
     * reason; and the connection is not used again, since the driver counts transactions by itself.
     */
    private static final class Writes extends DataSourceTransactionManager {
        private static final long serialVersionUID = 1L;
        private final transient HikariDataSource pool;

        Writes(HikariDataSource pool) {
            super(pool);
            this.pool = pool;
        }

        @Override
        protected void doRollback(DefaultTransactionStatus status) {
            try {
                super.doRollback(status);
            } catch (TransactionException e) {
                pool.getHikariPoolMXBean().softEvictConnections();
            }
        }
    }

    /** All or nothing, without a result; fails like {@link #inTransaction(Supplier)}. */
    public void inTransaction(Runnable work) {
        inTransaction(() -> {
            work.run();
            return null;
        });
    }

    /** A commit that fails is not translated by Spring. */
    private static RuntimeException reason(TransactionSystemException e) {
        return e.getCause() instanceof SQLException cause ? ERRORS.translate("end of the transaction", null, cause) : e;
    }

    /** Puts the writer under a condition until another one is set, as "query_only = 1" or "max_page_count = 9": how trials make a disk fail. */
    public void setForWriter(String pragma) {
        source.condition = "PRAGMA " + pragma;
        // The only connection of the pool is waited for, so that one that was being made meanwhile does not keep the
        // condition before.
        try (Connection connection = writer.getConnection();
                Statement statement = connection.createStatement()) {
            statement.execute("PRAGMA " + pragma);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Connections that the condition of the moment holds for. */
    private static final class Conditioned extends SQLiteDataSource {
        private volatile String condition;

        @Override
        public SQLiteConnection getConnection(String user, String password) throws SQLException {
            SQLiteConnection connection = super.getConnection(user, password);
            if (condition != null) {
                try (Statement statement = connection.createStatement()) {
                    statement.execute(condition);
                }
            }
            return connection;
        }
    }

    /** Several reads that see the file at one moment; inside {@link #inTransaction} they see what it has written. */
    public <T> T inSnapshot(Supplier<T> work) {
        try {
            return writing() ? work.get() : snapshots.execute(status -> work.get());
        } catch (CannotCreateTransactionException e) {
            throw noAnswer(e);
        }
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

    private static Conditioned source(Path file, boolean readOnly) {
        Properties settings = new Properties();
        settings.put("journal_mode", "WAL");
        settings.put("synchronous", "FULL");
        settings.put("foreign_keys", "true");
        settings.put("busy_timeout", "5000");
        if (!readOnly) {
            settings.put("transaction_mode", "IMMEDIATE");
        }
        Conditioned source = new Conditioned();
        source.setConfig(new SQLiteConfig(settings));
        source.setUrl("jdbc:sqlite:" + file.toAbsolutePath());
        return source;
    }

    private static HikariDataSource pool(DataSource source, int size, boolean readOnly) {
        HikariConfig config = new HikariConfig();
        config.setDataSource(source);
        config.setPoolName(readOnly ? "readers" : "writer");
        config.setMaximumPoolSize(size);
        config.setMinimumIdle(1);
        config.setMaxLifetime(0);
        if (readOnly) {
            config.setConnectionInitSql("pragma query_only=1");
        }
        return new HikariDataSource(config);
    }
}
