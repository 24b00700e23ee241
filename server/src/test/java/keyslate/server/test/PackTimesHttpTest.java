package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** How time follows the pack of a head, and grey in a pack. */
class PackTimesHttpTest extends OnATestSlate {
    private final List<String> kept = new ArrayList<>();
    private String slate;

    @BeforeEach
    void aSlateInColour() {
        frame = frame("COLOUR");
        slate = slate(frame, colour, 0, Map.of("apertureMark", 8));
    }

    @AfterEach
    void takeBack() {
        kept.forEach(id -> http().send("DELETE", "/api/stores/constants/" + id, ""));
    }

    private void stands(String pack, double seconds) {
        ok(http().edit(slate, "base/light", pack));
        ok(http().edit(slate, "base/seconds", seconds));
    }

    private JsonNode base() {
        return http().slate(slate).get("standing").get("base");
    }

    private Answer said(String follows, String lines) {
        Map<String, Object> body = new HashMap<>(Map.of("follows", follows, "keep", true));
        body.put("lines", lines);
        return http().post("/api/stores/enlargers/" + colour + "/pack-times", body);
    }

    private JsonNode keep(String follows, String lines) {
        JsonNode found = ok(said(follows, lines));
        kept.add(found.get("keptId").asString());
        return found;
    }

    /** What a print says that is right through green 8 of a kit that says the correction. */
    private JsonNode rightThroughGreenEight() {
        JsonNode print = expose(slate, "PRINT");
        return ok(http().post(
                                "/api/sheets/" + print.get("id").asString() + "/casts/proposal",
                                Map.of(
                                        "way",
                                        "VIEWING_FILTER",
                                        "factor",
                                        1,
                                        "looks",
                                        List.of(Map.of("filters", List.of(Map.of("hue", "G", "points", 8)))))))
                .get("verdict");
    }

    /** Scenario 13. */
    @Test
    void greyIsTakenOutAndThePrintStaysAsItIs() {
        stands("14/66/52", 21);
        JsonNode grey = base().get("pack").get("grey");
        assertThat(grey.get("words").asString()).isEqualTo("14 points of grey, 0.14 density, 0.47 stop");
        assertThat(grey.get("light").get("notation").asString()).isEqualTo("0/52/38");
        assertThat(grey.get("seconds").asDouble()).isCloseTo(15.21, within(0.005));
        assertThat(grey.hasNonNull("unequal")).isFalse();
        ok(http().edit(slate, "base/greyOut", true));
        assertThat(base().get("light").get("notation").asString()).isEqualTo("0/52/38");
        assertThat(base().get("seconds").asDouble()).isCloseTo(15.21, within(0.005));
        assertThat(base().get("pack").hasNonNull("grey")).isFalse();
        assertThat(base().get("because").asString()).contains("14 points of grey removed, 0.14 density, 0.47 stop");
        ok(http().edit(slate, "base/greyOut", true));
        assertThat(base().get("light").get("notation").asString()).isEqualTo("0/52/38");
    }

    @Test
    void factorsThatDoNotAddUpAreSaidBeforeAnythingIsComputedWithThem() {
        JsonNode found = keep("ON", "0.30, 0.40, 0.10");
        assertThat(found.get("why").toString()).contains("add up to 0.80");
        stands("14/66/52", 21);
        assertThat(base().get("pack").get("grey").get("unequal").asString())
                .contains("add up to 0.80")
                .contains("16.2 s");
        // By density all the same: that is what grey is.
        assertThat(base().get("pack").get("grey").get("seconds").asDouble()).isCloseTo(15.21, within(0.005));
    }

    @Test
    void timeFollowsByTheFactorsOfTheHeadByHalfOrNot() {
        stands("0/48/58", 14);
        ok(http().edit(slate, "base/light", "0/58/58"));
        assertThat(base().get("seconds").asDouble()).isCloseTo(14 * Math.pow(10, 0.06), within(1e-6));
        keep("ON", "0.30, 0.50, 0.20");
        stands("0/48/58", 14);
        ok(http().edit(slate, "base/light", "0/58/58"));
        assertThat(base().get("seconds").asDouble()).isCloseTo(14 * Math.pow(10, 0.05), within(1e-6));
        keep("SMALL", "");
        assertThat(base().get("pack").get("magenta").asDouble()).isEqualTo(0.5);
        stands("0/48/58", 14);
        ok(http().edit(slate, "base/light", "0/58/58"));
        assertThat(base().get("seconds").asDouble()).isCloseTo(14 * Math.pow(10, 0.025), within(1e-6));
        keep("OFF", "");
        stands("0/48/58", 14);
        JsonNode verdict = rightThroughGreenEight();
        assertThat(verdict.get("seconds").asDouble()).isEqualTo(14);
        assertThat(verdict.get("why").asString()).contains("The time stays, as you have it: density may move");
        assertThat(verdict.get("restsOn").toString()).contains("C 0.30, M 0.50, Y 0.20, entered");
    }

