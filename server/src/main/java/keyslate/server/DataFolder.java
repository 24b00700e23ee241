package keyslate.server;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import keyslate.store.Database;

/** The folder that holds the data file: looked at before anything starts, so that trouble is said in plain words. */
final class DataFolder {
    private static final long LEAST_FREE_BYTES = 32L << 20;

    private DataFolder() {}

    /** What is wrong with the folder, or null when it can be used. Makes the folder where it is missing. */
    static String problem(Path folder) {
        try {
            Files.createDirectories(folder);
            Path probe = Files.createTempFile(folder, "key-slate-probe", null);
            Files.delete(probe);
            for (String name : List.of(Database.FILE_NAME, Database.PRACTICE_FILE_NAME)) {
                Path file = folder.resolve(name);
                if (Files.exists(file) && !Files.isWritable(file)) {
                    return "The data file " + file + " cannot be written. Check its permissions.";
                }
            }
            if (Files.getFileStore(folder).getUsableSpace() < LEAST_FREE_BYTES) {
                return "The disk with " + folder
                        + " is full: less than 32 MB are free. Free some space and start again.";
            }
            return null;
        } catch (FileAlreadyExistsException e) {
            return folder + " is a file and not a folder. Name another one with --data.";
        } catch (IOException e) {
            return "The data folder " + folder
                    + " cannot be written. Check its permissions, or name another one with --data.";
        }
    }
}
