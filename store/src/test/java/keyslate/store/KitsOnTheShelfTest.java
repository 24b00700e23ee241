package keyslate.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import keyslate.store.bench.Kit;
import keyslate.store.bench.KitRepository;
import keyslate.store.bench.StoresRepository;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.sqlite.SQLiteDataSource;

/** Kits of viewing filters: a shelf of their own in files of 2026-11, things among others since. */
class KitsOnTheShelfTest {
    private static final String NOW = "2026-11-29T03:04:05.000Z";

    @TempDir
    private Path folder;

    private void asOfVersion19() {
        SQLiteDataSource source = new SQLiteDataSource();
        source.setUrl("jdbc:sqlite:" + folder.resolve(Database.FILE_NAME));
        Flyway.configure(Database.class.getClassLoader())
                .dataSource(source)
                .locations("classpath:db/migration")
                .target("19")
                .load()
                .migrate();
        JdbcClient sql = JdbcClient.create(source);
        sql.sql(
                        "INSERT INTO viewing_kit (name, says, strengths, taken_at) VALUES ('Own kit', 'STRENGTH', '[5, 10]', :now),"
                                + " ('loan kit', 'CORRECTION', '[2.5]', :now)")
                .param("now", NOW)
                .update();
        sql.sql(
                        "INSERT INTO thing (id, kind, name, facts, added_at) VALUES ('k', 'VIEWING_KIT', 'Loan kit', '{\"kelvin\":null}', :now),"
                                + " ('m', 'VIEWING_KIT', 'Gift', '{}', :now), ('e', 'EASEL', 'Own kit', '{}', :now)")
                .param("now", NOW)
                .update();
    }

    @Test
    void whatWasSaidOfAKitStaysAndOneInHandGoesFirst() {
        asOfVersion19();
        try (Database database = Database.open(folder)) {
            StoresRepository stores = new StoresRepository(database);
            KitRepository kits = new KitRepository(stores);
            assertThat(kits.all()).extracting(Kit::name).containsExactly("Own kit", "Gift", "Loan kit");
            Kit loan = kits.find("LOAN KIT").orElseThrow();
            assertThat(loan).isEqualTo(new Kit("k", "Loan kit", List.of(), "CORRECTION", List.of(2.5)));
            assertThat(kits.find("Own kit").orElseThrow().strengths()).containsExactly(5.0, 10.0);
            assertThat(kits.find("Gift").orElseThrow().says()).isNull();
            database.inTransaction(() -> kits.take("k"));
            assertThat(kits.all()).extracting(Kit::name).containsExactly("Loan kit", "Own kit", "Gift");
            database.inTransaction(() -> stores.retire("k", NOW));
            assertThat(kits.all()).extracting(Kit::name).containsExactly("Own kit", "Gift");
            assertThat(kits.find("Loan kit")).contains(loan);
        }
    }
}
