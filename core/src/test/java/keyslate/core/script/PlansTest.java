package keyslate.core.script;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.local.LocalChange;
import keyslate.core.quantity.ExposureTime;
import org.junit.jupiter.api.Test;

/** A strip's plan, the parts of a sheet, and the order of what the hands do. */
class PlansTest {
    private static final double SMALL = 1e-9;
    private static final Light LIGHT = Light.filter(GradeFilter.G2);
    private static final Light HARD = Light.filter(GradeFilter.G4);

    @Test
    void theLeftAndUpperEdgeBelongToAPartAndTheOthersToItsNeighbours() {
        Part part = new Part(0.2, 0.4, 0.5, 0.25);
        assertThat(part.holds(0.2, 0.4)).isTrue();
        assertThat(part.holds(0.69, 0.64)).isTrue();
        assertThat(part.holds(0.7, 0.5)).isFalse();
        assertThat(part.holds(0.3, 0.65)).isFalse();
        assertThat(part.holds(0.19, 0.5)).isFalse();
        assertThat(part.holds(0.3, 0.39)).isFalse();
        assertThat(part.isEmpty()).isFalse();
        assertThat(new Part(0, 0, 0, 1).isEmpty()).isTrue();
        assertThat(new Part(0, 0, 1, 0).isEmpty()).isTrue();
        Part inner = part.within(new Part(0.5, 0.2, 0.5, 0.4));
        assertThat(inner.left()).isCloseTo(0.45, within(SMALL));
        assertThat(inner.top()).isCloseTo(0.45, within(SMALL));
        assertThat(inner.width()).isCloseTo(0.25, within(SMALL));
        assertThat(inner.height()).isCloseTo(0.1, within(SMALL));
    }

    @Test
    void patchesFollowEachOtherInTheDirectionOfTheDarkEnd() {
        assertThat(StripDirection.DARK_LEFT.isAlong()).isTrue();
        assertThat(StripDirection.DARK_TOP.isAlong()).isFalse();
        assertThat(StripDirection.DARK_LEFT.patch(1, 4).left()).isCloseTo(0.75, within(SMALL));
        assertThat(StripDirection.DARK_RIGHT.patch(2, 4).left()).isCloseTo(0.25, within(SMALL));
        assertThat(StripDirection.DARK_TOP.patch(4, 4).top()).isCloseTo(0, within(SMALL));
        assertThat(StripDirection.DARK_RIGHT.uncovered(2, 4).left()).isCloseTo(0.25, within(SMALL));
        assertThat(StripDirection.DARK_LEFT.uncovered(2, 4).width()).isCloseTo(0.75, within(SMALL));
    }

    @Test
    void aCardOverEverythingCoversNoPatch() {
        ExposureStep covered = step(List.of(Phase.covered(2), Phase.burning(3, "sky")), 5);
        assertThat(covered.isCovered()).isFalse();
        assertThat(step(List.of(Phase.uncovering(5, new Part(0, 0, 0.5, 1))), 5).isCovered())
                .isTrue();
        assertThat(Phase.covered(2).lasting(3).seconds()).isEqualTo(3);
        assertThat(Phase.covered(2).lasting(3).reachesNothing()).isTrue();
    }

    @Test
    void holdsByBurstsSayWhenTheHandsGoInAndOut() {
        LocalWork work = new LocalWork(List.of(hold("door", -1)), LocalWork.Way.BURSTS);
        List<ExposureStep> steps = plan(20, work);
        assertThat(steps).hasSize(2);
        ExposureStep held =
                steps.stream().filter(s -> !s.held().isEmpty()).findFirst().orElseThrow();
        assertThat(held.cues()).contains(Cue.HOLD);
        assertThat(held.set().inSeconds()).isCloseTo(10.1, within(0.051));
        ExposureStep open =
                steps.stream().filter(s -> s.held().isEmpty()).findFirst().orElseThrow();
        if (open.place() == 1) {
            assertThat(open.cues()).isEmpty();
        } else {
            assertThat(open.cues()).containsExactly(Cue.HANDS_OUT);
        }
    }

