package keyslate.core.darkroom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import keyslate.core.Draws;
import keyslate.core.colour.AdditiveHead;
import keyslate.core.colour.ColourBalance;
import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Layers;
import keyslate.core.colour.Primary;
import keyslate.core.colour.ViewingLight;
import keyslate.core.darkroom.Reach.Area;
import keyslate.core.darkroom.Reach.Uncovered;
import keyslate.core.local.AreaMask;
import keyslate.core.local.AreaShape.Ellipse;
import keyslate.core.local.AreaShape.Point;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The simulated colour sheet: its tables agree with the formulas, and light, packs and truths act as they must. */
class ColourPrintTest {
    /** A cube of 33³ amounts and a curve of 4096 entries against the formulas, in codes of 8 bits. */
    private static final int CODES = 2;

    private static final AreaMask.View WHOLE = new AreaMask.View(0, 0, 1, 1, 1.5);
    private static final Layers GREY = ColourFilm.printingDensity(new Layers(0.18, 0.18, 0.18), Stops.ZERO);
    private static final ColourBalance BALANCE = ColourBalance.of(GREY, 0.75, 3200, FilterSet.DICHROIC);
    private final ColourPrint print = new ColourPrint();

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void theTablesShowWhatTheFormulasSay(long seed) {
        RandomGenerator random = Draws.from(seed);
        Layers scene = new Layers(light(random), light(random), light(random));
        Layers negative = ColourFilm.printingDensity(scene, Stops.ZERO);
        FilterPack pack = FilterPack.of(0, random.nextDouble(20, 80), random.nextDouble(20, 90));
        double seconds = random.nextDouble(4, 25);
        ColourTruth truth = ColourTruth.ofBatch(seed, 0);
        // The middle of the sheet, where the corners lose nothing.
        int[] shown = print.print(even(negative, 9), WHOLE, ColourSheet.straight(pack, seconds), truth)
                .rgb();
        DyeImage.Screen exact = ColourPrint.patch(negative, pack, seconds, ColourSheet.USUAL_KELVIN, truth)
                .onScreen(ViewingLight.USUAL);
        int rgb = shown[4 * 9 + 4];
        assertThat(rgb >> 16 & 0xff).isCloseTo(code(exact.red()), within(CODES));
        assertThat(rgb >> 8 & 0xff).isCloseTo(code(exact.green()), within(CODES));
        assertThat(rgb & 0xff).isCloseTo(code(exact.blue()), within(CODES));
    }

    @Test
    void theNegativeOfASceneIsTheFilmPixelByPixel() {
        float[] ramp = new float[500];
        float[] falling = new float[500];
        for (int i = 0; i < ramp.length; i++) {
            ramp[i] = 0.001f + 2f * i / ramp.length;
            falling[i] = 2.1f - ramp[i];
        }
        ColourRaster scene =
                new ColourRaster(Raster.over(500, 1, ramp), Raster.over(500, 1, falling), Raster.over(500, 1, ramp));
        ColourRaster negative = ColourNegative.of(scene, Stops.of(0.5));
        for (int i = 0; i < ramp.length; i += 7) {
            Layers exact = ColourFilm.printingDensity(new Layers(ramp[i], falling[i], ramp[i]), Stops.of(0.5));
            for (int l = 0; l < 3; l++) {
                assertThat(negative.channel(l).at(i, 0)).isCloseTo((float) exact.at(l), within(0.003f));
            }
        }
    }

    @Test
    void theBalanceOfTheModelPrintsAGreyCardNeutral() {
        DyeImage card = ColourPrint.patch(
                GREY, BALANCE.pack(), BALANCE.time().inSeconds(), ColourSheet.USUAL_KELVIN, ColourTruth.asLabelled());
        DyeImage.Appearance seen = card.in(ViewingLight.USUAL);
        assertThat(seen.a()).isCloseTo(0, within(0.01));
        assertThat(seen.b()).isCloseTo(0, within(0.01));
        assertThat(seen.visualDensity()).isCloseTo(0.75, within(0.001));
    }

    @Test
    void moreMagentaPrintsGreener() {
        int before = middle(BALANCE.pack(), ColourTruth.asLabelled());
        FilterPack more =
                FilterPack.of(0, BALANCE.pack().inMagenta() + 20, BALANCE.pack().inYellow());
        int after = middle(more, ColourTruth.asLabelled());
        assertThat((after >> 8 & 0xff) - (before >> 8 & 0xff)).isGreaterThan(15);
        assertThat(Math.abs((after >> 16 & 0xff) - (before >> 16 & 0xff))).isLessThan(15);
    }

    @Test
    void twoHalvesOfTheLightAreTheWhole() {
        FilterPack pack = BALANCE.pack();
        ColourSheet halves = new ColourSheet(
                0,
                3200,
                FilterSet.DICHROIC,
                List.of(new ColourSheet.Burst(pack, 5, Reach.WHOLE), new ColourSheet.Burst(pack, 5, Reach.WHOLE)));
        ColourRaster negative = even(GREY, 9);
        assertThat(print.print(negative, WHOLE, halves, ColourTruth.asLabelled())
                        .rgb())
                .isEqualTo(print.print(negative, WHOLE, ColourSheet.straight(pack, 10), ColourTruth.asLabelled())
                        .rgb());
    }

