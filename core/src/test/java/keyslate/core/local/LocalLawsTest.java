package keyslate.core.local;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import keyslate.core.Draws;
import keyslate.core.exposure.LampLag;
import keyslate.core.local.AreaShape.Edge;
import keyslate.core.local.AreaShape.Ellipse;
import keyslate.core.local.AreaShape.Lasso;
import keyslate.core.local.AreaShape.Point;
import keyslate.core.local.RunSchedule.Burn;
import keyslate.core.local.RunSchedule.Hold;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Laws of holds and burns, of the schedule of a run and of masks. */
class LocalLawsTest {
    /** Rounding of a few operations on doubles. */
    private static final double FLOAT = 1e-9;

    private static final ExposureTime BASE = ExposureTime.ofSeconds(12);

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void stopsPercentAndSecondsAreOneChange(long seed) {
        LocalChange change = LocalChange.ofStops(Draws.from(seed).nextDouble(-3.5, 5));
        assertThat(LocalChange.ofPercent(change.toPercent()).change().inStops())
                .isCloseTo(change.change().inStops(), within(FLOAT));
        assertThat(LocalChange.ofSeconds(BASE, change.secondsOn(BASE)).change().inStops())
                .isCloseTo(change.change().inStops(), within(FLOAT));
        assertThat(change.secondsOn(BASE) < 0).isEqualTo(change.isHold());
        assertThat(change.secondsOn(BASE) > 0).isEqualTo(change.isBurn());
    }

    @Test
    void aHoldMustLeaveSomeLight() {
        assertThatThrownBy(() -> LocalChange.ofPercent(-100))
                .hasMessage("a hold-back must leave some light: more than −100 %, was −100 %");
        assertThatThrownBy(() -> LocalChange.ofSeconds(BASE, -12))
                .hasMessage("a hold-back must be shorter than the base exposure");
        assertThatThrownBy(() -> LocalChange.ofStops(6.5))
                .hasMessage("local change must be from −4 to 6 stops, was 6.5 stops");
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void aScheduleGivesEveryAreaItsHoldAndTheBaseItsTime(long seed) {
        RandomGenerator random = Draws.from(seed);
        LampLag lag = LampLag.ofSeconds(random.nextDouble(0, 0.3));
        int tools = random.nextInt(1, 4);
        List<Hold> holds = new ArrayList<>();
        for (int i = 0; i < random.nextInt(0, 6); i++) {
            holds.add(new Hold("area " + i, LocalChange.ofStops(-random.nextInt(1, 13) / 12.0)));
        }
        RunSchedule schedule;
        try {
            schedule = RunSchedule.plan(BASE, holds, List.of(), tools, lag);
        } catch (QuantityException e) {
            double wanted =
                    holds.stream().mapToDouble(h -> -h.change().secondsOn(BASE)).sum();
            assertThat(e.kind()).isEqualTo(QuantityException.Kind.INFEASIBLE);
            assertThat(wanted).as("refused although half the room is free").isGreaterThan(tools * 6.0);
            return;
        }
        assertThat(schedule.moves()).allMatch(m -> m.tool() < tools && m.endSeconds() <= 12 + 1e-6);
        double received = 0;
        for (RunSchedule.Segment segment : schedule.segments()) {
            assertThat(segment.held()).hasSizeLessThanOrEqualTo(tools);
            assertThat(lag.receivedSeconds(segment.set())).isCloseTo(segment.receivedSeconds(), within(FLOAT));
            received += segment.receivedSeconds();
        }
        assertThat(received).isCloseTo(12, within(1e-6));
        for (Hold hold : holds) {
            double held = schedule.segments().stream()
                    .filter(s -> s.held().contains(hold.area()))
                    .mapToDouble(RunSchedule.Segment::receivedSeconds)
                    .sum();
            assertThat(held).isCloseTo(-hold.change().secondsOn(BASE), within(1e-5));
        }
    }

    @Test
    void holdsThatOverflowTwoHandsAreRefusedWithAWayOut() {
        List<Hold> three = List.of(
                new Hold("a", LocalChange.ofStops(-3)),
                new Hold("b", LocalChange.ofStops(-3)),
                new Hold("c", LocalChange.ofStops(-3)));
        assertThatThrownBy(() -> RunSchedule.plan(BASE, three, List.of(), 2, LampLag.NONE))
                .hasMessage("these holds do not fit into the base exposure with 2 tools; hold less, or use a mask");
        assertThat(RunSchedule.plan(BASE, three, List.of(), 3, LampLag.NONE).moves())
                .hasSize(3);
    }

    @Test
    void holdsThatTheLongestFirstWouldNotFitArePackedAnotherWay() {
        // 3, 3, 2, 2 and 2 s in 6 s of two tools: longest first leaves 2 s over; 3 + 3 and 2 + 2 + 2 fit exactly.
        ExposureTime six = ExposureTime.ofSeconds(6);
        List<Hold> holds = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            holds.add(new Hold("area " + i, LocalChange.ofSeconds(six, i < 2 ? -3 : -2)));
        }
        RunSchedule schedule = RunSchedule.plan(six, holds, List.of(), 2, LampLag.NONE);
        assertThat(schedule.moves()).hasSize(5);
        for (int tool = 0; tool < 2; tool++) {
            int hand = tool;
            double at = 0;
            for (RunSchedule.Move move :
                    schedule.moves().stream().filter(m -> m.tool() == hand).toList()) {
                assertThat(move.startSeconds()).isCloseTo(at, within(FLOAT));
                at = move.endSeconds();
            }
            assertThat(at).isCloseTo(6, within(FLOAT));
        }
        assertThat(schedule.segments())
                .extracting(RunSchedule.Segment::receivedSeconds)
                .allMatch(s -> s > 0.9);
    }

