package keyslate.core.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;
import keyslate.core.size.PaperCutting.Ribbon;
import keyslate.core.size.PaperCutting.Wanted;
import org.junit.jupiter.api.Test;

class PaperCuttingTest {
    private static Wanted wanted(String name, double width, double height, int count) {
        return new Wanted(name, Length.ofMm(width), Length.ofMm(height), count);
    }

    private static Optional<PaperCutting> cut(double width, double height, Wanted... wanted) {
        return PaperCutting.of(Length.ofMm(width), Length.ofMm(height), List.of(wanted));
    }

    @Test
    void fewPiecesAreThoseOfTheProvenPlan() {
        PaperCutting plan = cut(305, 240, wanted("print", 178, 127, 2)).orElseThrow();
        assertThat(plan.proven()).isTrue();
        CutPlan exact = CutPlan.of(
                        Length.ofMm(305),
                        Length.ofMm(240),
                        List.of(new CutPlan.Piece("print", Length.ofMm(178), Length.ofMm(127), 2)))
                .orElseThrow();
        assertThat(plan.settings()).hasSizeLessThanOrEqualTo(exact.fences().size());
    }

    @Test
    void stripsAreCutAsOneRibbon() {
        PaperCutting plan = cut(254, 203, wanted("strip", 51, 203, 4)).orElseThrow();
        assertThat(plan.settings()).hasSize(1);
        assertThat(plan.settings().get(0).inMm()).isCloseTo(51, within(1e-9));
    }

    @Test
    void manyPiecesComeOutByRibbonsAndAreSaidNotToBeProven() {
        PaperCutting plan = cut(406, 305, wanted("strip", 50, 100, 20)).orElseThrow();
        assertThat(plan.proven()).isFalse();
        assertThat(plan.ribbons().stream().mapToInt(Ribbon::pieces).sum()).isEqualTo(20);
        assertThat(plan.cuts()).isGreaterThanOrEqualTo(19);
    }

    @Test
    void printsAndStripsFromOneSheet() {
        PaperCutting plan = cut(305, 240, wanted("print", 178, 127, 2), wanted("strip", 60, 62, 4))
                .orElseThrow();
        int strips = plan.ribbons().stream().mapToInt(Ribbon::pieces).sum();
        assertThat(strips).isIn(0, 4);
        assertThat(plan.settings()).isNotEmpty();
    }

    /** Cut once more on paper: as many pieces as wanted, of their size, none over another or over the edge. */
    @Test
    void theLayoutHoldsEveryPieceOnceAndCoversTheSheet() {
        List<Wanted> wanted = List.of(wanted("print", 178, 127, 2), wanted("strip", 60, 62, 4));
        Length width = Length.ofMm(305);
        Length height = Length.ofMm(240);
        List<PaperCutting.Place> places =
                PaperCutting.of(width, height, wanted).orElseThrow().layout(width, height);
        for (Wanted one : wanted) {
            assertThat(places.stream().filter(p -> p.name().equals(one.name())))
                    .hasSize(one.count())
                    .allSatisfy(p -> assertThat(p.width().inMm() * p.height().inMm())
                            .isCloseTo(one.width().inMm() * one.height().inMm(), within(0.01)));
        }
        double area = places.stream()
                .mapToDouble(p -> p.width().inMm() * p.height().inMm())
                .sum();
        assertThat(area).isCloseTo(305 * 240, within(0.1));
        for (PaperCutting.Place a : places) {
            assertThat(a.left().inMm() + a.width().inMm()).isLessThanOrEqualTo(305.001);
            assertThat(a.top().inMm() + a.height().inMm()).isLessThanOrEqualTo(240.001);
            for (PaperCutting.Place b : places) {
                boolean apart = a == b
                        || a.left().inMm() + a.width().inMm() <= b.left().inMm() + 0.001
                        || b.left().inMm() + b.width().inMm() <= a.left().inMm() + 0.001
                        || a.top().inMm() + a.height().inMm() <= b.top().inMm() + 0.001
                        || b.top().inMm() + b.height().inMm() <= a.top().inMm() + 0.001;
                assertThat(apart).isTrue();
            }
        }
    }

