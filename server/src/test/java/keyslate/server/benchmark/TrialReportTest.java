package keyslate.server.benchmark;

import static org.assertj.core.api.Assertions.assertThat;

import keyslate.server.benchmark.TrialReport.Asked;
import keyslate.server.benchmark.TrialReport.World;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What ./slate trial prints. */
class TrialReportTest {
    @Test
    void theFormForMachinesIsOneObjectOfMethods() {
        String text = TrialReport.of(new Asked(2, 1, 0, true, World.USUAL, 0));
        assertThat(text).endsWith("\n").containsOnlyOnce("\n");
        JsonNode report = JsonMapper.shared().readTree(text);
        assertThat(report.propertyNames()).containsExactly("methods");
        assertThat(report.get("methods").size()).isEqualTo(27);
        for (JsonNode method : report.get("methods")) {
            assertThat(method.propertyNames())
                    .containsExactly(
                            "name",
                            "runs",
                            "piecesMedian",
                            "piecesP90",
                            "withinGoal",
                            "stopsErrorP90",
                            "gradeErrorP90",
                            "deltaE00P90",
                            "limitsHold");
            assertThat(method.get("runs").asInt()).isEqualTo(2);
            boolean colour = method.get("name").asString().startsWith("colour");
            assertThat(method.get("deltaE00P90").isNull()).isNotEqualTo(colour);
        }
    }

    @Test
    void aForeignWorldAndABenchHaveTablesOfTheirOwn() {
        assertThat(TrialReport.of(new Asked(2, 1, 0, false, World.FOREIGN, 0)))
                .contains("twice of that")
                .contains("mono-dials")
                .contains("colour-pieces")
                .doesNotContain("craft-rules");
        assertThat(TrialReport.of(new Asked(2, 1, 0, false, World.USUAL, 3)))
                .contains("2 benches of 3 slates")
                .containsPattern("(?m)^3 +[1-8]\\.\\d\\d");
        JsonNode bench = JsonMapper.shared().readTree(TrialReport.of(new Asked(2, 1, 0, true, World.USUAL, 3)));
        assertThat(bench.get("slates").get(0).get("slate").asInt()).isEqualTo(1);
    }

    @Test
    void theFormForPeopleSaysWhoGivesTheAdviceAndWhatWasAsked() {
        String text = TrialReport.of(new Asked(2, 5, 50, false, World.USUAL, 0));
        assertThat(text)
                .contains("2 negatives a method, seed 5")
                .contains("50 % of the variance")
                .containsPattern("mono-single .*given by a station")
                .containsPattern("colour-scan .*given by a station")
                .containsPattern("local .*its station is not built yet")
                .containsPattern("colour-craft-rules .*for comparison");
    }
}
