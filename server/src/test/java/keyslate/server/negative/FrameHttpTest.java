package keyslate.server.negative;

import static org.assertj.core.api.Assertions.assertThat;

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

/** A roll that is entered and cut into strips, and what is said of its frames. */
class FrameHttpTest extends ApplicationTest {
    private String roll;
    private final Map<String, Object> asked = new HashMap<>(Map.of(
            "title", "Roll 31", "film", "Slow film", "longMm", 36, "shortMm", 24, "frames", 38, "stripFrames", 6));

    @BeforeEach
    void enterARoll() {
        roll = http().post("/api/rolls", asked).json().get("id").asString();
    }

    @AfterEach
    void deleteIt() {
        http().send("DELETE", "/api/rolls/" + roll, "");
    }

    private JsonNode roll() {
        return http().get("/api/rolls/" + roll).json();
    }

    private String frame(int place) {
        return roll().get("frames").get(place).get("id").asString();
    }

    private Answer change(String frame, Map<String, ?> change) {
        return http().patch("/api/frames/" + frame, change);
    }

    private static List<Integer> numbers(JsonNode list) {
        List<Integer> found = new ArrayList<>();
        list.forEach(n -> found.add(n.asInt()));
        return found;
    }

    @Test
    void aRollIsEnteredWithItsFramesAndCutIntoStripsWithTheOddOne() {
        JsonNode entered = roll();
        assertThat(entered.get("frames").size()).isEqualTo(38);
        assertThat(entered.get("frames").get(37).get("number").asString()).isEqualTo("38");
        assertThat(numbers(entered.get("strips"))).containsExactly(6, 6, 6, 6, 6, 6, 2);
        JsonNode cutAnew = http().patch("/api/rolls/" + roll, Map.of("stripFrames", 5, "oddFirst", true))
                .json();
        assertThat(numbers(cutAnew.get("strips"))).containsExactly(3, 5, 5, 5, 5, 5, 5, 5);
        assertThat(cutAnew.get("title").asString()).isEqualTo("Roll 31");
    }

    @Test
    void whatIsKnownOfAFilmIsKeptOnce() {
        Map<String, Object> history = Map.of(
                "takenOn", "2026-05-17", "sleeve", "Folder 3", "nominalIso", 400, "exposedIso", 800, "remark", "rain");
        assertThat(http().patch("/api/rolls/" + roll, Map.of("history", history))
                        .status())
                .isEqualTo(200);
        JsonNode kept = http().get("/api/rolls/" + roll + "/history").json();
        assertThat(kept.get("sleeve").asString()).isEqualTo("Folder 3");
        assertThat(kept.get("exposedIso").asDouble()).isEqualTo(800);
        Answer refused = http().patch(
                        "/api/rolls/" + roll,
                        Map.of("stripFrames", 0, "history", Map.of("takenOn", "17.5.2026", "nominalIso", -1)));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.pointers())
                .containsExactlyInAnyOrder("/stripFrames", "/history/takenOn", "/history/nominalIso");
        assertThat(http().get("/api/rolls/" + roll + "/history").json()).isEqualTo(kept);
    }

    @Test
    void aFrameIsRatedAndItsRatingTakenBack() {
        String frame = frame(6);
        assertThat(change(frame, Map.of("rating", "PRINT"))
                        .json()
                        .get("frame")
                        .get("rating")
                        .asString())
                .isEqualTo("PRINT");
        change(frame, Map.of("caption", "Smoke must stand out"));
        JsonNode shown = roll().get("frames").get(6);
        assertThat(shown.get("rating").asString()).isEqualTo("PRINT");
        assertThat(shown.get("caption").asString()).isEqualTo("Smoke must stand out");
        change(frame, Map.of("rating", "NONE"));
        assertThat(roll().get("frames").get(6).hasNonNull("rating")).isFalse();
        assertThat(change(frame, Map.of("rating", "PERHAPS")).pointers()).containsExactly("/rating");
    }

    @Test
    void readingsSayWhereANegativeBegins() {
        String frame = frame(0);
        JsonNode known = change(frame, Map.of("notes", Map.of("shadowDensity", 0.38, "highlightDensity", 1.3)))
                .json();
        JsonNode advice = known.get("advice");
        // log10((10^-0.38 + 0.005) / (10^-1.3 + 0.005)) = 0.8838
        assertThat(advice.get("isoRange").asDouble()).isBetween(88.0, 88.8);
        assertThat(advice.get("light").asString()).isEqualTo("grade 3");
        assertThat(advice.get("why").asString()).contains("0.38").contains("R 88");
    }

    @Test
    void readingsThatCannotBeAreRefusedWithTheirField() {
        String frame = frame(0);
        assertThat(change(frame, Map.of("notes", Map.of("shadowDensity", 1.3, "highlightDensity", 0.4)))
                        .pointers())
                .containsExactly("/notes/highlightDensity");
        assertThat(change(frame, Map.of("notes", Map.of("baseDensity", 0.3, "shadowDensity", 0.2)))
                        .pointers())
                .containsExactly("/notes/shadowDensity");
        assertThat(change(frame, Map.of("notes", Map.of("baseDensity", 7))).pointers())
                .containsExactly("/notes/baseDensity");
        assertThat(change(frame, Map.of("notes", Map.of("marks", List.of(Map.of("kind", "SPOT", "x", 0.2, "y", 1.2)))))
                        .pointers())
                .containsExactlyInAnyOrder("/notes/marks/0/kind", "/notes/marks/0");
    }

    @Test
    void aListOfMarksHoldsMarks() {
        List<Object> nothing = new ArrayList<>();
        nothing.add(null);
        assertThat(change(frame(0), Map.of("notes", Map.of("marks", nothing))).pointers())
                .containsExactly("/notes/marks/0");
    }

    @Test
    void aPersonWhoHasNotAgreedIsNamedWhereverTheFrameGoes() {
        String frame = frame(1);
        change(frame, Map.of("notes", Map.of("people", "Ada, the thrower", "consent", "REFUSED")));
        assertThat(roll().get("frames").get(1).get("toBeAsked").asBoolean()).isTrue();
        String slate = http().post("/api/slates", Map.of("frameId", frame, "title", "Thrower", "intent", ""))
                .json()
                .get("id")
                .asString();
        JsonNode shown = http().slate(slate);
        assertThat(shown.get("subject").get("frame").get("toBeAsked").asBoolean())
                .isTrue();
        String file = http().get("/api/slates/" + slate + "/export").text();
        assertThat(file).contains("Ada, the thrower").contains("REFUSED");
        change(frame, Map.of("notes", Map.of("people", "Ada, the thrower", "consent", "GIVEN")));
        assertThat(http().slate(slate)
                        .get("subject")
                        .get("frame")
                        .get("toBeAsked")
                        .asBoolean())
                .isFalse();
        http().send("DELETE", "/api/slates/" + slate, "");
    }

    @Test
    void aFrameWithoutASubjectGetsASlateNamedAfterItsNumber() {
        JsonNode slate = http().post("/api/slates", Map.of("frameId", frame(4), "intent", ""))
                .json();
        assertThat(slate.get("standing").get("naming").get("title").asString()).isEqualTo("Frame 5");
        http().send("DELETE", "/api/slates/" + slate.get("id").asString(), "");
    }

    @Test
    void aRollOfTooManyFramesIsRefused() {
        asked.put("frames", 101);
        Answer refused = http().post("/api/rolls", asked);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.pointers()).containsExactly("/frames");
    }
}
