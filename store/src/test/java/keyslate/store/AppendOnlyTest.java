package keyslate.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What was exposed or decided cannot be changed or deleted by any statement, but with a slate that paper was not exposed for. */
class AppendOnlyTest extends StoreTest {
    @BeforeEach
    void fill() {
        Samples.fill(database());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "UPDATE recipe SET intent = 'other'",
                "UPDATE base_part SET seconds = 11",
                "UPDATE piece SET view_left = 0.1",
                "UPDATE event SET kind = 'IN_FIXER'",
                "UPDATE scan SET source = 'HANDED_IN'",
                "UPDATE sheet SET stood = NULL",
                "UPDATE sheet SET magnification = 5",
                "DELETE FROM base_part",
                "DELETE FROM piece",
                "DELETE FROM event",
                "DELETE FROM scan",
                "UPDATE area SET change_stops = 1",
                "UPDATE step SET set_seconds = 11",
                "UPDATE decision SET remark = 'other'",
                "DELETE FROM area",
                "DELETE FROM lamp",
                "DELETE FROM step",
                "DELETE FROM decision",
                "DELETE FROM sheet",
                "DELETE FROM recipe",
                "UPDATE slate SET practice = 1",
                "UPDATE sheet SET slate_id = 'other'",
                "UPDATE constant SET value = '[]'",
                "DELETE FROM constant"
            })
    void refuses(String statement) {
        assertThatThrownBy(() -> run(statement)).hasMessageContaining("never");
    }

    @Test
    void aLampThatIsOnIsCompletedOnceAndThenStays() {
        run("UPDATE lamp SET off_at = '2026', given_seconds = 10.1, outcome = 'COMPLETE'");
        assertThatThrownBy(() -> run("UPDATE lamp SET given_seconds = 12"))
                .hasMessageContaining("what was exposed is never changed");
        assertThat(database()
                        .sql()
                        .sql("SELECT given_seconds FROM lamp")
                        .query(Double.class)
                        .single())
                .isEqualTo(10.1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"HUNG", "ABANDONED"})
    void aSheetIsEndedOnceAndThenStays(String end) {
        assertThatCode(() -> run("UPDATE sheet SET state = '" + end + "', ended_at = '2026'"))
                .doesNotThrowAnyException();
        assertThatThrownBy(() -> run("UPDATE sheet SET note = 'better than it was'"))
                .hasMessageContaining("an exposed sheet is never changed");
    }

    private void run(String statement) {
        database().inTransaction(() -> {
            database().sql().sql(statement).update();
        });
    }

    @Test
    void everyTriggerIsThere() {
        assertThat(database()
                        .sql()
                        .sql("SELECT name FROM sqlite_schema WHERE type = 'trigger' ORDER BY name")
                        .query(String.class)
                        .list())
                .containsExactly(
                        "area_kept",
                        "area_stays",
                        "base_part_kept",
                        "base_part_stays",
                        "constant_kept",
                        "constant_stays",
                        "decision_kept",
                        "decision_stays",
                        "event_kept",
                        "event_stays",
                        "lamp_kept",
                        "lamp_stays",
                        "piece_kept",
                        "piece_stays",
                        "recipe_kept",
                        "recipe_stays",
                        "scan_kept",
                        "scan_stays",
                        "sheet_as_begun",
                        "sheet_kept",
                        "sheet_of_its_slate",
                        "sheet_stays",
                        "slate_practice",
                        "step_kept",
                        "step_stays");
    }
}
