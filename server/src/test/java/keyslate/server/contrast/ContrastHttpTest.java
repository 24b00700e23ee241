package keyslate.server.contrast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Threads, one filter, two filters, and a base of two parts through everything that follows it. */
class ContrastHttpTest extends ApplicationTest {
    private String slate;

    @BeforeEach
    void newSlate() {
        slate = http().newSlate("Drying loft");
        http().edit(slate, "base/light", "grade 2");
        http().edit(slate, "base/seconds", 10.0);
    }

    private static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private JsonNode standing() {
        return http().slate(slate).get("standing");
    }

    private JsonNode stands() {
        return ok(http().get("/api/slates/" + slate + "/contrast"));
    }

    private JsonNode propose(Map<String, ?> asked) {
        return ok(http().post("/api/slates/" + slate + "/contrast/proposal", asked));
    }

    private JsonNode take(Map<String, ?> asked) {
        return ok(http().post(
                        "/api/slates/" + slate + "/contrast",
                        Map.of("version", http().version(slate), "asked", asked)));
    }

    private static double net(JsonNode of, int thread) {
        return of.get("threads").get(thread).get("net").asDouble();
    }

    private static List<Double> seconds(JsonNode parts) {
        List<Double> seconds = new ArrayList<>();
        parts.forEach(p -> seconds.add(p.get("seconds").asDouble()));
        return seconds;
    }

    @Test
    void withoutNamedTonesThreeOfEveryPrintHang() {
        JsonNode stands = stands();
        assertThat(stands.get("threads").size()).isEqualTo(3);
        assertThat(net(stands, 0)).isCloseTo(0.10, within(0.001));
        assertThat(net(stands, 2)).isCloseTo(1.54, within(0.001));
        assertThat(stands.get("threads").get(1).get("stops").asDouble()).isCloseTo(0, within(1e-6));
        assertThat(stands.get("tones").get("bareShare").asDouble()).isBetween(0.0, 1.0);
        assertThat(stands.get("film").get("fromStops").asDouble())
                .isLessThan(stands.get("film").get("toStops").asDouble());
    }

    /** The print of a proposal comes in one answer with it, the same as a preview of what it would set. */
    @Test
    void aProposalBringsItsPrint() {
        Map<String, ?> asked = Map.of("threads", List.of(Map.of("name", "a shadow", "net", 1.2)));
        assertThat(propose(asked).hasNonNull("picture")).isFalse();
        String path = "/api/slates/" + slate + "/contrast/proposal?side=200&ends=";
        JsonNode proposal = ok(http().post(path + "false", asked));
        byte[] picture = Base64.getDecoder().decode(proposal.get("picture").asString());
        JsonNode part = proposal.get("parts").get(0);
        Map<String, ?> base = Map.of(
                "parts",
                List.of(Map.of(
                        "light",
                        part.get("light").get("notation").asString(),
                        "seconds",
                        part.get("seconds").asDouble())));
        assertThat(picture)
                .isEqualTo(http().bytes(
                                "/api/slates/" + slate + "/previews?local=false&side=200",
                                Map.of("version", 0, "base", base)));
        assertThat(ok(http().post(path + "true", asked)).get("picture").asString())
                .isNotEqualTo(proposal.get("picture").asString());
        assertThat(http().post(path.replace("side=200", "side=3") + "true", asked)
                        .status())
                .isEqualTo(422);
    }

    /** A shadow that should be lighter while the whites stay asks for a softer filter; what is moved comes where it was put. */
    @Test
    void aMovedThreadFindsFilterAndTime() {
        JsonNode softer = propose(Map.of("threads", List.of(Map.of("name", "a shadow", "net", 1.2))));
        assertThat(softer.get("one").get("light").get("notation").asString()).isEqualTo("grade 1");
        assertThat(net(softer, 2)).isCloseTo(1.2, within(0.1));
        assertThat(net(softer, 0)).isCloseTo(0.10, within(0.04));
        JsonNode taken = take(Map.of("threads", List.of(Map.of("name", "a shadow", "net", 1.2))));
        assertThat(taken.get("standing")
                        .get("base")
                        .get("light")
                        .get("notation")
                        .asString())
                .isEqualTo("grade 1");
        assertThat(taken.get("standing").get("base").get("because").asString()).contains("By threads over the curve");
        ok(http().post("/api/slates/" + slate + "/undo", Map.of("version", http().version(slate))));
        assertThat(standing().get("base").get("light").get("notation").asString())
                .isEqualTo("grade 2");
    }

    /** Grade 2 to 4 keeps the light tone at × 2.79 (CON-05), and says what the factor would be for others. */
    @Test
    void aFilterOfOnesOwnKeepsTheFirstTone() {
        JsonNode harder = propose(Map.of("light", "grade 4"));
        assertThat(harder.get("parts").get(0).get("seconds").asDouble()).isCloseTo(27.9, within(0.1));
        assertThat(net(harder, 0)).isCloseTo(0.10, within(0.002));
        assertThat(net(harder, 2)).isGreaterThan(1.9);
        assertThat(harder.get("restsOn").toString()).contains("× 2.79 keeps a light tone", "a factor is right at one");
        JsonNode lighter = propose(Map.of("light", "grade 4", "moreStops", -1));
        assertThat(lighter.get("parts").get(0).get("seconds").asDouble()).isCloseTo(13.95, within(0.05));
    }

