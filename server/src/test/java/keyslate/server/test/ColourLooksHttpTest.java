package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Looks at the cast of a print: through filters, by name, beside a card; what they say together and alone. */
class ColourLooksHttpTest extends OnATestSlate {
    private static final double KIT_OF_CORRECTIONS = 1;

    private String slate;
    private JsonNode print;

    @BeforeEach
    void aPrintHangs() {
        frame = frame("COLOUR");
        slate = slate(frame, colour, 0, Map.of("apertureMark", 8));
        ok(http().edit(slate, "base/light", "0/48/58"));
        ok(http().edit(slate, "base/seconds", 14));
        print = printed();
    }

    private JsonNode printed() {
        return expose(slate, "PRINT");
    }

    private static Map<String, Object> through(String hue, double points) {
        return Map.of("filters", List.of(Map.of("hue", hue, "points", points)));
    }

    private static Map<String, Object> cast(Object... looks) {
        return new HashMap<>(Map.of("way", "VIEWING_FILTER", "looks", List.of(looks)));
    }

    private JsonNode proposal(Map<String, ?> cast) {
        return ok(proposed(cast)).get("verdict");
    }

    private Answer proposed(Map<String, ?> cast) {
        return http().post("/api/sheets/" + print.get("id").asString() + "/casts/proposal", cast);
    }

    private void take(Map<String, ?> cast) {
        ok(http().post(
                        "/api/sheets/" + print.get("id").asString() + "/casts",
                        Map.of(
                                "cast",
                                cast,
                                "taking",
                                Map.of("version", http().version(slate), "answer", "PROPOSED"))));
    }

    private JsonNode soFar() {
        return ok(http().send("GET", "/api/slates/" + slate + "/colour", ""));
    }

    private static String pack(JsonNode verdict) {
        return verdict.get("light").get("notation").asString();
    }

    /** Scenario 12: a kit that says the correction, one cast after the other. */
    @Test
    void oneCastAfterAnotherThroughAKitThatSaysTheCorrection() {
        Map<String, Object> green = cast(through("G", 8));
        assertThat(pack(proposal(green))).isEqualTo("0/52/58");
        green.put("factor", KIT_OF_CORRECTIONS);
        green.put("alone", true);
        JsonNode first = proposal(green);
        assertThat(pack(first)).isEqualTo("0/56/58");
        assertThat(first.get("seconds").asDouble()).isCloseTo(15.64, within(0.005));
        assertThat(first.get("why").asString()).contains("The print turns greener");
        // In points as they stand on this kit.
        assertThat(first.get("restsOn").toString()).contains("moves the pack by 1.00 of magenta");
        take(green);
        print = printed();
        Map<String, Object> yellow = cast(through("Y", 4));
        yellow.put("factor", KIT_OF_CORRECTIONS);
        yellow.put("alone", true);
        JsonNode second = proposal(yellow);
        assertThat(pack(second)).isEqualTo("0/56/54");
        assertThat(second.get("seconds").asDouble()).isCloseTo(15.49, within(0.01));
        assertThat(second.get("why").asString()).contains("The print turns a little yellower");
        take(yellow);
        JsonNode looks = soFar().get("looks");
        assertThat(looks.get(0).get("words").asString()).isEqualTo("right through green 8");
        assertThat(looks.get(1).get("words").asString()).isEqualTo("right through yellow 4");
    }

    @Test
    void looksAddUpAndTheRegionShrinks() {
        assertThat(soFar().get("looks")).isEmpty();
        double unseen = breadth(soFar());
        take(cast(through("G", 10)));
        double wide = breadth(soFar());
        assertThat(wide).isLessThan(0.7 * unseen);
        print = printed();
        take(cast(Collections.nCopies(4, Map.of()).toArray()));
        JsonNode after = soFar();
        assertThat(after.get("looks").size()).isEqualTo(5);
        assertThat(after.get("looks").get(4).get("words").asString()).isEqualTo("no filter helps");
        assertThat(breadth(after)).isLessThan(0.7 * wide);
        assertThat(after.get("kit").get("looks").asInt()).isEqualTo(5);
        assertThat(after.get("kit").get("magentaFactor").asDouble()).isBetween(0.3, 0.7);
        assertThat(after.hasNonNull("steady")).isFalse();
    }

