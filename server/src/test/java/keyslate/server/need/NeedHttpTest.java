package keyslate.server.need;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.Map;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What a frame needs beside one that is printed, by eye, from the proof's scan and by readings, becomes the start of its slate. */
class NeedHttpTest extends ApplicationTest {
    private String printed;
    private String roll;
    private String other;
    private String accepted;

    @BeforeEach
    void printAFrame() {
        roll = http().post(
                        "/api/rolls",
                        Map.of(
                                "title",
                                "Roll 41",
                                "film",
                                "Medium film",
                                "longMm",
                                36,
                                "shortMm",
                                24,
                                "stripFrames",
                                6))
                .json()
                .get("id")
                .asString();
        printed = frame("1", "Window shelf");
        other = frame("2", "Drying loft");
        accepted = slate(Map.of("frameId", printed));
        http().edit(accepted, "base/light", "grade 2");
        http().edit(accepted, "base/seconds", 12);
        accept(accepted);
    }

    @AfterEach
    void deleteThem() {
        http().send("DELETE", "/api/rolls/" + roll, "");
    }

    /** A frame of the roll that shows what one of the demo's does. */
    private String frame(String number, String subject) {
        byte[] picture = http().bytes("/api/frames/" + http().frame(subject) + "/positive?side=480");
        return http().upload("/api/rolls/" + roll + "/frames", "scan.jpg", picture, "number", number)
                .json()
                .get("id")
                .asString();
    }

    private String slate(Map<String, ?> asked) {
        return http().post("/api/slates", asked).json().get("id").asString();
    }

    private void accept(String slate) {
        String sheet = begin(slate, "PRINT");
        exposeAndHang(sheet);
        http().post("/api/sheets/" + sheet + "/acceptance", Map.of("version", http().version(slate), "remark", ""));
    }

    private Answer need(Map<String, ?> need) {
        return http().put("/api/frames/" + other + "/need", need);
    }

    private JsonNode start() {
        return http().slate(slate(Map.of("frameId", other))).get("standing").get("base");
    }

    @Test
    void aFrameThatPrintsLighterStartsAtSoMuchMore() {
        JsonNode kept = need(Map.of("againstId", printed, "moreStops", 0.6)).json();
        assertThat(kept.get("source").asString()).isEqualTo("EYE");
        JsonNode onRoll = http().get("/api/frames/" + other).json().get("frame").get("need");
        assertThat(onRoll).isEqualTo(kept);
        JsonNode base = start();
        assertThat(base.get("seconds").asDouble()).isCloseTo(12 * 1.5157, within(0.05));
        assertThat(base.get("light").get("notation").asString()).isEqualTo("grade 2");
        assertThat(base.get("because").asString())
                .contains("× 1.52")
                .contains("by eye on the proof")
                .contains("Three patches");
    }

    @Test
    void theMeanOfTwoLooksCountsAndIsSurer() {
        double one = need(Map.of("againstId", printed, "moreStops", 0.5))
                .json()
                .get("limitStops")
                .asDouble();
        JsonNode two = need(Map.of("againstId", printed, "moreStops", 0.5, "secondLookStops", 0.25))
                .json();
        assertThat(two.get("moreStops").asDouble()).isCloseTo(0.375, within(1e-9));
        assertThat(two.get("limitStops").asDouble()).isLessThan(one);
        assertThat(two.get("secondLookHelps").asBoolean()).isFalse();
        assertThat(need(Map.of("againstId", printed, "secondLookStops", 9)).pointers())
                .containsExactly("/secondLookStops");
    }

    @Test
    void aFlatterFrameStartsAtAHarderGradeAsDark() {
        need(Map.of("againstId", printed, "moreStops", 0, "contrast", 0.85));
        JsonNode base = start();
        assertThat(base.get("light").get("notation").asString()).isEqualTo("grade 3");
        assertThat(base.get("because").asString()).contains("0.85 times as far").contains("as dark");
    }

    @Test
    void theScanOfTheProofSaysIt() {
        assertThat(http().get("/api/frames/" + other + "/need/by-scan?against=" + printed)
                        .code())
                .isEqualTo("no-proof-scan");
        String proof = slate(Map.of("rollId", roll));
        http().edit(proof, "base/light", "grade 2");
        http().edit(proof, "base/seconds", 12);
        accept(proof);
        JsonNode found = http().get("/api/frames/" + other + "/need/by-scan?against=" + printed)
                .json();
        assertThat(found.get("headline").asString()).startsWith("It needs");
        assertThat(found.get("need").get("source").asString()).isEqualTo("SCAN");
        JsonNode kept = need(Map.of("againstId", printed, "byScan", true)).json();
        assertThat(kept).isEqualTo(found.get("need"));
        double more = kept.get("moreStops").asDouble();
        assertThat(Math.abs(more)).isLessThan(3);
        assertThat(start().get("because").asString()).contains("by the proof's scan");
        // The proof lies there as it was cut, whatever becomes of the film.
        String late = frame("0", "Yard in fog");
        http().patch("/api/rolls/" + roll, Map.of("stripFrames", 2, "oddFirst", true));
        assertThat(http().get("/api/frames/" + other + "/need/by-scan?against=" + printed)
                        .json()
                        .get("need"))
                .isEqualTo(found.get("need"));
        assertThat(http().get("/api/frames/" + late + "/need/by-scan?against=" + printed)
                        .code())
                .isEqualTo("off-the-proof");
    }

