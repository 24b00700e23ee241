package keyslate.store;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** One good row of every table, in an order that the references allow, and changed copies of them. */
final class Samples {
    private static final Map<String, Map<String, Object>> ROWS = new LinkedHashMap<>();

    static {
        row("enlarger", "id", "e", "name", "Yard", "head", "diffusion", "strength_log10", 3.0, "lag_seconds", 0.1)
                .putAll(of("lag_source", "default", "column_mm", 1100.0));
        row("lens", "id", "l", "name", "80 mm", "focal_mm", 80.0, "open_mark", 5.6, "smallest_mark", 22.0)
                .putAll(of("marks_per_stop", 2, "covers_mm", 80.0));
        row("paper", "id", "p", "name", "Pearl", "base", "RC", "width_mm", 203.0, "height_mm", 254.0)
                .putAll(of("batch", "box 3", "sheets_in_box", 100, "sheets_left", 34.5, "reserve_sheets", 5));
        row("bath", "id", "b", "place", 1, "name", "Developer", "mixed_at", "2026-01-02T03:04:05Z")
                .putAll(of("capacity_m2", 2.0, "used_m2", 0.5));
        row("picture", "id", "pic", "media_type", "image/png", "encoding", "linear16", "width_px", 3, "height_px", 2)
                .putAll(of("bytes", new byte[] {1, 2, 3}));
        row("roll", "id", "r", "title", "Roll 1", "film", "made-up 100", "long_mm", 36.0, "short_mm", 24.0)
                .putAll(of("added_at", "2026-01-02T03:04:05Z"));
        row("frame", "id", "f", "roll_id", "r", "number", "7", "title", "Kiln", "caption", "")
                .putAll(of("upright", 0, "picture_id", null));
        row("slate", "id", "s", "frame_id", "f", "created_at", "2026-01-02T03:04:05Z", "version", 1)
                .putAll(of("recipe_id", "c", "redo_id", null, "accepted_sheet_id", null, "touched_at", "2026"));
        row("recipe", "id", "c", "slate_id", "s", "previous_id", null, "made_at", "2026", "edit", "new slate")
                .putAll(of("title", "Kiln", "intent", "", "enlarger_id", "e", "lens_id", "l", "aperture_mark", 8.0));
        ROWS.get("recipe").putAll(of("paper_id", "p", "sheet_width_mm", 254.0, "sheet_height_mm", 203.0));
        ROWS.get("recipe").putAll(of("border_mm", 6.0, "fit", "WHOLE_PICTURE", "crop_place", 0.5, "filter", "2½"));
        ROWS.get("recipe").putAll(of("base_seconds", 10.0, "base_source", "default", "base_because", "plain"));
        ROWS.get("recipe").putAll(of("strip_kind", "EQUAL_STOPS", "strip_centre_seconds", 10.0));
        ROWS.get("recipe").putAll(of("strip_step_stops", 0.5, "strip_step_seconds", 4.0, "strip_patches", 5));
        ROWS.get("recipe").putAll(of("strip_direction", "DARK_RIGHT", "strip_patch_mm", 40.0));
        ROWS.get("recipe").putAll(of("strip_breadth_mm", 100.0, "strip_place", 0.5));
        row("area", "recipe_id", "c", "place", 1, "area_key", "a", "name", "Sky", "shape", "{}")
                .putAll(of("soft_edge", 0.1, "change_stops", 0.5, "filter", "2", "tool", "card edge"));
        row("sheet", "id", "t", "slate_id", "s", "number", 1, "kind", "PRINT", "recipe_id", "c")
                .putAll(of("begun_at", "2026", "state", "EXPOSING", "ended_at", null, "paper_used", 1.0));
        ROWS.get("sheet").putAll(of("magnification", 4.2, "view_left", 0.0, "view_top", 0.0, "view_width", 1.0));
        ROWS.get("sheet").putAll(of("view_height", 1.0, "picture_id", null, "speed_offset_stops", null, "note", ""));
        row("burst", "sheet_id", "t", "place", 1, "kind", "BASE", "filter", "2", "set_seconds", 10.1)
                .putAll(of("received_seconds", 10.0, "patch", null, "patch_total_seconds", null, "held", "[]"));
        ROWS.get("burst").putAll(of("burned", null));
        row("lamp", "sheet_id", "t", "burst_place", 1, "attempt", 1, "set_seconds", 10.1, "on_at", "2026")
                .putAll(of("off_at", null, "given_seconds", null, "outcome", null));
        row("decision", "id", "d", "slate_id", "s", "sheet_id", "t", "kind", "ACCEPTANCE", "made_at", "2026")
                .putAll(of("whites_at", null, "blacks_at", null, "darker_stops", null, "harder_grades", null));
        ROWS.get("decision").putAll(of("remark", "", "headline", "Accepted.", "why", "", "proposed_filter", null));
        ROWS.get("decision").putAll(of("proposed_seconds", null, "overruled", 0, "taken_filter", null));
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
