package keyslate.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;

class FilmSheetTest {
    @Test
    void theOddStripLiesAtTheEndOrAtTheBeginning() {
        assertThat(FilmSheet.cut(36, 6, false).strips()).containsExactly(6, 6, 6, 6, 6, 6);
        assertThat(FilmSheet.cut(38, 6, false).strips()).containsExactly(6, 6, 6, 6, 6, 6, 2);
        assertThat(FilmSheet.cut(38, 6, true).strips()).containsExactly(2, 6, 6, 6, 6, 6, 6);
        assertThat(FilmSheet.cut(3, 6, true).strips()).containsExactly(3);
        assertThat(FilmSheet.cut(0, 6, false).strips()).isEmpty();
    }

    @Test
    void noFrameIsLostWhateverTheStrips() {
        for (int frames = 0; frames <= FilmSheet.MOST_FRAMES; frames++) {
            for (int per = 1; per <= FilmSheet.MOST_FRAMES; per++) {
                FilmSheet sheet = FilmSheet.cut(frames, per, frames % 2 == 0);
                assertThat(sheet.strips().stream().mapToInt(Integer::intValue).sum())
                        .isEqualTo(frames);
                assertThat(sheet.longest()).isEqualTo(Math.min(frames, per));
            }
        }
    }

    @Test
    void refusesStripsOfNothing() {
        assertThatThrownBy(() -> FilmSheet.cut(36, 0, false)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> FilmSheet.cut(-1, 6, false)).isInstanceOf(QuantityException.class);
    }

    @Test
    void usualFormatsAreCutIntoWholeStrips() {
        assertThat(Arrays.stream(FilmFormat.values()))
                .allSatisfy(f -> assertThat(f.usualFrames() % f.usualPerStrip()).isZero())
                .allSatisfy(f -> assertThat(f.longSide().inMm())
                        .isGreaterThanOrEqualTo(f.shortSide().inMm()));
    }
}
