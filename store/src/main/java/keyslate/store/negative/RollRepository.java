package keyslate.store.negative;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import keyslate.store.Database;
import keyslate.store.json.Json;

/** Rolls and frames. */
public final class RollRepository {
    private static final String ROLL =
            "SELECT id, title, film, kind, long_mm, short_mm, strip_frames, odd_first, added_at, put_away_at FROM roll ";
    private static final String THERE = "WHERE (put_away_at IS NOT NULL) = ? ";
    /** Those with one moment by their ids, so that a page ends somewhere. */
    private static final String NEWEST_FIRST = " ORDER BY added_at DESC, id LIMIT ?";

    private static final String FRAME =
            "SELECT id, roll_id, number, title, caption, upright, picture_id, rating FROM frame ";

    private static final String NEED = "SELECT frame_id, against_id, more_stops, limit_stops, cast_hue, cast_points,"
            + " pack_magenta, pack_yellow, contrast, source, found_at FROM frame_need ";

    private static final String NOTES = "SELECT frame_id, people, consent, defects, beyond_rescue, base_density,"
            + " shadow_density, highlight_density, reader, marks FROM frame_notes ";

    private final Database database;

    public RollRepository(Database database) {
        this.database = database;
    }

    /** The rolls added last, in use or put away. */
    public List<Roll> first(boolean putAway, int most) {
        return database.sql()
                .sql(ROLL + THERE + NEWEST_FIRST)
                .params(putAway, most)
                .query(Roll.class)
                .list();
    }

    /** Those that were added before a roll was. */
    public List<Roll> after(Roll roll, boolean putAway, int most) {
        return database.sql()
                .sql(ROLL + THERE + "AND (added_at < ? OR added_at = ? AND id > ?)" + NEWEST_FIRST)
                .params(putAway, roll.addedAt(), roll.addedAt(), roll.id(), most)
                .query(Roll.class)
                .list();
    }

    /** How many are in use, or put away. */
    public int count(boolean putAway) {
        return database.sql()
                .sql("SELECT count(*) FROM roll " + THERE)
                .param(putAway)
                .query(Integer.class)
                .single();
    }

    /** How many are in use, or put away, up to a roll and with it. */
    public int countTo(Roll roll, boolean putAway) {
        return database.sql()
                .sql("SELECT count(*) FROM roll " + THERE + "AND (added_at > ? OR added_at = ? AND id <= ?)")
                .params(putAway, roll.addedAt(), roll.addedAt(), roll.id())
                .query(Integer.class)
                .single();
    }

    /** Puts a roll away, or with null back. */
    public void putAway(String id, String at) {
        database.sql()
                .sql("UPDATE roll SET put_away_at = ? WHERE id = ?")
                .params(Arrays.asList(at, id))
                .update();
    }

    /** The frame with a subject, on whichever roll. */
    public Optional<Frame> frameTitled(String title) {
        return database.sql()
                .sql(FRAME + "WHERE title = ? LIMIT 1")
                .param(title)
                .query(Frame.class)
                .optional();
    }

    /** Deletes a roll with its frames and their pictures; no slate of any of them may be left. */
    public void delete(String id) {
        List<String> pictures = database.sql()
                .sql("SELECT picture_id FROM frame WHERE roll_id = ? AND picture_id IS NOT NULL"
                        + " UNION SELECT sleeve_picture_id FROM roll WHERE id = ? AND sleeve_picture_id IS NOT NULL")
                .params(id, id)
                .query(String.class)
                .list();
        List.of(
                        "DELETE FROM frame_notes WHERE frame_id IN (SELECT id FROM frame WHERE roll_id = ?)",
                        "DELETE FROM frame_need WHERE frame_id IN (SELECT id FROM frame WHERE roll_id = ?)",
                        "DELETE FROM frame_need WHERE against_id IN (SELECT id FROM frame WHERE roll_id = ?)",
                        "DELETE FROM frame WHERE roll_id = ?",
                        "DELETE FROM roll_history WHERE roll_id = ?",
                        "DELETE FROM roll WHERE id = ?")
                .forEach(statement -> database.sql().sql(statement).param(id).update());
        new PictureRepository(database).deleteUnused(pictures);
    }

    public Optional<Roll> roll(String id) {
        return database.sql()
                .sql(ROLL + "WHERE id = ?")
                .param(id)
                .query(Roll.class)
                .optional();
    }

    public List<Roll> rolls(Collection<String> ids) {
        return database.sql()
                .sql(ROLL + "WHERE id IN (:ids)")
                .param("ids", ids)
                .query(Roll.class)
                .list();
    }

    public List<Frame> frames(Collection<String> ids) {
        return database.sql()
                .sql(FRAME + "WHERE id IN (:ids)")
                .param("ids", ids)
                .query(Frame.class)
                .list();
    }

    /** The frames of a roll in the order of their numbers. */
    public List<Frame> framesOf(String rollId) {
        return database.sql()
                .sql(FRAME + "WHERE roll_id = ? ORDER BY CAST(number AS INTEGER), number")
                .param(rollId)
                .query(Frame.class)
                .list();
    }

    public Optional<Frame> frame(String id) {
        return database.sql()
                .sql(FRAME + "WHERE id = ?")
                .param(id)
                .query(Frame.class)
                .optional();
    }

    public void add(Roll roll) {
        database.sql()
                .sql("INSERT INTO roll (id, title, film, kind, long_mm, short_mm, strip_frames, odd_first, added_at,"
                        + " put_away_at) VALUES (:id, :title, :film, :kind, :longMm, :shortMm, :stripFrames, :oddFirst,"
                        + " :addedAt, :putAwayAt)")
                .paramSource(roll)
                .update();
    }

