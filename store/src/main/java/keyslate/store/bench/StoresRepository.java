package keyslate.store.bench;

import java.util.List;
import java.util.Optional;
import keyslate.store.Database;

/** Equipment, paper and baths. */
public final class StoresRepository {
    private final Database database;

    public StoresRepository(Database database) {
        this.database = database;
    }

    public List<Enlarger> enlargers() {
        return all(Enlarger.class, "SELECT * FROM enlarger ORDER BY rowid");
    }

    public List<Lens> lenses() {
        return all(Lens.class, "SELECT * FROM lens ORDER BY focal_mm");
    }

    public List<Paper> papers() {
        return all(Paper.class, "SELECT * FROM paper ORDER BY rowid");
    }

    public List<Bath> baths() {
        return all(Bath.class, "SELECT * FROM bath ORDER BY place");
    }

    public Optional<Enlarger> enlarger(String id) {
        return one(Enlarger.class, "SELECT * FROM enlarger WHERE id = ?", id);
    }

    public Optional<Lens> lens(String id) {
        return one(Lens.class, "SELECT * FROM lens WHERE id = ?", id);
    }

    public Optional<Paper> paper(String id) {
        return one(Paper.class, "SELECT * FROM paper WHERE id = ?", id);
    }

    public void add(Enlarger enlarger) {
        insert(
                "INSERT INTO enlarger VALUES (:id, :name, :head, :strengthLog10, :lagSeconds, :lagSource, :columnMm)",
                enlarger);
    }

    public void add(Lens lens) {
        insert(
                "INSERT INTO lens VALUES (:id, :name, :focalMm, :openMark, :smallestMark, :marksPerStop, :coversMm)",
                lens);
    }

    public void add(Paper paper) {
        insert(
                "INSERT INTO paper VALUES (:id, :name, :base, :widthMm, :heightMm, :batch, :sheetsInBox, :sheetsLeft,"
                        + " :reserveSheets)",
                paper);
    }

    public void add(Bath bath) {
        insert("INSERT INTO bath VALUES (:id, :place, :name, :mixedAt, :capacityM2, :usedM2)", bath);
    }

    /** Takes a share of a sheet out of a box; a box never holds less than nothing. */
    public void usePaper(String paperId, double sheets) {
        database.sql()
                .sql("UPDATE paper SET sheets_left = max(0, sheets_left - ?) WHERE id = ?")
                .params(sheets, paperId)
                .update();
    }

    /** Adds the area of a processed sheet to every bath. */
    public void useBaths(double squareMetres) {
        database.sql()
                .sql("UPDATE bath SET used_m2 = used_m2 + ?")
                .params(squareMetres)
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
}
