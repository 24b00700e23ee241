package keyslate.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import keyslate.server.Http;
import keyslate.server.Http.Answer;
import keyslate.server.Started;
import keyslate.store.Database;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

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