    /** Changes what a roll is called and how it is cut. */
    public void update(Roll roll) {
        database.sql()
                .sql("UPDATE roll SET title = :title, film = :film, strip_frames = :stripFrames, odd_first = :oddFirst"
                        + " WHERE id = :id")
                .paramSource(roll)
                .update();
    }

    public void add(Frame frame) {
        database.sql()
                .sql("INSERT INTO frame (id, roll_id, number, title, caption, upright, picture_id, rating) VALUES (:id,"
                        + " :rollId, :number, :title, :caption, :upright, :pictureId, :rating)")
                .paramSource(frame)
                .update();
    }

    /** Changes what is said of a frame, its picture with it. */
    public void update(Frame frame) {
        database.sql()
                .sql("UPDATE frame SET title = :title, caption = :caption, upright = :upright, picture_id = :pictureId,"
                        + " rating = :rating WHERE id = :id")
                .paramSource(frame)
                .update();
    }

    /** The scan of the whole sleeve or proof sheet that frames are cut from, if there is one. */
    public Optional<String> sleevePicture(String rollId) {
        return database.sql()
                .sql("SELECT sleeve_picture_id FROM roll WHERE id = ? AND sleeve_picture_id IS NOT NULL")
                .param(rollId)
                .query(String.class)
                .optional();
    }

    /** Another scan of the whole, or with null none any more. */
    public void setSleevePicture(String rollId, String pictureId) {
        database.sql()
                .sql("UPDATE roll SET sleeve_picture_id = ? WHERE id = ?")
                .params(Arrays.asList(pictureId, rollId))
                .update();
    }

    /** What is known of a film; nothing is recorded of most. */
    public RollHistory history(String rollId) {
        return database.sql()
                .sql("SELECT roll_id, taken_on, camera, sleeve, nominal_iso, exposed_iso, development, remark"
                        + " FROM roll_history WHERE roll_id = ?")
                .param(rollId)
                .query(RollHistory.class)
                .optional()
                .orElseGet(() -> RollHistory.none(rollId));
    }

    public void put(RollHistory history) {
        database.sql()
                .sql("INSERT OR REPLACE INTO roll_history (roll_id, taken_on, camera, sleeve, nominal_iso, exposed_iso,"
                        + " development, remark) VALUES (:rollId, :takenOn, :camera, :sleeve, :nominalIso, :exposedIso,"
                        + " :development, :remark)")
                .paramSource(history)
                .update();
    }

    /** What is known of a negative beyond its line; nothing is recorded of most. */
    public FrameNotes notes(String frameId) {
        return database.sql()
                .sql(NOTES + "WHERE frame_id = ?")
                .param(frameId)
                .query(RollRepository::notes)
                .optional()
                .orElseGet(() -> FrameNotes.none(frameId));
    }

    /** Of these frames, what is known of those of which something is. */
    public List<FrameNotes> notesOf(Collection<String> frameIds) {
        return database.sql()
                .sql(NOTES + "WHERE frame_id IN (:ids)")
                .param("ids", frameIds)
                .query(RollRepository::notes)
                .list();
    }

    public void put(FrameNotes notes) {
        database.sql()
                .sql(
                        "INSERT OR REPLACE INTO frame_notes (frame_id, people, consent, defects, beyond_rescue, base_density,"
                                + " shadow_density, highlight_density, reader, marks) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)")
                .params(Arrays.asList(
                        notes.frameId(),
                        notes.people(),
                        notes.consent(),
                        notes.defects(),
                        notes.beyondRescue(),
                        notes.baseDensity(),
                        notes.shadowDensity(),
                        notes.highlightDensity(),
                        notes.reader(),
                        Json.write(notes.marks())))
                .update();
    }

    /** What a frame needs beside another one, where that was found. */
    public Optional<Need> need(String frameId) {
        return database.sql()
                .sql(NEED + "WHERE frame_id = ?")
                .param(frameId)
                .query(Need.class)
                .optional();
    }

    /** Of these frames, what those need of which it was found. */
    public List<Need> needsOf(Collection<String> frameIds) {
        return database.sql()
                .sql(NEED + "WHERE frame_id IN (:ids)")
                .param("ids", frameIds)
                .query(Need.class)
                .list();
    }

    public void put(Need need) {
        database.sql()
                .sql("INSERT OR REPLACE INTO frame_need (frame_id, against_id, more_stops, limit_stops, cast_hue,"
                        + " cast_points, pack_magenta, pack_yellow, contrast, source, found_at) VALUES (:frameId, :againstId,"
                        + " :moreStops, :limitStops, :castHue, :castPoints, :packMagenta, :packYellow, :contrast,"
                        + " :source, :foundAt)")
                .paramSource(need)
                .update();
    }

    public void deleteNeed(String frameId) {
        database.sql()
                .sql("DELETE FROM frame_need WHERE frame_id = ?")
                .param(frameId)
                .update();
    }

    private static FrameNotes notes(ResultSet row, int number) throws SQLException {
        return new FrameNotes(
                row.getString("frame_id"),
                row.getString("people"),
                row.getString("consent"),
                row.getString("defects"),
                row.getBoolean("beyond_rescue"),
                density(row, "base_density"),
                density(row, "shadow_density"),
                density(row, "highlight_density"),
                row.getString("reader"),
                Json.marks(row.getString("marks")));
    }

    private static Double density(ResultSet row, String column) throws SQLException {
        double found = row.getDouble(column);
        return row.wasNull() ? null : found;
    }
}
