package keyslate.store.slate;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import keyslate.store.Database;
import keyslate.store.negative.PictureRepository;

/** Slates. */
public final class SlateRepository {
    private static final String SLATE = "SELECT id, frame_id, roll_id, created_at, version, recipe_id, redo_id,"
            + " accepted_sheet_id, touched_at, put_away_at, practice FROM slate ";
    /** The one touched last first; those with one moment by their ids, so that a page ends somewhere. */
    private static final String LAST_FIRST = " ORDER BY touched_at DESC, id LIMIT ?";

    private static final String THERE = "WHERE (put_away_at IS NOT NULL) = ? ";
    /** What hangs on sheets, in an order that the references allow; then the sheets, and what hangs on recipes. */
    private static final List<String> OF_SHEETS = List.of("lamp", "event", "scan", "step", "piece");

    private static final List<String> OF_RECIPES = List.of("area", "base_part");

    private final Database database;

    public SlateRepository(Database database) {
        this.database = database;
    }

    /** The slates touched last, on the Bench or put away. */
    public List<Slate> first(boolean putAway, int most) {
        return database.sql()
                .sql(SLATE + THERE + LAST_FIRST)
                .params(putAway, most)
                .query(Slate.class)
                .list();
    }

    /** Those that were touched before a slate was. */
    public List<Slate> after(Slate slate, boolean putAway, int most) {
        return database.sql()
                .sql(SLATE + THERE + "AND (touched_at < ? OR touched_at = ? AND id > ?)" + LAST_FIRST)
                .params(putAway, slate.touchedAt(), slate.touchedAt(), slate.id(), most)
                .query(Slate.class)
                .list();
    }

    /** How many are on the Bench, or put away. */
    public int count(boolean putAway) {
        return database.sql()
                .sql("SELECT count(*) FROM slate " + THERE)
                .param(putAway)
                .query(Integer.class)
                .single();
    }

    /** How many are on the Bench, or put away, up to a slate and with it. */
    public int countTo(Slate slate, boolean putAway) {
        return database.sql()
                .sql("SELECT count(*) FROM slate " + THERE + "AND (touched_at > ? OR touched_at = ? AND id <= ?)")
                .params(putAway, slate.touchedAt(), slate.touchedAt(), slate.id())
                .query(Integer.class)
                .single();
    }

    /** Puts a slate away, or with null on the Bench again. */
    public void putAway(String id, String at) {
        database.sql()
                .sql("UPDATE slate SET put_away_at = ? WHERE id = ?")
                .params(Arrays.asList(at, id))
                .update();
    }

    /** Whether paper was exposed for a slate, or lies under the lamp, outside the practice darkroom: then it stays for good. */
    public boolean isExposed(String id) {
        return database.sql()
                        .sql("SELECT count(*) FROM exposed_slate WHERE id = ?")
                        .param(id)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** The same of any slate of a roll or of any frame of it. */
    public boolean isRollExposed(String rollId) {
        return database.sql()
                        .sql("SELECT count(*) FROM exposed_slate WHERE id IN (SELECT id FROM slate WHERE roll_id = ?"
                                + " OR frame_id IN (SELECT id FROM frame WHERE roll_id = ?))")
                        .params(rollId, rollId)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /**
     * Deletes a slate with everything that belongs to it but its frame.
     *
     * @throws org.springframework.dao.DataIntegrityViolationException when paper was exposed for it
     */
    public void delete(String id) {
        List<String> pictures = database.sql()
                .sql("SELECT picture_id FROM scan JOIN sheet ON sheet.id = scan.sheet_id WHERE sheet.slate_id = ?")
                .param(id)
                .query(String.class)
                .list();
        delete("DELETE FROM decision WHERE slate_id = ?", id);
        OF_SHEETS.forEach(table ->
                delete("DELETE FROM " + table + " WHERE sheet_id IN (SELECT id FROM sheet WHERE slate_id = ?)", id));
        // The practice darkroom alone gets here with a scan, and its recipes and sheets point at each other.
        delete("UPDATE slate SET accepted_sheet_id = NULL WHERE id = ?", id);
        delete("DELETE FROM sheet WHERE slate_id = ?", id);
        OF_RECIPES.forEach(table ->
                delete("DELETE FROM " + table + " WHERE recipe_id IN (SELECT id FROM recipe WHERE slate_id = ?)", id));
        delete("DELETE FROM recipe WHERE slate_id = ?", id);
        delete("DELETE FROM slate WHERE id = ?", id);
        new PictureRepository(database).deleteUnused(pictures);
    }

    private void delete(String statement, String id) {
        database.sql().sql(statement).param(id).update();
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

    /** The slates of all frames of a roll, the one that was touched last first. */
    public List<Slate> ofFramesOf(String rollId) {
        return database.sql()
                .sql(SLATE + "WHERE frame_id IN (SELECT id FROM frame WHERE roll_id = ?) ORDER BY touched_at DESC, id")
                .param(rollId)
                .query(Slate.class)
                .list();
    }

    /** The proofs of a roll, the oldest first. */
    public List<Slate> proofsOf(String rollId) {
        return database.sql()
                .sql(SLATE + "WHERE roll_id = ? ORDER BY created_at")
                .param(rollId)
                .query(Slate.class)
                .list();
    }

    public void add(Slate slate) {
        database.sql()
                .sql(
                        "INSERT INTO slate (id, frame_id, roll_id, created_at, version, recipe_id, redo_id, accepted_sheet_id,"
                                + " touched_at, put_away_at, practice) VALUES (:id, :frameId, :rollId, :createdAt, :version, :recipeId,"
                                + " :redoId, :acceptedSheetId, :touchedAt, :putAwayAt, :practice)")
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