    @Test
    void eachHandIsGivenTheLongestHoldThatIsLeftAndNoPauseBetween() {
        List<Hold> holds = List.of(
                new Hold("short", LocalChange.ofSeconds(BASE, -2)),
                new Hold("long", LocalChange.ofSeconds(BASE, -5)),
                new Hold("middle", LocalChange.ofSeconds(BASE, -4)));
        List<RunSchedule.Move> moves =
                RunSchedule.plan(BASE, holds, List.of(), 2, LampLag.NONE).moves();
        assertThat(moves).extracting(RunSchedule.Move::area).containsExactly("long", "middle", "short");
        assertThat(moves).extracting(RunSchedule.Move::tool).containsExactly(0, 1, 1);
        assertThat(moves.get(2).startSeconds()).isCloseTo(4, within(FLOAT));
        assertThat(moves.get(2).endSeconds()).isCloseTo(6, within(FLOAT));
        List<RunSchedule.Segment> segments =
                RunSchedule.plan(BASE, holds, List.of(), 2, LampLag.NONE).segments();
        assertThat(segments)
                .extracting(RunSchedule.Segment::held)
                .containsExactly(List.of("long", "middle"), List.of("short", "long"), List.of("short"), List.of());
    }

    @Test
    void aBurnThatGivesNothingIsRefused() {
        List<Burn> nothing = List.of(Burn.atBase("sky", LocalChange.ofStops(0)));
        assertThatThrownBy(() -> RunSchedule.plan(BASE, List.of(), nothing, 2, LampLag.NONE))
                .hasMessageContaining("burn must be more than 0 s");
    }

    @Test
    void noChangeIsNeitherHoldNorBurn() {
        LocalChange none = LocalChange.ofStops(0);
        assertThat(none.isHold() || none.isBurn()).isFalse();
        assertThat(LocalChange.ofStops(-0.1).isHold()).isTrue();
        assertThat(LocalChange.ofStops(0.1).isBurn()).isTrue();
    }

    @Test
    void aHoldOfExactlyTheShortestTimeAndTheLargestShareIsTaken() {
        HandLimits.Feasibility shortest =
                HandLimits.DEFAULT.check(ExposureTime.ofSeconds(4), LocalChange.ofStops(-1), 2);
        assertThat(shortest.longEnough()).isTrue();
        assertThat(shortest.stopDown().inStops()).isZero();
        ExposureTime ten = ExposureTime.ofSeconds(10);
        assertThat(HandLimits.DEFAULT
                        .check(ten, LocalChange.ofSeconds(ten, -8), 2)
                        .fractionFits())
                .isTrue();
        assertThat(HandLimits.DEFAULT
                        .check(ten, LocalChange.ofSeconds(ten, -8.01), 2)
                        .fractionFits())
                .isFalse();
        assertThatThrownBy(() -> HandLimits.shadowScale(Length.ofMm(400), Length.ofMm(400)))
                .hasMessage("the tool must be held below the lens");
    }

    @Test
    void burnsComeAfterTheBaseAtItsGradeFirst() {
        List<Burn> burns = List.of(
                new Burn("hard", LocalChange.ofStops(1), Optional.of(Grade.of(4)), 1),
                new Burn("soft", LocalChange.ofStops(1), Optional.of(Grade.of(-1)), 1),
                Burn.atBase("same", LocalChange.ofStops(0.5)));
        RunSchedule schedule = RunSchedule.plan(BASE, List.of(), burns, 2, LampLag.ofSeconds(0.1));
        assertThat(schedule.burns()).extracting(RunSchedule.BurnStep::area).containsExactly("same", "soft", "hard");
        assertThat(schedule.totalSetSeconds()).isCloseTo(12.1 + 4.9706 + 0.1 + 2 * 12.1, within(0.001));
    }

