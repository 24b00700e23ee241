package keyslate.server.calibration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.server.ApplicationTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Calibrations with the simulated meter: what is measured flows into what comes, and sheets that were exposed stay. */
class CalibrationHttpTest extends ApplicationTest {
    private static final double[] SIZES = {3, 4.5, 6.5, 9, 12};
    private final List<String> kept = new ArrayList<>();
    private String enlarger;
    private String lens;

    @BeforeEach
    void pick() {
        JsonNode stores = http().get("/api/stores").json();
        enlarger = stores.get("enlargers").get(0).get("id").asString();
        lens = stores.get("lenses").get(1).get("id").asString();
    }

    @AfterEach
    void takeBack() {
        kept.forEach(id -> http().send("DELETE", "/api/stores/constants/" + id, ""));
    }

    private double meter(String shows, Map<String, ?> at) {
        Map<String, Object> asked = new HashMap<>(Map.of("shows", shows, "enlargerId", enlarger, "lensId", lens));
        asked.putAll(at);
        return http().post("/api/practice/meter", asked).json().get("reading").asDouble();
    }

    private JsonNode keep(String path, Map<String, ?> asked) {
        Map<String, Object> body = new HashMap<>(asked);
        body.put("keep", true);
        JsonNode found = http().post("/api/stores/" + path, body).json();
        kept.add(found.get("keptId").asString());
        return found;
    }

    private List<Map<String, Object>> bursts() {
        List<Map<String, Object>> bursts = new ArrayList<>();
        for (double set : new double[] {2, 2, 2, 10, 10, 10}) {
            double dose = meter("DOSE", Map.of("mark", 8, "magnification", 6, "setSeconds", set));
            bursts.add(Map.of("setSeconds", set, "dose", dose));
        }
        return bursts;
    }

    private JsonNode constant(String shelf, String name) {
        JsonNode thing = null;
        for (JsonNode one : http().get("/api/stores").json().get(shelf)) {
            String id = one.get("id").asString();
            thing = id.equals(enlarger) || id.equals(lens) ? one : thing;
        }
        for (JsonNode one : thing.get("constants")) {
            if (one.get("name").asString().equals(name)) {
                return one;
            }
        }
        throw new AssertionError(name);
    }

    @Test
    void theLagIsMeasuredCountsAndIsTakenBack() {
        String slate = http().newSlate("Window shelf");
        String sheet = begin(slate, "PRINT");
        exposeAndHang(sheet);
        JsonNode before = http().get("/api/sheets/" + sheet + "/run").json();
        List<Map<String, Object>> bursts = bursts();
        JsonNode looked = http().post("/api/stores/enlargers/" + enlarger + "/lag", Map.of("bursts", bursts))
                .json();
        assertThat(looked.hasNonNull("keptId")).isFalse();
        assertThat(constant("enlargers", "LAG").get("source").asString()).isEqualTo("default");
        keep("enlargers/" + enlarger + "/lag", Map.of("bursts", bursts));
        JsonNode lag = constant("enlargers", "LAG");
        assertThat(lag.get("source").asString()).isEqualTo("measured");
        // 0.1 s by default and 0.03 s more in truth.
        double measured = Double.parseDouble(lag.get("text").asString().replace(" s", ""));
        assertThat(measured).isCloseTo(0.13, within(0.05));
        JsonNode setup = http().slate(slate).get("standing").get("setup");
        assertThat(setup.get("lagSource").asString()).isEqualTo("measured");
        assertThat(setup.get("lagSeconds").asDouble()).isCloseTo(measured, within(0.006));
        assertThat(http().get("/api/sheets/" + sheet + "/run").json().get("steps"))
                .isEqualTo(before.get("steps"));
        http().send("DELETE", "/api/stores/constants/" + lag.get("id").asString(), "");
        assertThat(constant("enlargers", "LAG").get("source").asString()).isEqualTo("default");
    }

