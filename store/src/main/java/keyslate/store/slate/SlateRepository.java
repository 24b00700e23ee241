package keyslate.store.slate;

import java.util.List;
import java.util.Optional;
import keyslate.store.Database;

/** Slates. */
public final class SlateRepository {
    private static final String SLATE = "SELECT id, frame_id, created_at, version, recipe_id, redo_id,"
            + " accepted_sheet_id, touched_at FROM slate ";

    private final Database database;

    public SlateRepository(Database database) {
        this.database = database;
    }

    /** All slates, the one touched last first. */
    public List<Slate> all() {
        return database.sql()
                .sql(SLATE + "ORDER BY touched_at DESC, id")
                .query(Slate.class)
                .list();
    }

    public Optional<Slate> find(String id) {
        return database.sql()
                .sql(SLATE + "WHERE id = ?")
                .param(id)
                .query(Slate.class)
                .optional();
    }

    public List<Slate> ofFrame(String frameId) {
        return database.sql()
                .sql(SLATE + "WHERE frame_id = ? ORDER BY created_at")
                .param(frameId)
                .query(Slate.class)
                .list();
    }

    public void add(Slate slate) {
        database.sql()
                .sql("INSERT INTO slate (id, frame_id, created_at, version, recipe_id, redo_id, accepted_sheet_id,"
                        + " touched_at) VALUES (:id, :frameId, :createdAt, :version, :recipeId, :redoId,"
                        + " :acceptedSheetId, :touchedAt)")
                .paramSource(slate)
                .update();
    }

    /**
     * Stores the slate's pointers as the next version.
     *
     * @return false when someone else was faster: the stored version is not {@code slate.version()}
     */
    public boolean advance(Slate slate) {
        return database.sql()
                        .sql("UPDATE slate SET version = version + 1, recipe_id = :recipeId, redo_id = :redoId,"
                                + " accepted_sheet_id = :acceptedSheetId, touched_at = :touchedAt"
                                + " WHERE id = :id AND version = :version")
                        .paramSource(slate)
                        .update()
                == 1;
    }
}
