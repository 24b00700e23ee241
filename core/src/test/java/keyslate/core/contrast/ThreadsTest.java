package keyslate.core.contrast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.random.RandomGenerator;
import keyslate.core.Draws;
import keyslate.core.contrast.Threads.Fit;
import keyslate.core.contrast.Threads.Tone;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class ThreadsTest {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final List<GradeFilter> SET = GradeFilter.set();

    private static Tone tone(double lightLog, double net) {
        return new Tone(lightLog, net, false, 1);
    }

    /** What a filter and a time make of a tone is what leads back to that filter and that time. */
    @ParameterizedTest
    @EnumSource(value = GradeFilter.class, mode = EnumSource.Mode.EXCLUDE, names = "NONE")
    void aPrintsOwnTonesLeadBackToItsFilterAndTime(GradeFilter filter) {
        FilterLight light = PAPER.lightThrough(filter);
        double white = PAPER.logBlueFor(0.1, light.ratio()) - light.blueLog();
        double black = PAPER.logBlueFor(1.6, light.ratio()) - light.blueLog();
        Threads threads = new Threads(
                PAPER,
                List.of(
                        tone(white - 1, 0.1),
                        tone((white + black) / 2 - 1, netAt(light, (white + black) / 2)),
                        tone(black - 1, 1.6)));
        Fit fit = threads.best(GradeFilter.G2, SET);
        assertThat(threads.filterOf(fit)).contains(filter);
        assertThat(Math.log10(fit.seconds())).isCloseTo(1, within(2e-3));
        assertThat(fit.cost()).isLessThan(1e-4);
    }

    private static double netAt(FilterLight light, double log) {
        return PAPER.netDensityAt(log + light.blueLog(), light.ratio());
    }

    /** One tone asks for a time alone: every filter can give it, and the one that stands stays. */
    @ParameterizedTest
    @EnumSource(GradeFilter.class)
    void oneThreadKeepsTheFilter(GradeFilter standing) {
        Threads threads = new Threads(PAPER, List.of(tone(-0.7, 0.4)));
        Fit fit = threads.best(standing, SET);
        assertThat(threads.filterOf(fit)).contains(standing);
        assertThat(fit.nets().get(0)).isCloseTo(0.4, within(0.002));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void noOtherTimeIsNearer(long seed) {
        RandomGenerator random = Draws.from(seed);
        List<Tone> tones = List.of(
                new Tone(random.nextDouble(-2, -1), random.nextDouble(0.05, 0.4), false, 4),
                new Tone(random.nextDouble(-1, -0.3), random.nextDouble(0.3, 1.2), false, 1),
                new Tone(random.nextDouble(-0.4, 0.4), random.nextDouble(1.2, 2), random.nextBoolean(), 1));
        Threads threads = new Threads(PAPER, tones);
        for (GradeFilter filter : List.of(GradeFilter.G00, GradeFilter.G2, GradeFilter.G5)) {
            Fit fit = threads.through(PAPER.lightThrough(filter));
            for (int i = -60; i <= 60; i++) {
                Fit other = threads.at(fit.light(), fit.seconds() * Math.pow(2, i / 20.0));
                assertThat(other.cost()).isGreaterThanOrEqualTo(fit.cost() - 1e-5);
            }
        }
        assertThat(threads.bestOfAll().cost())
                .isLessThanOrEqualTo(threads.best(GradeFilter.G2, SET).cost() + 1e-3);
    }

    @Test
    void aBlackThatMayBeDarkerAsksForNothingMoreOnceItIs() {
        Tone white = tone(-1.6, 0.1);
        Threads atLeast = new Threads(PAPER, List.of(white, new Tone(0.5, 1.54, true, 1)));
        Fit soft = atLeast.best(GradeFilter.G2, SET);
        assertThat(atLeast.filterOf(soft)).contains(GradeFilter.G2);
        assertThat(soft.nets().get(1)).isGreaterThan(1.54);
    }

    @Test
    void aHarderPrintIsAskedForByAHarderFilter() {
        Threads threads = new Threads(PAPER, List.of(tone(-1.6, 0.1), tone(-1.15, 1.6)));
        GradeFilter hard = threads.filterOf(threads.best(GradeFilter.G2, SET)).orElseThrow();
        assertThat(hard.grade().onScale()).isGreaterThan(3);
        Threads flat = new Threads(PAPER, List.of(tone(-1.6, 0.1), tone(-0.2, 1.2)));
        assertThat(flat.filterOf(flat.best(GradeFilter.G2, SET))
                        .orElseThrow()
                        .grade()
                        .onScale())
                .isLessThan(hard.grade().onScale());
    }

    @Test
    void densitiesThatNoPaperHasAreRefused() {
        assertThatThrownBy(() -> tone(0, 3)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> tone(Double.NaN, 1)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> new Threads(PAPER, List.of())).isInstanceOf(QuantityException.class);
    }
}
