package keyslate.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.sqlite.SQLiteDataSource;

/**
 * Saves what can be read of a damaged data file into a new one beside it; the damaged one stays as it is. Every table is read from both
 * ends up to the damage. What is not whole then goes: a sheet without its script, a recipe without its base exposure, a picture without all
 * its parts. A slate stays with what is left of it as long as one of its recipes can be read.
 */
final class Rescue {
    /** Tables in an order that the references allow. */
    private static final List<String> TABLES = List.of(
            "enlarger",
            "lens",
            "paper",
            "bath",
            "picture",
            "picture_part",
            "picture_working",
            "roll",
            "frame",
            "roll_history",
            "frame_notes",
            "frame_need",
            "slate",
            "recipe",
            "base_part",
            "area",
            "sheet",
            "piece",
            "step",
            "lamp",
            "event",
            "scan",
            "decision",
            "backup_plan",
            "thing",
            "constant",
            "preference",
            "piece_stock",
            "focus_check",
            "slate_marks");

    /** What is done until the rest fits together; a placeholder stands for a roll, a frame or the head of a slate that is gone. */
    private static final List<String> MENDS = List.of(
            "DELETE FROM picture WHERE NOT EXISTS (SELECT 1 FROM picture_working WHERE picture_id = id) OR size_bytes <>"
                    + " (SELECT coalesce(sum(length(bytes)), 0) FROM picture_part WHERE picture_id = id)",
            "DELETE FROM picture_part WHERE picture_id NOT IN (SELECT id FROM picture)",
            "DELETE FROM picture_working WHERE picture_id NOT IN (SELECT id FROM picture)",
            "DELETE FROM piece_stock WHERE paper_id NOT IN (SELECT id FROM paper)",
            "UPDATE frame SET picture_id = NULL WHERE picture_id NOT IN (SELECT id FROM picture)",
            "INSERT INTO roll (id, title, film, kind, long_mm, short_mm, added_at) SELECT DISTINCT roll_id, 'Rescued', '',"
                    + " 'MONOCHROME', 36, 24, strftime('%Y-%m-%dT%H:%M:%fZ') FROM (SELECT roll_id FROM frame UNION SELECT"
                    + " roll_id FROM slate WHERE roll_id IS NOT NULL) WHERE roll_id NOT IN (SELECT id FROM roll)",
            "INSERT INTO slate (id, frame_id, created_at, version, recipe_id, touched_at) SELECT slate_id, 'of-' || slate_id,"
                    + " min(made_at), 1, '', max(made_at) FROM recipe WHERE slate_id NOT IN (SELECT id FROM slate) GROUP BY"
                    + " slate_id",
            "INSERT INTO roll (id, title, film, kind, long_mm, short_mm, added_at) SELECT 'rescued-frames', 'Rescued', '',"
                    + " 'MONOCHROME', 36, 24, strftime('%Y-%m-%dT%H:%M:%fZ') WHERE EXISTS (SELECT 1 FROM slate WHERE frame_id"
                    + " NOT IN (SELECT id FROM frame))",
            "INSERT INTO frame (id, roll_id, number, title, caption, upright) SELECT frame_id, 'rescued-frames',"
                    + " row_number() OVER (ORDER BY frame_id), 'Rescued', '', 0 FROM (SELECT DISTINCT frame_id FROM slate WHERE"
                    + " frame_id NOT IN (SELECT id FROM frame))",
            "DELETE FROM roll_history WHERE roll_id NOT IN (SELECT id FROM roll)",
            "DELETE FROM frame_notes WHERE frame_id NOT IN (SELECT id FROM frame)",
            "DELETE FROM frame_need WHERE frame_id NOT IN (SELECT id FROM frame) OR against_id NOT IN (SELECT id FROM frame)",
            "DELETE FROM recipe WHERE id NOT IN (SELECT recipe_id FROM base_part) OR slate_id NOT IN (SELECT id FROM slate)"
                    + " OR enlarger_id NOT IN (SELECT id FROM enlarger) OR lens_id NOT IN (SELECT id FROM lens)"
                    + " OR paper_id NOT IN (SELECT id FROM paper)",
            "UPDATE recipe SET previous_id = NULL WHERE previous_id NOT IN (SELECT id FROM recipe)",
            "UPDATE slate SET recipe_id = (SELECT id FROM recipe WHERE slate_id = slate.id ORDER BY made_at DESC LIMIT 1)"
                    + " WHERE recipe_id NOT IN (SELECT id FROM recipe) AND EXISTS (SELECT 1 FROM recipe WHERE slate_id = slate.id)",
            "UPDATE slate SET redo_id = NULL WHERE redo_id NOT IN (SELECT id FROM recipe)",
            "DELETE FROM slate WHERE recipe_id NOT IN (SELECT id FROM recipe)",
            "DELETE FROM sheet WHERE slate_id NOT IN (SELECT id FROM slate) OR recipe_id NOT IN (SELECT id FROM recipe)"
                    + " OR id NOT IN (SELECT sheet_id FROM piece) OR NOT EXISTS (SELECT 1 FROM step WHERE sheet_id = sheet.id)"
                    + " OR (SELECT count(*) <> max(place) FROM step WHERE sheet_id = sheet.id)",
            "DELETE FROM focus_check WHERE recipe_id NOT IN (SELECT id FROM recipe) OR enlarger_id NOT IN (SELECT id FROM enlarger)",
            "DELETE FROM slate_marks WHERE slate_id NOT IN (SELECT id FROM slate) OR enlarger_id NOT IN (SELECT id FROM enlarger)",
            "UPDATE slate SET accepted_sheet_id = NULL WHERE accepted_sheet_id NOT IN (SELECT id FROM sheet)",
            "DELETE FROM scan WHERE picture_id NOT IN (SELECT id FROM picture)",
            "DELETE FROM base_part WHERE recipe_id NOT IN (SELECT id FROM recipe)",
            "DELETE FROM area WHERE recipe_id NOT IN (SELECT id FROM recipe)",
            "DELETE FROM step WHERE sheet_id NOT IN (SELECT id FROM sheet)",
            "DELETE FROM piece WHERE sheet_id NOT IN (SELECT id FROM sheet)",
            "DELETE FROM lamp WHERE sheet_id NOT IN (SELECT id FROM sheet)",
            "DELETE FROM event WHERE sheet_id NOT IN (SELECT id FROM sheet)",
            "DELETE FROM scan WHERE sheet_id NOT IN (SELECT id FROM sheet)",
            "DELETE FROM decision WHERE sheet_id NOT IN (SELECT id FROM sheet) OR slate_id NOT IN (SELECT id FROM slate)");

