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
import keyslate.core.exposure.LampLag;
import keyslate.core.light.Light;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.script.Part;
import keyslate.core.script.Settings;
import keyslate.core.script.SheetPatches;
import keyslate.core.script.StripDirection;
import keyslate.core.script.WedgeDisc;
import keyslate.core.test.PieceMarks.Corner;
import keyslate.core.test.PieceMarks.Seen;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The other kinds of test: what each patch gets, and what the hands do. */
class TestKindsTest {
    private static final Length SIZE = Length.ofMm(40);

    @Nested
    class SameSpot {
        private final SameSpotPlan plan =
                new SameSpotPlan(strip(5, 0.5).series(), StripDirection.DARK_RIGHT, SIZE, SIZE, Optional.empty());

        @ParameterizedTest
        @EnumSource(LampWay.class)
        void everyPatchHasItsOwnExposureOnAPieceOfItsOwn(LampWay way) {
            TestScript script = plan.script(seconds(10), rig(way));
            assertThat(script.steps()).extracting(ExposureStep::piece).containsExactly(1, 2, 3, 4, 5);
            List<SheetPatches.Patch> patches = SheetPatches.of(script.steps(), LAG, s -> s.receivedSeconds(LAG))
                    .patches();
            for (int k = 0; k < 5; k++) {
                double wanted = 10 * Math.pow(2, (k - 2) / 2.0);
                assertThat(patches.get(k).receivedSeconds() / wanted).isBetween(0.93, 1.07);
                assertThat(patches.get(k).receivedSeconds())
                        .isCloseTo(script.patches().get(k).total().inSeconds(), within(1e-9));
            }
            assertThat(script.steps().get(1).cues()).containsExactly(Cue.MOVE_PAPER);
        }

        @Test
        void anOwnTimerIsPressedAndNeverSetAnew() {
            TestScript script = plan.script(seconds(10), rig(LampWay.MY_TIMER));
            assertThat(script.steps()).extracting(ExposureStep::presses).containsExactly(2, 3, 4, 6, 8);
            assertThat(script.steps()).extracting(ExposureStep::set).containsOnly(seconds(2.6));
            SameSpotPlan fine = new SameSpotPlan(
                    strip(7, 1.0 / 12).series(), StripDirection.DARK_RIGHT, SIZE, SIZE, Optional.empty());
            assertThatThrownBy(() -> fine.script(seconds(10), rig(LampWay.MY_TIMER)))
                    .isInstanceOf(QuantityException.class)
                    .hasMessageContaining("presses of one setting");
        }

        @Test
        void theStripLiesAsItWasMoved() {
            assertThat(plan.layout().place(2)).isEqualTo(new Part(0.2, 0, 0.2, 1));
            SameSpotPlan up = new SameSpotPlan(plan.series(), StripDirection.DARK_TOP, SIZE, SIZE, Optional.empty());
            assertThat(up.layout().place(5)).isEqualTo(new Part(0, 0, 1, 0.2));
            assertThat(up.layout().aspect(1.5)).isCloseTo(0.3, within(1e-9));
        }
    }

    @Nested
    class Openings {
        @Test
        void oneTimeThroughHalfStopsIsAsGoodAsALadderOfTimes() {
            OpeningsPlan plan = openings(Optional.of(16.0), 1, 5);
            TestScript script = plan.script(seconds(20), rig(LampWay.MY_TIMER, LampLag.NONE, 16));
            assertThat(script.steps()).extracting(ExposureStep::opening).containsExactly(16.0, 13.0, 11.0, 9.5, 8.0);
            assertThat(script.steps()).extracting(s -> s.set().inSeconds()).containsOnly(14.0);
            assertThat(script.patches())
                    .extracting(p -> Math.rint(10 * p.total().inSeconds()) / 10)
                    .containsExactly(14.0, 19.8, 28.0, 39.6, 56.0);
            assertThat(script.steps().get(1).cues()).containsExactly(Cue.CHANGE_OPENING, Cue.ONE_PATCH_FREE);
        }

