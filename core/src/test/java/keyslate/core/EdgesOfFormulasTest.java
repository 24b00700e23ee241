package keyslate.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import keyslate.core.contrast.ColourMask;
import keyslate.core.contrast.MixedBurn;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.PatchPick;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.local.LocalChange;
import keyslate.core.local.MaskChart;
import keyslate.core.local.RunSchedule;
import keyslate.core.process.BathCapacity;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.ScanDensity;
import keyslate.core.reading.StripMatch;
import keyslate.core.size.CutYield;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where a formula ends: the last value it takes, the first it refuses, and ties. */
class EdgesOfFormulasTest {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final ExposureTime TEN = ExposureTime.ofSeconds(10);

    @ParameterizedTest
    @CsvSource({
        "203.2, 254, 50.8, 50.8, 20", // 8 × 10 in into 2 × 2 in
        "254, 203.2, 63.5, 50.8, 16", // 2½ × 2 in
        "100, 0.6, 0.1, 0.1, 0", // too many to try is refused elsewhere; see below
        "30.3, 10.1, 10.1, 10.1, 3",
        "0.7, 0.1, 0.1, 0.1, 7"
    })
    void piecesOfInchesAndTenthsComeOutWhole(double w, double h, double pw, double ph, int pieces) {
        if (pieces == 0) {
            assertThatThrownBy(() -> CutYield.of(mm(w), mm(h), mm(pw), mm(ph), true))
                    .isInstanceOf(QuantityException.class);
        } else {
            assertThat(CutYield.of(mm(w), mm(h), mm(pw), mm(ph), true)).isEqualTo(pieces);
        }
    }

    @Test
    void stripsOfInchesComeOutWhole() {
        assertThat(CutYield.strips(mm(203.2), mm(25.4), mm(25.4))).isEqualTo(8);
        assertThat(CutYield.strips(mm(0.3), mm(0.1), mm(0.1))).isEqualTo(3);
    }

    @Test
    void aBurnInAnotherLightTakesItsFactor() {
        RunSchedule.Burn burn = new RunSchedule.Burn("sky", LocalChange.ofStops(1), Optional.of(Grade.of(5)), 2);
        RunSchedule plan = RunSchedule.plan(TEN, List.of(), List.of(burn), 2, LampLag.ofSeconds(0.1));
        assertThat(plan.burns().get(0).receivedSeconds()).isCloseTo(20, within(1e-9));
        assertThat(plan.burns().get(0).set().inSeconds()).isCloseTo(20.1, within(1e-9));
    }

    @Test
    void theFactorOfABurnIsThatOfTheToneItIsFor() {
        MixedBurn burns = new MixedBurn(PAPER);
        Grade two = Grade.of(2);
        double mid = burns.timeFactor(two, TEN, 0.6, Stops.of(1), Grade.of(-1));
        double light = burns.timeFactor(two, TEN, 0.1, Stops.of(1), Grade.of(-1));
        assertThat(mid).isGreaterThan(1);
        assertThat(light).isLessThan(mid);
        assertThat(burns.timeFactor(two, TEN, 0.6, Stops.of(1), two)).isCloseTo(1, within(1e-9));
    }

    @Test
    void aLagAsLongAsTheBurstIsRefused() {
        ExposureTime one = ExposureTime.ofSeconds(1);
        assertThatThrownBy(() -> LampLag.fromTest(10, one, one)).hasMessageContaining("as long as the burst");
        assertThat(LampLag.fromTest(10, one, ExposureTime.ofSeconds(1.01)).inSeconds())
                .isLessThan(1);
    }

    @ParameterizedTest
    @CsvSource({"1, 2", "2, 3", "3, 4", "7, 8", "12, 13", "99, 100"})
    void aTieOfTheTimerGoesUp(int low, int high) {
        for (double step : new double[] {0.1, 0.5, 1}) {
            ExposureTime between = ExposureTime.ofSeconds(Math.sqrt((double) low * high) * step);
            assertThat(TimerSteps.everywhere(step, 1000).nearest(between).time().inSeconds())
                    .isCloseTo(high * step, within(1e-9));
        }
    }

