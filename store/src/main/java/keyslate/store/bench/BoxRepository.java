package keyslate.store.bench;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.store.Database;

/** Boxes of paper that lie open, and what light did to them. */
public final class BoxRepository {
    private final Database database;

    public BoxRepository(Database database) {
        this.database = database;
    }

    /** A box that lies open, with the name and the batch of its paper; {@code openedAt} in ISO 8601, UTC, as all times here. */
    public record OpenBox(String paperId, String name, String batch, String openedAt) {}

    /** Boxes that lie open now, the one first opened first. */
    public List<OpenBox> open() {
        return database.sql()
                .sql(
                        "SELECT paper_id, name, batch, box_opening.opened_at FROM box_opening JOIN paper ON paper.id = paper_id"
                                + " WHERE shut_at IS NULL ORDER BY box_opening.opened_at, paper_id")
                .query(OpenBox.class)
                .list();
    }

    /** Opens a box; one that lies open already stays as it is. The paper has to be there. */
    public void opened(String id, String paperId, String at) {
        database.sql()
                .sql("INSERT INTO box_opening (id, paper_id, opened_at) SELECT ?, ?, ? WHERE NOT EXISTS"
                        + " (SELECT 1 FROM box_opening WHERE paper_id = ? AND shut_at IS NULL)")
                .params(id, paperId, at, paperId)
                .update();
    }

    /** Shuts a box; nothing where it is shut. */
    public void shut(String paperId, String at) {
        database.sql()
                .sql("UPDATE box_opening SET shut_at = max(?, opened_at) WHERE paper_id = ? AND shut_at IS NULL")
                .params(at, paperId)
                .update();
    }

    /** Light came on: it fell into every box that lies open. */
    public void lit(String at) {
        database.sql()
                .sql("UPDATE box_opening SET lit_at = max(?, opened_at) WHERE shut_at IS NULL AND lit_at IS NULL")
                .param(at)
                .update();
    }

    /** When light last fell into a box, by its paper. */
    public Map<String, String> lit() {
        Map<String, String> lit = new HashMap<>();
        database.sql()
                .sql("SELECT paper_id, max(lit_at) FROM box_opening WHERE lit_at IS NOT NULL GROUP BY paper_id")
                .query(row -> {
                    lit.put(row.getString(1), row.getString(2));
                });
        return lit;
    }
}
