package keyslate.core.contrast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.random.RandomGenerator;
import keyslate.core.Draws;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Laws of the paper, its filters and the advice of a grade. */
class ContrastLawsTest {
    private final VariableContrastPaper paper = new VariableContrastPaper();

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void moreLightOfEitherColourNeverMakesAPrintLighter(long seed) {
        RandomGenerator random = Draws.from(seed);
        double blue = Draws.logBetween(random, 1e-3, 30);
        double green = Draws.logBetween(random, 1e-3, 30);
        double here = paper.netDensity(blue, green);
        assertThat(here).isBetween(0.0, VariableContrastPaper.NET_MAXIMUM);
        assertThat(paper.netDensity(blue * 1.1, green)).isGreaterThanOrEqualTo(here);
        assertThat(paper.netDensity(blue, green * 1.1)).isGreaterThanOrEqualTo(here);
    }

    @Test
    void noLightIsPaperWhite() {
        assertThat(paper.netDensity(0, 0)).isZero();
        assertThatThrownBy(() -> paper.netDensity(-1, 0)).hasMessage("blue exposure must be 0 or more, was −1");
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void theTimeForADensityGivesThatDensity(long seed) {
        RandomGenerator random = Draws.from(seed);
        Grade grade = Grade.of(random.nextDouble(-1, 5));
        double net = random.nextDouble(0.02, 2.0);
        assertThat(paper.netDensityAtGrade(grade, paper.logTimeFor(net, grade))).isCloseTo(net, within(1e-6));
    }

    @ParameterizedTest
    @EnumSource(value = GradeFilter.class, mode = EnumSource.Mode.EXCLUDE, names = "NONE")
    void aFilterGivesThePaperTheRangeOfItsGrade(GradeFilter filter) {
        double range = paper.isoRange(paper.lightThrough(filter).ratio());
        assertThat(range).isCloseTo(GradeScale.isoRangeOf(filter.grade()), within(0.01));
    }

    @ParameterizedTest
    @EnumSource(GradeFilter.class)
    void filtersAreMatchedInSpeedUpToThreeAndAHalfAndTakeTwiceTheTimeAbove(GradeFilter filter) {
        double stops = (paper.logTimeFor(VariableContrastPaper.SPEED_NET, filter.grade())
                        - paper.logTimeFor(VariableContrastPaper.SPEED_NET, Grade.of(2)))
                / Math.log10(2);
        assertThat(stops).isCloseTo(filter.grade().onScale() >= 4 ? 1 : 0, within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void pivotFactorsMultiplyAndTurnBack(long seed) {
        RandomGenerator random = Draws.from(seed);
        Grade a = Grade.of(random.nextDouble(-1, 5));
        Grade b = Grade.of(random.nextDouble(-1, 5));
        Grade c = Grade.of(random.nextDouble(-1, 5));
        double net = random.nextDouble(0.05, 1.8);
        double two = paper.pivotFactor(a, b, net) * paper.pivotFactor(b, c, net);
        assertThat(two / paper.pivotFactor(a, c, net)).isCloseTo(1, within(1e-6));
        assertThat(paper.pivotFactor(a, b, net) * paper.pivotFactor(b, a, net)).isCloseTo(1, within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void theScaleOfGradesGoesThereAndBackAndFalls(long seed) {
        RandomGenerator random = Draws.from(seed);
        Grade grade = Grade.of(random.nextDouble(-1, 5));
        assertThat(GradeScale.gradeOf(GradeScale.isoRangeOf(grade)).onScale()).isCloseTo(grade.onScale(), within(1e-9));
        Grade harder = Grade.of(Math.min(5, grade.onScale() + 0.1));
        assertThat(GradeScale.isoRangeOf(harder)).isLessThanOrEqualTo(GradeScale.isoRangeOf(grade));
    }

    @Test
    void outsideTheScaleThereIsNoGrade() {
        assertThat(GradeScale.reaches(39.9)).isFalse();
        assertThat(GradeScale.reaches(40)).isTrue();
        assertThatThrownBy(() -> GradeScale.gradeOf(171)).hasMessage("grades reach R 40 to 170, R 171 is needed");
    }

    @ParameterizedTest
    @CsvSource({"½,½", "1/2,½", "0.5,½", "'2,5',2½", "2 1/2,2½", "00,00", "0,0", " 4 ,4"})
    void aFilterIsFoundByWhatIsPrintedOnIt(String typed, String label) {
        assertThat(GradeFilter.ofLabel(typed).label()).isEqualTo(label);
    }

    @Test
    void zeroAndDoubleZeroAreTwoFilters() {
        assertThat(GradeFilter.ofLabel("00")).isNotEqualTo(GradeFilter.ofLabel("0"));
        assertThatThrownBy(() -> GradeFilter.ofLabel("6"))
                .hasMessage("grade must be 00, 0, ½, 1 and so on to 5, or “no filter”, was “6”");
    }

    @Test
    void ofTwoFiltersEquallyNearTheSofterIsTaken() {
        assertThat(GradeFilter.nearest(Grade.of(2.25))).isEqualTo(GradeFilter.G2);
        assertThat(GradeFilter.nearest(Grade.of(-0.5))).isEqualTo(GradeFilter.G00);
    }

    @Test
    void lateBlacksAskForAHarderGradeAndEarlyOnesForASofter() {
        ExposureTime whites = ExposureTime.ofSeconds(10);
        GradeAdvice.Outcome late = GradeAdvice.fromStrip(paper, GradeFilter.G2, whites, ExposureTime.ofSeconds(14));
        GradeAdvice.Outcome early = GradeAdvice.fromStrip(paper, GradeFilter.G2, whites, ExposureTime.ofSeconds(8));
        GradeAdvice.Outcome right = GradeAdvice.fromStrip(paper, GradeFilter.G2, whites, whites);
        assertThat(((GradeAdvice.Reached) late).exactGrade().onScale()).isGreaterThan(2);
        assertThat(((GradeAdvice.Reached) early).exactGrade().onScale()).isLessThan(2);
        assertThat(((GradeAdvice.Reached) right).filter()).isEqualTo(GradeFilter.G2);
        assertThat(GradeAdvice.beside(paper, GradeFilter.G2, late)).contains(GradeFilter.G2_5);
        assertThat(GradeAdvice.beside(paper, GradeFilter.G2, early)).contains(GradeFilter.G1_5);
        assertThat(GradeAdvice.beside(paper, GradeFilter.G5, late)).contains(GradeFilter.G4_5);
        assertThat(GradeAdvice.beside(paper, GradeFilter.G00, early)).contains(GradeFilter.G0);
        assertThat(((GradeAdvice.Reached) right).time().inSeconds()).isCloseTo(10, within(1e-9));
        assertThat(late.blacksLate().inStops()).isPositive();
    }

    @Test
    void beyondTheSetTheAdviceSaysSoInsteadOfFailing() {
        ExposureTime whites = ExposureTime.ofSeconds(10);
        assertThat(GradeAdvice.fromStrip(paper, GradeFilter.G4, whites, ExposureTime.ofSeconds(80)))
                .isInstanceOf(GradeAdvice.TooHard.class);
        assertThat(GradeAdvice.fromStrip(paper, GradeFilter.G0, whites, ExposureTime.ofSeconds(2)))
                .isInstanceOf(GradeAdvice.TooSoft.class);
    }

    /** A negative printed at the advised grade and time has its white and its black where they belong. */
    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void theAdvisedGradePutsBothTonesRight(long seed) {
        RandomGenerator random = Draws.from(seed);
        GradeFilter now = GradeFilter.set().get(random.nextInt(GradeFilter.set().size()));
        double range = random.nextDouble(0.45, 1.6);
        double logWhites = paper.logTimeFor(VariableContrastPaper.HIGHLIGHT_NET, now.grade()) + range;
        double logBlacks = paper.logTimeFor(VariableContrastPaper.SHADOW_NET, now.grade());
        GradeAdvice.Outcome advice = GradeAdvice.fromStrip(
                paper,
                now,
                ExposureTime.ofSeconds(Math.pow(10, logWhites)),
                ExposureTime.ofSeconds(Math.pow(10, logBlacks)));
        assertThat(advice.neededRange()).isCloseTo(100 * range, within(0.01));
        if (advice instanceof GradeAdvice.Reached reached) {
            double logTime = Math.log10(reached.time().inSeconds());
            double white = paper.netDensityAtGrade(reached.filter().grade(), logTime - range);
            assertThat(white).isCloseTo(VariableContrastPaper.HIGHLIGHT_NET, within(0.001));
            double black = paper.netDensityAtGrade(reached.filter().grade(), logTime);
            // The nearest filter is up to a quarter grade (half between 00 and 0) off: R by up to 10.
            assertThat(black).isGreaterThan(VariableContrastPaper.SHADOW_NET - 0.3);
        }
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void aSplitIsWorthOneGradeAndThatGradeGivesTheSplitBack(long seed) {
        RandomGenerator random = Draws.from(seed);
        SplitExposure split = new SplitExposure(paper, Grade.of(-1), Grade.of(5));
        double soft = Draws.logBetween(random, 0.5, 20);
        double hard = Draws.logBetween(random, 0.5, 20);
        SplitExposure.Single single = split.equivalent(soft, hard);
        SplitExposure.Pair back = split.of(single.grade(), single.time());
        assertThat(back.softSeconds()).isCloseTo(soft, within(1e-4 * soft));
        assertThat(back.hardSeconds()).isCloseTo(hard, within(1e-4 * hard));
        Density tone = Density.of(random.nextDouble(0.2, 1.4));
        double one = VariableContrastPaper.PAPER_WHITE
                + paper.netDensityAtGrade(
                        single.grade(), Math.log10(single.time().inSeconds()) - tone.inLog10());
        assertThat(split.printDensity(soft, hard, tone)).isCloseTo(one, within(1e-4));
    }

    @Test
    void anExactSplitPutsBothTonesRightWhereTheOtherSchoolsDoNot() {
        SplitExposure split = new SplitExposure(paper, Grade.of(-1), Grade.of(5));
        Density high = Density.of(1.25);
        Density shadow = Density.of(0.25);
        SplitExposure.Found exact = split.find(SplitExposure.School.EXACT, high, shadow, 0.15, 1.70);
        SplitExposure.Found overlaid = split.find(SplitExposure.School.OVERLAID, high, shadow, 0.15, 1.70);
        SplitExposure.Found apart = split.find(SplitExposure.School.INDEPENDENT, high, shadow, 0.15, 1.70);
        assertThat(exact.highlightError()).isCloseTo(0, within(1e-6));
        assertThat(exact.shadowError()).isCloseTo(0, within(1e-6));
        assertThat(overlaid.highlightError()).isPositive();
        assertThat(apart.shadowError()).isGreaterThan(overlaid.shadowError());
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void aColourHeadReachesTheGradeItIsSetFor(long seed) {
        ColourHead head = new ColourHead(paper);
        Grade grade = Grade.of(Draws.from(seed).nextDouble(0, 4.2));
        ColourHead.Setting single = head.single(grade);
        assertThat(head.gradeOf(head.lightOf(single.yellow(), single.magenta())).onScale())
                .isCloseTo(grade.onScale(), within(1e-6));
        ColourHead.Setting dual = head.dual(grade, 0.5);
        assertThat(head.gradeOf(head.lightOf(dual.yellow(), dual.magenta())).onScale())
                .isCloseTo(grade.onScale(), within(1e-6));
        assertThat(dual.timeFactor()).isCloseTo(Math.sqrt(10), within(1e-6));
    }

    @Test
    void aBurnAtTheBasesGradeIsThePlainBurnAndABlackToneTakesNone() {
        MixedBurn burn = new MixedBurn(paper);
        ExposureTime base = ExposureTime.ofSeconds(10);
        MixedBurn.Burn same = burn.of(Grade.of(2), base, 1.2, Stops.of(1), Grade.of(2));
        assertThat(same.seconds()).isCloseTo(10, within(1e-9));
        assertThat(burn.of(Grade.of(2), base, 1.2, Stops.of(0), Grade.of(5)).seconds())
                .isZero();
        assertThatThrownBy(() -> burn.of(Grade.of(2), base, -0.5, Stops.of(1), Grade.of(5)))
                .hasMessage("this tone is black already: a burn shows nothing");
    }
}
