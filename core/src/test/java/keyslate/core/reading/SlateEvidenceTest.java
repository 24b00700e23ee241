package keyslate.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.SlateEvidence.Mark;
import keyslate.core.reading.SlateEvidence.Tone;
import org.junit.jupiter.api.Test;

/** Readings of several tests taken together. */
class SlateEvidenceTest {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final Light G2 = Light.filter(GradeFilter.G2);
    private static final Light G4 = Light.filter(GradeFilter.G4);
    private static final GradedLights LIGHTS = GradedLights.usual(PAPER);

    @Test
    void oneMarkIsTheTimeThatItSays() {
        SlateEvidence one = of(0, G2, mark(Tone.WHITES, G2, 12, 0.25));
        SlateEvidence.Estimate time = one.time(Tone.WHITES, G2).orElseThrow();
        assertThat(time.time().inSeconds()).isCloseTo(12, within(1e-6));
        assertThat(time.limit().inStops()).isCloseTo(0.25, within(1e-6));
        assertThat(one.time(Tone.BLACKS, G2)).isEmpty();
        assertThat(one.knows(Tone.MIDDLE)).isFalse();
    }

    @Test
    void anotherFilterHoldsTheWhitesAndOpensTheLimit() {
        SlateEvidence.Estimate there =
                of(0, G4, mark(Tone.WHITES, G2, 12, 0.25)).time(Tone.WHITES, G4).orElseThrow();
        double light = held(VariableContrastPaper.HIGHLIGHT_NET);
        double middle = held(0.60);
        assertThat(there.time().inSeconds()).isCloseTo(Math.sqrt(light * middle), within(1e-6));
        double apart = Math.abs(Stops.ofFactor(light / middle).inStops()) / 2;
        assertThat(there.limit().inStops()).isCloseTo(Math.sqrt(0.0625 + 1.0 / 36 + apart * apart), within(1e-6));
    }

    @Test
    void aSecondStripThroughAnotherFilterDoesNotForgetTheFirst() {
        ExposureTime held = ExposureTime.ofSeconds(Math.sqrt(held(VariableContrastPaper.HIGHLIGHT_NET) * held(0.60)));
        double open = of(0, G4, mark(Tone.WHITES, G2, 12, 0.25))
                .time(Tone.WHITES, G4)
                .orElseThrow()
                .limit()
                .inStops();
        Mark first = mark(Tone.WHITES, G2, 12, 0.25);
        double second = held.plus(Stops.of(0.2)).inSeconds();
        SlateEvidence.Estimate both = of(0, G4, first, mark(Tone.WHITES, G4, second, 0.1))
                .time(Tone.WHITES, G4)
                .orElseThrow();
        double pulled =
                Stops.ofFactor(both.time().inSeconds() / held.inSeconds()).inStops();
        assertThat(pulled).isCloseTo(0.2 * open * open / (open * open + 0.01), within(1e-3));
        assertThat(both.limit().inStops()).isLessThan(0.1);
    }

    @Test
    void theRangeOfWhitesAndBlackIsTheOneOfOneStrip() {
        SlateEvidence one = of(0, G2, mark(Tone.WHITES, G2, 12, 0.1), mark(Tone.BLACKS, G2, 15, 0.1));
        double needed =
                GradedLights.neededRange(one.between(Tone.BLACKS, Tone.WHITES).orElseThrow());
        assertThat(needed)
                .isCloseTo(
                        GradeAdvice.neededRange(
                                GradeFilter.G2.grade(), ExposureTime.ofSeconds(12), ExposureTime.ofSeconds(15)),
                        within(1e-6));
        assertThat(one.between(Tone.MIDDLE, Tone.WHITES)).isEmpty();
    }

    @Test
    void theLagIsLearnedFromPatchesOfOneAndOfManyPresses() {
        // The right light is 10 s of full light; the lag is 0.2 s longer than was taken off.
        Mark single = new Mark(Tone.WHITES, G2, ExposureTime.ofSeconds(10.2), Stops.of(0.02), 1 / 10.2);
        Mark eight = new Mark(Tone.WHITES, G2, ExposureTime.ofSeconds(11.6), Stops.of(0.02), 8 / 11.6);
        SlateEvidence both = SlateEvidence.of(List.of(single, eight), LIGHTS, 0.4, G2);
        assertThat(both.lagOff().log()).isCloseTo(0.2, within(0.03));
        assertThat(both.time(Tone.WHITES, G2).orElseThrow().time().inSeconds()).isCloseTo(10.2, within(0.05));
    }

    @Test
    void anUnmeasuredLagOpensWhatWasGivenInManyBursts() {
        Mark many = new Mark(Tone.WHITES, G2, ExposureTime.ofSeconds(10), Stops.of(0.05), 7 / 10.0);
        SlateEvidence.Estimate time = SlateEvidence.of(List.of(many), LIGHTS, 0.23, G2)
                .time(Tone.WHITES, G2)
                .orElseThrow();
        assertThat(time.time().inSeconds()).isCloseTo(10, within(1e-6));
        assertThat(time.toSettle().inStops()).isCloseTo(0.05, within(1e-6));
        assertThat(time.limit().inStops()).isCloseTo(Math.hypot(0.05, 6 * 0.23 / 10 / Math.log(2)), within(1e-3));
    }

    /** 12 s through grade 2 as grade 4 holds a tone. */
    private static double held(double net) {
        return GradeAdvice.held(PAPER, GradeFilter.G2, GradeFilter.G4, ExposureTime.ofSeconds(12), net)
                .inSeconds();
    }

    private static SlateEvidence of(double lag, Light standing, Mark... marks) {
        return SlateEvidence.of(List.of(marks), LIGHTS, lag, standing);
    }

    private static Mark mark(Tone tone, Light light, double seconds, double limit) {
        return new Mark(tone, light, ExposureTime.ofSeconds(seconds), Stops.of(limit), 0);
    }
}
