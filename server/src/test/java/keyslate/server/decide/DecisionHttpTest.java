package keyslate.server.decide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.core.light.Light;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Verdicts on strips and prints: taken, overruled or refused; both the verdict and the answer stay on record. */
class DecisionHttpTest extends ApplicationTest {
    private String slate;
    private String strip;

    @BeforeEach
    void hangAStrip() {
        slate = http().newSlate("Window shelf");
        http().edit(slate, "base/light", "grade 2½");
        http().edit(slate, "base/seconds", 10);
        strip = begin(slate, "STRIP");
        exposeAndHang(strip);
    }

    @Test
    void aVerdictIsComputedFromTheMarksAndStoresNothing() {
        JsonNode even = proposal(2, 2);
        assertThat(even.get("light").get("notation").asString()).isEqualTo("grade 2½");
        assertThat(even.get("seconds").asDouble()).isCloseTo(patch(2), within(0.06));
        JsonNode late = proposal(2, 3);
        assertThat(late.get("headline").asString()).contains("late").contains("grade");
        assertThat(grade(late)).isGreaterThan(2.5);
        assertThat(grade(proposal(2, 1))).isLessThan(2.5);
        assertThat(http().slate(slate).get("sheets").get(0).get("decisions").size())
                .isZero();
    }

    @Test
    void aPlaceBetweenTwoPatchesLiesBetweenTheirTimes() {
        double between = proposal(1.5, 1.5).get("seconds").asDouble();
        assertThat(between).isBetween(patch(1), patch(2));
    }

    /** Paper that dries down by 8 % gets 8 % less time by a wet strip, and all of it by a dry one; the sheet keeps how it was read. */
    @Test
    void aWetStripIsAllowedForWhatItsPaperDriesDownBy() {
        String paper =
                http().slate(slate).get("standing").get("setup").get("paperId").asString();
        http().post(
                        "/api/stores/" + paper + "/constants",
                        Map.of("name", "DRY_DOWN", "value", 8, "remark", "two strips, one dried"));
        JsonNode wet = proposal(2, 2);
        assertThat(wet.get("seconds").asDouble()).isCloseTo(0.92 * patch(2), within(0.06));
        assertThat(wet.toString()).contains("dries down by 8 %");
        JsonNode dry = http().post(reading() + "/proposal", Map.of("whitesAt", 2, "blacksAt", 2, "dry", true))
                .json();
        assertThat(dry.get("seconds").asDouble()).isCloseTo(patch(2), within(0.06));
        assertThat(dry.toString()).doesNotContain("dries down");
        http().forgetConstants(paper);
        assertThat(proposal(2, 2).get("seconds").asDouble()).isCloseTo(patch(2), within(0.06));
    }

    @Test
    void marksThatAreMissingOrOffTheStripAreRefusedAtTheirField() {
        assertThat(http().post(reading() + "/proposal", Map.of("blacksAt", 1)).pointers())
                .containsExactly("/marks/whitesAt");
        assertThat(http().post(reading() + "/proposal", Map.of("whitesAt", 1, "blacksAt", 40))
                        .pointers())
                .containsExactly("/marks/blacksAt");
    }

    @Test
    void severalLooksCountTogetherAndEachStaysOnRecord() {
        double once = proposal(2, 3).get("uncertaintyStops").asDouble();
        Map<String, ?> twice = Map.of(
                "looks", List.of(Map.of("whitesAt", 2, "blacksAt", 3), Map.of("whitesAt", 2.5, "blacksAt", 3.5)));
        JsonNode verdict = http().post(reading() + "/proposal", twice).json();
        assertThat(verdict.get("uncertaintyStops").asDouble()).isLessThan(0.95 * once);
        assertThat(verdict.get("restsOn").toString()).contains("the mean of 2 looks");
        JsonNode after = http().post(
                        reading(),
                        Map.of(
                                "marks",
                                twice,
                                "taking",
                                Map.of("version", http().version(slate), "answer", "PROPOSED")))
                .json();
        JsonNode decision = after.get("sheets").get(0).get("decisions").get(0);
        assertThat(decision.get("whitesAt").asDouble()).isEqualTo(2.25);
        assertThat(decision.get("looks").get(1).get("blacksAt").asDouble()).isEqualTo(3.5);
    }

