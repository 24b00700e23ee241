package keyslate.store.negative;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import keyslate.store.Database;

/** Finds frames by what is written of them, their rolls and what stands on their slates. */
public final class FrameSearch {
    private static final String FROM = " FROM frame JOIN roll ON roll.id = frame.roll_id"
            + " LEFT JOIN roll_history AS history ON history.roll_id = roll.id"
            + " LEFT JOIN frame_notes AS notes ON notes.frame_id = frame.id";
    private static final String ORDER =
            " ORDER BY roll.added_at DESC, roll.id, CAST(frame.number AS INTEGER), frame.number";
    private static final List<String> WRITTEN = List.of(
            "roll.title",
            "roll.film",
            "frame.number",
            "frame.title",
            "frame.caption",
            "history.camera",
            "history.sleeve",
            "history.development",
            "history.remark",
            "notes.people",
            "notes.defects");
    private static final List<String> WRITTEN_ON_SLATES =
            List.of("recipe.title", "recipe.intent", "paper.name", "base_part.light");
    /** Standing recipes of a frame's slates, by as much of each as is asked for. */
    private static final String SLATES = "frame.id IN (SELECT slate.frame_id FROM slate JOIN recipe ON recipe.id ="
            + " slate.recipe_id JOIN paper ON paper.id = recipe.paper_id JOIN base_part ON base_part.recipe_id ="
            + " recipe.id WHERE ";

    private static final String DAY = "coalesce(nullif(history.taken_on, ''), substr(roll.added_at, 1, 10))";

    private final Database database;

    public FrameSearch(Database database) {
        this.database = database;
    }

    private static final class Conditions {
        private final List<String> all = new ArrayList<>();
        private final List<Object> params = new ArrayList<>();

        void add(String condition, Object... values) {
            all.add(condition);
            params.addAll(List.of(values));
        }

        String where() {
            return all.isEmpty() ? "" : " WHERE " + String.join(" AND ", all);
        }
    }

    /**
     * Frames found.
     *
     * @param frames some of them, those of the newest roll first
     * @param count how many there are in all
     */
    public record Found(List<Frame> frames, int count) {}

    /** Some of the frames that are found, and how many there are: one pass over them. */
    public Found find(FrameQuery query, int skipped, int most) {
        Conditions conditions = conditions(query);
        int[] count = {0};
        List<Frame> frames = database.sql()
                .sql("SELECT frame.id, frame.roll_id, frame.number, frame.title, frame.caption, frame.upright,"
                        + " frame.picture_id, frame.rating, count(*) OVER () AS found" + FROM + conditions.where()
                        + ORDER + " LIMIT " + most + " OFFSET " + skipped)
                .params(conditions.params)
                .query((row, n) -> {
                    count[0] = row.getInt("found");
                    return new Frame(
                            row.getString("id"),
                            row.getString("roll_id"),
                            row.getString("number"),
                            row.getString("title"),
                            row.getString("caption"),
                            row.getBoolean("upright"),
                            row.getString("picture_id"),
                            row.getString("rating"));
                })
                .list();
        // Beyond the last of them no row says how many there are.
        return new Found(frames, frames.isEmpty() && skipped > 0 ? count(query) : count[0]);
    }

    private int count(FrameQuery query) {
        Conditions conditions = conditions(query);
        return database.sql()
                .sql("SELECT count(*)" + FROM + conditions.where())
                .params(conditions.params)
                .query(Integer.class)
                .single();
    }

    /** All lights that stand on slates, as they are written. */
    public List<String> lights() {
        return texts("SELECT DISTINCT light FROM base_part JOIN slate ON slate.recipe_id = base_part.recipe_id");
    }

    /** All films that were written down. */
    public List<String> films() {
        return texts("SELECT DISTINCT film FROM roll WHERE film <> '' ORDER BY film");
    }

    /** All papers that slates stand on. */
    public List<String> papers() {
        return texts("SELECT DISTINCT paper.name FROM slate JOIN recipe ON recipe.id = slate.recipe_id"
                + " JOIN paper ON paper.id = recipe.paper_id ORDER BY paper.name");
    }

    /** All sizes of sheets that slates stand on, the largest first. */
    public List<FrameQuery.Sides> sizes() {
        return database.sql()
                .sql("SELECT DISTINCT max(sheet_width_mm, sheet_height_mm) AS long_mm, min(sheet_width_mm,"
                        + " sheet_height_mm) AS short_mm FROM slate JOIN recipe ON recipe.id = slate.recipe_id"
                        + " ORDER BY long_mm DESC, short_mm DESC")
                .query(FrameQuery.Sides.class)
                .list();
    }

    private List<String> texts(String sql) {
        return database.sql().sql(sql).query(String.class).list();
    }

    private static Conditions conditions(FrameQuery q) {
        Conditions found = new Conditions();
        q.words().forEach(word -> word(found, word));
        if (FrameQuery.UNRATED.equals(q.rating())) {
            found.add("frame.rating IS NULL");
        } else if (q.rating() != null) {
            found.add("frame.rating = ?", q.rating());
        }
        if (q.printed() != null) {
            found.add("frame.id " + (q.printed() ? "" : "NOT ")
                    + "IN (SELECT frame_id FROM slate WHERE accepted_sheet_id IS NOT NULL AND frame_id IS NOT NULL)");
        }
        if (q.film() != null) {
            found.add("roll.film = ?", q.film());
        }
        if (q.paper() != null) {
            found.add(SLATES + "paper.name = ?)", q.paper());
        }
        if (q.sides() != null) {
            found.add(
                    SLATES + "abs(max(recipe.sheet_width_mm, recipe.sheet_height_mm) - ?) < 0.05"
                            + " AND abs(min(recipe.sheet_width_mm, recipe.sheet_height_mm) - ?) < 0.05)",
                    q.sides().longMm(),
                    q.sides().shortMm());
        }
        if (q.fromDay() != null) {
            found.add(DAY + " >= ?", q.fromDay());
        }
        if (q.toDay() != null) {
            found.add(DAY + " <= ?", q.toDay());
        }
        if (q.lights() != null) {
            String places = q.lights().stream().map(l -> "?").collect(Collectors.joining(", "));
            found.add(
                    SLATES + "base_part.light IN (" + places + "))", q.lights().toArray());
        }
        return found;
    }

    private static void word(Conditions found, String word) {
        List<String> parts = new ArrayList<>();
        List<Object> params = new ArrayList<>();
        for (String like : spellings(word)) {
            WRITTEN.forEach(column -> {
                parts.add(column + " LIKE ? ESCAPE '\\'");
                params.add(like);
            });
            parts.add(SLATES
                    + WRITTEN_ON_SLATES.stream()
                            .map(column -> column + " LIKE ? ESCAPE '\\'")
                            .collect(Collectors.joining(" OR "))
                    + ")");
            WRITTEN_ON_SLATES.forEach(column -> params.add(like));
        }
        found.add("(" + String.join(" OR ", parts) + ")", params.toArray());
    }

    /** LIKE knows capitals of the Latin alphabet without accents alone: other words are looked for in each of their usual spellings. */
    private static Set<String> spellings(String word) {
        boolean plain = word.codePoints().allMatch(c -> c < 128);
        Stream<String> all = plain
                ? Stream.of(word)
                : Stream.of(
                        word,
                        word.toLowerCase(Locale.ROOT),
                        word.toUpperCase(Locale.ROOT),
                        word.substring(0, 1).toUpperCase(Locale.ROOT)
                                + word.substring(1).toLowerCase(Locale.ROOT));
        return all.map(w -> "%" + w.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_") + "%")
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }
}
