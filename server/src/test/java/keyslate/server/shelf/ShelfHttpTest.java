package keyslate.server.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import keyslate.server.ApplicationTest;
import keyslate.server.Http;
import keyslate.server.Http.Answer;
import keyslate.server.Started;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Slates and rolls by the page; put away, taken out, and deleted only where nothing real was exposed. */
class ShelfHttpTest extends ApplicationTest {
    @TempDir
    private Path folder;

    @Test
    void whatIsPutAwayLeavesTheBenchUnchangedAndComesBack() {
        String slate = http().newSlate("Window shelf");
        String before = http().slate(slate).get("standing").toString();
        assertThat(putAway("slates", slate, true).status()).isEqualTo(200);
        assertThat(ids("/api/slates?putAway=false", "slates", "moreSlates")).doesNotContain(slate);
        assertThat(ids("/api/slates?putAway=true", "slates", "moreSlates")).contains(slate);
        JsonNode away = http().slate(slate);
        assertThat(away.hasNonNull("putAwayAt")).isTrue();
        assertThat(away.get("standing").toString()).isEqualTo(before);
        putAway("slates", slate, false);
        assertThat(ids("/api/slates?putAway=false", "slates", "moreSlates")).contains(slate);
    }

    @Test
    void pagesHoldEverySlateOnceHoweverTheyAreAsked() {
        for (int i = 0; i < 20; i++) {
            http().newSlate("Window shelf");
        }
        JsonNode bench = http().get("/api/bench").json();
        assertThat(bench.get("slates").size()).isEqualTo(13);
        List<String> all = ids("/api/slates", "slates", "moreSlates");
        assertThat(all)
                .doesNotHaveDuplicates()
                .hasSize(13 + bench.get("moreSlates").asInt());
        assertThat(all.get(0)).isEqualTo(bench.get("slates").get(0).get("id").asString());
    }

