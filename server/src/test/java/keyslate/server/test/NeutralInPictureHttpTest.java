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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** A spot that is to be neutral, measured in the picture of a print or of all pieces. */
class NeutralInPictureHttpTest extends OnATestSlate {
    private String slate;

    @BeforeEach
    void aSlateInColour() throws IOException {
        frame = frame("COLOUR");
        scanned();
        slate = slate(frame, colour, 0, Map.of("apertureMark", 8));
        ok(http().edit(slate, "base/light", "0/47/52"));
        ok(http().edit(slate, "base/seconds", 6));
    }

    private String pictured(String kind) {
        return photographed(expose(slate, kind)).get("id").asString();
    }

    private static Map<String, Object> spot(double x, double y) {
        return new HashMap<>(Map.of("way", "PICTURE", "looks", List.of(Map.of("spot", Map.of("x", x, "y", y)))));
    }

    private Answer asked(String sheet, Map<String, ?> cast) {
        return http().post("/api/sheets/" + sheet + "/casts/proposal", cast);
    }

    private JsonNode taken(String sheet, Map<String, ?> cast) {
        ok(http().post(
                        "/api/sheets/" + sheet + "/casts",
                        Map.of(
                                "cast",
                                cast,
                                "taking",
                                Map.of("version", http().version(slate), "answer", "PROPOSED"))));
        return ok(http().send("GET", "/api/slates/" + slate + "/colour", ""));
    }

    private static Map<String, Object> spot(int scan, double x, double y) {
        return Map.of("way", "PICTURE", "looks", List.of(Map.of("spot", Map.of("scan", scan, "x", x, "y", y))));
    }

    /** The spot is measured, the pack moved, and on the next print the same spot has next to no cast; in the scan without a rim, which is the first, and in a phone's picture. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2})
    void theNextPrintIsNeutralAtTheSpotThatWasMarked(int scan) {
        String first = pictured("PRINT");
        JsonNode before = taken(first, spot(scan, 0.5, 0.55)).get("looks").get(0);
        String second = pictured("PRINT");
        JsonNode after = taken(second, spot(scan, 0.5, 0.55)).get("looks").get(1);
        assertThat(before.get("words").asString()).startsWith("measured ");
        assertThat(Math.hypot(
                        after.get("magentaPoints").asDouble(),
                        after.get("yellowPoints").asDouble()))
                .isLessThan(4)
                .isLessThan(Math.hypot(
                        before.get("magentaPoints").asDouble(),
                        before.get("yellowPoints").asDouble()));
    }

    /** A picture that was handed in cut to the print says nothing of white, until bare paper is tapped in it. */
    @Test
    void withoutARimBarePaperIsTapped() {
        ok(http().edit(slate, "base/seconds", 2));
        String print = pictured("PRINT");
        byte[] cut = http().bytes("/api/sheets/" + print + "/scans/1/picture");
        assertThat(http().upload("/api/sheets/" + print + "/scans", "cut.jpg", cut)
                        .status())
                .isEqualTo(201);
        assertThat(asked(print, spot(0.5, 0.5)).text())
                .contains("/cast/looks/0/spot")
                .contains("Bare paper");
        List<Double> light = List.of(0.95, 0.2);
        String words = ok(asked(print, whiteAt(light, 0.5)))
                .get("colour")
                .get("looks")
                .get(0)
                .get("words")
                .asString();
        assertThat(words).startsWith("measured ");
        assertThat(asked(print, whiteAt(List.of(0.5, 0.5), 0.1)).text()).contains("brighter than the paper's white");
        assertThat(asked(print, whiteAt(List.of(0.5), 0.5)).pointers()).contains("/cast/looks/0/spot/white");
        assertThat(asked(print, whiteAt(List.of(0.5, 7.0), 0.5)).pointers()).contains("/cast/looks/0/spot/white");
    }

    private static Map<String, Object> whiteAt(List<Double> white, double y) {
        return Map.of("way", "PICTURE", "looks", List.of(Map.of("spot", Map.of("x", 0.5, "y", y, "white", white))));
    }

    private static Map<String, Object> card(double x, double y) {
        Map<String, Object> spot = Map.of("x", x, "y", y, "card", true);
        return new HashMap<>(Map.of("way", "PICTURE", "looks", List.of(Map.of("spot", spot))));
    }

    /** How much more light a print needs by its card. */
    private double moreStops(String sheet) {
        JsonNode verdict = ok(asked(sheet, card(0.5, 0.55))).get("verdict");
        double stood =
                http().slate(slate).get("standing").get("base").get("seconds").asDouble();
        assertThat(verdict.get("restsOn").toString()).contains("The card measured", "on the grey card");
        return Math.log(verdict.get("keepSeconds").asDouble() / stood) / Math.log(2);
    }

    /** What is taken for a grey card tells pack and time at once; two stops of too little light are no step of their own. */
    @Test
    void aGreyCardTellsTheDensityToo() {
        ok(http().edit(slate, "base/seconds", 2));
        String first = pictured("PRINT");
        double less = moreStops(first);
        taken(first, card(0.5, 0.55));
        String second = pictured("PRINT");
        double left = moreStops(second);
        assertThat(Math.abs(less)).isGreaterThan(0.5);
        assertThat(Math.abs(left)).isLessThan(0.12).isLessThan(Math.abs(less));
    }

    @Test
    void aCardOnATestOrAWetPrintIsRefusedAtItsField() {
        String strip = pictured("STRIP");
        assertThat(asked(strip, card(0.5, 0.55)).pointers()).containsExactly("/cast/looks/0/spot/card");
        String print = pictured("PRINT");
        Map<String, Object> wet = card(0.5, 0.55);
        wet.put("dry", false);
        assertThat(asked(print, wet).pointers()).containsExactly("/cast/looks/0/spot/card");
    }