    private static double breadth(JsonNode soFar) {
        double least = Double.MAX_VALUE;
        double most = -Double.MAX_VALUE;
        for (JsonNode point : soFar.get("region")) {
            least = Math.min(least, point.get("magenta").asDouble());
            most = Math.max(most, point.get("magenta").asDouble());
        }
        return most - least;
    }

    /** Two filters on each other are two casts; the strongest that is not enough may be any stronger. */
    @Test
    void filtersLieOnEachOtherAndMayNotBeEnough() {
        Map<String, Object> two =
                Map.of("filters", List.of(Map.of("hue", "G", "points", 10), Map.of("hue", "C", "points", 4)));
        JsonNode both = proposal(cast(two));
        assertThat(both.get("light").get("points").get(1).asDouble()).isCloseTo(55, within(1.0));
        assertThat(both.get("light").get("points").get(2).asDouble()).isCloseTo(60, within(1.0));
        Map<String, Object> more = Map.of("filters", List.of(Map.of("hue", "G", "points", 20, "enough", false)));
        JsonNode far = proposal(cast(more));
        assertThat(far.get("light").get("points").get(1).asDouble()).isBetween(60.0, 64.0);
        assertThat(far.get("restsOn").toString()).contains("Right through green 20 not enough, your look.");
    }

    /** What is not of this eye tells what it adds to every neutral, and it is taken off. */
    @Test
    void aCardTellsTheEyesSteadyError() {
        take(cast(Collections.nCopies(6, through("G", 10)).toArray()));
        take(cast(Collections.nCopies(6, Map.of("beside", "MEASURED_CARD")).toArray()));
        JsonNode steady = soFar().get("steady");
        assertThat(steady.get("found").asBoolean()).as(steady.toString()).isTrue();
        assertThat(steady.get("magentaPoints").asDouble()).isBetween(3.0, 7.5);
        assertThat(soFar().get("neutral").get("points").get(1).asDouble()).isBetween(48.0, 51.0);
    }

    @Test
    void aCastHasANameOrLiesBetweenTwo() {
        Map<String, Object> name = new HashMap<>(Map.of(
                "way", "BY_NAME", "looks", List.of(Map.of("named", List.of(Map.of("hue", "M", "strength", "CLEAR"))))));
        assertThat(proposal(name).get("light").get("points").get(1).asDouble()).isCloseTo(53, within(0.6));
        name.put("scale", 2);
        assertThat(proposal(name).get("light").get("points").get(1).asDouble()).isCloseTo(57.5, within(1.0));
        name.put(
                "looks",
                List.of(Map.of(
                        "named",
                        List.of(Map.of("hue", "M", "strength", "SLIGHT"), Map.of("hue", "R", "strength", "SLIGHT")))));
        assertThat(proposal(name).get("restsOn").toString())
                .contains("Between slight magenta and slight red, your look.");
    }

    /** A pale patch shows less of the same cast. */
    @Test
    void aCastOnAPalePatchCountsForMore() {
        Map<String, Object> strong = cast(through("G", 20));
        double right = proposal(strong).get("light").get("points").get(1).asDouble();
        strong.put("densityStops", 1.5);
        JsonNode pale = proposal(strong);
        assertThat(pale.get("light").get("points").get(1).asDouble()).isGreaterThan(right + 2);
        assertThat(pale.get("restsOn").toString()).contains("at the gradient the paper has there");
    }

    @Test
    void looksThatMakeNoSenseAreRefusedWhereTheyStand() {
        assertThat(proposed(Map.of("way", "VIEWING_FILTER", "looks", List.of())).text())
                .contains("/cast/looks");
        assertThat(proposed(cast(Collections.nCopies(13, Map.of()).toArray())).text())
                .contains("1 to 12 looks");
        assertThat(proposed(cast(through("G", 61))).text()).contains("/cast/looks/0/filters");
        assertThat(proposed(cast(Map.of("filters", List.of(Map.of("hue", "G")))))
                        .text())
                .contains("how strong");
        Map<String, Object> three = Map.of("filters", Collections.nCopies(3, Map.of("hue", "G", "points", 5)));
        assertThat(proposed(cast(three)).text()).contains("Two at most");
        Map<String, Object> scale = cast(Map.of());
        scale.put("scale", 9);
        assertThat(proposed(scale).text()).contains("/cast/scale");
    }
}
