package keyslate.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Copies of a data file: made while it is in use, opened and checked before they count, and put back. */
public final class Backups {
    /** Beside the data file, until its owner names a folder on another disk. */
    public static final String USUAL_FOLDER = "backups";

    private static final DateTimeFormatter MOMENT =
            DateTimeFormatter.ofPattern("uuuu-MM-dd-HHmmss-SSS").withZone(ZoneOffset.UTC);
    private static final String BY_ITSELF = "-auto-";
    private static final String ASKED_FOR = "-backup-";
    private static final String END = ".db";
    /** What writing must still find room for once a copy lies there. */
    private static final long LEFT_FREE_BYTES = 64L << 20;

    private static final List<String> OF_SQLITE = List.of("", "-wal", "-shm");

    private Backups() {}

    /**
     * A copy.
     *
     * @param byItself made on the schedule, so that it goes when enough newer ones are there
     */
    public record Backup(Path file, Instant madeAt, long bytes, boolean byItself) {}

    /**
     * Copies a data file as it is at this moment, whoever else reads and writes it, and checks the copy.
     *
     * @param folder must be there
     * @throws StorageException when there is no room, or the copy is not sound; nothing is left of it then
     */
    public static Backup make(Path dataFile, Path folder, Instant now, boolean byItself) {
        String name = stem(dataFile) + (byItself ? BY_ITSELF : ASKED_FOR) + MOMENT.format(now) + END;
        Path copy = folder.resolve(name);
        if (Files.exists(copy)) {
            throw new StorageException("There is a backup of this very moment already.", null);
        }
        copy(dataFile, copy);
        return backup(copy, stem(dataFile)).orElseThrow();
    }

    /** The copies of a data file in a folder, the newest first; none where there is no such folder. */
    public static List<Backup> in(Path folder, Path dataFile) {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.flatMap(f -> backup(f, stem(dataFile)).stream())
                    .sorted(Comparator.comparing(Backup::madeAt).reversed())
                    .toList();
        } catch (IOException e) {
            throw new StorageException("The folder of the backups cannot be read. Check its permissions.", e);
        }
    }

    /** Deletes those made by themselves but the newest so many. */
    public static void thin(Path folder, Path dataFile, int kept) {
        in(folder, dataFile).stream().filter(Backup::byItself).skip(kept).forEach(old -> delete(old.file()));
    }

    /**
     * What came back.
     *
     * @param aside where the file lies that was there before
     */
    public record Restored(int slates, int sheets, Optional<Path> aside) {}

    /**
     * Puts a copy in the place of a data file, in a folder that no program holds. What is there is kept beside it.
     *
     * @throws StorageException when the copy is damaged, foreign or newer than this program, or the folder is in use; nothing is
     *     changed then
     */
    public static Restored restore(Path backup, Path folder, String fileName, Instant now) {
        Path file = folder.resolve(fileName);
        FolderLock lock = FolderLock.take(folder);
        try {
            FileHealth.damage(backup).ifPresent(found -> {
                throw new StorageException("This file is damaged, or no Key Slate data file: " + found, null);
            });
            Restored found = Alone.with(backup, sql -> looked(sql, backup, fileName));
            Path part = file.resolveSibling(fileName + ".part");
            Files.deleteIfExists(part);
            copy(backup, part);
            Optional<Path> aside = setAside(file, now);
            Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
            return new Restored(found.slates(), found.sheets(), aside);
        } catch (IOException e) {
            throw new StorageException("The data folder cannot be written. Check its permissions, then try again.", e);
        } finally {
            lock.close();
        }
    }

    private static Restored looked(JdbcClient sql, Path backup, String fileName) {
        FileAge.refuseForeign(sql, backup);
        boolean practice = FileAge.isPractice(sql);
        if (practice != Database.PRACTICE_FILE_NAME.equals(fileName)) {
            throw new StorageException(
                    practice
                            ? "This is a backup of the practice darkroom. Add --demo to put it back there."
                            : "This is a backup of a darkroom of one's own. Leave --demo out to put it back.",
                    null);
        }
        return new Restored(count(sql, "slate"), count(sql, "sheet"), Optional.empty());
    }

    private static int count(JdbcClient sql, String table) {
        return sql.sql("SELECT count(*) FROM " + table).query(Integer.class).single();
    }

    /** Moves a file with its log to another name, so that nothing is overwritten. */
    private static Optional<Path> setAside(Path file, Instant now) throws IOException {
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        String name = stem(file) + ".before-restore-" + MOMENT.format(now) + END;
        for (String end : OF_SQLITE) {
            Path part = file.resolveSibling(file.getFileName() + end);
            if (Files.exists(part)) {
                Files.move(part, file.resolveSibling(name + end));
            }
        }
        return Optional.of(file.resolveSibling(name));
    }

    /** A consistent copy, on the disk and sound before it has its name. */
    static void copy(Path from, Path to) {
        Path part = to.resolveSibling(to.getFileName() + ".part");
        try {
            requireRoom(from, to);
            Files.deleteIfExists(part);
            Alone.with(
                    from,
                    sql -> sql.sql("VACUUM INTO ?")
                            .param(part.toAbsolutePath().toString())
                            .update());
            Optional<String> damage = FileHealth.damage(part);
            if (damage.isPresent()) {
                throw new StorageException("The copy is not sound: " + damage.get(), null);
            }
            try (FileChannel written = FileChannel.open(part, StandardOpenOption.WRITE)) {
                written.force(true);
            }
            Files.move(part, to, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            delete(part);
            throw new StorageException("The folder of the backup cannot be written. Check its permissions.", e);
        } catch (DataAccessException e) {
            delete(part);
            throw e;
        }
    }

    private static void requireRoom(Path from, Path to) throws IOException {
        long free = Files.getFileStore(to.toAbsolutePath().getParent()).getUsableSpace();
        if (free < Files.size(from) + LEFT_FREE_BYTES) {
            throw StorageException.noRoom("The disk has no room for a backup: it needs "
                    + ((Files.size(from) + LEFT_FREE_BYTES) >> 20) + " MB, " + (free >> 20) + " MB are free.");
        }
    }

    private static Optional<Backup> backup(Path file, String stem) {
        String name = file.getFileName().toString();
        for (String way : List.of(BY_ITSELF, ASKED_FOR)) {
            if (name.startsWith(stem + way) && name.endsWith(END)) {
                String moment = name.substring((stem + way).length(), name.length() - END.length());
                try {
                    return Optional.of(new Backup(
                            file, MOMENT.parse(moment, Instant::from), Files.size(file), BY_ITSELF.equals(way)));
                } catch (DateTimeParseException | IOException e) {
                    return Optional.empty();
                }
            }
        }
        return Optional.empty();
    }

    private static String stem(Path dataFile) {
        return dataFile.getFileName().toString().replaceFirst("\\.db$", "");
    }

    private static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