    /** COL-34: each light gives its own layer what white light gives it through the pack. */
    @Test
    void threeLightsPrintAsThePackTheyStandFor() {
        AdditiveHead head = new AdditiveHead(0.5, 0.4, 0.25);
        FilterPack pack = BALANCE.pack();
        AdditiveHead.Times times = head.times(pack, ExposureTime.ofSeconds(10));
        ColourSheet thirds = new ColourSheet(
                0,
                3200,
                FilterSet.IDEAL,
                Stream.of(Primary.values())
                        .map(p -> ColourSheet.Burst.of(
                                p, head.share(p), times.of(p).inSeconds(), Reach.WHOLE))
                        .toList());
        ColourSheet white =
                new ColourSheet(0, 3200, FilterSet.IDEAL, List.of(new ColourSheet.Burst(pack, 10, Reach.WHOLE)));
        int[] ofThree = shown(thirds);
        int[] ofOne = shown(white);
        for (int channel = 0; channel < 24; channel += 8) {
            assertThat(ofThree[40] >> channel & 0xff).isCloseTo(ofOne[40] >> channel & 0xff, within(1));
        }
    }

    private int[] shown(ColourSheet sheet) {
        return print.print(even(GREY, 9), WHOLE, sheet, ColourTruth.asLabelled())
                .rgb();
    }

    @Test
    void whatGotNoLightIsWhite() {
        ColourSheet dark = new ColourSheet(0, 3200, FilterSet.DICHROIC, List.of());
        assertThat(shown(dark)[40] & 0xff).isGreaterThan(225);
    }

    @Test
    void holdsLightenBurnsDarkenAndAStripHasSharpEdges() {
        Area area = new Area(new Ellipse(new Point(0.5, 0.5), 0.2, 0.2), 0.02);
        int plain = print(Reach.WHOLE, Reach.WHOLE)[30 * 60 + 30] >> 8 & 0xff;
        assertThat(print(Reach.WHOLE, Reach.holding(List.of(area)))[30 * 60 + 30] >> 8 & 0xff)
                .isGreaterThan(plain + 20);
        assertThat(print(Reach.WHOLE, Reach.WHOLE, Reach.burn(area))[30 * 60 + 30] >> 8 & 0xff)
                .isLessThan(plain - 10);
        int[] strip = print(
                Reach.WHOLE,
                new Reach(List.of(), Optional.empty(), Optional.of(new Uncovered(0.5, 0, 0.5, 1)), Optional.empty()));
        assertThat(strip[30 * 60 + 29]).isEqualTo(strip[30 * 60 + 2]);
        assertThat(strip[30 * 60 + 30]).isEqualTo(strip[30 * 60 + 57]).isNotEqualTo(strip[30 * 60 + 29]);
    }

    @Test
    void aTiredDeveloperShiftsTheBalanceThatTimeCannotBringBack() {
        double seconds = BALANCE.time().inSeconds();
        ColourTruth tired = ColourTruth.asLabelled().inDeveloperUsed(1);
        DyeImage.Appearance light = ColourPrint.patch(GREY, BALANCE.pack(), seconds, ColourSheet.USUAL_KELVIN, tired)
                .in(ViewingLight.USUAL);
        assertThat(light.visualDensity()).isLessThan(0.7);
        DyeImage.Appearance longer = ColourPrint.patch(
                        GREY, BALANCE.pack(), seconds * Math.pow(10, 0.187 + 0.02), ColourSheet.USUAL_KELVIN, tired)
                .in(ViewingLight.USUAL);
        assertThat(longer.visualDensity()).isCloseTo(0.75, within(0.03));
        assertThat(longer.b()).isLessThan(-2);
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void theTruthOfABatchIsTheSameEveryTimeAndWithinItsSpread(long seed) {
        ColourTruth truth = ColourTruth.ofBatch(seed, 0.1);
        assertThat(ColourTruth.ofBatch(seed, 0.1)).isEqualTo(truth);
        assertThat(truth.gradient()).isBetween(0.92, 1.08);
        assertThat(truth.dial()).isBetween(0.88, 1.12);
        assertThat(Math.abs(truth.speed().green())).isLessThanOrEqualTo(0.10);
        assertThat(Math.abs(truth.speed().red() - truth.speed().green())).isLessThanOrEqualTo(0.08);
    }

    @Test
    void channelsOfDifferentSizesAreNoPicture() {
        Raster one = Raster.over(2, 1, new float[2]);
        assertThatThrownBy(() -> new ColourRaster(one, one, Raster.over(1, 2, new float[2])))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void croppingAndReducingTakeAllChannelsAlong() {
        ColourRaster part = even(GREY, 40).cropped(0.25, 0.5, 0.5, 0.5).reducedTo(10);
        assertThat(part.width()).isEqualTo(10);
        assertThat(part.height()).isEqualTo(10);
        assertThat(part.blue().at(3, 3)).isCloseTo((float) GREY.blue(), within(1e-5f));
    }

    private int[] print(Reach... reaches) {
        List<ColourSheet.Burst> bursts = java.util.Arrays.stream(reaches)
                .map(r -> new ColourSheet.Burst(BALANCE.pack(), 5, r))
                .toList();
        return print.print(
                        even(GREY, 60),
                        WHOLE,
                        new ColourSheet(0, 3200, FilterSet.DICHROIC, bursts),
                        ColourTruth.asLabelled())
                .rgb();
    }

    private int middle(FilterPack pack, ColourTruth truth) {
        ColourSheet sheet = ColourSheet.straight(pack, BALANCE.time().inSeconds());
        return print.print(even(GREY, 9), WHOLE, sheet, truth).rgb()[4 * 9 + 4];
    }

    private static double light(RandomGenerator random) {
        return Draws.logBetween(random, 0.02, 1);
    }

    private static int code(double shown) {
        return (int) Math.round(255 * shown);
    }

    private static ColourRaster even(Layers density, int side) {
        return new ColourRaster(even(density.red(), side), even(density.green(), side), even(density.blue(), side));
    }

    private static Raster even(double density, int side) {
        float[] samples = new float[side * side];
        java.util.Arrays.fill(samples, (float) density);
        return Raster.over(side, side, samples);
    }
}