    /** 10 s of grade 2 = 7.43 s through 00 and 5.57 s through 5, and back, with the same tones all the way. */
    @Test
    void thereAndBackBetweenOneFilterAndTwoChangesNoTone() {
        JsonNode before = stands();
        JsonNode two = propose(Map.of("way", "TWO_FILTERS"));
        assertThat(seconds(two.get("parts")).get(0)).isCloseTo(7.43, within(0.01));
        assertThat(seconds(two.get("parts")).get(1)).isCloseTo(5.57, within(0.01));
        take(Map.of("way", "TWO_FILTERS"));
        JsonNode split = stands();
        for (int i = 0; i < 3; i++) {
            assertThat(net(split, i)).isCloseTo(net(before, i), within(1e-6));
        }
        take(Map.of("way", "ONE_FILTER"));
        JsonNode base = standing().get("base");
        assertThat(base.get("parts").size()).isEqualTo(1);
        assertThat(base.get("light").get("notation").asString()).isEqualTo("grade 2");
        assertThat(base.get("seconds").asDouble()).isCloseTo(10, within(0.01));
        assertThat(propose(Map.of("way", "TWO_FILTERS", "hardFirst", true))
                        .get("parts")
                        .get(0)
                        .get("light")
                        .get("notation")
                        .asString())
                .isEqualTo("grade 5");
    }

    @Test
    void aSplitFollowsTheOpeningAndEveryChangeWithBothItsParts() {
        http().edit(slate, "setup/apertureMark", 8);
        take(Map.of("way", "TWO_FILTERS"));
        List<Double> before = seconds(standing().get("base").get("parts"));
        http().edit(slate, "setup/apertureMark", 11);
        List<Double> closed = seconds(standing().get("base").get("parts"));
        assertThat(closed.get(0) / before.get(0)).isCloseTo(closed.get(1) / before.get(1), within(1e-9));
        assertThat(closed.get(0) / before.get(0)).isBetween(1.8, 2.1);
        http().edit(slate, "base/changeStops", 1.0);
        List<Double> darker = seconds(standing().get("base").get("parts"));
        assertThat(darker.get(1)).isCloseTo(2 * closed.get(1), within(1e-6));
        http().edit(slate, "base/light", "grade 3");
        assertThat(standing().get("base").get("parts").size()).isEqualTo(1);
    }

    @Test
    void bothPartsStandInTheScriptOnTheCordAndInWords() {
        take(Map.of("way", "TWO_FILTERS"));
        JsonNode script = standing().get("local").get("script");
        assertThat(script.size()).isEqualTo(2);
        assertThat(script.get(0).get("words").asString()).isEqualTo("Base 1 of 2, nothing held");
        assertThat(script.get(1).get("before").asString()).isEqualTo("Set grade 5");
        assertThat(script.get(1).get("words").asString()).startsWith("Base 2 of 2");
        JsonNode sheets = exposeAndHang(begin(slate, "PRINT")).get("sheets");
        JsonNode print = sheets.get(sheets.size() - 1);
        assertThat(print.get("summary").asString()).matches(".* s through grade 00, then .* s through grade 5");
        JsonNode verdict = ok(http().post(
                        "/api/sheets/" + print.get("id").asString() + "/judgements/proposal",
                        Map.of("darkerStops", 0.5)));
        assertThat(verdict.get("light").get("notation").asString()).isEqualTo("grade 00");
        List<Double> before = seconds(standing().get("base").get("parts"));
        ok(http().post(
                        "/api/sheets/" + print.get("id").asString() + "/judgements",
                        Map.of(
                                "wishes",
                                Map.of("darkerStops", 0.5),
                                "taking",
                                Map.of("version", http().version(slate), "answer", "PROPOSED"))));
        List<Double> after = seconds(standing().get("base").get("parts"));
        assertThat(after.get(1) / before.get(1)).isCloseTo(Math.sqrt(2), within(1e-6));
        JsonNode harder = ok(http().post(
                        "/api/sheets/" + print.get("id").asString() + "/judgements/proposal",
                        Map.of("harderGrades", 1)));
        assertThat(harder.get("light").get("notation").asString()).isEqualTo("grade 3");
        assertThat(verdict.get("headline").asString()).contains("through grade 00 and", "through grade 5");
        // One filter stands by now: the split is judged as what it was worth, and half of it never stands alone.
        take(Map.of("way", "ONE_FILTER"));
        JsonNode asOne = ok(http().post(
                        "/api/sheets/" + print.get("id").asString() + "/judgements/proposal",
                        Map.of("darkerStops", 0.5)));
        assertThat(asOne.get("light").get("notation").asString()).isEqualTo("grade 2");
        assertThat(asOne.get("seconds").asDouble()).isCloseTo(10 * Math.sqrt(2), within(0.1));
    }

