package keyslate.server.calibration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Filters, dials and boxes from sheets: what is kept flows into contrast, previews and set-ups, and can be taken back. */
class FiltersHttpTest extends ApplicationTest {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private final List<String> kept = new ArrayList<>();
    private String slate;
    private String paper;
    private String enlarger;

    @BeforeEach
    void newSlate() {
        slate = http().newSlate("Drying loft");
        http().edit(slate, "base/light", "grade 2");
        http().edit(slate, "base/seconds", 10.0);
        JsonNode setup = http().slate(slate).get("standing").get("setup");
        paper = setup.get("paperId").asString();
        enlarger = setup.get("enlargerId").asString();
    }

    @AfterEach
    void takeBack() {
        kept.forEach(id -> http().send("DELETE", "/api/stores/constants/" + id, ""));
    }

    private JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private JsonNode keep(String path, Map<String, ?> asked) {
        Map<String, Object> body = new HashMap<>(asked);
        body.put("keep", true);
        JsonNode found = ok(http().post("/api/stores/" + path, body));
        kept.add(found.get("keptId").asString());
        return found;
    }

    private JsonNode propose(String light) {
        return ok(http().post("/api/slates/" + slate + "/contrast/proposal", Map.of("light", light)));
    }

    private static Map<String, Object> marks(String light, double whites, double range) {
        return Map.of("light", light, "whitesSeconds", whites, "blacksSeconds", whites * Math.pow(10, range / 100));
    }

    private String previewKey() {
        return http().slate(slate).get("standing").get("previewKey").asString();
    }

    /** Grade 4 that takes × 3 for whites, and no filter that is a stop and a half faster. */
    @Test
    void marksThroughEmptyCarriersCountEverywhereUntilTheyAreTakenBack() {
        double before = propose("grade 4").get("one").get("seconds").asDouble();
        String key = previewKey();
        JsonNode found = keep(
                "papers/" + paper + "/filters",
                Map.of(
                        "enlargerId",
                        enlarger,
                        "marks",
                        List.of(marks("no filter", 1, 118), marks("grade 2", 2.8, 110), marks("grade 4", 8.4, 70))));
        assertThat(found.get("why").toString())
                .contains("Putting a filter in takes 1.49 stop")
                .contains("Grade 4 prints R 70");
        JsonNode after = propose("grade 4");
        assertThat(after.get("one").get("seconds").asDouble()).isNotCloseTo(before, within(0.2));
        assertThat(after.get("restsOn").toString())
                .contains("Whites hold with × 3.00, as sheets of this bench told")
                .contains("Doubling for each grade from 3 on would take × 2.00")
                .contains("Twice the time from 4 on");
        JsonNode without = propose("no filter");
        assertThat(without.get("one").get("light").get("notation").asString()).isEqualTo("no filter");
        assertThat(without.get("one").get("seconds").asDouble()).isLessThan(5);
        assertThat(previewKey()).isNotEqualTo(key);
        kept.forEach(id -> http().send("DELETE", "/api/stores/constants/" + id, ""));
        kept.clear();
        assertThat(propose("grade 4").get("one").get("seconds").asDouble()).isCloseTo(before, within(1e-6));
        assertThat(previewKey()).isEqualTo(key);
    }

    private static String print(GradeFilter filter, double seconds, double slower, String apart) {
        FilterLight light = PAPER.lightThrough(filter);
        return filter.written()
                + apart
                + seconds
                + apart
                + IntStream.range(0, 21)
                        .mapToObj(i -> String.format(
                                Locale.ROOT,
                                "%.2f",
                                0.06
                                        + PAPER.netDensityAt(
                                                Math.log10(seconds) - i * 0.15 - slower + light.blueLog(),
                                                light.ratio())))
                        .collect(Collectors.joining(apart));
    }

