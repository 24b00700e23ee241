package keyslate.core.test;

import static keyslate.core.test.TestPlans.HARD;
import static keyslate.core.test.TestPlans.LAG;
import static keyslate.core.test.TestPlans.LIGHT;
import static keyslate.core.test.TestPlans.rig;
import static keyslate.core.test.TestPlans.seconds;
import static keyslate.core.test.TestPlans.strip;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.script.Part;
import keyslate.core.script.SheetPatches;
import keyslate.core.script.StripDirection;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Two lights on one paper; grade 4 takes twice the time here. */
class LightRowsTest {
    private static List<SheetPatches.Patch> patches(TestScript script) {
        return SheetPatches.of(script.steps(), LAG, s -> s.receivedSeconds(LAG)).patches();
    }

    @ParameterizedTest
    @EnumSource(StripDirection.class)
    void everyPatchIsAsDarkAsTheOneBesideItInTheOtherRow(StripDirection direction) {
        CoverStripPlan plan = new CoverStripPlan(
                strip(5, 0.5).series(),
                direction,
                Length.ofMm(24),
                Length.ofMm(60),
                Optional.empty(),
                Optional.of(HARD),
                Optional.empty());
        TestScript script = plan.script(seconds(10), rig(LampWay.SWITCHED));
        List<SheetPatches.Patch> patches = patches(script);
        assertThat(patches).hasSize(10);
        assertThat(patches.stream().map(p -> p.step().light()).distinct()).containsExactly(LIGHT, HARD);
        for (int i = 0; i < 5; i++) {
            SheetPatches.Patch first = patches.get(i);
            SheetPatches.Patch second = patches.get(5 + i);
            assertThat(second.receivedSeconds() / first.receivedSeconds()).isCloseTo(2, within(0.05));
            Part beside = direction.isAlong()
                    ? new Part(first.place().left(), 0.5, first.place().width(), 0.5)
                    : new Part(0.5, first.place().top(), 0.5, first.place().height());
            assertThat(second.place().left()).isCloseTo(beside.left(), within(1e-9));
            assertThat(second.place().top()).isCloseTo(beside.top(), within(1e-9));
            assertThat(second.place().height()).isCloseTo(beside.height(), within(1e-9));
            assertThat(script.patches().get(i).total().inSeconds()).isCloseTo(first.plannedSeconds(), within(1e-6));
        }
    }

    @ParameterizedTest
    @EnumSource(StripDirection.class)
    void aThirdRowLiesBesideTheSecond(StripDirection direction) {
        CoverStripPlan plan = new CoverStripPlan(
                        strip(5, 0.5).series(),
                        direction,
                        Length.ofMm(24),
                        Length.ofMm(60),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty())
                .inRows(List.of(HARD, SOFT));
        assertThat(plan.otherLights()).containsExactly(HARD, SOFT);
        TestScript script = plan.script(seconds(10), rig(LampWay.SWITCHED));
        assertThat(script.steps().stream().filter(s -> s.cues().contains(Cue.OTHER_HALF)))
                .hasSize(2);
        List<SheetPatches.Patch> patches = patches(script);
        assertThat(patches).hasSize(15);
        assertThat(patches.stream().map(p -> p.step().light()).distinct()).containsExactly(LIGHT, HARD, SOFT);
        for (int i = 0; i < 15; i++) {
            Part place = patches.get(i).place();
            double across = direction.isAlong() ? place.top() : place.left();
            assertThat(across).isCloseTo(i / 5 / 3.0, within(1e-9));
            assertThat(direction.isAlong() ? place.height() : place.width()).isCloseTo(1 / 3.0, within(1e-9));
            double times = i / 5 == 1 ? 2 : 1;
            assertThat(patches.get(i).receivedSeconds() / patches.get(i % 5).receivedSeconds())
                    .isCloseTo(times, within(0.05));
        }
        assertThatThrownBy(() -> plan.inRows(List.of(HARD, HARD)).script(seconds(10), rig(LampWay.SWITCHED)))
                .hasMessageContaining("the same light");
        assertThatThrownBy(() -> new CoverStripPlan(
                        plan.series(),
                        direction,
                        plan.patch(),
                        plan.breadth(),
                        plan.place(),
                        Optional.empty(),
                        Optional.empty(),
                        CoverStripPlan.SecondLies.BESIDE,
                        Optional.of(SOFT)))
                .hasMessageContaining("beside a second");
        assertThat(plan.onTop(HARD, seconds(4), CoverStripPlan.SecondLies.ON_TOP)
                        .third())
                .isEmpty();
        assertThat(plan.followingBase().third()).contains(SOFT);
    }

