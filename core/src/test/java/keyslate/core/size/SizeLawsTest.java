package keyslate.core.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.random.RandomGenerator;
import keyslate.core.Draws;
import keyslate.core.exposure.Reciprocity;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Laws of fitting a negative to a sheet, of distances and of the light a change of size costs. */
class SizeLawsTest {
    /** Rounding of a few operations on doubles. */
    private static final double FLOAT = 1e-9;

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void theWholePictureLosesNothingAndAFilledSheetHasNoWhite(long seed) {
        RandomGenerator random = Draws.from(seed);
        Length nw = Length.ofMm(random.nextDouble(20, 130));
        Length nh = Length.ofMm(random.nextDouble(20, 130));
        Length pw = Length.ofMm(random.nextDouble(80, 600));
        Length ph = Length.ofMm(random.nextDouble(80, 600));
        PrintFit whole = PrintFit.of(nw, nh, pw, ph, PrintFit.Way.WHOLE_PICTURE);
        assertThat(whole.lostFraction()).isZero();
        assertThat(whole.imageWidth().inMm()).isLessThanOrEqualTo(pw.inMm() + 1e-6);
        assertThat(whole.imageHeight().inMm()).isLessThanOrEqualTo(ph.inMm() + 1e-6);
        PrintFit filled = PrintFit.of(nw, nh, pw, ph, PrintFit.Way.FILL_SHEET);
        assertThat(filled.imageWidth().inMm()).isCloseTo(pw.inMm(), within(1e-6));
        assertThat(filled.imageHeight().inMm()).isCloseTo(ph.inMm(), within(1e-6));
        assertThat(filled.magnification().inTimes())
                .isGreaterThanOrEqualTo(whole.magnification().inTimes() - FLOAT);
        assertThat(filled.lostFraction()).isBetween(0.0, 1.0);
    }

    @Test
    void aSheetOfTheNegativesOwnShapeLosesNothingEitherWay() {
        for (PrintFit.Way way : PrintFit.Way.values()) {
            PrintFit fit = PrintFit.of(Length.ofMm(36), Length.ofMm(24), Length.ofMm(240), Length.ofMm(160), way);
            assertThat(fit.lostFraction()).isZero();
        }
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void factorsOfSizeMultiply(long seed) {
        RandomGenerator random = Draws.from(seed);
        Magnification a = Magnification.of(Draws.logBetween(random, 1, 20));
        Magnification b = Magnification.of(Draws.logBetween(random, 1, 20));
        Magnification c = Magnification.of(Draws.logBetween(random, 1, 20));
        double pupil = random.nextDouble(0.5, 2);
        double twoSteps = SizeChange.timeFactor(a, b, pupil) * SizeChange.timeFactor(b, c, pupil);
        assertThat(twoSteps / SizeChange.timeFactor(a, c, pupil)).isCloseTo(1, within(FLOAT));
        assertThat(SizeChange.stopsMoreTime(a, b, pupil).inStops() > 0).isEqualTo(b.inTimes() > a.inTimes());
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void aRescaleThereAndBackIsTheTimeItself(long seed) {
        RandomGenerator random = Draws.from(seed);
        ExposureTime time = ExposureTime.ofSeconds(Draws.logBetween(random, 2, 100));
        Magnification small = Magnification.of(Draws.logBetween(random, 0.5, 20));
        Magnification large = Magnification.of(Draws.logBetween(random, 0.5, 20));
        FNumber open = FNumber.of(Draws.logBetween(random, 2.8, 22));
        FNumber closed = FNumber.of(Draws.logBetween(random, 2.8, 22));
        double pupils = random.nextDouble(0.5, 2);
        Reciprocity paper = new Reciprocity(random.nextDouble(0.85, 1), 1);
        ExposureTime there = SizeChange.rescaled(time, open, small, closed, large, pupils, 0, paper);
        ExposureTime back = SizeChange.rescaled(there, closed, large, open, small, pupils, 0, paper);
        assertThat(back.inSeconds()).isCloseTo(time.inSeconds(), within(1e-9 * time.inSeconds()));
    }

    @Test
    void squaringTheRatioOfSizesIsHalfAStopTooMuch() {
        double right = SizeChange.timeFactor(Magnification.of(2), Magnification.of(4), 1);
        assertThat(Math.log(4 / right) / Math.log(2)).isCloseTo(0.53, within(0.005));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void theDistanceOfAMagnificationGivesItBack(long seed) {
        RandomGenerator random = Draws.from(seed);
        ThinLens lens = ThinLens.ofMm(random.nextDouble(40, 180));
        Length planes = Length.ofMm(random.nextDouble(0, 8));
        Magnification m = Magnification.of(Draws.logBetween(random, 1.01, 25));
        assertThat(lens.magnificationAt(lens.filmToPaper(m, planes), planes).inTimes())
                .isCloseTo(m.inTimes(), within(1e-6));
    }

    @Test
    void belowFourFocalLengthsThereIsNoImage() {
        assertThatThrownBy(() -> ThinLens.ofMm(80).magnificationAt(Length.ofMm(319), Length.ZERO))
                .hasMessage("below four focal lengths there is no sharp image; raise the head");
        assertThat(ThinLens.ofMm(80)
                        .magnificationAt(Length.ofMm(320), Length.ZERO)
                        .inTimes())
                .isCloseTo(1, within(1e-6));
    }

    @Test
    void cornersLoseMoreTheFartherOutAndTheNearerTheLens() {
        double near = ThinLens.cornerLoss(Length.ofMm(100), Length.ofMm(500)).inStops();
        double far = ThinLens.cornerLoss(Length.ofMm(200), Length.ofMm(500)).inStops();
        double low = ThinLens.cornerLoss(Length.ofMm(200), Length.ofMm(300)).inStops();
        assertThat(ThinLens.cornerLoss(Length.ZERO, Length.ofMm(500)).inStops()).isZero();
        assertThat(near).isPositive();
        assertThat(far).isGreaterThan(near);
        assertThat(low).isGreaterThan(far);
    }

    @Test
    void aMeterAndADistanceGiveTheSameLightWhereBothHold() {
        ExposureTime time = ExposureTime.ofSeconds(10);
        ExposureTime byDistance = SizeChange.timeByDistance(time, Length.ofMm(300), Length.ofMm(600));
        assertThat(byDistance.inSeconds()).isCloseTo(40, within(FLOAT));
        assertThat(SizeChange.timeByMeter(time, 4, 1).inSeconds()).isCloseTo(40, within(FLOAT));
        assertThatThrownBy(() -> SizeChange.timeByMeter(time, 4, 0))
                .hasMessage("illuminance after must be more than 0 lx, was 0 lx");
    }
}
