package keyslate.server.slate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

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
                        Map.of(
                                "version",
                                version,
                                "setup",
                                Map.of("apertureMark", 7.3, "borderMm", -2),
                                "base",
                                Map.of("seconds", 0)));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.pointers())
                .containsExactlyInAnyOrder("/setup/apertureMark", "/base/seconds", "/setup/borderMm");
        assertThat(version()).isEqualTo(version);
    }

    @ParameterizedTest
    @CsvSource(textBlock = """
                    naming/title,           '',          characters
                    setup/sheetWidthMm,    19,          sheet width
                    setup/sheetHeightMm,   2001,        sheet height
                    setup/borderMm,        150,         leave no picture
                    setup/cropPlace,       1.5,         place of the crop
                    setup/fit,             STRETCHED,   does not exist
                    base/light,            grade 6,     grade
                    base/light,            0/47/52,     filter
                    setup/apertureMark,    64,          has no f/64
                    base/seconds,          -3,          exposure time
                    base/changeStops,      40,          s
                    setup/lensId,          none,        not in Stores
                    setup/paperId,         none,        not in Stores
                    setup/enlargerId,      none,        not in Stores
                    test/series,           EQUAL_LUCK,  does not exist
                    test/direction,        DARK_INSIDE, does not exist
                    test/patches,          1,           patches
                    test/patches,          16,          patches
                    test/stepStops,        0,           step
                    test/stepStops,        4,           step
                    test/stepSeconds,      0,           step
                    test/patchMm,          200,         longer than the picture
                    test/breadthMm,        900,         broader than the picture
                    test/place,            -1,          place of the strip
                    test/centreSeconds,    0,           exposure time
                    local/way,             BY_HEART,    does not exist
                    """)
    void refusesWithAMessageAtTheField(String field, String value, String message) {
        Object sent = value.matches("-?\\d+")
                ? Integer.valueOf(value)
                : value.matches("-?\\d+\\.\\d+") ? (Object) Double.valueOf(value) : value;
        Answer answer = http().edit(id, field, sent);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.pointers()).containsExactly("/" + field);
        assertThat(answer.json().get("errors").get(0).get("message").asString()).contains(message);
    }

    @Test
    void refusesTextWhereANumberBelongs() {
        Answer answer = http().send("PATCH", recipePath(), "{\"version\":1,\"base\":{\"seconds\":\"ten\"}}");
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.pointers()).containsExactly("/base/seconds");
        assertThat(answer.text()).contains("a number belongs here");
        assertThat(http().send("PATCH", recipePath(), "{\"version\":").status()).isEqualTo(400);
    }

    @Test
    void refusesAnEditOfAnOlderVersion() {
        long version = version();
        http().edit(id, "setup/borderMm", 8);
        Answer answer = http().patch(recipePath(), Map.of("version", version, "setup", Map.of("borderMm", 20)));
        assertThat(answer.status()).isEqualTo(409);
        assertThat(answer.code()).isEqualTo("stale-version");
        assertThat(setup("borderMm")).isEqualTo(8);
    }

    @Test
    void theTimeFollowsTheOpening() {
        http().edit(id, "base/seconds", 10);
        JsonNode slate = http().edit(id, "setup/apertureMark", 11).json();
        assertThat(slate.get("base").get("seconds").asDouble()).isCloseTo(20, within(1e-9));
        assertThat(slate.get("undoLabel").asString()).contains("f/8 to f/11").contains("10.0 s to 20.0 s");
    }

    @Test
    void theTimeFollowsTheGradeSoThatLightTonesStay() {
        http().edit(id, "base/light", "grade 2½");
        http().edit(id, "base/seconds", 10);
        double softer = http().edit(id, "base/light", "grade 1")
                .json()
                .get("base")
                .get("seconds")
                .asDouble();
        double harder = http().edit(id, "base/light", "grade 4½")
                .json()
                .get("base")
                .get("seconds")
                .asDouble();
        assertThat(softer).isLessThan(10);
        assertThat(harder).isGreaterThan(10);
    }

    @Test
    void aPlainDefaultIsNotCarriedAlong() {
        id = http().newSlate("Thrower's hands");
        JsonNode before = standing().get("base");
        assertThat(before.get("source").asString()).isEqualTo("default");
        JsonNode after = http().edit(id, "setup/apertureMark", 11).json().get("base");
        assertThat(after.get("seconds")).isEqualTo(before.get("seconds"));
    }

    @Test
    void aChangeInStopsIsAddedToTheTime() {
        http().edit(id, "base/seconds", 10);
        assertThat(http().edit(id, "base/changeStops", 1)
                        .json()
                        .get("base")
                        .get("seconds")
                        .asDouble())
                .isEqualTo(20);
    }

    @Test
    void morePatchesBecomeNarrower() {
        JsonNode strip = http().edit(id, "test/patches", 9).json().get("test");
        assertThat(strip.get("patches").size()).isEqualTo(9);
        assertThat(strip.hasNonNull("problem")).isFalse();
    }

    @Test
    void aWideStripIsOfferedWhileTheTimeIsADefaultAndNotOnceItStands() {
        id = http().newSlate("Lamp at the wheel");
        assertThat(standing().get("test").get("wideStripOffered").asBoolean()).isTrue();
        JsonNode wide = http().edit(id, "test/forUnknownNegative", true).json();
        assertThat(wide.get("test").get("patches").size()).isEqualTo(15);
        assertThat(wide.get("test").get("notes").toString()).contains("stop down 2 stops and centre on 40.0 s");
        assertThat(wide.get("test").get("wideStripOffered").asBoolean()).isFalse();
        http().edit(id, "setup/apertureMark", 16);
        JsonNode closed = http().edit(id, "test/centreSeconds", 40).json();
        assertThat(closed.get("test").get("notes").toString()).doesNotContain("stop down");
        assertThat(closed.get("test").get("wideStripOffered").asBoolean()).isFalse();
        JsonNode narrow = http().edit(id, "test/patches", 5).json();
        assertThat(narrow.get("test").get("wideStripOffered").asBoolean()).isTrue();
        JsonNode known = http().edit(id, "base/seconds", 12).json();
        assertThat(known.get("test").get("wideStripOffered").asBoolean()).isFalse();
    }

    @Test
    void anEditThatChangesNothingLeavesNoTrace() {
        double border = setup("borderMm");
        long version = version();
        assertThat(http().edit(id, "setup/borderMm", border).status()).isEqualTo(200);
        assertThat(version()).isEqualTo(version);
    }

    @Test
    void undoGoesBackAndRedoGoesForthAsFar() {
        double first = setup("borderMm");
        http().edit(id, "setup/borderMm", 8);
        http().edit(id, "setup/borderMm", 9);
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
        http().edit(id, "setup/borderMm", 8);
        step("undo");
        http().edit(id, "setup/borderMm", 12);
        assertThat(step("redo").code()).isEqualTo("nothing-to-redo");
        step("undo");
        assertThat(step("undo").code()).isEqualTo("nothing-to-undo");
    }

    @Test
    void refusesAreasAtTheirPlaceInTheList() {
        Map<String, Object> good = area("a", "Sky", 0.5);
        Map<String, Object> bad = area("a", "", -9);
        Answer answer = http().edit(id, "local/areas", List.of(good, bad));
        assertThat(answer.pointers())
                .containsExactlyInAnyOrder("/local/areas/1/name", "/local/areas/1/key", "/local/areas/1/changeStops");
    }

    @Test
    void aPlanThatTwoHandsCannotFitSaysSoAndDoesNotExpose() {
        http().edit(id, "local/areas", List.of(area("a", "Left", -3), area("b", "Right", -3), area("c", "Door", -3)));
        JsonNode slate = standing();
        assertThat(slate.get("local").get("problem").asString()).isNotBlank();
        Answer answer = http().post(
                        "/api/slates/" + id + "/sheets",
                        Map.of("version", slate.get("version").asLong(), "kind", "PRINT"));
        assertThat(answer.status()).isEqualTo(422);
    }

    @Test
    void theStartIsTakenFromThePrintOfThisFrameAtAnotherSize() {
        String other = http().newSlate("Bottle kiln");
        JsonNode start = http().slate(other).get("standing").get("setup").get("startingTime");
        assertThat(start.get("source").asString()).isEqualTo("rescaled");
        assertThat(start.get("arithmetic").size()).isGreaterThan(1);
        http().edit(other, "setup/sheetWidthMm", 406);
        http().edit(other, "setup/sheetHeightMm", 305);
        JsonNode bigger = http().slate(other).get("standing").get("setup").get("startingTime");
        assertThat(bigger.get("seconds").asDouble())
                .isGreaterThan(start.get("seconds").asDouble());
        http().edit(other, "base/takeStartingTime", true);
        assertThat(http().slate(other).get("standing").get("base").get("seconds"))
                .isEqualTo(bigger.get("seconds"));
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
        return standing().get("setup").get(field).asDouble();
    }

    private long version() {
        return http().version(id);
    }

    private JsonNode standing() {
        return http().slate(id).get("standing");
    }

    private String recipePath() {
        return "/api/slates/" + id + "/recipe";
    }
}