    /** Every piece of a ring says where neutral lies, and they agree, in the scan as in a phone's picture. */
    @Test
    void allPiecesAreMeasuredAtTheSameSpot() {
        ok(http().edit(slate, "test/kind", "PIECES"));
        ok(http().edit(slate, "test/around", Map.of("kind", "RING", "stepPoints", 8)));
        String id = pictured("PIECES");
        JsonNode paper = ok(http().upload(
                                "/api/pictures/papers",
                                "phone.jpg",
                                http().bytes("/api/sheets/" + id + "/practice-photo")))
                .get("papers")
                .get(0);
        JsonNode byScanner = ok(asked(id, spot(1, 0.15, 0.15))).get("colour");
        JsonNode soFar = taken(id, spot(middle(paper, 0), middle(paper, 1)));
        JsonNode looks = soFar.get("looks");
        assertThat(looks.size()).isEqualTo(7);
        JsonNode neutral = soFar.get("neutral").get("points");
        Map<String, double[]> moved = Map.of("1", new double[] {47, 52}, "7", new double[] {55, 52});
        moved.forEach((piece, pack) -> {
            JsonNode look = looks.get(Integer.parseInt(piece) - 1);
            assertThat(look.get("words").asString()).startsWith("piece " + piece + " measured");
            assertThat(pack[0] + look.get("magentaPoints").asDouble())
                    .isCloseTo(neutral.get(1).asDouble(), within(4.0));
            assertThat(pack[1] + look.get("yellowPoints").asDouble())
                    .isCloseTo(neutral.get(2).asDouble(), within(4.0));
        });
        for (int i : List.of(1, 2)) {
            assertThat(byScanner.get("neutral").get("points").get(i).asDouble())
                    .isCloseTo(neutral.get(i).asDouble(), within(4.0));
        }
        assertThat(byScanner.get("looks").size()).isEqualTo(7);
        String cut = "/api/sheets/" + id + "/scans/2/pieces/";
        assertThat(http().bytes(cut + "7")).hasSizeGreaterThan(1000).isNotEqualTo(http().bytes(cut + "1"));
        assertThat(http().get(cut + "8").status()).isEqualTo(404);
        assertThat(soFar.get("uncertaintyPoints").asDouble()).isLessThan(1.5);
    }

    /** Of four corners, x or y. */
    private static double middle(JsonNode corners, int of) {
        double sum = 0;
        for (int i = of; i < 8; i += 2) {
            sum += corners.get(i).asDouble() / 4;
        }
        return sum;
    }

    @Test
    void whatCannotBeMeasuredIsSaidAtTheSpot() {
        String print = pictured("PRINT");
        Map<String, Object> nothing = Map.of("way", "PICTURE", "looks", List.of(Map.of()));
        assertThat(asked(print, nothing).text()).contains("/cast/looks/0/spot").contains("Tap a spot");
        assertThat(asked(print, spot(0.001, 0.001)).text()).contains("beside the picture");
        assertThat(asked(print, spot(7, 0.5)).text()).contains("/cast/looks/0/spot");
        Map<String, Object> other =
                Map.of("way", "PICTURE", "looks", List.of(Map.of("spot", Map.of("scan", 9, "x", 0.5, "y", 0.5))));
        assertThat(asked(print, other).text()).contains("no such picture");
    }

    private JsonNode standing() {
        return http().slate(slate).get("standing");
    }

    @Test
    void thePictureWithEachCastIsKeptWhateverLightStands() {
        String key = standing().get("castsKey").asString();
        String picture = "/api/slates/" + slate + "/casts-of-it?side=48&key=" + key;
        byte[] before = http().bytes(picture);
        String light = standing().get("previewKey").asString();
        ok(http().edit(slate, "base/seconds", 9));
        assertThat(standing().get("previewKey").asString()).isNotEqualTo(light);
        assertThat(standing().get("castsKey").asString()).isEqualTo(key);
        assertThat(http().bytes(picture)).isEqualTo(before);
        ok(http().edit(slate, "setup/fit", "FILL_SHEET"));
        assertThat(standing().get("castsKey").asString()).isNotEqualTo(key);
        assertThat(http().bytes(picture)).isNotEqualTo(before);
    }

    @Test
    void thePictureIsShownWithEachCastInAnyLightAndWet() throws IOException {
        scanned();
        String at = "/api/slates/" + slate;
        byte[] weak = http().bytes(at + "/casts-of-it?side=48");
        assertThat(http().bytes(at + "/casts-of-it?side=48&scale=2"))
                .hasSameSizeAs(weak)
                .isNotEqualTo(weak);
        assertThat(http().get(at + "/casts-of-it?scale=9").status()).isEqualTo(422);
        assertThat(http().get(at + "/casts-of-it?side=4000").status()).isEqualTo(422);
        for (String picture : List.of(at + "/preview?side=48", at + "/test-preview?side=48")) {
            byte[] usual = http().bytes(picture);
            assertThat(http().bytes(picture + "&kelvin=2700")).isNotEqualTo(usual);
            assertThat(http().bytes(picture + "&wet=true")).isNotEqualTo(usual);
            assertThat(http().bytes(picture)).isEqualTo(usual);
            assertThat(http().get(picture + "&kelvin=100").status()).isEqualTo(422);
        }
        JsonNode lamps = ok(http().get("/api/lamps?first=5000&second=2700"));
        assertThat(lamps.get("magentaPoints").asDouble()).isBetween(0.4, 0.7);
        assertThat(lamps.get("words").asString()).isNotEmpty();
        assertThat(http().get("/api/lamps?first=1&second=2700").status()).isEqualTo(422);
    }
}