        @Test
        void theyLieAboutTheOpeningThatStandsAsFarAsTheRingReaches() {
            assertThat(openings(Optional.empty(), 1, 5)
                            .script(seconds(20), rig(LampWay.SWITCHED))
                            .steps())
                    .extracting(ExposureStep::opening)
                    .containsExactly(11.0, 9.5, 8.0, 6.7, 5.6);
            assertThat(openings(Optional.empty(), 1, 5)
                            .script(seconds(20), rig(LampWay.SWITCHED, LAG, 4.8))
                            .steps())
                    .extracting(ExposureStep::opening)
                    .containsExactly(8.0, 6.7, 5.6, 4.8, 4.0);
        }

        @Test
        void theFirstOpeningIsSetTooWhenItIsNotTheOneThatStands() {
            assertThat(openings(Optional.of(16.0), 1, 3)
                            .script(seconds(20), rig(LampWay.SWITCHED, LAG, 16))
                            .steps()
                            .get(0)
                            .cues())
                    .containsExactly(Cue.ONE_PATCH_FREE);
            assertThat(openings(Optional.of(16.0), 1, 3)
                            .script(seconds(20), rig(LampWay.SWITCHED, LAG, 8))
                            .steps()
                            .get(0)
                            .cues())
                    .containsExactly(Cue.CHANGE_OPENING, Cue.ONE_PATCH_FREE);
        }

        @Test
        void whatTheLensHasNotIsRefusedWithTheWayOut() {
            assertThatThrownBy(() -> openings(Optional.of(8.0), 2, 5).script(seconds(20), rig(LampWay.SWITCHED)))
                    .isInstanceOf(QuantityException.class)
                    .hasMessageContaining("begin at f/16");
            assertThatThrownBy(() -> openings(Optional.empty(), 3, 5).script(seconds(20), rig(LampWay.SWITCHED)))
                    .isInstanceOf(QuantityException.class)
                    .hasMessageContaining("take 4 patches");
            assertThatThrownBy(() -> openings(Optional.of(8.3), 1, 5).script(seconds(20), rig(LampWay.SWITCHED)))
                    .isInstanceOf(QuantityException.class)
                    .hasMessageContaining("no mark f/8.3");
        }

        @Test
        void patchesAreToldApartByTheirOpenings() {
            TestScript script =
                    openings(Optional.of(16.0), 1, 5).script(seconds(20), rig(LampWay.SWITCHED, LampLag.NONE, 16));
            List<SheetPatches.Patch> patches = SheetPatches.of(
                            script.steps(), LampLag.NONE, new SheetPatches.StepLight() {
                                @Override
                                public double received(ExposureStep step) {
                                    return step.set().inSeconds();
                                }

                                @Override
                                public double openingFactor(ExposureStep step) {
                                    return Math.pow(16 / step.opening(), 2);
                                }
                            })
                    .patches();
            assertThat(patches).extracting(p -> p.step().opening()).containsExactly(16.0, 13.0, 11.0, 9.5, 8.0);
            assertThat(patches.get(4).receivedSeconds()).isCloseTo(56, within(1e-9));
            assertThat(patches.get(4).place().left()).isCloseTo(0.8, within(1e-9));
        }

        private OpeningsPlan openings(Optional<Double> first, int clicks, int count) {
            return new OpeningsPlan(
                    Optional.of(seconds(14)),
                    first,
                    clicks,
                    count,
                    StripDirection.DARK_RIGHT,
                    SIZE,
                    SIZE,
                    Optional.empty(),
                    Optional.empty());
        }
    }

    @Nested
    class Wedge {
        private final WedgeDisc disc = new WedgeDisc(80, List.of(80.0, 57.0, 40.0, 28.0, 20.0, 14.0, 10.0, 7.0, 5.0));

