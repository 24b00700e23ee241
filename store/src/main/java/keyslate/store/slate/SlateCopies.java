package keyslate.store.slate;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import keyslate.store.Database;

/** Makes a slate once more, row by row, with everything that hangs on it; its pictures are shared. For trials with years of records. */
public final class SlateCopies {
    /** The columns that hold ids of the copy's own rows, table by table. */
    private static final Map<String, List<String>> OWN_IDS = new LinkedHashMap<>();

    static {
        OWN_IDS.put("slate", List.of("id", "recipe_id", "redo_id", "accepted_sheet_id"));
        OWN_IDS.put("recipe", List.of("id", "slate_id", "previous_id"));
        OWN_IDS.put("base_part", List.of("recipe_id"));
        OWN_IDS.put("area", List.of("recipe_id"));
        OWN_IDS.put("sheet", List.of("id", "slate_id", "recipe_id"));
        List.of("piece", "step", "lamp", "event", "scan").forEach(table -> OWN_IDS.put(table, List.of("sheet_id")));
        OWN_IDS.put("decision", List.of("id", "slate_id", "sheet_id"));
    }

    private final Database database;
    private final Map<String, String> statements = new LinkedHashMap<>();

    public SlateCopies(Database database) {
        this.database = database;
        OWN_IDS.forEach((table, ids) -> statements.put(table, statement(table, ids)));
    }

    private String statement(String table, List<String> ids) {
        List<String> columns = database.sql()
                .sql("SELECT name FROM pragma_table_info(?) ORDER BY cid")
                .param(table)
                .query(String.class)
                .list();
        String values = columns.stream().map(c -> value(c, ids)).collect(Collectors.joining(", "));
        String of = "slate".equals(table)
                ? "id = :slate"
                : ids.contains("slate_id")
                        ? "slate_id = :slate"
                        : ids.contains("recipe_id")
                                ? "recipe_id IN (SELECT id FROM recipe WHERE slate_id = :slate)"
                                : "sheet_id IN (SELECT id FROM sheet WHERE slate_id = :slate)";
        return "INSERT INTO " + table + " (" + String.join(", ", columns) + ") SELECT " + values + " FROM " + table
                + " WHERE " + of + ("recipe".equals(table) ? " ORDER BY made_at, rowid" : "");
    }

    private static String value(String column, List<String> ids) {
        return switch (column) {
            case "frame_id" -> ":frame";
            case "touched_at" -> ":touched";
            case "title" -> "title || ' ' || :number";
            default -> ids.contains(column) ? "'copy-' || :number || '-' || " + column : column;
        };
    }

    /**
     * Copies a slate; inside a transaction.
     *
     * @param number of the copy, once for each slate: it makes the ids and the title
     * @return the id of the copy
     */
    public String copy(String slateId, int number, String frameId, String touchedAt) {
        statements
                .values()
                .forEach(statement -> database.sql()
                        .sql(statement)
                        .param("slate", slateId)
                        .param("number", number)
                        .param("frame", frameId)
                        .param("touched", touchedAt)
                        .update());
        return "copy-" + number + "-" + slateId;
    }
}