    @Test
    void pairsOfSheetsAreReadAndWhatCannotBeReadIsSaid() {
        JsonNode found = ok(said("ON", "0/48/58 14 = 0/98/58 30\n0/48/58 14 = 0/48/98 15.5"));
        kept.add(found.get("keptId").asString());
        assertThat(found.get("why").get(0).asString()).contains("From 2 pairs of sheets");
        assertThat(found.get("constant").get("source").asString()).isEqualTo("measured");
        assertThat(found.get("constant").get("text").asString()).startsWith("C 0.30, M 0.6");
        for (String bad :
                List.of("0/48/58 14 = 0/49/58 15", "0/48/58 14", "0.3, 0.6", "x/y/z 3 = 0/1/2 4", "0.3; zwei; 1")) {
            Answer refused = said("ON", bad);
            assertThat(refused.status()).as(bad).isEqualTo(422);
            assertThat(refused.text()).as(bad).contains("/lines");
        }
    }

    /** Where packs are made of gels, they are what the gels make, and time follows their surfaces too. */
    @Test
    void packsAreMadeOfTheGelsThatExist() {
        stands("0/50/40", 12);
        JsonNode found = ok(http().post("/api/stores/enlargers/" + colour + "/gels", Map.of("keep", true)));
        kept.add(found.get("keptId").asString());
        assertThat(found.get("constant").get("text").asString()).contains("magenta 40, 20, 10, 5");
        assertThat(base().get("dials").asString()).isEqualTo("magenta 40 + 10, yellow 40");
        ok(http().edit(slate, "base/light", "0/53/40"));
        assertThat(base().get("dials").asString()).isEqualTo("magenta 40 + 10 + 5, yellow 40, which make 0/55/40");
        stands("0/50/40", 12);
        ok(http().edit(slate, "base/light", "0/60/40"));
        // As many gels as before: the points alone.
        assertThat(base().get("seconds").asDouble()).isCloseTo(12 * Math.pow(10, 0.06), within(1e-6));
        stands("0/50/40", 12);
        ok(http().edit(slate, "base/light", "0/65/40"));
        assertThat(base().get("seconds").asDouble()).isCloseTo(12 * Math.pow(10, 0.09 + 0.035), within(1e-6));
        stands("0/50/40", 12);
        JsonNode verdict = rightThroughGreenEight();
        assertThat(verdict.get("light").get("points").get(1).asDouble() % 5).isZero();
        ok(http().edit(slate, "test/kind", "PIECES"));
        ok(http().edit(slate, "test/around", Map.of("kind", "RING", "stepPoints", 10)));
        JsonNode ring = http().slate(slate).get("standing").get("test");
        ring.get("patches")
                .forEach(p -> p.get("light")
                        .get("points")
                        .forEach(points -> assertThat(points.asDouble() % 5).isZero()));
        ok(http().edit(slate, "test/around", Map.of("kind", "RING", "stepPoints", 2)));
        assertThat(http().slate(slate)
                        .get("standing")
                        .get("test")
                        .get("problem")
                        .asString())
                .contains("take a larger step");
        for (String bad : List.of("Q 5", "M 5 ten", "M", "M 900")) {
            Answer refused =
                    http().post("/api/stores/enlargers/" + colour + "/gels", Map.of("lines", bad, "keep", true));
            assertThat(refused.status()).as(bad).isEqualTo(422);
            assertThat(refused.text()).as(bad).contains("/lines");
        }
    }

    @Test
    void aPackOfGradesHasNoGrey() {
        String mono = slate(frame("MONOCHROME"), grey, 0, Map.of("apertureMark", 8));
        assertThat(http().edit(mono, "base/greyOut", true).text()).contains("Only a pack has grey");
    }

    /** What a dial does not reach is neither typed nor planned, and the verdict stays within it. */
    @Test
    void noDialGoesBeyondItsEnd() {
        JsonNode shelves = http().post("/api/stores/" + colour + "/constants", Map.of("name", "DIAL_END", "value", 70))
                .json();
        shelves.get("enlargers")
                .valueStream()
                .filter(e -> e.get("id").asString().equals(colour))
                .flatMap(e -> e.get("constants").valueStream())
                .filter(c -> c.get("name").asString().equals("DIAL_END") && c.hasNonNull("id"))
                .forEach(c -> kept.add(c.get("id").asString()));
        Answer beyond = http().edit(slate, "base/light", "0/60/71");
        assertThat(beyond.pointers()).containsExactly("/base/light");
        assertThat(beyond.text()).contains("yellow would be 71, and the dials of this head end at 70");
        stands("0/68/50", 10);
        JsonNode print = expose(slate, "PRINT");
        JsonNode verdict = ok(http().post(
                                "/api/sheets/" + print.get("id").asString() + "/casts/proposal",
                                Map.of(
                                        "way",
                                        "VIEWING_FILTER",
                                        "looks",
                                        List.of(Map.of("filters", List.of(Map.of("hue", "G", "points", 20)))))))
                .get("verdict");
        assertThat(verdict.get("light").get("notation").asString()).isEqualTo("0/70/50");
        assertThat(verdict.get("restsOn").toString()).contains("a gel under the lens gives the rest");
        ok(http().edit(slate, "test/kind", "PIECES"));
        ok(http().edit(slate, "test/around", Map.of("kind", "RING", "stepPoints", 8)));
        JsonNode test = http().slate(slate).get("standing").get("test");
        assertThat(test.get("problem").asString()).contains("the dials of this head end at 70");
        assertThat(http().post("/api/stores/" + colour + "/constants", Map.of("name", "DIAL_END", "value", 5))
                        .status())
                .isEqualTo(422);
    }
}
