package keyslate.core.darkroom;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Optional;
import keyslate.core.film.FilmSheet;
import keyslate.core.film.ProofLayout;
import keyslate.core.quantity.Length;
import org.junit.jupiter.api.Test;

class ProofSceneTest {
    private static final ProofLayout TWO_STRIPS =
            ProofLayout.of(FilmSheet.cut(3, 2, false), Length.ofMm(36), Length.ofMm(24));

    private static Raster at(int width, int height, float light) {
        float[] samples = new float[width * height];
        Arrays.fill(samples, light);
        return Raster.over(width, height, samples);
    }

    private static ColourRaster scene(Raster plane) {
        return new ColourRaster(plane, plane, plane);
    }

    private static float middle(Raster scene, ProofLayout.Place place) {
        return scene.at((int) ((place.left() + place.width() / 2) * scene.width()), (int)
                ((place.top() + place.height() / 2) * scene.height()));
    }

    @Test
    void everyFrameLiesInItsPlaceAndTheFilmEdgeSawNoLight() {
        float[] lights = {0.1f, 0.4f, 0.9f};
        Raster proof = ProofScene.of(TWO_STRIPS, 400, i -> Optional.of(scene(at(60, 40, lights[i]))))
                .green();
        assertThat(Math.max(proof.width(), proof.height())).isEqualTo(400);
        for (int i = 0; i < lights.length; i++) {
            assertThat(middle(proof, TWO_STRIPS.frames().get(i))).isEqualTo(lights[i]);
        }
        assertThat(proof.at(0, 0)).isZero();
        assertThat(proof.at(proof.width() / 2, proof.height() / 4)).isZero();
        assertThat(proof.at(proof.width() * 3 / 4, proof.height() * 3 / 4)).isZero();
    }

    @Test
    void aFrameThatWasNeverScannedIsFlat() {
        ColourRaster proof = ProofScene.of(TWO_STRIPS, 400, i -> Optional.empty());
        assertThat(middle(proof.red(), TWO_STRIPS.frames().get(1))).isEqualTo(0.18f);
    }

    @Test
    void aPictureThatStandsUprightIsTurnedIntoItsFrame() {
        float[] samples = new float[40 * 60];
        Arrays.fill(samples, 0, 40 * 30, 1f);
        ColourRaster upright = scene(Raster.over(40, 60, samples));
        Raster proof = ProofScene.of(TWO_STRIPS, 400, i -> Optional.of(upright)).green();
        ProofLayout.Place place = TWO_STRIPS.frames().get(0);
        int y = (int) ((place.top() + place.height() / 2) * proof.height());
        assertThat(proof.at((int) ((place.left() + place.width() * 0.25) * proof.width()), y))
                .isEqualTo(1f);
        assertThat(proof.at((int) ((place.left() + place.width() * 0.75) * proof.width()), y))
                .isZero();
    }
}
