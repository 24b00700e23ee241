package keyslate.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What was exposed or decided cannot be changed or deleted by any statement. */
class AppendOnlyTest extends StoreTest {
    @BeforeEach
    void fill() {
        Samples.fill(database());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "UPDATE recipe SET base_seconds = 11",
                "UPDATE area SET change_stops = 1",
                "UPDATE burst SET set_seconds = 11",
                "UPDATE decision SET remark = 'other'",
                "DELETE FROM area",
                "DELETE FROM lamp",
                "DELETE FROM burst",
                "DELETE FROM decision",
                "DELETE FROM sheet",
                "DELETE FROM recipe"
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
}
