package keyslate.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.SlateRepository;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataIntegrityViolationException;

/** A slate goes whole or not at all, and only when nothing real was exposed for it. */
class DeletionTest extends StoreTest {
    private static final String[] OF_A_SLATE = {
        "slate", "recipe", "base_part", "area", "sheet", "piece", "step", "lamp", "event", "scan", "decision"
    };

    @Test
    void whatWasExposedStays() {
        Samples.fill(database());
        SlateRepository slates = slates();
        assertThat(slates.isExposed("s")).isTrue();
        assertThat(slates.isRollExposed("r")).isTrue();
        assertThatThrownBy(() -> database().inTransaction(() -> slates.delete("s")))
                .isInstanceOf(DataIntegrityViolationException.class)
                .hasMessageContaining("never deleted");
        for (String table : OF_A_SLATE) {
            assertThat(count(table)).as(table).isEqualTo(1);
        }
    }

    @Test
    void aSheetThatWasGivenUpInTheDarkBeforeAnyLightIsNoExposure() {
        fillWithoutLight("ABANDONED");
        assertThat(slates().isExposed("s")).isFalse();
        database().inTransaction(() -> slates().delete("s"));
        assertGone();
    }

    @Test
    void aSheetUnderTheLampOrOnTheCordIsOne() {
        fillWithoutLight("EXPOSING");
        assertThat(slates().isExposed("s")).isTrue();
        run("UPDATE sheet SET state = 'HUNG'");
        assertThat(slates().isExposed("s")).isTrue();
    }

    @Test
    void practiceMayAlwaysGoAndTakesItsPicturesWithIt() {
        database()
                .inTransaction(() -> Samples.tables()
                        .forEach(table -> Samples.insert(
                                database(), table, "slate".equals(table) ? Map.of("practice", 1) : Map.of())));
        run("UPDATE slate SET accepted_sheet_id = 't'");
        database().inTransaction(() -> slates().delete("s"));
        assertGone();
        for (String table : new String[] {"picture", "picture_part", "picture_working"}) {
            assertThat(count(table)).as(table).isZero();
        }
    }

    @Test
    void aPictureThatIsShownElsewhereStays() {
        database()
                .inTransaction(() -> Samples.tables()
                        .forEach(table -> Samples.insert(
                                database(),
                                table,
                                "slate".equals(table)
                                        ? Map.of("practice", 1)
                                        : "frame".equals(table) ? Map.of("picture_id", "pic") : Map.of())));
        database().inTransaction(() -> slates().delete("s"));
        assertThat(count("picture_part")).isEqualTo(1);
        database().inTransaction(() -> new RollRepository(database()).delete("r"));
        assertThat(count("frame")).isZero();
        assertThat(count("picture_part")).isZero();
    }

    @Test
    void anEditedSlateThatWasNeverExposedGoesWithEveryRecipe() {
        fillWithoutLight("ABANDONED");
        database().inTransaction(() -> {
            Samples.insert(database(), "recipe", Map.of("id", "next", "previous_id", "c"));
            Samples.insert(database(), "base_part", Map.of("recipe_id", "next"));
            database()
                    .sql()
                    .sql("UPDATE slate SET recipe_id = 'next', redo_id = 'c'")
                    .update();
        });
        database().inTransaction(() -> slates().delete("s"));
        assertGone();
    }

    private void fillWithoutLight(String state) {
        database()
                .inTransaction(() -> Samples.tables().stream()
                        .filter(table -> !"lamp".equals(table))
                        .forEach(table -> Samples.insert(
                                database(), table, "sheet".equals(table) ? Map.of("state", state) : Map.of())));
    }

    private void assertGone() {
        for (String table : OF_A_SLATE) {
            assertThat(count(table)).as(table).isZero();
        }
        assertThat(count("frame")).isEqualTo(1);
    }

    private SlateRepository slates() {
        return new SlateRepository(database());
    }

    private int count(String table) {
        return database()
                .sql()
                .sql("SELECT count(*) FROM " + table)
                .query(Integer.class)
                .single();
    }

    private void run(String statement) {
        database().inTransaction(() -> {
            database().sql().sql(statement).update();
        });
    }
}