    /** Two frames of one thing in lights of other colours, on a proof in colour. */
    @Test
    void theScanOfAColourProofSaysThePackToo() {
        String colour = http().post(
                        "/api/rolls",
                        Map.of("title", "Roll 42", "film", "", "kind", "COLOUR", "longMm", 36, "shortMm", 24))
                .json()
                .get("id")
                .asString();
        byte[] picture = http().bytes("/api/frames/" + http().frame("Kiln in colour") + "/positive?side=480");
        String[] ids = new String[2];
        for (int i = 0; i < ids.length; i++) {
            byte[] taken = i == 0 ? picture : TintedPicture.of(picture, 1, 0.8, 0.6);
            ids[i] = http().upload(
                            "/api/rolls/" + colour + "/frames", "scan.png", taken, "number", Integer.toString(i + 1))
                    .json()
                    .get("id")
                    .asString();
        }
        try {
            accept(slate(Map.of("frameId", ids[0])));
            accept(slate(Map.of("rollId", colour)));
            JsonNode found = http().get("/api/frames/" + ids[1] + "/need/by-scan?against=" + ids[0])
                    .json();
            assertThat(found.get("headline").asString()).contains("In its pack");
            assertThat(found.get("why").asString()).contains("FLM-08");
            // Less green and blue light: the film is thinner there, and those layers must be held back.
            JsonNode kept = http().put("/api/frames/" + ids[1] + "/need", Map.of("againstId", ids[0], "byScan", true))
                    .json();
            assertThat(kept.get("packMagenta").asDouble()).isBetween(2.0, 12.0);
            assertThat(kept.get("packYellow").asDouble()).isBetween(6.0, 25.0);
            JsonNode base = http().slate(slate(Map.of("frameId", ids[1])))
                    .get("standing")
                    .get("base");
            assertThat(base.get("because").asString()).contains("by the proof's scan");
            // What is judged by eye besides leaves the scan's pack; a cast by eye takes its place.
            JsonNode byEye = http().put(
                            "/api/frames/" + ids[1] + "/need",
                            Map.of(
                                    "againstId",
                                    ids[0],
                                    "moreStops",
                                    0.25,
                                    "packMagenta",
                                    kept.get("packMagenta").asDouble(),
                                    "packYellow",
                                    kept.get("packYellow").asDouble()))
                    .json();
            assertThat(byEye.get("packYellow")).isEqualTo(kept.get("packYellow"));
            JsonNode cast = http().put(
                            "/api/frames/" + ids[1] + "/need",
                            Map.of("againstId", ids[0], "castHue", "M", "castPoints", 10, "packMagenta", 8))
                    .json();
            assertThat(cast.hasNonNull("packMagenta")).isFalse();
        } finally {
            http().send("DELETE", "/api/rolls/" + colour, "");
        }
    }

    @Test
    void whatCannotBeIsRefusedAtItsField() {
        assertThat(need(Map.of("moreStops", 0.5)).pointers()).containsExactly("/againstId");
        assertThat(need(Map.of("againstId", other, "moreStops", 0.5)).pointers())
                .containsExactly("/againstId");
        Map<String, Object> wrong = new HashMap<>(Map.of("againstId", printed, "moreStops", 9, "contrast", 0.1));
        wrong.put("castHue", "P");
        assertThat(need(wrong).pointers())
                .containsExactlyInAnyOrder("/moreStops", "/contrast", "/castHue", "/castPoints");
        assertThat(http().get("/api/frames/" + other).json().get("frame").hasNonNull("need"))
                .isFalse();
    }

    @Test
    void readingsOfBothNegativesSayTheFirstTimeAndGrade() {
        read(printed, 0.35, 1.25);
        read(other, 0.30, 1.45);
        try {
            JsonNode base = start();
            // 0.20 more density in the highlight is 0.664 stop more light.
            assertThat(base.get("because").asString()).contains("× 1.58").contains("as read");
            assertThat(base.get("light").get("notation").asString()).isNotEqualTo("grade 2");
        } finally {
            read(printed, null, null);
            read(other, null, null);
        }
    }

    @Test
    void readingsAloneSayTheFirstGrade() {
        read(other, 0.30, 1.10);
        try {
            JsonNode base = start();
            assertThat(base.get("source").asString()).isEqualTo("default");
            assertThat(base.get("because").asString())
                    .contains("by its readings")
                    .contains("plain default");
        } finally {
            read(other, null, null);
        }
    }

    private void read(String frame, Double shadow, Double highlight) {
        Map<String, Object> notes = new HashMap<>();
        notes.put("shadowDensity", shadow);
        notes.put("highlightDensity", highlight);
        http().patch("/api/frames/" + frame, Map.of("notes", notes));
    }
}