    private Rescue() {}

    /** What was saved, of what is known to have been there. */
    record Saved(Path file, int slates, int sheets, int slatesKnown, int sheetsKnown) {}

    /**
     * Looks at the records of a file before it is opened for good.
     *
     * @throws StorageException when they are damaged: it says what was saved, where that lies, and which backup is there
     */
    static void refuseDamaged(Path file) {
        Optional<String> damage = FileHealth.damageOfRecords(file);
        if (damage.isEmpty()) {
            return;
        }
        String saved;
        try {
            Saved found = save(file);
            saved = String.format(
                    "What can be read lies in %s: %d of %d slates, %d of %d sheets.",
                    found.file(), found.slates(), found.slatesKnown(), found.sheets(), found.sheetsKnown());
        } catch (DataAccessException | IOException e) {
            saved = "Nothing of it can be read.";
        }
        String backup = Backups.in(file.resolveSibling(Backups.USUAL_FOLDER), file).stream()
                .findFirst()
                .map(b -> " The newest backup beside it is " + b.file() + ".")
                .orElse(" There is no backup beside it; one may lie in another folder.");
        throw new StorageException(
                "The data file " + file + " is damaged (" + brief(damage.get()) + "); it is left as it is. " + saved
                        + backup + " ./slate restore --from FILE puts either in its place"
                        + (isPractice(file) ? ", with --demo; the practice darkroom may also be deleted." : "."),
                null);
    }

    private static boolean isPractice(Path file) {
        return Database.PRACTICE_FILE_NAME.equals(file.getFileName().toString());
    }

    private static String brief(String damage) {
        String line = damage.lines().filter(l -> !l.isBlank()).findFirst().orElse("");
        return line.length() > 120 ? line.substring(0, 120) + " …" : line;
    }

