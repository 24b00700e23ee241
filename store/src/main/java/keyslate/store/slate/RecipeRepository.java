package keyslate.store.slate;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import keyslate.core.colour.Taste;
import keyslate.core.light.Light;
import keyslate.core.local.LocalChange;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Magnification;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.LocalWork;
import keyslate.core.size.Blades;
import keyslate.core.size.Placement;
import keyslate.core.size.PrintFit;
import keyslate.core.size.Projection;
import keyslate.store.Database;
import keyslate.store.json.Json;
import keyslate.store.json.StoredShape;
import keyslate.store.json.StoredTaste;
import keyslate.store.json.StoredTest;
import keyslate.store.json.StoredTone;
import keyslate.store.slate.Recipe.Area;
import org.jspecify.annotations.Nullable;

/** Recipes: three queries, however many are read. */
public final class RecipeRepository {
    private static final String RECIPE = "SELECT id, slate_id, previous_id, made_at, edit, title, intent, white_wanted,"
            + " black_wanted, enlarger_id, lens_id, aperture_mark, paper_id, sheet_width_mm, sheet_height_mm,"
            + " border_mm, fit, crop_place, crop_down, overfill_percent, blades, sized_times, sized_by,"
            + " sized_reading, contact, contact_mm, column_reading, base_source, base_because, presses, local_way,"
            + " test, tones, taste FROM recipe WHERE ";
    private static final String BASE = "SELECT recipe_id, light, seconds FROM base_part WHERE recipe_id IN (SELECT id"
            + " FROM recipe WHERE %s) ORDER BY recipe_id, place";
    private static final String AREA = "SELECT recipe_id, area_key, name, shape, soft_edge, change_stops, light, tool"
            + " FROM area WHERE recipe_id IN (SELECT id FROM recipe WHERE %s) ORDER BY recipe_id, place";

    private final Database database;

    public RecipeRepository(Database database) {
        this.database = database;
    }

    public Optional<Recipe> find(String id) {
        return recipes("id = ?", "", id).stream().findFirst();
    }

    /** A recipe that something stored points at, so that it must be there. */
    public Recipe get(String id) {
        return find(id).orElseThrow();
    }

    /** Every recipe a slate ever had, oldest first. */
    public List<Recipe> of(String slateId) {
        return recipes("slate_id = ?", " ORDER BY made_at, rowid", slateId);
    }

    /** The recipes that the sheets of a slate were made with, by id. */
    public Map<String, Recipe> ofSheets(String slateId) {
        Map<String, Recipe> found = new HashMap<>();
        recipes("id IN (SELECT recipe_id FROM sheet WHERE slate_id = ?)", "", slateId)
                .forEach(r -> found.put(r.id(), r));
        return found;
    }

    /** What stands on each slate of these frames, the oldest slate first: as much as one line says. */
    public List<Standing> standingOf(Collection<String> frameIds) {
        return standing("slate.frame_id IN (:of)", frameIds);
    }

    /** The same of the proofs of a roll. */
    public List<Standing> standingOfProofs(String rollId) {
        return standing("slate.roll_id = :of", rollId);
    }

    private List<Standing> standing(String where, Object of) {
        return database.sql()
                .sql("SELECT slate.frame_id, slate.id AS slate_id, recipe.title, part.light, part.seconds,"
                        + " recipe.aperture_mark, recipe.contact_mm, recipe.sheet_width_mm, recipe.sheet_height_mm,"
                        + " slate.accepted_sheet_id IS NOT NULL AS accepted, (SELECT picture_id FROM scan WHERE"
                        + " scan.sheet_id = slate.accepted_sheet_id ORDER BY place DESC LIMIT 1) AS picture_id FROM slate"
                        + " JOIN recipe ON recipe.id = slate.recipe_id"
                        + " JOIN base_part AS part ON part.recipe_id = recipe.id AND part.place = 1"
                        + " WHERE " + where + " ORDER BY slate.created_at, slate.id")
                .param("of", of)
                .query(Standing.class)
                .list();
    }

    /**
     * The standing recipe of a slate in a line; seconds as received.
     *
     * @param frameId null for a proof
     * @param contactMm lens or lamp to paper in contact, null when it is enlarged
     * @param pictureId of the accepted print, null without one
     */
    public record Standing(
            String frameId,
            String slateId,
            String title,
            String light,
            double seconds,
            double apertureMark,
            Double contactMm,
            double sheetWidthMm,
            double sheetHeightMm,
            boolean accepted,
            String pictureId) {}