    @Test
    void looksThatAreNoneAreRefused() {
        for (List<?> looks : List.of(
                List.of(),
                List.of(Map.of("whitesAt", 2)),
                List.of(Map.of("whitesAt", 2), Map.of("whitesAt", 40)),
                List.of(Map.of("whitesAt", -1), Map.of("whitesAt", 2)),
                Collections.nCopies(6, Map.of("whitesAt", 2)))) {
            assertThat(http().post(reading() + "/proposal", Map.of("looks", looks))
                            .pointers())
                    .as(looks.toString())
                    .containsExactly("/marks/looks");
        }
    }

    @Test
    void theProposedAnswerBecomesTheStandingRecipe() {
        JsonNode verdict = proposal(2, 3);
        JsonNode after = read(2, 3, "PROPOSED", null, null).json();
        assertThat(after.get("standing").get("base").get("light")).isEqualTo(verdict.get("light"));
        assertThat(after.get("standing").get("base").get("seconds")).isEqualTo(verdict.get("seconds"));
        JsonNode decision = after.get("sheets").get(0).get("decisions").get(0);
        assertThat(decision.get("overruled").asBoolean()).isFalse();
        assertThat(decision.get("headline")).isEqualTo(verdict.get("headline"));
    }

    @Test
    void aReadingThatIsNotSureEnoughPlansItsCheckStripAboutTheNewTime() {
        JsonNode check = proposal(2, 3).get("check");
        assertThat(check.get("why").asString()).contains("13 patches");
        JsonNode after = read(2, 3, "CHECK", null, null).json();
        JsonNode test = after.get("standing").get("test");
        JsonNode strip = test.get("plan");
        assertThat(strip.get("stepStops")).isEqualTo(check.get("stepStops"));
        assertThat(strip.get("patches")).isEqualTo(check.get("patches"));
        assertThat(strip.hasNonNull("centreSeconds")).isFalse();
        assertThat(test.get("centreSeconds"))
                .isEqualTo(after.get("standing").get("base").get("seconds"));
        assertThat(test.hasNonNull("problem")).isFalse();
        assertThat(after.get("standing").get("undoLabel").asString()).contains("check strip");
    }

    @Test
    void aReadingThatIsSureEnoughOffersNoCheckStrip() {
        http().edit(slate, "test/stepStops", 1 / 12.0);
        strip = begin(slate, "STRIP");
        exposeAndHang(strip);
        assertThat(proposal(2, 2).hasNonNull("check")).isFalse();
        assertThat(read(2, 2, "CHECK", null, null).pointers()).containsExactly("/taking/answer");
    }

    @Test
    void keepingTheGradeAgainstTheVerdictIsOnRecordAsOverruled() {
        JsonNode after = read(2, 4, "KEEP_LIGHT", null, null).json();
        assertThat(notation(after)).isEqualTo("grade 2½");
        JsonNode decision = after.get("sheets").get(0).get("decisions").get(0);
        assertThat(decision.get("overruled").asBoolean()).isTrue();
        assertThat(decision.get("takenLight").asString()).isEqualTo("grade 2½");
    }

    @Test
    void onesOwnGradeAndTimeAreTakenAndTheVerdictStaysBeside() {
        JsonNode after = read(2, 3, "OWN", "grade 1", 7.5).json();
        assertThat(notation(after)).isEqualTo("grade 1");
        assertThat(after.get("standing").get("base").get("seconds").asDouble()).isEqualTo(7.5);
        assertThat(after.get("standing").get("base").get("because").asString()).contains("Overruled");
        Answer wrong = read(2, 3, "OWN", "grade 7", 0.0);
        assertThat(wrong.pointers()).containsExactlyInAnyOrder("/taking/light", "/taking/seconds");
    }