    @Test
    void pagesHoldEveryRollOnceTheNewestFirst() {
        List<String> added = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            added.add(0, roll("Roll " + i));
        }
        List<String> all = ids("/api/rolls", "rolls", "moreRolls");
        assertThat(all).doesNotHaveDuplicates();
        assertThat(all.stream().filter(added::contains).toList()).isEqualTo(added);
        putAway("rolls", added.get(3), true);
        assertThat(ids("/api/rolls", "rolls", "moreRolls")).doesNotContain(added.get(3));
        assertThat(ids("/api/rolls?putAway=true", "rolls", "moreRolls")).contains(added.get(3));
        added.forEach(
                id -> assertThat(http().send("DELETE", "/api/rolls/" + id, "").status())
                        .isEqualTo(204));
        assertThat(ids("/api/rolls", "rolls", "moreRolls")).doesNotContainAnyElementsOf(added);
    }

    @Test
    void aSlateUnderTheLampIsNeitherPutAwayNorDeleted() {
        String slate = http().newSlate("Window shelf");
        String sheet = begin(slate, "STRIP");
        assertThat(putAway("slates", slate, true).code()).isEqualTo("sheet-under-lamp");
        assertThat(delete(slate).code()).isEqualTo("sheet-under-lamp");
        exposeAndHang(sheet);
        // Practice: what was exposed here was exposed on nothing.
        assertThat(http().slate(slate).get("deletable").asBoolean()).isTrue();
        String picture =
                http().slate(slate).get("sheets").get(0).get("pictureId").asString();
        assertThat(delete(slate).status()).isEqualTo(204);
        assertThat(http().get("/api/slates/" + slate).status()).isEqualTo(404);
        assertThat(http().get("/api/pictures/" + picture).status()).isEqualTo(404);
    }

    @Test
    void inOnesOwnDarkroomWhatWasExposedStays() {
        try (Started own = Started.on(folder, false)) {
            Http http = own.http();
            http.post(
                    "/api/stores/first",
                    Map.of("papers", "MONOCHROME", "head", "CONDENSER", "lamp", "MY_TIMER", "sheet", "CM_20_25"));
            String roll = http.post(
                            "/api/rolls",
                            Map.of("title", "Roll 1", "film", "", "kind", "MONOCHROME", "longMm", 36, "shortMm", 24))
                    .json()
                    .get("id")
                    .asString();
            http.upload("/api/rolls/" + roll + "/frames", "", new byte[0], "number", "1", "title", "Clay pit");
            String planned = http.newSlate("Clay pit");
            assertThat(http.send("DELETE", "/api/slates/" + planned, "").status())
                    .isEqualTo(204);
            String exposed = http.newSlate("Clay pit");
            String sheet = http.post(
                            "/api/slates/" + exposed + "/sheets",
                            Map.of("version", http.version(exposed), "kind", "STRIP"))
                    .json()
                    .get("sheetId")
                    .asString();
            assertThat(http.post("/api/sheets/" + sheet + "/lamp", Map.of("on", true, "step", 1))
                            .status())
                    .isEqualTo(200);
            http.post("/api/sheets/" + sheet + "/lamp", Map.of("on", false, "step", 1));
            http.post("/api/sheets/" + sheet + "/abandon", Map.of("reason", "dust"));
            assertThat(http.slate(exposed).get("deletable").asBoolean()).isFalse();
            assertThat(http.send("DELETE", "/api/slates/" + exposed, "").code()).isEqualTo("exposed");
            assertThat(http.send("DELETE", "/api/rolls/" + roll, "").code()).isEqualTo("exposed");
            assertThat(http.slate(exposed).get("sheets").size()).isEqualTo(1);
        }
    }

    @Test
    void whatWasDeletedOfTheDemoDataDoesNotComeBack() {
        try (Started first = Started.on(folder, true)) {
            String fog = first.http()
                    .get("/api/bench")
                    .json()
                    .get("slates")
                    .valueStream()
                    .filter(s -> "Yard in fog".equals(s.get("title").asString()))
                    .findFirst()
                    .orElseThrow()
                    .get("id")
                    .asString();
            assertThat(first.http().send("DELETE", "/api/slates/" + fog, "").status())
                    .isEqualTo(204);
        }
        try (Started again = Started.on(folder, true)) {
            assertThat(again.http().get("/api/bench").json().get("slates").size())
                    .isEqualTo(6);
        }
    }

    @Test
    void whatIsNotThereIsSaid() {
        assertThat(putAway("slates", "none", true).status()).isEqualTo(404);
        assertThat(putAway("rolls", "none", true).status()).isEqualTo(404);
        assertThat(delete("none").status()).isEqualTo(404);
        assertThat(http().get("/api/slates?after=none").status()).isEqualTo(404);
        assertThat(http().get("/api/rolls?after=none").status()).isEqualTo(404);
        assertThat(http().post("/api/slates/none/put-away", Map.of()).status()).isEqualTo(422);
    }

    private Answer putAway(String kind, String id, boolean away) {
        return http().post("/api/" + kind + "/" + id + "/put-away", Map.of("away", away));
    }

    private Answer delete(String slate) {
        return http().send("DELETE", "/api/slates/" + slate, "");
    }

    private String roll(String title) {
        return http().post(
                        "/api/rolls",
                        Map.of("title", title, "film", "", "kind", "MONOCHROME", "longMm", 36, "shortMm", 24))
                .json()
                .get("id")
                .asString();
    }

    /** The ids of all pages, in their order. */
    private List<String> ids(String path, String list, String more) {
        List<String> ids = new ArrayList<>();
        JsonNode page = http().get(path).json();
        while (true) {
            page.get(list).forEach(item -> ids.add(item.get("id").asString()));
            if (page.get(more).asInt() == 0) {
                assertThat(new TreeSet<>(ids)).hasSameSizeAs(ids);
                return ids;
            }
            String after = (path.contains("?") ? "&" : "?") + "after=" + ids.get(ids.size() - 1);
            page = http().get(path + after).json();
        }
    }
}
