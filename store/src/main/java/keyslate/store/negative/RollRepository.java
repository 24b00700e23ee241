package keyslate.store.negative;

import java.util.List;
import java.util.Optional;
import keyslate.store.Database;

/** Rolls and frames. */
public final class RollRepository {
    private static final String ROLL = "SELECT id, title, film, kind, long_mm, short_mm, added_at FROM roll ";
    private static final String FRAME = "SELECT id, roll_id, number, title, caption, upright, picture_id FROM frame ";

    private final Database database;

    public RollRepository(Database database) {
        this.database = database;
    }

    public List<Roll> rolls() {
        return database.sql()
                .sql(ROLL + "ORDER BY added_at, title")
                .query(Roll.class)
                .list();
    }

    public Optional<Roll> roll(String id) {
        return database.sql()
                .sql(ROLL + "WHERE id = ?")
                .param(id)
                .query(Roll.class)
                .optional();
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
                .sql("INSERT INTO roll (id, title, film, kind, long_mm, short_mm, added_at) VALUES (:id, :title, :film,"
                        + " :kind, :longMm, :shortMm, :addedAt)")
                .paramSource(roll)
                .update();
    }

    public void add(Frame frame) {
        database.sql()
                .sql("INSERT INTO frame (id, roll_id, number, title, caption, upright, picture_id) VALUES (:id,"
                        + " :rollId, :number, :title, :caption, :upright, :pictureId)")
                .paramSource(frame)
                .update();
    }
}
