package keyslate.core.darkroom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Hue;
import keyslate.core.colour.NamedCast;
import keyslate.core.colour.NamedCast.Picture;
import keyslate.core.colour.Viewing;
import keyslate.core.colour.ViewingLight;
import keyslate.core.local.AreaMask;
import keyslate.core.medium.Colour;
import org.junit.jupiter.api.Test;

class CastPicturesTest {
    private static final AreaMask.View WHOLE = new AreaMask.View(0, 0, 1, 1, 1);
    private static final Colour COLOUR = new Colour(FilterSet.DICHROIC);

    /** A grey card all over. */
    private static Negative card() {
        float[] plane = new float[64];
        Arrays.fill(plane, 0.18f);
        Raster grey = Raster.over(8, 8, plane);
        return COLOUR.negative(new ColourRaster(grey, grey, grey));
    }

    private static double[] densities(Look look) {
        return new double[] {look.density(0), look.density(1), look.density(2)};
    }

    private static double[] shown(Picture cast, double scale) {
        return densities(CastPictures.of(card(), WHOLE, cast, scale));
    }

    @Test
    void withoutACastAGreyCardIsNeutral() {
        double[] grey = shown(Picture.NEUTRAL, 1);
        assertThat(grey[0]).isCloseTo(grey[1], within(0.01));
        assertThat(grey[2]).isCloseTo(grey[1], within(0.01));
    }

    @Test
    void aRedCastHasLessRedDensityAndTheMoreTheStronger() {
        double slight = redness(shown(new Picture(Hue.R, NamedCast.SLIGHT), 1));
        double strong = redness(shown(new Picture(Hue.R, NamedCast.STRONG), 1));
        assertThat(slight).isBetween(0.01, 0.1);
        assertThat(strong).isGreaterThan(3 * slight);
        assertThat(redness(shown(new Picture(Hue.C, NamedCast.STRONG), 1))).isLessThan(-0.1);
        assertThat(redness(shown(new Picture(Hue.R, NamedCast.CLEAR), 2))).isCloseTo(strong, within(0.02));
    }

    private static double redness(double[] densities) {
        return (densities[1] + densities[2]) / 2 - densities[0];
    }

    @Test
    void allLieUnderEachOtherInTheirOrder() {
        Look all = CastPictures.all(card(), WHOLE, 1);
        assertThat(CastPictures.ORDER).hasSize(19);
        assertThat(all.height()).isEqualTo(8 * 19);
        for (int i = 0; i < CastPictures.ORDER.size(); i++) {
            assertThat(densities(all.part(0, 8 * i, 8, 8))).isEqualTo(shown(CastPictures.ORDER.get(i), 1));
        }
    }

    @Test
    void aPrintThatIsWetLooksBluerAndDarker() {
        SheetLight light = SheetLight.straight(ColourModel.REFERENCE_LOG, COLOUR.plainLight(), 10);
        double[] dry = densities(COLOUR.model().look(card(), WHOLE, light, PrintModel.AS_LABELLED));
        double[] wet = densities(COLOUR.model()
                .seen(new Viewing(ViewingLight.USUAL, true))
                .look(card(), WHOLE, light, PrintModel.AS_LABELLED));
        assertThat(wet[2] - wet[1]).isLessThan(dry[2] - dry[1] - 0.02);
        assertThat(wet[1]).isGreaterThan(dry[1]);
    }

    @Test
    void anotherLightIsAnotherLookAndTheUsualOneIsKept() {
        SheetLight light = SheetLight.straight(ColourModel.REFERENCE_LOG, COLOUR.plainLight(), 10);
        double[] usual = densities(COLOUR.model().look(card(), WHOLE, light, PrintModel.AS_LABELLED));
        double apart = 0;
        for (int kelvin = 2000; kelvin < 3200; kelvin += 100) {
            double[] warm = densities(COLOUR.model()
                    .seen(new Viewing(new ViewingLight(kelvin), false))
                    .look(card(), WHOLE, light, PrintModel.AS_LABELLED));
            apart = Math.max(apart, Math.abs(warm[1] - usual[1]) + Math.abs(warm[2] - usual[2]));
        }
        assertThat(apart).isPositive();
        assertThat(densities(COLOUR.model().look(card(), WHOLE, light, PrintModel.AS_LABELLED)))
                .isEqualTo(usual);
    }
}
