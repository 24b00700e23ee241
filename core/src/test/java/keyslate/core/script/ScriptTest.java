package keyslate.core.script;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.local.LocalChange;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What the lamp and the hands do for a sheet, in each way to have a lamp. */
class ScriptTest {
    private static final Light LIGHT = Light.filter(GradeFilter.G2_5);
    private static final Light SOFT = Light.filter(GradeFilter.G00);
    private static final LampLag LAG = LampLag.ofSeconds(0.1);

    @Nested
    class Presses {
        @Test
        void halfStopsTakeAFewPressesOfOneSetting() {
            PressSeries series = PressSeries.of(strip(5, 0.5).totals(seconds(10)), TimerSteps.tenths(), LampLag.NONE)
                    .orElseThrow();
            assertThat(series.presses()).containsExactly(2, 3, 4, 6, 8);
            assertThat(series.set().inSeconds()).isCloseTo(2.5, within(1e-9));
            assertThat(series.errors())
                    .allSatisfy(e -> assertThat(Math.abs(e.inStops())).isLessThan(0.1));
        }

        @Test
        void theLagCountsAtEveryPress() {
            PressSeries series = PressSeries.of(strip(3, 1).totals(seconds(8)), TimerSteps.tenths(), LAG)
                    .orElseThrow();
            assertThat(series.presses()).containsExactly(1, 2, 4);
            assertThat(series.set().inSeconds()).isCloseTo(4.1, within(1e-9));
            assertThat(series.errors()).allSatisfy(e -> assertThat(e.inStops()).isCloseTo(0, within(1e-9)));
        }

        @Test
        void aSeriesThatNeedsTooManyPressesHasNone() {
            assertThat(PressSeries.of(strip(15, 1.0 / 12).totals(seconds(10)), TimerSteps.tenths(), LAG))
                    .isEmpty();
        }

        @Test
        void aPressShorterThanTheLagHasNone() {
            assertThat(PressSeries.of(strip(5, 0.5).totals(seconds(0.2)), TimerSteps.everywhere(0.1, 100), LAG))
                    .isEmpty();
        }
    }

    @Nested
    class Strips {
        @Test
        void aSwitchedLampGivesABurstForEachPatch() {
            StripScript script = StripScript.plan(strip(5, 0.5), seconds(10), rig(LampWay.SWITCHED));
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
            StripScript script = StripScript.plan(strip(5, 0.5), seconds(10), rig(LampWay.MY_TIMER));
            assertThat(script.steps()).extracting(s -> s.set().inSeconds()).containsOnly(2.6);
            assertThat(script.steps()).extracting(ExposureStep::presses).containsExactly(2, 1, 1, 2, 2);
        }

        @Test
        void anOwnTimerThatWouldNeedANewSettingInTheDarkIsRefusedWithTheWayOut() {
            assertThatThrownBy(() -> StripScript.plan(strip(15, 1.0 / 12), seconds(10), rig(LampWay.MY_TIMER)))
                    .isInstanceOf(QuantityException.class)
                    .hasMessageContaining("another setting in the dark")
                    .hasMessageContaining("fewer patches");
        }

        @Test
        void aBurningLampIsOneExposureInWhichTheCardMoves() {
            StripScript script = StripScript.plan(strip(5, 0.5), seconds(10), rig(LampWay.BURNS));
            ExposureStep only = script.steps().get(0);
            assertThat(script.steps()).hasSize(1);
            assertThat(only.phases()).hasSize(5);
            assertThat(only.set().inSeconds()).isCloseTo(20.1, within(0.01));
        }

