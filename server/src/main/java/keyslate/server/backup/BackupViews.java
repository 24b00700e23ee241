package keyslate.server.backup;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the page sees of backups. */
public final class BackupViews {
    private BackupViews() {}

    /**
     * The plan and the copies that lie in its folder, the newest first.
     *
     * @param plannedFolder the folder that was named, if one was
     * @param folder where copies go
     * @param onSameDisk whether a disk that breaks would take data and copies with it
     * @param dataFolder where the data file lies
     * @param problem why the last copy that was due could not be made
     */
    public record BackupsView(
            int everyDays,
            int kept,
            @Nullable String plannedFolder,
            String folder,
            boolean onSameDisk,
            String dataFolder,
            List<BackupView> backups,
            @Nullable String problem) {}

    /** One copy; checked when it was made. */
    public record BackupView(String name, String madeAt, long sizeBytes, boolean byItself) {}

    /** A plan to come. */
    public record NewPlan(
            @Nullable Integer everyDays,
            @Nullable Integer kept,
            @Nullable String folder) {}
}