    /** One strip in two rows says the whites through 00 and the black through 5; four schools put them together, each saying how. */
    @Test
    void aSplitFromOneStripInTwoRows() {
        JsonNode planned = ok(http().post(
                                "/api/slates/" + slate + "/contrast/strips", Map.of("version", http().version(slate))))
                .get("standing");
        assertThat(planned.get("base").get("light").get("notation").asString()).isEqualTo("grade 00");
        JsonNode patches = planned.get("test").get("patches");
        assertThat(patches.size()).isEqualTo(30);
        double middle = patches.get(7).get("totalSeconds").asDouble();
        assertThat(middle).isCloseTo(planned.get("base").get("seconds").asDouble(), within(0.1));
        assertThat(patches.get(22).get("totalSeconds").asDouble()).isCloseTo(1.5 * middle, within(0.2));
        assertThat(stands().get("strips").size()).isZero();
        assertThat(http().post(
                                "/api/slates/" + slate + "/contrast/proposal",
                                Map.of("way", "TWO_FILTERS", "school", "EXACT"))
                        .text())
                .contains("mark where the whites hold".substring(1));
        JsonNode sheets = exposeAndHang(begin(slate, "STRIP")).get("sheets");
        String strip = sheets.get(sheets.size() - 1).get("id").asString();
        assertThat(http().post("/api/sheets/" + strip + "/readings/proposal", Map.of("blacksAt", 8, "row", 2))
                        .pointers())
                .containsExactly("/marks/whitesAt");
        read(strip, Map.of("whitesAt", 7, "row", 1));
        read(strip, Map.of("blacksAt", 8, "row", 2));
        JsonNode exact = propose(Map.of("way", "TWO_FILTERS", "school", "EXACT"));
        JsonNode strips = stands().get("strips");
        assertThat(strips.get(0).get("light").get("notation").asString()).isEqualTo("grade 00");
        double whites = strips.get(0).get("whitesSeconds").asDouble();
        double black = strips.get(1).get("blacksSeconds").asDouble();
        assertThat(whites).isCloseTo(middle, within(0.2));
        List<Double> marked = seconds(
                propose(Map.of("way", "TWO_FILTERS", "school", "AS_MARKED")).get("parts"));
        assertThat(marked.get(0)).isCloseTo(whites, within(1e-6));
        assertThat(marked.get(1)).isCloseTo(black, within(0.01 * black));
        List<Double> overlaid = seconds(
                propose(Map.of("way", "TWO_FILTERS", "school", "OVERLAID")).get("parts"));
        assertThat(overlaid.get(0)).isCloseTo(whites, within(1e-6));
        assertThat(overlaid.get(1)).isLessThan(marked.get(1));
        assertThat(seconds(exact.get("parts")).get(0)).isLessThan(whites);
        assertThat(exact.get("restsOn").toString()).contains("CON-21");
        JsonNode finer = ok(http().post(
                                "/api/slates/" + slate + "/contrast/strips", Map.of("version", http().version(slate))))
                .get("standing")
                .get("test")
                .get("plan");
        assertThat(finer.get("stepStops").asDouble()).isCloseTo(1 / 12.0, within(1e-9));
        assertThat(finer.get("secondSeconds").asDouble()).isCloseTo(black, within(1e-6));
        assertThat(http().post(
                                "/api/slates/" + slate + "/contrast/strips",
                                Map.of("version", http().version(slate), "soft", "grade 5", "hard", "grade 5"))
                        .pointers())
                .containsExactly("/hard");
    }

    private void read(String strip, Map<String, ?> marks) {
        ok(http().post(
                        "/api/sheets/" + strip + "/readings",
                        Map.of(
                                "marks",
                                marks,
                                "taking",
                                Map.of("version", http().version(slate), "answer", "KEEP_LIGHT"))));
    }

    @Test
    void whatCannotBeSetIsSaidAtItsField() {
        Map<String, Object> wrong = new HashMap<>();
        wrong.put("threads", List.of(Map.of("name", "nobody", "net", 1), Map.of("name", "a middle", "net", 9)));
        wrong.put("light", "grade 9");
        wrong.put("moreStops", 9);
        wrong.put("soft", "grade 5");
        wrong.put("hard", "grade 00");
        assertThat(http().post("/api/slates/" + slate + "/contrast/proposal", wrong)
                        .pointers())
                .containsExactlyInAnyOrder("/threads/0/name", "/threads/1/net", "/light", "/moreStops", "/hard");
        assertThat(http().post(
                                "/api/slates/" + slate + "/contrast/proposal",
                                Map.of("way", "TWO_FILTERS", "soft", "grade 3", "hard", "grade 5"))
                        .pointers())
                .containsExactly("/light");
        assertThat(http().edit(
                                slate,
                                "base/parts",
                                List.of(
                                        Map.of("light", "grade 2", "seconds", 4),
                                        Map.of("light", "grade 2", "seconds", -1)))
                        .pointers())
                .contains("/base/parts/1/seconds", "/base/parts/1/light");
    }
}
