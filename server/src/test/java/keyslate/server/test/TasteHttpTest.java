package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A second target beside neutral, kept for a slate and offered to its sisters. */
class TasteHttpTest extends OnATestSlate {
    private String slate;

    @BeforeEach
    void aSlateInColour() {
        frame = frame("COLOUR");
        slate = slate(frame, colour, 0, Map.of("apertureMark", 8));
    }

    private Answer meant(String of, Object magenta, Object yellow) {
        return http().patch(
                        "/api/slates/" + of + "/recipe",
                        Map.of(
                                "version",
                                http().version(of),
                                "naming",
                                Map.of("taste", Map.of("magenta", magenta, "yellow", yellow))));
    }

    private JsonNode proposed(String print, List<?> filters) {
        return ok(http().post(
                        "/api/sheets/" + print + "/casts/proposal",
                        Map.of("way", "VIEWING_FILTER", "looks", List.of(Map.of("filters", filters)))));
    }

    private static List<Double> packOf(JsonNode light) {
        return List.of(
                light.get("points").get(1).asDouble(),
                light.get("points").get(2).asDouble());
    }

    @Test
    void theNextSheetLiesAsFarFromNeutralAsItIsMeant() {
        String print = expose(slate, "PRINT").get("id").asString();
        List<?> green = List.of(Map.of("hue", "G", "points", 20));
        JsonNode plain = proposed(print, green);
        ok(meant(slate, -4, -4));
        JsonNode meant = proposed(print, green);
        assertThat(meant.get("colour").get("neutral"))
                .isEqualTo(plain.get("colour").get("neutral"));
        List<Double> before = packOf(plain.get("verdict").get("light"));
        List<Double> after = packOf(meant.get("verdict").get("light"));
        assertThat(after.get(0)).isCloseTo(before.get(0) - 4, within(1e-9));
        assertThat(after.get(1)).isCloseTo(before.get(1) - 4, within(1e-9));
        assertThat(meant.get("verdict").get("why").asString()).contains("It is meant 4 redder than neutral.");
        assertThat(meant.get("verdict").get("restsOn").toString()).contains("COL-38");
    }

    @Test
    void eachLookPullsToWhereItAlonePutsNeutral() {
        String print = expose(slate, "PRINT").get("id").asString();
        JsonNode look = proposed(print, List.of(Map.of("hue", "G", "points", 10)))
                .get("colour")
                .get("looks")
                .get(0);
        double pulled = look.get("towards").get("magenta").asDouble()
                - look.get("at").get("magenta").asDouble();
        // Right through green 10: too magenta, so more magenta in the beam, about half of what the filter says.
        assertThat(pulled).isBetween(3.5, 6.5);
        assertThat(look.get("towards").get("yellow").asDouble()
                        - look.get("at").get("yellow").asDouble())
                .isBetween(-2.0, 2.0);
    }

    @Test
    void isKeptUndoneAndOfferedToTheNextFrame() {
        ok(meant(slate, 0, -3));
        JsonNode standing = http().slate(slate).get("standing");
        assertThat(standing.get("naming").get("taste").get("words").asString()).isEqualTo("3 yellower");
        String sister = slate(frame, colour, 0, Map.of("apertureMark", 8));
        JsonNode offered =
                http().get("/api/slates/" + sister + "/sister-tastes").json();
        assertThat(offered).hasSize(1);
        assertThat(offered.get(0).get("slateId").asString()).isEqualTo(slate);
        assertThat(offered.get(0).get("taste").get("yellow").asDouble()).isEqualTo(-3);
        ok(http().post("/api/slates/" + slate + "/undo", Map.of("version", http().version(slate))));
        assertThat(http().get("/api/slates/" + sister + "/sister-tastes").json())
                .isEmpty();
        assertThat(http().slate(slate)
                        .get("standing")
                        .get("naming")
                        .get("taste")
                        .get("words")
                        .asString())
                .isEqualTo("neutral");
    }

    @Test
    void tooMuchIsRefusedBesideItsField() {
        assertThat(meant(slate, 61, 0).pointers()).contains("/naming/taste/magenta");
        assertThat(meant(slate, 0, -99).pointers()).contains("/naming/taste/yellow");
        assertThat(meant(slate, "much", 0).status()).isEqualTo(422);
        String mono = slate(frame("MONOCHROME"), grey, 0, Map.of("apertureMark", 8));
        assertThat(meant(mono, -4, 0).pointers()).containsExactly("/naming/taste");
        assertThat(meant(mono, 0, 0).status()).isEqualTo(200);
    }

    @Test
    void goesOutAndInWithTheFileOfTheSlate() {
        ok(meant(slate, 2.5, -1));
        String file = http().get("/api/slates/" + slate + "/export").text();
        http().send("DELETE", "/api/slates/" + slate, "");
        Answer in = http().send("POST", "/api/imports", file);
        assertThat(in.status()).as(in.text()).isLessThan(300);
        JsonNode taste = http().slate(in.json().get("id").asString())
                .get("standing")
                .get("naming")
                .get("taste");
        assertThat(taste.get("words").asString()).isEqualTo("2.5 greener and 1 yellower");
    }
}
