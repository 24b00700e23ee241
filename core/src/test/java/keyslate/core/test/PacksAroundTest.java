package keyslate.core.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import keyslate.core.light.Light;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.test.PacksAround.Kind;
import org.junit.jupiter.api.Test;

class PacksAroundTest {
    private static final UnaryOperator<Light> SAME = UnaryOperator.identity();
    private static final FilterPack CENTRE = FilterPack.of(0, 57, 43);

    private static PacksAround around(Kind kind, double step, int rings) {
        return new PacksAround(kind, step, rings, false, Optional.empty());
    }

    private static List<String> packs(PacksAround around, FilterPack centre) {
        return around.pieces(centre, SAME).stream()
                .map(p -> p.light().notation())
                .toList();
    }

    @Test
    void aRingIsTheMiddleAndSixDirections() {
        assertThat(packs(around(Kind.RING, 8, 1), CENTRE))
                .containsExactly("0/57/43", "0/65/51", "0/57/51", "0/49/43", "0/49/35", "0/57/35", "0/65/43");
    }

    @Test
    void aLadderMovesBothAlikeAndSaysWhatItIsBlindTo() {
        PacksAround ladder = around(Kind.LADDER, 10, 2);
        assertThat(packs(ladder, CENTRE))
                .containsExactlyInAnyOrder("0/37/23", "0/47/33", "0/57/43", "0/67/53", "0/77/63");
        assertThat(ladder.isBlindTo()).contains("cannot show green or magenta");
        assertThat(around(Kind.RING, 8, 1).isBlindTo()).isEmpty();
    }

    @Test
    void aGridHasEveryPairOnce() {
        assertThat(packs(around(Kind.GRID, 6, 1), CENTRE))
                .hasSize(9)
                .doesNotHaveDuplicates()
                .startsWith("0/57/43");
    }

    /** No dial goes under zero, and no piece has grey in it; what a print looks like is the same. */
    @Test
    void nothingFallsBelowZeroNorHasGrey() {
        PacksAround ring = new PacksAround(Kind.RING, 8, 1, true, Optional.empty());
        for (PacksAround.Piece piece : ring.pieces(FilterPack.of(0, 3, 40), SAME)) {
            FilterPack p = piece.light().toPack();
            assertThat(Math.min(p.inCyan(), Math.min(p.inMagenta(), p.inYellow())))
                    .isZero();
        }
        assertThat(packs(around(Kind.RING, 8, 1), FilterPack.of(0, 3, 40))).contains("5/0/45");
        assertThat(packs(around(Kind.RING, 8, 1), FilterPack.of(14, 66, 52))).startsWith("0/52/38");
    }

    @Test
    void twoMoreMayBeLighterAndDarker() {
        PacksAround ring = new PacksAround(Kind.RING, 8, 1, false, Optional.of(Stops.of(0.25)));
        List<PacksAround.Piece> pieces = ring.pieces(CENTRE, SAME);
        assertThat(pieces).hasSize(9).hasSize(ring.count());
        assertThat(pieces.get(7)).isEqualTo(new PacksAround.Piece(pieces.get(0).light(), Stops.of(-0.25)));
        assertThat(pieces.get(8)).isEqualTo(new PacksAround.Piece(pieces.get(0).light(), Stops.of(0.25)));
    }

    /** Gels of five make rings of five, and none of three. */
    @Test
    void piecesAreWhatTheHeadCanBeSetTo() {
        UnaryOperator<Light> fives = light -> Light.dials(FilterPack.of(
                0,
                5 * Math.rint(light.points().get(1) / 5),
                5 * Math.rint(light.points().get(2) / 5)));
        assertThat(around(Kind.RING, 5, 1).pieces(CENTRE, fives)).hasSize(7);
        assertThatThrownBy(() -> around(Kind.GRID, 2, 1).pieces(CENTRE, fives))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("larger step");
    }

    @Test
    void countsWhatItMakes() {
        for (Kind kind : Kind.values()) {
            PacksAround around = around(kind, 5, 1);
            assertThat(around.pieces(CENTRE, SAME)).hasSize(around.count());
        }
    }

    @Test
    void refusesMoreThanFifteenAndStepsThatNobodySees() {
        assertThatThrownBy(() -> around(Kind.GRID, 5, 2)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> around(Kind.RING, 1, 1)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> new PacksAround(Kind.RING, 5, 1, false, Optional.of(Stops.of(3))))
                .isInstanceOf(QuantityException.class);
    }
}