        @Test
        void everySectorGetsItsShareOfOneExposure() {
            WedgePlan plan = new WedgePlan(disc, Optional.of(seconds(80)), SIZE, Optional.empty());
            TestScript script = plan.script(seconds(20), rig(LampWay.SWITCHED));
            assertThat(script.steps()).hasSize(1);
            assertThat(script.patches().get(0).total().inSeconds()).isCloseTo(5, within(1e-9));
            assertThat(script.patches().get(8).total().inSeconds()).isCloseTo(80, within(1e-9));
            List<SheetPatches.Patch> patches =
                    SheetPatches.of(script.steps(), LAG, s -> 40).patches();
            assertThat(patches.get(4).sector()).hasValue(4);
            assertThat(patches.get(4).plannedSeconds()).isCloseTo(20, within(1e-9));
            assertThat(patches.get(4).receivedSeconds()).isCloseTo(10, within(1e-9));
        }

        @Test
        void theMiddleSectorGetsTheBaseExposureWhenNothingElseIsSaid() {
            WedgePlan plan = new WedgePlan(disc, Optional.empty(), SIZE, Optional.empty());
            assertThat(plan.given(seconds(10)).inSeconds()).isCloseTo(40, within(1e-9));
            assertThat(plan.followingBase().given()).isEmpty();
        }

        @Test
        void densitiesFollowFromTheLabels() {
            assertThat(disc.density(4).inLog10()).isCloseTo(0.602, within(1e-3));
            assertThat(disc.density(5).inLog10()).isCloseTo(0.757, within(1e-3));
        }

        @Test
        void sectorsRunClockwiseFromTheTop() {
            assertThat(disc.shareAt(0.51, 0.1)).isEqualTo(1);
            assertThat(disc.shareAt(0.9, 0.5)).isCloseTo(40.0 / 80, within(1e-9));
            assertThat(disc.shareAt(0.49, 0.1)).isCloseTo(5.0 / 80, within(1e-9));
            assertThat(disc.shareAt(0.02, 0.02)).isEqualTo(1);
            assertThat(disc.fromDegrees(3)).isCloseTo(120, within(1e-9));
        }

        @Test
        void labelsThatCannotBeAreRefused() {
            assertThatThrownBy(() -> new WedgeDisc(60, List.of(80.0, 10.0))).isInstanceOf(QuantityException.class);
            assertThatThrownBy(() -> new WedgeDisc(60, List.of(10.0, 10.0))).isInstanceOf(QuantityException.class);
            assertThatThrownBy(() -> new WedgeDisc(60, List.of(10.0))).isInstanceOf(QuantityException.class);
            assertThatThrownBy(() -> new WedgeDisc(0.5, List.of(0.1, 0.2))).isInstanceOf(QuantityException.class);
        }
    }

    @Nested
    class Pieces {
        @Test
        void differentLightsKeepThePrintAsDark() {
            TestScript script = pieces(List.of(LIGHT, HARD)).script(seconds(10), rig(LampWay.SWITCHED));
            assertThat(script.steps()).extracting(s -> s.set().inSeconds()).containsExactly(10.1, 20.1);
            assertThat(script.steps().get(1).cues()).containsExactly(Cue.CHANGE_LIGHT, Cue.TAKE_PIECE);
            assertThat(SheetPatches.of(script.steps(), LAG, s -> s.receivedSeconds(LAG))
                            .patches())
                    .extracting(p -> p.step().light())
                    .containsExactly(LIGHT, HARD);
        }

        @Test
        void whatCannotBeSeenIsSetInWhiteLightBetweenTwoPieces() {
            TestRig own = rig(LampWay.MY_TIMER);
            TestRig unseen = new TestRig(
                    own.light(),
                    own.opening(),
                    own.ring(),
                    own.way(),
                    own.timer(),
                    own.lag(),
                    new Settings(true, true, true),
                    own.carried());
            TestScript script = pieces(List.of()).script(seconds(10), unseen);
            assertThat(script.steps().get(0).cues()).containsExactly(Cue.TAKE_PIECE);
            assertThat(script.steps().get(1).cues()).containsExactly(Cue.SET_IN_LIGHT, Cue.SET_TIMER, Cue.TAKE_PIECE);
        }

