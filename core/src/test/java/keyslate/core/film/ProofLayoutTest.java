package keyslate.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import keyslate.core.film.ProofLayout.Place;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ProofLayoutTest {
    private static ProofLayout of(int frames, int perStrip, double longMm, double shortMm) {
        return ProofLayout.of(FilmSheet.cut(frames, perStrip, false), Length.ofMm(longMm), Length.ofMm(shortMm));
    }

    @ParameterizedTest
    @CsvSource({
        "36, 6, 36, 24, 228, 210",
        "72, 12, 24, 18, 240, 210",
        "15, 5, 56, 41.5, 232.5, 184.5",
        "12, 3, 56, 56, 183, 246",
        "10, 2, 70, 56, 150, 307.5",
        "1, 1, 120, 95, 127, 102"
    })
    void stripsLieSideBySide(int frames, int perStrip, double longMm, double shortMm, double width, double height) {
        ProofLayout layout = of(frames, perStrip, longMm, shortMm);
        assertThat(layout.width().inMm()).isCloseTo(width, within(1e-9));
        assertThat(layout.height().inMm()).isCloseTo(height, within(1e-9));
        assertThat(layout.frames()).hasSize(frames);
    }

    @ParameterizedTest
    @EnumSource(FilmFormat.class)
    void framesLieInsideInTheFilmsOrderAndNeverOnEachOther(FilmFormat format) {
        int frames = format.usualFrames() + 1;
        ProofLayout layout = ProofLayout.of(
                FilmSheet.cut(frames, format.usualPerStrip(), true), format.longSide(), format.shortSide());
        double before = -1;
        for (Place p : layout.frames()) {
            assertThat(p.left()).isGreaterThan(0);
            assertThat(p.top()).isGreaterThan(0);
            assertThat(p.left() + p.width()).isLessThan(1);
            assertThat(p.top() + p.height()).isLessThan(1);
            double place = Math.floor(p.top() * 1000) + p.left() / 2;
            assertThat(place).isGreaterThan(before);
            before = place + p.width() / 2;
            double area = p.width()
                    * p.height()
                    * layout.width().inMm()
                    * layout.height().inMm();
            assertThat(area)
                    .isCloseTo(format.longSide().inMm() * format.shortSide().inMm(), within(1e-6));
        }
    }

    @Test
    void theOddStripIsShorter() {
        ProofLayout layout = of(8, 6, 36, 24);
        assertThat(layout.frames().get(6).left())
                .isCloseTo(layout.frames().get(0).left(), within(1e-12));
        assertThat(layout.frames().get(7).left())
                .isCloseTo(layout.frames().get(1).left(), within(1e-12));
    }

    @Test
    void aFilmWithoutFramesHasNoProof() {
        assertThatThrownBy(() -> of(0, 6, 36, 24)).isInstanceOf(QuantityException.class);
    }
}