    @Test
    void whatDoesNotComeOutHasNoPlan() {
        assertThat(cut(254, 203, wanted("print", 254, 203, 2))).isEmpty();
        assertThat(cut(254, 203, wanted("print", 300, 20, 1))).isEmpty();
        assertThatThrownBy(() -> wanted("print", 10, 10, 41)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> cut(254, 203)).isInstanceOf(QuantityException.class);
    }

    @Test
    void anotherBeginningSpoilsThePieces() {
        // 127 first leaves strips of 240 by 127 that no print of 178 by 113 beside another comes out of.
        PaperCutting plan = cut(305, 240, wanted("print", 178, 240, 1), wanted("small", 127, 120, 2))
                .orElseThrow();
        List<PaperCutting.Beginning> others = plan.otherBeginnings(Length.ofMm(305), Length.ofMm(240));
        assertThat(others)
                .isNotEmpty()
                .allSatisfy(s -> assertThat(s.fence().inMm())
                        .isNotCloseTo(plan.settings().get(0).inMm(), within(0.01)));
        assertThat(others).anyMatch(s -> !s.comesOut());
    }

    /** Four postcards of a sheet: 100 twice, then 150 on both; begun with 150 they come out as well, with other offcuts. */
    @Test
    void anotherBeginningMayStillComeOut() {
        PaperCutting plan = cut(300, 240, wanted("card", 150, 100, 4)).orElseThrow();
        assertThat(plan.line()).extracting(Length::inMm).containsExactly(100.0, 100.0, 150.0);
        assertThat(plan.settings()).hasSize(2);
        assertThat(plan.cuts()).isEqualTo(4);
        assertThat(plan.otherBeginnings(Length.ofMm(300), Length.ofMm(240)))
                .containsExactly(new PaperCutting.Beginning(Length.ofMm(150), true));
        PaperCutting other = PaperCutting.of(
                        Length.ofMm(300),
                        Length.ofMm(240),
                        List.of(wanted("card", 150, 100, 4)),
                        Optional.of(Length.ofMm(150)))
                .orElseThrow();
        assertThat(other.settings().get(0).inMm()).isEqualTo(150);
        assertThat(other.cuts()).isEqualTo(5);
        assertThat(other.layout(Length.ofMm(300), Length.ofMm(240)))
                .filteredOn(p -> p.name().isEmpty())
                .hasSize(2)
                .allSatisfy(
                        p -> assertThat(p.width().inMm() * p.height().inMm()).isEqualTo(40 * 150));
    }

    /** Five strips of 60 from the end of 305: no setting brings the ribbon to 300 first. */
    @Test
    void aRibbonIsNotCutToItsLength() {
        PaperCutting plan = cut(305, 240, wanted("print", 178, 127, 2), wanted("strip", 62, 60, 5))
                .orElseThrow();
        assertThat(plan.settings()).extracting(Length::inMm).containsExactlyInAnyOrder(62.0, 127.0, 60.0);
        assertThat(plan.layout(Length.ofMm(305), Length.ofMm(240)))
                .filteredOn(p -> p.name().equals("strip"))
                .hasSize(5)
                .allSatisfy(
                        p -> assertThat(p.width().inMm() * p.height().inMm()).isEqualTo(62 * 60, within(1e-6)));
        double area = plan.layout(Length.ofMm(305), Length.ofMm(240)).stream()
                .mapToDouble(p -> p.width().inMm() * p.height().inMm())
                .sum();
        assertThat(area).isEqualTo(305 * 240, within(1e-6));
    }

    @Test
    void aWholeSheetOfStripsNeedsOneSetting() {
        PaperCutting plan = cut(254, 203, wanted("strip", 203, 30, 8)).orElseThrow();
        assertThat(plan.settings()).extracting(Length::inMm).containsExactly(30.0);
        assertThat(plan.cuts()).isEqualTo(8);
        assertThat(plan.layout(Length.ofMm(254), Length.ofMm(203)))
                .filteredOn(p -> p.name().equals("strip"))
                .hasSize(8);
    }

    @Test
    void aFenceOfNoPieceBeginsNothing() {
        assertThat(PaperCutting.of(
                        Length.ofMm(300),
                        Length.ofMm(240),
                        List.of(wanted("card", 150, 100, 4)),
                        Optional.of(Length.ofMm(77))))
                .isEmpty();
    }
}