    @Test
    void openingsAndPupilsMoveTheTimeOfAnotherSet() {
        String slate = http().newSlate("Window shelf");
        http().edit(slate, "setup/lensId", lens);
        http().edit(slate, "setup/apertureMark", 8);
        http().edit(slate, "base/seconds", 12);
        String sheet = begin(slate, "PRINT");
        exposeAndHang(sheet);
        http().edit(slate, "setup/apertureMark", 11);
        JsonNode byDefault = start(slate);
        List<Map<String, Object>> marks = new ArrayList<>();
        for (double mark : new double[] {5.6, 8, 11, 16}) {
            marks.add(Map.of(
                    "mark",
                    mark,
                    "lux",
                    List.of(
                            meter("LUX", Map.of("mark", mark, "magnification", 6)),
                            meter("LUX", Map.of("mark", mark, "magnification", 6)))));
        }
        JsonNode found = keep("lenses/" + lens + "/openings", Map.of("marks", marks));
        assertThat(found.get("places").size()).isEqualTo(4);
        double eight = found.get("places").get(1).get("stops").asDouble();
        double eleven = found.get("places").get(2).get("stops").asDouble();
        JsonNode measured = start(slate);
        double moved = Math.log(measured.get("seconds").asDouble()
                        / byDefault.get("seconds").asDouble())
                / Math.log(2);
        assertThat(moved).isCloseTo(eight - eleven, within(0.01));
        assertThat(measured.get("limitStops").asDouble())
                .isLessThan(byDefault.get("limitStops").asDouble());
        assertThat(measured.get("arithmetic").toString()).contains("openings as measured");

        List<Map<String, Object>> heights = new ArrayList<>();
        for (double size : SIZES) {
            heights.add(Map.of("magnification", size, "lux", meter("LUX", Map.of("mark", 8, "magnification", size))));
        }
        JsonNode pupil = keep("lenses/" + lens + "/pupil", Map.of("heights", heights));
        assertThat(pupil.get("headline").asString()).startsWith("Light follows 1 +");
        assertThat(constant("lenses", "PUPIL").get("source").asString()).isEqualTo("measured");
    }

    private JsonNode start(String slate) {
        return http().slate(slate).get("standing").get("setup").get("startingTime");
    }

    @Test
    void theColumnAndTheCornersAreMeasured() {
        List<Map<String, Object>> places = new ArrayList<>();
        for (double reading : new double[] {400, 520, 680, 880}) {
            places.add(Map.of(
                    "reading",
                    reading,
                    "projectedMm",
                    meter("LENGTH", Map.of("markMm", 20, "columnReading", reading))));
        }
        JsonNode column =
                keep("enlargers/" + enlarger + "/column", Map.of("lensId", lens, "markMm", 20, "places", places));
        assertThat(column.get("headline").asString()).startsWith("8 × stands at");
        assertThat(constant("enlargers", "EVENNESS").get("text").asString()).isEqualTo("not measured");
        Map<String, Object> lux = new HashMap<>();
        lux.put("centre", twice(Map.of("mark", 8, "magnification", 6)));
        List<String> corners = List.of("topLeft", "topRight", "bottomRight", "bottomLeft");
        for (int i = 0; i < corners.size(); i++) {
            lux.put(corners.get(i), twice(Map.of("mark", 8, "magnification", 6, "corner", i)));
        }
        JsonNode even = keep("enlargers/" + enlarger + "/evenness", lux);
        assertThat(even.get("places"))
                .allSatisfy(p -> assertThat(p.get("stops").asDouble()).isBetween(-0.5, 0.05));
    }

    private List<Double> twice(Map<String, ?> at) {
        return List.of(meter("LUX", at), meter("LUX", at));
    }

    @Test
    void aPaperDriesDownByWhatItsUserSaw() {
        String paper =
                http().get("/api/stores").json().get("papers").get(0).get("id").asString();
        JsonNode found = keep(
                "papers/" + paper + "/dry-down",
                Map.of("pairs", List.of(Map.of("wetSeconds", 12, "drySeconds", 11.04))));
        assertThat(found.get("headline").asString()).startsWith("It dries down by 8 %");
    }

    @Test
    void readingsThatCannotBeAreSaidAtTheirPlace() {
        assertThat(http().post("/api/stores/enlargers/" + enlarger + "/lag", Map.of())
                        .pointers())
                .containsExactly("/bursts");
        List<Map<String, Object>> bursts = bursts();
        bursts.set(2, Map.of("setSeconds", 0.1, "dose", 3));
        assertThat(http().post("/api/stores/enlargers/" + enlarger + "/lag", Map.of("bursts", bursts))
                        .pointers())
                .containsExactly("/bursts/2");
        assertThat(http().post(
                                "/api/stores/lenses/" + lens + "/openings",
                                Map.of("marks", List.of(Map.of("mark", 7.3))))
                        .pointers())
                .containsExactly("/marks/0");
        assertThat(http().post("/api/stores/enlargers/none/lag", Map.of()).status())
                .isEqualTo(404);
        assertThat(http().post("/api/practice/meter", Map.of("shows", "HEAT")).pointers())
                .contains("/shows", "/enlargerId", "/lensId");
    }
}
