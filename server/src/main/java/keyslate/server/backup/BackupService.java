package keyslate.server.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import keyslate.core.quantity.Check;
import keyslate.server.Clocks;
import keyslate.server.backup.BackupViews.BackupView;
import keyslate.server.backup.BackupViews.BackupsView;
import keyslate.server.backup.BackupViews.NewPlan;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.store.BackupPlan;
import keyslate.store.BackupPlanRepository;
import keyslate.store.Backups;
import keyslate.store.Backups.Backup;
import keyslate.store.Database;
import keyslate.store.StorageException;
import keyslate.store.slate.SheetRepository;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/** Makes copies of the data file beside the work, never while paper is under the lamp by itself. */
@Service
public class BackupService {
    private static final Logger LOG = LoggerFactory.getLogger(BackupService.class);

    private final Database database;
    private final BackupPlanRepository plans;
    private final SheetRepository sheets;
    private final Clock clock;
    private final boolean practice;
    /** One copy at a time. */
    private final Object turn = new Object();

    private volatile @Nullable String problem;

    BackupService(
            Database database,
            BackupPlanRepository plans,
            SheetRepository sheets,
            Clock clock,
            @Value("${keyslate.practice:false}") boolean practice) {
        this.database = database;
        this.plans = plans;
        this.sheets = sheets;
        this.clock = clock;
        this.practice = practice;
    }

    BackupsView view() {
        BackupPlan plan = plans.plan();
        Path folder = folder(plan);
        return new BackupsView(
                plan.everyDays(),
                plan.kept(),
                plan.folder(),
                folder.toString(),
                isOnDiskOfData(folder),
                data().toString(),
                Backups.in(folder, database.file()).stream()
                        .map(BackupService::view)
                        .toList(),
                problem);
    }

    private static BackupView view(Backup b) {
        return new BackupView(b.file().getFileName().toString(), Clocks.of(b.madeAt()), b.bytes(), b.byItself());
    }

    /** Why the copy that was due could not be made; null when all is well. */
    public @Nullable String problem() {
        return problem;
    }

    /** Makes a copy now, which stays until its owner deletes it. */
    void make() {
        synchronized (turn) {
            Backups.make(database.file(), made(folder(plans.plan())), clock.instant(), false);
            problem = null;
        }
    }

    /** Makes the copy that is due, if one is, and lets the oldest go; what hinders it is said in the view. */
    void makeIfDue() {
        BackupPlan plan = plans.plan();
        Instant now = clock.instant();
        synchronized (turn) {
            try {
                Path folder = folder(plan);
                if (isDue(plan, folder, now)) {
                    Backups.make(database.file(), made(folder), now, true);
                    Backups.thin(folder, database.file(), plan.kept());
                    problem = null;
                }
            } catch (StorageException e) {
                LOG.error("No backup was made", e);
                problem = e.getMessage();
            }
        }
    }

    /** Practice is no loss; a run comes first; and what has not changed since the last copy needs none. */
    private boolean isDue(BackupPlan plan, Path folder, Instant now) {
        if (practice || plan.everyDays() == 0 || !sheets.exposing().isEmpty()) {
            return false;
        }
        Optional<Instant> last =
                Backups.in(folder, database.file()).stream().map(Backup::madeAt).findFirst();
        return last.map(at -> !now.isBefore(at.plus(Duration.ofDays(plan.everyDays())))
                        && plans.lastChange()
                                .map(w -> w.compareTo(Clocks.of(at)) > 0)
                                .orElse(false))
                .orElseGet(() -> plans.lastChange().isPresent());
    }

    /** Changes the plan; what is left out stays. An empty folder is the usual one. */
    void change(NewPlan asked) {
        BackupPlan now = plans.plan();
        FieldErrors errors = new FieldErrors();
        int every = asked.everyDays() == null
                ? now.everyDays()
                : errors.check("/everyDays", 1, () -> Check.count("days", asked.everyDays(), 0, 365));
        int kept = asked.kept() == null
                ? now.kept()
                : errors.check("/kept", 1, () -> Check.count("copies", asked.kept(), 1, 99));
        String folder = asked.folder() == null
                ? now.folder()
                : asked.folder().isBlank()
                        ? null
                        : checked(errors, asked.folder().strip());
        errors.throwIfAny();
        database.inTransaction(() -> plans.change(new BackupPlan(every, kept, folder)));
        problem = null;
    }

    private static @Nullable String checked(FieldErrors errors, String text) {
        try {
            Path folder = Path.of(text);
            if (!folder.isAbsolute()) {
                errors.add("/folder", "E_SHAPE", "Name the folder from its root, as in /media/disk/backups.");
            } else if (text.length() > 1000 || !Files.isDirectory(folder)) {
                errors.add("/folder", "E_SHAPE", "There is no such folder on this machine.");
            } else if (!Files.isWritable(folder)) {
                errors.add("/folder", "E_SHAPE", "This folder cannot be written. Check its permissions.");
            }
        } catch (InvalidPathException e) {
            errors.add("/folder", "E_SHAPE", "This is no name of a folder.");
        }
        return text;
    }

    /** The file of a copy that is there. */
    Path file(String name) {
        return Backups.in(folder(plans.plan()), database.file()).stream()
                .map(Backup::file)
                .filter(f -> f.getFileName().toString().equals(name))
                .findFirst()
                .orElseThrow(NotFoundException.of("backup"));
    }

    private Path data() {
        return database.file().toAbsolutePath().getParent();
    }

    private Path folder(BackupPlan plan) {
        return plan.folder() == null ? data().resolve(Backups.USUAL_FOLDER) : Path.of(plan.folder());
    }

    /** The usual folder is made; one that was named and is gone, a disk that is not plugged in, is not. */
    private Path made(Path folder) {
        try {
            if (folder.startsWith(data())) {
                Files.createDirectories(folder);
            }
            if (!Files.isDirectory(folder)) {
                throw new StorageException("The folder of the backups is not there: " + folder, null);
            }
            return folder;
        } catch (IOException e) {
            throw new StorageException("The folder of the backups cannot be made. Check its permissions.", e);
        }
    }

    private boolean isOnDiskOfData(Path folder) {
        try {
            return folder.startsWith(data()) || Files.getFileStore(folder).equals(Files.getFileStore(data()));
        } catch (IOException e) {
            return false;
        }
    }
}
