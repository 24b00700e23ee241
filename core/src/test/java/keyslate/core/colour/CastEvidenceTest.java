package keyslate.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.random.RandomGenerator;
import keyslate.core.Draws;
import keyslate.core.colour.CastEvidence.Estimate;
import keyslate.core.colour.CastEvidence.Judged;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What several judgements of a cast say together. */
class CastEvidenceTest {
    private static final double BELIEVED = 0.5;
    private static final FilterPack STANDING = FilterPack.of(0, 50, 60);

    @Test
    void oneJudgementIsTakenAtTheBelievedFactor() {
        Estimate found = CastEvidence.weighed(List.of(new Judged(STANDING, 10, -20)), BELIEVED);
        assertThat(found.pack().inMagenta()).isCloseTo(55, within(1e-9));
        assertThat(found.pack().inYellow()).isCloseTo(50, within(1e-9));
        assertThat(found.pack().inCyan()).isZero();
    }

    @Test
    void aNeutralPatchSettlesNothingByOneLookButByFour() {
        Judged neutral = new Judged(STANDING, 0, 0);
        Estimate once = CastEvidence.weighed(List.of(neutral), BELIEVED);
        assertThat(once.pack().inMagenta()).isCloseTo(STANDING.inMagenta(), within(1e-9));
        assertThat(once.pack().inYellow()).isCloseTo(STANDING.inYellow(), within(1e-9));
        assertThat(once.uncertaintyPoints()).isCloseTo(BELIEVED * CastEvidence.EYE_POINTS, within(1e-9));
        assertThat(once.isSettled()).isFalse();
        Estimate four = CastEvidence.weighed(Collections.nCopies(4, neutral), BELIEVED);
        assertThat(four.uncertaintyPoints()).isCloseTo(once.uncertaintyPoints() / 2, within(1e-9));
        assertThat(four.isSettled()).isTrue();
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void judgementsWithoutErrorFindThePackThoughTheFactorWasBelievedWrong(long seed) {
        RandomGenerator random = Draws.from(seed);
        double factor = random.nextDouble(0.4, 0.7);
        double magenta = random.nextDouble(40, 60);
        double yellow = random.nextDouble(50, 70);
        List<Judged> patches = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            FilterPack pack = FilterPack.of(0, random.nextDouble(35, 65), random.nextDouble(45, 75));
            patches.add(new Judged(pack, (magenta - pack.inMagenta()) / factor, (yellow - pack.inYellow()) / factor));
        }
        Estimate found = CastEvidence.weighed(patches, BELIEVED);
        assertThat(found.pack().inMagenta()).isCloseTo(magenta, within(0.8));
        assertThat(found.pack().inYellow()).isCloseTo(yellow, within(0.8));
    }

    /** Filters that differ in their factor and absorb of each other's colour, strong casts first. */
    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void eachColourOfAKitHasItsFactorAndASideOfTheOther(long seed) {
        RandomGenerator random = Draws.from(seed);
        double magenta = random.nextDouble(0.4, 0.8);
        double yellow = magenta * random.nextDouble(0.85, 1.15);
        double side = random.nextDouble(0.05, 0.2);
        List<Judged> patches = new ArrayList<>();
        for (double[] pack : new double[][] {{30, 50}, {60, 70}, {45, 45}, {52, 62}, {49, 58}, {50, 60}}) {
            double m = (50 - pack[0]) / magenta;
            double y = (60 - pack[1]) / yellow;
            patches.add(new Judged(FilterPack.of(0, pack[0], pack[1]), m - side * y, y - side * m));
        }
        Estimate found = CastEvidence.weighed(patches, BELIEVED);
        assertThat(found.pack().inMagenta()).isCloseTo(50, within(0.5));
        assertThat(found.pack().inYellow()).isCloseTo(60, within(0.5));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void theOrderOfJudgementsDoesNotMatterAndOneMoreNeverMakesItLessSure(long seed) {
        RandomGenerator random = Draws.from(seed);
        List<Judged> patches = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            patches.add(new Judged(
                    FilterPack.of(0, 45 + random.nextDouble(10), 55 + random.nextDouble(10)),
                    3 * random.nextGaussian(),
                    3 * random.nextGaussian()));
        }
        Estimate found = CastEvidence.weighed(patches, BELIEVED);
        List<Judged> turned = new ArrayList<>(patches);
        Collections.reverse(turned);
        Estimate again = CastEvidence.weighed(turned, BELIEVED);
        assertThat(again.pack().inMagenta()).isCloseTo(found.pack().inMagenta(), within(1e-6));
        assertThat(again.uncertaintyPoints()).isCloseTo(found.uncertaintyPoints(), within(1e-6));
        patches.add(patches.get(0));
        // A look may teach that a point of the kit is worth more of the pack than was believed: all looks are then
        // worth less.
        assertThat(CastEvidence.weighed(patches, BELIEVED).uncertaintyPoints())
                .isLessThan(found.uncertaintyPoints() + 0.2);
    }

    @Test
    void aPackThatWouldFallBelowNothingGetsCyan() {
        Estimate found = CastEvidence.weighed(List.of(new Judged(FilterPack.of(0, 5, 30), -40, 0)), BELIEVED);
        assertThat(found.pack().inMagenta()).isZero();
        assertThat(found.pack().inCyan()).isCloseTo(15, within(1e-9));
        assertThat(found.pack().inYellow()).isCloseTo(45, within(1e-9));
    }

    @Test
    void twoLooksThatSpeakAgainstTheFactorAreHeldToTwiceIt() {
        List<Judged> odd = List.of(
                new Judged(FilterPack.of(0, 40, 60), 30, 0),
                new Judged(FilterPack.of(0, 80, 60), 30, 0),
                new Judged(FilterPack.of(0, 120, 60), 30, 0));
        double magenta = CastEvidence.weighed(odd, BELIEVED).pack().inMagenta();
        assertThat(magenta).isCloseTo(80 + 30 * BELIEVED * 2, within(1.0));
    }

    /** Looks that no print could give, one against the other: the answer is a pack, and says how sure. */
    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void looksThatMakeNoSenseStillGiveAPack(long seed) {
        RandomGenerator random = Draws.from(seed);
        List<Judged> patches = new ArrayList<>();
        for (int i = random.nextInt(1, 9); i > 0; i--) {
            double same = random.nextBoolean() ? 50 : random.nextDouble(0, 300);
            FilterPack pack = FilterPack.of(0, same, random.nextBoolean() ? same : random.nextDouble(0, 300));
            patches.add(new Judged(pack, random.nextDouble(-400, 400), random.nextDouble(-400, 400)));
        }
        Estimate found = CastEvidence.weighed(patches, random.nextDouble(0.2, 1));
        assertThat(found.uncertaintyPoints()).isFinite().isPositive();
        assertThat(found.pack().inMagenta()).isBetween(0.0, FilterPack.MOST);
        assertThat(found.pack().inYellow()).isBetween(0.0, FilterPack.MOST);
    }

    @Test
    void nothingJudgedAndWrongFactorsAreRefused() {
        assertThatThrownBy(() -> CastEvidence.weighed(List.of(), BELIEVED)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> CastEvidence.weighed(List.of(new Judged(STANDING, 0, 0)), 1.5))
                .hasMessageContaining("0.2 to 1");
        assertThatThrownBy(() -> new Judged(STANDING, Double.NaN, 0)).hasMessageContaining("magenta cast");
    }
}
