package keyslate.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import keyslate.store.bench.Constant;
import keyslate.store.bench.ConstantRepository;
import keyslate.store.bench.StoresRepository;
import keyslate.store.bench.StoresRepository.PieceStock;
import keyslate.store.bench.Thing;
import keyslate.store.json.StoredConstant;
import keyslate.store.json.StoredFacts;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Things that are changed and retired, and what was found of them. */
class EquipmentTest extends StoreTest {
    private static final StoredFacts FACTS =
            new StoredFacts(305.0, 240.0, null, null, null, null, null, null, null, null, null, null);
    private StoresRepository stores;
    private ConstantRepository constants;

    @BeforeEach
    void fill() {
        Samples.fill(database());
        stores = new StoresRepository(database());
        constants = new ConstantRepository(database());
    }

    private Constant constant(String id, String lens, String at, double value) {
        return new Constant(
                id, "e", lens, "LAG", at, Constant.MEASURED, StoredConstant.number(value, 0.01), "[1, 2]", "", null);
    }

    private List<Double> counting() {
        return constants.of(List.of("e")).stream()
                .filter(c -> c.value().value() != null)
                .map(c -> c.value().value())
                .toList();
    }

    @Test
    void theLastThatWasNotTakenBackCounts() {
        database().inTransaction(() -> {
            constants.add(constant("a", "", "2026-02-01T00:00:00.000Z", 0.1));
            constants.add(constant("b", "", "2026-03-01T00:00:00.000Z", 0.2));
            constants.add(constant("c", "", "2026-03-01T00:00:00.000Z", 0.3));
            constants.add(constant("d", "l", "2026-02-15T00:00:00.000Z", 0.4));
        });
        assertThat(counting()).containsExactly(0.3, 0.4);
        database().inTransaction(() -> constants.undo("c", "2026-04-01T00:00:00.000Z"));
        assertThat(counting()).containsExactly(0.2, 0.4);
        database().inTransaction(() -> constants.undo("b", "2026-04-01T00:00:00.000Z"));
        assertThat(counting()).containsExactly(0.1, 0.4);
        assertThat(constants.history("e")).hasSize(5);
        assertThat(constants.find("b").orElseThrow().undoneAt()).isEqualTo("2026-04-01T00:00:00.000Z");
        assertThat(constants.all()).hasSize(2);
    }

    @Test
    void whatIsRetiredIsFoundByItsIdAlone() {
        database().inTransaction(() -> {
            stores.put(new Thing("easel", "EASEL", "Two-blade easel", FACTS, "2026-01-01", null));
            assertThat(stores.retire("l", "2026-02-01")).isTrue();
            assertThat(stores.retire("easel", "2026-02-02")).isTrue();
            assertThat(stores.retire("nothing", "2026-02-02")).isFalse();
        });
        assertThat(stores.lenses()).isEmpty();
        assertThat(stores.lens("l")).isPresent();
        assertThat(stores.things()).extracting(Thing::id).containsExactly("th");
        assertThat(stores.thing("easel").orElseThrow().facts()).isEqualTo(FACTS);
        assertThat(stores.retired()).extracting(StoresRepository.Retired::shelf).containsExactly("thing", "lens");
        database().inTransaction(() -> stores.retire("l", null));
        assertThat(stores.lenses()).hasSize(1);
    }

    @Test
    void whatIsChangedKeepsItsPlace() {
        database().inTransaction(() -> {
            stores.put(new Thing("th", "EASEL", "Old easel", FACTS, "2030-01-01", null));
            stores.prefer("LENGTH", "in");
            stores.put(new PieceStock("p", 203, 51, 7));
            stores.put(new PieceStock("p", 127, 100, 2));
        });
        assertThat(stores.thing("th").orElseThrow().name()).isEqualTo("Old easel");
        assertThat(stores.thing("th").orElseThrow().addedAt()).isNotEqualTo("2030-01-01");
        assertThat(stores.preference("LENGTH")).contains("in");
        assertThat(stores.preference("TEMPERATURE")).isEmpty();
        assertThat(stores.pieces()).extracting(PieceStock::pieces).containsExactly(7, 2);
        database().inTransaction(() -> stores.put(new PieceStock("p", 203, 51, 0)));
        assertThat(stores.pieces()).extracting(PieceStock::pieces).containsExactly(2);
    }
}
