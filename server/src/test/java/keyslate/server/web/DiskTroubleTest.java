package keyslate.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import keyslate.server.Http;
import keyslate.server.Http.Answer;
import keyslate.server.Started;
import keyslate.store.Database;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A disk that fills up while one works: said in plain words at the save, and nothing that was is lost. */
class DiskTroubleTest {
    @TempDir
    private Path folder;

    @Test
    void aFullDiskIsToldAndWorkGoesOnOnceThereIsSpace() {
        try (Started started = Started.on(folder, true)) {
            Http http = started.http();
            String slate = http.newSlate("Drying loft");
            Database database = started.part(Database.class);
            int pages = limit(database, 1);
            Answer answer = fillUp(http, slate);
            assertThat(answer.status()).isEqualTo(507);
            assertThat(answer.code()).isEqualTo("storage");
            assertThat(answer.text()).contains("The disk is full. Free some space, then try again.");
            long version = http.version(slate);
            limit(database, pages + 1000);
            assertThat(http.edit(slate, "setup/borderMm", 21).status()).isEqualTo(200);
            assertThat(http.version(slate)).isEqualTo(version + 1);
        }
    }

    @ParameterizedTest
    @CsvSource({"max_page_count = 1, max_page_count = 4294967294", "query_only = 1, query_only = 0"})
    void everyKindOfWriteGoesOnAfterwards(String trouble, String end) {
        try (Started started = Started.on(folder, true)) {
            Http http = started.http();
            Database database = started.part(Database.class);
            String slate = http.newSlate("Drying loft");
            for (int i = 0; i < 12; i++) {
                database.setForWriter(trouble);
                Answer roll = http.post("/api/rolls", Map.of("title", "Full", "film", "", "longMm", 36, "shortMm", 24));
                Answer made = http.edit(slate, "naming/intent", "x".repeat(300) + i);
                Answer begun = http.post(
                        "/api/slates/" + slate + "/sheets", Map.of("version", http.version(slate), "kind", "PRINT"));
                database.setForWriter(end);
                assertThat(List.of(roll, made, begun))
                        .allSatisfy(answer ->
                                assertThat(answer.status()).as(answer.text()).isIn(200, 201, 503, 507));
                assertThat(http.newSlate("Drying loft")).isNotEmpty();
                if (begun.status() == 201) {
                    http.post(
                            "/api/sheets/" + begun.json().get("sheetId").asString() + "/abandon",
                            Map.of("reason", "x"));
                }
            }
        }
    }

    /** Edits until one is refused; a few dozen fit into the pages that are begun. */
    private static Answer fillUp(Http http, String slate) {
        Answer answer = null;
        for (int i = 0; i < 200; i++) {
            answer = http.edit(slate, "naming/intent", Integer.toString(i).repeat(100));
            if (answer.status() != 200) {
                return answer;
            }
        }
        return answer;
    }

    /** SQLite's own limit stands in for the end of the disk; it never goes below what is used. */
    private static int limit(Database database, int pages) {
        return database.inTransaction(() -> database.sql()
                .sql("PRAGMA max_page_count = " + pages)
                .query(Integer.class)
                .single());
    }
}