        @ParameterizedTest
        @EnumSource(LampWay.class)
        void patchesAreFoundFromWhereTheLightFellInEveryWay(LampWay way) {
            List<ExposureTime> wanted = strip(5, 0.5).totals(seconds(10));
            StripScript script = StripScript.plan(strip(5, 0.5), seconds(10), rig(way));
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
            StripScript script = StripScript.plan(strip(5, 0.5), seconds(10), rig(LampWay.BURNS));
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

    @Nested
    class Prints {
        @Test
        void aStraightPrintIsOneExposure() {
            List<ExposureStep> steps = PrintScript.plan(base(10), LocalWork.none(), printRig());
            assertThat(steps).hasSize(1);
            assertThat(steps.get(0).set().inSeconds()).isCloseTo(10.1, within(1e-9));
            assertThat(steps.get(0).phases()).hasSize(1);
        }

        @Test
        void holdsLieInsideOneExposureAfterALeadOfTwoSeconds() {
            List<ExposureStep> steps =
                    PrintScript.plan(base(10), work(LocalWork.Way.ONE_EXPOSURE, hold("door", -0.5)), printRig());
            assertThat(steps).hasSize(1);
            List<Phase> phases = steps.get(0).phases();
            assertThat(phases).extracting(Phase::held).containsExactly(List.of(), List.of("door"), List.of());
            assertThat(phases.get(0).seconds()).isCloseTo(2.1, within(1e-6));
            assertThat(phases.get(1).seconds()).isCloseTo(10 * (1 - Math.pow(2, -0.5)), within(0.06));
            assertThat(steps.get(0).held()).containsExactly("door");
            assertThat(steps.get(0).burned()).isEmpty();
        }

        @Test
        void holdsThatLeaveNoRoomForTheLeadAreBursts() {
            List<ExposureStep> steps =
                    PrintScript.plan(base(10), work(LocalWork.Way.ONE_EXPOSURE, hold("door", -3)), printRig());
            assertThat(steps).hasSize(2);
            assertThat(steps).allSatisfy(s -> assertThat(s.phases()).hasSize(1));
            assertThat(PrintScript.leavesLead(seconds(10), LocalChange.ofStops(-3)))
                    .isFalse();
            assertThat(PrintScript.leavesLead(seconds(10), LocalChange.ofStops(-0.5)))
                    .isTrue();
        }

        @Test
        void burstsAreAChoice() {
            List<ExposureStep> steps =
                    PrintScript.plan(base(10), work(LocalWork.Way.BURSTS, hold("door", -0.5)), printRig());
            assertThat(steps).hasSize(2);
            assertThat(steps.stream().mapToDouble(s -> s.receivedSeconds(LAG)).sum())
                    .isCloseTo(10, within(0.11));
        }

        @Test
        void aBurnBeginsUnderTheFullCardSoThatTheLagDoesNotCount() {
            List<ExposureStep> steps = PrintScript.plan(
                    base(10), work(LocalWork.Way.ONE_EXPOSURE, burn("sky", 1, Optional.empty())), printRig());
            ExposureStep burn = steps.get(1);
            assertThat(burn.cues()).containsExactly(Cue.BURN);
            assertThat(burn.phases().get(0).reachesNothing()).isTrue();
            assertThat(burn.burned()).contains("sky");
            assertThat(burn.planned(LAG)).hasSize(1);
            assertThat(burn.planned(LAG).get(0).receivedSeconds()).isCloseTo(10, within(0.06));
        }

        @Test
        void burnsInALightOfTheirOwnComeLastAndTakeTheirFactor() {
            List<ExposureStep> steps = PrintScript.plan(
                    base(10),
                    work(LocalWork.Way.BURSTS, burn("sky", 1, Optional.of(SOFT)), burn("floor", 1, Optional.of(LIGHT))),
                    printRig());
            assertThat(steps).extracting(s -> s.burned().orElse("")).containsExactly("", "floor", "sky");
            assertThat(steps.get(2).cues()).containsExactly(Cue.CHANGE_LIGHT, Cue.BURN);
            assertThat(steps.get(2).receivedSeconds(LAG)).isCloseTo(15, within(0.06));
        }

        @Test
        void twoHandsCannotHoldThreeAreasAllThrough() {
            LocalWork work = work(LocalWork.Way.ONE_EXPOSURE, hold("a", -3), hold("b", -3), hold("c", -3));
            assertThatThrownBy(() -> PrintScript.plan(base(10), work, printRig()))
                    .isInstanceOf(QuantityException.class);
        }

        private LocalWork.Area hold(String key, double stops) {
            return new LocalWork.Area(key, LocalChange.ofStops(stops), Optional.empty());
        }

        private LocalWork.Area burn(String key, double stops, Optional<Light> light) {
            return new LocalWork.Area(key, LocalChange.ofStops(stops), light);
        }

        private LocalWork work(LocalWork.Way way, LocalWork.Area... areas) {
            return new LocalWork(List.of(areas), way);
        }

        private PrintScript.Rig printRig() {
            return new PrintScript.Rig(8, TimerSteps.tenths(), LAG, Settings.SEEN, (area, part) -> 1.5);
        }
    }

    @Nested
    class Steps {
        @Test
        void phasesAddUpToTheTimeThatIsSet() {
            assertThatThrownBy(() -> step(5, 1, Phase.holding(4, List.of())))
                    .isInstanceOf(QuantityException.class)
                    .hasMessageContaining("add up");
            assertThatThrownBy(() -> step(5, 1)).isInstanceOf(QuantityException.class);
        }

        @Test
        void whatIsPressedSeveralTimesHasOnePhase() {
            assertThatThrownBy(() -> step(5, 2, Phase.holding(2, List.of()), Phase.holding(3, List.of("a"))))
                    .hasMessageContaining("one phase");
            assertThat(step(5, 3, Phase.holding(5, List.of())).totalSetSeconds())
                    .isEqualTo(15);
        }

        @Test
        void lightThatEndedEarlyFellOnTheEarlierPhases() {
            ExposureStep step = step(10, 1, Phase.holding(4, List.of()), Phase.holding(6, List.of("door")));
            List<ExposureStep.Given> given = step.given(5, LAG);
            assertThat(given).hasSize(2);
            assertThat(given.get(0).receivedSeconds()).isCloseTo(3.9, within(1e-9));
            assertThat(given.get(1).receivedSeconds()).isCloseTo(1.1, within(1e-9));
            assertThat(step.given(0, LAG)).isEmpty();
        }

        @Test
        void aBaseHasOneToThreeParts() {
            assertThat(base(10).main().light()).isEqualTo(LIGHT);
            assertThatThrownBy(() -> new BaseExposure(List.of())).isInstanceOf(QuantityException.class);
        }

        @Test
        void onlyASwitchedLampIsKnownAndNotTold() {
            assertThat(LampWay.SWITCHED.isTold()).isFalse();
            assertThat(LampWay.MY_TIMER.isTold()).isTrue();
            assertThat(LampWay.BURNS.isTold()).isTrue();
        }

        @Test
        void aPartLiesWithinAnother() {
            Part inner = new Part(0.5, 0, 0.5, 1).within(new Part(0, 0.5, 1, 0.5));
            assertThat(inner).isEqualTo(new Part(0.5, 0.5, 0.5, 0.5));
            assertThat(new Part(0, 0, 0, 1).isEmpty()).isTrue();
        }

        private ExposureStep step(double set, int presses, Phase... phases) {
            return new ExposureStep(1, 1, LIGHT, 8, seconds(set), presses, List.of(phases), List.of());
        }
    }

    private static BaseExposure base(double seconds) {
        return BaseExposure.of(LIGHT, seconds(seconds));
    }

    private static StripScript.Rig rig(LampWay way) {
        return new StripScript.Rig(LIGHT, 8, way, TimerSteps.tenths(), LAG);
    }

    private static CoverStripPlan strip(int patches, double step) {
        return new CoverStripPlan(
                CoverStripPlan.Series.EQUAL_STOPS,
                Optional.empty(),
                Stops.of(step),
                1,
                patches,
                StripDirection.DARK_RIGHT,
                Length.ofMm(30),
                Length.ofMm(60),
                Optional.empty());
    }

    private static ExposureTime seconds(double seconds) {
        return ExposureTime.ofSeconds(seconds);
    }
}
