package keyslate.core.darkroom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.Layers;
import keyslate.core.curve.FilmCurve;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class NegativeScanTest {
    private static final int SIDE = 40;
    /** How much light the scanner takes for all. */
    private static final double EXPOSURE = 0.7;

    /** Scene light of a row of tones, from deep shadow to a white diffuser; the first rows are unexposed film. */
    private static double sceneAt(int i) {
        int y = i / SIDE;
        return y < 2 ? 1e-7 : 0.003 * Math.pow(300, (y - 2.0) / (SIDE - 3));
    }

    private static Raster raster(java.util.function.IntToDoubleFunction light) {
        float[] samples = new float[SIDE * SIDE];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) light.applyAsDouble(i);
        }
        return Raster.over(SIDE, SIDE, samples);
    }

    @ParameterizedTest
    @ValueSource(doubles = {1, 0.4, 0.05})
    void theSceneOfAMonochromeNegativeComesBackWhateverTheScannersExposure(double exposure) {
        Raster scan = raster(i -> exposure * Math.pow(10, -FilmCurve.density(sceneAt(i), 0)));
        ColourRaster scene = NegativeScan.toScene(new ColourRaster(scan, scan, scan), false);
        for (int i = 2 * SIDE; i < SIDE * SIDE; i += 7) {
            assertThat(FilmCurve.density(scene.red().samples()[i], 0))
                    .isCloseTo(FilmCurve.density(sceneAt(i), 0), within(0.005));
        }
    }

    @Test
    void theMaskOfAColourFilmIsTakenOut() {
        double[] tint = {1, 0.6, 0.25};
        Raster[] planes = new Raster[3];
        for (int c = 0; c < 3; c++) {
            int channel = c;
            planes[c] = raster(i -> EXPOSURE * Math.pow(10, -densities(i, tint).at(channel)));
        }
        ColourRaster scan = new ColourRaster(planes[0], planes[1], planes[2]);
        assertThat(NegativeScan.looksNegative(scan, true)).isTrue();
        ColourRaster scene = NegativeScan.toScene(scan, true);
        for (int i = 8 * SIDE; i < SIDE * SIDE; i += 11) {
            double red = scene.red().samples()[i];
            assertThat(scene.green().samples()[i] / red).isCloseTo(tint[1], within(0.02));
            assertThat(scene.blue().samples()[i] / red).isCloseTo(tint[2], within(0.02));
        }
    }

    private static Layers densities(int i, double[] tint) {
        double light = sceneAt(i);
        return ColourFilm.printingDensity(
                Layers.of(new double[] {light * tint[0], light * tint[1], light * tint[2]}), Stops.ZERO);
    }

    @Test
    void aNegativeTooDenseToKeepIsDarkenedAsAWhole() {
        Raster scan = raster(i -> Math.pow(10, -FilmCurve.density(8 * sceneAt(i), 0)));
        Raster scene =
                NegativeScan.toScene(new ColourRaster(scan, scan, scan), false).red();
        double ratio = scene.samples()[10 * SIDE] / (8 * sceneAt(10 * SIDE));
        for (int i = 8 * SIDE; i < SIDE * SIDE; i += 7) {
            assertThat(scene.samples()[i]).isLessThanOrEqualTo(2.2f);
            assertThat(scene.samples()[i] / (8 * sceneAt(i))).isCloseTo(ratio, within(0.03 * ratio));
        }
    }

    @Test
    void aBrightEvenEdgeLooksLikeFilmBaseAndAPictureDoesNot() {
        Raster picture = raster(i -> 0.02 + 0.6 * ((i * 7919) % 1000) / 1000.0);
        assertThat(NegativeScan.looksNegative(new ColourRaster(picture, picture, picture), false))
                .isFalse();
        Raster framed = raster(i -> {
            int x = i % SIDE;
            int y = i / SIDE;
            boolean edge = Math.min(Math.min(x, y), Math.min(SIDE - 1 - x, SIDE - 1 - y)) < 2;
            return edge ? 0.9 : 0.02 + 0.6 * ((i * 7919) % 1000) / 1000.0;
        });
        assertThat(NegativeScan.looksNegative(new ColourRaster(framed, framed, framed), false))
                .isTrue();
        assertThat(NegativeScan.looksNegative(new ColourRaster(framed, framed, framed), true))
                .isFalse();
    }
}
