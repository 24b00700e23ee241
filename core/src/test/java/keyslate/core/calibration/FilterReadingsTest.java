package keyslate.core.calibration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class FilterReadingsTest {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final double STEP = 0.15;

    /** Densities of a print of a step negative of 21 steps, with the error of a densitometer. */
    private static List<Double> print(FilterLight light, double seconds, double spread) {
        SplittableRandom random = new SplittableRandom(5);
        List<Double> densities = new ArrayList<>();
        for (int i = 0; i < 21; i++) {
            double net = PAPER.netDensityAt(Math.log10(seconds) - i * STEP + light.blueLog(), light.ratio());
            densities.add(0.06 + net + spread * random.nextGaussian() * (net > 0.02 && net < 2 ? 1 : 0));
        }
        return densities;
    }

    @ParameterizedTest
    @EnumSource(
            value = GradeFilter.class,
            names = {"G00", "G1", "G2", "G3", "G4", "G5", "NONE"})
    void aStepNegativeTellsRangeAndSpeedOfEveryLight(GradeFilter filter) {
        FilterLight light = PAPER.lightThrough(filter);
        FilterReadings.Light found = FilterReadings.bySteps(
                ExposureTime.ofSeconds(40),
                STEP,
                print(light, 40, 0.01),
                new FilterReadings.Ends(0.06, 2.11),
                FilterReadings.Curve.VARIABLE);
        assertThat(found.isoRange()).isCloseTo(PAPER.isoRange(light.ratio()), within(3.0));
        double white = PAPER.logBlueFor(VariableContrastPaper.HIGHLIGHT_NET, light.ratio()) - light.blueLog();
        assertThat(found.whitesLogSeconds()).isCloseTo(white, within(0.02));
        assertThat(found.residual()).isLessThan(0.02);
        assertThat(found.limitRange()).isBetween(0.1, 12.0);
    }

    @Test
    void byEyeARangeIsTheTimeFromWhiteToBlack() {
        FilterReadings.Light found = FilterReadings.byEye(
                ExposureTime.ofSeconds(2), ExposureTime.ofSeconds(2 * Math.pow(10, 0.9)), Stops.ofFraction(1, 12));
        assertThat(found.isoRange()).isCloseTo(90, within(1e-9));
        assertThat(found.limitRange()).isCloseTo(3.55, within(0.01));
        assertThatThrownBy(() -> FilterReadings.byEye(
                        ExposureTime.ofSeconds(3), ExposureTime.ofSeconds(2), Stops.ofFraction(1, 12)))
                .isInstanceOf(QuantityException.class);
    }

    @Test
    void aTableComparesWithNoFilterWhereThatWasRead() {
        FilterReadings.Light none = FilterReadings.byEye(
                ExposureTime.ofSeconds(1), ExposureTime.ofSeconds(13), FilterReadings.USUAL_UNCERTAINTY);
        FilterReadings.Light two = FilterReadings.byEye(
                ExposureTime.ofSeconds(2), ExposureTime.ofSeconds(25), FilterReadings.USUAL_UNCERTAINTY);
        FilterTable table = FilterReadings.table(Map.of(GradeFilter.NONE, none, GradeFilter.G2, two));
        assertThat(table.reference()).isEqualTo(GradeFilter.NONE);
        assertThat(table.of(GradeFilter.G2).orElseThrow().whitesLog()).isCloseTo(Math.log10(2), within(1e-9));
        assertThat(FilterReadings.table(Map.of(GradeFilter.G2, two)).reference())
                .isEqualTo(GradeFilter.G2);
    }

    /** A print that stops short of black is read by the black of another one; alone its end would be taken for the paper's. */
    @Test
    void aPrintThatDoesNotReachNeedsOneThatDoes() {
        FilterLight light = PAPER.lightThrough(GradeFilter.G2);
        List<Double> whole = print(light, 40, 0);
        int from = (int) whole.stream().filter(d -> d > 1.8).count();
        List<Double> shy = whole.subList(from, whole.size());
        assertThat(shy.get(0)).isBetween(1.2, 1.8);
        assertThatThrownBy(() -> FilterReadings.Ends.of(List.of(shy))).hasMessageContaining("run flat in black");
        FilterReadings.Ends ends = FilterReadings.Ends.of(List.of(whole, shy));
        FilterReadings.Light found =
                FilterReadings.bySteps(ExposureTime.ofSeconds(40), STEP, whole, ends, FilterReadings.Curve.VARIABLE);
        FilterReadings.Light shorter = FilterReadings.bySteps(
                ExposureTime.ofSeconds(40 * Math.pow(10, -from * STEP)),
                STEP,
                shy,
                ends,
                FilterReadings.Curve.VARIABLE);
        assertThat(shorter.isoRange()).isCloseTo(found.isoRange(), within(3.0));
        assertThat(shorter.whitesLogSeconds()).isCloseTo(found.whitesLogSeconds(), within(0.02));
    }

    @Test
    void whatTellsNothingIsRefusedWithTheWayOut() {
        FilterReadings.Ends ends = new FilterReadings.Ends(0.06, 2.1);
        List<Double> grey = List.of(1.0, 0.8, 0.6, 0.4, 0.2);
        assertThatThrownBy(() -> FilterReadings.Ends.of(List.of(grey))).hasMessageContaining("two steps each");
        List<Double> up = List.of(2.0, 1.0, 1.6, 0.4, 0.06);
        assertThatThrownBy(() -> FilterReadings.bySteps(
                        ExposureTime.ofSeconds(10), STEP, up, ends, FilterReadings.Curve.VARIABLE))
                .hasMessageContaining("number 3");
        List<Double> cliff = List.of(2.1, 2.1, 0.06, 0.06, 0.06);
        assertThatThrownBy(() -> FilterReadings.bySteps(
                        ExposureTime.ofSeconds(10), STEP, cliff, ends, FilterReadings.Curve.VARIABLE))
                .hasMessageContaining("between white and black");
        assertThatThrownBy(() -> FilterReadings.bySteps(
                        ExposureTime.ofSeconds(10), STEP, List.of(2.0, 1.0), ends, FilterReadings.Curve.VARIABLE))
                .isInstanceOf(QuantityException.class);
    }
}