    private List<Recipe> recipes(String where, String order, String param) {
        Map<String, List<BaseExposure.Part>> bases = new HashMap<>();
        database.sql().sql(String.format(BASE, where)).param(param).query(row -> {
            bases.computeIfAbsent(row.getString(1), id -> new ArrayList<>())
                    .add(new BaseExposure.Part(Light.of(row.getString(2)), ExposureTime.ofSeconds(row.getDouble(3))));
        });
        Map<String, List<Area>> areas = new HashMap<>();
        database.sql().sql(String.format(AREA, where)).param(param).query(row -> {
            areas.computeIfAbsent(row.getString(1), id -> new ArrayList<>()).add(area(row));
        });
        return database.sql()
                .sql(RECIPE + where + order)
                .param(param)
                .query((row, n) ->
                        recipe(row, bases.get(row.getString("id")), areas.getOrDefault(row.getString("id"), List.of())))
                .list();
    }

    private static Area area(ResultSet row) throws SQLException {
        return new Area(
                row.getString("area_key"),
                row.getString("name"),
                Json.read(row.getString("shape"), StoredShape.class).toCore(),
                row.getDouble("soft_edge"),
                LocalChange.ofStops(row.getDouble("change_stops")),
                Optional.ofNullable(row.getString("light")).map(Light::of),
                row.getString("tool"));
    }

    private static Recipe recipe(ResultSet row, List<BaseExposure.Part> base, List<Area> areas) throws SQLException {
        return new Recipe(
                row.getString("id"),
                row.getString("slate_id"),
                row.getString("previous_id"),
                row.getString("made_at"),
                row.getString("edit"),
                new Recipe.Naming(
                        row.getString("title"),
                        row.getString("intent"),
                        row.getBoolean("white_wanted"),
                        row.getBoolean("black_wanted"),
                        Json.tones(row.getString("tones")).stream()
                                .map(StoredTone::toCore)
                                .toList(),
                        taste(row.getString("taste"))),
                new Recipe.Setup(
                        row.getString("enlarger_id"),
                        row.getString("lens_id"),
                        row.getDouble("aperture_mark"),
                        row.getString("paper_id"),
                        row.getDouble("sheet_width_mm"),
                        row.getDouble("sheet_height_mm"),
                        placement(row),
                        contact(row)),
                new Recipe.Base(
                        new BaseExposure(base, row.getInt("presses")),
                        row.getString("base_source"),
                        row.getString("base_because")),
                Json.read(row.getString("test"), StoredTest.class).toCore(),
                new Recipe.Local(areas, LocalWork.Way.valueOf(row.getString("local_way"))));
    }

    private static Taste taste(@Nullable String stored) {
        return stored == null
                ? Taste.NEUTRAL
                : Json.read(stored, StoredTaste.class).toCore();
    }

    private static @Nullable String taste(Taste taste) {
        return taste.equals(Taste.NEUTRAL) ? null : Json.write(StoredTaste.of(taste));
    }

    private static Placement placement(ResultSet row) throws SQLException {
        String blades = row.getString("blades");
        double across = row.getDouble("crop_place");
        double down = row.getDouble("crop_down");
        return new Placement(
                blades == null ? Blades.even(row.getDouble("border_mm")) : blades(Json.numbers(blades)),
                PrintFit.Way.valueOf(row.getString("fit")),
                row.getDouble("overfill_percent"),
                sized(row),
                across,
                // Before both could be moved, one place stood for both.
                row.getObject("crop_down") == null ? across : down);
    }

    private static Blades blades(List<Double> mm) {
        return new Blades(mm.get(0), mm.get(1), mm.get(2), mm.get(3));
    }

    private static List<Double> inOrder(Blades b) {
        return List.of(b.leftMm(), b.topMm(), b.rightMm(), b.bottomMm());
    }

    private static Optional<Placement.Sized> sized(ResultSet row) throws SQLException {
        String by = row.getString("sized_by");
        return by == null
                ? Optional.empty()
                : Optional.of(new Placement.Sized(
                        Placement.By.valueOf(by),
                        row.getDouble("sized_reading"),
                        Magnification.of(row.getDouble("sized_times"))));
    }

    private static Optional<Recipe.Contact> contact(ResultSet row) throws SQLException {
        String source = row.getString("contact");
        return source == null
                ? Optional.empty()
                : Optional.of(new Recipe.Contact(
                        Projection.Source.valueOf(source),
                        row.getDouble("contact_mm"),
                        row.getString("column_reading")));
    }

