package keyslate.store.negative;

import java.util.List;
import java.util.Optional;
import keyslate.store.Database;

/** Rolls, frames and every stored picture. */
public final class RollRepository {
    private static final String PICTURE = "SELECT id, media_type, encoding, width_px, height_px FROM picture ";

    private final Database database;

    public RollRepository(Database database) {
        this.database = database;
    }

    public List<Roll> rolls() {
        return database.sql()
                .sql("SELECT * FROM roll ORDER BY added_at, title")
                .query(Roll.class)
                .list();
    }

    public Optional<Roll> roll(String id) {
        return database.sql()
                .sql("SELECT * FROM roll WHERE id = ?")
                .param(id)
                .query(Roll.class)
                .optional();
    }

    /** The frames of a roll in the order of their numbers. */
    public List<Frame> framesOf(String rollId) {
        return database.sql()
                .sql("SELECT * FROM frame WHERE roll_id = ? ORDER BY CAST(number AS INTEGER), number")
                .param(rollId)
                .query(Frame.class)
                .list();
    }

    public Optional<Frame> frame(String id) {
        return database.sql()
                .sql("SELECT * FROM frame WHERE id = ?")
                .param(id)
                .query(Frame.class)
                .optional();
    }

    public void add(Roll roll) {
        database.sql()
                .sql("INSERT INTO roll VALUES (:id, :title, :film, :longMm, :shortMm, :addedAt)")
                .paramSource(roll)
                .update();
    }

    public void add(Frame frame) {
        database.sql()
                .sql("INSERT INTO frame VALUES (:id, :rollId, :number, :title, :caption, :upright, :pictureId)")
                .paramSource(frame)
                .update();
    }

    public void add(Picture picture, byte[] bytes) {
        database.sql()
                .sql("INSERT INTO picture VALUES (?, ?, ?, ?, ?, ?)")
                .params(
                        picture.id(),
                        picture.mediaType(),
                        picture.encoding(),
                        picture.widthPx(),
                        picture.heightPx(),
                        bytes)
                .update();
    }

    public Optional<Picture> picture(String id) {
        return database.sql()
                .sql(PICTURE + "WHERE id = ?")
                .param(id)
                .query(Picture.class)
                .optional();
    }

    /** The picture file as it was put in. */
    public Optional<byte[]> pictureBytes(String id) {
        return database.sql()
                .sql("SELECT bytes FROM picture WHERE id = ?")
                .param(id)
                .query((row, n) -> row.getBytes(1))
                .optional();
    }
}