        @Test
        void theyAreLaidInRowsOfFiveAtMost() {
            assertThat(PieceLayout.laid(5)).isEqualTo(new PieceLayout(5, 1, false));
            assertThat(PieceLayout.laid(7)).isEqualTo(new PieceLayout(4, 2, false));
            assertThat(PieceLayout.laid(7).place(5)).isEqualTo(new Part(0, 0.5, 0.25, 0.5));
            assertThat(PieceLayout.laid(15).columns()).isEqualTo(5);
        }

        @Test
        void fourCornersGiveFifteenMarks() {
            assertThat(PieceMarks.corners(1)).containsExactly(Corner.UPPER_LEFT);
            assertThat(PieceMarks.corners(5)).hasSize(2);
            assertThat(PieceMarks.corners(15)).hasSize(4);
            assertThat(java.util.stream.IntStream.rangeClosed(1, 15)
                            .mapToObj(PieceMarks::corners)
                            .distinct())
                    .hasSize(15);
            assertThatThrownBy(() -> PieceMarks.corners(16)).isInstanceOf(QuantityException.class);
        }

        @Test
        void aTornCornerGivesEveryPieceItCanBe() {
            assertThat(PieceMarks.byCorners(List.of(Seen.CLIPPED, Seen.WHOLE, Seen.WHOLE, Seen.WHOLE), 7))
                    .containsExactly(1);
            assertThat(PieceMarks.byCorners(List.of(Seen.CLIPPED, Seen.DOUBTFUL, Seen.WHOLE, Seen.WHOLE), 7))
                    .containsExactly(1, 5);
            assertThat(PieceMarks.byCorners(List.of(Seen.WHOLE, Seen.WHOLE, Seen.WHOLE, Seen.WHOLE), 7))
                    .isEmpty();
        }

        @Test
        void fourNipsMaybeFiveAreTwoPieces() {
            assertThat(PieceMarks.byNips(4, 1, 5)).containsExactly(4, 5);
            assertThat(PieceMarks.byNips(3, 0, 5)).containsExactly(3);
            assertThat(PieceMarks.byNips(6, 0, 5)).isEmpty();
            assertThat(PieceMarks.byOrder(3)).containsExactly(1, 2, 3);
            assertThatThrownBy(() -> PieceMarks.byOrder(2_000_000_000)).isInstanceOf(QuantityException.class);
        }

        private PiecesPlan pieces(List<Light> lights) {
            return new PiecesPlan(strip(3, 0.5).series(), lights, PieceMarks.Way.CORNERS, SIZE, SIZE, Optional.empty());
        }
    }

    @Test
    void aTimeThatIsNothingOnThisTimerIsRefusedWithTheWayOut() {
        GuessPlan tooShort = new GuessPlan(Optional.of(seconds(0.01)), 1, Optional.empty(), Optional.empty());
        assertThatThrownBy(() -> tooShort.script(seconds(10), rig(LampWay.SWITCHED)))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("no longer than the lamp's lag");
    }

    @Test
    void aGuessIsOnePatch() {
        GuessPlan plan = new GuessPlan(Optional.of(seconds(7)), 0.25, Optional.empty(), Optional.empty());
        TestScript script = plan.script(seconds(10), rig(LampWay.SWITCHED));
        assertThat(script.steps()).hasSize(1);
        assertThat(script.patches().get(0).total().inSeconds()).isCloseTo(7, within(1e-9));
        assertThat(plan.followingBase().middle(seconds(10))).isEqualTo(seconds(10));
        assertThat(SheetPatches.of(script.steps(), LAG, s -> s.receivedSeconds(LAG))
                        .patches())
                .hasSize(1);
    }
}