    @Test
    void aBathThatIsExactlyFullIsExhausted() {
        double ten = 0;
        for (int i = 0; i < 10; i++) {
            ten += 0.1;
        }
        assertThat(BathCapacity.of(1, 1, ten).isExhausted()).isTrue();
        assertThat(BathCapacity.of(1, 1, 0.999).isExhausted()).isFalse();
    }

    @Test
    void aGreyToneCanBeBurnedToBlackAndOnlyABlackOneNot() {
        MixedBurn burns = new MixedBurn(PAPER);
        Grade two = Grade.of(2);
        // Times are in the paper's own unit of light here: this tone prints at a net density near 0.6.
        MixedBurn.Burn black = burns.of(two, ExposureTime.ofSeconds(0.5), 0, Stops.of(6), Grade.of(4));
        assertThat(black.targetDensity()).isCloseTo(2.11, within(0.001));
        assertThat(black.seconds()).isBetween(0.5, 100.0);
        assertThatThrownBy(() -> burns.of(two, TEN, -2, Stops.of(1), Grade.of(4)))
                .hasMessageContaining("black already");
    }

    @Test
    void aMaskBeyondTheScaleHasNoGrade() {
        assertThat(ColourMask.over(PAPER, Grade.of(-1), 2, 0).grade()).isEmpty();
        assertThat(ColourMask.over(PAPER, Grade.of(5), 0, 2).grade()).isEmpty();
        assertThat(ColourMask.over(PAPER, Grade.of(2), 0.3, 0).grade()).isPresent();
    }

    @Test
    void twoHoldsOfOneNameAreRefused() {
        List<RunSchedule.Hold> twice = List.of(
                new RunSchedule.Hold("face", LocalChange.ofStops(-0.5)),
                new RunSchedule.Hold("face", LocalChange.ofStops(-0.3)));
        assertThatThrownBy(() -> RunSchedule.plan(TEN, twice, List.of(), 2, LampLag.NONE))
                .hasMessageContaining("two holds have one name");
    }

    @Test
    void aStripThatIsFlatTellsNoTime() {
        List<ExposureTime> times = List.of(
                ExposureTime.ofSeconds(1),
                ExposureTime.ofSeconds(2),
                ExposureTime.ofSeconds(4),
                ExposureTime.ofSeconds(8));
        double[] densities = {0.060, 0.061, 0.0605, 0.9};
        for (StripMatch.Between between : StripMatch.Between.values()) {
            assertThatThrownBy(() -> StripMatch.at(times, densities, 0.0603, between))
                    .hasMessageContaining("flat");
            assertThat(StripMatch.at(times, densities, 0.5, between).segment()).isEqualTo(2);
        }
    }

    @Test
    void fallingTotalsAreRefused() {
        List<ExposureTime> falling = List.of(ExposureTime.ofSeconds(20), TEN, ExposureTime.ofSeconds(5));
        PatchPick pick = PatchPick.ofPosition(1);
        assertThatThrownBy(() -> pick.uncertaintyOn(falling)).hasMessageContaining("less light");
        assertThatThrownBy(() -> pick.timeOn(falling)).hasMessageContaining("less light");
    }

    @Test
    void aLossIsNoGain() {
        MaskChart chart = MaskChart.measured(new double[] {0, 50, 100}, new double[] {0.05, 0.3, 0.9});
        assertThatThrownBy(() -> chart.plan(Map.of("sky", LocalChange.ofStops(0.5)), TEN, Stops.of(-1)))
                .hasMessageContaining("loss of the diffuser");
    }

    @Test
    void clippedReferencesAreRefused() {
        assertThatThrownBy(() -> ScanDensity.fitted(new double[] {0, 255}, new double[] {2, 0.06}))
                .hasMessageContaining("clipped");
        assertThatThrownBy(() -> ScanDensity.fitted(new double[] {40, 120, 255}, new double[] {1.2, 0.5, 0.06}))
                .hasMessageContaining("clipped");
    }

    private static Length mm(double mm) {
        return Length.ofMm(mm);
    }
}
