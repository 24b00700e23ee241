package keyslate.server.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import keyslate.server.ApplicationTest;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The order of cuts, and the pieces into the box. */
class CuttingHttpTest extends ApplicationTest {
    private String paper(String name) {
        for (JsonNode paper : http().get("/api/stores").json().get("papers")) {
            if (paper.get("name").asString().equals(name)) {
                return paper.get("id").asString();
            }
        }
        throw new AssertionError(name);
    }

    private static Map<String, Object> wanted(String name, double longMm, double shortMm, int count) {
        return Map.of("name", name, "longMm", longMm, "shortMm", shortMm, "count", count);
    }

    /** The sheet of 12 × 9.5 inches into two prints and strips from the rest. */
    @Test
    void printsAndStripsFromASheetInFewSettings() {
        JsonNode plan = http().post(
                        "/api/cutting",
                        Map.of(
                                "paperId",
                                paper("Satin RC 24 × 30"),
                                "sheets",
                                3,
                                "wanted",
                                List.of(wanted("print", 178, 127, 2), wanted("strip", 62, 60, 4))))
                .json();
        assertThat(plan.get("proven").asBoolean()).isTrue();
        assertThat(plan.get("line").asString()).contains("127").endsWith(".");
        assertThat(plan.get("line").asString().split(", ")).hasSizeLessThanOrEqualTo(3);
        assertThat(plan.get("steps").get(0).get("words").asString()).startsWith("3 × 305 × 240");
        assertThat(plan.get("places"))
                .filteredOn(p -> p.get("name").asString().equals("print"))
                .hasSize(2);
        assertThat(plan.get("usedShare").asDouble())
                .isCloseTo((2 * 178 * 127 + 4 * 62 * 60) / (305.0 * 240), within(1e-9));
    }

    @Test
    void whatIsCutLiesInTheBox() {
        String paper = paper("Pearl RC 20 × 25");
        double before = left(paper);
        Map<String, Object> asked =
                Map.of("paperId", paper, "sheets", 2, "wanted", List.of(wanted("strip", 203, 51, 4)));
        assertThat(http().post("/api/cutting/done", asked).status()).isEqualTo(200);
        assertThat(left(paper)).isCloseTo(before - 2, within(1e-9));
        for (JsonNode one : http().get("/api/stores").json().get("papers")) {
            if (one.get("id").asString().equals(paper)) {
                assertThat(one.get("pieces").get(0).get("pieces").asInt()).isEqualTo(8);
            }
        }
        http().put("/api/stores/papers/" + paper + "/pieces", Map.of("longMm", 203, "shortMm", 51, "pieces", 0));
        http().patch("/api/stores/papers/" + paper, Map.of("sheetsLeft", before));
    }

    private double left(String paper) {
        for (JsonNode one : http().get("/api/stores").json().get("papers")) {
            if (one.get("id").asString().equals(paper)) {
                return one.get("sheetsLeft").asDouble();
            }
        }
        throw new AssertionError(paper);
    }

    @Test
    void whatCannotBeCutIsSaidAtItsField() {
        String paper = paper("Pearl RC 20 × 25");
        assertThat(http().post("/api/cutting", Map.of()).pointers()).containsExactlyInAnyOrder("/paperId", "/wanted");
        assertThat(http().post(
                                "/api/cutting",
                                Map.of(
                                        "paperId",
                                        paper,
                                        "sheets",
                                        0,
                                        "wanted",
                                        List.of(Map.of("name", "strip", "count", 0), wanted("strip", 51, 203, 1))))
                        .pointers())
                .containsExactlyInAnyOrder(
                        "/sheets", "/wanted/0/longMm", "/wanted/0/shortMm", "/wanted/0/count", "/wanted/1/name");
        assertThat(http().post(
                                "/api/cutting",
                                Map.of("paperId", paper, "wanted", List.of(wanted("print", 254, 203, 2))))
                        .pointers())
                .containsExactly("/wanted");
    }
}
