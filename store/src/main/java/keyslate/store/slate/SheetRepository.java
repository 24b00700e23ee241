package keyslate.store.slate;

import java.util.List;
import java.util.Optional;
import keyslate.store.Database;

/** Sheets with their scripts, what the lamp did, and the decisions taken from them. */
public final class SheetRepository {
    private final Database database;

    public SheetRepository(Database database) {
        this.database = database;
    }

    /** The sheets of a slate in the order they were made. */
    public List<Sheet> of(String slateId) {
        return list(Sheet.class, "SELECT * FROM sheet WHERE slate_id = ? ORDER BY number", slateId);
    }

    public Optional<Sheet> find(String id) {
        return list(Sheet.class, "SELECT * FROM sheet WHERE id = ?", id).stream()
                .findFirst();
    }

    /** Sheets whose exposure was begun and not ended. */
    public List<Sheet> exposing() {
        return database.sql()
                .sql("SELECT * FROM sheet WHERE state = 'EXPOSING' ORDER BY begun_at")
                .query(Sheet.class)
                .list();
    }

    public List<Burst> burstsOf(String sheetId) {
        return list(Burst.class, "SELECT * FROM burst WHERE sheet_id = ? ORDER BY place", sheetId);
    }

    public List<LampRecord> lampOf(String sheetId) {
        return list(LampRecord.class, "SELECT * FROM lamp WHERE sheet_id = ? ORDER BY burst_place, attempt", sheetId);
    }

    public List<Decision> decisionsOf(String slateId) {
        return list(Decision.class, "SELECT * FROM decision WHERE slate_id = ? ORDER BY made_at, rowid", slateId);
    }

    public void add(Sheet sheet) {
        insert(
                "INSERT INTO sheet VALUES (:id, :slateId, :number, :kind, :recipeId, :begunAt, :state, :endedAt,"
                        + " :paperUsed, :magnification, :viewLeft, :viewTop, :viewWidth, :viewHeight, :pictureId,"
                        + " :speedOffsetStops, :note)",
                sheet);
    }

    public void add(Burst burst) {
        insert(
                "INSERT INTO burst VALUES (:sheetId, :place, :kind, :filter, :setSeconds, :receivedSeconds, :patch,"
                        + " :patchTotalSeconds, :held, :burned)",
                burst);
    }

    public void add(LampRecord lamp) {
        insert(
                "INSERT INTO lamp VALUES (:sheetId, :burstPlace, :attempt, :setSeconds, :onAt, :offAt, :givenSeconds,"
                        + " :outcome)",
                lamp);
    }

    public void add(Decision decision) {
        insert(
                "INSERT INTO decision VALUES (:id, :slateId, :sheetId, :kind, :madeAt, :whitesAt, :blacksAt,"
                        + " :darkerStops, :harderGrades, :remark, :headline, :why, :proposedFilter, :proposedSeconds,"
                        + " :overruled, :takenFilter, :takenSeconds)",
                decision);
    }

    /** Completes the record of a lamp that was on. */
    public void lampOff(LampRecord lamp) {
        insert(
                "UPDATE lamp SET off_at = :offAt, given_seconds = :givenSeconds, outcome = :outcome WHERE sheet_id ="
                        + " :sheetId AND burst_place = :burstPlace AND attempt = :attempt AND off_at IS NULL",
                lamp);
    }

    /** Ends the exposure of a sheet: hung with its picture, or abandoned. */
    public void end(Sheet sheet) {
        insert(
                "UPDATE sheet SET state = :state, ended_at = :endedAt, picture_id = :pictureId, speed_offset_stops ="
                        + " :speedOffsetStops, note = :note WHERE id = :id",
                sheet);
    }

    private <T> List<T> list(Class<T> type, String sql, String id) {
        return database.sql().sql(sql).param(id).query(type).list();
    }

    private void insert(String sql, Object row) {
        database.sql().sql(sql).paramSource(row).update();
    }
}
