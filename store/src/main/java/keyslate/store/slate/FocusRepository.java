package keyslate.store.slate;

import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;
import keyslate.store.Database;

/** When focus and frame of an enlarger were last looked at, and with which recipe: by a press, or by a sheet that was exposed. */
public final class FocusRepository {
    private final Database database;

    public FocusRepository(Database database) {
        this.database = database;
    }

    /** The recipe that stood when it was looked at, and when. */
    public record Look(String recipeId, String at) {}

    public void add(String enlargerId, Look look) {
        database.sql()
                .sql("INSERT INTO focus_check (enlarger_id, recipe_id, checked_at) VALUES (?, ?, ?)")
                .params(enlargerId, look.recipeId(), look.at())
                .update();
    }

    /** The last press or enlarged sheet on an enlarger, whichever came later. */
    public Optional<Look> last(String enlargerId) {
        return Stream.of(
                        look(
                                "SELECT recipe_id, checked_at AS at FROM focus_check WHERE enlarger_id = ?"
                                        + " ORDER BY checked_at DESC, id DESC LIMIT 1",
                                enlargerId),
                        look(
                                "SELECT sheet.recipe_id, sheet.begun_at AS at FROM sheet JOIN recipe ON recipe.id ="
                                        + " sheet.recipe_id WHERE recipe.enlarger_id = ? AND recipe.contact IS NULL"
                                        + " ORDER BY sheet.begun_at DESC LIMIT 1",
                                enlargerId))
                .flatMap(Optional::stream)
                .max(Comparator.comparing(Look::at));
    }

    private Optional<Look> look(String sql, String enlargerId) {
        return database.sql().sql(sql).param(enlargerId).query(Look.class).optional();
    }
}
