package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Kits of viewing filters, entered once by name, and what each has taught on slates before. */
class KitHttpTest extends OnATestSlate {
    private final List<String> kept = new ArrayList<>();

    @BeforeEach
    void inColour() {
        frame = frame("COLOUR");
    }

    @AfterEach
    void takeOff() {
        kept.forEach(name -> http().send("DELETE", "/api/kits/" + name.replace(" ", "%20"), ""));
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
        keep("Loan kit", "CORRECTION");
        keep("Own kit", "STRENGTH");
        JsonNode kits = ok(http().get("/api/kits"));
        assertThat(names(kits)).startsWith("Own kit", "Loan kit");
        assertThat(figures(kits.get("kits").get(0).get("strengths"))).containsExactly(5.0, 10.0, 20.0);
        JsonNode again = ok(said("loan KIT", "STRENGTH", 2.5));
        assertThat(names(again)).startsWith("loan KIT", "Own kit").doesNotContain("Loan kit");
        assertThat(again.get("kits").get(0).get("says").asString()).isEqualTo("STRENGTH");
        assertThat(http().send("DELETE", "/api/kits/LOAN%20kit", "").status()).isEqualTo(204);
        assertThat(names(ok(http().get("/api/kits")))).doesNotContain("loan KIT");
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
        keep("Own kit", "STRENGTH");
        keep("Other kit", "STRENGTH");
        taught("own kit");
        String next = slate(frame, colour, 0, Map.of("apertureMark", 8));
        String print = printed(next, "0/50/50");
        JsonNode own = asked(next, print, through("Own kit", 10)).get("kit");
        JsonNode other = asked(next, print, through("Other kit", 10)).get("kit");
        assertThat(own.get("magentaFactor").asDouble()).isBetween(0.6, 0.85);
        assertThat(other.get("magentaFactor").asDouble()).isCloseTo(0.5, within(0.03));
        assertThat(own.get("limitShare").asDouble())
                .isLessThan(0.85 * other.get("limitShare").asDouble());
        // The same once it is taken, and after a reload.
        take(next, print, through("Own kit", 10));
        JsonNode kept = ok(http().get("/api/slates/" + next + "/colour")).get("kit");
        assertThat(kept.get("magentaFactor").asDouble())
                .isCloseTo(own.get("magentaFactor").asDouble(), within(1e-9));
    }

    @Test
    void whatAKitSaysCountsAndAnUnknownOneIsRefused() {
        keep("Loan kit", "CORRECTION");
        String slate = slate(frame, colour, 0, Map.of("apertureMark", 8));
        String print = printed(slate, "0/50/50");
        String headline = ok(http().post("/api/sheets/" + print + "/casts/proposal", through("Loan kit", 10)))
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
        keep("Own kit", "STRENGTH");
        String slate = slate(frame, colour, 0, Map.of("apertureMark", 8));
        take(slate, printed(slate, "0/50/50"), through("Own kit", 20));
        String file = http().get("/api/slates/" + slate + "/export").text();
        assertThat(file).contains("Own kit").doesNotContain("figures");
        http().send("DELETE", "/api/slates/" + slate, "");
        Answer back = http().send("POST", "/api/imports", file);
        assertThat(back.status()).as(back.text()).isLessThan(300);
    }
}
