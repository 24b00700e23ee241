package keyslate.core.contrast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import keyslate.core.contrast.FilterTable.Entry;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A paper whose filters were measured, and the dials of a head. */
class MeasuredFiltersTest {
    private static final VariableContrastPaper PLAIN = new VariableContrastPaper();
    private static final double WHITE = VariableContrastPaper.HIGHLIGHT_NET;
    private static final double STOP = Math.log10(2);

    private static FilterTable two(double factorLog, double range) {
        return new FilterTable(
                GradeFilter.G2,
                Map.of(GradeFilter.G2, new Entry(0, 0, 112, 2), GradeFilter.G4, new Entry(factorLog, 0.1, range, 3)));
    }

    @Test
    void timeAndRangeAreThoseOfTheTable() {
        VariableContrastPaper paper = new VariableContrastPaper(two(0.4, 75));
        assertThat(Math.log10(paper.pivotFactor(GradeFilter.G2, GradeFilter.G4, WHITE)))
                .isCloseTo(0.4, within(1e-6));
        FilterLight light = paper.lightThrough(GradeFilter.G4);
        assertThat(paper.isoRange(light.ratio())).isCloseTo(75, within(1e-4));
        assertThat(paper.rangeThrough(GradeFilter.G4)).isEqualTo(75);
        assertThat(paper.gradeThrough(GradeFilter.G4).onScale()).isBetween(3.5, 4.0);
        assertThat(paper.lightAt(Grade.of(4))).isEqualTo(light);
    }

    @Test
    void whatTheTableDoesNotKnowStaysAndGradesBetweenTakeAPartOfBoth() {
        VariableContrastPaper paper = new VariableContrastPaper(two(0.4, 66));
        assertThat(paper.lightThrough(GradeFilter.G1)).isEqualTo(PLAIN.lightThrough(GradeFilter.G1));
        double before = PLAIN.pivotFactor(GradeFilter.G2, GradeFilter.G4, WHITE);
        double after = paper.pivotFactor(GradeFilter.G2, GradeFilter.G4, WHITE);
        double share = Math.log(paper.pivotFactor(Grade.of(2), Grade.of(3.75), WHITE)
                        / PLAIN.pivotFactor(Grade.of(2), Grade.of(3.75), WHITE))
                / Math.log(after / before);
        assertThat(share).isBetween(0.2, 0.9);
    }

    @Test
    void puttingAFilterInIsAFigureOfItsOwn() {
        assertThat(Math.log10(PLAIN.pivotFactor(GradeFilter.NONE, GradeFilter.G2, 0.6)) / STOP)
                .isCloseTo(1.11, within(0.01));
        assertThat(PLAIN.rangeThrough(GradeFilter.NONE)).isEqualTo(110);
        FilterTable table = new FilterTable(
                GradeFilter.NONE,
                Map.of(GradeFilter.NONE, new Entry(0, 0, 118, 2), GradeFilter.G2, new Entry(0.45, 0.05, 110, 2)));
        VariableContrastPaper paper = new VariableContrastPaper(table);
        assertThat(Math.log10(paper.pivotFactor(GradeFilter.NONE, GradeFilter.G2, WHITE)))
                .isCloseTo(0.45, within(1e-6));
        assertThat(paper.isoRange(paper.lightThrough(GradeFilter.NONE).ratio())).isCloseTo(118, within(1e-4));
    }

    /** Two filters that cost half a stop more than thought against none: the others of the set do too, and from grade to grade nothing moves. */
    @Test
    void whatPuttingAFilterInCostsHoldsForTheWholeSet() {
        double half = 0.5 * STOP;
        double two = Math.log10(PLAIN.pivotFactor(GradeFilter.NONE, GradeFilter.G2, WHITE)) + half;
        double four = Math.log10(PLAIN.pivotFactor(GradeFilter.NONE, GradeFilter.G4, WHITE)) + half;
        VariableContrastPaper paper = new VariableContrastPaper(new FilterTable(
                GradeFilter.NONE,
                Map.of(
                        GradeFilter.NONE, new Entry(0, 0, 110, 2),
                        GradeFilter.G2, new Entry(two, 0.1, 110, 2),
                        GradeFilter.G4, new Entry(four, 0.1, 66, 2))));
        assertThat(Math.log10(paper.pivotFactor(GradeFilter.NONE, GradeFilter.G3, WHITE)
                        / PLAIN.pivotFactor(GradeFilter.NONE, GradeFilter.G3, WHITE)))
                .isCloseTo(half, within(1e-3));
        assertThat(paper.pivotFactor(GradeFilter.G2, GradeFilter.G2_5, WHITE))
                .isCloseTo(PLAIN.pivotFactor(GradeFilter.G2, GradeFilter.G2_5, WHITE), within(0.01));
        assertThat(paper.lightAt(Grade.of(2.5))).isEqualTo(paper.lightThrough(GradeFilter.G2_5));
    }

    @Test
    void adviceTakesTheFilterThatPrintsNearestWhateverIsWrittenOnIt() {
        // Grade 3 of this set prints like a 2½.
        FilterTable table = new FilterTable(
                GradeFilter.G2,
                Map.of(GradeFilter.G2, new Entry(0, 0, 110, 2), GradeFilter.G3, new Entry(0, 0.1, 100.5, 2)));
        VariableContrastPaper paper = new VariableContrastPaper(table);
        ExposureTime ten = ExposureTime.ofSeconds(10);
        assertThat(GradeAdvice.forRange(PLAIN, GradeFilter.G2, ten, 90).filter())
                .isEqualTo(GradeFilter.G3);
        assertThat(GradeAdvice.forRange(PLAIN, GradeFilter.G2, ten, 86).filter())
                .isEqualTo(GradeFilter.G3);
        assertThat(GradeAdvice.forRange(paper, GradeFilter.G2, ten, 86).filter())
                .isEqualTo(GradeFilter.G3_5);
    }