    /** Saves into a file beside the damaged one; an earlier one of that name is made anew. */
    static Saved save(Path damaged) throws IOException {
        Path to = damaged.resolveSibling(damaged.getFileName().toString().replaceFirst("\\.db$", "") + ".rescued.db");
        for (String end : List.of("", "-wal", "-shm")) {
            Files.deleteIfExists(to.resolveSibling(to.getFileName() + end));
        }
        SQLiteDataSource source = new SQLiteDataSource();
        source.setUrl("jdbc:sqlite:" + to.toAbsolutePath());
        FileAge.migrations(source).migrate();
        return Alone.with(to, sql -> Alone.with(damaged, from -> save(from, sql, to)));
    }

    private static Saved save(JdbcClient from, JdbcClient to, Path file) {
        to.sql("PRAGMA foreign_keys = 0").update();
        List<Map<String, Object>> triggers = to.sql("SELECT name, sql FROM sqlite_schema WHERE type = 'trigger'")
                .query()
                .listOfRows();
        to.sql("BEGIN").update();
        triggers.forEach(t -> to.sql("DROP TRIGGER " + t.get("name")).update());
        to.sql("DELETE FROM backup_plan").update();
        TABLES.forEach(table -> copy(table, from, to));
        int slatesKnown =
                known(to, "SELECT id FROM slate UNION SELECT slate_id FROM recipe UNION SELECT slate_id FROM sheet");
        int sheetsKnown =
                known(to, "SELECT id FROM sheet UNION SELECT sheet_id FROM step UNION SELECT sheet_id FROM piece");
        to.sql("INSERT OR IGNORE INTO backup_plan (id, every_days, kept) VALUES (1, 1, 7)")
                .update();
        MENDS.forEach(mend -> to.sql(mend).update());
        triggers.forEach(t -> to.sql(String.valueOf(t.get("sql"))).update());
        if (readsAsPractice(from)) {
            FileAge.markPractice(to);
        }
        to.sql("COMMIT").update();
        return new Saved(
                file, known(to, "SELECT id FROM slate"), known(to, "SELECT id FROM sheet"), slatesKnown, sheetsKnown);
    }

    private static boolean readsAsPractice(JdbcClient from) {
        try {
            return FileAge.isPractice(from);
        } catch (DataAccessException e) {
            return false;
        }
    }

    private static int known(JdbcClient sql, String ids) {
        return sql.sql("SELECT count(*) FROM (" + ids + ")")
                .query(Integer.class)
                .single();
    }

    /** Every row of a table that is reached from its beginning or from its end. */
    private static void copy(String table, JdbcClient from, JdbcClient to) {
        List<String> columns = to.sql("SELECT name FROM pragma_table_info(?) ORDER BY cid")
                .param(table)
                .query(String.class)
                .list();
        List<String> keys = to.sql("SELECT name FROM pragma_table_info(?) WHERE pk > 0 ORDER BY pk")
                .param(table)
                .query(String.class)
                .list();
        boolean hasRowid = to.sql("SELECT wr FROM pragma_table_list WHERE name = ?")
                        .param(table)
                        .query(Integer.class)
                        .single()
                == 0;
        List<String> order = hasRowid ? List.of("rowid") : keys;
        for (String way : List.of("", " DESC")) {
            String by = order.stream().map(k -> k + way).collect(Collectors.joining(", "));
            if (copyUntilDamage(
                    "SELECT * FROM " + table + (hasRowid ? " NOT INDEXED" : "") + " ORDER BY " + by,
                    table,
                    columns,
                    from,
                    to)) {
                return;
            }
        }
    }

    /** Whether the end was reached. A table that the damaged file does not know, of an older time, ends at once. */
    private static boolean copyUntilDamage(
            String select, String table, List<String> columns, JdbcClient from, JdbcClient to) {
        try {
            from.sql(select).query(row -> {
                Map<String, Object> values = new LinkedHashMap<>();
                for (int i = 1; i <= row.getMetaData().getColumnCount(); i++) {
                    String column = row.getMetaData().getColumnName(i);
                    if (columns.contains(column)) {
                        values.put(column, row.getObject(i));
                    }
                }
                List<Object> given = new ArrayList<>(values.values());
                to.sql("INSERT OR IGNORE INTO " + table + " (" + String.join(", ", values.keySet()) + ") VALUES ("
                                + String.join(", ", Collections.nCopies(given.size(), "?")) + ")")
                        .params(given)
                        .update();
            });
            return true;
        } catch (DataAccessException e) {
            return false;
        }
    }
}
