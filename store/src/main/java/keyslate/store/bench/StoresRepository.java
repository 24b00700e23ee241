package keyslate.store.bench;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import keyslate.store.Database;
import keyslate.store.json.Json;
import keyslate.store.json.StoredFacts;

/** Equipment, paper and baths. */
public final class StoresRepository {
    private static final String ENLARGER =
            "SELECT id, name, head, lamp, dials, strength_log10, lag_seconds, lag_source,"
                    + " column_mm, column_source FROM enlarger";
    private static final String LENS =
            "SELECT id, name, focal_mm, open_mark, smallest_mark, marks_per_stop, covers_mm FROM lens";
    private static final String PAPER = "SELECT id, name, kind, base, width_mm, height_mm, batch, sheets_in_box,"
            + " sheets_left, reserve_sheets, counted, start_light, surface, opened_on, sheet_price, grade FROM paper";
    private static final String THING = "SELECT id, kind, name, facts, added_at, retired_at FROM thing";
    private static final String IN_USE = " WHERE retired_at IS NULL";
    /** Tables of which a row is retired and never deleted. */
    private static final List<String> SHELVES = List.of("enlarger", "lens", "paper", "bath", "thing");

    private static final String BATH =
            "SELECT id, place, process, name, mixed_at, capacity_m2, used_m2, least_seconds FROM bath";

    private final Database database;

    public StoresRepository(Database database) {
        this.database = database;
    }

    public List<Enlarger> enlargers() {
        return all(Enlarger.class, ENLARGER + IN_USE + " ORDER BY rowid");
    }

    public List<Lens> lenses() {
        return all(Lens.class, LENS + IN_USE + " ORDER BY focal_mm");
    }

    public List<Paper> papers() {
        return all(Paper.class, PAPER + IN_USE + " ORDER BY rowid");
    }

    public List<Bath> baths() {
        return all(Bath.class, BATH + IN_USE + " ORDER BY process DESC, place");
    }

