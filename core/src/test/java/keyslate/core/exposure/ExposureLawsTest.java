package keyslate.core.exposure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import keyslate.core.Draws;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Laws of times, openings, timers, lag and series, with their edges. */
class ExposureLawsTest {
    /** Rounding of a few operations on doubles. */
    private static final double FLOAT = 1e-9;

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void timeAndOpeningTradeTheSameLight(long seed) {
        RandomGenerator random = Draws.from(seed);
        ExposureTime time = ExposureTime.ofSeconds(Draws.logBetween(random, 1, 60));
        FNumber from = FNumber.of(Draws.logBetween(random, 2, 32));
        FNumber to = FNumber.of(Draws.logBetween(random, 2, 32));
        ExposureTime there = ApertureTrade.timeAt(time, from, to);
        assertThat(there.stopsFrom(time).plus(from.lightChangeTo(to)).inStops()).isCloseTo(0, within(FLOAT));
        assertThat(ApertureTrade.openingFor(time, from, there).inFStops()).isCloseTo(to.inFStops(), within(1e-6));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3})
    void aRingGoesFromFullOpeningToSmallestInEvenSteps(int marksPerStop) {
        List<ApertureMark> ring = ApertureMark.ring(2.8, 22, marksPerStop);
        assertThat(ring.get(0).engraved()).isEqualTo(2.8);
        assertThat(ring.get(ring.size() - 1).engraved()).isEqualTo(22);
        for (int i = 1; i < ring.size(); i++) {
            Stops step = ring.get(i).trueNumber().lightChangeTo(ring.get(i - 1).trueNumber());
            assertThat(step.inStops()).isCloseTo(1.0 / marksPerStop, within(FLOAT));
        }
    }

    @Test
    void aNumberThatNoRingHasNamesTheNearestMark() {
        assertThatThrownBy(() -> ApertureMark.ofEngraved(7.3, 2))
                .hasMessage("f/7.3 is on no ring with this spacing; nearest is f/6.7");
        assertThatThrownBy(() -> ApertureMark.ofEngraved(8, 4)).hasMessageContaining("1, 2 or 3");
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void noOtherSettingOfTheTimerIsNearerInStops(long seed) {
        ExposureTime wanted = ExposureTime.ofSeconds(Draws.logBetween(Draws.from(seed), 0.06, 900));
        TimerSteps.Setting found = TimerSteps.tenths().nearest(wanted);
        double tenths = found.time().inSeconds() * 10;
        assertThat(tenths).isCloseTo(Math.rint(tenths), within(FLOAT));
        assertThat(found.time().stopsFrom(wanted).inStops())
                .isCloseTo(found.error().inStops(), within(FLOAT));
        for (double beside : new double[] {tenths - 1, tenths + 1}) {
            if (beside > 0) {
                double other =
                        ExposureTime.ofSeconds(beside / 10).stopsFrom(wanted).inStops();
                assertThat(Math.abs(found.error().inStops())).isLessThanOrEqualTo(Math.abs(other) + FLOAT);
            }
        }
    }

    @Test
    void aTimerIsNeverSetToNothingAndRefusesWhatItCannotReach() {
        assertThat(TimerSteps.tenths()
                        .nearest(ExposureTime.ofSeconds(0.001))
                        .time()
                        .inSeconds())
                .isEqualTo(0.1);
        assertThatThrownBy(() -> TimerSteps.tenths().nearest(ExposureTime.ofSeconds(1000)))
                .hasMessage("the timer goes to 999.9 s, was 1000.0 s");
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void theLampLagIsTakenOffOnceForEveryBurst(long seed) {
        RandomGenerator random = Draws.from(seed);
        LampLag lag = LampLag.ofSeconds(random.nextDouble(0, 0.5));
        ExposureTime wanted = ExposureTime.ofSeconds(Draws.logBetween(random, 0.5, 60));
        assertThat(lag.receivedSeconds(lag.toSet(wanted))).isCloseTo(wanted.inSeconds(), within(FLOAT));
        int bursts = random.nextInt(2, 10);
        ExposureTime burst = ExposureTime.ofSeconds(random.nextDouble(1, 5));
        ExposureTime one = lag.oneBurstFor(bursts, burst);
        assertThat(lag.receivedSeconds(one)).isCloseTo(bursts * lag.receivedSeconds(burst), within(FLOAT));
        assertThat(LampLag.fromTest(bursts, burst, one).inSeconds()).isCloseTo(lag.inSeconds(), within(FLOAT));
    }

    @Test
    void aBurstShorterThanTheLagGivesNoLight() {
        LampLag lag = LampLag.ofSeconds(0.4);
        assertThat(lag.receivedSeconds(ExposureTime.ofSeconds(0.3))).isZero();
        assertThatThrownBy(() -> lag.oneBurstFor(3, ExposureTime.ofSeconds(0.3)))
                .hasMessage("a burst shorter than the lag of the lamp gives no light");
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void aFilamentThatRisesIsSetForWhatThePaperShallReceive(long seed) {
        RandomGenerator random = Draws.from(seed);
        double rise = random.nextDouble(0.02, 0.4);
        double glow = random.nextDouble(0, rise);
        ExposureTime wanted = ExposureTime.ofSeconds(Draws.logBetween(random, 0.3, 40));
        ExposureTime set = LampLag.firstOrderToSet(wanted, rise, glow);
        assertThat(LampLag.firstOrderReceivedSeconds(set.inSeconds(), rise, glow))
                .isCloseTo(wanted.inSeconds(), within(1e-6));
        double longRun = LampLag.firstOrderReceivedSeconds(100, rise, glow);
        assertThat(longRun).isCloseTo(100 - (rise - glow), within(FLOAT));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void aSeriesRisesInItsStepAndHasItsCentreInTheMiddle(long seed) {
        RandomGenerator random = Draws.from(seed);
        ExposureTime centre = ExposureTime.ofSeconds(Draws.logBetween(random, 4, 40));
        Stops step = Stops.ofFraction(random.nextInt(1, 13), 12);
        int patches = 2 * random.nextInt(1, 8) + 1;
        List<ExposureTime> series = TestSeries.equalStopsAbout(centre, step, patches);
        assertThat(series.get(patches / 2).inSeconds()).isCloseTo(centre.inSeconds(), within(1e-6));
        for (int i = 1; i < patches; i++) {
            assertThat(series.get(i).stopsFrom(series.get(i - 1)).inStops()).isCloseTo(step.inStops(), within(FLOAT));
        }
    }

    @Test
    void aSeriesInSecondsRefusesAFirstPatchWithoutLightAndSaysWhatFits() {
        assertThatThrownBy(() -> TestSeries.equalSecondsAbout(ExposureTime.ofSeconds(10), 5, 5))
                .hasMessage("with 5 patches the first would get no light: a step under 5.0 s fits");
        assertThat(TestSeries.equalSecondsAbout(ExposureTime.ofSeconds(10), 2, 5))
                .extracting(ExposureTime::inSeconds)
                .containsExactly(6.0, 8.0, 10.0, 12.0, 14.0);
        assertThatThrownBy(() -> TestSeries.equalStops(ExposureTime.ofSeconds(10), Stops.of(1), 16))
                .hasMessage("patches must be from 2 to 15, was 16");
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void everyPatchOfAStripReceivesItsRoundedTotal(long seed) {
        RandomGenerator random = Draws.from(seed);
        LampLag lag = LampLag.ofSeconds(random.nextDouble(0, 0.3));
        List<ExposureTime> wanted = TestSeries.equalStops(
                ExposureTime.ofSeconds(random.nextDouble(3, 12)), Stops.ofFraction(random.nextInt(2, 13), 12), 7);
        CoverStrip strip = CoverStrip.plan(wanted, TimerSteps.tenths(), lag, CoverStrip.SHORTEST_BURST_SECONDS);
        double received = 0;
        for (CoverStrip.Patch patch : strip.patches()) {
            received += lag.receivedSeconds(patch.burst());
            assertThat(received).isCloseTo(patch.total().inSeconds(), within(1e-6));
            assertThat(patch.tooShort()).isEqualTo(patch.burst().inSeconds() < CoverStrip.SHORTEST_BURST_SECONDS);
        }
    }

    @Test
    void aStripRefusesPatchesThatTheTimerCannotTellApart() {
        List<ExposureTime> close = TestSeries.equalStops(ExposureTime.ofSeconds(0.5), Stops.ofFraction(1, 24), 4);
        assertThatThrownBy(() -> CoverStrip.plan(close, TimerSteps.tenths(), LampLag.NONE, 0))
                .hasMessage("each patch must get more light than the one before; make the step larger");
        assertThatThrownBy(() -> CoverStrip.plan(close.subList(0, 1), TimerSteps.tenths(), LampLag.NONE, 0))
                .hasMessage("a strip needs at least two patches");
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void aPlaceBetweenTwoPatchesLiesBetweenTheirTimes(long seed) {
        RandomGenerator random = Draws.from(seed);
        List<ExposureTime> totals = TestSeries.equalStops(ExposureTime.ofSeconds(5), Stops.of(0.5), 6);
        double position = random.nextDouble(0, 5);
        double time = PatchPick.ofPosition(position).timeOn(totals).inSeconds();
        assertThat(time).isCloseTo(5 * Math.pow(2, position / 2), within(1e-6));
        assertThat(PatchPick.ofPosition(position).uncertaintyOn(totals).inStops())
                .isCloseTo(0.25, within(FLOAT));
    }

    @Test
    void aPlaceBeyondTheStripAsksForALongerOne() {
        List<ExposureTime> totals = TestSeries.equalStops(ExposureTime.ofSeconds(5), Stops.of(0.5), 3);
        assertThatThrownBy(() -> PatchPick.ofPosition(2.5).timeOn(totals))
                .hasMessage("the strip has 3 patches; make a longer strip to go beyond it");
        assertThatThrownBy(() -> PatchPick.ofPosition(-0.5)).hasMessageContaining("patch must be 0 or more");
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void closingTheLensReachesTheWindowOrSaysWhatIsMissing(long seed) {
        RandomGenerator random = Draws.from(seed);
        ExposureTime time = ExposureTime.ofSeconds(Draws.logBetween(random, 0.5, 60));
        ExposureTime shortest = ExposureTime.ofSeconds(8);
        ApertureMark smallest = ApertureMark.ofEngraved(22, 2);
        WorkableTime closed = WorkableTime.atLeast(time, ApertureMark.ofEngraved(5.6, 2), shortest, 2, smallest);
        assertThat(closed.time().plus(closed.stillMissing()).inSeconds())
                .isGreaterThanOrEqualTo(Math.min(8, time.inSeconds()) - 1e-6);
        assertThat(closed.mark().trueNumber().inFStops())
                .isLessThanOrEqualTo(smallest.trueNumber().inFStops() + FLOAT);
        assertThat(closed.time().inSeconds())
                .isCloseTo(time.plus(closed.change()).inSeconds(), within(1e-6));
        assertThat(IntStream.rangeClosed(0, 8).mapToObj(k -> Stops.ofFraction(k, 2)))
                .contains(closed.change());
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void longExposuresGoThereAndBackAndFactorsCompose(long seed) {
        RandomGenerator random = Draws.from(seed);
        Reciprocity paper = new Reciprocity(random.nextDouble(0.8, 1), Draws.logBetween(random, 0.5, 20));
        ExposureTime time = ExposureTime.ofSeconds(Draws.logBetween(random, 1, 100));
        assertThat(paper.metered(paper.actual(time)).inSeconds()).isCloseTo(time.inSeconds(), within(1e-6));
        assertThat(paper.actual(time).inSeconds()).isGreaterThanOrEqualTo(time.inSeconds() - FLOAT);
        ExposureTime twoSteps = paper.scaled(paper.scaled(time, 1.7), 2.1);
        ExposureTime oneStep = paper.scaled(time, 1.7 * 2.1);
        assertThat(twoSteps.inSeconds() / oneStep.inSeconds()).isCloseTo(1, within(FLOAT));
        assertThat(Reciprocity.NONE.actual(time)).isEqualTo(time);
    }

    @Test
    void burstsThatActAsOneAreWorthNoMoreThanBurstsThatActApart() {
        Reciprocity paper = new Reciprocity(0.9, 1);
        List<ExposureTime> bursts = List.of(ExposureTime.ofSeconds(8), ExposureTime.ofSeconds(8));
        assertThat(paper.worthSeconds(bursts, 0)).isLessThan(paper.worthSeconds(bursts, 1));
        assertThatThrownBy(() -> new Reciprocity(0.5, 1))
                .hasMessage("reciprocity exponent must be from 0.7 to 1, was 0.5");
    }

    @Test
    void aStripWithoutCompensationGetsTooLittle() {
        List<ExposureTime> totals = TestSeries.equalStops(ExposureTime.ofSeconds(4), Stops.of(1), 3);
        List<Stops> errors = CoverStrip.errorsWithoutCompensation(totals, LampLag.ofSeconds(0.2));
        assertThat(errors).allSatisfy(e -> assertThat(e.inStops()).isNegative());
        assertThat(CoverStrip.errorsWithoutCompensation(totals, LampLag.NONE))
                .allSatisfy(e -> assertThat(e.inStops()).isCloseTo(0, within(FLOAT)));
    }
}