    @Test
    void twoHoldsThatEndTogetherMakeNoEmptyBurst() {
        List<Hold> holds = List.of(new Hold("a", LocalChange.ofStops(-1)), new Hold("b", LocalChange.ofStops(-1)));
        assertThat(RunSchedule.plan(BASE, holds, List.of(), 2, LampLag.NONE).segments())
                .hasSize(2);
    }

    @Test
    void aHoldTooShortForAHandSaysHowFarToStopDown() {
        HandLimits.Feasibility found =
                HandLimits.DEFAULT.check(ExposureTime.ofSeconds(5), LocalChange.ofStops(-1.0 / 6), 2);
        assertThat(found.longEnough()).isFalse();
        ExposureTime longer = ExposureTime.ofSeconds(5).plus(found.stopDown());
        assertThat(-LocalChange.ofStops(-1.0 / 6).secondsOn(longer)).isGreaterThanOrEqualTo(2);
        assertThat(HandLimits.DEFAULT.check(BASE, LocalChange.ofStops(-3), 2).fractionFits())
                .isFalse();
        assertThat(HandLimits.DEFAULT.check(BASE, LocalChange.ofStops(1), 2).longEnough())
                .isTrue();
    }

    @Test
    void aToolHeldHigherThrowsALargerAndSofterShadow() {
        Length pupil = Length.ofMm(10);
        Length column = Length.ofMm(500);
        Length soft = HandLimits.penumbra(pupil, column, Length.ofMm(200));
        assertThat(HandLimits.heightFor(pupil, column, soft).inMm()).isCloseTo(200, within(1e-6));
        assertThat(HandLimits.penumbra(pupil, column, Length.ofMm(300)).inMm()).isGreaterThan(soft.inMm());
        assertThat(HandLimits.shadowScale(column, Length.ofMm(250))).isCloseTo(2, within(FLOAT));
        assertThatThrownBy(() -> HandLimits.penumbra(pupil, column, column))
                .hasMessage("the tool must be held below the lens");
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void aMaskIsFullInsideNothingOutsideAndNeverMore(long seed) {
        RandomGenerator random = Draws.from(seed);
        Ellipse ellipse = new Ellipse(
                new Point(random.nextDouble(0.3, 0.7), random.nextDouble(0.3, 0.7)),
                random.nextDouble(0.15, 0.25),
                random.nextDouble(0.15, 0.25));
        AreaMask.View view = new AreaMask.View(0, 0, 1, 1, 1.5);
        float[] weights = AreaMask.rasterise(ellipse, 0.05, view, 60, 40);
        int cx = (int) (ellipse.centre().x() * 60);
        int cy = (int) (ellipse.centre().y() * 40);
        assertThat(weights[cy * 60 + cx]).isEqualTo(1f);
        assertThat(weights[0]).isZero();
        for (float weight : weights) {
            assertThat(weight).isBetween(0f, 1f);
        }
    }

    @Test
    void theSameAreaSeenThroughACropIsTheSameArea() {
        Lasso lasso = new Lasso(List.of(new Point(0.2, 0.2), new Point(0.8, 0.2), new Point(0.5, 0.9)));
        float[] whole = AreaMask.rasterise(lasso, 0.05, new AreaMask.View(0, 0, 1, 1, 1), 80, 80);
        float[] part = AreaMask.rasterise(lasso, 0.05, new AreaMask.View(0.5, 0.25, 0.5, 0.5, 1), 40, 40);
        for (int y = 0; y < 40; y++) {
            for (int x = 0; x < 40; x++) {
                assertThat(part[y * 40 + x]).isEqualTo(whole[(y + 20) * 80 + x + 40], within(1e-5f));
            }
        }
    }

    @Test
    void anEdgeActsOnItsLeftAsACardUncovers() {
        Edge edge = new Edge(new Point(0, 0.5), new Point(1, 0.5));
        float[] weights = AreaMask.rasterise(edge, 0.02, new AreaMask.View(0, 0, 1, 1, 1), 10, 10);
        assertThat(weights[5]).isEqualTo(1f);
        assertThat(weights[95]).isZero();
        assertThatThrownBy(() -> new Edge(new Point(0.5, 0.5), new Point(0.5, 0.5)))
                .hasMessage("the two ends of an edge must lie apart");
        assertThatThrownBy(() -> new Lasso(List.of(new Point(0, 0), new Point(1, 1))))
                .hasMessage("an outline needs 3 to 200 points, had 2");
    }
}
