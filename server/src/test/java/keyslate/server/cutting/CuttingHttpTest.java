package keyslate.server.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import keyslate.server.ApplicationTest;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
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
        assertThat(plan.get("unit").asString()).isEqualTo("cm");
        assertThat(plan.get("line").asString()).contains("12.7").endsWith(".");
        assertThat(plan.get("steps").get(0).get("words").asString()).startsWith("3 × 30.5 × 24");
        assertThat(plan.get("room").asString()).isEqualTo("SAFELIGHT");
        assertThat(plan.get("places"))
                .filteredOn(p -> p.get("name").asString().equals("print"))
                .hasSize(2);
        assertThat(plan.get("usedShare").asDouble())
                .isCloseTo((2 * 178 * 127 + 4 * 62 * 60) / (305.0 * 240), within(1e-9));
    }

    /** Four postcards of a sheet of 24 by 30 cm: two fences, four cuts, one line. */
    @Test
    void postcardsInTwoSettingsAndOneLine() {
        String box = box(240, 300);
        JsonNode plan = http().post("/api/cutting", cards(box, 3)).json();
        assertThat(plan.get("line").asString()).isEqualTo("10, 10, 15.");
        assertThat(plan.get("headline").asString()).isEqualTo("2 settings, 4 cuts a sheet.");
        assertThat(plan.get("usedShare").asDouble()).isCloseTo(60_000 / 72_000.0, within(1e-9));
        assertThat(plan.get("offcuts").get(0).asString()).isEqualTo("3 of 30 × 4 cm");
        assertThat(plan.get("cost").asDouble()).isCloseTo(2.7, within(1e-9));
        assertThat(plan.get("steps").get(0).get("said"))
                .extracting(JsonNode::asString)
                .containsExactly("fence-to", "n10", "centimetres", "long-side-on", "cut", "n2", "times");
        retire(box);
    }

    @Test
    void begunOtherwiseThePiecesStillComeOutAndItIsSaid() {
        String box = box(240, 300);
        assertThat(http().post("/api/cutting", cards(box, 3))
                        .json()
                        .get("others")
                        .get(0)
                        .get("fenceMm")
                        .asDouble())
                .isEqualTo(150);
        Map<String, Object> asked = new java.util.HashMap<>(cards(box, 3));
        asked.put("firstMm", 150);
        JsonNode plan = http().post("/api/cutting", asked).json();
        assertThat(plan.get("headline").asString()).contains("the order is changed, 15 first");
        assertThat(plan.get("places"))
                .filteredOn(p -> p.get("name").asString().equals("card"))
                .hasSize(4);
        assertThat(plan.get("offcuts").get(0).asString()).isEqualTo("6 of 15 × 4 cm");
        asked.put("firstMm", 77);
        assertThat(http().post("/api/cutting", asked).pointers()).containsExactly("/firstMm");
        retire(box);
    }

    @Test
    void aPieceAsLargeAsTheSheetNeedsNoCut() {
        String box = box(240, 300);
        JsonNode plan = http().post(
                        "/api/cutting", Map.of("paperId", box, "wanted", List.of(wanted("sheet", 300, 240, 1))))
                .json();
        assertThat(plan.get("line").asString()).isEqualTo("Nothing to cut.");
        assertThat(plan.get("steps")).isEmpty();
        retire(box);
    }

    @Test
    void theFenceIsSaidInTheUsersUnit() {
        String box = box(240, 300);
        http().put("/api/stores/units", Map.of("length", "mm"));
        assertThat(http().post("/api/cutting", cards(box, 1)).json().get("line").asString())
                .isEqualTo("100, 100, 150.");
        http().put("/api/stores/units", Map.of("length", "in"));
        assertThat(http().post("/api/cutting", cards(box, 1)).json().get("line").asString())
                .isEqualTo("3.94, 3.94, 5.91.");
        http().put("/api/stores/units", Map.of("length", "cm"));
        retire(box);
    }

    @Test
    void aCardHangsOverTheTrimmer() throws Exception {
        byte[] pdf = http().bytes("/api/cutting/card", cards(paper("Satin RC 24 × 30"), 2));
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(document)).contains("10, 10, 15", "Satin RC", "Guard down");
        }
    }

    @Test
    void piecesAreToldHowTheyGoIntoADrum() {
        String drum = added(
                "things",
                Map.of(
                        "kind",
                        "DRUM",
                        "name",
                        "Blue drum",
                        "facts",
                        Map.of("longMm", 305, "shortMm", 254, "pieces", 4, "feed", "LONG")));
        JsonNode plan =
                http().post("/api/cutting", cards(paper("Satin RC 24 × 30"), 1)).json();
        assertThat(plan.get("feeds").get(0).asString()).isEqualTo("card in Blue drum: long side first, 4 at once.");
        retire(drum);
    }

    private static Map<String, Object> cards(String box, int sheets) {
        return Map.of("paperId", box, "sheets", sheets, "wanted", List.of(wanted("card", 150, 100, 4)));
    }

    private String box(double widthMm, double heightMm) {
        return added(
                "papers",
                Map.of(
                        "name",
                        "Box to be cut",
                        "kind",
                        "MONOCHROME",
                        "longMm",
                        heightMm,
                        "shortMm",
                        widthMm,
                        "sheetPrice",
                        0.9,
                        "openedOn",
                        "2026-11-01"));
    }

    /** Puts a thing on its shelf; its id. */
    private String added(String shelf, Map<String, Object> thing) {
        JsonNode stores = http().post("/api/stores/" + shelf, thing).json();
        for (JsonNode one : stores.get(shelf)) {
            if (one.get("name").asString().equals(thing.get("name"))) {
                return one.get("id").asString();
            }
        }
        throw new AssertionError(stores.toString());
    }

    private void retire(String id) {
        http().post("/api/stores/" + id + "/retired", Map.of("retired", true));
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
