package keyslate.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Trouble with the data folder is said before anything starts. */
class DataFolderTest {
    @TempDir
    private Path folder;

    @Test
    void makesAFolderThatIsMissing() {
        Path missing = folder.resolve("a").resolve("b");
        assertThat(DataFolder.problem(missing)).isNull();
        assertThat(missing).isEmptyDirectory();
    }

    @Test
    void saysThatAFileIsNoFolder() throws IOException {
        Path file = Files.writeString(folder.resolve("file"), "");
        assertThat(DataFolder.problem(file)).contains("is a file and not a folder");
    }

    @Test
    void saysThatAFolderCannotBeWritten() {
        // Not even root can make a file there.
        assertThat(DataFolder.problem(Path.of("/proc/key-slate"))).contains("cannot be written");
        assertThat(DataFolder.problem(Path.of("/proc/self"))).contains("cannot be written");
    }
}
