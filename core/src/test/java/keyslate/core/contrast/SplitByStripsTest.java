package keyslate.core.contrast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import keyslate.core.contrast.SplitByStrips.Marks;
import keyslate.core.contrast.SplitByStrips.School;
import keyslate.core.contrast.SplitExposure.Pair;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.numeric.Bisection;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Strips of a negative whose white lets 0.05 through and whose black lies so many log10 below it. */
class SplitByStripsTest {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final double WHITE = -1.3;
    private static final double RANGE = 0.95;

    private static ExposureTime time(FilterLight light, double tone, double net) {
        return ExposureTime.ofSeconds(Math.pow(10, PAPER.logBlueFor(net, light.ratio()) - light.blueLog() - tone));
    }

    private static Marks strip(GradeFilter filter, FilterLight light) {
        return new Marks(
                filter,
                Optional.of(time(light, WHITE, VariableContrastPaper.HIGHLIGHT_NET)),
                Optional.of(time(light, WHITE + RANGE, VariableContrastPaper.SHADOW_NET)));
    }

    private static FilterLight nominal(GradeFilter filter) {
        return PAPER.lightThrough(filter);
    }

    /** A filter of another speed and range than its name says. */
    private static FilterLight off(GradeFilter filter, double speed, double ratio) {
        FilterLight light = nominal(filter);
        return new FilterLight(light.blueLog() + speed, light.greenLog() + speed + ratio);
    }

    private static double net(FilterLight soft, FilterLight hard, Pair pair, double tone) {
        double through = Math.pow(10, tone);
        return PAPER.netDensity(
                through
                        * (pair.softSeconds() * Math.pow(10, soft.blueLog())
                                + pair.hardSeconds() * Math.pow(10, hard.blueLog())),
                through
                        * (pair.softSeconds() * Math.pow(10, soft.greenLog())
                                + pair.hardSeconds() * Math.pow(10, hard.greenLog())));
    }

    /** Filters that are as their names say lead to the pair of the one grade that would do it. */
    @Test
    void nominalFiltersLeadToThePairOfTheOneGrade() {
        SplitByStrips split = new SplitByStrips(
                PAPER,
                strip(GradeFilter.G00, nominal(GradeFilter.G00)),
                strip(GradeFilter.G5, nominal(GradeFilter.G5)));
        assertThat(split.range()).isCloseTo(RANGE, within(1e-6));
        Pair exact = split.pair(School.EXACT);
        SplitExposure.Single single = new SplitExposure(PAPER, GradeFilter.G00.grade(), GradeFilter.G5.grade())
                .equivalent(exact.softSeconds(), exact.hardSeconds());
        assertThat(single.isoRange()).isCloseTo(100 * RANGE, within(0.5));
        assertThat(split.nets(exact)[0]).isCloseTo(VariableContrastPaper.HIGHLIGHT_NET, within(1e-4));
        assertThat(split.nets(exact)[1]).isCloseTo(VariableContrastPaper.SHADOW_NET, within(1e-4));
    }

    /** Filters off in speed are seen through their strips: both tones come out right on the paper itself. */
    @ParameterizedTest
    @ValueSource(doubles = {-0.2, -0.05, 0.1, 0.25})
    void speedsThatNobodyKnewDoNotMatter(double speed) {
        FilterLight soft = off(GradeFilter.G00, speed, 0);
        FilterLight hard = off(GradeFilter.G5, -speed, 0);
        Pair exact =
                new SplitByStrips(PAPER, strip(GradeFilter.G00, soft), strip(GradeFilter.G5, hard)).pair(School.EXACT);
        assertThat(net(soft, hard, exact, WHITE)).isCloseTo(VariableContrastPaper.HIGHLIGHT_NET, within(1e-3));
        assertThat(net(soft, hard, exact, WHITE + RANGE)).isCloseTo(VariableContrastPaper.SHADOW_NET, within(0.01));
    }

    /** Added as marked the whites get too much; overlaid the black is right; exact is right twice. */
    @Test
    void schoolsDifferInWhatTheyGetRight() {
        SplitByStrips split = new SplitByStrips(
                PAPER,
                strip(GradeFilter.G00, nominal(GradeFilter.G00)),
                strip(GradeFilter.G5, nominal(GradeFilter.G5)));
        double[] marked = split.nets(split.pair(School.AS_MARKED));
        double[] overlaid = split.nets(split.pair(School.OVERLAID));
        double[] halves = split.nets(split.pair(School.FAIR_HALVES));
        assertThat(marked[0]).isGreaterThan(VariableContrastPaper.HIGHLIGHT_NET + 0.005);
        assertThat(marked[1]).isGreaterThan(VariableContrastPaper.SHADOW_NET + 0.02);
        assertThat(overlaid[1]).isCloseTo(VariableContrastPaper.SHADOW_NET, within(1e-4));
        assertThat(overlaid[0]).isBetween(VariableContrastPaper.HIGHLIGHT_NET, marked[0]);
        assertThat(halves[0]).isCloseTo(VariableContrastPaper.HIGHLIGHT_NET, within(0.03));
    }

