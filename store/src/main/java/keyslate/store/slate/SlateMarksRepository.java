package keyslate.store.slate;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import keyslate.store.Database;
import keyslate.store.json.Json;
import keyslate.store.json.ToldMark;

/** What slates told, one row each, made anew with every reading. */
public final class SlateMarksRepository {
    private final Database database;

    public SlateMarksRepository(Database database) {
        this.database = database;
    }

    /** Another one after every change, so that what was computed from these can be kept until then. */
    public String state(String paperName, String enlargerId) {
        return database.sql()
                .sql(
                        "SELECT count(*) || ' ' || coalesce(max(told_at), '') FROM slate_marks WHERE enlarger_id = ? AND paper_name = ?")
                .params(enlargerId, paperName)
                .query(String.class)
                .single();
    }

    /** Puts what a slate tells in place of what it told before. */
    public void put(SlateMarks told) {
        database.sql()
                .sql(
                        "INSERT INTO slate_marks (slate_id, paper_name, enlarger_id, lag_seconds, marks, guess_stops, told_at) VALUES (?, ?, ?, ?, ?, ?, ?)"
                                + " ON CONFLICT (slate_id) DO UPDATE SET paper_name = excluded.paper_name, enlarger_id = excluded.enlarger_id,"
                                + " lag_seconds = excluded.lag_seconds, marks = excluded.marks, guess_stops = excluded.guess_stops, told_at = excluded.told_at")
                .params(Arrays.asList(
                        told.slateId(),
                        told.paperName(),
                        told.enlargerId(),
                        told.lagSeconds(),
                        Json.write(told.marks()),
                        told.guessStops(),
                        told.toldAt()))
                .update();
    }

    /** The slates on a paper under an enlarger, those that told last first. */
    public List<SlateMarks> of(String paperName, String enlargerId, int most) {
        return database.sql()
                .sql(
                        "SELECT slate_id, paper_name, enlarger_id, lag_seconds, marks, guess_stops, told_at FROM slate_marks"
                                + " WHERE enlarger_id = ? AND paper_name = ? ORDER BY told_at DESC, slate_id LIMIT ?")
                .params(enlargerId, paperName, most)
                .query(SlateMarksRepository::row)
                .list();
    }

    private static SlateMarks row(ResultSet row, int number) throws SQLException {
        return new SlateMarks(
                row.getString("slate_id"),
                row.getString("paper_name"),
                row.getString("enlarger_id"),
                row.getDouble("lag_seconds"),
                List.of(Json.read(row.getString("marks"), ToldMark[].class)),
                row.getObject("guess_stops") == null ? null : row.getDouble("guess_stops"),
                row.getString("told_at"));
    }
}
