package keyslate.store.bench;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import keyslate.store.Database;
import keyslate.store.json.Json;

/** The kits of viewing filters of a bench. */
public final class KitRepository {
    private final Database database;

    public KitRepository(Database database) {
        this.database = database;
    }

    /** The one taken up last first. */
    public List<Kit> all() {
        return database.sql()
                .sql("SELECT name, says, strengths FROM viewing_kit ORDER BY taken_at DESC, name")
                .query((row, n) -> of(row))
                .list();
    }

    /** The kit of a name, in whatever case. */
    public Optional<Kit> find(String name) {
        return database.sql()
                .sql("SELECT name, says, strengths FROM viewing_kit WHERE name = ?")
                .param(name)
                .query((row, n) -> of(row))
                .optional();
    }

    private static Kit of(ResultSet row) throws SQLException {
        return new Kit(
                row.getString("name"),
                row.getString("says"),
                Arrays.stream(Json.read(row.getString("strengths"), Double[].class))
                        .toList());
    }

    /** Keeps a kit, in place of one of its name, and takes it up; {@code at} in ISO 8601, UTC. */
    public void keep(Kit kit, String at) {
        database.sql()
                .sql(
                        "INSERT INTO viewing_kit (name, says, strengths, taken_at) VALUES (?, ?, ?, ?) ON CONFLICT (name) DO UPDATE"
                                + " SET name = excluded.name, says = excluded.says, strengths = excluded.strengths, taken_at = excluded.taken_at")
                .params(kit.name(), kit.says(), Json.write(kit.strengths()), at)
                .update();
    }

    /** Takes a kit off the list; what was looked through it stays. */
    public void remove(String name) {
        database.sql().sql("DELETE FROM viewing_kit WHERE name = ?").param(name).update();
    }
}
