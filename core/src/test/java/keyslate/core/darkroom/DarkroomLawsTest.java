package keyslate.core.darkroom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import keyslate.core.Draws;
import keyslate.core.colour.Layers;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.curve.FilmCurve;
import keyslate.core.darkroom.Reach.Area;
import keyslate.core.darkroom.Reach.Uncovered;
import keyslate.core.darkroom.SheetExposure.Burst;
import keyslate.core.local.AreaMask;
import keyslate.core.local.AreaShape.Ellipse;
import keyslate.core.local.AreaShape.Point;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Magnification;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Laws of the simulated darkroom: quick tables agree with the formulas, and light acts as light must. */
class DarkroomLawsTest {
    /** What the print's table may differ from the formula, density. */
    private static final double TABLE = 0.002;

    private static final AreaMask.View WHOLE = new AreaMask.View(0, 0, 1, 1, 1.5);
    private static final double LIGHT = -0.3;
    private final VariableContrastPaper paper = new VariableContrastPaper();
    private final MonoPrint print = new MonoPrint(paper);
    private final Raster ramp = ramp(90, 60);

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void theTableReadsAsTheFormula(long seed) {
        RandomGenerator random = Draws.from(seed);
        for (int i = 0; i < 50; i++) {
            double level = random.nextDouble(-4.5, 1.3);
            double ratio = random.nextDouble(-1.3, 2.7);
            double exact = VariableContrastPaper.PAPER_WHITE + paper.netDensityAt(level, ratio);
            assertThat(table(level, ratio)).isCloseTo((float) exact, within((float) TABLE));
        }
    }

    @Test
    void beyondTheTableThePaperIsWhiteOrBlack() {
        assertThat(table(-30, 0)).isCloseTo(0.06f, within(0.001f));
        assertThat(table(30, 0)).isCloseTo(2.11f, within(0.001f));
    }

    private static float table(double level, double ratio) {
        float[] out = new float[1];
        PaperTable.generic().densities(new float[] {(float) level}, new float[] {(float) ratio}, new float[1], out, 0);
        return out[0];
    }

    @Test
    void thePreviewIsWithinOneCodeOfTheSheet() {
        SheetExposure sheet = whole(GradeFilter.G2_5, 8);
        byte[] quick = print.printGrey(ramp, WHOLE, sheet, PaperTruth.asLabelled());
        byte[] full = ToneEncoding.toGrey(print.print(ramp, WHOLE, sheet, PaperTruth.asLabelled()));
        for (int i = 0; i < quick.length; i++) {
            assertThat(Math.abs((quick[i] & 0xff) - (full[i] & 0xff))).isLessThanOrEqualTo(1);
        }
    }

    @Test
    void moreLightMakesNoTonePaler() {
        float[] less = sheet(whole(GradeFilter.G2, 6)).samples();
        float[] more = sheet(whole(GradeFilter.G2, 9)).samples();
        for (int i = 0; i < less.length; i++) {
            assertThat(more[i]).isGreaterThanOrEqualTo(less[i] - 1e-6f);
        }
        assertThat(sheet(whole(GradeFilter.G2, 9)).mean())
                .isGreaterThan(sheet(whole(GradeFilter.G2, 6)).mean() + 0.05);
    }

    @Test
    void twoHalvesOfTheLightAreTheWhole() {
        SheetExposure halves =
                new SheetExposure(LIGHT, List.of(Burst.whole(GradeFilter.G3, 4), Burst.whole(GradeFilter.G3, 4)));
        assertThat(sheet(halves).samples())
                .containsExactly(sheet(whole(GradeFilter.G3, 8)).samples(), within(1e-4f));
    }

    @Test
    void aHoldLightensInsideAndABurnDarkensInsideAndNothingElseChanges() {
        Area area = new Area(new Ellipse(new Point(0.5, 0.5), 0.2, 0.2), 0.02);
        Raster plain = sheet(whole(GradeFilter.G2, 8));
        Raster held = sheet(new SheetExposure(
                LIGHT,
                List.of(new Burst(GradeFilter.G2, 4, Reach.holding(List.of(area))), Burst.whole(GradeFilter.G2, 4))));
        Raster burned = sheet(new SheetExposure(
                LIGHT, List.of(Burst.whole(GradeFilter.G2, 8), new Burst(GradeFilter.G2, 4, Reach.burn(area)))));
        assertThat(held.at(45, 30)).isLessThan(plain.at(45, 30) - 0.05f);
        assertThat(burned.at(45, 30)).isGreaterThan(plain.at(45, 30) + 0.05f);
        assertThat(held.at(2, 2)).isCloseTo(plain.at(2, 2), within(1e-4f));
        assertThat(burned.at(2, 2)).isCloseTo(plain.at(2, 2), within(1e-4f));
    }

    @Test
    void aStripDarkensPatchByPatchWithASharpEdge() {
        float[] flat = new float[90 * 60];
        java.util.Arrays.fill(flat, 0.8f);
        Raster even = Raster.over(90, 60, flat);
        Burst first = Burst.whole(GradeFilter.G2, 4);
        Burst second = new Burst(
                GradeFilter.G2,
                4,
                new Reach(List.of(), Optional.empty(), Optional.of(new Uncovered(0.5, 0, 0.5, 1)), Optional.empty()));
        Raster strip =
                print.print(even, WHOLE, new SheetExposure(LIGHT, List.of(first, second)), PaperTruth.asLabelled());
        assertThat(strip.at(44, 30)).isEqualTo(strip.at(5, 30), within(1e-4f));
        assertThat(strip.at(45, 30)).isEqualTo(strip.at(85, 30), within(1e-4f));
        assertThat(strip.at(45, 30)).isGreaterThan(strip.at(44, 30) + 0.1f);
    }

