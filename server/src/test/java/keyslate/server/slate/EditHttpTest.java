package keyslate.server.slate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Edits of the standing recipe: what they drag along, what they refuse, and how they are taken back. */
class EditHttpTest extends ApplicationTest {
    private String id;

    @BeforeEach
    void newSlate() {
        id = http().newSlate("Drying loft");
    }

    @Test
    void saysEveryWrongFieldAtOnceAndChangesNothing() {
        long version = version();
        Answer answer = http().patch(
                        recipePath(),
                        Map.of("version", version, "apertureMark", 7.3, "baseSeconds", 0, "borderMm", -2));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.pointers()).containsExactlyInAnyOrder("/apertureMark", "/baseSeconds", "/borderMm");
        assertThat(version()).isEqualTo(version);
    }

    @ParameterizedTest
    @CsvSource(textBlock = """
                    title,           '',          characters
                    sheetWidthMm,    19,          sheet width
                    sheetHeightMm,   2001,        sheet height
                    borderMm,        150,         leave no picture
                    cropPlace,       1.5,         place of the crop
                    fit,             STRETCHED,   does not exist
                    filter,          6,           grade
                    apertureMark,    64,          has no f/64
                    baseSeconds,     -3,          exposure time
                    baseChangeStops, 40,          s
                    lensId,          none,        not in Stores
                    paperId,         none,        not in Stores
                    enlargerId,      none,        not in Stores
                    stripKind,       EQUAL_LUCK,  does not exist
                    stripDirection,  DARK_INSIDE, does not exist
                    stripPatches,    1,           patches
                    stripPatches,    16,          patches
                    stripStepStops,  0,           step
                    stripStepStops,  4,           step
                    stripStepSeconds,0,           step
                    stripPatchMm,    200,         longer than the picture
                    stripBreadthMm,  900,         broader than the picture
                    stripPlace,      -1,          place of the strip
                    stripCentreSeconds,0,         exposure time
                    """)
    void refusesWithAMessageAtTheField(String field, String value, String message) {
        Object sent = value.matches("-?\\d+") && !"filter".equals(field)
                ? Integer.valueOf(value)
                : value.matches("-?\\d+\\.\\d+") ? (Object) Double.valueOf(value) : value;
        Answer answer = http().edit(id, field, sent);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.pointers()).containsExactly("/" + field);
        assertThat(answer.json().get("errors").get(0).get("message").asString()).contains(message);
    }

    @Test
    void refusesTextWhereANumberBelongs() {
        Answer answer = http().send("PATCH", recipePath(), "{\"version\":1,\"baseSeconds\":\"ten\"}");
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.pointers()).containsExactly("/baseSeconds");
        assertThat(answer.text()).contains("a number belongs here");
        assertThat(http().send("PATCH", recipePath(), "{\"version\":").status()).isEqualTo(400);
    }

    @Test
    void refusesAnEditOfAnOlderVersion() {
        long version = version();
        http().edit(id, "borderMm", 8);
        Answer answer = http().patch(recipePath(), Map.of("version", version, "borderMm", 20));
        assertThat(answer.status()).isEqualTo(409);
        assertThat(answer.code()).isEqualTo("stale-version");
        assertThat(setup("borderMm")).isEqualTo(8);
    }

    @Test
    void theTimeFollowsTheOpening() {
        http().edit(id, "baseSeconds", 10);
        JsonNode slate = http().edit(id, "apertureMark", 11).json();
        assertThat(slate.get("recipe").get("baseSeconds").asDouble()).isEqualTo(20);
        assertThat(slate.get("undoLabel").asString()).contains("f/8 to f/11").contains("10.0 s to 20.0 s");
    }

    @Test
    void theTimeFollowsTheGradeSoThatLightTonesStay() {
        http().edit(id, "baseSeconds", 10);
        double softer = http().edit(id, "filter", "1")
                .json()
                .get("recipe")
                .get("baseSeconds")
                .asDouble();
        double harder = http().edit(id, "filter", "4½")
                .json()
                .get("recipe")
                .get("baseSeconds")
                .asDouble();
        assertThat(softer).isLessThan(10);
        assertThat(harder).isGreaterThan(10);
    }

    @Test
    void aPlainDefaultIsNotCarriedAlong() {
        id = http().newSlate("Thrower's hands");
        JsonNode before = http().slate(id).get("recipe");
        assertThat(before.get("baseSource").asString()).isEqualTo("default");
        JsonNode after = http().edit(id, "apertureMark", 11).json().get("recipe");
        assertThat(after.get("baseSeconds")).isEqualTo(before.get("baseSeconds"));
    }

    @Test
    void aChangeInStopsIsAddedToTheTime() {
        http().edit(id, "baseSeconds", 10);
        assertThat(http().edit(id, "baseChangeStops", 1)
                        .json()
                        .get("recipe")
                        .get("baseSeconds")
                        .asDouble())
                .isEqualTo(20);
    }

    @Test
    void morePatchesBecomeNarrower() {
        JsonNode strip = http().edit(id, "stripPatches", 9).json().get("strip");
        assertThat(strip.get("patches").size()).isEqualTo(9);
        assertThat(strip.hasNonNull("problem")).isFalse();
    }

    @Test
    void aWideStripIsOfferedWhileTheTimeIsADefaultAndNotOnceItStands() {
        id = http().newSlate("Lamp at the wheel");
        assertThat(http().slate(id).get("strip").get("wideStripOffered").asBoolean())
                .isTrue();
        JsonNode wide = http().edit(id, "stripForUnknownNegative", true).json();
        assertThat(wide.get("strip").get("patches").size()).isEqualTo(15);
        assertThat(wide.get("strip").get("notes").toString()).contains("stop down 2 stops and centre on 40.0 s");
        assertThat(wide.get("strip").get("wideStripOffered").asBoolean()).isFalse();
        http().edit(id, "apertureMark", 16);
        JsonNode closed = http().edit(id, "stripCentreSeconds", 40).json();
        assertThat(closed.get("strip").get("notes").toString()).doesNotContain("stop down");
        assertThat(closed.get("strip").get("wideStripOffered").asBoolean()).isFalse();
        JsonNode narrow = http().edit(id, "stripPatches", 5).json();
        assertThat(narrow.get("strip").get("wideStripOffered").asBoolean()).isTrue();
        JsonNode known = http().edit(id, "baseSeconds", 12).json();
        assertThat(known.get("strip").get("wideStripOffered").asBoolean()).isFalse();
    }

    @Test
    void anEditThatChangesNothingLeavesNoTrace() {
        double border = setup("borderMm");
        long version = version();
        assertThat(http().edit(id, "borderMm", border).status()).isEqualTo(200);
        assertThat(version()).isEqualTo(version);
    }

    @Test
    void undoGoesBackAndRedoGoesForthAsFar() {
        double first = setup("borderMm");
        http().edit(id, "borderMm", 8);
        http().edit(id, "borderMm", 9);
        step("undo");
        assertThat(setup("borderMm")).isEqualTo(8);
        step("undo");
        assertThat(setup("borderMm")).isEqualTo(first);
        step("redo");
        step("redo");
        assertThat(setup("borderMm")).isEqualTo(9);
        assertThat(step("redo").code()).isEqualTo("nothing-to-redo");
    }

    @Test
    void anEditAfterAnUndoStartsAWayOfItsOwn() {
        http().edit(id, "borderMm", 8);
        step("undo");
        http().edit(id, "borderMm", 12);
        assertThat(step("redo").code()).isEqualTo("nothing-to-redo");
        step("undo");
        assertThat(step("undo").code()).isEqualTo("nothing-to-undo");
    }

    @Test
    void refusesAreasAtTheirPlaceInTheList() {
        Map<String, Object> good = area("a", "Sky", 0.5);
        Map<String, Object> bad = area("a", "", -9);
        Answer answer = http().edit(id, "areas", List.of(good, bad));
        assertThat(answer.pointers())
                .containsExactlyInAnyOrder("/areas/1/name", "/areas/1/key", "/areas/1/changeStops");
    }

    @Test
    void aPlanThatTwoHandsCannotFitSaysSoAndDoesNotExpose() {
        http().edit(id, "areas", List.of(area("a", "Left", -3), area("b", "Right", -3), area("c", "Door", -3)));
        JsonNode slate = http().slate(id);
        assertThat(slate.get("local").get("problem").asString()).isNotBlank();
        Answer answer = http().post(
                        "/api/slates/" + id + "/sheets",
                        Map.of("version", slate.get("version").asLong(), "kind", "PRINT"));
        assertThat(answer.status()).isEqualTo(422);
    }

    @Test
    void theStartIsTakenFromThePrintOfThisFrameAtAnotherSize() {
        String other = http().newSlate("Bottle kiln");
        JsonNode start = http().slate(other).get("setup").get("startingTime");
        assertThat(start.get("source").asString()).isEqualTo("rescaled");
        assertThat(start.get("arithmetic").size()).isGreaterThan(1);
        http().edit(other, "sheetWidthMm", 406);
        http().edit(other, "sheetHeightMm", 305);
        JsonNode bigger = http().slate(other).get("setup").get("startingTime");
        assertThat(bigger.get("seconds").asDouble())
                .isGreaterThan(start.get("seconds").asDouble());
        http().edit(other, "takeStartingTime", true);
        assertThat(http().slate(other).get("recipe").get("baseSeconds")).isEqualTo(bigger.get("seconds"));
    }

    private static Map<String, Object> area(String key, String name, double stops) {
        Map<String, Object> shape =
                Map.of("kind", "ellipse", "points", List.of(Map.of("x", 0.5, "y", 0.5), Map.of("x", 0.2, "y", 0.2)));
        return Map.of("key", key, "name", name, "shape", shape, "softEdge", 0.05, "changeStops", stops, "tool", "wand");
    }

    private Answer step(String way) {
        return http().post("/api/slates/" + id + "/" + way, Map.of("version", version()));
    }

    private double setup(String field) {
        return http().slate(id).get("recipe").get(field).asDouble();
    }

    private long version() {
        return http().slate(id).get("version").asLong();
    }

    private String recipePath() {
        return "/api/slates/" + id + "/recipe";
    }
}
