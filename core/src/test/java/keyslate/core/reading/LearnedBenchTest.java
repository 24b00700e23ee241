package keyslate.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.HeadTable;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.SlateEvidence.Bound;
import keyslate.core.reading.SlateEvidence.Mark;
import keyslate.core.reading.SlateEvidence.Tone;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** What slates tell of filters and lamp, and what bounds tell of a tone. */
class LearnedBenchTest {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final GradedLights USUAL = GradedLights.usual(PAPER);
    private static final Light TWO = Light.filter(GradeFilter.G2);
    private static final Light FOUR = Light.filter(GradeFilter.G4);
    private static final double STOP = Math.log10(2);
    private static final double OFF = 0.2;
    private static final double RANGE_OFF = 6;

    private static Mark mark(Tone tone, Light light, double log, double lagShare) {
        return new Mark(tone, light, ExposureTime.ofSeconds(Math.pow(10, log)), Stops.ofFraction(1, 24), lagShare);
    }

    /** Slates of a bench whose grade 4 takes 0.2 stop more and prints R 6 softer than its set says. */
    private static List<List<Mark>> slates(int count, double lag) {
        SplittableRandom random = new SplittableRandom(3);
        List<List<Mark>> slates = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double white = 0.8 + 0.4 * random.nextDouble();
            double black = white + 0.1 * random.nextDouble();
            List<Mark> marks = new ArrayList<>();
            for (Light light : List.of(TWO, FOUR)) {
                double off = light.equals(FOUR) ? OFF * STOP : 0;
                double softer = light.equals(FOUR) ? RANGE_OFF / 100 : 0;
                // Eight bursts on one strip, one on the other: as far as the lag is off, they differ.
                double share = light.equals(TWO) == (i % 2 == 0) ? 0.4 : 0.05;
                double lagged = lag * share / Math.log(10);
                marks.add(mark(Tone.WHITES, light, white + USUAL.factorLog(light, Tone.WHITES) + off + lagged, share));
                marks.add(mark(
                        Tone.BLACKS,
                        light,
                        black + USUAL.factorLog(light, Tone.BLACKS) + off + softer + lagged,
                        share));
            }
            slates.add(marks);
        }
        return slates;
    }

    @Test
    void aFilterThatIsOffIsToldOfWithALimitThatFallsFromSlateToSlate() {
        FilterTable.Entry two = LearnedBench.of(slates(2, 0), USUAL, 0)
                .filters()
                .of(GradeFilter.G4)
                .orElseThrow();
        FilterTable.Entry ten = LearnedBench.of(slates(10, 0), USUAL, 0)
                .filters()
                .of(GradeFilter.G4)
                .orElseThrow();
        double meant = USUAL.factorLog(FOUR, Tone.WHITES) + OFF * STOP;
        assertThat(ten.whitesLog()).isCloseTo(meant, within(0.01));
        assertThat(ten.isoRange()).isCloseTo(66 + RANGE_OFF, within(1.5));
        assertThat(ten.limitStops()).isLessThan(two.limitStops()).isLessThan(0.03);
        assertThat(Math.abs(two.whitesLog() - meant) / STOP).isLessThan(two.limitStops());
    }

    @Test
    void theNextSlateRestsOnIt() {
        VariableContrastPaper learned = new VariableContrastPaper(
                LearnedBench.of(slates(8, 0), USUAL, 0).filters());
        Mark white = mark(Tone.WHITES, TWO, 1, 0);
        double before = SlateEvidence.of(List.of(white), USUAL, 0, FOUR)
                .time(Tone.WHITES, FOUR)
                .orElseThrow()
                .limit()
                .inStops();
        SlateEvidence.Estimate after = SlateEvidence.of(List.of(white), GradedLights.usual(learned), 0, FOUR)
                .time(Tone.WHITES, FOUR)
                .orElseThrow();
        assertThat(after.limit().inStops()).isLessThan(before / 3);
        assertThat(Math.log10(after.time().inSeconds()))
                .isCloseTo(1 + USUAL.factorLog(FOUR, Tone.WHITES) + OFF * STOP, within(0.01));
    }

    @Test
    void theLagIsLearnedWhereBurstsDiffer() {
        SlateEvidence.Lag told = LearnedBench.of(slates(40, 0.15), USUAL, 0.23).lag();
        assertThat(told.limitSeconds()).isLessThan(0.2);
        assertThat(told.offSeconds()).isPositive();
        assertThat(LearnedBench.of(List.of(), USUAL, 0.23).lag()).isEqualTo(new SlateEvidence.Lag(0, 0.23));
    }

    @Test
    void slatesThroughOneFilterTellOfNone() {
        List<List<Mark>> one = List.of(List.of(mark(Tone.WHITES, TWO, 1, 0), mark(Tone.BLACKS, TWO, 1.1, 0)));
        assertThat(LearnedBench.of(one, USUAL, 0).filters().isEmpty()).isTrue();
        FilterTable known = LearnedBench.of(slates(4, 0), USUAL, 0).filters();
        assertThat(LearnedBench.of(List.of(), GradedLights.usual(new VariableContrastPaper(known)), 0)
                        .filters())
                .isEqualTo(FilterTable.NOTHING);
    }

    @Test
    void aStripThroughOneGradeOfAHeadTellsOfItsOtherGrades() {
        HeadTable table = HeadTable.generic(PAPER, HeadTable.Way.SINGLE);
        HeadLights head = HeadLights.of(PAPER, table);
        Light three = Light.filter(GradeFilter.G3);
        // The magenta dial gives 15 % less than it says.
        double[] effect = table.effect(PAPER, GradeFilter.G4, HeadTable.Error.MAGENTA_SCALE);
        double whites = head.factorLog(FOUR, Tone.WHITES) - head.factorLog(TWO, Tone.WHITES) - 0.15 * effect[0];
        double blacks = head.factorLog(FOUR, Tone.BLACKS)
                - head.factorLog(TWO, Tone.BLACKS)
                - 0.15 * (effect[0] + effect[1] / 100);
        List<Mark> marks = List.of(
                mark(Tone.WHITES, TWO, 1, 0),
                mark(Tone.BLACKS, TWO, 1.1, 0),
                mark(Tone.WHITES, FOUR, 1 + whites, 0),
                mark(Tone.BLACKS, FOUR, 1.1 + blacks, 0));
        SlateEvidence said = SlateEvidence.of(marks, head, 0, TWO);
        double softer = -0.15 * effect[1];
        assertThat(softer).isPositive();
        assertThat(said.rangeOff(FOUR)).isBetween(0.5 * softer, 1.2 * softer);
        assertThat(said.rangeOff(three)).isBetween(0.2 * softer, said.rangeOff(FOUR));
    }

    @Nested
    class Bounds {
        private final Mark white = mark(Tone.WHITES, TWO, 1, 0);

        private Mark black(double log, Bound bound) {
            return new Mark(
                    Tone.BLACKS, TWO, ExposureTime.ofSeconds(Math.pow(10, log)), Stops.ofFraction(1, 12), 0, bound);
        }

        private double blackAfterWhite(List<Mark> marks) {
            return SlateEvidence.of(marks, USUAL, 0, TWO)
                    .between(Tone.BLACKS, Tone.WHITES)
                    .orElseThrow()
                    .log();
        }

        @Test
        void aBoundAloneIsTheMostThatIsKnown() {
            assertThat(blackAfterWhite(List.of(white, black(1.2, Bound.AT_LEAST))))
                    .isCloseTo(0.2, within(1e-6));
        }

        @Test
        void aMarkThatAgreesWithABoundIsNotPulledToIt() {
            Mark mark = black(1.4, Bound.AT);
            assertThat(blackAfterWhite(List.of(white, mark, black(1.2, Bound.AT_LEAST))))
                    .isCloseTo(0.4, within(1e-6));
            assertThat(blackAfterWhite(List.of(white, mark, black(1.5, Bound.AT_MOST))))
                    .isCloseTo(0.4, within(1e-6));
        }

        @Test
        void aBoundThatAMarkSpeaksAgainstCounts() {
            double pulled = blackAfterWhite(List.of(white, black(1.1, Bound.AT), black(1.3, Bound.AT_LEAST)));
            assertThat(pulled).isBetween(0.15, 0.25);
        }
    }
}
