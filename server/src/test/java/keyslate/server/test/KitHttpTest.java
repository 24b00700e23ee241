package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Kits of viewing filters, entered once by name, and what each has taught on slates before. */
class KitHttpTest extends OnATestSlate {
    /** Names stand for good, also those of kits that are retired or called otherwise. */
    private static int tests = 0;

    private final String own = "Own kit " + ++tests;
    private final String other = "Other kit " + tests;
    private final String loan = "Loan kit " + tests;
    private final String gift = "Gift kit " + tests;
    private final Set<String> kept = new HashSet<>();

    @BeforeEach
    void inColour() {
        frame = frame("COLOUR");
    }

    @AfterEach
    void takeOff() {
        kept.forEach(this::retire);
    }

    private JsonNode onShelf(String name) {
        return ok(http().get("/api/stores"))
                .get("things")
                .valueStream()
                .filter(t -> t.get("name").asString().equalsIgnoreCase(name))
                .findFirst()
                .orElseThrow();
    }

    private Answer change(String name, Map<String, ?> asked) {
        return http().patch("/api/stores/things/" + onShelf(name).get("id").asString(), asked);
    }

    private void rename(String name, String now) {
        ok(change(name, Map.of("name", now)));
        kept.remove(name);
        kept.add(now);
    }

    private void retire(String name) {
        ok(http().post("/api/stores/" + onShelf(name).get("id").asString() + "/retired", Map.of("retired", true)));
    }

    private Answer said(String name, String says, Double... strengths) {
        Map<String, Object> body = new HashMap<>(Map.of("name", name, "strengths", Arrays.asList(strengths)));
        body.put("says", says);
        return http().post("/api/kits", body);
    }

    private void keep(String name, String says) {
        ok(said(name, says, 20.0, 5.0, 10.0));
        kept.add(name);
    }

    private static List<String> names(JsonNode kits) {
        return kits.get("kits").valueStream().map(k -> k.get("name").asString()).toList();
    }

    @Test
    void aKitIsEnteredOnceAndTakenUpAgain() {
        keep(loan, "CORRECTION");
        keep(own, "STRENGTH");
        JsonNode kits = ok(http().get("/api/kits"));
        assertThat(names(kits)).startsWith(own, loan);
        assertThat(figures(kits.get("kits").get(0).get("strengths"))).containsExactly(5.0, 10.0, 20.0);
        JsonNode again = ok(said(loan.toUpperCase(Locale.ROOT), "STRENGTH", 2.5));
        assertThat(names(again)).startsWith(loan.toUpperCase(Locale.ROOT), own).doesNotContain(loan);
        assertThat(again.get("kits").get(0).get("says").asString()).isEqualTo("STRENGTH");
        retire(loan);
        assertThat(names(ok(http().get("/api/kits")))).startsWith(own).doesNotContain(loan.toUpperCase(Locale.ROOT));
        assertThat(names(ok(said(loan, "CORRECTION", 5.0)))).startsWith(loan, own);
    }

    private static List<Double> figures(JsonNode list) {
        return list.valueStream().map(JsonNode::asDouble).toList();
    }

    @Test
    void whatIsNoKitIsRefusedAtItsField() {
        assertThat(said("", "STRENGTH", 5.0).pointers()).containsExactly("/name");
        assertThat(said("x".repeat(41), "STRENGTH", 5.0).pointers()).containsExactly("/name");
        assertThat(said("Kit\u202e", "STRENGTH", 5.0).pointers()).containsExactly("/name");
        assertThat(said("Kit", null, 5.0).pointers()).containsExactly("/says");
        assertThat(said("Kit", "STRENGTH").pointers()).containsExactly("/strengths");
        assertThat(said("Kit", "STRENGTH", 0.0).pointers()).containsExactly("/strengths");
        assertThat(said("Kit", "STRENGTH", 61.0).pointers()).containsExactly("/strengths");
        assertThat(said("Kit", "STRENGTH", (Double) null).pointers()).containsExactly("/strengths");
        assertThat(said("Kit", "STRENGTH", 1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0, 9.0)
                        .pointers())
                .containsExactly("/strengths");
        assertThat(names(ok(http().get("/api/kits")))).doesNotContain("Kit");
    }

