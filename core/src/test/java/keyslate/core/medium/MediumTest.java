package keyslate.core.medium;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Layers;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.PrintModel;
import keyslate.core.darkroom.Raster;
import keyslate.core.darkroom.SheetLight;
import keyslate.core.film.FrameNeed;
import keyslate.core.light.Light;
import keyslate.core.local.AreaMask;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What every kind of paper must do, and what sets the two apart. */
class MediumTest {
    private static final Medium MONO = new Monochrome(new VariableContrastPaper());
    private static final Medium COLOUR = new Colour(FilterSet.DICHROIC);
    private static final AreaMask.View WHOLE = new AreaMask.View(0, 0, 1, 1, 4);
    private static final float WHITE = 0.7f;
    private static final ExposureTime TEN = ExposureTime.ofSeconds(10);

    static Stream<Medium> media() {
        return Stream.of(MONO, COLOUR);
    }

    @ParameterizedTest
    @MethodSource("media")
    void itsPlainLightIsReadInItsOwnNotationAndTakesNoFactor(Medium medium) {
        Light plain = medium.plainLight();
        assertThat(medium.read(plain.notation())).isEqualTo(plain);
        assertThat(medium.timeFactor(plain, plain)).isCloseTo(1, within(1e-9));
        assertThat(medium.burnFactor(plain, TEN, Stops.of(1), plain)).isCloseTo(1, within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("media")
    void moreLightMakesADarkerPrintAndTheModelLearnsHowFastThePaperIs(Medium medium) {
        Negative negative = medium.negative(scene());
        Look ten = look(medium, negative, 10, PrintModel.AS_LABELLED);
        Look twenty = look(medium, negative, 20, PrintModel.AS_LABELLED);
        assertThat(twenty.density(1)).isGreaterThan(ten.density(1));
        Look scan = medium.standIn().scan(negative, WHOLE, light(medium, 10), 3, 0, 7);
        List<Double> offsets = medium.model().match(negative, WHOLE, light(medium, 10), scan);
        Look matched = look(medium, negative, 10, offsets);
        assertThat(matched.planes()).isEqualTo(scan.planes());
        for (int plane = 0; plane < scan.planes(); plane++) {
            assertThat(matched.density(plane)).isCloseTo(scan.density(plane), within(0.03));
        }
    }

    @Test
    void eachReadsItsOwnLightOnly() {
        assertThatThrownBy(() -> MONO.read("0/47/52")).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> COLOUR.read("grade 2")).isInstanceOf(QuantityException.class);
        assertThat(MONO.underSafelight()).isTrue();
        assertThat(COLOUR.underSafelight()).isFalse();
    }

    @Test
    void aSofterGradeNeedsLessTimeAndAThickerPackMore() {
        assertThat(MONO.timeFactor(Light.of("2½"), Light.of("1"))).isLessThan(1);
        assertThat(COLOUR.timeFactor(Light.of("0/47/52"), Light.of("0/57/52"))).isGreaterThan(1);
        assertThat(MONO.burnFactor(Light.of("2½"), TEN, Stops.of(1), Light.of("00")))
                .isNotCloseTo(1, within(0.05));
    }

    @Test
    void theMiddleOfTheKeptPacksIsTheUsualOne() {
        assertThat(COLOUR.usual(List.of(Light.of("0/40/60"), Light.of("0/50/50"), Light.of("0/45/70"))))
                .contains(Light.of("0/45/60"));
        assertThat(COLOUR.usual(List.of())).isEmpty();
        assertThat(MONO.usual(List.of(Light.of("2")))).isEmpty();
    }

    @Test
    void theFirstPlaneTellsLightFromDark() {
        for (Medium medium : List.of(MONO, COLOUR)) {
            Negative negative = medium.negative(scene());
            Raster plane = negative.firstPlane();
            assertThat(plane.at(15, 0)).isGreaterThan(plane.at(0, 0));
            assertThat(negative.width()).isEqualTo(16);
            assertThat(negative.cropped(0, 0, 0.5, 1).width()).isEqualTo(8);
            assertThat(negative.reducedTo(8).width()).isEqualTo(8);
        }
    }

    /** The same grey wedge twice, the second in a light of that colour, and clear film between them. */
    @ParameterizedTest
    @CsvSource({"1, 1, 1", "0.5, 0.5, 0.5", "1.2, 0.9, 0.6", "0.7, 0.9, 1.2"})
    void theScanOfAColourProofSaysLightAndPackOfAFrameInOtherLight(double red, double green, double blue) {
        Negative negative = COLOUR.negative(proof(red, green, blue));
        SheetLight light = light(COLOUR, 10);
        Look scan = COLOUR.standIn().scan(negative, new AreaMask.View(0, 0, 1, 1, 96), light, 3, 0, 7);
        FrameNeed need = COLOUR.needByScan(scan.part(64, 0, 32, 32), scan.part(0, 0, 32, 32), scan, COLOUR.plainLight())
                .orElseThrow();
        Layers there = ColourFilm.printingDensity(new Layers(WHITE * red, WHITE * green, WHITE * blue), Stops.ZERO);
        Layers here = ColourFilm.printingDensity(new Layers(WHITE, WHITE, WHITE), Stops.ZERO);
        double r = there.red() - here.red();
        double g = there.green() - here.green();
        double b = there.blue() - here.blue();
        assertThat(need.more().inStops())
                .isCloseTo(Stops.ofLogExposure(0.3 * r + 0.6 * g + 0.1 * b).inStops(), within(1.0 / 6));
        assertThat(need.cast().inMagenta()).isCloseTo(100 * (r - g), within(3.0));
        assertThat(need.cast().inYellow()).isCloseTo(100 * (r - b), within(3.0));
    }

    @Test
    void aNearlyBareFrameOfAProofTellsNothing() {
        Negative negative = COLOUR.negative(proof(300, 300, 300));
        Look scan = COLOUR.standIn().scan(negative, new AreaMask.View(0, 0, 1, 1, 96), light(COLOUR, 10), 3, 0, 7);
        assertThat(COLOUR.needByScan(scan.part(64, 0, 32, 32), scan.part(0, 0, 32, 32), scan, COLOUR.plainLight()))
                .isEmpty();
    }

    private static ColourRaster proof(double... light) {
        float[][] planes = new float[3][96 * 32];
        for (int i = 0; i < planes[0].length; i++) {
            int x = i % 96;
            float wedge = (float) (0.02 + (WHITE - 0.02) * (x % 32) / 31);
            for (int channel = 0; channel < planes.length; channel++) {
                planes[channel][i] = x < 32 ? wedge : x < 64 ? 0 : (float) (wedge * light[channel]);
            }
        }
        return new ColourRaster(
                Raster.over(96, 32, planes[0]), Raster.over(96, 32, planes[1]), Raster.over(96, 32, planes[2]));
    }

    private static SheetLight light(Medium medium, double seconds) {
        return SheetLight.straight(logPerSecond(medium), medium.plainLight(), seconds);
    }

    /** So much light that ten seconds print a mid grey as a mid grey, found by halving. */
    private static double logPerSecond(Medium medium) {
        Negative negative = medium.negative(scene());
        double low = -6;
        double high = 6;
        for (int i = 0; i < 40; i++) {
            double middle = (low + high) / 2;
            SheetLight light = SheetLight.straight(middle, medium.plainLight(), 10);
            Look look = medium.model().look(negative, WHOLE, light, PrintModel.AS_LABELLED);
            if (look.density(1) > 0.7) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return low;
    }

    private static Look look(Medium medium, Negative negative, double seconds, List<Double> offsets) {
        return medium.model().look(negative, WHOLE, light(medium, seconds), offsets);
    }

    private static ColourRaster scene() {
        float[] plane = new float[16 * 4];
        for (int i = 0; i < plane.length; i++) {
            plane[i] = 0.04f + 0.6f * (i % 16) / 15;
        }
        Raster grey = Raster.over(16, 4, plane);
        return new ColourRaster(grey, grey, grey);
    }
}
