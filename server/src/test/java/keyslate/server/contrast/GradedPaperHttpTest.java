package keyslate.server.contrast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Paper of one contrast: no filter, another box for another grade, its range measured, and its slate in and out of a file. */
class GradedPaperHttpTest extends ApplicationTest {
    private final List<String> undone = new ArrayList<>();
    private String slate;
    private String two;
    private String three;
    private String variable;

    @BeforeEach
    void twoBoxesAndASlate() {
        two = box(2);
        three = box(3);
        slate = http().newSlate("Drying loft");
        http().edit(slate, "base/light", "grade 2");
        http().edit(slate, "base/seconds", 10.0);
        variable = setup().get("paperId").asString();
    }

    @AfterEach
    void away() {
        undone.forEach(id -> http().send("DELETE", "/api/stores/constants/" + id, ""));
        for (String id : List.of(two, three)) {
            ok(http().post("/api/stores/" + id + "/retired", Map.of("retired", true)));
        }
    }

    private String box(int grade) {
        JsonNode stores = ok(http().post(
                        "/api/stores/papers",
                        Map.of(
                                "name",
                                "Slate graded",
                                "kind",
                                "MONOCHROME",
                                "longMm",
                                254,
                                "shortMm",
                                203,
                                "grade",
                                grade,
                                "sheetsLeft",
                                12)));
        for (JsonNode p : stores.get("papers")) {
            if (p.get("name").asString().equals("Slate graded")
                    && p.get("grade").asInt() == grade) {
                return p.get("id").asString();
            }
        }
        throw new AssertionError("no such box");
    }

