package keyslate.core.size;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import keyslate.core.quantity.Magnification;
import keyslate.core.size.Focus.Moved;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class FocusTest {
    private static final double SOON = 0.3;
    private static final Placement EVEN = Placement.even(6, PrintFit.Way.WHOLE_PICTURE);
    private static final Focus STOOD = focus("80 mm", "frame 7", 4.5, EVEN, 254, "");

    private static Focus focus(
            String lens, String negative, double times, Placement placement, double width, String below) {
        return new Focus(lens, negative, Magnification.of(times), placement, width, 203, below);
    }

    static Stream<Arguments> moves() {
        Placement moved = new Placement(EVEN.blades(), EVEN.way(), 0, EVEN.sized(), 0.5, 0.4);
        return Stream.of(
                Arguments.of(Moved.LENS, focus("50 mm", "frame 7", 4.5, EVEN, 254, "")),
                Arguments.of(Moved.NEGATIVE, focus("80 mm", "frame 8", 4.5, EVEN, 254, "")),
                Arguments.of(Moved.SIZE, focus("80 mm", "frame 7", 8, EVEN, 305, "")),
                Arguments.of(Moved.EASEL, focus("80 mm", "frame 7", 4.5, moved, 254, "")),
                Arguments.of(Moved.EASEL, focus("80 mm", "frame 7", 4.5, EVEN, 305, "")),
                Arguments.of(Moved.FILTER_BELOW, focus("80 mm", "frame 7", 4.5, EVEN, 254, "grade 3")));
    }

    @ParameterizedTest
    @MethodSource("moves")
    void oneCauseIsSaidOnce(Moved cause, Focus now) {
        assertThat(now.movedSince(STOOD, SOON)).containsExactly(cause);
    }

    @Test
    void whatStandsAsItStoodIsInFocus() {
        assertThat(STOOD.movedSince(focus("80 mm", "frame 7", 4.505, EVEN, 254, ""), SOON))
                .isEmpty();
    }

    @Test
    void aLongBreakAsksForALook() {
        assertThat(STOOD.movedSince(STOOD, Focus.LONG_BREAK_HOURS)).isEmpty();
        assertThat(STOOD.movedSince(STOOD, Focus.LONG_BREAK_HOURS + 0.01)).containsExactly(Moved.BREAK);
    }

    @Test
    void everyCauseIsSaid() {
        assertThat(focus("50 mm", "frame 8", 8, EVEN, 254, "grade 3").movedSince(STOOD, 24))
                .containsExactly(Moved.LENS, Moved.NEGATIVE, Moved.SIZE, Moved.FILTER_BELOW, Moved.BREAK);
    }
}
