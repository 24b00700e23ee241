package keyslate.server.tone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Tones that were named in the picture. */
class ToneHttpTest extends ApplicationTest {
    private static final String TONES = "naming/tones";

    private String slate;

    @BeforeEach
    void start() {
        slate = http().newSlate("Bottle kiln");
    }

    @Test
    void theLightThatIsSaidToBeMissingBringsAToneWhereItIsWanted() {
        // So long a time that a tenth of a second is nothing.
        http().edit(slate, "setup/apertureMark", 16.0);
        name(tone("Brick", 0.42, 0.6, "MIDDLE"));
        JsonNode brick = tones().get(0);
        double change = brick.get("changeStops").asDouble();
        assertThat(Math.abs(change)).isGreaterThan(1.0 / 12);
        assertThat(brick.get("says").asString()).contains("to be 0.60: needs ");
        http().edit(slate, "base/changeStops", change);
        JsonNode after = tones().get(0);
        assertThat(after.get("density").asDouble()).isCloseTo(0.60, within(0.03));
        assertThat(after.get("says").asString()).endsWith("it is.");
    }

    @Test
    void aToneIsFoundOnThePlanOnTheStripAndInTheVerdict() {
        JsonNode area = standing().get("test").get("area");
        double middle = area.get("top").asDouble() + area.get("height").asDouble() / 2;
        JsonNode crop = standing().get("setup").get("crop");
        double y = crop.get("top").asDouble() + middle * crop.get("height").asDouble();
        name(tone("Door", 0.5, y, "TRUE_BLACK"));
        assertThat(tones().get(0).get("patch").asInt()).isEqualTo(3);
        String strip = begin(slate, "STRIP");
        JsonNode hung = exposeAndHang(strip).get("standing").get("tones").get(0);
        assertThat(hung.get("onSheets").get(0).get("sheetId").asString()).isEqualTo(strip);
        assertThat(hung.get("onSheets").get(0).get("patch").asInt()).isEqualTo(3);
        JsonNode verdict = http().post(
                        "/api/sheets/" + strip + "/readings/proposal", Map.of("whitesAt", 2, "blacksAt", 4))
                .json();
        assertThat(verdict.get("restsOn").valueStream().map(JsonNode::asString)).contains("“Door” lies in patch 3.");
    }

    @Test
    void aStripThatMissesTheToneThatMattersMostSaysSo() {
        http().edit(slate, "test/place", 0.0);
        name(tone("Cobbles", 0.5, 0.97, "MIDDLE"), tone("Shed", 0.5, 0.96, "MIDDLE"));
        assertThat(standing().get("test").get("notes").valueStream().map(JsonNode::asString))
                .contains("The strip misses “Cobbles”: move it there, or read it elsewhere.")
                .noneMatch(note -> note.contains("Shed"));
        assertThat(tones().get(0).hasNonNull("patch")).isFalse();
    }

    @Test
    void withoutAPictureAToneIsWantedAndNothingIsMadeUp() {
        slate = http().newSlate("Thrower's hands");
        name(tone("Sleeve", 0.5, 0.5, "WHITE_HOLDS"));
        JsonNode sleeve = tones().get(0);
        assertThat(sleeve.hasNonNull("density")).isFalse();
        assertThat(sleeve.get("says").asString()).isEqualTo("To be 0.10. No scan tells what it is now.");
    }

    @Test
    void whatIsNoToneIsRefusedAtItsField() {
        assertThat(asked(tone("", 0.5, 0.5, "MIDDLE")).pointers()).containsExactly("/naming/tones/0/name");
        assertThat(asked(tone("a", 0.5, 0.5, "MIDDLE"), tone("a", 0.1, 0.5, "MIDDLE"))
                        .pointers())
                .containsExactly("/naming/tones/1/name");
        assertThat(asked(tone("a", 1.5, 0.5, "MIDDLE")).pointers()).containsExactly("/naming/tones/0/x");
        assertThat(asked(tone("a", 0.5, 0.5, "PINK")).pointers()).containsExactly("/naming/tones/0/wish");
        assertThat(asked(tone("a", 0.5, 0.5, "OWN")).pointers()).containsExactly("/naming/tones/0/density");
        Map<String, Object> dense = Map.of("name", "a", "x", 0.5, "y", 0.5, "wish", "OWN", "density", 9);
        assertThat(http().edit(slate, TONES, List.of(dense)).pointers()).containsExactly("/naming/tones/0/density");
        assertThat(http().edit(slate, TONES, Collections.nCopies(9, tone("a", 0, 0, "MIDDLE")))
                        .pointers())
                .containsExactly("/naming/tones");
        assertThat(http().edit(slate, TONES, Collections.singletonList(null)).pointers())
                .containsExactly("/naming/tones/0");
        assertThat(tones()).isEmpty();
    }

    @Test
    void namingIsUndoneLikeEveryEdit() {
        name(tone("Brick", 0.42, 0.6, "MIDDLE"));
        assertThat(standing().get("undoLabel").asString()).isEqualTo("a tone named");
        http().post("/api/slates/" + slate + "/undo", Map.of("version", http().version(slate)));
        assertThat(tones()).isEmpty();
    }

    private void name(Map<?, ?>... tones) {
        assertThat(asked(tones).status()).isEqualTo(200);
    }

    private Answer asked(Map<?, ?>... tones) {
        return http().edit(slate, TONES, List.of(tones));
    }

    private static Map<String, Object> tone(String name, double x, double y, String wish) {
        return Map.of("name", name, "x", x, "y", y, "wish", wish);
    }

    private JsonNode standing() {
        return http().slate(slate).get("standing");
    }

    private JsonNode tones() {
        return standing().get("tones");
    }
}
