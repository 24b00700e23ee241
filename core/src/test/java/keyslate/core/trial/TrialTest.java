package keyslate.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import keyslate.core.trial.Trial.Advice;
import keyslate.core.trial.Trial.Figures;
import keyslate.core.trial.Trial.Result;
import keyslate.core.trial.printer.ColourByEye;
import keyslate.core.trial.world.TestedColour;
import org.junit.jupiter.api.Test;

/**
 * The simulated printer, on few negatives: that it measures, not what it measures; the figures stand in
 * docs/benchmarks.md.
 */
class TrialTest {
    private static final List<Result> TRIAL = Trial.run(30, 1, 0);
    private static final Map<String, Figures> FIGURES =
            TRIAL.stream().collect(Collectors.toMap(Result::name, Result::figures));

    @Test
    void everyMethodIsThereAndSaysWhoGivesItsAdvice() {
        assertThat(TRIAL)
                .extracting(Result::name)
                .containsExactly(
                        "mono-single",
                        "mono-same-spot",
                        "mono-openings",
                        "mono-pieces",
                        "mono-presses",
                        "mono-wedge",
                        "mono-guess",
                        "mono-picture",
                        "mono-split",
                        "mono-dials",
                        "colour-viewing-filters",
                        "colour-named-cast",
                        "colour-pieces",
                        "colour-ring-around",
                        "colour-grey-card",
                        "colour-picture",
                        "colour-meter",
                        "colour-far-negatives",
                        "colour-mixed-light",
                        "colour-scan",
                        "local",
                        "proof-start",
                        "proof-start-scan",
                        "carry-over",
                        "carry-over-defaults",
                        "mono-craft-rules",
                        "colour-craft-rules");
        Function<String, Advice> advice = name -> TRIAL.stream()
                .filter(r -> r.name().equals(name))
                .findFirst()
                .orElseThrow()
                .advice();
        assertThat(advice.apply("mono-single")).isEqualTo(Advice.STATION);
        assertThat(advice.apply("colour-scan")).isEqualTo(Advice.STATION);
        assertThat(advice.apply("local")).isEqualTo(Advice.CORE_ONLY);
        assertThat(advice.apply("mono-craft-rules")).isEqualTo(Advice.CRAFT_RULES);
    }

    @Test
    void theSameSeedGivesTheSameFiguresAndAnotherSeedOthers() {
        assertThat(Trial.run(3, 7, 0)).isEqualTo(Trial.run(3, 7, 0)).isNotEqualTo(Trial.run(3, 900, 0));
    }

    @Test
    void adviceBeatsThePlainRulesInPiecesAndInError() {
        Figures advice = FIGURES.get("mono-single");
        Figures plain = FIGURES.get("mono-craft-rules");
        assertThat(advice.piecesP90()).isLessThan(plain.piecesP90());
        assertThat(advice.stopsErrorP90()).isLessThan(plain.stopsErrorP90() / 2);
        assertThat(advice.withinGoal()).isGreaterThan(plain.withinGoal() + 0.5);
        Figures colour = FIGURES.get("colour-ring-around");
        Figures plainColour = FIGURES.get("colour-craft-rules");
        assertThat(colour.piecesMedian()).isLessThan(plainColour.piecesMedian());
        assertThat(colour.deltaE00P90().orElseThrow())
                .isLessThan(plainColour.deltaE00P90().orElseThrow() / 2);
    }

    @Test
    void figuresAreThoseOfTheMethodsKind() {
        FIGURES.forEach((name, f) -> {
            assertThat(f.piecesMedian()).as(name).isBetween(1, f.piecesP90());
            assertThat(f.stopsErrorMedian()).as(name).isPositive().isLessThanOrEqualTo(f.stopsErrorP90());
            assertThat(f.withinGoal()).as(name).isBetween(0.0, 1.0);
            boolean colour = name.startsWith("colour");
            assertThat(f.deltaE00P90().isPresent()).as(name).isEqualTo(colour);
            assertThat(f.gradeErrorP90().isPresent()).as(name).isEqualTo(name.startsWith("mono"));
        });
    }

    @Test
    void anErrorThatNoSecondLookTakesAwayCostsTheEyeAndNotTheScanner() {
        List<Result> steady = Trial.run(30, 1, 1);
        Map<String, Figures> figures = steady.stream().collect(Collectors.toMap(Result::name, Result::figures));
        assertThat(figures.get("colour-ring-around").deltaE00P90().orElseThrow())
                .isGreaterThan(FIGURES.get("colour-ring-around").deltaE00P90().orElseThrow());
        assertThat(figures.get("colour-grey-card").deltaE00P90().orElseThrow())
                .isLessThan(figures.get("colour-viewing-filters").deltaE00P90().orElseThrow());
        assertThat(figures.get("colour-scan")).isEqualTo(FIGURES.get("colour-scan"));
    }

    @Test
    void laterSlatesOfABenchTakeFewerPiecesThanItsFirst() {
        List<BenchTrial.Place> places = BenchTrial.run(20, 8, 1);
        assertThat(places).extracting(BenchTrial.Place::slate).containsExactly(1, 2, 3, 4, 5, 6, 7, 8);
        assertThat(places.get(7).piecesMean()).isLessThan(places.get(0).piecesMean() - 0.5);
        assertThat(places.get(7).withinAfterOne()).isGreaterThan(places.get(0).withinAfterOne() + 0.2);
        assertThat(BenchTrial.run(3, 2, 9)).isEqualTo(BenchTrial.run(3, 2, 9));
    }

    @Test
    void aColourBenchLearnsItsKitAndItsPack() {
        List<BenchTrial.Place> places = BenchTrial.inColour(15, 5, 1);
        assertThat(places.get(4).piecesMean()).isLessThan(places.get(0).piecesMean() - 0.5);
        assertThat(BenchTrial.inColour(3, 2, 9)).isEqualTo(BenchTrial.inColour(3, 2, 9));
    }

    /** Although it was never read for such a scene. */
    @Test
    void aMeterBeforeTheFirstStripSavesPaper() {
        assertThat(pieces(ColourByEye.Way.METER)).isLessThan(pieces(ColourByEye.Way.VIEWING_FILTERS) - 0.2);
    }

    private static double pieces(ColourByEye.Way way) {
        return IntStream.range(0, 40)
                .mapToObj(seed -> new TestedColour(seed, TestedColour.Kind.USUAL))
                .mapToInt(room -> ColourByEye.follow(room, way, ColourByEye.Bench.NEW)
                        .stood()
                        .size())
                .average()
                .orElseThrow();
    }

    @Test
    void aForeignWorldIsAskedForTheMainMethods() {
        assertThat(Trial.foreign(10, 1))
                .extracting(Result::name)
                .containsExactly(
                        "mono-single",
                        "mono-split",
                        "mono-dials",
                        "colour-viewing-filters",
                        "colour-named-cast",
                        "colour-pieces",
                        "colour-ring-around",
                        "colour-meter",
                        "colour-scan");
    }

    @Test
    void numbersThatMakeNoTrialAreRefused() {
        assertThatThrownBy(() -> Trial.run(0, 1, 0)).hasMessageContaining("runs");
        assertThatThrownBy(() -> Trial.run(1, 1, 1.5)).hasMessageContaining("steady share");
    }
}
