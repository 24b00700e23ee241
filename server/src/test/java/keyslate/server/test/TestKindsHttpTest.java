package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What every kind of test keeps to: what counts, what is refused, what is planned next. */
class TestKindsHttpTest extends OnATestSlate {
    @Test
    void aSecondTestNeverForgetsTheFirst() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        plan(slate, Map.of("own", List.of(5.0, 10.0, 20.0)));
        JsonNode first = expose(slate, "STRIP");
        take(slate, first, Map.of("whitesAt", 1));
        plan(slate, Map.of("kind", "SAME_SPOT", "own", List.of(8.0, 12.0, 18.0)));
        JsonNode second = expose(slate, "SAME_SPOT");
        assertThat(second.get("patches").get(1).get("piece").asInt()).isEqualTo(2);
        JsonNode verdict = proposal(second, Map.of("whitesAt", 1));
        assertThat(verdict.get("seconds").asDouble()).isBetween(10.5, 11.9);
        assertThat(verdict.get("restsOn").toString()).contains("Strip 1 said 10.0 s at");
    }

    @Test
    void aSheetUnderAnotherLampIsNoEvidence() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        plan(slate, Map.of("own", List.of(5.0, 10.0, 20.0)));
        take(slate, expose(slate, "STRIP"), Map.of("whitesAt", 1));
        ok(http().patch(
                        "/api/slates/" + slate + "/recipe",
                        Map.of("version", http().version(slate), "setup", Map.of("enlargerId", colour))));
        plan(slate, Map.of("own", List.of(8.0, 12.0, 18.0)));
        JsonNode verdict = proposal(expose(slate, "STRIP"), Map.of("whitesAt", 1));
        assertThat(verdict.get("seconds").asDouble()).isCloseTo(12, within(0.01));
        assertThat(verdict.get("restsOn").toString()).doesNotContain("Strip 1 said");
    }

    @Test
    void aListOfOnesOwnRisesHoweverShortTheTime() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        plan(slate, Map.of("centreSeconds", 0.3, "stepStops", 1 / 6.0, "patches", 5));
        JsonNode own = plan(slate, Map.of("series", "OWN_TIMES")).get("plan").get("own");
        assertThat(own.size()).isEqualTo(5);
        for (int k = 1; k < own.size(); k++) {
            assertThat(own.get(k).asDouble()).isGreaterThan(own.get(k - 1).asDouble());
        }
    }

    @Test
    void oneSheetIsCorrectedByHowItLooksAndCanBeThePrint() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        http().edit(slate, "base/seconds", 10.0);
        plan(slate, Map.of("kind", "GUESS"));
        JsonNode sheet = expose(slate, "GUESS");
        assertThat(sheet.get("asks").size()).isZero();
        assertThat(http().post("/api/sheets/" + sheet.get("id").asString() + "/readings/proposal", Map.of())
                        .pointers())
                .containsExactly("/marks/moreStops");
        JsonNode verdict = proposal(sheet, Map.of("moreStops", 0.5));
        assertThat(verdict.get("seconds").asDouble()).isCloseTo(14.14, within(0.01));
        assertThat(verdict.get("uncertaintyStops").asDouble()).isCloseTo(0.5, within(0.001));
        ok(http().post(
                        "/api/sheets/" + sheet.get("id").asString() + "/acceptance",
                        Map.of("version", http().version(slate))));
        assertThat(http().slate(slate).get("standing").get("acceptedSheetId").asString())
                .isEqualTo(sheet.get("id").asString());
    }

    @Test
    void anAnswerOffTheTestPlansTheNextOne() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        plan(slate, Map.of("centreSeconds", 10.0, "stepStops", 0.5, "patches", 5));
        JsonNode sheet = expose(slate, "STRIP");
        JsonNode little = proposal(sheet, Map.of("beyond", "LIGHTER"));
        assertThat(little.get("again").asBoolean()).isTrue();
        assertThat(little.get("headline").asString()).isEqualTo("Every patch is too dark. Next: 1.3 to 5.0 s.");
        JsonNode far = proposal(sheet, Map.of("beyond", "FAR_DARKER"));
        assertThat(far.get("headline").asString()).isEqualTo("Every patch is too light. Next: 40.0 to 160.0 s.");
        assertThat(http().post(
                                "/api/sheets/" + sheet.get("id").asString() + "/readings/proposal",
                                Map.of("beyond", "UP"))
                        .pointers())
                .containsExactly("/marks/beyond");
        ok(http().post(
                        "/api/sheets/" + sheet.get("id").asString() + "/readings",
                        Map.of(
                                "marks",
                                Map.of("beyond", "LIGHTER"),
                                "taking",
                                Map.of("version", http().version(slate), "answer", "CHECK"))));
        JsonNode next = http().slate(slate).get("standing").get("test");
        assertThat(figures(next.get("patches"), "totalSeconds")).startsWith(1.3).endsWith(5.0);
    }

    @Test
    void whatCannotBeGivenIsRefusedWithTheWayOut() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        assertThat(plan(slate, Map.of("kind", "OPENINGS", "clicks", 6))
                        .get("problem")
                        .asString())
                .contains("take");
        assertThat(http().edit(slate, "test/kind", "DARTS").pointers()).containsExactly("/test/kind");
        assertThat(http().edit(slate, "test/own", List.of(5, 4)).status()).isEqualTo(200);
        plan(slate, Map.of("kind", "STRIP"));
        assertThat(http().edit(slate, "test/own", List.of(5, 4)).pointers()).containsExactly("/test/own");
        assertThat(http().edit(slate, "test/presses", List.of(0, 4)).pointers()).containsExactly("/test/presses");
        plan(slate, Map.of("kind", "WEDGE"));
        assertThat(http().edit(slate, "test/labels", List.of(10, 10)).pointers())
                .containsExactly("/test/labels");
        assertThat(http().edit(slate, "test/patchMm", 900).pointers()).containsExactly("/test/patchMm");
        plan(slate, Map.of("kind", "PIECES"));
        assertThat(http().edit(slate, "test/lights", List.of("grade 2", "grade 9"))
                        .pointers())
                .containsExactly("/test/lights");
        assertThat(http().edit(slate, "test/spotX", 2).pointers()).containsExactly("/test/spotX");
        Answer wrong = http().post(
                        "/api/slates/" + slate + "/sheets", Map.of("version", http().version(slate), "kind", "STRIP"));
        assertThat(wrong.pointers()).containsExactly("/kind");
        assertThat(wrong.text()).contains("Another kind of test");
    }

    @Test
    void everyKindIsDrawnAsItWillComeOut() {
        String slate = http().newSlate("Bottle kiln");
        for (String kind : List.of("SAME_SPOT", "OPENINGS", "WEDGE", "GUESS", "PIECES", "STRIP")) {
            plan(slate, Map.of("kind", kind));
            byte[] picture = http().bytes("/api/slates/" + slate + "/test-preview?side=120");
            assertThat(picture).as(kind).startsWith('B', 'M');
            assertThat(http().slate(slate)
                            .get("standing")
                            .get("test")
                            .get("plan")
                            .get("kind")
                            .asString())
                    .isEqualTo(kind);
        }
    }

    /** A timer of one's own is set once: thirds of a stop by presses for an unknown negative, finer ones to settle it. */
    @Test
    void anOwnTimerIsNeverSetAnewInTheDark() {
        String enlarger = http().get("/api/stores")
                .json()
                .get("enlargers")
                .get(0)
                .get("id")
                .asString();
        String lamp = http().get("/api/stores")
                .json()
                .get("enlargers")
                .get(0)
                .get("lamp")
                .asString();
        ok(http().patch("/api/stores/enlargers/" + enlarger, Map.of("lamp", "MY_TIMER")));
        try {
            String slate = slate(frame, enlarger, 0, Map.of("apertureMark", 8));
            http().edit(slate, "base/seconds", 16.0);
            JsonNode wide = plan(slate, Map.of("kind", "STRIP", "forUnknownNegative", true));
            assertThat(figures(wide.get("patches"), "totalSeconds"))
                    .containsExactly(
                            1.6, 3.2, 4.8, 6.4, 8.0, 9.6, 12.8, 16.0, 20.8, 25.6, 32.0, 40.0, 51.2, 64.0, 80.0);
            assertThat(StreamSupport.stream(wide.get("script").spliterator(), false)
                            .mapToDouble(s -> s.get("setSeconds").asDouble())
                            .distinct()
                            .toArray())
                    .containsExactly(1.6);
            assertThat(plan(slate, Map.of("series", "EQUAL_STOPS", "stepStops", 1 / 12.0, "patches", 9))
                            .get("problem")
                            .asString())
                    .contains("presses of one setting");
            plan(slate, Map.of("series", "EQUAL_STOPS", "stepStops", 0.5, "patches", 5));
            JsonNode sheet = told(begin(slate, "STRIP"));
            ok(http().post(
                            "/api/sheets/" + sheet.get("id").asString() + "/readings",
                            Map.of(
                                    "marks",
                                    Map.of("whitesAt", 2),
                                    "taking",
                                    Map.of("version", http().version(slate), "answer", "CHECK"))));
            JsonNode check = http().slate(slate).get("standing").get("test");
            assertThat(check.hasNonNull("problem")).isFalse();
            assertThat(check.get("plan").get("presses").toString())
                    .startsWith("[12,13,14,")
                    .endsWith(",25,26]");
        } finally {
            ok(http().patch("/api/stores/enlargers/" + enlarger, Map.of("lamp", lamp)));
        }
    }

    /** Says of every step that it was given. */
    private JsonNode told(String sheetId) {
        String path = "/api/sheets/" + sheetId;
        JsonNode run = http().get(path + "/run").json();
        while (run.hasNonNull("step")) {
            ok(http().post(
                            path + "/lamp",
                            Map.of("on", true, "step", run.get("step").asInt())));
            run = ok(http().post(path + "/lamp", Map.of("on", false, "complete", true)));
        }
        JsonNode sheets = http().post(path + "/hang", Map.of()).json().get("sheets");
        return sheets.get(sheets.size() - 1);
    }
}
