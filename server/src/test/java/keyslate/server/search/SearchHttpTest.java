package keyslate.server.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Frames are found by what is written of them and by what they were printed on. */
class SearchHttpTest extends ApplicationTest {
    private Answer ask(Map<String, String> looked) {
        String query = new TreeMap<>(looked)
                .entrySet().stream()
                        .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                        .collect(Collectors.joining("&"));
        return http().get("/api/search?" + query);
    }

    private List<String> found(Map<String, String> looked) {
        List<String> titles = new ArrayList<>();
        ask(looked).json().get("frames").forEach(f -> titles.add(f.get("title").asString()));
        return titles;
    }

    @Test
    void eachWordMustStandSomewhere() {
        assertThat(found(Map.of("words", "teapot"))).contains("Ash-glaze teapot", "Teapot in colour");
        assertThat(found(Map.of("words", "TEAPOT colour"))).containsExactly("Teapot in colour");
        assertThat(found(Map.of("words", "teapot nowhere"))).isEmpty();
        assertThat(found(Map.of("words", "100%"))).isEmpty();
        assertThat(found(Map.of("words", "_"))).isEmpty();
    }

    @Test
    void capitalsWithAccentsAreFoundToo() {
        String frame = http().frame("Yard in fog");
        String before = http().get("/api/frames/" + frame)
                .json()
                .get("frame")
                .get("caption")
                .asString();
        http().patch("/api/frames/" + frame, Map.of("caption", "Übersicht über den Hof"));
        assertThat(found(Map.of("words", "übersicht"))).containsExactly("Yard in fog");
        assertThat(found(Map.of("words", "ÜBERSICHT"))).containsExactly("Yard in fog");
        http().patch("/api/frames/" + frame, Map.of("caption", before));
    }

    @Test
    void whatWasDecidedAndWhetherItWasPrinted() {
        String frame = http().frame("Drying loft");
        http().patch("/api/frames/" + frame, Map.of("rating", "MAYBE"));
        assertThat(found(Map.of("rating", "MAYBE"))).contains("Drying loft");
        assertThat(found(Map.of("rating", "NONE"))).doesNotContain("Drying loft");
        http().patch("/api/frames/" + frame, Map.of("rating", "NONE"));
        assertThat(found(Map.of("printed", "true")))
                .isNotEmpty()
                .doesNotContainAnyElementsOf(found(Map.of("printed", "false")));
    }

    @Test
    void byWhatStandsOnItsSlates() {
        String slate = http().newSlate("Bottle kiln");
        http().edit(slate, "base/light", "grade 4½");
        assertThat(found(Map.of("lightFrom", "grade 4", "lightTo", "5"))).contains("Bottle kiln");
        assertThat(found(Map.of("lightFrom", "4.5", "words", "kiln"))).containsExactly("Bottle kiln");
        assertThat(found(Map.of("lightFrom", "0/0/0", "lightTo", "0/120/120", "words", "grade")))
                .isEmpty();
        JsonNode choices = http().get("/api/search/choices").json();
        String paper = papers(choices).get(0);
        assertThat(found(Map.of("paper", paper))).isNotEmpty();
        assertThat(found(Map.of("paper", "No such paper"))).isEmpty();
        String size = choices.get("sizes").get(0).get("id").asString();
        assertThat(found(Map.of("size", size))).isNotEmpty();
        http().send("DELETE", "/api/slates/" + slate, "");
        assertThat(found(Map.of("lightFrom", "4.5"))).doesNotContain("Bottle kiln");
    }

    private static List<String> papers(JsonNode choices) {
        List<String> papers = new ArrayList<>();
        choices.get("papers").forEach(p -> papers.add(p.asString()));
        return papers;
    }

    @Test
    void byTheDayOfTheFilm() {
        String frame = http().frame("Yard in fog");
        String roll = http().get("/api/frames/" + frame)
                .json()
                .get("frame")
                .get("rollId")
                .asString();
        http().patch("/api/rolls/" + roll, Map.of("history", Map.of("takenOn", "1999-11-03")));
        assertThat(found(Map.of("fromDay", "1999-11-01", "toDay", "1999-11-30")))
                .contains("Yard in fog")
                .hasSize(2);
        assertThat(found(Map.of("toDay", "1999-11-02"))).isEmpty();
        http().patch("/api/rolls/" + roll, Map.of("history", Map.of()));
        assertThat(found(Map.of("toDay", "1999-11-30"))).isEmpty();
    }

    @Test
    void whatCannotBeReadIsSaidWithItsField() {
        Answer refused = ask(Map.of(
                "rating",
                "GOOD",
                "size",
                "large",
                "fromDay",
                "yesterday",
                "lightFrom",
                "grade 2",
                "lightTo",
                "0/40/40"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.pointers()).containsExactlyInAnyOrder("/rating", "/size", "/fromDay", "/lightTo");
        assertThat(ask(Map.of("lightFrom", "grade 9")).pointers()).containsExactly("/lightFrom");
        assertThat(ask(Map.of("skipped", "-1")).status()).isEqualTo(422);
    }

    @Test
    void pagesHoldEveryFrameOnce() {
        String roll = http().post(
                        "/api/rolls", Map.of("title", "Sought", "film", "", "longMm", 36, "shortMm", 24, "frames", 60))
                .json()
                .get("id")
                .asString();
        List<String> numbers = new ArrayList<>();
        for (int skipped = 0; skipped < 60; skipped += 24) {
            JsonNode page = ask(Map.of("words", "sought", "skipped", Integer.toString(skipped)))
                    .json();
            assertThat(page.get("count").asInt()).isEqualTo(60);
            page.get("frames").forEach(f -> numbers.add(f.get("number").asString()));
        }
        assertThat(numbers).hasSize(60).doesNotHaveDuplicates().startsWith("1", "2", "3");
        http().send("DELETE", "/api/rolls/" + roll, "");
    }
}