    /** A kit that came to the shelf by its name alone is asked for what stands on it before it is looked through. */
    @Test
    void theShelfOfStoresAndTheKitsAtAPrintAreTheSame() {
        assertThat(http().post("/api/stores/things", Map.of("kind", "VIEWING_KIT", "name", gift))
                        .status())
                .isEqualTo(201);
        kept.add(gift);
        JsonNode bare = ok(http().get("/api/kits"))
                .get("kits")
                .valueStream()
                .filter(k -> k.get("name").asString().equals(gift))
                .findFirst()
                .orElseThrow();
        assertThat(bare.has("says")).isFalse();
        String slate = slate(frame, colour, 0, Map.of("apertureMark", 8));
        String print = printed(slate, "0/50/50");
        assertThat(http().post("/api/sheets/" + print + "/casts/proposal", through(gift, 10))
                        .pointers())
                .containsExactly("/cast/kit");
        Map<String, Object> facts = Map.of("says", "CORRECTION", "strengths", List.of(20, 5, 5));
        JsonNode said = ok(change(gift, Map.of("facts", facts)));
        assertThat(said.get("things")
                        .valueStream()
                        .flatMap(t -> t.get("says").valueStream())
                        .map(JsonNode::asString))
                .contains("they say the correction", "5, 20");
        asked(slate, print, through(gift, 10));
        assertThat(change(gift, Map.of("facts", Map.of("says", "GREEN", "strengths", List.of(0))))
                        .pointers())
                .containsExactly("/facts/says", "/facts/strengths");
    }

    @Test
    void noTwoKitsShareAName() {
        keep(own, "STRENGTH");
        keep(other, "STRENGTH");
        assertThat(change(other, Map.of("name", own.toUpperCase(Locale.ROOT))).pointers())
                .containsExactly("/name");
        retire(own);
        Map<String, Object> again = Map.of("kind", "VIEWING_KIT", "name", own);
        assertThat(http().post("/api/stores/things", again).pointers()).containsExactly("/name");
        keep(own, "STRENGTH");
        rename(own, gift);
        Answer taken = change(other, Map.of("name", own));
        assertThat(taken.pointers()).containsExactly("/name");
        assertThat(said(own.toLowerCase(Locale.ROOT), "STRENGTH", 5.0).pointers())
                .containsExactly("/name");
    }

    private static Map<String, Object> through(String kit, double green) {
        List<Map<String, ?>> filters = green == 0 ? List.of() : List.of(Map.of("hue", "G", "points", green));
        return Map.of("way", "VIEWING_FILTER", "kit", kit, "looks", List.of(Map.of("filters", filters)));
    }

    private JsonNode asked(String slate, String print, Map<String, Object> cast) {
        return ok(http().post("/api/sheets/" + print + "/casts/proposal", cast)).get("colour");
    }

    private void take(String slate, String print, Map<String, Object> cast) {
        ok(http().post(
                        "/api/sheets/" + print + "/casts",
                        Map.of(
                                "cast",
                                cast,
                                "taking",
                                Map.of("version", http().version(slate), "answer", "PROPOSED"))));
    }

    private String printed(String slate, String pack) {
        ok(http().edit(slate, "base/light", pack));
        return expose(slate, "PRINT").get("id").asString();
    }

    /** Right through green 20, and right with no filter 16 points on: this kit's point moves the pack by 0.8 and not by half. */
    private void taught(String kit) {
        String slate = slate(frame, colour, 0, Map.of("apertureMark", 8));
        take(slate, printed(slate, "0/50/50"), through(kit, 20));
        take(slate, printed(slate, "0/66/50"), through(kit, 0));
    }

