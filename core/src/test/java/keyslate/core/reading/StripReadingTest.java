package keyslate.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.PatchPick;
import keyslate.core.exposure.TestSeries;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;

/** What two marks on a strip say. */
class StripReadingTest {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final List<ExposureTime> TOTALS =
            TestSeries.equalStops(ExposureTime.ofSeconds(5), Stops.ofFraction(1, 3), 9);

    @Test
    void whitesAloneGiveATimeAtTheGradeThatStands() {
        StripReading reading = read(4, null);
        assertThat(reading.time().inSeconds()).isCloseTo(TOTALS.get(4).inSeconds(), within(1e-9));
        assertThat(reading.filter()).isEqualTo(GradeFilter.G2);
        assertThat(reading.outcome()).isEmpty();
        assertThat(reading.uncertainty().inStops()).isCloseTo(1 / 6.0, within(1e-9));
        assertThat(reading.check().orElseThrow().patches()).isEqualTo(13);
    }

    @Test
    void bothMarksGiveAGradeAndTheTimeThatKeepsTheWhites() {
        StripReading reading = read(4, 6.0);
        GradeAdvice.Outcome outcome = reading.outcome().orElseThrow();
        assertThat(reading.filter()).isEqualTo(outcome.filter()).isGreaterThan(GradeFilter.G2);
        assertThat(reading.time()).isEqualTo(outcome.time());
        assertThat(reading.whites().inSeconds()).isCloseTo(TOTALS.get(4).inSeconds(), within(1e-9));
        assertThat(reading.blacks().orElseThrow().inSeconds())
                .isCloseTo(TOTALS.get(6).inSeconds(), within(1e-9));
    }

    @Test
    void aMarkOnAnEndLeavesAWholePatchOpen() {
        assertThat(read(0, null).uncertainty().inStops()).isCloseTo(1 / 3.0, within(1e-9));
        assertThat(read(8, null).uncertainty().inStops()).isCloseTo(1 / 3.0, within(1e-9));
        assertThat(read(4, 8.0).uncertainty().inStops()).isCloseTo(1 / 3.0, within(1e-9));
        assertThat(read(0.5, null).uncertainty().inStops()).isCloseTo(1 / 6.0, within(1e-9));
        assertThat(read(1, null).uncertainty().inStops()).isCloseTo(1 / 6.0, within(1e-9));
    }

    @Test
    void aFineStripNeedsNoOther() {
        List<ExposureTime> fine = TestSeries.equalStops(ExposureTime.ofSeconds(9), Stops.ofFraction(1, 12), 7);
        StripReading reading = StripReading.of(
                PAPER, GradeFilter.G2, fine, PatchPick.ofPosition(3), Optional.of(PatchPick.ofPosition(3)));
        assertThat(reading.check()).isEmpty();
        assertThat(reading.filter()).isEqualTo(GradeFilter.G2);
    }

    private static StripReading read(double whites, Double blacks) {
        return StripReading.of(
                PAPER,
                GradeFilter.G2,
                TOTALS,
                PatchPick.ofPosition(whites),
                Optional.ofNullable(blacks).map(PatchPick::ofPosition));
    }
}
