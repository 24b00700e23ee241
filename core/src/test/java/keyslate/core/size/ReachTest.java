package keyslate.core.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;

class ReachTest {
    private static final Reach.Candidate SHORT = lens("50 mm", 50, 43.5);
    private static final Reach.Candidate LONG = lens("80 mm", 80, 80);
    private static final Length SMALL = Length.ofMm(43.3);

    private static Reach.Candidate lens(String name, double focal, double covers) {
        return new Reach.Candidate(name, name, Length.ofMm(focal), Length.ofMm(covers));
    }

    @Test
    void theLongestThatReachesIsOffered() {
        List<Reach.Candidate> both = List.of(SHORT, LONG);
        assertThat(Reach.instead(both, SMALL, Magnification.of(9), Length.ofMm(900)))
                .contains(LONG);
        assertThat(Reach.instead(both, SMALL, Magnification.of(12), Length.ofMm(900)))
                .contains(SHORT);
        assertThat(Reach.instead(both, SMALL, Magnification.of(20), Length.ofMm(900)))
                .isEmpty();
    }

    @Test
    void aLensThatDoesNotCoverIsNone() {
        assertThat(Reach.instead(List.of(SHORT), Length.ofMm(70), Magnification.of(4), Length.ofMm(900)))
                .isEmpty();
        assertThat(Reach.covers(Length.ofMm(43), SMALL)).isTrue();
        assertThat(Reach.covers(Length.ofMm(42), SMALL)).isFalse();
    }

    @Test
    void aHeightBelowTheFocalLengthIsNoSize() {
        assertThatThrownBy(() -> Reach.atHeight(Length.ofMm(50), Length.ofMm(50)))
                .isInstanceOf(QuantityException.class);
    }
}