    @Test
    void aJudgementIsAddedToThePrintAndAnAcceptanceEndsIt() {
        String print = begin(slate, "PRINT");
        double time =
                exposeAndHang(print).get("standing").get("base").get("seconds").asDouble();
        Map<String, Object> wishes = Map.of("darkerStops", 1.0, "harderGrades", 0.0);
        JsonNode verdict = http().post("/api/sheets/" + print + "/judgements/proposal", wishes)
                .json();
        assertThat(verdict.get("seconds").asDouble()).isCloseTo(2 * time, within(0.11));
        Map<String, Object> taking = Map.of("version", version(), "answer", "PROPOSED", "remark", "floor too light");
        JsonNode judged = http().post(
                        "/api/sheets/" + print + "/judgements", Map.of("wishes", wishes, "taking", taking))
                .json();
        assertThat(judged.get("standing").get("base").get("seconds")).isEqualTo(verdict.get("seconds"));
        assertThat(judged.get("sheets")
                        .get(1)
                        .get("decisions")
                        .get(0)
                        .get("remark")
                        .asString())
                .isEqualTo("floor too light");
        JsonNode accepted = http().post(
                        "/api/sheets/" + print + "/acceptance", Map.of("version", version(), "remark", "after all"))
                .json();
        assertThat(accepted.get("standing").get("acceptedSheetId").asString()).isEqualTo(print);
        assertThat(accepted.get("standing").get("next").get("station").asString())
                .isEqualTo("keep");
        JsonNode kept = http().get("/api/sheets/" + print + "/recipe").json();
        assertThat(kept.get("base").get("seconds").asDouble()).isEqualTo(time);
    }

    @Test
    void onlyASheetThatHangsIsRead() {
        String exposing = begin(slate, "PRINT");
        Answer answer = http().post("/api/sheets/" + exposing + "/judgements/proposal", Map.of("darkerStops", 0));
        assertThat(answer.code()).isEqualTo("not-hung");
        assertThat(http().post("/api/sheets/" + strip + "/judgements/proposal", Map.of("darkerStops", 0))
                        .status())
                .isEqualTo(409);
    }

    @Test
    void aReadingOfAnOlderVersionIsRefused() {
        long version = version();
        http().edit(slate, "setup/borderMm", 11);
        Answer answer = http().post(
                        reading(),
                        Map.of(
                                "marks",
                                Map.of("whitesAt", 1),
                                "taking",
                                Map.of("version", version, "answer", "PROPOSED")));
        assertThat(answer.code()).isEqualTo("stale-version");
        assertThat(http().slate(slate).get("sheets").get(0).get("decisions").size())
                .isZero();
    }

    private Answer read(double whites, double blacks, String answer, String light, Double seconds) {
        Map<String, Object> taking = new HashMap<>(Map.of("version", version(), "answer", answer));
        taking.put("light", light);
        taking.put("seconds", seconds);
        return http().post(
                        reading(), Map.of("marks", Map.of("whitesAt", whites, "blacksAt", blacks), "taking", taking));
    }

    private JsonNode proposal(double whites, double blacks) {
        return http().post(reading() + "/proposal", Map.of("whitesAt", whites, "blacksAt", blacks))
                .json();
    }

    private double patch(int index) {
        return http().slate(slate)
                .get("sheets")
                .get(0)
                .get("patches")
                .get(index)
                .get("givenSeconds")
                .asDouble();
    }

    private static double grade(JsonNode verdict) {
        return Light.of(verdict.get("light").get("notation").asString())
                .toFilter()
                .grade()
                .onScale();
    }

    private static String notation(JsonNode slate) {
        return slate.get("standing").get("base").get("light").get("notation").asString();
    }

    private String reading() {
        return "/api/sheets/" + strip + "/readings";
    }

    private long version() {
        return http().version(slate);
    }
}
