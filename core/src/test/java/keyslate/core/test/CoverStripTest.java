package keyslate.core.test;

import static keyslate.core.test.TestPlans.LAG;
import static keyslate.core.test.TestPlans.rig;
import static keyslate.core.test.TestPlans.seconds;
import static keyslate.core.test.TestPlans.strip;
import static keyslate.core.test.TestPlans.totals;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.script.Part;
import keyslate.core.script.SheetPatches;
import keyslate.core.script.StripDirection;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The covered strip: its series and what lamp and hands do for it, in each way to have a lamp. */
class CoverStripTest {
    @Nested
    class Series {
        @Test
        void aStripIsAsLongAsItsPatches() {
            assertThat(strip(5, 0.5).length().inMm()).isCloseTo(120, within(1e-9));
        }

        @Test
        void equalSecondsAreCountedFromTheCentre() {
            PatchSeries series = of(PatchSeries.Kind.EQUAL_SECONDS, Optional.empty(), List.of());
            assertThat(in(series, 10)).containsExactly(6.0, 8.0, 10.0, 12.0, 14.0);
            assertThat(in(series, 20).get(2)).isEqualTo(20);
        }

        @Test
        void aCentreOfItsOwnIsLeftWhenItFollowsTheBase() {
            PatchSeries own = of(PatchSeries.Kind.EQUAL_STOPS, Optional.of(seconds(5)), List.of());
            assertThat(in(own, 20).get(2)).isCloseTo(5, within(1e-9));
            assertThat(in(own.followingBase(), 20).get(2)).isCloseTo(20, within(1e-9));
        }

        @Test
        void aListOfOnesOwnIsGivenAsItIs() {
            PatchSeries own =
                    of(PatchSeries.Kind.OWN_TIMES, Optional.empty(), List.of(seconds(3), seconds(7), seconds(8)));
            assertThat(in(own, 20)).containsExactly(3.0, 7.0, 8.0);
            assertThat(own.patches()).isEqualTo(3);
            assertThat(own.middle(seconds(20))).isEqualTo(seconds(20));
            assertThat(own.inStops()).isEmpty();
        }

        @Test
        void aListThatDoesNotRiseIsRefused() {
            assertThatThrownBy(
                            () -> of(PatchSeries.Kind.EQUAL_STOPS, Optional.empty(), List.of(seconds(3), seconds(3))))
                    .isInstanceOf(QuantityException.class)
                    .hasMessageContaining("more than the one before");
            assertThatThrownBy(() -> of(PatchSeries.Kind.OWN_TIMES, Optional.empty(), List.of()))
                    .isInstanceOf(QuantityException.class);
        }

        @Test
        void pressesOfOneSettingAreWhatTheLampGivesEachTime() {
            PatchSeries presses = presses(List.of(1, 2, 3, 4, 5), Optional.of(seconds(2.8)));
            LampLag lag = LampLag.ofSeconds(0.35);
            assertThat(presses.totals(seconds(20), TimerSteps.tenths(), lag).stream()
                            .map(ExposureTime::inSeconds))
                    .element(3)
                    .satisfies(t -> assertThat(t).isCloseTo(9.8, within(1e-9)));
        }

        @Test
        void pressesWithoutASettingPutTheBaseExposureInTheMiddle() {
            PatchSeries presses = presses(PatchSeries.HALF_STOPS, Optional.empty());
            assertThat(presses.press(seconds(10), TimerSteps.tenths(), LAG).inSeconds())
                    .isCloseTo(1.4, within(1e-9));
            PatchSeries tooShort = presses(PatchSeries.HALF_STOPS, Optional.of(seconds(0.1)));
            assertThatThrownBy(() -> tooShort.press(seconds(10), TimerSteps.tenths(), LAG))
                    .isInstanceOf(QuantityException.class)
                    .hasMessageContaining("no longer than the lamp's lag");
        }

        @Test
        void aCheckStripFillsTheRoom() {
            CoverStripPlan plan = strip(5, 0.5).as(new CheckStrip(seconds(9), Stops.of(0.25), 7), Length.ofMm(150));
            assertThat(plan.series().kind()).isEqualTo(PatchSeries.Kind.EQUAL_STOPS);
            assertThat(plan.series().patches()).isEqualTo(7);
            assertThat(plan.patch().inMm()).isEqualTo(21);
            assertThat(plan.step()).contains(Stops.of(0.25));
        }

