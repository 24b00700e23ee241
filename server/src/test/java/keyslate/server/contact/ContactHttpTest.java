package keyslate.server.contact;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Proofs of rolls, and negatives that lie on the paper. */
class ContactHttpTest extends ApplicationTest {
    private final List<String> rolls = new ArrayList<>();
    private String roll;
    private String proof;

    @BeforeEach
    void startAProof() {
        roll = newRoll("Salt glaze bottles", 36, 24, 36, 6);
        proof = newProof(roll);
        Map<String, Object> setup = Map.of("distanceMm", 610, "columnReading", "34.5", "apertureMark", 8);
        patch(proof, Map.of("setup", setup, "base", Map.of("light", "grade 2", "seconds", 7.6)));
        patch(proof, Map.of("test", Map.of("patches", 5, "stepStops", 0.5)));
    }

    @AfterEach
    void deleteThem() {
        rolls.forEach(id -> http().send("DELETE", "/api/rolls/" + id, ""));
    }

    private String newRoll(String title, double longMm, double shortMm, int frames, int strip) {
        Map<String, Object> asked = new HashMap<>(
                Map.of("title", title, "film", "Medium film", "longMm", longMm, "shortMm", shortMm, "frames", frames));
        asked.put("stripFrames", strip);
        String id = http().post("/api/rolls", asked).json().get("id").asString();
        rolls.add(id);
        return id;
    }

    private String newProof(String ofRoll) {
        return http().post("/api/slates", Map.of("rollId", ofRoll))
                .json()
                .get("id")
                .asString();
    }

    private Answer patch(String slate, Map<String, ?> sections) {
        Map<String, Object> change = new HashMap<>(sections);
        change.put("version", http().version(slate));
        return http().patch("/api/slates/" + slate + "/recipe", change);
    }

    private JsonNode standing(String slate) {
        return http().slate(slate).get("standing");
    }

    private double seconds(String slate) {
        return standing(slate).get("base").get("seconds").asDouble();
    }

    /** Reads the strip of a proof and takes the standard; the slate after it. */
    private JsonNode standard(String strip, double blackAt) {
        Map<String, Object> taking = Map.of("version", http().version(proof), "answer", "PROPOSED", "remark", "");
        return http().post(
                        "/api/sheets/" + strip + "/readings",
                        Map.of("marks", Map.of("blacksAt", blackAt), "taking", taking))
                .json();
    }

    private void makeTheStandard() {
        String strip = begin(proof, "STRIP");
        exposeAndHang(strip);
        standard(strip, 3);
        String sheet = begin(proof, "PRINT");
        exposeAndHang(sheet);
        http().post("/api/sheets/" + sheet + "/acceptance", Map.of("version", http().version(proof), "remark", ""));
    }

    @Test
    void theStandardProofIsTheFirstFullBlackOfTheFilmEdge() {
        String strip = begin(proof, "STRIP");
        JsonNode hung = exposeAndHang(strip).get("sheets").get(0);
        List<Double> given = hung.get("patches")
                .valueStream()
                .map(p -> p.get("givenSeconds").asDouble())
                .toList();
        double[] wanted = {3.8, 5.4, 7.6, 10.7, 15.2};
        for (int i = 0; i < wanted.length; i++) {
            assertThat(given.get(i)).isCloseTo(wanted[i], within(0.08));
        }
        JsonNode marks = standing(proof).get("medium").get("marks");
        assertThat(marks.size()).isEqualTo(1);
        assertThat(marks.get(0).get("field").asString()).isEqualTo("blacksAt");
        JsonNode after = standard(strip, 3);
        assertThat(after.get("standing").get("base").get("seconds").asDouble()).isCloseTo(10.7, within(0.08));
        assertThat(after.get("standing")
                        .get("base")
                        .get("light")
                        .get("notation")
                        .asString())
                .isEqualTo("grade 2");
        assertThat(after.get("standing").get("next").get("headline").asString()).startsWith("Expose the proof");
    }

