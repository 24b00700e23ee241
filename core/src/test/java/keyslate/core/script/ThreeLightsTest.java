package keyslate.core.script;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import keyslate.core.colour.AdditiveHead;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.local.LocalChange;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;

class ThreeLightsTest {
    private static final LampLag LAG = LampLag.ofSeconds(0.3);
    private static final Light PACK = Light.dials(FilterPack.of(0, 30, 20));
    private static final AdditiveHead HEAD = new AdditiveHead(0.5, 0.4, 0.25);
    private static final TimerSteps FINE = TimerSteps.everywhere(0.001, 999.9);

    private static ThreeLights lights(boolean ownTimer) {
        return new ThreeLights(HEAD, TimerSteps.tenths(), LAG, new Settings(true, true, ownTimer));
    }

    private static List<ExposureStep> print(double seconds, LocalWork work, boolean ownTimer) {
        BaseExposure base = BaseExposure.of(PACK, ExposureTime.ofSeconds(seconds));
        return PrintScript.plan(
                base, work, new PrintScript.Rig(8, FINE, LAG, new Settings(true, true, ownTimer), (a, b) -> 1));
    }

    private static Map<Integer, Double> asPlanned(List<ExposureStep> steps) {
        return steps.stream().collect(Collectors.toMap(ExposureStep::place, s -> s.receivedSeconds(LAG)));
    }

    /** 10 s: red 10/0.5, green 10·10^-0.3/0.4, blue 10·10^-0.2/0.25, a lag each. */
    @Test
    void aBaseIsThreeExposuresAndEachHasItsLag() {
        List<ExposureStep> thirds = lights(false).split(print(10, LocalWork.none(), false));
        assertThat(thirds).extracting(s -> s.set().inSeconds()).containsExactly(20.3, 12.8, 25.5);
        assertThat(thirds).extracting(s -> s.light().words()).containsExactly("red light", "green light", "blue light");
        assertThat(thirds)
                .extracting(ExposureStep::cues)
                .containsExactly(List.of(), List.of(Cue.CHANGE_LIGHT), List.of(Cue.CHANGE_LIGHT));
        assertThat(thirds).extracting(ExposureStep::place).containsExactly(1, 2, 3);
    }

    @Test
    void whatIsHeldIsHeldForTheSameShareOfEachLight() {
        LocalWork work = new LocalWork(
                List.of(new LocalWork.Area("kiln", LocalChange.ofStops(-0.5), Optional.empty())),
                LocalWork.Way.ONE_EXPOSURE);
        List<ExposureStep> thirds = lights(false).split(print(10, work, false));
        for (ExposureStep third : thirds) {
            double held = third.planned(LAG).stream()
                    .filter(g -> g.phase().held().contains("kiln"))
                    .mapToDouble(ExposureStep.Given::receivedSeconds)
                    .sum();
            assertThat(held / third.receivedSeconds(LAG)).isCloseTo(1 - Math.pow(2, -0.5), within(0.003));
        }
    }

    @Test
    void aBurnStaysUnderTheCardAsLongInEachLightAndIsTheSameShareOfIt() {
        LocalWork work = new LocalWork(
                List.of(new LocalWork.Area("sky", LocalChange.ofStops(1), Optional.empty())),
                LocalWork.Way.ONE_EXPOSURE);
        List<ExposureStep> thirds = lights(false).split(print(10, work, false));
        assertThat(thirds).hasSize(6);
        for (int i = 0; i < 3; i++) {
            ExposureStep burn = thirds.get(3 + i);
            assertThat(burn.phases().get(0).reachesNothing()).isTrue();
            assertThat(burn.phases().get(0).seconds()).isEqualTo(PrintScript.LEAD_SECONDS);
            double burned = burn.planned(LAG).get(0).receivedSeconds();
            assertThat(burned / thirds.get(i).receivedSeconds(LAG)).isCloseTo(1, within(0.01));
        }
        ThreeLights.Joined joined = ThreeLights.joined(thirds, asPlanned(thirds), LAG);
        ExposureStep burn = joined.steps().get(1);
        assertThat(burn.given(joined.received().get(2), LAG).get(0).receivedSeconds())
                .isCloseTo(10, within(0.1));
    }

    @Test
    void joinedTheyAreTheExposureTheyWereMadeOf() {
        List<ExposureStep> before = print(7.3, LocalWork.none(), false);
        List<ExposureStep> thirds = lights(false).split(before);
        ThreeLights.Joined joined = ThreeLights.joined(thirds, asPlanned(thirds), LAG);
        assertThat(joined.steps()).hasSize(1);
        ExposureStep one = joined.steps().get(0);
        assertThat(one.light()).isEqualTo(PACK);
        assertThat(one.receivedSeconds(LAG)).isCloseTo(7.3, within(0.04));
        assertThat(joined.received().get(1)).isCloseTo(one.receivedSeconds(LAG), within(1e-9));
        assertThat(ThreeLights.joined(before, Map.of(1, 7.3), LAG).steps()).isEqualTo(before);
    }

