package keyslate.store.bench;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import keyslate.store.Database;
import keyslate.store.json.Json;
import keyslate.store.json.StoredConstant;

/** What was found of things; nothing of it is ever changed, only taken back. */
public final class ConstantRepository {
    private static final String ALL =
            "SELECT id, thing_id, lens_id, name, found_at, source, value, readings, remark, undone_at"
                    + " FROM constant ";
    private static final String LAST =
            "undone_at IS NULL AND NOT EXISTS (SELECT 1 FROM constant AS later WHERE later.thing_id ="
                    + " constant.thing_id AND later.lens_id = constant.lens_id AND later.name = constant.name AND later.undone_at IS"
                    + " NULL AND (later.found_at > constant.found_at OR later.found_at = constant.found_at AND later.rowid >"
                    + " constant.rowid))";

    private final Database database;

    public ConstantRepository(Database database) {
        this.database = database;
    }

    /** Of these things, what counts now. */
    public List<Constant> of(Collection<String> thingIds) {
        return database.sql()
                .sql(ALL + "WHERE thing_id IN (:ids) AND " + LAST + " ORDER BY name, lens_id")
                .param("ids", thingIds)
                .query(ConstantRepository::constant)
                .list();
    }

    /** Of everything, what counts now. */
    public List<Constant> all() {
        return database.sql()
                .sql(ALL + "WHERE " + LAST + " ORDER BY name, lens_id")
                .query(ConstantRepository::constant)
                .list();
    }

    /** Of one thing all that was ever found, the newest first, what was taken back included. */
    public List<Constant> history(String thingId) {
        return database.sql()
                .sql(ALL + "WHERE thing_id = ? ORDER BY found_at DESC, rowid DESC")
                .param(thingId)
                .query(ConstantRepository::constant)
                .list();
    }

    public Optional<Constant> find(String id) {
        return database.sql()
                .sql(ALL + "WHERE id = ?")
                .param(id)
                .query(ConstantRepository::constant)
                .optional();
    }

    public void add(Constant constant) {
        database.sql()
                .sql(
                        "INSERT INTO constant (id, thing_id, lens_id, name, found_at, source, value, readings, remark, undone_at)"
                                + " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)")
                .params(java.util.Arrays.asList(
                        constant.id(),
                        constant.thingId(),
                        constant.lensId(),
                        constant.name(),
                        constant.foundAt(),
                        constant.source(),
                        Json.write(constant.value()),
                        constant.readings(),
                        constant.remark(),
                        constant.undoneAt()))
                .update();
    }

    /** Takes one back: the one before it counts again. */
    public void undo(String id, String at) {
        database.sql()
                .sql("UPDATE constant SET undone_at = ? WHERE id = ? AND undone_at IS NULL")
                .params(at, id)
                .update();
    }

    private static Constant constant(ResultSet row, int number) throws SQLException {
        return new Constant(
                row.getString("id"),
                row.getString("thing_id"),
                row.getString("lens_id"),
                row.getString("name"),
                row.getString("found_at"),
                row.getString("source"),
                Json.read(row.getString("value"), StoredConstant.class),
                row.getString("readings"),
                row.getString("remark"),
                row.getString("undone_at"));
    }
}