        @Test
        void anotherStepIsTold() {
            assertThat(strip(5, 1.0 / 3).stepUnlike(strip(5, 0.5))).contains(Stops.of(1.0 / 3));
            assertThat(strip(5, 0.5).stepUnlike(strip(5, 0.5))).isEmpty();
            CoverStripPlan inSeconds =
                    strip(5, 1).of(of(PatchSeries.Kind.EQUAL_SECONDS, Optional.empty(), List.of()), Length.ofMm(20));
            assertThat(inSeconds.stepUnlike(strip(5, 0.5))).isEmpty();
        }

        @Test
        void aPlaceOutsideThePictureIsRefused() {
            assertThatThrownBy(() -> new CoverStripPlan(
                            strip(5, 0.5).series(),
                            StripDirection.DARK_LEFT,
                            Length.ofMm(30),
                            Length.ofMm(50),
                            Optional.of(1.1),
                            Optional.empty(),
                            Optional.empty()))
                    .isInstanceOf(QuantityException.class);
        }

        private List<Double> in(PatchSeries series, double base) {
            return series.totals(seconds(base), TimerSteps.tenths(), LAG).stream()
                    .map(ExposureTime::inSeconds)
                    .toList();
        }

        private PatchSeries of(PatchSeries.Kind kind, Optional<ExposureTime> centre, List<ExposureTime> own) {
            return new PatchSeries(kind, centre, Stops.of(0.5), 2, 5, own, PatchSeries.HALF_STOPS, Optional.empty());
        }

        private PatchSeries presses(List<Integer> counts, Optional<ExposureTime> each) {
            return new PatchSeries(
                    PatchSeries.Kind.PRESSES, Optional.empty(), Stops.of(0.5), 2, 5, List.of(), counts, each);
        }
    }

    @Nested
    class Presses {
        @Test
        void halfStopsTakeAFewPressesOfOneSetting() {
            PressSeries series = PressSeries.of(totals(5, 0.5, 10), TimerSteps.tenths(), LampLag.NONE)
                    .orElseThrow();
            assertThat(series.presses()).containsExactly(2, 3, 4, 6, 8);
            assertThat(series.set().inSeconds()).isCloseTo(2.5, within(1e-9));
            assertThat(series.errors())
                    .allSatisfy(e -> assertThat(Math.abs(e.inStops())).isLessThan(0.1));
        }

        @Test
        void theLagCountsAtEveryPress() {
            PressSeries series =
                    PressSeries.of(totals(3, 1, 8), TimerSteps.tenths(), LAG).orElseThrow();
            assertThat(series.presses()).containsExactly(1, 2, 4);
            assertThat(series.set().inSeconds()).isCloseTo(4.1, within(1e-9));
            assertThat(series.errors()).allSatisfy(e -> assertThat(e.inStops()).isCloseTo(0, within(1e-9)));
        }

        @Test
        void aSeriesThatNeedsTooManyPressesHasNone() {
            assertThat(PressSeries.of(totals(15, 1.0 / 12, 10), TimerSteps.tenths(), LAG))
                    .isEmpty();
        }

        @Test
        void aPressShorterThanTheLagHasNone() {
            assertThat(PressSeries.of(totals(5, 0.5, 0.2), TimerSteps.everywhere(0.1, 100), LAG))
                    .isEmpty();
        }
    }

    @Nested
    class Strips {
        @Test
        void aSwitchedLampGivesABurstForEachPatch() {
            TestScript script = strip(5, 0.5).script(seconds(10), rig(LampWay.SWITCHED));
            assertThat(script.steps()).hasSize(5);
            assertThat(script.steps().get(0).cues()).isEmpty();
            assertThat(script.steps().get(1).cues()).containsExactly(Cue.MOVE_CARD);
            assertThat(script.steps().get(2).isCovered()).isTrue();
            assertThat(script.steps().stream()
                            .mapToDouble(s -> s.receivedSeconds(LAG))
                            .sum())
                    .isCloseTo(20, within(0.05));
        }

        @Test
        void ownTimersArePressedOneSettingAllThrough() {
            TestScript script = strip(5, 0.5).script(seconds(10), rig(LampWay.MY_TIMER));
            assertThat(script.steps()).extracting(s -> s.set().inSeconds()).containsOnly(2.6);
            assertThat(script.steps()).extracting(ExposureStep::presses).containsExactly(2, 1, 1, 2, 2);
        }