    @Test
    void whereOneLightIsMissingTheLeastCounts() {
        List<ExposureStep> thirds = lights(false).split(print(10, LocalWork.none(), false));
        Map<Integer, Double> given = new HashMap<>(asPlanned(thirds));
        given.put(3, given.get(3) / 2);
        assertThat(ThreeLights.joined(thirds, given, LAG).received().get(1)).isCloseTo(5, within(0.05));
        given.remove(3);
        assertThat(ThreeLights.joined(thirds, given, LAG).received().get(1)).isZero();
        List<ExposureStep> wrongOrder = List.of(thirds.get(1), thirds.get(0), thirds.get(2));
        assertThatThrownBy(() -> ThreeLights.joined(wrongOrder, Map.of(), LAG)).isInstanceOf(QuantityException.class);
        // Shorter than the lag: no light, and no number that is none.
        LampLag longer = LampLag.ofSeconds(2);
        List<ExposureStep> dark = lights(false).split(print(0.1, LocalWork.none(), false));
        assertThat(ThreeLights.joined(dark, Map.of(), longer).received().get(1)).isZero();
        List<ExposureStep> two = thirds.subList(0, 2);
        assertThatThrownBy(() -> ThreeLights.joined(two, Map.of(), LAG))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("lacks one");
    }

    /** Under a safelight-less room a timer is set in white light; the three of one pack stand already. */
    @Test
    void threeTimersAreSetAgainOnlyForOtherTimes() {
        ExposureTime ten = ExposureTime.ofSeconds(10);
        ExposureTime eight = ExposureTime.ofSeconds(8);
        List<ExposureStep> pieces = List.of(
                piece(1, ten, List.of(Cue.TAKE_PIECE)),
                piece(2, ten, List.of(Cue.TAKE_PIECE)),
                piece(3, eight, List.of(Cue.SET_IN_LIGHT, Cue.SET_TIMER, Cue.TAKE_PIECE)));
        List<ExposureStep> thirds = lights(true).split(pieces);
        assertThat(thirds.get(0).cues()).containsExactly(Cue.TAKE_PIECE);
        assertThat(thirds.get(3).cues()).containsExactly(Cue.CHANGE_LIGHT, Cue.TAKE_PIECE);
        assertThat(thirds.get(6).cues())
                .containsExactly(Cue.SET_IN_LIGHT, Cue.CHANGE_LIGHT, Cue.SET_TIMER, Cue.TAKE_PIECE);
        assertThat(thirds.get(7).cues()).containsExactly(Cue.CHANGE_LIGHT);
    }

    private static ExposureStep piece(int place, ExposureTime set, List<Cue> cues) {
        return new ExposureStep(
                place, place, PACK, 8, set, 1, List.of(Phase.holding(set.inSeconds(), List.of())), cues);
    }

    @Test
    void aThirdIsWrittenDownAndReadBack() {
        for (ExposureStep third : lights(false).split(print(10, LocalWork.none(), false))) {
            assertThat(Light.of(third.light().notation())).isEqualTo(third.light());
        }
        assertThatThrownBy(() -> Light.of("red 0.25 of grade 2")).isInstanceOf(QuantityException.class);
        String nested = "red 1 of ".repeat(20_000) + "0/30/20";
        assertThatThrownBy(() -> Light.of(nested)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> Light.of("red 1.5 of 0/30/20")).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> Light.of("red 0.25 of 0/30/20").toPack()).isInstanceOf(QuantityException.class);
    }

    @Test
    void aLastPhaseShorterThanTheRoundingGoesIntoTheOneBefore() {
        List<Phase> phases = List.of(
                Phase.holding(5.0, List.of()), Phase.holding(3.0, List.of("kiln")), Phase.holding(0.01, List.of()));
        ExposureStep step = new ExposureStep(1, 1, PACK, 8, ExposureTime.ofSeconds(8.01), 1, phases, List.of());
        for (ExposureStep third : lights(false).split(List.of(step))) {
            double sum = third.phases().stream().mapToDouble(Phase::seconds).sum();
            assertThat(sum).isCloseTo(third.set().inSeconds(), within(1e-9));
            assertThat(third.phases()).allMatch(p -> p.seconds() > 0).hasSizeBetween(2, 3);
        }
    }

    @Test
    void aThirdBeyondTheTimersEndIsRefused() {
        List<ExposureStep> longest = print(600, LocalWork.none(), false);
        ThreeLights lights = lights(false);
        assertThatThrownBy(() -> lights.split(longest))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("timer");
    }
}
