package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A head that prints with red, green and blue light: its shares, its three times, its three exposures. */
class ThreeLightsHttpTest extends OnATestSlate {
    private static final double LAG = 0.3;
    private final List<String> kept = new ArrayList<>();
    private String slate;

    @BeforeEach
    void aSlateInColour() {
        frame = frame("COLOUR");
        slate = slate(frame, colour, LAG, Map.of("apertureMark", 8));
        ok(http().edit(slate, "base/light", "0/50/40"));
        ok(http().edit(slate, "base/seconds", 10));
    }

    @AfterEach
    void takeBack() {
        kept.forEach(id -> http().send("DELETE", "/api/stores/constants/" + id, ""));
    }

    private Answer said(String lines) {
        return http().post("/api/stores/enlargers/" + colour + "/lights", Map.of("lines", lines, "keep", true));
    }

    private void keep(String lines) {
        kept.add(ok(said(lines)).get("keptId").asString());
    }

    private JsonNode base() {
        return http().slate(slate).get("standing").get("base");
    }

    /** 10/0.5, 10·10^-0.5/0.4, 10·10^-0.4/0.25, each with the lag. */
    @Test
    void aRecipeIsGivenInThreeTimes() {
        assertThat(base().get("pack").hasNonNull("thirds")).isFalse();
        keep("0.5, 0.4, 0.25");
        JsonNode thirds = base().get("pack").get("thirds");
        assertThat(figures(thirds, "seconds")).containsExactly(20.0, 7.9, 15.9);
        assertThat(figures(thirds, "setSeconds")).containsExactly(20.3, 8.2, 16.2);
        assertThat(base().get("dials").asString()).isEqualTo("R 20.3, G 8.2, B 16.2 s");
        JsonNode print = expose(slate, "PRINT");
        assertThat(print.get("script")
                        .valueStream()
                        .map(s -> s.get("light").get("notation").asString()))
                .containsExactly("red light", "green light", "blue light");
        assertThat(print.get("script")
                        .valueStream()
                        .map(s -> s.get("setSeconds").asDouble()))
                .containsExactly(20.3, 8.2, 16.2);
        assertThat(print.get("light").get("notation").asString()).isEqualTo("0/50/40");
    }

    @Test
    void timesOfOnesOwnAreAPack() {
        keep("0.25, 0.25, 0.25");
        ok(http().edit(slate, "base/thirds", List.of(40, 20, 10)));
        assertThat(base().get("light").get("notation").asString()).isEqualTo("0/30.1/60.2");
        assertThat(base().get("seconds").asDouble()).isCloseTo(10, within(1e-6));
        assertThat(figures(base().get("pack").get("thirds"), "seconds")).containsExactly(40.0, 20.0, 10.0);
        assertThat(base().get("because").asString()).isEqualTo("Your own three times.");
        for (Object bad : List.of(List.of(40, 20), List.of(40, -1, 10), List.of(0, 0, 0), List.of(1, 1e9, 1))) {
            Answer refused = http().edit(slate, "base/thirds", bad);
            assertThat(refused.status()).isEqualTo(422);
            assertThat(refused.pointers()).allMatch(p -> p.startsWith("/base/thirds"));
        }
        assertThat(base().get("light").get("notation").asString()).isEqualTo("0/30.1/60.2");
        kept.forEach(id -> http().send("DELETE", "/api/stores/constants/" + id, ""));
        kept.clear();
        assertThat(http().edit(slate, "base/thirds", List.of(40, 20, 10)).pointers())
                .containsExactly("/base/thirds");
    }

    /** The practice head's own lights are no quarter, so what three equal times print is a cast; a verdict gives three times. */
    @Test
    void aVerdictSaysThreeTimes() {
        keep("");
        JsonNode print = expose(slate, "PRINT");
        JsonNode verdict = ok(http().post(
                                "/api/sheets/" + print.get("id").asString() + "/casts/proposal",
                                Map.of(
                                        "way",
                                        "VIEWING_FILTER",
                                        "looks",
                                        List.of(Map.of("filters", List.of(Map.of("hue", "G", "points", 20)))))))
                .get("verdict");
        assertThat(verdict.get("headline").asString()).contains("s red, ", "s green, ", "s blue.");
    }

    /** A ring of seven is 21 exposures; its pieces are called by their packs and get their whole light. */
    @Test
    void piecesAreReadByTheirPacks() {
        keep("0.25, 0.25, 0.25");
        ok(http().edit(slate, "test/kind", "PIECES"));
        ok(http().edit(slate, "test/around", Map.of("kind", "RING", "stepPoints", 10)));
        JsonNode sheet = expose(slate, "PIECES");
        assertThat(sheet.get("script").size()).isEqualTo(21);
        assertThat(sheet.get("patches").size()).isEqualTo(7);
        for (JsonNode patch : sheet.get("patches")) {
            assertThat(patch.get("givenSeconds").asDouble())
                    .isCloseTo(patch.get("plannedSeconds").asDouble(), within(0.05));
        }
        assertThat(sheet.get("patches").valueStream().map(p -> p.get("light").asString()))
                .contains("0/50/40", "0/60/40", "0/50/30");
    }

    @Test
    void aStripIsReadInWhiteLight() {
        keep("0.25, 0.25, 0.25");
        plan(slate, Map.of("kind", "STRIP", "patches", 5));
        JsonNode strip = expose(slate, "STRIP");
        assertThat(strip.get("script").size()).isEqualTo(15);
        List<Double> received = figures(strip.get("patches"), "givenSeconds");
        assertThat(received).hasSize(5);
        JsonNode told = proposal(strip, Map.of("rightAt", 2));
        assertThat(told.get("headline").asString()).contains(" s red, ", " s green, ", " s blue at 0/50/40");
        assertThat(told.get("seconds").asDouble())
                .isCloseTo(strip.get("patches").get(2).get("givenSeconds").asDouble(), within(0.3));
    }

    /** White light of 14 s through 0/48/58, and 56, 16.4 and 14.5 s of the three: shares by the layers' densities (COL-34). */
    @Test
    void sharesAreFoundByAMatch() {
        JsonNode found = ok(said("0/48/58 14 = 56 16.4 14.5\n0/48/58 14 = 56 16.4 14.5"));
        kept.add(found.get("keptId").asString());
        assertThat(found.get("headline").asString())
                .isEqualTo("Red light gives its layer 0.245 of what white light does, green 0.275, blue 0.240.");
        assertThat(said("0.25 0.25").pointers()).containsExactly("/lines");
        assertThat(said("0.25 2 0.25").pointers()).containsExactly("/lines");
        assertThat(said("0/48/58 14 = 1 1 1").pointers()).containsExactly("/lines");
        assertThat(said("0/48/58 = 1 1 1").pointers()).containsExactly("/lines");
    }

    @Test
    void aSlateGoesThroughAFile() {
        keep("0.5, 0.4, 0.25");
        expose(slate, "PRINT");
        String file = http().get("/api/slates/" + slate + "/export").text();
        assertThat(file).contains("green 0.4 of 0/50/40");
        http().send("DELETE", "/api/slates/" + slate, "");
        for (String torn : List.of("blue 0.25 of 0/50/40", "green 0.4 of 0/50/40")) {
            String other = file.replace(torn, "red 0.5 of 0/50/40");
            assertThat(http().send("POST", "/api/imports", other).status()).isEqualTo(422);
        }
        Answer back = http().send("POST", "/api/imports", file);
        assertThat(back.status()).as(back.text()).isLessThan(300);
    }
}
