package keyslate.server.print;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import keyslate.server.Http;
import keyslate.server.Started;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** A lamp that was on when the program ended gave an unknown time: the sheet says so and takes no more light. */
class PowerLossTest {
    @TempDir
    private Path folder;

    @Test
    void theSheetIsMarkedAtTheNextStart() {
        String sheet;
        String slate;
        try (Started first = Started.on(folder, true)) {
            Http http = first.http();
            slate = http.newSlate("Drying loft");
            sheet = http.post(
                            "/api/slates/" + slate + "/sheets", Map.of("version", http.version(slate), "kind", "STRIP"))
                    .json()
                    .get("sheetId")
                    .asString();
            http.post("/api/sheets/" + sheet + "/lamp", Map.of("on", true, "step", 1));
        }
        try (Started again = Started.on(folder, true)) {
            Http http = again.http();
            JsonNode run = http.get("/api/sheets/" + sheet + "/run").json();
            assertThat(run.get("powerLost").asBoolean()).isTrue();
            assertThat(run.get("lampOn").asBoolean()).isFalse();
            assertThat(http.post("/api/sheets/" + sheet + "/lamp", Map.of("on", true, "step", 1))
                            .code())
                    .isEqualTo("power-lost");
            JsonNode after = http.post("/api/sheets/" + sheet + "/abandon", Map.of("reason", "power"))
                    .json();
            assertThat(after.get("sheets").get(0).get("state").asString()).isEqualTo("ABANDONED");
        }
    }
}
