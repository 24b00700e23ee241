package keyslate.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.random.RandomGenerator;
import keyslate.core.Draws;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a scan tells of the paper, where a strip tells most, and what follows a judgement. */
class ReadingLawsTest {
    private final VariableContrastPaper paper = new VariableContrastPaper();

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void theSpeedOfThePaperIsFoundAgain(long seed) {
        double truth = Draws.from(seed).nextDouble(-2.5, 2.5);
        Stops found = PaperMatch.speedOffset(s -> meanAt(s), meanAt(truth));
        assertThat(found.inStops()).isCloseTo(truth, within(1e-4));
    }

    @Test
    void aSheetFarOffSaysFarOff() {
        assertThat(PaperMatch.speedOffset(s -> meanAt(s), 5).inStops())
                .isCloseTo(PaperMatch.FARTHEST_STOPS, within(1e-3));
    }

    @Test
    void aStripLiesWhereItsPoorestPatchHasMost() {
        int width = 100;
        float[] negative = new float[width * 100];
        for (int y = 60; y < 80; y++) {
            for (int x = 0; x < width; x++) {
                negative[y * width + x] = x % 10 < 5 ? 0.3f : 1.2f;
            }
        }
        double start = StripPlacement.bestStart(negative, width, true, 5, 0.2);
        assertThat(start).isBetween(0.42, 0.78);
        assertThat(StripPlacement.poorestRange(negative, width, true, 5, start, 0.2))
                .isCloseTo(1.2, within(1e-3));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void noPlaceOfAStripIsRicherThanTheOneItLiesOn(long seed) {
        RandomGenerator random = Draws.from(seed);
        float[] negative = new float[80 * 60];
        for (int i = 0; i < negative.length; i++) {
            negative[i] = (float) (random.nextDouble() * (1 + (i % 80) / 40) * (1 + i / 2400));
        }
        int patches = 2 + random.nextInt(6);
        double breadth = 0.1 + 0.5 * random.nextDouble();
        boolean along = random.nextBoolean();
        double start = StripPlacement.bestStart(negative, 80, along, patches, breadth);
        double found = StripPlacement.poorestRange(negative, 80, along, patches, start, breadth);
        for (int i = 0; i <= 24; i++) {
            assertThat(StripPlacement.poorestRange(negative, 80, along, patches, (1 - breadth) * i / 24, breadth))
                    .isLessThanOrEqualTo(found + 1e-3);
        }
    }

    @Test
    void anEvenNegativeKeepsTheStripInTheMiddle() {
        assertThat(StripPlacement.bestStart(new float[10_000], 100, true, 5, 0.5))
                .isEqualTo(0.25);
        assertThat(StripPlacement.bestStart(new float[10_000], 100, false, 5, 1))
                .isZero();
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void darkerIsLongerAndNothingAskedChangesNothing(long seed) {
        RandomGenerator random = Draws.from(seed);
        GradeFilter filter =
                GradeFilter.set().get(random.nextInt(GradeFilter.set().size()));
        ExposureTime time = ExposureTime.ofSeconds(Draws.logBetween(random, 3, 60));
        NextRecipe same = NextRecipe.after(paper, filter, time, Stops.ZERO, 0);
        assertThat(same.filter()).isEqualTo(filter);
        assertThat(same.time().inSeconds()).isCloseTo(time.inSeconds(), within(1e-9));
        Stops darker = Stops.ofFraction(random.nextInt(1, 13), 12);
        assertThat(NextRecipe.after(paper, filter, time, darker, 0)
                        .time()
                        .stopsFrom(time)
                        .inStops())
                .isCloseTo(darker.inStops(), within(1e-9));
    }

    @Test
    void beyondTheHardestFilterWhatIsMissingIsSaid() {
        NextRecipe next = NextRecipe.after(paper, GradeFilter.G4_5, ExposureTime.ofSeconds(10), Stops.ZERO, 1);
        assertThat(next.filter()).isEqualTo(GradeFilter.G5);
        assertThat(next.gradeShort()).isCloseTo(0.5, within(1e-9));
    }

    private double meanAt(double stops) {
        double sum = 0;
        for (double film = 0.3; film < 1.4; film += 0.1) {
            sum += paper.netDensityAt(Stops.of(stops).toLogExposure() + 0.4 - film, 0.5);
        }
        return sum / 11;
    }
}