    @Test
    void aStepNegativeTellsRangeAndSpeed() {
        String lines = print(GradeFilter.G2, 40, 0, "; ") + "\n" + print(GradeFilter.G4, 60, 0.1, ", ");
        JsonNode found = keep("papers/" + paper + "/filters", Map.of("enlargerId", enlarger, "lines", lines));
        assertThat(found.get("places").get(0).get("at").asString()).isEqualTo("grade 4");
        double stops = (Math.log10(PAPER.pivotFactor(GradeFilter.G2, GradeFilter.G4, 0.04)) + 0.1) / Math.log10(2);
        assertThat(found.get("places").get(0).get("stops").asDouble()).isCloseTo(stops, within(0.08));
        assertThat(found.get("why").toString()).contains("Grade 2 prints R 1").contains("(CON-25)");
        for (JsonNode one : http().get("/api/stores").json().get("papers")) {
            if (one.get("id").asString().equals(paper)) {
                assertThat(one.get("constants").toString())
                        .contains("Filters in")
                        .contains("grade 4 +");
            }
        }
    }

    @Test
    void whatCannotBeReadIsSaidAtItsPlace() {
        String path = "/api/stores/papers/" + paper + "/filters";
        assertThat(http().post(path, Map.of("marks", List.of())).pointers()).contains("/enlargerId");
        assertThat(http().post(path, Map.of("enlargerId", enlarger, "marks", List.of()))
                        .pointers())
                .containsExactly("/marks");
        assertThat(http().post(
                                path,
                                Map.of(
                                        "enlargerId",
                                        enlarger,
                                        "marks",
                                        List.of(Map.of("light", "grade 9", "whitesSeconds", 1, "blacksSeconds", 2))))
                        .pointers())
                .containsExactly("/marks/0");
        assertThat(http().post(path, Map.of("enlargerId", enlarger, "lines", "grade 2; 20; two; 1; 0"))
                        .text())
                .contains("“two” in line 1 is no number");
        String flat = print(GradeFilter.G2, 40, 0, "; ");
        assertThat(http().post(path, Map.of("enlargerId", enlarger, "lines", flat + "\n" + flat))
                        .text())
                .contains("grade 2 stands twice");
        assertThat(http().post(
                                path,
                                Map.of(
                                        "enlargerId",
                                        enlarger,
                                        "lines",
                                        flat + "\ngrade 4; 60; 1.2; 0.9; 1.5; 0.3; 0.1"))
                        .text())
                .contains("Grade 4: they fall from step to step; number 3 does not");
        assertThat(http().post(
                                path,
                                Map.of("enlargerId", enlarger, "lines", "grade 2; 20; 2.1; 1.8; 1.2; 0.6; 0.3; 0.1"))
                        .text())
                .contains("run flat in black and in paper white");
        assertThat(http().post(path, Map.of("enlargerId", enlarger, "lines", "grade 2; 20"))
                        .pointers())
                .containsExactly("/lines");
    }

    @Test
    void dialsMakeGradesAsFarAsTheHeadReaches() {
        String path = "/api/stores/enlargers/" + enlarger + "/head-table";
        assertThat(http().post(path, Map.of("way", "SINGLE")).status()).isEqualTo(409);
        ok(http().patch("/api/stores/enlargers/" + enlarger, Map.of("dials", true)));
        try {
            JsonNode single = keep("enlargers/" + enlarger + "/head-table", Map.of("way", "SINGLE"));
            assertThat(single.get("headline").asString()).isEqualTo("Grades 0 to 4½ by the dials of this head.");
            JsonNode lights = http().slate(slate).get("standing").get("medium").get("lights");
            assertThat(lights.toString())
                    .contains("grade 4½")
                    .doesNotContain("grade 5")
                    .doesNotContain("grade 00");
            http().edit(slate, "base/light", "grade 3");
            assertThat(http().slate(slate)
                            .get("standing")
                            .get("base")
                            .get("dials")
                            .asString())
                    .startsWith("magenta 3");
            http().edit(slate, "test/second", "grade 4");
            assertThat(http().slate(slate)
                            .get("standing")
                            .get("test")
                            .get("script")
                            .toString())
                    .contains("Set grade 4, magenta 7");
            http().edit(slate, "test/second", "");
            http().edit(slate, "base/light", "grade 2");
            JsonNode three = propose("grade 3");
            assertThat(three.get("dials").get("magenta").asDouble()).isCloseTo(31, within(1.0));
            assertThat(three.get("restsOn").toString()).contains("by the table of this head");
            JsonNode own = keep(
                    "enlargers/" + enlarger + "/head-table",
                    Map.of(
                            "way",
                            "OWN",
                            "lines",
                            "grade,yellow,magenta,factor\n2, 0, 0, 1\n3, 0, 35, 1.7\n4; 0; 80; 2.9"));
            assertThat(own.get("why").toString()).contains("Grade 3: yellow 0, magenta 35, time × 1.70.");
            assertThat(propose("grade 3").get("dials").get("magenta").asDouble())
                    .isEqualTo(35);
            assertThat(http().post(path, Map.of("way", "OWN", "lines", "3, 0")).text())
                    .contains("line 1 needs grade, yellow, magenta and factor");
            assertThat(http().post(path, Map.of("way", "ROUND")).pointers()).containsExactly("/way");
        } finally {
            ok(http().patch("/api/stores/enlargers/" + enlarger, Map.of("dials", false)));
        }
    }