    /** The whites through the soft filter and the black through the hard one are enough; the rest is nominal then. */
    @Test
    void twoMarksAreEnough() {
        Marks soft = strip(GradeFilter.G00, nominal(GradeFilter.G00));
        Marks hard = strip(GradeFilter.G5, nominal(GradeFilter.G5));
        SplitByStrips two = new SplitByStrips(
                PAPER,
                new Marks(soft.filter(), soft.whites(), Optional.empty()),
                new Marks(hard.filter(), Optional.empty(), hard.blacks()));
        Pair few = two.pair(School.EXACT);
        Pair all = new SplitByStrips(PAPER, soft, hard).pair(School.EXACT);
        assertThat(few.softSeconds()).isCloseTo(all.softSeconds(), within(0.001 * all.softSeconds()));
        assertThat(few.hardSeconds()).isCloseTo(all.hardSeconds(), within(0.001 * all.hardSeconds()));
        assertThatThrownBy(
                        () -> new SplitByStrips(PAPER, new Marks(soft.filter(), Optional.empty(), soft.blacks()), hard))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("whites");
        assertThatThrownBy(
                        () -> new SplitByStrips(PAPER, soft, new Marks(hard.filter(), hard.whites(), Optional.empty())))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("black");
    }

    private static Pair times(Pair pair, double factor) {
        return new Pair(pair.softSeconds() * factor, pair.hardSeconds() * factor);
    }

    /** By how much a pair has to be longer or shorter until a tone has a density. */
    private static double until(FilterLight soft, FilterLight hard, Pair pair, double tone, double wanted) {
        return Math.pow(
                10, Bisection.solve(log -> net(soft, hard, times(pair, Math.pow(10, log)), tone), wanted, -2, 2, 60));
    }

    /** Both filters are softer than their names by the same 7 ISO units and one of them slower: a strip of both parts cancels it, strips through each cannot. */
    @ParameterizedTest
    @ValueSource(doubles = {0.7, 0.95, 1.2})
    void whatBothFiltersAreOffByCancelsOnAStripOfBothParts(double range) {
        FilterLight soft = off(GradeFilter.G00, 0.04, 0.1);
        FilterLight hard = off(GradeFilter.G5, -0.03, 0.1);
        Pair about = new SplitExposure(PAPER, GradeFilter.G00.grade(), GradeFilter.G5.grade())
                .of(PAPER.lightAt(Grade.of(2.5)), ExposureTime.ofSeconds(10));
        double whites = until(soft, hard, about, WHITE, VariableContrastPaper.HIGHLIGHT_NET);
        double black = until(soft, hard, about, WHITE + range, VariableContrastPaper.SHADOW_NET);
        Pair found = SplitByStrips.bySum(
                PAPER,
                SplitByStrips.Lights.of(PAPER, GradeFilter.G00, GradeFilter.G5),
                times(about, whites),
                times(about, black));
        assertThat(net(soft, hard, found, WHITE)).isCloseTo(VariableContrastPaper.HIGHLIGHT_NET, within(0.02));
        assertThat(net(soft, hard, found, WHITE + range)).isCloseTo(VariableContrastPaper.SHADOW_NET, within(0.12));
        Pair again = SplitByStrips.bySum(
                PAPER,
                SplitByStrips.Lights.of(PAPER, GradeFilter.G00, GradeFilter.G5),
                times(found, until(soft, hard, found, WHITE, VariableContrastPaper.HIGHLIGHT_NET)),
                times(found, until(soft, hard, found, WHITE + range, VariableContrastPaper.SHADOW_NET)));
        assertThat(net(soft, hard, again, WHITE + range)).isCloseTo(VariableContrastPaper.SHADOW_NET, within(0.02));
    }

    /** The hard part in steps on the whole soft one: the marks lie at pairs of different shares. */
    @Test
    void theHardPartOnTheWholeSoftOneTellsThePairToo() {
        FilterLight soft = nominal(GradeFilter.G00);
        FilterLight hard = nominal(GradeFilter.G5);
        double firm = time(soft, WHITE, VariableContrastPaper.HIGHLIGHT_NET).inSeconds() * 0.8;
        double forWhites = Bisection.solve(
                t -> net(soft, hard, new Pair(firm, t), WHITE), VariableContrastPaper.HIGHLIGHT_NET, 0, 1000, 60);
        double forBlack = Bisection.solve(
                t -> net(soft, hard, new Pair(firm, t), WHITE + RANGE), VariableContrastPaper.SHADOW_NET, 0, 1000, 60);
        Pair found = SplitByStrips.bySum(
                PAPER,
                SplitByStrips.Lights.of(PAPER, GradeFilter.G00, GradeFilter.G5),
                new Pair(firm, forWhites),
                new Pair(firm, forBlack));
        assertThat(net(soft, hard, found, WHITE)).isCloseTo(VariableContrastPaper.HIGHLIGHT_NET, within(1e-3));
        assertThat(net(soft, hard, found, WHITE + RANGE)).isCloseTo(VariableContrastPaper.SHADOW_NET, within(1e-3));
    }
}
