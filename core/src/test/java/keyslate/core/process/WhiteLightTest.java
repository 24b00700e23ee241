package keyslate.core.process;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import keyslate.core.process.WhiteLight.Move;
import keyslate.core.process.WhiteLight.Moved;
import keyslate.core.process.WhiteLight.Where;
import org.junit.jupiter.api.Test;

class WhiteLightTest {
    private static WhiteLight after(double seconds, Moved... moves) {
        return WhiteLight.of(List.of(moves), 60, seconds, 1);
    }

    private static Moved at(double seconds, Move move) {
        return new Moved(move, seconds);
    }

    @Test
    void paperUnderTheLampOrInABathBearsNone() {
        assertThat(after(5).safe()).isFalse();
        assertThat(after(5, at(1, Move.DEVELOPER))).isEqualTo(new WhiteLight(Where.IN_THE_DEVELOPER, false, 0));
        assertThat(after(5, at(1, Move.DEVELOPER), at(2, Move.STOP)).safe()).isFalse();
    }

    @Test
    void theFixerNeedsItsTime() {
        assertThat(after(40, at(10, Move.FIXER))).isEqualTo(new WhiteLight(Where.IN_THE_FIXER, false, 30));
        assertThat(after(69.9, at(10, Move.FIXER)).safe()).isFalse();
        assertThat(after(70, at(10, Move.FIXER)).safe()).isTrue();
        assertThat(WhiteLight.of(List.of(at(10, Move.FIXER)), 60, 12, 40).safe())
                .isTrue();
    }

    @Test
    void boxAndDrumBearAnyLight() {
        assertThat(after(5, at(1, Move.BOXED)).safe()).isTrue();
        assertThat(after(5, at(1, Move.BOXED), at(2, Move.TAKEN)).safe()).isFalse();
        assertThat(after(5, at(1, Move.DRUM_CLOSED)).safe()).isTrue();
    }

    /** Whoever leaves closes away what lies open; what lies in a bath stays there and its clock runs on. */
    @Test
    void leavingClosesAwayAndComingBackOpensAgain() {
        assertThat(after(5, at(1, Move.LEFT))).isEqualTo(new WhiteLight(Where.PUT_AWAY, true, 0));
        assertThat(after(5, at(1, Move.LEFT), at(2, Move.CAME_BACK)))
                .isEqualTo(new WhiteLight(Where.UNDER_THE_LAMP, false, 0));
        assertThat(after(30, at(10, Move.FIXER), at(12, Move.LEFT)).waitSeconds())
                .isEqualTo(40);
        assertThat(after(90, at(10, Move.FIXER), at(12, Move.LEFT), at(80, Move.CAME_BACK))
                        .safe())
                .isTrue();
    }
}
