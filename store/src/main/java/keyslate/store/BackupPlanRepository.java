package keyslate.store;

import java.util.Optional;

/** The plan of backups: one row, which is always there. */
public final class BackupPlanRepository {
    private final Database database;

    public BackupPlanRepository(Database database) {
        this.database = database;
    }

    public BackupPlan plan() {
        return database.sql()
                .sql("SELECT every_days, kept, folder FROM backup_plan")
                .query(BackupPlan.class)
                .single();
    }

    /** When a slate, a sheet or a roll was written last, ISO 8601 in UTC; nothing while there is none. */
    public Optional<String> lastChange() {
        return Optional.ofNullable(database.sql()
                .sql("SELECT max(at) AS at FROM (SELECT max(touched_at) AS at FROM slate UNION ALL"
                        + " SELECT max(added_at) FROM roll UNION ALL SELECT max(begun_at) FROM sheet)")
                .query((row, n) -> row.getString(1))
                .list()
                .get(0));
    }

    public void change(BackupPlan plan) {
        database.sql()
                .sql("UPDATE backup_plan SET every_days = :everyDays, kept = :kept, folder = :folder")
                .paramSource(plan)
                .update();
    }
}
