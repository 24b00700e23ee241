package keyslate.server.attack;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import keyslate.store.Database;
import keyslate.store.StorageException;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;

/**
 * A data file whose log is cut at random places opens again with every commit that was before the cut; a file that is cut itself is said to
 * be damaged, and what can be read of it is saved.
 */
final class Cuts {
    private static final int COMMITS = 120;
    private static final String LOG = Database.FILE_NAME + "-wal";

    private Cuts() {}

    /** How long the log was when a commit was acknowledged. */
    private record Commit(String id, long logBytes) {}

    static void make(Path folder, Random random, int cuts, Figures figures) throws IOException {
        figures.count("cuts");
        Path whole = Files.createDirectories(folder.resolve("whole"));
        Path copy = Files.createDirectories(folder.resolve("cut"));
        List<Commit> commits = new ArrayList<>();
        try (Database database = Database.open(whole)) {
            RollRepository rolls = new RollRepository(database);
            for (int i = 0; i < COMMITS; i++) {
                String id = "roll " + i;
                database.inTransaction(() -> rolls.add(new Roll(
                        id, id, "x".repeat(70), "MONOCHROME", 36, 24, 6, false, "2026-01-02T03:04:05.678Z", null)));
                commits.add(new Commit(id, Files.size(whole.resolve(LOG))));
            }
            // Copied while it is open: closing would write the log into the file.
            for (int i = 0; i < cuts; i++) {
                for (String name : List.of(Database.FILE_NAME, LOG)) {
                    Files.copy(whole.resolve(name), copy.resolve(name));
                }
                boolean log = i % 4 != 3;
                Path cut = copy.resolve(log ? LOG : Database.FILE_NAME);
                long at = (long) (random.nextDouble() * Files.size(cut));
                try (FileChannel channel = FileChannel.open(cut, StandardOpenOption.WRITE)) {
                    channel.truncate(at);
                }
                look(copy, commits, log, at, figures);
                figures.add("cuts");
                Attack.empty(copy);
            }
        }
    }

    private static void look(Path copy, List<Commit> commits, boolean log, long at, Figures figures) {
        try (Database opened = Database.open(copy)) {
            RollRepository rolls = new RollRepository(opened);
            commits.stream()
                    .filter(c -> !log || c.logBytes() <= at)
                    .filter(c -> rolls.roll(c.id()).isEmpty())
                    .forEach(c -> figures.fault("losses", c.id() + " is gone after a cut at " + at));
        } catch (StorageException e) {
            if (log || !String.valueOf(e.getMessage()).contains("is damaged")) {
                figures.fault("losses", "does not open after a cut at " + at + ": " + e.getMessage());
            }
        }
    }
}
