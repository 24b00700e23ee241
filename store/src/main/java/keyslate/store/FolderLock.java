package keyslate.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/** Holds a data folder for one program: a second one would take the first one's lit lamp for lost. The lock ends with the program, however it ends. */
final class FolderLock implements AutoCloseable {
    private static final String FILE_NAME = "key-slate.lock";

    private final FileChannel channel;

    private FolderLock(FileChannel channel) {
        this.channel = channel;
    }

    /**
     * Takes the lock.
     *
     * @throws StorageException when another program has it
     */
    static FolderLock take(Path folder) {
        FileChannel channel = null;
        try {
            channel = FileChannel.open(folder.resolve(FILE_NAME), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            FileLock lock = channel.tryLock();
            if (lock != null) {
                return new FolderLock(channel);
            }
        } catch (OverlappingFileLockException e) {
            // Held by this very program.
        } catch (IOException e) {
            close(channel);
            throw new StorageException("The data folder cannot be written. Check its permissions, then try again.", e);
        }
        close(channel);
        throw new StorageException(
                "The data folder " + folder
                        + " is open in another Key Slate. Use that one, close it, or name another folder with --data.",
                null);
    }

    @Override
    public void close() {
        close(channel);
    }

    private static void close(FileChannel channel) {
        try {
            if (channel != null) {
                channel.close();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
