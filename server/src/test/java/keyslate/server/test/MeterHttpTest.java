package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A colour meter among the looks, wet prints, other lights, a second place, and what finals tell of the first pack. */
class MeterHttpTest extends OnATestSlate {
    private String slate;

    @BeforeEach
    void aSlateInColour() {
        frame = frame("COLOUR");
        slate = slate(frame, colour, 0, Map.of("apertureMark", 8));
    }

    private static Map<String, Object> metered(String pack, String scene) {
        return new HashMap<>(
                Map.of("way", "METER", "looks", List.of(Map.of("meter", Map.of("pack", pack, "scene", scene)))));
    }

    private static Map<String, Object> filtered(Map<String, ?> look) {
        return new HashMap<>(Map.of("way", "VIEWING_FILTER", "looks", List.of(look)));
    }

    private Answer asked(String print, Map<String, ?> cast) {
        return http().post("/api/sheets/" + print + "/casts/proposal", cast);
    }

    private JsonNode take(String slate, String print, Map<String, ?> cast) {
        return ok(http().post(
                        "/api/sheets/" + print + "/casts",
                        Map.of(
                                "cast",
                                cast,
                                "taking",
                                Map.of("version", http().version(slate), "answer", "PROPOSED"))));
    }

    private String printed(String slate) {
        return expose(slate, "PRINT").get("id").asString();
    }

    /** A slate that a meter was read for and that ended with a pack. */
    private void ended(String slate, String asked, String scene, String pack) {
        String first = printed(slate);
        // Read twice: the print is one still, and the last reading counts.
        take(slate, first, metered("0/10/10", scene));
        take(slate, first, metered(asked, scene));
        ok(http().edit(slate, "base/light", pack));
        String print = printed(slate);
        ok(http().post("/api/sheets/" + print + "/acceptance", Map.of("version", http().version(slate))));
    }

    /** The practice darkroom has one of its own, which reads what was scanned. */
    @Test
    void thePracticeMeterAsksForAPackThatCanBeTaken() throws IOException {
        String nothing = printed(slate);
        assertThat(http().get("/api/sheets/" + nothing + "/practice-meter").status())
                .isEqualTo(409);
        scanned();
        String print = printed(slate);
        String asked = ok(http().get("/api/sheets/" + print + "/practice-meter"))
                .get("pack")
                .asString();
        String again = ok(http().get("/api/sheets/" + print + "/practice-meter"))
                .get("pack")
                .asString();
        assertThat(asked).matches("\\d+(\\.\\d)?/\\d+(\\.\\d)?/\\d+(\\.\\d)?").isNotEqualTo(again);
        JsonNode verdict = ok(asked(print, metered(asked, "average"))).get("verdict");
        assertThat(verdict.get("restsOn").toString()).contains("The meter asks for " + asked);
        assertThat(http().get("/api/sheets/no-such/practice-meter").status()).isEqualTo(404);
    }

    @Test
    void printsTeachWhatTheMeterIsOffOnAKindOfScene() {
        ended(slate, "0/50/40", "Brick in snow", "0/58/37");
        String next = slate(frame, colour, 0, Map.of("apertureMark", 8));
        JsonNode scenes = http().get("/api/slates/" + next + "/metered-scenes").json();
        assertThat(scenes).hasSize(1);
        assertThat(scenes.get(0).get("scene").asString()).isEqualTo("brick in snow");
        assertThat(scenes.get(0).get("magentaPoints").asDouble()).isCloseTo(8, within(1e-9));
        assertThat(scenes.get(0).get("yellowPoints").asDouble()).isCloseTo(-3, within(1e-9));
        String print = printed(next);
        JsonNode known = ok(asked(print, metered("0/60/50", "brick in snow")));
        JsonNode unknown = ok(asked(print, metered("0/60/50", "night")));
        assertThat(known.get("verdict").get("restsOn").toString()).contains("off by 8 M, 3 Y less on 1 print");
        assertThat(known.get("colour").get("uncertaintyPoints").asDouble())
                .isLessThan(unknown.get("colour").get("uncertaintyPoints").asDouble());
        JsonNode look = known.get("colour").get("looks").get(0).get("towards");
        assertThat(look.get("magenta").asDouble()).isCloseTo(68, within(0.5));
        assertThat(look.get("yellow").asDouble()).isCloseTo(47, within(0.5));
    }

    /** Kept prints tell where neutral lies: those with the same head before those with another. */
    @Test
    void finalsWithTheSameHeadGoBeforeThoseWithAnother() {
        ended(slate, "0/50/40", "average", "0/58/37");
        ended(slate(frame, grey, 0, Map.of("apertureMark", 8)), "0/50/40", "average", "0/20/20");
        String next = slate(frame, colour, 0, Map.of("apertureMark", 8));
        String print = printed(next);
        String rests = ok(asked(print, filtered(Map.of())))
                .get("verdict")
                .get("restsOn")
                .toString();
        assertThat(rests).contains("Before any look: neutral at 0/58/37", "own prints on this paper");
    }

    @Test
    void aPackWithoutFiltrationIsWarnedOf() {
        ok(http().edit(slate, "base/light", "0/0/0"));
        JsonNode pack = http().slate(slate).get("standing").get("base").get("pack");
        assertThat(pack.get("note").asString()).startsWith("No magenta and no yellow");
        ok(http().edit(slate, "base/light", "0/40/0"));
        assertThat(http().slate(slate).get("standing").get("base").get("pack").has("note"))
                .isFalse();
    }