    @Test
    void openingsAreGoneThroughAgainForTheSecondRowFromTheSmallestOn() {
        OpeningsPlan plan = new OpeningsPlan(
                Optional.empty(),
                Optional.empty(),
                1,
                5,
                StripDirection.DARK_RIGHT,
                Length.ofMm(24),
                Length.ofMm(60),
                Optional.empty(),
                Optional.of(HARD));
        TestScript script = plan.script(seconds(10), rig(LampWay.SWITCHED));
        List<ExposureStep> steps = script.steps();
        assertThat(steps).hasSize(10);
        for (int i = 0; i < 5; i++) {
            assertThat(steps.get(5 + i).opening()).isEqualTo(steps.get(i).opening());
            assertThat(steps.get(5 + i).set().inSeconds() - LAG.inSeconds())
                    .isCloseTo(2 * (steps.get(i).set().inSeconds() - LAG.inSeconds()), within(0.11));
        }
        assertThat(steps.get(5).cues())
                .containsExactlyInAnyOrder(Cue.CHANGE_OPENING, Cue.CHANGE_LIGHT, Cue.OTHER_HALF, Cue.ONE_PATCH_FREE);
        List<SheetPatches.Patch> patches = patches(script);
        assertThat(patches).hasSize(10);
        assertThat(patches.get(5).place().top()).isCloseTo(0.5, within(1e-9));
    }

    @Test
    void openingsOfATimeOfTheirOwnCarryItToTheOtherLight() {
        OpeningsPlan plan = new OpeningsPlan(
                Optional.of(seconds(14)),
                Optional.empty(),
                1,
                3,
                StripDirection.DARK_RIGHT,
                Length.ofMm(24),
                Length.ofMm(60),
                Optional.empty(),
                Optional.of(HARD));
        TestScript script = plan.script(seconds(10), rig(LampWay.SWITCHED));
        assertThat(script.steps().get(0).set().inSeconds()).isCloseTo(14 + LAG.inSeconds(), within(0.06));
        assertThat(script.steps().get(3).set().inSeconds()).isCloseTo(28 + LAG.inSeconds(), within(0.06));
        assertThat(plan.otherLights()).containsExactly(HARD);
    }

    @Test
    void theLightIsChangedAndTheCardMovedOnceBetweenTheRows() {
        TestScript script = strip(3, 0.5).inRows(Optional.of(HARD)).script(seconds(10), rig(LampWay.MY_TIMER));
        List<ExposureStep> between = script.steps().stream()
                .filter(s -> s.cues().contains(Cue.OTHER_HALF))
                .toList();
        assertThat(between).hasSize(1);
        assertThat(between.get(0).cues()).containsExactly(Cue.CHANGE_LIGHT, Cue.SET_TIMER, Cue.OTHER_HALF);
        assertThat(script.steps().stream().map(ExposureStep::place)).isSorted().doesNotHaveDuplicates();
    }

    @Test
    void aSeriesOfItsOwnIsCarriedToo() {
        CoverStripPlan own = strip(3, 0.5)
                .of(
                        new PatchSeries(
                                PatchSeries.Kind.OWN_TIMES,
                                Optional.empty(),
                                strip(3, 0.5).series().step(),
                                2,
                                3,
                                List.of(seconds(4), seconds(7), seconds(16)),
                                PatchSeries.HALF_STOPS,
                                Optional.empty()),
                        Length.ofMm(20))
                .inRows(Optional.of(HARD));
        assertThat(patches(own.script(seconds(10), rig(LampWay.SWITCHED))).stream()
                        .skip(3)
                        .map(p -> Math.round(p.receivedSeconds())))
                .containsExactly(8L, 14L, 32L);
    }

    /** A split's hard strip lies about its black and not about its whites. */
    @Test
    void aSecondRowMayHaveAMiddleOfItsOwn() {
        CoverStripPlan plan = strip(3, 1).inRows(Optional.of(HARD), Optional.of(seconds(15)));
        assertThat(patches(plan.script(seconds(10), rig(LampWay.SWITCHED))).stream()
                        .map(p -> Math.round(p.receivedSeconds())))
                .containsExactly(5L, 10L, 20L, 8L, 15L, 30L);
    }

    @Test
    void oneSheetIsLaidHalfAndHalf() {
        GuessPlan plan = new GuessPlan(Optional.empty(), 1, Optional.empty(), Optional.of(HARD));
        List<SheetPatches.Patch> halves = patches(plan.script(seconds(10), rig(LampWay.SWITCHED)));
        assertThat(halves.stream().map(SheetPatches.Patch::place))
                .containsExactly(new Part(0, 0, 0.5, 1), new Part(0.5, 0, 0.5, 1));
        assertThat(halves.stream().map(p -> Math.round(p.receivedSeconds()))).containsExactly(10L, 20L);
    }

