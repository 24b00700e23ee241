package keyslate.core.contrast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import keyslate.core.calibration.FilterReadings;
import keyslate.core.light.Light;
import keyslate.core.medium.Monochrome;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.NextRecipe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Paper of one contrast (CON-26). */
class GradedPaperTest {
    private static final VariableContrastPaper PLAIN = new VariableContrastPaper();
    private static final double WHITE = VariableContrastPaper.WHITE_LIGHT_RATIO;

    @ParameterizedTest
    @ValueSource(doubles = {40, 66, 90, 110, 150})
    void itsCurveIsThatOfWhiteLightStretchedAboutTheSpeedPoint(double range) {
        VariableContrastPaper paper = VariableContrastPaper.ofOneGrade(range, 10);
        assertThat(paper.isoRange(WHITE)).isCloseTo(range, within(1e-6));
        double speed = PLAIN.logBlueFor(VariableContrastPaper.SPEED_NET, WHITE);
        double stretch = range / PLAIN.isoRange(WHITE);
        for (double net : new double[] {0.04, 0.3, 0.6, 1.2, 1.845}) {
            assertThat(paper.logBlueFor(net, WHITE))
                    .isCloseTo(speed + stretch * (PLAIN.logBlueFor(net, WHITE) - speed), within(1e-6));
        }
    }

    @Test
    void noLightChangesItsContrast() {
        VariableContrastPaper paper = PaperGrades.paper(Grade.of(3));
        assertThat(paper.netDensityAt(-0.2, -1)).isEqualTo(paper.netDensityAt(-0.2, 2));
        assertThat(paper.lightThrough(GradeFilter.G5)).isEqualTo(VariableContrastPaper.WHITE_LIGHT);
        assertThat(paper.set()).containsExactly(GradeFilter.NONE);
        assertThat(paper.rangeThrough(GradeFilter.NONE)).isEqualTo(90);
        assertThat(paper.netDensity(0, 1)).isZero();
        assertThatThrownBy(() -> paper.ratioForRange(80))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("one contrast");
        Monochrome medium = new Monochrome(paper);
        assertThat(medium.plainLight()).isEqualTo(Light.filter(GradeFilter.NONE));
        assertThat(medium.beside(medium.plainLight())).hasSize(1);
        assertThatThrownBy(() -> medium.read("grade 3")).hasMessageContaining("no filter");
    }

    @Test
    void blacksThatComeLateAskForAnotherBox() {
        VariableContrastPaper paper = PaperGrades.paper(Grade.of(2));
        ExposureTime whites = ExposureTime.ofSeconds(10);
        ExposureTime late = whites.plus(Stops.of(1));
        GradeAdvice.Outcome outcome = GradeAdvice.fromStrip(paper, GradeFilter.NONE, whites, late);
        assertThat(outcome).isInstanceOf(GradeAdvice.TooHard.class);
        assertThat(outcome.neededRange()).isCloseTo(80, within(0.2));
        assertThat(outcome.time()).isEqualTo(whites);
        List<Grade> made = IntStream.rangeClosed(0, 5).mapToObj(Grade::of).toList();
        assertThat(PaperGrades.nearest(made, outcome.neededRange())).contains(Grade.of(3));
        assertThat(PaperGrades.nearest(List.of(), 80)).isEmpty();
        // Within half a grade none is nearer.
        assertThat(GradeAdvice.fromStrip(paper, GradeFilter.NONE, whites, whites.plus(Stops.of(0.3))))
                .isInstanceOf(GradeAdvice.Reached.class);
    }

    /** Tones of a negative that fits R 66, wanted as grade 4 prints them. */
    @Test
    void threadsAskForTheGradeThatHoldsThem() {
        VariableContrastPaper four = PaperGrades.paper(Grade.of(4));
        List<Threads.Tone> tones = DoubleStream.of(0.1, 0.6, 1.5)
                .mapToObj(net -> new Threads.Tone(four.logBlueFor(net, WHITE) - 1, net, false, 1))
                .toList();
        List<Grade> made = IntStream.rangeClosed(0, 5).mapToObj(Grade::of).toList();
        Optional<Grade> best = PaperGrades.best(made, tones);
        assertThat(best).contains(Grade.of(4));
        assertThat(PaperGrades.fit(Grade.of(4), tones).seconds()).isCloseTo(10, within(0.01));
        assertThat(PaperGrades.fit(Grade.of(2), tones).cost())
                .isGreaterThan(PaperGrades.fit(Grade.of(4), tones).cost() + 0.05);
    }

    @Test
    void fromBoxToBoxALightToneIsHeld() {
        VariableContrastPaper two = PaperGrades.paper(Grade.of(2));
        VariableContrastPaper four = PaperGrades.paper(Grade.of(4));
        double factor = PaperGrades.timeFactor(two, GradeFilter.NONE, four, GradeFilter.NONE, 0.10);
        double log = -0.6;
        assertThat(two.netDensityAt(two.logBlueFor(0.10, WHITE), WHITE))
                .isCloseTo(four.netDensityAt(two.logBlueFor(0.10, WHITE) + Math.log10(factor), WHITE), within(1e-6));
        assertThat(factor).isCloseTo(1.463, within(0.001));
        assertThat(two.netDensityAt(log, WHITE)).isNotEqualTo(four.netDensityAt(log, WHITE));
        NextRecipe next =
                NextRecipe.after(two, GradeFilter.NONE, ExposureTime.ofSeconds(10), Stops.ofFraction(1, 3), 1);
        assertThat(next.gradeShort()).isEqualTo(1);
        assertThat(next.time().inSeconds()).isCloseTo(12.6, within(0.01));
    }

    @ParameterizedTest
    @ValueSource(doubles = {48, 66, 95, 110, 140})
    void itsRangeIsReadFromAStepNegative(double range) {
        VariableContrastPaper paper = VariableContrastPaper.ofOneGrade(range, 0);
        List<Double> densities = IntStream.range(0, 24)
                .mapToObj(i -> 0.06 + paper.netDensityAt(1.2 - i * 0.12, WHITE))
                .toList();
        FilterReadings.Light found = FilterReadings.bySteps(
                ExposureTime.ofSeconds(20),
                0.12,
                densities,
                FilterReadings.Ends.of(List.of(densities)),
                FilterReadings.Curve.GRADED);
        assertThat(found.isoRange()).isCloseTo(range, within(1.0));
        assertThat(found.residual()).isLessThan(0.01);
        double whites = paper.logBlueFor(0.04, WHITE) - 1.2 + Math.log10(20);
        assertThat(found.whitesLogSeconds()).isCloseTo(whites, within(0.01));
    }
}