    @Test
    void anotherHeightOfTheHeadIsReckonedAndSaidToBeApproximate() {
        makeTheStandard();
        double standard = seconds(proof);
        JsonNode moved =
                patch(proof, Map.of("setup", Map.of("distanceMm", 520))).json();
        assertThat(moved.get("base").get("seconds").asDouble() / standard).isCloseTo(0.727, within(0.001));
        assertThat(moved.get("base").get("because").asString())
                .contains("approximate")
                .contains("52 cm");

        String next = newProof(newRoll("Kiln stoking", 36, 24, 30, 6));
        JsonNode begun = standing(next);
        assertThat(begun.get("setup").get("lensToPaperMm").asDouble()).isEqualTo(610);
        assertThat(begun.get("setup").get("columnReading").asString()).isEqualTo("34.5");
        assertThat(begun.get("base").get("seconds").asDouble()).isCloseTo(standard, within(1e-6));
        assertThat(begun.get("base").get("because").asString())
                .contains("The head stands where it stood")
                .contains("34.5");
        assertThat(begun.get("next").get("station").asString()).isEqualTo("print");
        JsonNode offered = patch(next, Map.of("setup", Map.of("distanceMm", 520)))
                .json()
                .get("setup")
                .get("startingTime");
        assertThat(offered.get("seconds").asDouble()).isCloseTo(0.727 * standard, within(0.02));
        assertThat(String.join(
                        " ",
                        offered.get("arithmetic")
                                .valueStream()
                                .map(JsonNode::asString)
                                .toList()))
                .contains("(52.0 cm ÷ 61.0 cm)²")
                .contains("Approximate");
    }

    @Test
    void aProofIsNeverEnlargedAndNeedsFrames() {
        assertThat(patch(proof, Map.of("setup", Map.of("projection", "ENLARGED")))
                        .pointers())
                .containsExactly("/setup/projection");
        assertThat(patch(proof, Map.of("setup", Map.of("projection", "SUN"))).pointers())
                .containsExactly("/setup/projection");
        assertThat(patch(proof, Map.of("setup", Map.of("distanceMm", 20))).pointers())
                .containsExactly("/setup/distanceMm");
        assertThat(patch(proof, Map.of("setup", Map.of("columnReading", "x".repeat(21))))
                        .pointers())
                .containsExactly("/setup/columnReading");
        String empty = newRoll("Empty sleeve", 36, 24, 0, 6);
        assertThat(http().post("/api/slates", Map.of("rollId", empty)).pointers())
                .containsExactly("/rollId");
        assertThat(http().post("/api/slates", Map.of("rollId", "none")).pointers())
                .containsExactly("/rollId");
        String frame = http().frame("Window shelf");
        assertThat(http().post("/api/slates", Map.of("rollId", roll, "frameId", frame))
                        .pointers())
                .containsExactly("/rollId");
    }

    @Test
    void theStackIsLaidBeforeTheFirstLightUnderTheRedFilter() {
        JsonNode script = standing(proof).get("local").get("script");
        assertThat(script.get(0).get("before").asString())
                .startsWith("Red filter in. Paper emulsion up, film emulsion down on it, glass on top")
                .endsWith("red filter out");
        assertThat(script.get(0).get("said").get(0).asString()).isEqualTo("red-in");
        JsonNode bare = patch(proof, Map.of("setup", Map.of("projection", "LAMP")))
                .json()
                .get("local")
                .get("script");
        assertThat(bare.get(0).get("before").asString()).startsWith("Paper emulsion up");
        String sheet = begin(proof, "PRINT");
        JsonNode run = http().get("/api/sheets/" + sheet + "/run").json();
        assertThat(run.get("label").asString()).isEqualTo("Proof 1");
        assertThat(run.get("script").get(0).get("before").asString()).startsWith("Paper emulsion up");
        http().post("/api/sheets/" + sheet + "/abandon", Map.of("reason", "test"));
    }

    @Test
    void paperThatIsTooSmallIsSaidByTheFramesThatHangOver() {
        JsonNode fits = patch(proof, Map.of("setup", Map.of("sheetWidthMm", 254, "sheetHeightMm", 203)))
                .json()
                .get("setup");
        assertThat(fits.get("magnification").asDouble()).isEqualTo(1);
        assertThat(fits.get("imageWidthMm").asDouble()).isEqualTo(228);
        assertThat(fits.get("lostFraction").asDouble()).isCloseTo(7.0 / 210, within(1e-6));
        assertThat(fits.get("warnings").valueStream().map(JsonNode::asString)).noneMatch(w -> w.contains("hang over"));
        JsonNode small = patch(proof, Map.of("setup", Map.of("sheetWidthMm", 178, "sheetHeightMm", 127)))
                .json()
                .get("setup");
        assertThat(small.get("warnings").valueStream().map(JsonNode::asString))
                .anyMatch(w -> w.contains("frames hang over the edge") && w.contains("228 × 210"));
    }