        @Test
        void anOwnTimerThatWouldNeedANewSettingInTheDarkIsRefusedWithTheWayOut() {
            assertThatThrownBy(() -> strip(15, 1.0 / 12).script(seconds(10), rig(LampWay.MY_TIMER)))
                    .isInstanceOf(QuantityException.class)
                    .hasMessageContaining("another setting in the dark")
                    .hasMessageContaining("fewer patches");
        }

        @Test
        void aBurningLampIsOneExposureInWhichTheCardMoves() {
            TestScript script = strip(5, 0.5).script(seconds(10), rig(LampWay.BURNS));
            ExposureStep only = script.steps().get(0);
            assertThat(script.steps()).hasSize(1);
            assertThat(only.phases()).hasSize(5);
            assertThat(only.set().inSeconds()).isCloseTo(20.1, within(0.01));
        }

        @ParameterizedTest
        @EnumSource(LampWay.class)
        void patchesAreFoundFromWhereTheLightFellInEveryWay(LampWay way) {
            List<ExposureTime> wanted = totals(5, 0.5, 10);
            TestScript script = strip(5, 0.5).script(seconds(10), rig(way));
            List<SheetPatches.Patch> patches = SheetPatches.of(script.steps(), LAG, s -> s.receivedSeconds(LAG))
                    .patches();
            assertThat(patches).hasSize(5);
            for (int i = 0; i < 5; i++) {
                SheetPatches.Patch patch = patches.get(i);
                double error = Math.log(patch.receivedSeconds() / wanted.get(i).inSeconds()) / Math.log(2);
                assertThat(error).as("patch " + (i + 1)).isBetween(-0.1, 0.1);
                assertThat(patch.number()).isEqualTo(i + 1);
                assertThat(patch.plannedSeconds()).isCloseTo(patch.receivedSeconds(), within(1e-6));
                assertThat(patch.place().left()).isCloseTo(i * 0.2, within(1e-9));
            }
        }

        @Test
        void aLampThatWentOutEarlyLeavesTheLaterPatchesShort() {
            TestScript script = strip(5, 0.5).script(seconds(10), rig(LampWay.BURNS));
            List<SheetPatches.Patch> patches =
                    SheetPatches.of(script.steps(), LAG, s -> 12).patches();
            assertThat(patches.get(0).receivedSeconds()).isCloseTo(5, within(0.05));
            assertThat(patches.get(4).receivedSeconds()).isCloseTo(12, within(1e-6));
            assertThat(patches.get(4).plannedSeconds()).isCloseTo(20, within(0.05));
        }

        @ParameterizedTest
        @EnumSource(StripDirection.class)
        void theDarkEndIsNeverUnderTheCard(StripDirection direction) {
            Part dark = direction.patch(5, 5);
            for (int k = 1; k <= 5; k++) {
                Part open = direction.uncovered(k, 5);
                assertThat(open.holds(dark.left() + dark.width() / 2, dark.top() + dark.height() / 2))
                        .isTrue();
                Part light = direction.patch(1, 5);
                assertThat(open.holds(light.left() + light.width() / 2, light.top() + light.height() / 2))
                        .isEqualTo(k == 1);
            }
        }
    }

    @Test
    void pressesOfAPlanAreBurstsOfASwitchedLamp() {
        PatchSeries series = new PatchSeries(
                PatchSeries.Kind.PRESSES,
                Optional.empty(),
                Stops.of(0.5),
                2,
                5,
                List.of(),
                List.of(2, 3, 5),
                Optional.of(seconds(2.8)));
        CoverStripPlan plan = strip(5, 0.5).of(series, Length.ofMm(20));
        TestScript switched = plan.script(seconds(10), rig(LampWay.SWITCHED));
        assertThat(switched.steps()).hasSize(5);
        assertThat(switched.steps()).allSatisfy(s -> assertThat(s.presses()).isEqualTo(1));
        assertThat(switched.steps().stream().filter(s -> s.cues().contains(Cue.MOVE_CARD)))
                .extracting(ExposureStep::place)
                .containsExactly(3, 4);
        TestScript pressed = plan.script(seconds(10), rig(LampWay.MY_TIMER));
        assertThat(pressed.steps()).extracting(ExposureStep::presses).containsExactly(2, 1, 2);
        assertThat(pressed.patches())
                .extracting(p -> p.total().inSeconds())
                .satisfies(t -> assertThat(t.get(2)).isCloseTo(13.5, within(1e-9)));
        TestScript burning = plan.script(seconds(10), rig(LampWay.BURNS));
        assertThat(burning.steps()).hasSize(1);
        assertThat(burning.patches()).hasSize(3);
    }
}