    @ParameterizedTest
    @EnumSource(
            value = LampWay.class,
            names = {"SWITCHED", "MY_TIMER"})
    void twoRowsOfOneLightAreRefused(LampWay way) {
        CoverStripPlan plan = strip(3, 0.5).inRows(Optional.of(LIGHT));
        assertThatThrownBy(() -> plan.script(seconds(10), rig(way)))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("same light");
    }

    @Test
    void aLampThatBurnsAllTheTimeIsRefusedWithTheWayOut() {
        CoverStripPlan plan = strip(3, 0.5).inRows(Optional.of(HARD));
        assertThatThrownBy(() -> plan.script(seconds(10), rig(LampWay.BURNS)))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("two strips");
    }

    @Test
    void piecesOfDifferentLightsKeepTheirOrder() {
        PiecesPlan plan = new PiecesPlan(
                strip(3, 0.5).series(),
                List.of(HARD, LIGHT),
                PieceMarks.Way.ORDER,
                Length.ofMm(20),
                Length.ofMm(20),
                Optional.empty());
        List<Light> lights = patches(plan.script(seconds(10), rig(LampWay.SWITCHED))).stream()
                .map(p -> p.step().light())
                .toList();
        assertThat(lights).containsExactly(HARD, LIGHT);
    }

    private static final Light SOFT = Light.of("grade 0");

    /** 10 s through the standing filter, then 4 s through grade 4; together as dark as 25 s through grade 0. */
    private static TestRig split(LampWay way) {
        return rig(way).with(new TestRig.Split(
                new BaseExposure.Part(HARD, seconds(4)), (first, to) -> first.times(to.equals(SOFT) ? 2.5 : 1)));
    }

    private static GuessPlan sheet(Optional<ExposureTime> time, Optional<Light> second) {
        return new GuessPlan(time, 1, Optional.empty(), second);
    }

    @Test
    void oneSheetOfABaseInTwoPartsGetsBoth() {
        TestScript script =
                sheet(Optional.of(seconds(20)), Optional.empty()).script(seconds(10), split(LampWay.SWITCHED));
        assertThat(script.steps()).hasSize(2);
        assertThat(script.steps().get(1).cues()).containsExactly(Cue.CHANGE_LIGHT);
        List<SheetPatches.Patch> patches = patches(script);
        assertThat(patches).hasSize(1);
        assertThat(patches.get(0).parts().stream().map(SheetPatches.Received::light))
                .containsExactly(LIGHT, HARD);
        assertThat(patches.get(0).parts().get(0).seconds()).isCloseTo(20, within(0.06));
        assertThat(patches.get(0).parts().get(1).seconds()).isCloseTo(8, within(0.06));
        assertThat(script.patches().get(0).total().inSeconds()).isCloseTo(28, within(0.11));
    }

    @Test
    void halfOfTheSheetGetsBothPartsAndTheOtherHalfOneLightAsDark() {
        TestScript script = sheet(Optional.empty(), Optional.of(SOFT)).script(seconds(10), split(LampWay.SWITCHED));
        List<SheetPatches.Patch> patches = patches(script);
        assertThat(patches).hasSize(2);
        assertThat(patches.get(0).isOfSeveralLights()).isTrue();
        assertThat(patches.get(0).place().left()).isZero();
        assertThat(patches.get(1).step().light()).isEqualTo(SOFT);
        assertThat(patches.get(1).receivedSeconds()).isCloseTo(25, within(0.06));
        assertThatThrownBy(
                        () -> sheet(Optional.empty(), Optional.of(HARD)).script(seconds(10), split(LampWay.SWITCHED)))
                .hasMessageContaining("one of both parts has that light");
        assertThatThrownBy(() -> sheet(Optional.empty(), Optional.empty()).script(seconds(10), split(LampWay.BURNS)))
                .hasMessageContaining("burns all the time");
    }

    @Test
    void piecesOfOtherLightsAreAsDarkAsBothPartsTogether() {
        PiecesPlan plan = new PiecesPlan(
                strip(3, 0.5).series(),
                List.of(SOFT, HARD),
                PieceMarks.Way.ORDER,
                Length.ofMm(60),
                Length.ofMm(40),
                Optional.empty());
        TestScript script = plan.script(seconds(10), split(LampWay.SWITCHED));
        assertThat(script.patches().get(0).total().inSeconds()).isCloseTo(25, within(0.06));
        assertThat(script.patches().get(1).total().inSeconds()).isCloseTo(10, within(0.06));
    }
}
