package keyslate.store.slate;

import java.util.List;
import java.util.Optional;
import keyslate.store.Database;
import keyslate.store.slate.Recipe.Setup;
import keyslate.store.slate.Recipe.Strip;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.SimplePropertyRowMapper;

/** Slates and their chains of recipes. */
public final class SlateRepository {
    private static final RowMapper<Setup> SETUP = new SimplePropertyRowMapper<>(Setup.class);

    private final Database database;

    public SlateRepository(Database database) {
        this.database = database;
    }

    /** All slates, the one touched last first. */
    public List<Slate> all() {
        return database.sql()
                .sql("SELECT * FROM slate ORDER BY touched_at DESC, id")
                .query(Slate.class)
                .list();
    }

    public Optional<Slate> find(String id) {
        return database.sql()
                .sql("SELECT * FROM slate WHERE id = ?")
                .param(id)
                .query(Slate.class)
                .optional();
    }

    public List<Slate> ofFrame(String frameId) {
        return database.sql()
                .sql("SELECT * FROM slate WHERE frame_id = ? ORDER BY created_at")
                .param(frameId)
                .query(Slate.class)
                .list();
    }

    public void add(Slate slate) {
        database.sql()
                .sql("INSERT INTO slate VALUES (:id, :frameId, :createdAt, :version, :recipeId, :redoId,"
                        + " :acceptedSheetId, :touchedAt)")
                .paramSource(slate)
                .update();
    }

    /**
     * Stores the slate's pointers as the next version.
     *
     * @return false when someone else was faster: the stored version is not {@code slate.version()}
     */
    public boolean advance(Slate slate) {
        return database.sql()
                        .sql("UPDATE slate SET version = version + 1, recipe_id = :recipeId, redo_id = :redoId,"
                                + " accepted_sheet_id = :acceptedSheetId, touched_at = :touchedAt"
                                + " WHERE id = :id AND version = :version")
                        .paramSource(slate)
                        .update()
                == 1;
    }

    public void add(Recipe recipe) {
        database.sql()
                .sql("INSERT INTO recipe VALUES (:id, :slateId, :previousId, :madeAt, :edit, :title, :intent,"
                        + " :enlargerId, :lensId, :apertureMark, :paperId, :sheetWidthMm, :sheetHeightMm, :borderMm,"
                        + " :fit, :cropPlace, :filter, :baseSeconds, :baseSource, :baseBecause, :stripKind,"
                        + " :centreSeconds, :stepStops, :stepSeconds, :patches, :direction, :patchMm, :breadthMm,"
                        + " :place)")
                .param("id", recipe.id())
                .param("slateId", recipe.slateId())
                .param("previousId", recipe.previousId())
                .param("madeAt", recipe.madeAt())
                .param("edit", recipe.edit())
                .param("title", recipe.title())
                .param("intent", recipe.intent())
                .param("stripKind", recipe.strip().kind())
                .param("enlargerId", recipe.setup().enlargerId())
                .param("lensId", recipe.setup().lensId())
                .param("apertureMark", recipe.setup().apertureMark())
                .param("paperId", recipe.setup().paperId())
                .param("sheetWidthMm", recipe.setup().sheetWidthMm())
                .param("sheetHeightMm", recipe.setup().sheetHeightMm())
                .param("borderMm", recipe.setup().borderMm())
                .param("fit", recipe.setup().fit())
                .param("cropPlace", recipe.setup().cropPlace())
                .param("filter", recipe.setup().filter())
                .param("baseSeconds", recipe.setup().baseSeconds())
                .param("baseSource", recipe.setup().baseSource())
                .param("baseBecause", recipe.setup().baseBecause())
                .param("centreSeconds", recipe.strip().centreSeconds())
                .param("stepStops", recipe.strip().stepStops())
                .param("stepSeconds", recipe.strip().stepSeconds())
                .param("patches", recipe.strip().patches())
                .param("direction", recipe.strip().direction())
                .param("patchMm", recipe.strip().patchMm())
                .param("breadthMm", recipe.strip().breadthMm())
                .param("place", recipe.strip().place())
                .update();
        for (int i = 0; i < recipe.areas().size(); i++) {
            Area area = recipe.areas().get(i);
            database.sql()
                    .sql("INSERT INTO area VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)")
                    .params(
                            recipe.id(),
                            i,
                            area.areaKey(),
                            area.name(),
                            area.shape(),
                            area.softEdge(),
                            area.changeStops(),
                            area.filter(),
                            area.tool())
                    .update();
        }
    }

    public Optional<Recipe> findRecipe(String id) {
        return recipes("WHERE id = ?", id).stream().findFirst();
    }

    /** A recipe that something stored points at, so that it must be there. */
    public Recipe recipe(String id) {
        return findRecipe(id).orElseThrow();
    }

    /** Every recipe a slate ever had, oldest first. */
    public List<Recipe> recipesOf(String slateId) {
        return recipes("WHERE slate_id = ? ORDER BY made_at, rowid", slateId);
    }

    private List<Recipe> recipes(String where, String param) {
        List<Recipe> bare = database.sql()
                .sql("SELECT * FROM recipe " + where)
                .param(param)
                .query((row, n) -> {
                    Double centre = (Double) row.getObject("strip_centre_seconds");
                    Double place = (Double) row.getObject("strip_place");
                    Strip strip = new Strip(
                            row.getString("strip_kind"),
                            centre,
                            row.getDouble("strip_step_stops"),
                            row.getDouble("strip_step_seconds"),
                            row.getInt("strip_patches"),
                            row.getString("strip_direction"),
                            row.getDouble("strip_patch_mm"),
                            row.getDouble("strip_breadth_mm"),
                            place);
                    return new Recipe(
                            row.getString("id"),
                            row.getString("slate_id"),
                            row.getString("previous_id"),
                            row.getString("made_at"),
                            row.getString("edit"),
                            row.getString("title"),
                            row.getString("intent"),
                            SETUP.mapRow(row, n),
                            strip,
                            List.of());
                })
                .list();
        return bare.stream().map(r -> r.withAreas(areas(r.id()))).toList();
    }

    private List<Area> areas(String recipeId) {
        return database.sql()
                .sql("SELECT area_key, name, shape, soft_edge, change_stops, filter, tool FROM area"
                        + " WHERE recipe_id = ? ORDER BY place")
                .param(recipeId)
                .query(Area.class)
                .list();
    }
}
