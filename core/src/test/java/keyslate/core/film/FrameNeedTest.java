package keyslate.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FrameNeedTest {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final Grade TWO = Grade.of(2);
    private static final DoubleUnaryOperator TO_LIGHT = net -> PAPER.logTimeFor(net, TWO);

    /** A frame on the proof whose tones lie about a log light, evenly spread. */
    private static double[] frame(double middleLog, double spreadLog) {
        SplittableRandom random = new SplittableRandom(5);
        double[] net = new double[4000];
        for (int i = 0; i < net.length; i++) {
            net[i] = PAPER.netDensityAtGrade(TWO, middleLog + spreadLog * (random.nextDouble() - 0.5));
        }
        return net;
    }

    @ParameterizedTest
    @CsvSource({"0.6, 1.516", "0, 1", "-1, 0.5"})
    void aFrameThatPrintsLighterStartsAtSoMuchMore(double stops, double factor) {
        FrameNeed need = FrameNeed.byEye(1, stops);
        assertThat(need.firstTime(ExposureTime.ofSeconds(10)).inSeconds()).isCloseTo(10 * factor, within(0.005));
    }

    @Test
    void aSecondLookIsMeanedAndSurer() {
        FrameNeed one = FrameNeed.byEye(1, 0.5);
        FrameNeed two = FrameNeed.byEye(1, 0.5, 0.25);
        assertThat(one.limit().inStops()).isCloseTo(0.5, within(1e-12));
        assertThat(one.isOfOneLook()).isTrue();
        assertThat(two.isOfOneLook()).isFalse();
        assertThat(two.more().inStops()).isCloseTo(0.375, within(1e-12));
        assertThat(two.limit().inStops()).isCloseTo(0.354, within(0.001));
        assertThatThrownBy(() -> FrameNeed.byEye(1)).isInstanceOf(QuantityException.class);
    }

    @Test
    void limitsAddInSquares() {
        FrameNeed need = new FrameNeed(Stops.of(0), Stops.of(0.3), 1);
        assertThat(need.limitWith(Stops.of(0.4)).inStops()).isCloseTo(0.5, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource({"0.3, 1", "-0.15, 1", "0, 1.3", "0.2, 0.8"})
    void aScanTellsNeedAndContrastOfTheSameSceneTakenOtherwise(double lighterLog, double contrast) {
        double middle = -0.45;
        FrameNeed need = FrameNeed.byScan(frame(middle - lighterLog, 0.9 * contrast), frame(middle, 0.9), TO_LIGHT)
                .orElseThrow();
        assertThat(need.contrast()).isCloseTo(contrast, within(0.08));
        if (contrast == 1) {
            assertThat(need.more().inStops()).isCloseTo(lighterLog / Math.log10(2), within(0.15));
        }
    }

    @Test
    void whatIsBareOrBlockedTellsNothing() {
        assertThat(FrameNeed.byScan(frame(-2, 0.2), frame(-0.45, 0.9), TO_LIGHT))
                .isEqualTo(Optional.empty());
        assertThat(FrameNeed.byScan(frame(1, 0.2), frame(-0.45, 0.9), TO_LIGHT)).isEqualTo(Optional.empty());
    }

    @Test
    void refusesWhatNoFrameNeeds() {
        assertThatThrownBy(() -> new FrameNeed(Stops.of(7), Stops.of(0), 1)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> new FrameNeed(Stops.of(0), Stops.of(-1), 1)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> new FrameNeed(Stops.of(0), Stops.of(0), 0.1)).isInstanceOf(QuantityException.class);
    }

    @Test
    void whatTheLayersNeedIsLightAsTheEyeWeighsItAndFilters() {
        double half = Stops.of(0.5).toLogExposure();
        FrameNeed need =
                FrameNeed.ofLayers(List.of(layer(1), layer(0.5), layer(-0.5)), new double[] {2 * half, half, -half});
        assertThat(need.more().inStops()).isCloseTo(0.3 + 0.3 - 0.05, within(1e-9));
        assertThat(need.cast().inMagenta()).isCloseTo(15.05, within(0.01));
        assertThat(need.cast().inYellow()).isCloseTo(45.15, within(0.01));
        // Each layer gets what it needs: the light of all, less what its filter takes, and the time that the pack
        // costs.
        double packCost = 0.6 * 15.05 / 100 + 0.1 * 45.15 / 100;
        double common = need.more().toLogExposure() + packCost;
        assertThat(common).isCloseTo(Stops.of(1).toLogExposure(), within(1e-3));
        assertThat(common - 0.1505).isCloseTo(Stops.of(0.5).toLogExposure(), within(1e-3));
        assertThat(common - 0.4515).isCloseTo(Stops.of(-0.5).toLogExposure(), within(1e-3));
    }

    @Test
    void aBrighterSubjectLeavesThePackAsItIs() {
        double[] dark = frame(-0.45, 0.9);
        double[] light = frame(-0.7, 0.7);
        FrameNeed need = FrameNeed.byColourScan(
                        new double[][] {light, light, light}, new double[][] {dark, dark, dark}, TO_LIGHT)
                .orElseThrow();
        assertThat(need.cast().inMagenta()).isCloseTo(0, within(1e-9));
        assertThat(need.more().inStops()).isPositive();
        double[] bare = frame(-2, 0.2);
        assertThat(FrameNeed.byColourScan(
                        new double[][] {light, light, bare}, new double[][] {dark, dark, dark}, TO_LIGHT))
                .isEmpty();
    }

    private static FrameNeed layer(double stops) {
        return new FrameNeed(Stops.of(stops), Stops.of(0.2), 1);
    }
}