    @Test
    void aBoxIsComparedWithAnother() {
        String other = null;
        for (JsonNode one : http().get("/api/stores").json().get("papers")) {
            boolean alike = "MONOCHROME".equals(one.get("kind").asString());
            other = alike && !one.get("id").asString().equals(paper)
                    ? one.get("id").asString()
                    : other;
        }
        String path = "/api/stores/papers/" + paper + "/batch";
        assertThat(http().post(path, Map.of("otherId", paper, "pairs", List.of()))
                        .pointers())
                .contains("/otherId");
        if (other != null) {
            JsonNode found = keep(
                    "papers/" + paper + "/batch",
                    Map.of("otherId", other, "pairs", List.of(Map.of("otherSeconds", 10.0, "seconds", 12.6))));
            assertThat(found.get("headline").asString()).contains("+0.33 stop");
            // The other box takes a third of a stop less, and this one again what it took.
            http().edit(slate, "setup/paperId", other);
            JsonNode base = http().slate(slate).get("standing").get("base");
            assertThat(base.get("seconds").asDouble()).isCloseTo(7.94, within(0.01));
            assertThat(base.get("because").asString()).contains("for this box, as it was compared");
            http().edit(slate, "setup/paperId", paper);
            assertThat(http().slate(slate)
                            .get("standing")
                            .get("base")
                            .get("seconds")
                            .asDouble())
                    .isCloseTo(10, within(0.01));
        }
    }

    private JsonNode start(String id) {
        return http().slate(id).get("standing").get("setup").get("startingTime");
    }

    /** Grade 2 costs one stop in this enlarger's set and one and a half in the other's: made again there it takes half a stop more, once both were measured. */
    @Test
    void anotherEnlargerHasFiltersOfItsOwn() {
        exposeAndHang(begin(slate, "PRINT"));
        String other = null;
        for (JsonNode one : http().get("/api/stores").json().get("enlargers")) {
            String id = one.get("id").asString();
            other = other == null && !id.equals(enlarger) && !one.get("dials").asBoolean() ? id : other;
        }
        http().edit(slate, "setup/enlargerId", other);
        JsonNode unknown = start(slate);
        assertThat(unknown.get("arithmetic").toString())
                .contains("× 1.00 for grade 2 of this enlarger's own filters, ± ");
        for (String each : List.of(enlarger, other)) {
            keep(
                    "papers/" + paper + "/filters",
                    Map.of(
                            "enlargerId",
                            each,
                            "marks",
                            List.of(
                                    marks("no filter", 1, 112),
                                    marks("grade 2", each.equals(other) ? Math.pow(2, 1.5) : 2, 110))));
        }
        JsonNode known = start(slate);
        assertThat(known.get("arithmetic").toString()).contains("× 1.41 for grade 2 of this enlarger's own filters");
        assertThat(known.get("seconds").asDouble() / unknown.get("seconds").asDouble())
                .isCloseTo(1.41, within(0.03));
        assertThat(known.get("limitStops").asDouble())
                .isLessThan(unknown.get("limitStops").asDouble());
    }
}
