package keyslate.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import keyslate.store.slate.FocusRepository;
import keyslate.store.slate.FocusRepository.Look;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The last look at an enlarger is a press or a sheet, whichever came later. */
class FocusRepositoryTest extends StoreTest {
    private FocusRepository looks;

    @BeforeEach
    void fill() {
        Samples.fill(database());
        database().inTransaction(() -> {
            Samples.insert(database(), "enlarger", Map.of("id", "other"));
            Samples.insert(database(), "recipe", enlarged("early", "e"));
            Samples.insert(database(), "recipe", enlarged("late", "e"));
            Samples.insert(database(), "recipe", enlarged("elsewhere", "other"));
        });
        looks = new FocusRepository(database());
    }

    private static Map<String, Object> enlarged(String id, String enlarger) {
        Map<String, Object> row = new java.util.HashMap<>(Map.of("id", id, "enlarger_id", enlarger));
        row.put("contact", null);
        row.put("contact_mm", null);
        return row;
    }

    private void sheet(String id, int number, String recipe, String at) {
        database()
                .inTransaction(() -> Samples.insert(
                        database(), "sheet", Map.of("id", id, "number", number, "recipe_id", recipe, "begun_at", at)));
    }

    @Test
    void isTheLaterOfPressAndSheet() {
        assertThat(looks.last("e")).contains(new Look("c", "2026-01-02T03:04:05.000Z"));
        sheet("first", 2, "early", "2026-03-01T00:00:00.000Z");
        assertThat(looks.last("e")).contains(new Look("early", "2026-03-01T00:00:00.000Z"));
        database().inTransaction(() -> looks.add("e", new Look("late", "2026-03-01T01:00:00.000Z")));
        assertThat(looks.last("e")).contains(new Look("late", "2026-03-01T01:00:00.000Z"));
        sheet("second", 3, "early", "2026-03-01T02:00:00.000Z");
        assertThat(looks.last("e")).contains(new Look("early", "2026-03-01T02:00:00.000Z"));
    }

    @Test
    void isOfThatEnlargerAlone() {
        assertThat(looks.last("other")).isEmpty();
        sheet("there", 2, "elsewhere", "2026-03-01T00:00:00.000Z");
        assertThat(looks.last("other")).isPresent();
        assertThat(looks.last("e")).contains(new Look("c", "2026-01-02T03:04:05.000Z"));
    }

    @Test
    void aSheetInContactSaysNothingOfFocus() {
        sheet("contact", 2, "c", "2026-03-01T00:00:00.000Z");
        assertThat(looks.last("e")).contains(new Look("c", "2026-01-02T03:04:05.000Z"));
    }
}