    @Test
    void aHarderFilterSpreadsTheTones() {
        assertThat(spread(GradeFilter.G00)).isLessThan(spread(GradeFilter.G2));
        assertThat(spread(GradeFilter.G2)).isLessThan(spread(GradeFilter.G5));
    }

    @Test
    void anUnexposedSheetIsPaperWhite() {
        Raster sheet = sheet(new SheetExposure(LIGHT, List.of()));
        assertThat(sheet.mean()).isCloseTo(VariableContrastPaper.PAPER_WHITE, within(0.001));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void theTruthOfABatchIsTheSameEveryTimeAndWithinItsSpread(long seed) {
        PaperTruth truth = PaperTruth.ofBatch(seed, 0.1);
        assertThat(PaperTruth.ofBatch(seed, 0.1)).isEqualTo(truth);
        assertThat(Math.abs(truth.speedOffset().inStops())).isLessThanOrEqualTo(0.35);
        assertThat(Math.abs(truth.ratioOffset())).isLessThanOrEqualTo(0.08);
        assertThat(truth.cornerLoss().inStops()).isBetween(0.05, 0.10);
    }

    @Test
    void everyCodeComesBackAndTheScanOfASheetIsTheSameForTheSameSeed() {
        for (int code = 0; code < 256; code++) {
            assertThat(ToneEncoding.encode(ToneEncoding.decode(code))).isEqualTo(code);
        }
        Raster sheet = sheet(whole(GradeFilter.G2, 8));
        assertThat(Scanner.grey(sheet, ScannerLook.USUAL, 7)).isEqualTo(Scanner.grey(sheet, ScannerLook.USUAL, 7));
        assertThat(Scanner.grey(sheet, ScannerLook.USUAL, 7)).isNotEqualTo(Scanner.grey(sheet, ScannerLook.USUAL, 8));
        double back = ToneEncoding.fromGrey(
                        Scanner.grey(sheet, new ScannerLook(1, 0, 0, new Layers(1, 1, 1)), 1), 90, 60)
                .mean();
        assertThat(back).isCloseTo(sheet.mean(), within(0.02));
    }

    @Test
    void theNegativeFallsWithTheSceneAndItsTableWithTheCurve() {
        float[] scene = new float[1000];
        for (int i = 0; i < scene.length; i++) {
            scene[i] = 0.0005f + 1.5f * i / scene.length;
        }
        float[] negative = MonoNegative.of(Raster.over(1000, 1, scene), 0).samples();
        for (int i = 0; i < scene.length; i++) {
            assertThat(negative[i]).isCloseTo((float) FilmCurve.density(scene[i], 0), within(0.003f));
            if (i > 0) {
                assertThat(negative[i]).isGreaterThanOrEqualTo(negative[i - 1] - 1e-5f);
            }
        }
        assertThat(FilmCurve.density(0.18, 1)).isGreaterThan(FilmCurve.density(0.18, 0));
    }

    @Test
    void aUsedDeveloperPrintsLighterAndAFreshOneAsLabelled() {
        PaperTruth fresh = PaperTruth.asLabelled();
        Raster tired = print.print(ramp, WHOLE, whole(GradeFilter.G2, 8), fresh.inDeveloperUsed(0.8));
        assertThat(tired.mean()).isLessThan(sheet(whole(GradeFilter.G2, 8)).mean() - 0.05);
        assertThat(fresh.inDeveloperUsed(0)).isEqualTo(fresh);
    }

    @Test
    void closingTheLensOrRaisingTheHeadTakesLight() {
        EnlargerLight lamp = new EnlargerLight(3.2);
        double here = lamp.logPerSecond(FNumber.of(8), Magnification.of(4));
        assertThat(here - lamp.logPerSecond(FNumber.of(16), Magnification.of(4)))
                .isCloseTo(Math.log10(4), within(1e-9));
        assertThat(here - lamp.logPerSecond(FNumber.of(8), Magnification.of(9))).isCloseTo(Math.log10(4), within(1e-9));
    }

    @Test
    void aRasterIsCutAndReducedWithoutChangingItsMean() {
        assertThat(ramp.reducedTo(30).mean()).isCloseTo(ramp.mean(), within(1e-4));
        assertThat(ramp.reducedTo(500)).isSameAs(ramp);
        Raster part = ramp.cropped(0.5, 0, 0.5, 1);
        assertThat(part.width()).isEqualTo(45);
        assertThat(part.at(0, 10)).isEqualTo(ramp.at(45, 10));
        assertThat(ramp.cropped(0, 0, 1, 1)).isSameAs(ramp);
        assertThatThrownBy(() -> Raster.over(3, 2, new float[5])).hasMessage("3 × 2 pixels do not match 5 samples");
    }

    private double spread(GradeFilter filter) {
        Raster sheet = sheet(whole(filter, 8));
        return sheet.at(10, 30) - sheet.at(80, 30);
    }

    private Raster sheet(SheetExposure exposure) {
        return print.print(ramp, WHOLE, exposure, PaperTruth.asLabelled());
    }

    private static SheetExposure whole(GradeFilter filter, double seconds) {
        return new SheetExposure(LIGHT, List.of(Burst.whole(filter, seconds)));
    }

    /** Film densities from thin at the left to dense at the right. */
    private static Raster ramp(int width, int height) {
        float[] samples = new float[width * height];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = 0.3f + 1.2f * (i % width) / width;
        }
        return Raster.over(width, height, samples);
    }
}
