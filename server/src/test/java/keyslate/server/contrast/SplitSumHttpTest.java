package keyslate.server.contrast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** A split that is read from a strip of both its parts on the same patches. */
class SplitSumHttpTest extends ApplicationTest {
    private String slate;

    @BeforeEach
    void newSlate() {
        slate = http().newSlate("Drying loft");
        http().edit(slate, "setup/apertureMark", 8);
        http().edit(slate, "base/light", "grade 2");
        http().edit(slate, "base/seconds", 20.0);
    }

    private static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private JsonNode standing() {
        return http().slate(slate).get("standing");
    }

    private JsonNode plan(String lies) {
        return ok(http().post(
                                "/api/slates/" + slate + "/contrast/strips",
                                Map.of("version", http().version(slate), "lies", lies)))
                .get("standing");
    }

    private String strip() {
        JsonNode sheets = exposeAndHang(begin(slate, "STRIP")).get("sheets");
        return "/api/sheets/" + sheets.get(sheets.size() - 1).get("id").asString();
    }

    private static double seconds(JsonNode base, int part) {
        return base.get("parts").get(part).get("seconds").asDouble();
    }

    /** 20 s of grade 2 are 14.9 s through 00 and 11.1 s through 5; black that comes late asks for more of the hard part. */
    @Test
    void bothPartsFollowFromWhitesAndBlackOfTheirSum() {
        JsonNode planned = plan("ON_TOP");
        assertThat(planned.get("test").get("plan").get("lies").asString()).isEqualTo("ON_TOP");
        assertThat(planned.get("test").get("headline").asString())
                .contains("Grade 00 and grade 5 in", "on the same patches");
        assertThat(seconds(planned.get("base"), 0)).isCloseTo(14.86, within(0.05));
        assertThat(seconds(planned.get("base"), 1)).isCloseTo(11.14, within(0.05));
        http().edit(slate, "test/stepStops", 0.25);
        http().edit(slate, "test/patches", 7);
        String strip = strip();
        JsonNode patches = http().slate(slate).get("sheets").get(0).get("patches");
        assertThat(patches.size()).isEqualTo(7);
        assertThat(patches.get(3).get("light").asString()).isEqualTo("grade 00 + grade 5");
        assertThat(patches.get(3).get("givenSeconds").asDouble()).isCloseTo(26, within(0.2));
        assertThat(http().post(strip + "/readings/proposal", Map.of("whitesAt", 3))
                        .pointers())
                .containsExactly("/marks/blacksAt");
        assertThat(http().post(strip + "/readings/proposal", Map.of("blacksAt", 3))
                        .pointers())
                .containsExactly("/marks/whitesAt");
        JsonNode on = ok(http().post(strip + "/readings/proposal", Map.of("whitesAt", 3, "blacksAt", 3)));
        assertThat(on.get("headline").asString()).startsWith("Whites and black come together. Give 14.9");
        JsonNode late = ok(http().post(strip + "/readings/proposal", Map.of("whitesAt", 3, "blacksAt", 4.5)));
        assertThat(late.get("headline").asString()).startsWith("Black comes 0.3");
        assertThat(late.get("seconds").asDouble()).isLessThan(14.5);
        assertThat(late.get("second").get("seconds").asDouble()).isGreaterThan(12);
        JsonNode taken = ok(http().post(
                                strip + "/readings",
                                Map.of(
                                        "marks",
                                        Map.of("whitesAt", 3, "blacksAt", 4.5),
                                        "taking",
                                        Map.of("version", http().version(slate), "answer", "CHECK"))))
                .get("standing");
        assertThat(seconds(taken.get("base"), 1))
                .isCloseTo(late.get("second").get("seconds").asDouble(), within(1e-6));
        assertThat(taken.get("test").get("plan").get("lies").asString()).isEqualTo("ON_TOP");
        assertThat(taken.get("test").get("plan").get("secondSeconds").asDouble())
                .isCloseTo(seconds(taken.get("base"), 1), within(1e-6));
        // Another opening takes both parts and the strip of both along.
        double second = seconds(taken.get("base"), 1);
        http().edit(slate, "setup/apertureMark", 11);
        JsonNode closed = standing();
        assertThat(seconds(closed.get("base"), 1) / second).isBetween(1.8, 2.1);
        assertThat(closed.get("test").get("plan").get("secondSeconds").asDouble())
                .isCloseTo(seconds(closed.get("base"), 1), within(1e-6));
        http().edit(slate, "base/changeStops", 0.5);
        assertThat(standing().get("test").get("plan").get("secondSeconds").asDouble())
                .isCloseTo(seconds(standing().get("base"), 1), within(1e-6));
        // The filters alone were told nothing.
        assertThat(ok(http().get("/api/slates/" + slate + "/contrast"))
                        .get("strips")
                        .size())
                .isZero();
    }

