package keyslate.store.bench;

import java.util.List;
import java.util.Optional;
import keyslate.store.Database;

/** Equipment, paper and baths. */
public final class StoresRepository {
    private static final String ENLARGER =
            "SELECT id, name, head, lamp, dials, strength_log10, lag_seconds, lag_source,"
                    + " column_mm, column_source FROM enlarger";
    private static final String LENS =
            "SELECT id, name, focal_mm, open_mark, smallest_mark, marks_per_stop, covers_mm FROM lens";
    private static final String PAPER = "SELECT id, name, kind, base, width_mm, height_mm, batch, sheets_in_box,"
            + " sheets_left, reserve_sheets, counted, start_light FROM paper";
    private static final String BATH = "SELECT id, place, process, name, mixed_at, capacity_m2, used_m2 FROM bath";

    private final Database database;

    public StoresRepository(Database database) {
        this.database = database;
    }

    public List<Enlarger> enlargers() {
        return all(Enlarger.class, ENLARGER + " ORDER BY rowid");
    }

    public List<Lens> lenses() {
        return all(Lens.class, LENS + " ORDER BY focal_mm");
    }

    public List<Paper> papers() {
        return all(Paper.class, PAPER + " ORDER BY rowid");
    }

    public List<Bath> baths() {
        return all(Bath.class, BATH + " ORDER BY process DESC, place");
    }

    public Optional<Enlarger> enlarger(String id) {
        return one(Enlarger.class, ENLARGER + " WHERE id = ?", id);
    }

    public Optional<Lens> lens(String id) {
        return one(Lens.class, LENS + " WHERE id = ?", id);
    }

    public Optional<Paper> paper(String id) {
        return one(Paper.class, PAPER + " WHERE id = ?", id);
    }

    public void add(Enlarger enlarger) {
        insert(
                "INSERT INTO enlarger (id, name, head, lamp, dials, strength_log10, lag_seconds, lag_source, column_mm,"
                        + " column_source) VALUES (:id, :name, :head, :lamp, :dials, :strengthLog10, :lagSeconds,"
                        + " :lagSource, :columnMm, :columnSource)",
                enlarger);
    }

    public void add(Lens lens) {
        insert(
                "INSERT INTO lens (id, name, focal_mm, open_mark, smallest_mark, marks_per_stop, covers_mm) VALUES"
                        + " (:id, :name, :focalMm, :openMark, :smallestMark, :marksPerStop, :coversMm)",
                lens);
    }

    public void add(Paper paper) {
        insert(
                "INSERT INTO paper (id, name, kind, base, width_mm, height_mm, batch, sheets_in_box, sheets_left,"
                        + " reserve_sheets, counted, start_light) VALUES (:id, :name, :kind, :base, :widthMm, :heightMm, :batch,"
                        + " :sheetsInBox, :sheetsLeft, :reserveSheets, :counted, :startLight)",
                paper);
    }

    public void add(Bath bath) {
        insert(
                "INSERT INTO bath (id, place, process, name, mixed_at, capacity_m2, used_m2) VALUES (:id, :place,"
                        + " :process, :name, :mixedAt, :capacityM2, :usedM2)",
                bath);
    }

    /** Takes a share of a sheet out of a box; a box never holds less than nothing. */
    public void usePaper(String paperId, double sheets) {
        database.sql()
                .sql("UPDATE paper SET sheets_left = max(0, sheets_left - ?) WHERE id = ?")
                .params(sheets, paperId)
                .update();
    }

    /** Adds the area of a processed sheet to every bath of its process. */
    public void useBaths(String process, double squareMetres) {
        database.sql()
                .sql("UPDATE bath SET used_m2 = used_m2 + ? WHERE process = ?")
                .params(squareMetres, process)
                .update();
    }

    private <T> List<T> all(Class<T> type, String sql) {
        return database.sql().sql(sql).query(type).list();
    }

    private <T> Optional<T> one(Class<T> type, String sql, String id) {
        return database.sql().sql(sql).param(id).query(type).optional();
    }

    private void insert(String sql, Object row) {
        database.sql().sql(sql).paramSource(row).update();
    }

    /** Counts a box of paper anew. */
    public void count(String paperId, int inBox, double left) {
        database.sql()
                .sql("UPDATE paper SET sheets_in_box = ?, sheets_left = ?, counted = 1 WHERE id = ?")
                .params(inBox, left, paperId)
                .update();
    }
}