    public void add(Recipe recipe) {
        Recipe.Setup setup = recipe.setup();
        Placement placement = setup.placement();
        database.sql()
                .sql("INSERT INTO recipe (id, slate_id, previous_id, made_at, edit, title, intent, white_wanted,"
                        + " black_wanted, enlarger_id, lens_id, aperture_mark, paper_id, sheet_width_mm,"
                        + " sheet_height_mm, border_mm, fit, crop_place, crop_down, overfill_percent, blades, sized_times, sized_by,"
                        + " sized_reading, contact, contact_mm, column_reading, base_source,"
                        + " base_because, presses, local_way, test, tones, taste)"
                        + " VALUES (:id, :slateId, :previousId, :madeAt, :edit, :title, :intent, :whiteWanted,"
                        + " :blackWanted, :enlargerId, :lensId, :apertureMark, :paperId, :sheetWidthMm,"
                        + " :sheetHeightMm, :borderMm, :fit, :cropPlace, :cropDown, :overfillPercent, :blades, :sizedTimes,"
                        + " :sizedBy, :sizedReading, :contact, :contactMm, :columnReading, :baseSource,"
                        + " :baseBecause, :presses, :localWay, :test, :tones, :taste)")
                .param("id", recipe.id())
                .param("slateId", recipe.slateId())
                .param("previousId", recipe.previousId())
                .param("madeAt", recipe.madeAt())
                .param("edit", recipe.edit())
                .param("title", recipe.naming().title())
                .param("intent", recipe.naming().intent())
                .param("whiteWanted", recipe.naming().whiteWanted())
                .param("blackWanted", recipe.naming().blackWanted())
                .param("enlargerId", setup.enlargerId())
                .param("lensId", setup.lensId())
                .param("apertureMark", setup.apertureMark())
                .param("paperId", setup.paperId())
                .param("sheetWidthMm", setup.sheetWidthMm())
                .param("sheetHeightMm", setup.sheetHeightMm())
                .param(
                        "borderMm",
                        Math.min(Blades.WIDEST_EVEN_MM, placement.blades().narrowestMm()))
                .param("fit", placement.way().name())
                .param("cropPlace", placement.across())
                .param("cropDown", placement.down())
                .param("overfillPercent", placement.overfillPercent())
                .param("blades", placement.blades().areEven() ? null : Json.write(inOrder(placement.blades())))
                .param(
                        "sizedTimes",
                        placement.sized().map(s -> s.magnification().inTimes()).orElse(null))
                .param("sizedBy", placement.sized().map(s -> s.by().name()).orElse(null))
                .param(
                        "sizedReading",
                        placement.sized().map(Placement.Sized::reading).orElse(null))
                .param("contact", setup.contact().map(c -> c.source().name()).orElse(null))
                .param(
                        "contactMm",
                        setup.contact().map(Recipe.Contact::distanceMm).orElse(null))
                .param(
                        "columnReading",
                        setup.contact().map(Recipe.Contact::columnReading).orElse(""))
                .param("baseSource", recipe.base().source())
                .param("baseBecause", recipe.base().because())
                .param("presses", recipe.base().exposure().presses())
                .param("localWay", recipe.local().way().name())
                .param("test", Json.write(StoredTest.of(recipe.test())))
                .param(
                        "tones",
                        Json.write(recipe.naming().tones().stream()
                                .map(StoredTone::of)
                                .toList()))
                .param("taste", taste(recipe.naming().taste()))
                .update();
        int place = 1;
        for (BaseExposure.Part part : recipe.base().exposure().parts()) {
            database.sql()
                    .sql("INSERT INTO base_part (recipe_id, place, light, seconds) VALUES (?, ?, ?, ?)")
                    .params(
                            recipe.id(),
                            place++,
                            part.light().notation(),
                            part.time().inSeconds())
                    .update();
        }
        place = 1;
        for (Area area : recipe.local().areas()) {
            add(recipe.id(), place++, area);
        }
    }

    private void add(String recipeId, int place, Area area) {
        database.sql()
                .sql("INSERT INTO area (recipe_id, place, area_key, name, shape, soft_edge, change_stops, light, tool)"
                        + " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)")
                .param(recipeId)
                .param(place)
                .param(area.key())
                .param(area.name())
                .param(Json.write(StoredShape.of(area.shape())))
                .param(area.softEdge())
                .param(area.change().change().inStops())
                .param(area.light().map(Light::notation).orElse(null))
                .param(area.tool())
                .update();
    }
}