    @Test
    void theHardPartLiesInStepsOnTheWholeSoftOne() {
        plan("ON_WHOLE");
        http().edit(slate, "test/stepStops", 0.5);
        http().edit(slate, "test/patches", 5);
        String strip = strip();
        JsonNode patches = http().slate(slate).get("sheets").get(0).get("patches");
        assertThat(patches.get(4).get("givenSeconds").asDouble()
                        - patches.get(2).get("givenSeconds").asDouble())
                .isCloseTo(11.14, within(0.3));
        JsonNode read = ok(http().post(strip + "/readings/proposal", Map.of("whitesAt", 2, "blacksAt", 2)));
        assertThat(read.get("seconds").asDouble()).isCloseTo(14.86, within(0.2));
        assertThat(read.get("second").get("seconds").asDouble()).isCloseTo(11.14, within(0.2));
        assertThat(http().post(strip + "/readings/proposal", Map.of("whitesAt", 0, "blacksAt", 4))
                        .status())
                .isIn(200, 422);
    }

    @ParameterizedTest
    @CsvSource({"DARKER, 1", "LIGHTER, -1"})
    void whatLiesOffTheStripMovesBothParts(String side, int sign) {
        plan("ON_TOP");
        http().edit(slate, "test/stepStops", 0.25);
        http().edit(slate, "test/patches", 5);
        String strip = strip();
        JsonNode verdict = ok(http().post(strip + "/readings/proposal", Map.of("beyond", side)));
        assertThat(verdict.get("again").asBoolean()).isTrue();
        double factor = verdict.get("second").get("seconds").asDouble() / 11.14;
        assertThat(Math.log(factor) / Math.log(2)).isCloseTo(sign, within(0.05));
        assertThat(verdict.get("seconds").asDouble() / 14.86).isCloseTo(factor, within(0.02));
        JsonNode taken = ok(http().post(
                                strip + "/readings",
                                Map.of(
                                        "marks",
                                        Map.of("beyond", side),
                                        "taking",
                                        Map.of("version", http().version(slate), "answer", "CHECK"))))
                .get("standing");
        assertThat(seconds(taken.get("base"), 1)).isCloseTo(11.14 * factor, within(0.1));
        assertThat(taken.get("test").get("plan").get("lies").asString()).isEqualTo("ON_TOP");
    }

    @Test
    void whereNoFilterIsChosenNothingLiesOnTop() {
        String colour = http().newSlate("Teapot in colour");
        assertThat(http().edit(colour, "test/lies", "ON_TOP").pointers()).containsExactly("/test/lies");
        assertThat(http().edit(slate, "test/lies", "ON_TOP").status()).isEqualTo(200);
        assertThat(standing().get("test").get("plan").hasNonNull("second")).isFalse();
    }

    private String oneSheet(Map<String, Object> test) {
        plan("ON_TOP");
        ok(http().patch("/api/slates/" + slate + "/recipe", Map.of("version", http().version(slate), "test", test)));
        JsonNode sheets = exposeAndHang(begin(slate, "GUESS")).get("sheets");
        return "/api/sheets/" + sheets.get(sheets.size() - 1).get("id").asString();
    }

    private JsonNode taken(String sheet, Map<String, Object> marks, String answer) {
        return ok(http().post(
                                sheet + "/readings",
                                Map.of(
                                        "marks",
                                        marks,
                                        "taking",
                                        Map.of("version", http().version(slate), "answer", answer))))
                .get("standing");
    }

