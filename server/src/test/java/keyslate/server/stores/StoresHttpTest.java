package keyslate.server.stores;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Things on the shelves: added with few words, changed, retired, and sheets that stay what they were. */
class StoresHttpTest extends ApplicationTest {
    private JsonNode shelf(JsonNode stores, String shelf, String name) {
        return StreamSupport.stream(stores.get(shelf).spliterator(), false)
                .filter(t -> t.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private JsonNode stores() {
        return http().get("/api/stores").json();
    }

    private void retire(String id) {
        assertThat(http().post("/api/stores/" + id + "/retired", Map.of("retired", true))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void aLensIsEnteredByItsEngravingAndIsDefaultInAllElse() {
        JsonNode stores = http().post("/api/stores/lenses", Map.of("focalMm", 105, "openMark", 5.6, "smallestMark", 32))
                .json();
        JsonNode lens = shelf(stores, "lenses", "105 mm lens");
        assertThat(lens.get("coversMm").asDouble()).isEqualTo(105);
        assertThat(lens.get("marks").size()).isEqualTo(11);
        assertThat(lens.get("constants"))
                .allSatisfy(c -> assertThat(c.get("source").asString()).isEqualTo("default"));
        JsonNode changed = http().patch("/api/stores/lenses/" + lens.get("id").asString(), Map.of("coversMm", 120))
                .json();
        assertThat(shelf(changed, "lenses", "105 mm lens").get("coversMm").asDouble())
                .isEqualTo(120);
        retire(lens.get("id").asString());
    }

    /** What the user's own tests found stands on the list before paper comes out. */
    @Test
    void ownTestsStandOnTheListBeforeASheet() {
        String light = shelf(
                        http().post("/api/stores/things", Map.of("kind", "SAFELIGHT", "name", "Amber lamp"))
                                .json(),
                        "things",
                        "Amber lamp")
                .get("id")
                .asString();
        String slate = http().newSlate("Window shelf");
        assertThat(byHand(slate)).contains("Amber lamp: never tested");
        http().post(
                        "/api/stores/" + light + "/constants",
                        Map.of("name", "SAFE_MINUTES", "value", 4, "remark", "coin and card"));
        assertThat(byHand(slate)).contains("Amber lamp: safe for 4 min, by your test");
        String screen = shelf(
                        http().post("/api/stores/things", Map.of("kind", "SCREEN", "name", "Old tablet"))
                                .json(),
                        "things",
                        "Old tablet")
                .get("id")
                .asString();
        assertThat(byHand(slate)).noneMatch(line -> line.startsWith("Old tablet"));
        http().edit(
                        slate,
                        "setup/paperId",
                        shelf(stores(), "papers", "Colour gloss 20 × 25")
                                .get("id")
                                .asString());
        assertThat(byHand(slate)).contains("Amber lamp off", "Old tablet covered: never tested with a coin");
        retire(light);
        retire(screen);
        assertThat(byHand(slate)).isEmpty();
        http().send("DELETE", "/api/slates/" + slate, "");
    }

    private List<String> byHand(String slate) {
        return http().slate(slate)
                .get("standing")
                .get("byHand")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
    }

    @Test
    void aBoardThatStandsAskewIsEnteredWithItsDay() {
        JsonNode enlarger = stores().get("enlargers").get(0);
        String id = enlarger.get("id").asString();
        JsonNode found = http().post(
                        "/api/stores/" + id + "/constants",
                        Map.of("name", "ALIGNMENT", "value", 1.5, "remark", "ruler on the board"))
                .json()
                .get("enlargers")
                .get(0)
                .get("constants")
                .valueStream()
                .filter(c -> c.get("name").asString().equals("ALIGNMENT"))
                .findFirst()
                .orElseThrow();
        assertThat(found.get("text").asString()).isEqualTo("1.5 mm");
        assertThat(found.hasNonNull("foundAt")).isTrue();
        http().send("DELETE", "/api/stores/constants/" + found.get("id").asString(), "");
    }

    /** Makers open a lens as far as they can: f/4.5 before half stops from f/4.8 on. */
    @Test
    void theWidestMarkMayLieBetweenTwoClicks() {
        JsonNode stores = http().post(
                        "/api/stores/lenses",
                        Map.of("name", "Wide open", "focalMm", 75, "openMark", 4.5, "smallestMark", 22))
                .json();
        JsonNode lens = shelf(stores, "lenses", "Wide open");
        assertThat(lens.get("marks").get(0).asDouble()).isEqualTo(4.5);
        assertThat(lens.get("marks").get(1).asDouble()).isEqualTo(4.8);
        String slate = http().newSlate("Window shelf");
        http().edit(slate, "setup/lensId", lens.get("id").asString());
        JsonNode open = http().edit(slate, "setup/apertureMark", 4.5).json();
        assertThat(open.get("setup").get("trueFNumber").asDouble()).isBetween(4.48, 4.5);
        assertThat(open.get("setup").get("stopsFromOpen").asDouble()).isZero();
        assertThat(open.get("geometry").get("pairs").get(0).get("clicks").asString())
                .isEqualTo("wide open, as it stands");
        assertThat(http().edit(slate, "setup/apertureMark", 5.0).pointers()).containsExactly("/setup/apertureMark");
        retire(lens.get("id").asString());
    }

    @Test
    void aRetiredLensIsOfferedNoLongerAndItsSlateStandsAsItWas() {
        String lens = shelf(
                        http().post(
                                        "/api/stores/lenses",
                                        Map.of("name", "Old lens", "focalMm", 80, "openMark", 4, "smallestMark", 22))
                                .json(),
                        "lenses",
                        "Old lens")
                .get("id")
                .asString();
        String slate = http().newSlate("Window shelf");
        http().edit(slate, "setup/lensId", lens);
        String sheet = begin(slate, "PRINT");
        assertThat(http().post("/api/stores/" + lens + "/retired", Map.of("retired", true))
                        .code())
                .isEqualTo("sheet-under-lamp");
        exposeAndHang(sheet);
        retire(lens);
        assertThat(stores().get("lenses")).noneMatch(l -> l.get("id").asString().equals(lens));
        assertThat(stores().get("retired")).anyMatch(r -> r.get("id").asString().equals(lens));
        assertThat(http().slate(slate)
                        .get("standing")
                        .get("setup")
                        .get("lensName")
                        .asString())
                .isEqualTo("Old lens");
        http().post("/api/stores/" + lens + "/retired", Map.of("retired", false));
        assertThat(stores().get("lenses")).anyMatch(l -> l.get("id").asString().equals(lens));
        retire(lens);
    }

    /** A slate that stands at a half stop of a ring that is said to have full stops later can still be opened. */
    @Test
    void aRingThatIsSaidToBeAnotherLeavesItsSlatesOpen() {
        String lens = shelf(
                        http().post(
                                        "/api/stores/lenses",
                                        Map.of("name", "Loose ring", "focalMm", 80, "openMark", 4, "smallestMark", 22))
                                .json(),
                        "lenses",
                        "Loose ring")
                .get("id")
                .asString();
        String slate = http().newSlate("Window shelf");
        http().edit(slate, "setup/lensId", lens);
        http().edit(slate, "setup/apertureMark", 9.5);
        http().patch("/api/stores/lenses/" + lens, Map.of("marksPerStop", 1, "openMark", 5.6));
        assertThat(http().get("/api/slates/" + slate).status()).isEqualTo(200);
        exposeAndHang(begin(slate, "PRINT"));
        retire(lens);
        assertThat(http().newSlate("Window shelf")).isNotEmpty();
    }

    @Test
    void aBoxIsCountedAnewAndHoldsPieces() {
        JsonNode stores = http().post(
                        "/api/stores/papers",
                        Map.of("name", "Test box", "kind", "MONOCHROME", "longMm", 203, "shortMm", 254))
                .json();
        JsonNode box = shelf(stores, "papers", "Test box");
        assertThat(box.get("widthMm").asDouble()).isEqualTo(254);
        assertThat(box.get("counted").asBoolean()).isFalse();
        String id = box.get("id").asString();
        JsonNode counted = shelf(
                http().patch("/api/stores/papers/" + id, Map.of("sheetsLeft", 12.5))
                        .json(),
                "papers",
                "Test box");
        assertThat(counted.get("counted").asBoolean()).isTrue();
        assertThat(counted.get("sheetsLeft").asDouble()).isEqualTo(12.5);
        JsonNode cut = shelf(
                http().put("/api/stores/papers/" + id + "/pieces", Map.of("longMm", 51, "shortMm", 203, "pieces", 4))
                        .json(),
                "papers",
                "Test box");
        assertThat(cut.get("pieces").get(0).get("longMm").asDouble()).isEqualTo(203);
        assertThat(http().put("/api/stores/papers/" + id + "/pieces", Map.of("longMm", 999, "shortMm", 1, "pieces", -1))
                        .pointers())
                .containsExactlyInAnyOrder("/longMm", "/shortMm", "/pieces");
        assertThat(http().patch("/api/stores/papers/" + id, Map.of("kind", "COLOUR"))
                        .pointers())
                .containsExactly("/kind");
        retire(id);
    }

    /** The fixer's least time is the bath's; one that is mixed anew has taken nothing. */
    @Test
    void aBathIsEnteredUsedMixedAnewAndPutAway() {
        JsonNode made = shelf(
                http().post(
                                "/api/stores/baths",
                                Map.of(
                                        "name",
                                        "Second fixer",
                                        "process",
                                        "MONOCHROME",
                                        "capacityM2",
                                        2.0,
                                        "leastSeconds",
                                        75))
                        .json(),
                "baths",
                "Second fixer");
        String id = made.get("id").asString();
        assertThat(made.get("leastSeconds").asDouble()).isEqualTo(75);
        JsonNode used = shelf(
                http().patch("/api/stores/baths/" + id, Map.of("usedM2", 1.0)).json(), "baths", "Second fixer");
        assertThat(used.get("usedShare").asDouble()).isEqualTo(0.5);
        JsonNode fresh = shelf(
                http().patch("/api/stores/baths/" + id, Map.of("mixedNow", true, "leastSeconds", 0))
                        .json(),
                "baths",
                "Second fixer");
        assertThat(fresh.get("usedM2").asDouble()).isZero();
        assertThat(fresh.hasNonNull("leastSeconds")).isFalse();
        assertThat(http().post(
                                "/api/stores/baths",
                                Map.of(
                                        "name",
                                        "",
                                        "process",
                                        "SEPIA",
                                        "capacityM2",
                                        0,
                                        "usedM2",
                                        -1,
                                        "leastSeconds",
                                        2))
                        .pointers())
                .containsExactlyInAnyOrder("/name", "/process", "/capacityM2", "/usedM2", "/leastSeconds");
        retire(id);
        assertThat(http().get("/api/bench").text()).doesNotContain("Second fixer");
    }

    @Test
    void otherThingsKeepTheFactsOfTheirKind() {
        Answer easel = http().post(
                        "/api/stores/things",
                        Map.of(
                                "kind", "EASEL",
                                "name", "Two-blade easel",
                                "facts", Map.of("longMm", 305, "shortMm", 240, "kelvin", 5000)));
        JsonNode made = shelf(easel.json(), "things", "Two-blade easel");
        assertThat(made.get("says").get(0).asString()).isEqualTo("305 × 240 mm");
        assertThat(made.get("facts").hasNonNull("kelvin")).isFalse();
        String id = made.get("id").asString();
        JsonNode renamed = http().patch("/api/stores/things/" + id, Map.of("name", "Easel, two blades"))
                .json();
        assertThat(shelf(renamed, "things", "Easel, two blades")
                        .get("facts")
                        .get("longMm")
                        .asDouble())
                .isEqualTo(305);
        assertThat(http().post("/api/stores/things", Map.of("kind", "SPADE", "name", ""))
                        .pointers())
                .containsExactlyInAnyOrder("/kind", "/name");
        assertThat(http().post(
                                "/api/stores/things",
                                Map.of("kind", "DRUM", "name", "Drum", "facts", Map.of("pieces", 0, "feed", "UP")))
                        .pointers())
                .containsExactlyInAnyOrder("/facts/pieces", "/facts/feed");
        retire(id);
    }

    @Test
    void aConstantOfOnesOwnCountsUntilItIsTakenBack() {
        JsonNode safelight = shelf(
                http().post("/api/stores/things", Map.of("kind", "SAFELIGHT", "name", "Red lamp"))
                        .json(),
                "things",
                "Red lamp");
        String id = safelight.get("id").asString();
        assertThat(safelight.get("constants").get(0).get("text").asString()).isEqualTo("not tested");
        Map<String, Object> asked = new HashMap<>(Map.of("name", "SAFE_MINUTES", "value", 4, "remark", "coin test"));
        JsonNode known = shelf(
                        http().post("/api/stores/" + id + "/constants", asked).json(), "things", "Red lamp")
                .get("constants")
                .get(0);
        assertThat(known.get("text").asString()).isEqualTo("4 min");
        assertThat(known.get("source").asString()).isEqualTo("entered");
        asked.put("value", 0);
        assertThat(http().post("/api/stores/" + id + "/constants", asked).pointers())
                .containsExactly("/value");
        asked.put("name", "LAG");
        assertThat(http().post("/api/stores/" + id + "/constants", asked).status())
                .isEqualTo(404);
        http().send("DELETE", "/api/stores/constants/" + known.get("id").asString(), "");
        assertThat(shelf(stores(), "things", "Red lamp")
                        .get("constants")
                        .get(0)
                        .get("source")
                        .asString())
                .isEqualTo("default");
        retire(id);
    }

    @Test
    void unitsAreRememberedAndWhatCannotBeIsSaid() {
        assertThat(http().put("/api/stores/units", Map.of("length", "in"))
                        .json()
                        .get("units")
                        .get("length")
                        .asString())
                .isEqualTo("in");
        http().put("/api/stores/units", Map.of("length", "cm"));
        assertThat(http().put("/api/stores/units", Map.of("length", "ell", "temperature", "K"))
                        .pointers())
                .containsExactlyInAnyOrder("/length", "/temperature");
        assertThat(http().post("/api/stores/enlargers", Map.of("lamp", "CANDLE", "columnMm", -3))
                        .pointers())
                .containsExactlyInAnyOrder("/lamp", "/columnMm", "/name");
        assertThat(http().post("/api/stores/lenses", Map.of("focalMm", 5, "openMark", 7.6, "smallestMark", 2))
                        .pointers())
                .contains("/focalMm", "/openMark");
        assertThat(http().post("/api/stores/nothing/retired", Map.of("retired", true))
                        .status())
                .isEqualTo(404);
        assertThat(List.of(http().patch("/api/stores/lenses/none", Map.of()).status()))
                .containsExactly(404);
    }
}
