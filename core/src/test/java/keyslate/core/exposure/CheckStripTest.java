package keyslate.core.exposure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import keyslate.core.exposure.TimeEvidence.Reading;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Which strip comes next, and what several readings say together. */
class CheckStripTest {
    private static final ExposureTime TEN = ExposureTime.ofSeconds(10);

    @ParameterizedTest
    @CsvSource({
        "0.1667, 12, 13", // half a third of a stop: twelfths, half a stop to either side
        "0.0833, 12, 7",
        "0.25, 12, 15", // the finest that reaches half a stop with 15 patches at most
        "0.5, 6, 15",
        "0.6, 6, 15",
        "1, 3, 15",
        "30, 2, 15"
    })
    void theStepIsTheFinestThatReachesTwiceWhatIsOpen(double open, int perStop, int patches) {
        CheckStrip strip = CheckStrip.after(TEN, Stops.of(open)).orElseThrow();
        assertThat(strip.step()).isEqualTo(Stops.ofFraction(1, perStop));
        assertThat(strip.patches()).isEqualTo(patches);
        assertThat(strip.centre()).isEqualTo(TEN);
    }

    @Test
    void aReadingToHalfATwelfthIsSettled() {
        assertThat(CheckStrip.after(TEN, Stops.ofFraction(1, 24))).isEmpty();
        assertThat(CheckStrip.after(TEN, Stops.ofFraction(1, 18))).isEmpty();
        assertThat(CheckStrip.after(TEN, Stops.ofFraction(1, 17))).isPresent();
        assertThat(CheckStrip.after(TEN, Stops.ZERO)).isEqualTo(Optional.empty());
        assertThatThrownBy(() -> CheckStrip.after(TEN, Stops.of(-0.1))).isInstanceOf(QuantityException.class);
    }

    @Test
    void theFirstStripIsWideAndThoseBeyondAnEndSeeOnePatchAgain() {
        CheckStrip first = CheckStrip.first(TEN);
        List<ExposureTime> totals = totals(first);
        assertThat(totals.get(14).stopsFrom(totals.get(0)).inStops()).isCloseTo(14 / 3.0, within(1e-9));
        CheckStrip darker = CheckStrip.beyond(totals, true);
        assertThat(totals(darker).get(0).inSeconds()).isCloseTo(totals.get(14).inSeconds(), within(1e-9));
        assertThat(darker.step().inStops()).isCloseTo(1 / 3.0, within(1e-9));
        CheckStrip lighter = CheckStrip.beyond(totals, false);
        assertThat(totals(lighter).get(14).inSeconds()).isCloseTo(totals.get(0).inSeconds(), within(1e-9));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void readingsTakenTogetherLieBetweenThemNearerTheSurerOne(long seed) {
        double other = 10 * Math.pow(2, (seed % 40 - 20) / 10.0 + 0.05);
        Reading coarse = new Reading(TEN, Stops.ofFraction(1, 6));
        Reading fine = new Reading(ExposureTime.ofSeconds(other), Stops.ofFraction(1, 24));
        Reading both = TimeEvidence.weighed(List.of(coarse, fine));
        double way = both.time().stopsFrom(TEN).inStops()
                / fine.time().stopsFrom(TEN).inStops();
        assertThat(way).isCloseTo(16 / 17.0, within(1e-9));
        assertThat(both.uncertainty()).isLessThan(fine.uncertainty());
        assertThat(TimeEvidence.weighed(List.of(fine)).time().inSeconds()).isCloseTo(other, within(1e-9));
    }

    @Test
    void fourReadingsAlikeAreTwiceAsSure() {
        Reading one = new Reading(TEN, Stops.ofFraction(1, 12));
        Reading four = TimeEvidence.weighed(List.of(one, one, one, one));
        assertThat(four.uncertainty().inStops()).isCloseTo(1 / 24.0, within(1e-12));
        assertThatThrownBy(() -> TimeEvidence.weighed(List.of())).hasMessageContaining("no reading");
        assertThatThrownBy(() -> new Reading(TEN, Stops.ZERO)).hasMessageContaining("uncertainty");
    }

    private static List<ExposureTime> totals(CheckStrip strip) {
        return IntStream.range(0, strip.patches())
                .mapToObj(k -> strip.centre().plus(strip.step().times(k - (strip.patches() - 1) / 2.0)))
                .toList();
    }
}
