package keyslate.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.TreeMap;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateCopies;
import keyslate.store.slate.SlateRepository;
import org.junit.jupiter.api.Test;

/** A slate once more, with every row that hangs on it and none that does not. */
class SlateCopiesTest extends StoreTest {
    private static final String LATER = "2026-02-03T04:05:06.789Z";

    @Test
    void everyRowOfASlateIsThereTwiceAndItsPicturesAreShared() {
        Samples.fill(database());
        Map<String, Long> before = new TreeMap<>(FileCounts.of(database().file()));
        String id = database().inTransaction(() -> new SlateCopies(database()).copy("s", 7, "f", LATER));
        Map<String, Long> after = FileCounts.of(database().file());
        for (String shared : new String[] {
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
            "backup_plan",
            "thing",
            "constant",
            "focus_check",
            "preference",
            "piece_stock",
            "box_opening",
            "slate_marks"
        }) {
            assertThat(after.get(shared)).as(shared).isEqualTo(before.remove(shared));
        }
        before.forEach((table, rows) -> assertThat(after.get(table)).as(table).isEqualTo(2 * rows));
        Slate copy = new SlateRepository(database()).find(id).orElseThrow();
        assertThat(copy.touchedAt()).isEqualTo(LATER);
        int lamps = database()
                .sql()
                .sql("SELECT count(*) FROM lamp JOIN sheet ON sheet.id = lamp.sheet_id WHERE sheet.slate_id = ?")
                .param(id)
                .query(Integer.class)
                .single();
        assertThat(lamps).isEqualTo(1);
        assertThat(FileHealth.damage(database().file())).isEmpty();
    }
}