    @Test
    void aTableIsLaidOverAnotherAgainstOneReference() {
        FilterTable measured = two(0.4, 70);
        FilterTable learned = new FilterTable(
                GradeFilter.G4,
                Map.of(GradeFilter.G4, new Entry(0, 0, 71, 1), GradeFilter.G5, new Entry(0.1, 0.05, 50, 2)));
        FilterTable both = learned.over(measured);
        assertThat(both.reference()).isEqualTo(GradeFilter.G4);
        assertThat(both.of(GradeFilter.G2).orElseThrow().whitesLog()).isCloseTo(-0.4, within(1e-12));
        assertThat(both.of(GradeFilter.G4).orElseThrow().isoRange()).isEqualTo(71);
        FilterTable apart = new FilterTable(GradeFilter.G0, Map.of(GradeFilter.G0, new Entry(0, 0, 150, 1)));
        assertThat(apart.over(measured)).as("nothing to compare with").isEqualTo(measured);
        FilterTable otherWay = new FilterTable(
                GradeFilter.G5,
                Map.of(GradeFilter.G5, new Entry(0, 0, 50, 2), GradeFilter.G2, new Entry(-0.5, 0.05, 111, 1)));
        assertThat(otherWay.over(measured).reference()).isEqualTo(GradeFilter.G2);
        assertThat(otherWay.over(measured).of(GradeFilter.G5).orElseThrow().whitesLog())
                .isCloseTo(0.5, within(1e-12));
        assertThat(FilterTable.NOTHING.over(measured)).isEqualTo(measured);
        assertThat(measured.over(FilterTable.NOTHING)).isEqualTo(measured);
        assertThatThrownBy(() -> new FilterTable(GradeFilter.G1, measured.entries()))
                .isInstanceOf(QuantityException.class);
    }

    @Test
    void noFilterIsWrittenAndReadBack() {
        assertThat(GradeFilter.ofLabel("no filter")).isEqualTo(GradeFilter.NONE);
        assertThat(GradeFilter.NONE.written()).isEqualTo("no filter");
        assertThat(GradeFilter.set()).hasSize(12).doesNotContain(GradeFilter.NONE);
        assertThat(GradeFilter.nearest(Grade.of(2))).isEqualTo(GradeFilter.G2);
    }

    @Nested
    class Heads {
        @ParameterizedTest
        @EnumSource(value = HeadTable.Way.class, mode = EnumSource.Mode.EXCLUDE, names = "OWN")
        void everyGradeThatIsReachedPrintsAsItIsCalled(HeadTable.Way way) {
            HeadTable table = HeadTable.generic(PLAIN, way);
            FilterTable filters = table.filters(PLAIN);
            assertThat(filters.closed()).isTrue();
            table.settings().forEach((filter, setting) -> {
                assertThat(filters.of(filter).orElseThrow().isoRange())
                        .as(way + " " + filter)
                        .isCloseTo(GradeScale.isoRangeOf(filter.grade()), within(0.01));
                if (way == HeadTable.Way.PAIRED) {
                    assertThat(setting.yellow() + setting.magenta()).isCloseTo(130, within(1e-9));
                }
                if (way == HeadTable.Way.CONSTANT_TIME) {
                    assertThat(Math.log10(setting.timeFactor())).isCloseTo(0.5, within(1e-6));
                }
            });
        }

        @Test
        void aHeadSaysHowFarItReaches() {
            HeadTable single = HeadTable.generic(PLAIN, HeadTable.Way.SINGLE);
            assertThat(single.hardest()).contains(GradeFilter.G4_5);
            assertThat(single.softest()).contains(GradeFilter.G0);
            VariableContrastPaper paper = new VariableContrastPaper(single.filters(PLAIN));
            assertThat(paper.set())
                    .doesNotContain(GradeFilter.G5, GradeFilter.G00)
                    .contains(GradeFilter.G2);
            GradeAdvice.Outcome outcome = GradeAdvice.forRange(paper, GradeFilter.G2, ExposureTime.ofSeconds(10), 42);
            assertThat(outcome).isInstanceOf(GradeAdvice.TooHard.class);
            assertThat(outcome.filter()).isEqualTo(GradeFilter.G4_5);
        }

        @Test
        void dialsThatAreOffDoWhatTheirLimitsSay() {
            HeadTable table = HeadTable.generic(PLAIN, HeadTable.Way.SINGLE);
            Entry hard = table.filters(PLAIN).of(GradeFilter.G4).orElseThrow();
            double[] scale = table.effect(PLAIN, GradeFilter.G4, HeadTable.Error.MAGENTA_SCALE);
            double[] offset = table.effect(PLAIN, GradeFilter.G4, HeadTable.Error.MAGENTA_OFFSET);
            assertThat(scale[1]).as("a dial that gives more is harder").isNegative();
            assertThat(Math.abs(0.2 * scale[1] + 6 * offset[1]))
                    .isCloseTo(hard.limitRange(), within(hard.limitRange() / 3));
            assertThat(table.effect(PLAIN, GradeFilter.G4, HeadTable.Error.YELLOW_SCALE))
                    .containsExactly(0, 0);
            assertThat(table.effect(PLAIN, GradeFilter.G5, HeadTable.Error.LAMP))
                    .containsExactly(0, 0);
        }
    }
}
