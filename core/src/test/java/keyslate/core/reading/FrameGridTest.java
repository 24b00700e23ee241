package keyslate.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import keyslate.core.film.FilmSheet;
import keyslate.core.quantity.QuantityException;
import keyslate.core.reading.Corners.Place;
import org.junit.jupiter.api.Test;

class FrameGridTest {
    private static List<List<Place>> frames(Corners corners, int frames, double along, double across) {
        return new FrameGrid(corners, FilmSheet.cut(frames, 3, false), along, across).frames();
    }

    @Test
    void withoutGapsTheFramesFillTheWhole() {
        List<List<Place>> frames = frames(Corners.whole(), 6, 0, 0);
        assertThat(frames).hasSize(6);
        assertThat(frames.get(0).get(0)).isEqualTo(new Place(0, 0));
        assertThat(frames.get(5).get(2).x()).isCloseTo(1, within(1e-12));
        assertThat(frames.get(5).get(2).y()).isCloseTo(1, within(1e-12));
        assertThat(frames.get(1).get(0)).isEqualTo(frames.get(0).get(1));
    }

    @Test
    void gapsLieBetweenFramesAndNotOutside() {
        List<List<Place>> frames = frames(Corners.whole(), 6, 0.5, 0.25);
        double width = frames.get(0).get(1).x();
        double height = frames.get(0).get(3).y();
        assertThat(3 * width + 2 * 0.5 * width).isCloseTo(1, within(1e-12));
        assertThat(2 * height + 0.25 * height).isCloseTo(1, within(1e-12));
        assertThat(frames.get(1).get(0).x() - frames.get(0).get(1).x()).isCloseTo(0.5 * width, within(1e-12));
        assertThat(frames.get(2).get(1).x()).isCloseTo(1, within(1e-12));
    }

    @Test
    void theOddStripIsShorter() {
        List<List<Place>> frames = frames(Corners.whole(), 4, 0.1, 0.1);
        assertThat(frames).hasSize(4);
        assertThat(frames.get(3).get(0).x()).isZero();
        assertThat(frames.get(3).get(1).x()).isCloseTo(frames.get(0).get(1).x(), within(1e-12));
    }

    @Test
    void followsCornersThatAreNotSquare() {
        Corners corners = Corners.of(List.of(0.1, 0.1, 0.9, 0.2, 0.8, 0.9, 0.2, 0.8));
        List<List<Place>> frames = frames(corners, 6, 0.1, 0.1);
        assertThat(frames.get(0).get(0).x()).isCloseTo(0.1, within(1e-9));
        assertThat(frames.get(2).get(1).y()).isCloseTo(0.2, within(1e-9));
        assertThat(frames.get(5).get(2).x()).isCloseTo(0.8, within(1e-9));
        assertThat(frames.get(3).get(3).y()).isCloseTo(0.8, within(1e-9));
    }

    @Test
    void aSheetIsTurnedByAQuarter() {
        Corners turned = Corners.whole().turned();
        assertThat(turned.at(0, 0)).isEqualTo(new Place(0, 1));
        assertThat(turned.at(1, 0)).isEqualTo(new Place(0, 0));
    }

    @Test
    void refusesGapsOfNoSleeve() {
        assertThatThrownBy(() -> frames(Corners.whole(), 6, -0.1, 0)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> frames(Corners.whole(), 6, 0, 2.1)).isInstanceOf(QuantityException.class);
    }
}
