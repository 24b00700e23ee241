package keyslate.server.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import keyslate.store.Backups;
import keyslate.store.Backups.Backup;
import keyslate.store.Backups.Restored;
import keyslate.store.Database;
import keyslate.store.StorageException;

/** Backups without the page: the program may be running or not. */
public final class BackupCommands {
    private BackupCommands() {}

    /**
     * Copies the data file of a folder and says where the copy lies.
     *
     * @param to a folder that is there; none = the usual one beside the data file
     * @throws StorageException when there is nothing to copy, or no copy could be made
     */
    public static String backup(Path data, boolean practice, Optional<Path> to) {
        Path file = data.resolve(name(practice));
        if (!Files.exists(file)) {
            throw new StorageException("There is no data file " + file + ". Name its folder with --data.", null);
        }
        Path folder = to.orElseGet(() -> made(data.resolve(Backups.USUAL_FOLDER)));
        if (!Files.isDirectory(folder)) {
            throw new StorageException("There is no folder " + folder + ".", null);
        }
        Backup made = Backups.make(file, folder, Clock.systemUTC().instant(), false);
        return "The backup is checked and lies at " + made.file() + ", " + ((made.bytes() + 999_999) / 1_000_000)
                + " MB.";
    }

    /**
     * Puts a backup in the place of the data file of a folder and says what came back.
     *
     * @throws StorageException when it is damaged, foreign or newer, or the folder is in use
     */
    public static String restore(Path from, Path data, boolean practice) {
        if (!Files.isRegularFile(from)) {
            throw new StorageException("There is no file " + from + ".", null);
        }
        Restored back =
                Backups.restore(from, data, name(practice), Clock.systemUTC().instant());
        return "Back are " + back.slates() + " slates with " + back.sheets() + " sheets, in " + data + "."
                + back.aside()
                        .map(aside -> " What was there is kept as " + aside + ".")
                        .orElse("");
    }

    private static String name(boolean practice) {
        return practice ? Database.PRACTICE_FILE_NAME : Database.FILE_NAME;
    }

    private static Path made(Path folder) {
        try {
            return Files.createDirectories(folder);
        } catch (IOException e) {
            throw new StorageException("The folder " + folder + " cannot be made. Check its permissions.", e);
        }
    }
}