    @Test
    void whatAKitTaughtIsKnownOnTheNextSlateAndOfNoOtherKit() {
        keep(own, "STRENGTH");
        keep(other, "STRENGTH");
        taught(own.toLowerCase(Locale.ROOT));
        String next = slate(frame, colour, 0, Map.of("apertureMark", 8));
        String print = printed(next, "0/50/50");
        JsonNode known = asked(next, print, through(own, 10)).get("kit");
        JsonNode unknown = asked(next, print, through(other, 10)).get("kit");
        assertThat(known.get("magentaFactor").asDouble()).isBetween(0.6, 0.85);
        assertThat(unknown.get("magentaFactor").asDouble()).isCloseTo(0.5, within(0.03));
        assertThat(known.get("limitShare").asDouble())
                .isLessThan(0.85 * unknown.get("limitShare").asDouble());
        rename(own, gift);
        assertThat(asked(next, print, through(gift, 10)).get("kit").get("magentaFactor"))
                .as("under another name")
                .isEqualTo(known.get("magentaFactor"));
        // The same once it is taken, and after a reload.
        take(next, print, through(gift, 10));
        JsonNode kept = ok(http().get("/api/slates/" + next + "/colour")).get("kit");
        assertThat(kept.get("magentaFactor").asDouble())
                .isCloseTo(known.get("magentaFactor").asDouble(), within(1e-9));
    }

    /** Two kits on one slate are two: what one of them is worth says nothing of the other. */
    @Test
    void twoKitsOnOneSlateHaveFactorsOfTheirOwn() {
        keep(own, "STRENGTH");
        keep(other, "STRENGTH");
        String slate = slate(frame, colour, 0, Map.of("apertureMark", 8));
        take(slate, printed(slate, "0/50/50"), through(own, 20));
        take(slate, printed(slate, "0/66/50"), through(own, 0));
        String print = printed(slate, "0/50/50");
        JsonNode mine = asked(slate, print, through(own, 20)).get("kit");
        JsonNode theirs = asked(slate, print, through(other, 32)).get("kit");
        assertThat(mine.get("magentaFactor").asDouble()).isBetween(0.6, 0.85);
        assertThat(mine.get("looks").asInt()).isEqualTo(3);
        assertThat(theirs.get("magentaFactor").asDouble()).isBetween(0.4, 0.6);
        assertThat(theirs.get("looks").asInt()).isEqualTo(1);
        take(slate, print, through(other, 32));
        // Under another name it is the same kit still.
        rename(own, gift);
        JsonNode after = asked(slate, print, through(gift, 20)).get("kit");
        assertThat(after.get("looks").asInt()).isEqualTo(3);
        assertThat(after.get("name").asString()).isEqualTo(gift);
    }

    @Test
    void whatAKitSaysCountsAndAnUnknownOneIsRefused() {
        keep(loan, "CORRECTION");
        String slate = slate(frame, colour, 0, Map.of("apertureMark", 8));
        String print = printed(slate, "0/50/50");
        String headline = ok(http().post("/api/sheets/" + print + "/casts/proposal", through(loan, 10)))
                .get("verdict")
                .get("headline")
                .asString();
        assertThat(headline).startsWith("Add 9 M");
        assertThat(http().post("/api/sheets/" + print + "/casts/proposal", through("No kit", 10))
                        .pointers())
                .containsExactly("/cast/kit");
    }

    /** A file goes to other benches, whose kits and eyes are others. */
    @Test
    void whatWasTaughtStaysOnTheBench() {
        keep(own, "STRENGTH");
        String slate = slate(frame, colour, 0, Map.of("apertureMark", 8));
        take(slate, printed(slate, "0/50/50"), through(own, 20));
        String file = http().get("/api/slates/" + slate + "/export").text();
        assertThat(file).contains(own).doesNotContain("figures");
        http().send("DELETE", "/api/slates/" + slate, "");
        Answer back = http().send("POST", "/api/imports", file);
        assertThat(back.status()).as(back.text()).isLessThan(300);
    }
}