    @Test
    void aMeterWithoutPackOrSceneIsRefusedBesideItsField() {
        String print = printed(slate);
        assertThat(asked(print, metered("much", "night")).pointers()).containsExactly("/cast/looks/0/meter/pack");
        assertThat(asked(print, metered("2½", "night")).text()).contains("such as 0/58/49");
        assertThat(asked(print, metered("0/50/40", " ")).pointers()).containsExactly("/cast/looks/0/meter/scene");
        assertThat(asked(print, Map.of("way", "METER", "looks", List.of(Map.of())))
                        .pointers())
                .contains("/cast/looks/0/meter/pack", "/cast/looks/0/meter/scene");
    }

    @Test
    void aWetPrintInAnotherLightSaysSoAndLeavesMoreOpen() {
        String print = printed(slate);
        Map<String, ?> green = Map.of("filters", List.of(Map.of("hue", "G", "points", 10)));
        JsonNode dry = ok(asked(print, filtered(green)));
        Map<String, Object> wet = filtered(green);
        wet.put("dry", false);
        wet.put("lamp", "the tube over the sink");
        wet.put("elsewhere", true);
        JsonNode asWet = ok(asked(print, wet));
        assertThat(asWet.get("verdict").get("restsOn").toString())
                .contains("wet, under the tube over the sink, not where it will hang");
        assertThat(asWet.get("verdict").get("why").asString())
                .contains("look again once it is dry", "look again there");
        assertThat(dry.get("verdict").get("why").asString()).doesNotContain("look again");
        assertThat(asWet.get("colour").get("looks").get(0).get("yellowPoints").asDouble()
                        - dry.get("colour")
                                .get("looks")
                                .get(0)
                                .get("yellowPoints")
                                .asDouble())
                .isCloseTo(6, within(1e-9));
        assertThat(asWet.get("colour").get("uncertaintyPoints").asDouble())
                .isGreaterThan(dry.get("colour").get("uncertaintyPoints").asDouble());
        Map<String, Object> longest = new HashMap<>(wet);
        longest.put("lamp", "l".repeat(40));
        longest.put(
                "looks",
                List.of(Map.of(
                        "filters",
                        List.of(
                                Map.of("hue", "M", "points", 52.5, "enough", false),
                                Map.of("hue", "Y", "points", 52.5, "enough", false)),
                        "area",
                        "p".repeat(40))));
        take(slate, print, longest);
        take(slate, print, metered("112.5/112.5/112.5", "s".repeat(40)));
        take(slate, print, wet);
        String file = http().get("/api/slates/" + slate + "/export").text();
        assertThat(file).contains("the tube over the sink");
        http().send("DELETE", "/api/slates/" + slate, "");
        Answer back = http().send("POST", "/api/imports", file);
        assertThat(back.status()).as(back.text()).isLessThan(300);
        wet.put("lamp", "x".repeat(41));
        assertThat(asked(print, wet).status()).isGreaterThanOrEqualTo(400);
    }

    @Test
    void twoPlacesThatAskForDifferentPacksAreSaidToBe() {
        String print = printed(slate);
        Map<String, ?> wall = Map.of("filters", List.of(Map.of("hue", "G", "points", 5)));
        Map<String, Object> window = Map.of("filters", List.of(Map.of("hue", "Y", "points", 20)), "area", "the window");
        JsonNode alike = ok(asked(print, filtered(wall)));
        assertThat(alike.get("colour").hasNonNull("apart")).isFalse();
        Map<String, ?> both = Map.of("way", "VIEWING_FILTER", "looks", List.of(wall, window));
        assertThat(ok(asked(print, both)).get("colour").get("apart").asString())
                .contains("the window is")
                .contains("no pack makes both neutral");
    }

    @Test
    void looksAreBesideAPrintThatIsNeutral() {
        String print = printed(slate);
        Map<String, Object> look = Map.of("filters", List.of(Map.of("hue", "G", "points", 5)), "beside", "REFERENCE");
        JsonNode verdict = ok(asked(print, filtered(look))).get("verdict");
        assertThat(verdict.get("restsOn").toString())
                .contains("beside a print that is neutral")
                .contains("Nobody has found this density right yet");
    }

    @Test
    void finalsTellWhereNeutralLiesBeforeAnyLook() {
        ok(http().edit(slate, "base/light", "0/40/40"));
        Map<String, ?> none = filtered(Map.of());
        JsonNode guessed = ok(asked(printed(slate), none)).get("colour");
        for (int i = 0; i < 3; i++) {
            String before = slate(frame, colour, 0, Map.of("apertureMark", 8));
            ok(http().edit(before, "base/light", "0/64/58"));
            ok(http().post(
                            "/api/sheets/" + printed(before) + "/acceptance",
                            Map.of("version", http().version(before))));
        }
        String next = slate(frame, colour, 0, Map.of("apertureMark", 8));
        ok(http().edit(next, "base/light", "0/40/40"));
        JsonNode colour = ok(asked(printed(next), none)).get("colour");
        assertThat(magenta(colour)).isGreaterThan(magenta(guessed) + 0.4);
        assertThat(colour.get("stepPoints").asDouble()).isBetween(3.0, 15.0);
    }

    private static double magenta(JsonNode colour) {
        return colour.get("neutral").get("points").get(1).asDouble();
    }
}
