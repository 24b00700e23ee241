package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Tests read from a picture that the practice phone took: no constant of that phone or of its paper is the reader's. */
class PictureReadingHttpTest extends OnATestSlate {
    private static final Map<String, Object> MIDDLE = Map.of("name", "wall", "x", 0.5, "y", 0.5, "wish", "MIDDLE");

    @BeforeEach
    void theFrameHasAPicture() throws IOException {
        scanned();
    }

    private String slate(Map<String, ?> test) {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        ok(http().patch(
                        "/api/slates/" + slate + "/recipe",
                        Map.of("version", http().version(slate), "naming", Map.of("tones", List.of(MIDDLE)))));
        plan(slate, test);
        return slate;
    }

    private JsonNode measured(JsonNode sheet, Map<String, ?> asked) {
        return ok(http().post("/api/sheets/" + sheet.get("id").asString() + "/readings/picture", asked));
    }

    private static Map<String, Object> tone(String field) {
        return Map.of("tones", List.of(Map.of("field", field)));
    }

    /** The proof of a reading: one sheet at the time it gave has the density that was wanted. */
    @Test
    void theTimeOfAPictureGivesTheDensityThatWasWanted() {
        String slate = slate(Map.of("kind", "SAME_SPOT", "centreSeconds", 12, "stepStops", 1 / 3.0, "patches", 7));
        JsonNode strip = photographed(expose(slate, "SAME_SPOT"));
        JsonNode read = measured(strip, tone("rightAt"));
        assertThat(read.get("problems").toString()).isEqualTo("[]");
        JsonNode tone = read.get("tones").get(0);
        assertThat(tone.get("tone").asString()).isEqualTo("wall");
        assertThat(tone.get("densities").size()).isEqualTo(7);
        assertThat(tone.get("unsure").asBoolean()).as(tone.toString()).isFalse();
        double seconds = tone.get("seconds").asDouble();
        http().edit(slate, "base/seconds", Math.rint(10 * seconds) / 10);
        plan(slate, Map.of("kind", "GUESS"));
        JsonNode sheet = photographed(expose(slate, "GUESS"));
        JsonNode proof = measured(sheet, tone("moreStops")).get("tones").get(0);
        assertThat(proof.get("densities").get(0).get("net").asDouble()).isCloseTo(0.6, within(0.03));
        assertThat(proof.get("moreStops").asDouble()).isCloseTo(0, within(1 / 12.0));
    }

    /** Whites and black of one sheet tell grade and time together, as long as the black is near enough to where it is wanted. */
    @ParameterizedTest
    @ValueSource(doubles = {8, 40})
    void theGradeFollowsFromThePictureOfOneSheet(double seconds) {
        String slate = slate(Map.of("kind", "GUESS"));
        Map<String, Object> sky = Map.of("name", "sky", "x", 0.8, "y", 0.2, "wish", "WHITE_HOLDS");
        Map<String, Object> earth = Map.of("name", "earth", "x", 0.2, "y", 0.8, "wish", "TRUE_BLACK");
        ok(http().patch(
                        "/api/slates/" + slate + "/recipe",
                        Map.of("version", http().version(slate), "naming", Map.of("tones", List.of(sky, earth)))));
        http().edit(slate, "base/light", "grade 2");
        http().edit(slate, "base/seconds", seconds);
        JsonNode sheet = photographed(expose(slate, "GUESS"));
        Map<String, Object> asked = Map.of("tones", List.of(Map.of("field", "whitesAt"), Map.of("field", "blacksAt")));
        JsonNode read = measured(sheet, asked).get("tones");
        assertThat(read.get(0).get("tone").asString()).isEqualTo("sky");
        assertThat(read.get(1).get("tone").asString()).isEqualTo("earth");
        Map<String, Object> pictured = Map.of("pictured", asked);
        JsonNode verdict = proposal(sheet, pictured);
        String rests = verdict.get("restsOn").toString();
        assertThat(rests).contains("measured in its picture over the paper's curve");
        // A black that is blocked, as it is at 40 s, lies anywhere.
        boolean near = read.get(1).get("limitStops").asDouble() <= 0.5;
        assertThat(near && seconds == 40).as("at 40 s the earth is blocked").isFalse();
        assertThat(rests.contains("ISO range needed")).isEqualTo(near);
        assertThat(rests.contains("too far from where it is wanted to tell the grade"))
                .isEqualTo(!near);
        take(slate, sheet, pictured);
        JsonNode base = http().slate(slate).get("standing").get("base");
        assertThat(base.get("light").get("notation").asString())
                .isEqualTo(verdict.get("light").get("notation").asString());
        assertThat(base.get("seconds").asDouble()).isLessThan(seconds);
    }

