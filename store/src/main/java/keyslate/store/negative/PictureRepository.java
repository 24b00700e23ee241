package keyslate.store.negative;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.Enumeration;
import java.util.List;
import java.util.Optional;
import keyslate.store.Database;

/** Picture files: kept as they were put in, in parts, beside a working copy that is small enough to be read whole. */
public final class PictureRepository {
    /** No more than this of a file is in memory at once. */
    public static final int PART_BYTES = 1 << 20;

    private static final String PICTURE =
            "SELECT id, media_type, encoding, width_px, height_px, size_bytes, profiled, negative, corners FROM picture WHERE id = ?";

    private final Database database;

    public PictureRepository(Database database) {
        this.database = database;
    }

    /** The working copy of a picture, in the picture's own encoding. */
    public record Working(String mediaType, byte[] bytes) {}

    public Optional<Picture> find(String id) {
        return database.sql().sql(PICTURE).param(id).query(Picture.class).optional();
    }

    /** Stores a picture with its file, read to its end, and its working copy. */
    public void add(Picture picture, InputStream file, Working working) {
        database.sql()
                .sql(
                        "INSERT INTO picture (id, media_type, encoding, width_px, height_px, size_bytes, profiled, negative,"
                                + " corners)"
                                + " VALUES (:id, :mediaType, :encoding, :widthPx, :heightPx, :sizeBytes, :profiled, :negative,"
                                + " :corners)")
                .paramSource(picture)
                .update();
        try {
            int place = 1;
            byte[] part = file.readNBytes(PART_BYTES);
            while (part.length > 0) {
                database.sql()
                        .sql("INSERT INTO picture_part (picture_id, place, bytes) VALUES (?, ?, ?)")
                        .params(picture.id(), place++, part)
                        .update();
                part = file.readNBytes(PART_BYTES);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        database.sql()
                .sql("INSERT INTO picture_working (picture_id, media_type, bytes) VALUES (?, ?, ?)")
                .params(picture.id(), working.mediaType(), working.bytes())
                .update();
    }

    public Optional<Working> working(String id) {
        return database.sql()
                .sql("SELECT media_type, bytes FROM picture_working WHERE picture_id = ?")
                .param(id)
                .query((row, n) -> new Working(row.getString(1), row.getBytes(2)))
                .optional();
    }

    /** Deletes those of these pictures that neither a frame nor a sheet nor a roll shows any more. */
    public void deleteUnused(List<String> ids) {
        for (String id : ids) {
            boolean used = database.sql()
                            .sql("SELECT (SELECT count(*) FROM frame WHERE picture_id = :id)"
                                    + " + (SELECT count(*) FROM scan WHERE picture_id = :id)"
                                    + " + (SELECT count(*) FROM roll WHERE sleeve_picture_id = :id)")
                            .param("id", id)
                            .query(Integer.class)
                            .single()
                    > 0;
            if (!used) {
                List.of(
                                "DELETE FROM picture_part WHERE picture_id = ?",
                                "DELETE FROM picture_working WHERE picture_id = ?",
                                "DELETE FROM picture WHERE id = ?")
                        .forEach(statement ->
                                database.sql().sql(statement).param(id).update());
            }
        }
    }

    /** The file as it was put in; no more than a part of it is in memory at once. */
    public InputStream open(String id) {
        return new SequenceInputStream(new Enumeration<>() {
            private int place = 1;
            private Optional<byte[]> next = part(id, place);

            @Override
            public boolean hasMoreElements() {
                return next.isPresent();
            }

            @Override
            public InputStream nextElement() {
                InputStream part = new ByteArrayInputStream(next.orElseThrow());
                next = part(id, ++place);
                return part;
            }
        });
    }

    private Optional<byte[]> part(String id, int place) {
        return database.sql()
                .sql("SELECT bytes FROM picture_part WHERE picture_id = ? AND place = ?")
                .params(Arrays.asList(id, place))
                .query((row, n) -> row.getBytes(1))
                .optional();
    }
}
