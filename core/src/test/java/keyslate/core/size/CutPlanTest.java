package keyslate.core.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import keyslate.core.Draws;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;
import keyslate.core.size.CutPlan.Piece;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Following a plan cut by cut gives the pieces it promised, with the fence moved as it says. */
class CutPlanTest {
    /** Sides as the board sees them, shorter first, in whole micrometres. */
    private record Sides(long shorter, long longer) {
        static Sides of(Length a, Length b) {
            long x = Math.round(a.inMm() * 1000);
            long y = Math.round(b.inMm() * 1000);
            return new Sides(Math.min(x, y), Math.max(x, y));
        }
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void cuttingAsPlannedGivesThePieces(long seed) {
        RandomGenerator random = Draws.from(seed);
        List<Piece> pieces = new ArrayList<>();
        int sizes = random.nextInt(1, 4);
        for (int i = 0; i < sizes; i++) {
            pieces.add(
                    piece("size " + i, random.nextInt(4, 26) * 10, random.nextInt(4, 26) * 10, random.nextInt(1, 3)));
        }
        Length width = Length.ofMm(406);
        Length height = Length.ofMm(508);
        CutPlan.of(width, height, pieces).ifPresent(plan -> {
            List<Sides> board = new ArrayList<>(List.of(Sides.of(width, height)));
            plan.runs().forEach(run -> run.cuts().forEach(cut -> cut(board, run.fence(), cut)));
            for (Piece piece : pieces) {
                for (int i = 0; i < piece.count(); i++) {
                    assertThat(board.remove(Sides.of(piece.width(), piece.height())))
                            .as(piece + " of " + plan)
                            .isTrue();
                }
            }
            long largest = board.stream()
                    .mapToLong(s -> s.shorter() * s.longer())
                    .max()
                    .orElse(0);
            assertThat(plan.largestOffcutSquareMm()).isEqualTo(Math.round(largest / 1e6));
            assertThat(plan.cuts())
                    .isEqualTo(
                            plan.runs().stream().mapToInt(r -> r.cuts().size()).sum());
            assertThat(plan.runs()).extracting(CutPlan.Run::fence).containsAll(plan.fences());
        });
    }

    private static void cut(List<Sides> board, Length fence, CutPlan.Cut cut) {
        assertThat(board.remove(Sides.of(cut.width(), cut.height())))
                .as("there to be cut: " + cut)
                .isTrue();
        Length whole = cut.acrossWidth() ? cut.width() : cut.height();
        Length other = cut.acrossWidth() ? cut.height() : cut.width();
        board.add(Sides.of(fence, other));
        board.add(Sides.of(Length.ofMm(whole.inMm() - fence.inMm()), other));
    }

    @Test
    void theNamesSayWhatIsFinishedAndWhatIsCutAgain() {
        CutPlan plan = CutPlan.of(Length.ofMm(203), Length.ofMm(254), List.of(piece("strip", 203, 50, 2)))
                .orElseThrow();
        assertThat(plan.runs()).hasSize(1);
        assertThat(plan.runs().get(0).cuts())
                .containsExactly(
                        new CutPlan.Cut(
                                Length.ofMm(203), Length.ofMm(254), false, Optional.of("strip"), Optional.empty()),
                        new CutPlan.Cut(
                                Length.ofMm(203), Length.ofMm(204), false, Optional.of("strip"), Optional.empty()));
        assertThat(plan.largestOffcutSquareMm()).isEqualTo(203 * 154);
    }

    @Test
    void theFenceComesBackWhenADistanceIsNeededAgainLater() {
        CutPlan plan = CutPlan.of(
                        Length.ofMm(406),
                        Length.ofMm(508),
                        List.of(piece("narrow", 80, 150, 1), piece("wide", 200, 120, 2)))
                .orElseThrow();
        assertThat(plan.fences()).containsExactly(Length.ofMm(80), Length.ofMm(150), Length.ofMm(200));
        assertThat(plan.runs()).hasSize(4);
    }

    /** Of plans with the same fences, cuts and offcut the one that needs the fence set least often. */
    @ParameterizedTest
    @CsvSource({
        "254, 203, 127, 127, 1, 40, 40, 3, 2",
        "305, 240, 63, 100, 2, 50, 127, 1, 3",
        "305, 240, 102, 100, 3, 102, 130, 2, 3",
        "305, 240, 50, 120, 3, 102, 102, 3, 3"
    })
    void noRunIsOneTooMany(
            double width, double height, double w1, double h1, int n1, double w2, double h2, int n2, int runs) {
        CutPlan plan = CutPlan.of(
                        Length.ofMm(width),
                        Length.ofMm(height),
                        List.of(
                                new Piece("a", Length.ofMm(w1), Length.ofMm(h1), n1),
                                new Piece("b", Length.ofMm(w2), Length.ofMm(h2), n2)))
                .orElseThrow();
        assertThat(plan.runs()).hasSize(runs);
    }

    @Test
    void whatDoesNotComeOutIsAnAnswerNotAnError() {
        assertThat(CutPlan.of(Length.ofMm(100), Length.ofMm(100), List.of(piece("large", 203, 254, 1))))
                .isEmpty();
        // By area these would fit.
        assertThat(CutPlan.of(
                        Length.ofMm(300),
                        Length.ofMm(300),
                        List.of(piece("half", 160, 200, 2), piece("q", 90, 150, 1))))
                .isEmpty();
    }

    @Test
    void anEvenSixOfFourSizesIsStillPlanned() {
        Optional<CutPlan> plan = CutPlan.of(
                Length.ofMm(508),
                Length.ofMm(610),
                List.of(
                        piece("a", 203, 254, 2),
                        piece("b", 127, 178, 2),
                        piece("c", 90, 140, 1),
                        piece("d", 51, 61, 1)));
        assertThat(plan.orElseThrow().cuts()).isGreaterThanOrEqualTo(6);
    }

    @Test
    void tooManyToPlanIsSaid() {
        assertThatThrownBy(() -> CutPlan.of(
                        Length.ofMm(406), Length.ofMm(508), List.of(piece("a", 20, 25, 4), piece("b", 30, 25, 3))))
                .isInstanceOf(QuantityException.class)
                .hasMessage("pieces must be from 1 to 6, was 7");
        assertThatThrownBy(() -> CutPlan.of(Length.ofMm(406), Length.ofMm(508), List.of()))
                .hasMessage("name at least one piece to cut");
    }

    private static Piece piece(String name, double width, double height, int count) {
        return new Piece(name, Length.ofMm(width), Length.ofMm(height), count);
    }
}