    @Test
    void aPictureAndAnEyeBothCountAndTheRecordKeepsWhatWasMeasured() {
        String slate = slate(Map.of("centreSeconds", 6, "stepStops", 1 / 3.0, "patches", 7));
        JsonNode strip = photographed(expose(slate, "STRIP"));
        double byEye =
                proposal(strip, Map.of("rightAt", 2.5)).get("uncertaintyStops").asDouble();
        take(slate, strip, Map.of("rightAt", 2.5));
        JsonNode where = measured(strip, tone("rightAt")).get("tones").get(0);
        Map<String, Object> pictured = Map.of("pictured", tone("rightAt"));
        JsonNode verdict = proposal(strip, pictured);
        assertThat(verdict.get("restsOn").toString()).contains("Your eye said");
        assertThat(verdict.get("uncertaintyStops").asDouble()).isLessThan(byEye);
        take(slate, strip, pictured);
        JsonNode sheets = http().get("/api/slates/" + slate).json().get("sheets");
        JsonNode decision = sheets.get(0).get("decisions").get(1);
        assertThat(decision.get("fromPicture").asBoolean()).isTrue();
        assertThat(decision.get("rightAt").asDouble()).isCloseTo(where.get("at").asDouble(), within(1e-6));
    }

    /** What was learned of the paper from an earlier scan is not lost by a picture; and one that lies the wrong way round tells no time. */
    @Test
    void aPictureTakesNothingAwayAndTheWrongWayRoundIsRefused() {
        String slate = slate(Map.of("centreSeconds", 6, "stepStops", 1 / 3.0, "patches", 7));
        JsonNode hung = expose(slate, "STRIP");
        String before = basis(slate);
        assertThat(before).contains("set to the tone of strip 1");
        JsonNode strip = photographed(hung);
        assertThat(basis(slate)).isEqualTo(before);
        List<Double> found = StreamSupport.stream(
                        measured(strip, Map.of()).get("papers").get(0).spliterator(), false)
                .map(JsonNode::asDouble)
                .toList();
        List<Double> turned =
                IntStream.range(0, 8).mapToObj(i -> found.get((i + 4) % 8)).toList();
        Map<String, Object> asked = Map.of(
                "papers",
                List.of(turned),
                "tones",
                List.of(Map.of("field", "rightAt", "spots", List.of(List.of(0.5, 0.5)))));
        JsonNode read = measured(strip, asked);
        assertThat(read.get("wrongWay").asBoolean()).isTrue();
        assertThat(read.get("tones").get(0).get("limitStops").asDouble()).isGreaterThanOrEqualTo(0.5);
        Answer refused = http().post(
                        "/api/sheets/" + strip.get("id").asString() + "/readings/proposal", Map.of("pictured", asked));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text()).contains("turn the paper first");
    }

    private String basis(String slate) {
        return http().get("/api/slates/" + slate)
                .json()
                .get("standing")
                .get("previewBasis")
                .get("text")
                .asString();
    }

    @Test
    void patchesAreTappedInThePictureAndStrangePlacesAreRefused() {
        String slate = slate(Map.of("centreSeconds", 12, "stepStops", 1 / 3.0, "patches", 5));
        JsonNode strip = photographed(expose(slate, "STRIP"));
        JsonNode first = measured(strip, Map.of());
        assertThat(first.get("lines").size()).isEqualTo(4);
        List<Double> corners = StreamSupport.stream(first.get("printed").get(0).spliterator(), false)
                .map(JsonNode::asDouble)
                .toList();
        // Down the left side a little, in each patch along the middle.
        List<List<Double>> spots = IntStream.range(0, 5)
                .mapToObj(i -> {
                    double along = (i + 0.5) / 5;
                    double x = corners.get(0) * (1 - along) + corners.get(2) * along;
                    double y = (corners.get(1) + corners.get(7)) / 2 * (1 - along)
                            + (corners.get(3) + corners.get(5)) / 2 * along;
                    return List.of(x, y);
                })
                .toList();
        JsonNode tone = measured(
                        strip, Map.of("tones", List.of(Map.of("field", "rightAt", "wantedNet", 0.5, "spots", spots))))
                .get("tones")
                .get(0);
        assertThat(tone.get("densities").size()).isEqualTo(5);
        assertThat(figures(tone.get("densities"), "patch")).containsExactly(1.0, 2.0, 3.0, 4.0, 5.0);
        String path = "/api/sheets/" + strip.get("id").asString() + "/readings/picture";
        assertThat(http().post(path, Map.of("scan", 9)).status()).isEqualTo(422);
        assertThat(http().post(path, Map.of("papers", List.of(List.of(0, 0, 1, 1))))
                        .text())
                .contains("/marks/pictured/papers");
        assertThat(http().post(path, Map.of("white", List.of(2, 0.5))).text()).contains("/marks/pictured/white");
        assertThat(http().post(path, tone("nowhere")).text()).contains("/marks/pictured/tones");
    }

    /** The practice scanner sees no rim and is set to its paper's white: nothing needs to be tapped. */
    @Test
    void thePictureOfTheScannerThatIsSetToThePaperIsReadAsItIs() {
        String slate = slate(Map.of("kind", "SAME_SPOT", "centreSeconds", 12, "stepStops", 1 / 3.0, "patches", 7));
        JsonNode scanned = expose(slate, "SAME_SPOT");
        JsonNode byScan = measured(scanned, tone("rightAt"));
        assertThat(byScan.get("problems").toString()).isEqualTo("[]");
        assertThat(byScan.get("facts").toString()).contains("what the scanner is set to");
        double seconds = byScan.get("tones").get(0).get("seconds").asDouble();
        JsonNode byPhone = measured(photographed(scanned), tone("rightAt"));
        double other = byPhone.get("tones").get(0).get("seconds").asDouble();
        assertThat(Math.log(seconds / other) / Math.log(2)).isCloseTo(0, within(1 / 12.0));
    }

    /** The practice scanner has the pieces where they were to be laid; where fewer papers are shown than were cut, none is taken for another. */
    @Test
    void piecesAreReadWhereTheyWereLaidAndMissingOnesAreSaid() {
        String slate = slate(
                Map.of("kind", "PIECES", "centreSeconds", 12, "stepStops", 1 / 3.0, "patches", 6, "marks", "CORNERS"));
        JsonNode hung = expose(slate, "PIECES");
        JsonNode byScan = measured(hung, tone("rightAt"));
        JsonNode sheet = photographed(hung);
        JsonNode all = measured(sheet, tone("rightAt"));
        List<Double> laid = figures(byScan.get("tones").get(0).get("densities"), "net");
        List<Double> apart = figures(all.get("tones").get(0).get("densities"), "net");
        assertThat(laid).hasSize(6);
        for (int i = 0; i < 6; i++) {
            assertThat(laid.get(i)).isCloseTo(apart.get(i), within(0.03 + 0.05 * apart.get(i)));
        }
        List<Double> one = StreamSupport.stream(all.get("papers").get(0).spliterator(), false)
                .map(JsonNode::asDouble)
                .toList();
        JsonNode some = measured(sheet, Map.of("papers", List.of(one), "tones", List.of(Map.of("field", "rightAt"))));
        assertThat(some.get("problems").toString()).contains("Not all 6 pieces are seen");
        assertThat(some.get("tones").get(0).has("seconds")).isFalse();
        assertThat(measured(sheet, Map.of("papers", Collections.nCopies(20, one)))
                        .get("problems")
                        .toString())
                .doesNotContain("pieces are seen");
    }

    /** Clipped corners tell pieces apart, wherever they lie. */
    @Test
    void piecesAreFoundByTheirCorners() {
        String slate = slate(
                Map.of("kind", "PIECES", "centreSeconds", 12, "stepStops", 1 / 3.0, "patches", 6, "marks", "CORNERS"));
        JsonNode sheet = photographed(expose(slate, "PIECES"));
        JsonNode read = measured(sheet, tone("rightAt"));
        assertThat(read.get("papers").size()).as(read.toString()).isEqualTo(6);
        List<Double> net = figures(read.get("tones").get(0).get("densities"), "net");
        assertThat(net).isSorted();
        assertThat(read.get("tones").get(0).get("unsure").asBoolean()).isFalse();
    }
}