    @Test
    void holdsThatLeaveNoLeadAreGivenInBursts() {
        LocalWork deep = new LocalWork(List.of(hold("door", -3)), LocalWork.Way.ONE_EXPOSURE);
        assertThat(plan(10, deep)).hasSize(2);
        LocalWork light = new LocalWork(List.of(hold("door", -0.5)), LocalWork.Way.ONE_EXPOSURE);
        List<ExposureStep> one = plan(10, light);
        assertThat(one).hasSize(1);
        assertThat(one.get(0).phases().get(0).held()).isEmpty();
        assertThat(one.get(0).phases().get(0).seconds()).isCloseTo(2.1, within(SMALL));
        assertThat(one.get(0).phases().get(1).held()).containsExactly("door");
        assertThat(one.get(0).phases().get(1).seconds()).isCloseTo(10 * (1 - Math.sqrt(0.5)), within(0.01));
        assertThat(PrintScript.leavesLead(seconds(10), LocalChange.ofStops(-0.5)))
                .isTrue();
        assertThat(PrintScript.leavesLead(seconds(10), LocalChange.ofStops(-3))).isFalse();
        // A hold of half the base leaves exactly the lead of two seconds on four.
        assertThat(PrintScript.leavesLead(seconds(4), LocalChange.ofStops(-1))).isTrue();
        assertThat(PrintScript.leavesLead(seconds(3.9), LocalChange.ofStops(-1)))
                .isFalse();
    }

    @Test
    void burnsInTheBasesLightComeBeforeThoseInAnother() {
        LocalWork work = new LocalWork(
                List.of(
                        burn("hard", Optional.of(HARD)),
                        burn("same", Optional.of(LIGHT)),
                        burn("plain", Optional.empty())),
                LocalWork.Way.ONE_EXPOSURE);
        List<ExposureStep> steps = plan(10, work);
        assertThat(steps.stream().flatMap(s -> s.burned().stream())).containsExactly("plain", "same", "hard");
        assertThat(steps.get(3).cues()).containsExactly(Cue.CHANGE_LIGHT, Cue.BURN);
        assertThat(steps.get(2).cues()).containsExactly(Cue.BURN);
        assertThat(steps.get(1).phases().get(0).reachesNothing()).isTrue();
        assertThat(steps.get(1).set().inSeconds()).isCloseTo(12, within(0.05));
        // The factor of the other light counts for its burn alone.
        assertThat(steps.get(3).set().inSeconds()).isCloseTo(32, within(0.05));
    }

    @Test
    void nothingIsSetWhereItCannotBeSeen() {
        LocalWork burns = new LocalWork(
                List.of(burn("same", Optional.empty()), burn("hard", Optional.of(HARD))), LocalWork.Way.ONE_EXPOSURE);
        // The application times the lamp, and gels lie in order: only dials need light.
        assertThat(cues(burns, new Settings(true, false, false)))
                .containsExactly(List.of(), List.of(Cue.BURN), List.of(Cue.CHANGE_LIGHT, Cue.BURN));
        assertThat(cues(burns, new Settings(true, true, false)))
                .containsExactly(List.of(), List.of(Cue.BURN), List.of(Cue.SET_IN_LIGHT, Cue.CHANGE_LIGHT, Cue.BURN));
        // A timer of one's own is set for each time: by sight, or with the paper in its box.
        assertThat(cues(burns, new Settings(false, true, true)))
                .containsExactly(
                        List.of(),
                        List.of(Cue.SET_TIMER, Cue.BURN),
                        List.of(Cue.CHANGE_LIGHT, Cue.SET_TIMER, Cue.BURN));
        assertThat(cues(burns, new Settings(true, false, true)))
                .containsExactly(
                        List.of(),
                        List.of(Cue.SET_IN_LIGHT, Cue.SET_TIMER, Cue.BURN),
                        List.of(Cue.SET_IN_LIGHT, Cue.CHANGE_LIGHT, Cue.SET_TIMER, Cue.BURN));
        // The same time again needs nothing.
        LocalWork even = new LocalWork(
                List.of(burn("one", Optional.empty()), burn("two", Optional.empty())), LocalWork.Way.ONE_EXPOSURE);
        assertThat(cues(even, new Settings(true, true, true)).get(2)).containsExactly(Cue.BURN);
    }

    private static List<List<Cue>> cues(LocalWork work, Settings settings) {
        return plan(10, work, settings).stream().map(ExposureStep::cues).toList();
    }

    private static LocalWork.Area hold(String key, double stops) {
        return new LocalWork.Area(key, LocalChange.ofStops(stops), Optional.empty());
    }

    private static LocalWork.Area burn(String key, Optional<Light> light) {
        return new LocalWork.Area(key, LocalChange.ofStops(1), light);
    }

    private static List<ExposureStep> plan(double base, LocalWork work) {
        return plan(base, work, Settings.SEEN);
    }

    private static List<ExposureStep> plan(double base, LocalWork work, Settings settings) {
        return PrintScript.plan(
                BaseExposure.of(LIGHT, seconds(base)),
                work,
                new PrintScript.Rig(8, TimerSteps.tenths(), LampLag.ofSeconds(0.1), settings, (area, part) -> 3));
    }

    private static ExposureStep step(List<Phase> phases, double set) {
        return new ExposureStep(1, 1, LIGHT, 8, seconds(set), 1, phases, List.of());
    }

    private static ExposureTime seconds(double seconds) {
        return ExposureTime.ofSeconds(seconds);
    }
}
