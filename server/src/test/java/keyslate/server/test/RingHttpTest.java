package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Pieces of packs about the one that stands: planned, exposed, and read side by side. */
class RingHttpTest extends OnATestSlate {
    private String slate;

    @BeforeEach
    void aSlateInColour() {
        frame = frame("COLOUR");
        slate = slate(frame, colour, 0, Map.of("apertureMark", 8));
        ok(http().edit(slate, "base/light", "0/57/43"));
        ok(http().edit(slate, "base/seconds", 12.5));
        ok(http().edit(slate, "test/kind", "PIECES"));
    }

    private JsonNode test() {
        return http().slate(slate).get("standing").get("test");
    }

    private JsonNode around(Map<String, ?> around) {
        ok(http().edit(slate, "test/around", around));
        return test();
    }

    private static Map<String, String> byPack(JsonNode test) {
        Map<String, String> pieces = new HashMap<>();
        test.get("patches")
                .forEach(p -> pieces.put(
                        p.get("name").asString(),
                        String.format(
                                "%.1f %s",
                                p.get("setSeconds").asDouble(), p.get("turns").asString())));
        return pieces;
    }

    /** Scenario 14. */
    @Test
    void sevenPiecesAboutAPack() {
        JsonNode test = around(Map.of("kind", "RING", "stepPoints", 8));
        assertThat(byPack(test))
                .isEqualTo(Map.of(
                        "0/57/43", "12.5 ",
                        "0/65/43", "14.0 greener",
                        "0/49/43", "11.2 more magenta",
                        "0/57/51", "12.7 bluer",
                        "0/57/35", "12.3 yellower",
                        "0/65/51", "14.2 more cyan",
                        "0/49/35", "11.0 redder"));
        assertThat(test.get("headline").asString()).isEqualTo("7 pieces round 0/57/43, 8 points apart.");
        // Dials are never set unseen: in white light between two pieces.
        assertThat(test.get("script").get(1).get("setInLight").asBoolean()).isTrue();
        assertThat(test.get("paperShare").asDouble()).isPositive();
        // It stays about whatever pack stands.
        ok(http().edit(slate, "base/light", "0/47/43"));
        assertThat(byPack(test())).containsKey("0/39/35");
    }

    @Test
    void theNeutralOneOrAPlaceBetweenIsWeighed() {
        around(Map.of("kind", "RING", "stepPoints", 8));
        JsonNode sheet = exposed();
        assertThat(http().slate(slate)
                        .get("standing")
                        .get("next")
                        .get("headline")
                        .asString())
                .startsWith("Look at the pieces of");
        JsonNode one = weighed(sheet, pieces(pieceOf(sheet, "0/65/43")));
        assertThat(one.get("light").get("points").get(1).asDouble()).isBetween(63.0, 68.0);
        assertThat(one.get("light").get("points").get(2).asDouble()).isBetween(41.0, 45.0);
        assertThat(one.get("restsOn").toString()).contains("neutral, your look");
        JsonNode between = weighed(sheet, pieces(pieceOf(sheet, "0/65/43"), pieceOf(sheet, "0/57/43")));
        assertThat(between.get("light").get("points").get(1).asDouble()).isBetween(59.0, 63.0);
        assertThat(between.get("seconds").asDouble()).isCloseTo(13.2, within(0.4));
        take(sheet, pieces(pieceOf(sheet, "0/65/43"), pieceOf(sheet, "0/57/43")));
        JsonNode soFar = ok(http().send("GET", "/api/slates/" + slate + "/colour", ""));
        assertThat(soFar.get("looks").get(0).get("words").asString()).startsWith("neutral between pieces");
        assertThat(http().slate(slate)
                        .get("standing")
                        .get("next")
                        .get("station")
                        .asString())
                .isEqualTo("print");
    }

