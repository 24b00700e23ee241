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
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** What the lamp and the hands do for a sheet, in each way to have a lamp. */
class ScriptTest {
    private static final Light LIGHT = Light.filter(GradeFilter.G2_5);
    private static final Light SOFT = Light.filter(GradeFilter.G00);
    private static final Settings MY_TIMER = new Settings(false, false, true);
    private static final LampLag LAG = LampLag.ofSeconds(0.1);

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

        /** A stop more through the soft part alone would be far less in the shadows: both parts are burned. */
        @Test
        void aBurnOnASplitIsGivenThroughBothParts() {
            BaseExposure split =
                    base(6).split(new BaseExposure.Part(LIGHT, seconds(6)), new BaseExposure.Part(SOFT, seconds(8)));
            List<ExposureStep> steps =
                    PrintScript.plan(split, work(LocalWork.Way.BURSTS, burn("sky", 1, Optional.empty())), printRig());
            assertThat(steps).extracting(ExposureStep::light).containsExactly(LIGHT, SOFT, SOFT, LIGHT);
            assertThat(steps).extracting(s -> s.burned().orElse("")).containsExactly("", "", "sky", "sky");
            assertThat(steps.get(2).receivedSeconds(LAG)).isCloseTo(8, within(0.06));
            assertThat(steps.get(3).receivedSeconds(LAG)).isCloseTo(6, within(0.06));
            PrintScript.Rig worth = new PrintScript.Rig(
                    8,
                    TimerSteps.tenths(),
                    LAG,
                    Settings.SEEN,
                    (area, part) -> 1.5,
                    Optional.of(new BaseExposure.Part(LIGHT, seconds(10))));
            List<ExposureStep> own =
                    PrintScript.plan(split, work(LocalWork.Way.BURSTS, burn("sky", 1, Optional.of(SOFT))), worth);
            assertThat(own.get(2).light()).isEqualTo(SOFT);
            assertThat(own.get(2).receivedSeconds(LAG)).isCloseTo(15, within(0.06));
        }

        @Test
        void holdsOnASplitTakeTheSameShareOfBothParts() {
            BaseExposure split =
                    base(12).split(new BaseExposure.Part(LIGHT, seconds(12)), new BaseExposure.Part(SOFT, seconds(8)));
            List<ExposureStep> steps =
                    PrintScript.plan(split, work(LocalWork.Way.BURSTS, hold("door", -1)), printRig());
            double[] held = {0, 0};
            for (ExposureStep step : steps) {
                if (step.held().contains("door")) {
                    held[step.light().equals(LIGHT) ? 0 : 1] += step.receivedSeconds(LAG);
                }
            }
            assertThat(held[0]).isCloseTo(6, within(0.11));
            assertThat(held[1]).isCloseTo(4, within(0.11));
        }

        @Test
        void twoHandsCannotHoldThreeAreasAllThrough() {
            LocalWork work = work(LocalWork.Way.ONE_EXPOSURE, hold("a", -3), hold("b", -3), hold("c", -3));
            assertThatThrownBy(() -> PrintScript.plan(base(10), work, printRig()))
                    .isInstanceOf(QuantityException.class);
        }

        @Test
        void fourPressesOfAStripsBurstAreExactlyItsPatch() {
            LampLag lag = LampLag.ofSeconds(0.35);
            BaseExposure patch = base(9.8).inPresses(4);
            List<ExposureStep> pressed = PrintScript.plan(patch, LocalWork.none(), rig(lag, MY_TIMER));
            assertThat(pressed).hasSize(1);
            assertThat(pressed.get(0).presses()).isEqualTo(4);
            assertThat(pressed.get(0).set().inSeconds()).isCloseTo(2.8, within(1e-9));
            assertThat(pressed.get(0).receivedSeconds(lag)).isCloseTo(9.8, within(1e-9));
            List<ExposureStep> switched = PrintScript.plan(patch, LocalWork.none(), rig(lag, Settings.SEEN));
            assertThat(switched).hasSize(4).allSatisfy(s -> {
                assertThat(s.set().inSeconds()).isCloseTo(2.8, within(1e-9));
                assertThat(s.cues()).isEmpty();
            });
        }

        /** Held for 3 of 4 presses is two stops; one more press is log2(5/4), a third. */
        @Test
        void holdsAndBurnsAreWholePressesOfTheOneSetting() {
            LocalWork work = work(
                    LocalWork.Way.ONE_EXPOSURE,
                    hold("door", -2),
                    hold("step", -1),
                    burn("sky", 1.0 / 3, Optional.empty()));
            List<ExposureStep> steps = PrintScript.plan(base(8).inPresses(4), work, rig(LAG, MY_TIMER));
            assertThat(steps).extracting(ExposureStep::presses).containsExactly(2, 1, 1, 1);
            assertThat(steps)
                    .extracting(ExposureStep::held)
                    .containsExactly(List.of("door", "step"), List.of("door"), List.of(), List.of());
            assertThat(steps.get(3).burned()).contains("sky");
            assertThat(steps).extracting(s -> s.set().inSeconds()).containsOnly(2.1);
            assertThat(steps).flatExtracting(ExposureStep::cues).doesNotContain(Cue.SET_TIMER);
        }

        @Test
        void aBurnThatIsNoWholePressHasASettingOfItsOwn() {
            LocalWork work = work(LocalWork.Way.ONE_EXPOSURE, burn("sky", 0.1, Optional.empty()));
            List<ExposureStep> steps = PrintScript.plan(base(8).inPresses(4), work, rig(LAG, MY_TIMER));
            assertThat(steps.get(1).cues()).contains(Cue.SET_TIMER);
            assertThat(steps.get(1).presses()).isEqualTo(1);
        }

        @Test
        void aHoldThatIsNoWholePressIsRefusedWithTheWayOut() {
            LocalWork work = work(LocalWork.Way.ONE_EXPOSURE, hold("door", -1.0 / 3));
            assertThatThrownBy(() -> PrintScript.plan(base(8).inPresses(3), work, rig(LAG, MY_TIMER)))
                    .hasMessageContaining("0.6 of 3")
                    .hasMessageContaining("4 presses would do");
            LocalWork little = work(LocalWork.Way.ONE_EXPOSURE, hold("door", -0.005));
            assertThatThrownBy(() -> PrintScript.plan(base(8).inPresses(3), little, rig(LAG, MY_TIMER)))
                    .hasMessageContaining("give the base in one exposure");
        }

        @Test
        void pressesAreOneToThirtyTwo() {
            assertThatThrownBy(() -> base(8).inPresses(0)).isInstanceOf(QuantityException.class);
            assertThatThrownBy(() -> base(8).inPresses(33)).isInstanceOf(QuantityException.class);
            assertThat(base(8).inPresses(5).with(SOFT, seconds(4)).presses()).isEqualTo(5);
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
            return rig(LAG, Settings.SEEN);
        }

        private PrintScript.Rig rig(LampLag lag, Settings settings) {
            return new PrintScript.Rig(8, TimerSteps.tenths(), lag, settings, (area, part) -> 1.5);
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
            assertThatThrownBy(() -> new BaseExposure(List.of(), 1)).isInstanceOf(QuantityException.class);
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

    private static ExposureTime seconds(double seconds) {
        return ExposureTime.ofSeconds(seconds);
    }
}