    private static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.text()).isBetween(200, 201);
        return answer.json();
    }

    private JsonNode setup() {
        return http().slate(slate).get("standing").get("setup");
    }

    private JsonNode base() {
        return http().slate(slate).get("standing").get("base");
    }

    private JsonNode propose(Map<String, ?> asked) {
        return ok(http().post("/api/slates/" + slate + "/contrast/proposal", asked));
    }

    /** From grade 2 through its filter, 1.11 stops slower than none, to no filter on graded paper and from box to box with light tones held. */
    @Test
    void thePaperTakesTheLightAndTheTimeAlong() {
        http().edit(slate, "setup/paperId", two);
        assertThat(base().get("light").get("notation").asString()).isEqualTo("no filter");
        double onTwo = base().get("seconds").asDouble();
        assertThat(onTwo).isCloseTo(10 / Math.pow(2, 1.11), within(0.1));
        assertThat(base().get("because").asString()).contains("grade 2 to Slate graded, paper grade 2");
        http().edit(slate, "setup/paperId", three);
        double onThree = base().get("seconds").asDouble();
        assertThat(onThree).isGreaterThan(onTwo * 1.1);
        http().edit(slate, "setup/paperId", two);
        assertThat(base().get("seconds").asDouble()).isCloseTo(onTwo, within(1e-6));
        http().edit(slate, "setup/paperId", variable);
        assertThat(base().get("light").get("notation").asString()).isEqualTo("no filter");
        assertThat(base().get("seconds").asDouble()).isCloseTo(onTwo, within(0.05));
    }

    @Test
    void noFilterIsAllThereIs() {
        http().edit(slate, "setup/paperId", two);
        JsonNode medium = http().slate(slate).get("standing").get("medium");
        assertThat(medium.get("lights")).hasSize(1);
        assertThat(http().edit(slate, "base/light", "grade 3").pointers()).containsExactly("/base/light");
        assertThat(http().post("/api/slates/" + slate + "/contrast/proposal", Map.of("way", "TWO_FILTERS"))
                        .text())
                .contains("this one has one contrast");
        assertThat(http().post("/api/slates/" + slate + "/contrast/strips", Map.of("version", http().version(slate)))
                        .status())
                .isEqualTo(409);
        assertThat(http().post(
                                "/api/stores/papers",
                                Map.of("name", "x", "kind", "COLOUR", "longMm", 254, "shortMm", 203, "grade", 2))
                        .pointers())
                .containsExactly("/grade");
        assertThat(http().patch("/api/stores/papers/" + two, Map.of("grade", 4)).pointers())
                .containsExactly("/grade");
        assertThat(http().patch("/api/stores/papers/" + two, Map.of("grade", 2, "surface", "gloss"))
                        .status())
                .isEqualTo(200);
    }

    /** The strip says a stop late: R 80, the box of grade 3. */
    @Test
    void blacksThatComeLateNameTheOtherBoxWithItsTime() {
        http().edit(slate, "setup/paperId", two);
        JsonNode strip = exposeAndHang(begin(slate, "STRIP")).get("sheets").get(0);
        String readings = "/api/sheets/" + strip.get("id").asString() + "/readings/proposal";
        JsonNode late = ok(http().post(readings, Map.of("whitesAt", 1, "blacksAt", 3)));
        assertThat(late.get("headline").asString()).matches("Blacks come (0.9.|1.00) stop late. Set .*");
        assertThat(late.get("why").asString())
                .contains("Paper grade 3 would be nearer, about ")
                .contains("in your stores, 12 sheets: take that box");
        assertThat(late.get("light").get("notation").asString()).isEqualTo("no filter");
        JsonNode far = ok(http().post(readings, Map.of("whitesAt", 0, "blacksAt", 4)));
        assertThat(far.get("why").asString()).contains("No box of it is in your stores.");
        JsonNode on = ok(http().post(readings, Map.of("whitesAt", 2, "blacksAt", 2)));
        assertThat(on.get("why").asString()).contains("within half a grade");
    }

    /** A strip that was made through filters tells of its own paper, and its filter is not set on graded paper. */
    @Test
    void aStripOnTheOtherPaperStaysWhatItWas() {
        JsonNode strip = exposeAndHang(begin(slate, "STRIP")).get("sheets").get(0);
        String readings = "/api/sheets/" + strip.get("id").asString() + "/readings";
        Map<String, Integer> marks = Map.of("whitesAt", 2, "blacksAt", 3);
        JsonNode before = ok(http().post(readings + "/proposal", marks));
        http().edit(slate, "setup/paperId", two);
        JsonNode after = ok(http().post(readings + "/proposal", marks));
        assertThat(after.get("headline")).isEqualTo(before.get("headline"));
        assertThat(after.get("light").get("notation").asString()).startsWith("grade ");
        Answer taken = http().post(
                        readings,
                        Map.of(
                                "marks",
                                marks,
                                "taking",
                                Map.of("version", http().version(slate), "answer", "PROPOSED")));
        assertThat(taken.pointers()).containsExactly("/taking/answer");
        assertThat(taken.text()).contains("on other paper");
    }

    @Test
    void aThreadThatIsMovedAsksForTheBoxThatHoldsIt() {
        http().edit(slate, "setup/paperId", two);
        JsonNode moved = propose(Map.of("threads", List.of(Map.of("name", "a shadow", "net", 1.2))));
        assertThat(moved.get("why").asString()).contains("Paper grade ").contains("would be nearer");
        assertThat(moved.get("one").get("light").get("notation").asString()).isEqualTo("no filter");
        assertThat(propose(Map.of("moreStops", 0.5)).get("why").asString()).doesNotContain("would be nearer");
    }

    @Test
    void itsRangeIsMeasuredAndCounts() {
        http().edit(slate, "setup/paperId", two);
        String enlarger = setup().get("enlargerId").asString();
        String path = "/api/stores/papers/" + two + "/filters";
        Map<String, ?> filtered = Map.of(
                "enlargerId",
                enlarger,
                "marks",
                List.of(Map.of("light", "grade 2", "whitesSeconds", 2, "blacksSeconds", 20)));
        assertThat(http().post(path, filtered).text()).contains("print it with no filter");
        double before = propose(Map.of()).get("threads").get(2).get("net").asDouble();
        JsonNode kept = ok(http().post(
                        path,
                        Map.of(
                                "enlargerId",
                                enlarger,
                                "keep",
                                true,
                                "marks",
                                List.of(Map.of(
                                        "light",
                                        "no filter",
                                        "whitesSeconds",
                                        2,
                                        "blacksSeconds",
                                        2 * Math.pow(10, 0.96))))));
        undone.add(kept.get("keptId").asString());
        assertThat(kept.get("headline").asString()).contains("No filter prints R 96");
        // Its limit is the range's: there is no other light that its time could be compared with.
        assertThat(kept.get("constant").get("limit").asString()).matches("± [1-9]");
        String key = http().slate(slate).get("standing").get("previewKey").asString();
        assertThat(propose(Map.of("threads", List.of(Map.of("name", "a middle", "net", 0.6))))
                        .get("curve")
                        .size())
                .isGreaterThan(10);
        assertThat(before).isCloseTo(1.54, within(0.01));
        http().send("DELETE", "/api/stores/constants/" + undone.remove(0), "");
        assertThat(http().slate(slate).get("standing").get("previewKey").asString())
                .isNotEqualTo(key);
    }

    @Test
    void aSlateOnItGoesIntoAFileAndBack() {
        http().edit(slate, "setup/paperId", three);
        String file = http().get("/api/slates/" + slate + "/export").text();
        double seconds = base().get("seconds").asDouble();
        http().send("DELETE", "/api/slates/" + slate, "");
        String copy = ok(http().send("POST", "/api/imports", file)).get("id").asString();
        assertThat(http().slate(copy).get("standing").get("medium").get("lights"))
                .hasSize(1);
        assertThat(http().slate(copy).get("standing").get("base").get("seconds").asDouble())
                .isEqualTo(seconds);
    }
}