    /** Two more pieces tell the density: the lighter one is right, and colour and time move together. */
    @Test
    void aCompanionThatIsPickedTellsTheDensityToo() {
        around(Map.of("kind", "LADDER", "stepPoints", 10, "rings", 1, "companionStops", 0.25));
        JsonNode sheet = exposed();
        assertThat(sheet.get("patches").get(3).get("name").asString()).isEqualTo("0/57/43 −¼ stop");
        JsonNode lighter = weighed(sheet, pieces(4));
        assertThat(lighter.get("keepSeconds").asDouble()).isCloseTo(12.5 * Math.pow(2, -0.25), within(0.1));
        assertThat(lighter.get("light").get("notation").asString()).isEqualTo("0/57/43");
    }

    /** A look through a filter at one of the pieces counts at that piece's pack. */
    @Test
    void aFilterIsHeldBeforeOneOfThePieces() {
        around(Map.of("kind", "RING", "stepPoints", 8));
        JsonNode sheet = exposed();
        int greener = pieceOf(sheet, "0/65/43");
        Map<String, Object> cast = Map.of(
                "way",
                "VIEWING_FILTER",
                "looks",
                List.of(Map.of("filters", List.of(Map.of("hue", "G", "points", 10)), "pieces", List.of(greener))));
        assertThat(weighed(sheet, cast).get("light").get("points").get(1).asDouble())
                .isBetween(67.0, 72.0);
    }

    @Test
    void whatCannotBeIsSaidWhereItWasAsked() {
        around(Map.of("kind", "RING", "stepPoints", 8));
        assertThat(refused(Map.of("stepPoints", 1))).contains("/test/around/stepPoints");
        assertThat(refused(Map.of("kind", "GRID", "rings", 2))).contains("/test/around/rings");
        assertThat(refused(Map.of("kind", "STAR"))).contains("/test/around/kind");
        JsonNode sheet = exposed();
        assertThat(asked(sheet, pieces(9)).text()).contains("/cast/looks/0/pieces");
        assertThat(asked(sheet, pieces()).text()).contains("/cast/looks/0/pieces");
        assertThat(asked(sheet, pieces(1, 2, 3, 4)).text()).contains("/cast/looks/0/pieces");
        JsonNode print = expose(slate, "PRINT");
        assertThat(asked(print, pieces(1)).text()).contains("no pieces of different packs");
        frame = frame("MONOCHROME");
        String mono = slate(frame, grey, 0, Map.of("apertureMark", 8));
        ok(http().edit(mono, "test/kind", "PIECES"));
        assertThat(http().edit(mono, "test/around", Map.of("kind", "RING")).text())
                .contains("Rings of packs are for colour paper");
    }

    private String refused(Map<String, ?> around) {
        Answer answer = http().edit(slate, "test/around", around);
        assertThat(answer.status()).isEqualTo(422);
        return answer.text();
    }

    private JsonNode exposed() {
        return expose(slate, "PIECES");
    }

    private static int pieceOf(JsonNode sheet, String pack) {
        for (JsonNode patch : sheet.get("patches")) {
            if (patch.get("light").asString().equals(pack)) {
                return patch.get("number").asInt();
            }
        }
        throw new AssertionError(pack);
    }

    private static Map<String, Object> pieces(Integer... numbers) {
        return Map.of("way", "PIECES", "looks", List.of(Map.of("pieces", new ArrayList<>(List.of(numbers)))));
    }

    private Answer asked(JsonNode sheet, Map<String, ?> cast) {
        return http().post("/api/sheets/" + sheet.get("id").asString() + "/casts/proposal", cast);
    }

    private JsonNode weighed(JsonNode sheet, Map<String, ?> cast) {
        return ok(asked(sheet, cast)).get("verdict");
    }

    private void take(JsonNode sheet, Map<String, ?> cast) {
        ok(http().post(
                        "/api/sheets/" + sheet.get("id").asString() + "/casts",
                        Map.of(
                                "cast",
                                cast,
                                "taking",
                                Map.of("version", http().version(slate), "answer", "PROPOSED"))));
    }
}