    public Optional<Bath> bath(String id) {
        return one(Bath.class, BATH + " WHERE id = ?", id);
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
                        + " reserve_sheets, counted, start_light, surface, opened_on, sheet_price, grade) VALUES (:id, :name, :kind, :base, :widthMm, :heightMm,"
                        + " :batch, :sheetsInBox, :sheetsLeft, :reserveSheets, :counted, :startLight, coalesce(:surface, ''),"
                        + " coalesce(:openedOn, ''), :sheetPrice, :grade)",
                paper);
    }

    public void add(Bath bath) {
        insert(
                "INSERT INTO bath (id, place, process, name, mixed_at, capacity_m2, used_m2, least_seconds) VALUES (:id, :place,"
                        + " :process, :name, :mixedAt, :capacityM2, :usedM2, :leastSeconds)",
                bath);
    }

    public void put(Enlarger enlarger) {
        insert(
                "UPDATE enlarger SET name = :name, head = :head, lamp = :lamp, dials = :dials, strength_log10 ="
                        + " :strengthLog10, lag_seconds = :lagSeconds, lag_source = :lagSource, column_mm = :columnMm,"
                        + " column_source = :columnSource WHERE id = :id",
                enlarger);
    }

    public void put(Bath bath) {
        insert(
                "UPDATE bath SET place = :place, process = :process, name = :name, mixed_at = :mixedAt, capacity_m2 = :capacityM2,"
                        + " used_m2 = :usedM2, least_seconds = :leastSeconds WHERE id = :id",
                bath);
    }

    public void put(Lens lens) {
        insert(
                "UPDATE lens SET name = :name, focal_mm = :focalMm, open_mark = :openMark, smallest_mark = :smallestMark,"
                        + " marks_per_stop = :marksPerStop, covers_mm = :coversMm WHERE id = :id",
                lens);
    }

    public void put(Paper paper) {
        insert(
                "UPDATE paper SET name = :name, kind = :kind, base = :base, width_mm = :widthMm, height_mm = :heightMm,"
                        + " batch = :batch, sheets_in_box = :sheetsInBox, sheets_left = :sheetsLeft, reserve_sheets ="
                        + " :reserveSheets, counted = :counted, start_light = :startLight, surface = coalesce(:surface, ''),"
                        + " opened_on = coalesce(:openedOn, ''), sheet_price = :sheetPrice, grade = :grade"
                        + " WHERE id = :id",
                paper);
    }

    /** Things besides enlargers, lenses and paper that are in use. */
    public List<Thing> things() {
        return database.sql()
                .sql(THING + IN_USE + " ORDER BY kind, rowid")
                .query(StoresRepository::thing)
                .list();
    }

    /** Things of a kind, in use or retired. */
    public List<Thing> thingsOf(String kind) {
        return database.sql()
                .sql(THING + " WHERE kind = ? ORDER BY rowid")
                .param(kind)
                .query(StoresRepository::thing)
                .list();
    }

    public Optional<Thing> thing(String id) {
        return database.sql()
                .sql(THING + " WHERE id = ?")
                .param(id)
                .query(StoresRepository::thing)
                .optional();
    }

    /** Adds a thing, or changes what is said of it. */
    public void put(Thing thing) {
        database.sql()
                .sql("INSERT INTO thing (id, kind, name, facts, added_at, retired_at) VALUES (?, ?, ?, ?, ?, ?)"
                        + " ON CONFLICT (id) DO UPDATE SET name = excluded.name, facts = excluded.facts")
                .params(Arrays.asList(
                        thing.id(),
                        thing.kind(),
                        thing.name(),
                        Json.write(thing.facts()),
                        thing.addedAt(),
                        thing.retiredAt()))
                .update();
    }

    private static Thing thing(ResultSet row, int number) throws SQLException {
        return new Thing(
                row.getString("id"),
                row.getString("kind"),
                row.getString("name"),
                Json.read(row.getString("facts"), StoredFacts.class),
                row.getString("added_at"),
                row.getString("retired_at"));
    }

    /** What is retired: its id, its name and its shelf, the last one first. */
    public record Retired(String id, String name, String shelf, String retiredAt) {}

    public List<Retired> retired() {
        String each = SHELVES.stream()
                .map(shelf -> "SELECT id, name, '" + shelf + "' AS shelf, retired_at FROM " + shelf
                        + " WHERE retired_at IS NOT NULL")
                .collect(Collectors.joining(" UNION ALL "));
        return all(Retired.class, each + " ORDER BY retired_at DESC");
    }

    /** Retires a thing of whichever shelf, or takes it into use again; whether there is one. */
    public boolean retire(String id, String at) {
        return SHELVES.stream()
                .mapToInt(shelf -> database.sql()
                        .sql("UPDATE " + shelf + " SET retired_at = ? WHERE id = ?")
                        .params(Arrays.asList(at, id))
                        .update())
                .anyMatch(changed -> changed > 0);
    }

    /** Pieces that were cut and lie in a box. */
    public record PieceStock(String paperId, double longMm, double shortMm, int pieces) {}

    public List<PieceStock> pieces() {
        return all(
                PieceStock.class, "SELECT paper_id, long_mm, short_mm, pieces FROM piece_stock ORDER BY long_mm DESC");
    }

    /** Says how many pieces of a size lie in a box; none any more with 0. */
    public void put(PieceStock stock) {
        String sql = stock.pieces() == 0
                ? "DELETE FROM piece_stock WHERE paper_id = :paperId AND long_mm = :longMm AND short_mm = :shortMm"
                : "INSERT OR REPLACE INTO piece_stock (paper_id, long_mm, short_mm, pieces) VALUES (:paperId, :longMm,"
                        + " :shortMm, :pieces)";
        insert(sql, stock);
    }

    /** A preference of the user's, where one was said. */
    public Optional<String> preference(String name) {
        return database.sql()
                .sql("SELECT value FROM preference WHERE name = ?")
                .param(name)
                .query(String.class)
                .optional();
    }

    public void prefer(String name, String value) {
        database.sql()
                .sql("INSERT OR REPLACE INTO preference (name, value) VALUES (?, ?)")
                .params(name, value)
                .update();
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
                .sql("UPDATE bath SET used_m2 = used_m2 + ? WHERE process = ? AND retired_at IS NULL")
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