    @Test
    void aSheetFilmNegativeIsPrintedAtItsOwnSize() {
        String sheets = newRoll("Sheet film, kiln door", 120, 95, 1, 1);
        String frame = http().get("/api/rolls/" + sheets)
                .json()
                .get("frames")
                .get(0)
                .get("id")
                .asString();
        String slate = http().post("/api/slates", Map.of("frameId", frame))
                .json()
                .get("id")
                .asString();
        JsonNode contact =
                patch(slate, Map.of("setup", Map.of("projection", "LENS"))).json();
        assertThat(contact.get("setup").get("magnification").asDouble()).isEqualTo(1);
        assertThat(contact.get("setup").get("imageWidthMm").asDouble()).isEqualTo(120);
        assertThat(contact.get("setup").hasNonNull("filmToLensMm")).isFalse();
        assertThat(contact.get("medium").get("marks").size()).isEqualTo(3);
        String sheet = begin(slate, "PRINT");
        JsonNode hung = exposeAndHang(sheet).get("sheets").get(0);
        assertThat(hung.get("label").asString()).isEqualTo("Work print 1");
        assertThat(hung.get("magnification").asDouble()).isEqualTo(1);
        JsonNode enlarged =
                patch(slate, Map.of("setup", Map.of("projection", "ENLARGED"))).json();
        assertThat(enlarged.get("differences")
                        .valueStream()
                        .map(d -> d.get("part").asString()))
                .contains("size");
        assertThat(enlarged.get("setup")
                        .get("startingTime")
                        .get("arithmetic")
                        .get(0)
                        .asString())
                .contains("contact from 60.0 cm");
    }

    @Test
    void aProofStandsOnItsRollAndInAFile() {
        JsonNode proofs = http().get("/api/rolls/" + roll).json().get("proofs");
        assertThat(proofs.size()).isEqualTo(1);
        assertThat(proofs.get(0).get("recipeLine").asString())
                .contains("grade 2")
                .contains("61 cm to the paper");
        Answer file = http().get("/api/slates/" + proof + "/export");
        assertThat(file.json().get("frames").size()).isEqualTo(36);
        assertThat(file.json().hasNonNull("frame")).isFalse();
        http().send("DELETE", "/api/slates/" + proof, "");
        JsonNode back = http().send("POST", "/api/imports", file.text()).json();
        assertThat(back.get("id").asString()).isEqualTo(proof);
        assertThat(back.get("subject").get("proof").asBoolean()).isTrue();
        assertThat(back.get("standing").get("setup").get("columnReading").asString())
                .isEqualTo("34.5");
    }

    @Test
    void theDemoRollsProofIsSeenBeforeItIsMade() {
        JsonNode demo = http().get("/api/rolls")
                .json()
                .get("rolls")
                .valueStream()
                .filter(r -> r.get("frames")
                        .valueStream()
                        .anyMatch(f -> f.get("hasPicture").asBoolean()))
                .findFirst()
                .orElseThrow();
        String slate = newProof(demo.get("id").asString());
        try {
            JsonNode subject = http().slate(slate).get("subject");
            assertThat(http().get(subject.get("positivePath").asString() + "?side=480")
                            .status())
                    .isEqualTo(200);
            String key = standing(slate).get("previewKey").asString();
            assertThat(http().get("/api/slates/" + slate + "/preview?side=480&key=" + key)
                            .status())
                    .isEqualTo(200);
            String sheet = begin(slate, "PRINT");
            JsonNode hung = exposeAndHang(sheet).get("sheets").get(0);
            assertThat(hung.get("label").asString()).isEqualTo("Proof 1");
            assertThat(hung.get("simulatedPicture").asBoolean()).isTrue();
        } finally {
            http().send("DELETE", "/api/slates/" + slate, "");
        }
    }
}
