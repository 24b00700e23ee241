package keyslate.core.darkroom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.random.RandomGenerator;
import keyslate.core.Draws;
import keyslate.core.colour.ColourDifference;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.Layers;
import keyslate.core.colour.ViewingLight;
import keyslate.core.darkroom.ColourPrint.Picture;
import keyslate.core.quantity.QuantityException;
import keyslate.core.reading.ScanColour;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The simulated flatbed: each fault of its look is there when asked for, and reading takes away what it says it does. */
class ScannerTest {
    private static final Layers NO_CAST = new Layers(1, 1, 1);
    private static final ScannerLook FAITHFUL = new ScannerLook(1, 0, 0, NO_CAST);

    @Test
    void aFaithfulScannerReturnsThePrint() {
        Picture print = picture(0x804020);
        assertThat(Scanner.colour(print, FAITHFUL, 1)).isEqualTo(print.rgb());
    }

    @Test
    void theSameSeedGivesTheSameNoiseOfTheSizeAskedFor() {
        ScannerLook noisy = new ScannerLook(1, 3, 0, NO_CAST);
        Picture print = picture(0x808080);
        int[] scan = Scanner.colour(print, noisy, 5);
        assertThat(scan).isEqualTo(Scanner.colour(print, noisy, 5)).isNotEqualTo(Scanner.colour(print, noisy, 6));
        double spread = Math.sqrt(Arrays.stream(scan)
                .mapToDouble(rgb -> Math.pow((rgb >> 8 & 0xff) - 0x80, 2))
                .average()
                .orElseThrow());
        assertThat(spread).isCloseTo(3, within(0.3));
    }

    @Test
    void aSteeperGradationDarkensMiddleTonesAndKeepsWhite() {
        ScannerLook steep = new ScannerLook(1.2, 0, 0, NO_CAST);
        assertThat(Scanner.colour(picture(0x808080), steep, 1)[0] & 0xff).isBetween(105, 120);
        assertThat(Scanner.colour(picture(0xffffff), steep, 1)[0] & 0xff).isEqualTo(255);
        Raster grey = Raster.over(2, 1, new float[] {0.6f, 0.6f});
        assertThat(Scanner.grey(grey, steep, 1)[0] & 0xff).isLessThan(Scanner.grey(grey, FAITHFUL, 1)[0] & 0xff);
    }

    @Test
    void aCrookedSheetShowsTheLidInItsCornersAndItselfInTheMiddle() {
        int[] scan = Scanner.colour(picture(0x202020), new ScannerLook(1, 0, 3, NO_CAST), 1);
        assertThat(scan[0] & 0xff).isGreaterThan(0x80);
        assertThat(scan[20 * 40 + 20] & 0xff).isEqualTo(0x20);
    }

    @Test
    void turningClockwiseMovesTheTopToTheRight() {
        int[] rgb = new int[41 * 41];
        for (int y = 0; y < 41; y++) {
            rgb[y * 41 + 20] = 0xffffff;
        }
        int[] scan = Scanner.colour(new Picture(41, 41, rgb), new ScannerLook(1, 0, 5, NO_CAST), 1);
        assertThat(brightest(scan, 3)).isGreaterThan(20);
        assertThat(brightest(scan, 37)).isLessThan(20);
    }

    /** Two codes of rounding in a dark tone are about a unit of ΔE. */
    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void readingAgainstThePapersWhiteTakesTheLampAway(long seed) {
        RandomGenerator random = Draws.from(seed);
        Layers dyes = new Layers(amount(random), amount(random), amount(random));
        DyeImage.Screen shown = new DyeImage(dyes).onScreen(ViewingLight.USUAL);
        if (shown.clipped()) {
            return;
        }
        DyeImage.Screen white = new DyeImage(new Layers(0.04, 0.04, 0.04)).onScreen(ViewingLight.USUAL);
        ScannerLook warm = new ScannerLook(1, 0, 0, new Layers(1.05, 1, 0.9));
        Layers patch = linear(Scanner.colour(picture(rgb(shown)), warm, 1)[0]);
        Layers base = linear(Scanner.colour(picture(rgb(white)), warm, 1)[0]);
        assertThat(ColourDifference.of(ScanColour.of(patch, base), new DyeImage(dyes).in(ViewingLight.USUAL)))
                .isLessThan(1.5);
    }

    @Test
    void aLookOutOfRangeIsRefused() {
        assertThatThrownBy(() -> new ScannerLook(2, 0, 0, NO_CAST))
                .isInstanceOf(QuantityException.class)
                .hasMessage("gradation must be from 0.7 to 1.4, was 2");
        assertThatThrownBy(() -> new ScannerLook(1, 0, 0, new Layers(1, 1, 2)))
                .hasMessage("lamp cast must be from 0.5 to 1.5, was 2");
    }

    private static double amount(RandomGenerator random) {
        return random.nextDouble(0.3, 1.2);
    }

    private static int brightest(int[] rgb, int row) {
        int best = 10;
        for (int x = 10; x <= 30; x++) {
            best = (rgb[row * 41 + x] & 0xff) > (rgb[row * 41 + best] & 0xff) ? x : best;
        }
        return best;
    }

    private static int rgb(DyeImage.Screen s) {
        return (int) Math.round(255 * s.red()) << 16
                | (int) Math.round(255 * s.green()) << 8
                | (int) Math.round(255 * s.blue());
    }

    private static Layers linear(int rgb) {
        return new Layers(
                ToneEncoding.decode(rgb >> 16 & 0xff),
                ToneEncoding.decode(rgb >> 8 & 0xff),
                ToneEncoding.decode(rgb & 0xff));
    }

    private static Picture picture(int rgb) {
        int[] all = new int[40 * 40];
        Arrays.fill(all, rgb);
        return new Picture(40, 40, all);
    }
}
