package keyslate.core.tone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import keyslate.core.colour.FilterSet;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.PrintModel;
import keyslate.core.darkroom.Raster;
import keyslate.core.darkroom.Reach;
import keyslate.core.darkroom.SheetLight;
import keyslate.core.light.Light;
import keyslate.core.local.AreaMask;
import keyslate.core.local.AreaShape;
import keyslate.core.medium.Colour;
import keyslate.core.medium.Medium;
import keyslate.core.medium.Monochrome;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Part;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ToneInPrintTest {
    private static final Medium MONO = new Monochrome(new VariableContrastPaper());
    private static final AreaMask.View WHOLE = new AreaMask.View(0, 0, 1, 1, 1.5);
    private static final double SECONDS = 10;
    private static final double LOG_PER_SECOND = -0.2;

    /** The law that makes the advice worth anything: after the change, the tone is what was wanted. */
    @ParameterizedTest
    @ValueSource(doubles = {0.3, 0.6, 0.9, 1.2})
    void theChangeBringsItWhereItIsWanted(double filmDensity) {
        Negative film = even(MONO, filmDensity);
        NamedTone tone = NamedTone.of("door", 0.5, 0.5, ToneWish.MIDDLE, 0);
        ToneInPrint before = print(MONO, film, tone, light(MONO, 0));
        double change = before.change().orElseThrow().inStops();
        ToneInPrint after = print(MONO, film, tone, light(MONO, change));
        assertThat(after.net()).isCloseTo(0.60, within(0.02));
        assertThat(after.change().orElseThrow().inStops()).isCloseTo(0, within(0.03));
    }

    @Test
    void itIsWhatThePreviewShows() {
        Negative film = even(MONO, 0.8);
        SheetLight light = light(MONO, 0);
        Look look = MONO.model().look(film, WHOLE, light, PrintModel.AS_LABELLED);
        Look white = MONO.model().look(film, WHOLE, new SheetLight(LOG_PER_SECOND, List.of()), PrintModel.AS_LABELLED);
        ToneInPrint print = print(MONO, film, NamedTone.of("door", 0.5, 0.5, ToneWish.MIDDLE, 0), light);
        assertThat(print.net()).isCloseTo(look.density(0) - white.density(0), within(0.005));
    }

    @Test
    void itIsTakenFromItsPlaceAndNotFromTheWholeFrame() {
        float[] halves = new float[200 * 100];
        for (int i = 0; i < halves.length; i++) {
            halves[i] = i % 200 < 100 ? 0.3f : 1.2f;
        }
        Negative film = new Negative.Mono(Raster.over(200, 100, halves));
        double left = print(MONO, film, tone(0.25), light(MONO, 0)).net();
        double right = print(MONO, film, tone(0.75), light(MONO, 0)).net();
        assertThat(left).isGreaterThan(right + 0.3);
        assertThat(left)
                .isEqualTo(
                        print(MONO, even(MONO, 0.3), tone(0.25), light(MONO, 0)).net());
        // At the very edge there is film all the same.
        assertThat(print(MONO, film, tone(1), light(MONO, 0)).net()).isEqualTo(right);
    }

    @Test
    void localWorkThatReachesItCounts() {
        AreaShape left = new AreaShape.Ellipse(new AreaShape.Point(0.25, 0.5), 0.1, 0.1);
        SheetLight straight = light(MONO, 0);
        SheetLight burned = new SheetLight(
                LOG_PER_SECOND,
                List.of(
                        straight.bursts().get(0),
                        new SheetLight.Burst(
                                MONO.plainLight(),
                                SECONDS,
                                new Reach(
                                        List.of(),
                                        Optional.of(new Reach.Area(left, 0.05)),
                                        Optional.empty(),
                                        Optional.empty()))));
        Negative film = even(MONO, 0.9);
        assertThat(print(MONO, film, tone(0.25), burned).net())
                .isGreaterThan(print(MONO, film, tone(0.25), straight).net() + 0.1);
        assertThat(print(MONO, film, tone(0.75), burned).net())
                .isEqualTo(print(MONO, film, tone(0.75), straight).net());
    }

    @Test
    void aBlackThatIsBlackNeedsNothingAndWhatNoLightReachesIsSaid() {
        NamedTone black = NamedTone.of("kiln mouth", 0.5, 0.5, ToneWish.TRUE_BLACK, 0);
        ToneInPrint deep = print(MONO, even(MONO, 0.05), black, light(MONO, 2));
        assertThat(deep.net()).isGreaterThan(1.54);
        assertThat(deep.change()).contains(Stops.ZERO);
        ToneInPrint opaque = print(MONO, even(MONO, 4), black, light(MONO, 0));
        assertThat(opaque.net()).isCloseTo(0, within(0.01));
        assertThat(opaque.change()).isEmpty();
    }

    @Test
    void aColourNegativeIsReadAsTheEyeTakesIt() {
        Medium colour = new Colour(FilterSet.DICHROIC);
        Raster plane = Raster.over(4, 4, filled(16, 0.5f));
        Negative film = colour.negative(new ColourRaster(plane, plane, plane));
        NamedTone grey = NamedTone.of("cup", 0.5, 0.5, ToneWish.OWN, 0.8);
        SheetLight light = light(colour, 0);
        double change = print(colour, film, grey, light).change().orElseThrow().inStops();
        assertThat(print(colour, film, grey, light(colour, change)).net()).isCloseTo(0.8, within(0.02));
    }

    @Test
    void aToneLiesInAPatchOfAPiece() {
        NamedTone tone = NamedTone.of("sleeve", 0.5, 0.45, ToneWish.WHITE_HOLDS, 0);
        Part strip = new Part(0.1, 0.4, 0.8, 0.2);
        assertThat(tone.liesIn(strip, new Part(0.4, 0, 0.2, 1))).isTrue();
        assertThat(tone.liesIn(strip, new Part(0.6, 0, 0.2, 1))).isFalse();
        assertThat(tone.liesIn(new Part(0.1, 0.6, 0.8, 0.2), Part.WHOLE)).isFalse();
        assertThat(tone.wantedNet()).isEqualTo(0.10);
        assertThatThrownBy(() -> NamedTone.of("x", 1.1, 0, ToneWish.MIDDLE, 0)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> NamedTone.of("x", 0, 0, ToneWish.OWN, 2.6)).isInstanceOf(QuantityException.class);
    }

    private static NamedTone tone(double x) {
        return NamedTone.of("wall", x, 0.5, ToneWish.MIDDLE, 0);
    }

    private static ToneInPrint print(Medium medium, Negative film, NamedTone tone, SheetLight light) {
        return ToneInPrint.of(tone, medium.model(), film, WHOLE.aspect(), light, offsets(medium));
    }

    private static List<Double> offsets(Medium medium) {
        return medium instanceof Colour ? List.of(0.0, 0.0, 0.0) : PrintModel.AS_LABELLED;
    }

    private static SheetLight light(Medium medium, double stops) {
        Light light = medium.plainLight();
        return SheetLight.straight(LOG_PER_SECOND, light, SECONDS * Math.pow(2, stops));
    }

    private static Negative even(Medium medium, double density) {
        assertThat(medium).isSameAs(MONO);
        return new Negative.Mono(Raster.over(100, 66, filled(6600, (float) density)));
    }

    private static float[] filled(int count, float value) {
        float[] samples = new float[count];
        java.util.Arrays.fill(samples, value);
        return samples;
    }
}
