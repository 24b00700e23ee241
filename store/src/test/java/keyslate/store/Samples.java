package keyslate.store;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** One good row of every table, in an order that the references allow, and changed copies of them. */
final class Samples {
    private static final Map<String, Map<String, Object>> ROWS = new LinkedHashMap<>();
    private static final String NOW = "2026-01-02T03:04:05.000Z";

    static {
        row("enlarger", "id", "e", "name", "Yard", "head", "diffusion", "lamp", "SWITCHED", "dials", 0)
                .putAll(of("strength_log10", 3.0, "lag_seconds", 0.1, "lag_source", "default", "column_mm", 1100.0));
        ROWS.get("enlarger").putAll(of("column_source", "default"));
        row("lens", "id", "l", "name", "80 mm", "focal_mm", 80.0, "open_mark", 5.6, "smallest_mark", 22.0)
                .putAll(of("marks_per_stop", 2, "covers_mm", 80.0));
        row("paper", "id", "p", "name", "Pearl", "kind", "MONOCHROME", "base", "RC", "width_mm", 203.0)
                .putAll(of("height_mm", 254.0, "batch", "box 3", "sheets_in_box", 100, "sheets_left", 34.5));
        ROWS.get("paper").putAll(of("opened_on", "2026-01-02", "sheet_price", 0.9));
        ROWS.get("paper").putAll(of("reserve_sheets", 5, "start_light", null));
        row("bath", "id", "b", "place", 1, "process", "MONOCHROME", "name", "Developer", "mixed_at", NOW)
                .putAll(of("capacity_m2", 2.0, "used_m2", 0.5));
        row("picture", "id", "pic", "media_type", "image/png", "encoding", "linear16", "width_px", 3, "height_px", 2)
                .putAll(of("size_bytes", 3));
        row("picture_part", "picture_id", "pic", "place", 1, "bytes", new byte[] {1, 2, 3});
        row("picture_working", "picture_id", "pic", "media_type", "image/png", "bytes", new byte[] {1, 2});
        row("roll", "id", "r", "title", "Roll 1", "film", "made-up 100", "kind", "MONOCHROME", "long_mm", 36.0)
                .putAll(of("short_mm", 24.0, "added_at", NOW));
        row("frame", "id", "f", "roll_id", "r", "number", "7", "title", "Kiln", "caption", "")
                .putAll(of("upright", 0, "picture_id", null));
        row("roll_history", "roll_id", "r", "taken_on", "2026-01-02", "camera", "", "sleeve", "", "nominal_iso", 100.0)
                .putAll(of("exposed_iso", 200.0, "development", "", "remark", ""));
        row("frame_notes", "frame_id", "f", "people", "", "consent", "NOT_ASKED", "defects", "", "beyond_rescue", 0)
                .putAll(of(
                        "base_density",
                        0.2,
                        "shadow_density",
                        0.4,
                        "highlight_density",
                        1.3,
                        "reader",
                        "",
                        "marks",
                        "[]"));
        row("frame_need", "frame_id", "f", "against_id", "f", "more_stops", 0.5, "limit_stops", 0.33, "cast_hue", "M")
                .putAll(of("cast_points", 10.0, "contrast", 0.9, "source", "EYE", "found_at", NOW));
        row("thing", "id", "th", "kind", "EASEL", "name", "Easel", "facts", "{}", "added_at", NOW)
                .putAll(of("retired_at", null));
        row("constant", "id", "co", "thing_id", "e", "lens_id", "", "name", "LAG", "found_at", NOW)
                .putAll(of("source", "MEASURED", "value", "{}", "readings", "[]", "remark", "", "undone_at", null));
        row("preference", "name", "LENGTH", "value", "cm");
        row("piece_stock", "paper_id", "p", "long_mm", 203.0, "short_mm", 51.0, "pieces", 3);
        row("box_opening", "id", "o", "paper_id", "p", "opened_at", NOW, "shut_at", NOW, "lit_at", NOW);
        row("slate", "id", "s", "frame_id", "f", "created_at", NOW, "version", 1)
                .putAll(of(
                        "recipe_id",
                        "c",
                        "redo_id",
                        null,
                        "accepted_sheet_id",
                        null,
                        "touched_at",
                        NOW,
                        "roll_id",
                        null));
        row("recipe", "id", "c", "slate_id", "s", "previous_id", null, "made_at", NOW, "edit", "new slate")
                .putAll(of("title", "Kiln", "intent", "", "white_wanted", 1, "black_wanted", 1, "enlarger_id", "e"));
        ROWS.get("recipe").putAll(of("lens_id", "l", "aperture_mark", 8.0, "paper_id", "p", "sheet_width_mm", 254.0));
        ROWS.get("recipe").putAll(of("sheet_height_mm", 203.0, "border_mm", 6.0, "fit", "WHOLE_PICTURE"));
        ROWS.get("recipe").putAll(of("crop_place", 0.5, "base_source", "default", "base_because", "plain"));
        ROWS.get("recipe").putAll(of("local_way", "ONE_EXPOSURE", "test", "{}"));
        ROWS.get("recipe").putAll(of("contact", "LENS", "contact_mm", 600.0, "column_reading", "34.5"));
        ROWS.get("recipe").putAll(of("crop_down", 0.4, "overfill_percent", 2.0, "blades", "[4, 5, 6, 7]"));
        ROWS.get("recipe").putAll(of("sized_times", 4.2, "sized_by", "COLUMN", "sized_reading", 318.0));
        row(
                        "slate_marks",
                        "slate_id",
                        "s",
                        "paper_name",
                        "Pearl",
                        "enlarger_id",
                        "e",
                        "lag_seconds",
                        0.1,
                        "marks",
                        "[]")
                .putAll(of("guess_stops", 0.5, "told_at", NOW));
        row("focus_check", "id", 1, "enlarger_id", "e", "recipe_id", "c", "checked_at", NOW);
        row("base_part", "recipe_id", "c", "place", 1, "light", "grade 2½", "seconds", 10.0);
        row("area", "recipe_id", "c", "place", 1, "area_key", "a", "name", "Sky", "shape", "{}")
                .putAll(of("soft_edge", 0.1, "change_stops", 0.5, "light", "grade 2", "tool", "card edge"));
        row("sheet", "id", "t", "slate_id", "s", "number", 1, "kind", "PRINT", "recipe_id", "c")
                .putAll(of("begun_at", NOW, "state", "EXPOSING", "ended_at", null, "paper_used", 1.0));
        ROWS.get("sheet").putAll(of("magnification", 4.2, "stood", "{}", "note", ""));
        row("piece", "sheet_id", "t", "number", 1, "view_left", 0.0, "view_top", 0.0, "view_width", 1.0)
                .putAll(of("view_height", 1.0));
        row("step", "sheet_id", "t", "place", 1, "piece", 1, "light", "grade 2", "opening", 8.0)
                .putAll(of("set_seconds", 10.1, "presses", 1, "phases", "[]", "cues", "[]"));
        row("lamp", "sheet_id", "t", "step_place", 1, "attempt", 1, "set_seconds", 10.1, "on_at", NOW)
                .putAll(of("off_at", null, "given_seconds", null, "outcome", null, "told", 0));
        row("event", "sheet_id", "t", "place", 1, "kind", "IN_DEVELOPER", "happened_at", NOW);
        row("scan", "sheet_id", "t", "place", 1, "picture_id", "pic", "handed_at", NOW, "offsets", "[0.1]")
                .putAll(of("source", "SIMULATED"));
        row("decision", "id", "d", "slate_id", "s", "sheet_id", "t", "kind", "ACCEPTANCE", "made_at", NOW)
                .putAll(of("seen", "{}", "remark", "", "headline", "Accepted.", "why", "", "proposed_light", null));
        ROWS.get("decision").putAll(of("proposed_seconds", null, "overruled", 0, "taken_light", null));
        ROWS.get("decision").putAll(of("taken_seconds", null));
    }

    private Samples() {}

    static List<String> tables() {
        return List.copyOf(ROWS.keySet());
    }

    /** Puts one row into every table. */
    static void fill(Database database) {
        database.inTransaction(() -> ROWS.keySet().forEach(table -> insert(database, table, Map.of())));
    }

    /** Puts the sample row of a table in, with some columns changed. */
    static void insert(Database database, String table, Map<String, Object> changed) {
        Map<String, Object> row = new TreeMap<>(ROWS.get(table));
        row.putAll(changed);
        String columns = String.join(", ", row.keySet());
        String values = ":" + String.join(", :", row.keySet());
        database.sql()
                .sql("INSERT INTO " + table + " (" + columns + ") VALUES (" + values + ")")
                .params(row)
                .update();
    }

    private static Map<String, Object> row(String table, Object... namesAndValues) {
        ROWS.put(table, of(namesAndValues));
        return ROWS.get(table);
    }

    private static Map<String, Object> of(Object... namesAndValues) {
        Map<String, Object> row = new LinkedHashMap<>();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            row.put((String) namesAndValues[i], namesAndValues[i + 1]);
        }
        return row;
    }
}
