package keyslate.store;

import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;

/** How many rows a data file has, table by table, whoever else has it open. */
public final class FileCounts {
    private FileCounts() {}

    public static Map<String, Long> of(Path file) {
        return Alone.with(file, sql -> {
            Map<String, Long> counts = new TreeMap<>();
            sql.sql("SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'flyway%'")
                    .query(String.class)
                    .list()
                    .forEach(table -> counts.put(
                            table,
                            sql.sql("SELECT count(*) FROM " + table)
                                    .query(Long.class)
                                    .single()));
            return counts;
        });
    }
}