    @Test
    void oneSheetGetsBothPartsAndMovesBoth() {
        String sheet = oneSheet(Map.of("kind", "GUESS"));
        JsonNode hung = http().slate(slate).get("sheets").get(0);
        assertThat(hung.get("patches").get(0).get("light").asString()).isEqualTo("grade 00 + grade 5");
        assertThat(hung.get("patches").get(0).get("givenSeconds").asDouble()).isCloseTo(26, within(0.2));
        assertThat(http().post(sheet + "/readings/proposal", Map.of()).pointers())
                .containsExactly("/marks/moreStops");
        assertThat(http().post(sheet + "/readings/proposal", Map.of("moreStops", 9))
                        .pointers())
                .containsExactly("/marks/moreStops");
        JsonNode verdict = ok(http().post(sheet + "/readings/proposal", Map.of("moreStops", 1)));
        assertThat(verdict.get("seconds").asDouble()).isCloseTo(29.7, within(0.2));
        assertThat(verdict.get("second").get("seconds").asDouble()).isCloseTo(22.3, within(0.2));
        assertThat(verdict.get("uncertaintyStops").asDouble()).isCloseTo(0.5, within(1e-9));
        JsonNode taken = taken(sheet, Map.of("moreStops", 1), "CHECK");
        assertThat(seconds(taken.get("base"), 1)).isCloseTo(22.3, within(0.2));
        assertThat(taken.get("test").get("plan").get("kind").asString()).isEqualTo("STRIP");
        assertThat(taken.get("test").get("plan").get("lies").asString()).isEqualTo("ON_TOP");
        assertThat(taken.get("test").get("plan").get("secondSeconds").asDouble())
                .isCloseTo(seconds(taken.get("base"), 1), within(1e-6));
    }

    @Test
    void halfAndHalfKeepsBothPartsOrTakesTheOneFilter() {
        String sheet = oneSheet(Map.of("kind", "GUESS", "second", "grade 2"));
        JsonNode patches = http().slate(slate).get("sheets").get(0).get("patches");
        assertThat(patches.get(0).get("light").asString()).isEqualTo("grade 00 + grade 5");
        assertThat(patches.get(0).get("name").asString()).isEqualTo("grade 00 + grade 5");
        assertThat(patches.get(0).get("stopsFromMiddle").asDouble()).isCloseTo(0, within(0.02));
        assertThat(patches.get(1).get("light").asString()).isEqualTo("grade 2");
        assertThat(patches.get(1).get("stopsFromMiddle").asDouble()).isCloseTo(0, within(0.02));
        assertThat(patches.get(1).get("givenSeconds").asDouble()).isCloseTo(20, within(0.3));
        JsonNode one = ok(http().post(sheet + "/readings/proposal", Map.of("rightAt", 1)));
        assertThat(one.get("light").get("notation").asString()).isEqualTo("grade 2");
        assertThat(one.hasNonNull("second")).isFalse();
        JsonNode between = ok(http().post(sheet + "/readings/proposal", Map.of("rightAt", 0.5)));
        assertThat(between.get("why").asString()).contains("the filter they are worth");
        JsonNode both = ok(http().post(sheet + "/readings/proposal", Map.of("rightAt", 0)));
        assertThat(both.get("headline").asString()).startsWith("Keep both parts: 14.9 s through grade 00");
        JsonNode taken = taken(sheet, Map.of("rightAt", 0), "PROPOSED");
        assertThat(taken.get("base").get("parts").size()).isEqualTo(2);
        assertThat(seconds(taken.get("base"), 1)).isCloseTo(11.14, within(0.1));
    }

    /** A paper that dries down takes as much off both parts as off one. */
    @Test
    void bothPartsAreAllowedForAsTheyDry() {
        String sheet = oneSheet(Map.of("kind", "GUESS"));
        double dry = ok(http().post(sheet + "/readings/proposal", Map.of("moreStops", 0)))
                .get("second")
                .get("seconds")
                .asDouble();
        String paper = standing().get("setup").get("paperId").asString();
        http().post("/api/stores/" + paper + "/constants", Map.of("name", "DRY_DOWN", "value", 8, "remark", "tried"));
        JsonNode wet = ok(http().post(sheet + "/readings/proposal", Map.of("moreStops", 0)));
        http().forgetConstants(paper);
        assertThat(wet.get("second").get("seconds").asDouble()).isCloseTo(0.92 * dry, within(0.01));
        assertThat(wet.get("restsOn").toString()).contains("dries down by 8 %");
    }
}
