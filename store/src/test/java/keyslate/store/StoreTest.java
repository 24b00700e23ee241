package keyslate.store;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** A data file of its own for every test. */
abstract class StoreTest {
    @TempDir
    private Path folder;

    private Database database;

    @BeforeEach
    void open() {
        database = Database.open(folder);
    }

    @AfterEach
    void close() {
        database.close();
    }

    Database database() {
        return database;
    }

    Path folder() {
        return folder;
    }

    void reopen() {
        database.close();
        database = Database.open(folder);
    }
}
