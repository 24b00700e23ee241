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
import keyslate.core.colour.CastLook.Against;
import keyslate.core.colour.KitLook.Through;
import keyslate.core.colour.NamedCast.Picture;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What several judgements of a cast say together. */
class CastEvidenceTest {
    private static final double BELIEVED = 0.5;
    private static final FilterPack STANDING = FilterPack.of(0, 50, 60);

    private static Estimate weighed(List<CastLook> looks, double factor) {
        return CastEvidence.weighed(looks, List.of(KitFactors.believed(CastWay.VIEWING_FILTER, 1 / factor)));
    }

    private static CastLook look(FilterPack pack, double magenta, double yellow) {
        return CastLook.of(pack, magenta, yellow, CastWay.VIEWING_FILTER);
    }

    @Test
    void aWetPrintIsReckonedAsItWillDryAndLessSurely() {
        CastLook neutral = look(STANDING, 0, 0);
        CastLook dried = neutral.dried(WetPrint.USUAL);
        // It looked neutral and bluer than it is: dry it is too yellow by 6.
        assertThat(dried.yellow()).isCloseTo(6, within(1e-9));
        assertThat(dried.magenta()).isCloseTo(0, within(1e-9));
        assertThat(CastEvidence.weighed(List.of(dried), List.of()).uncertaintyPoints())
                .isGreaterThan(CastEvidence.weighed(List.of(neutral), List.of()).uncertaintyPoints());
        CastLook piece = CastLook.of(STANDING, 0, 0, CastWay.PIECES).dried(WetPrint.USUAL);
        assertThat(piece.yellow()).isCloseTo(3, within(1e-9));
    }

    @Test
    void anotherLightLeavesMoreOpenForAnEyeAndNothingForAnInstrument() {
        assertThat(look(STANDING, 4, 0).inAnotherLight().openPoints()).isCloseTo(3, within(1e-9));
        CastLook measured = CastLook.of(STANDING, 4, 0, CastWay.PICTURE);
        assertThat(measured.inAnotherLight()).isEqualTo(measured);
    }

    @Test
    void aPrintThatIsNeutralTellsMoreThanACardAndLessThanAMeasuredOne() {
        assertThat(regionBeside(Against.REFERENCE))
                .isLessThan(regionBeside(Against.CARD))
                .isGreaterThan(regionBeside(Against.MEASURED_CARD));
    }

    private static double regionBeside(Against against) {
        List<CastLook> looks = Collections.nCopies(12, look(STANDING, 3, 1).against(against));
        return CastEvidence.weighed(looks, List.of()).region().ofMagenta();
    }

    @Test
    void oneJudgementIsTakenAtTheBelievedFactor() {
        Estimate found = weighed(List.of(look(STANDING, 10, -20)), BELIEVED);
        assertThat(found.pack().inMagenta()).isCloseTo(55, within(1e-9));
        assertThat(found.pack().inYellow()).isCloseTo(50, within(1e-9));
        assertThat(found.pack().inCyan()).isZero();
    }

    @Test
    void aNeutralPatchSettlesNothingByOneLookButByEight() {
        CastLook neutral = look(STANDING, 0, 0);
        Estimate once = weighed(List.of(neutral), BELIEVED);
        assertThat(once.pack().inMagenta()).isCloseTo(STANDING.inMagenta(), within(1e-9));
        assertThat(once.pack().inYellow()).isCloseTo(STANDING.inYellow(), within(1e-9));
        assertThat(once.uncertaintyPoints())
                .isCloseTo(BELIEVED * CastWay.VIEWING_FILTER.errors().points(), within(1e-9));
        assertThat(once.isSettled()).isFalse();
        Estimate eight = weighed(Collections.nCopies(8, neutral), BELIEVED);
        assertThat(eight.uncertaintyPoints()).isCloseTo(once.uncertaintyPoints() / Math.sqrt(8), within(1e-9));
        assertThat(eight.isSettled()).isTrue();
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void judgementsWithoutErrorFindThePackThoughTheFactorWasBelievedWrong(long seed) {
        RandomGenerator random = Draws.from(seed);
        double factor = random.nextDouble(0.4, 0.7);
        double magenta = random.nextDouble(40, 60);
        double yellow = random.nextDouble(50, 70);
        List<CastLook> patches = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            FilterPack pack = FilterPack.of(0, random.nextDouble(35, 65), random.nextDouble(45, 75));
            patches.add(look(pack, (magenta - pack.inMagenta()) / factor, (yellow - pack.inYellow()) / factor));
        }
        Estimate found = weighed(patches, BELIEVED);
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
        List<CastLook> patches = new ArrayList<>();
        for (double[] pack : new double[][] {{30, 50}, {60, 70}, {45, 45}, {52, 62}, {49, 58}, {50, 60}}) {
            double m = (50 - pack[0]) / magenta;
            double y = (60 - pack[1]) / yellow;
            patches.add(look(FilterPack.of(0, pack[0], pack[1]), m - side * y, y - side * m));
        }
        Estimate found = weighed(patches, BELIEVED);
        assertThat(found.pack().inMagenta()).isCloseTo(50, within(0.5));
        assertThat(found.pack().inYellow()).isCloseTo(60, within(0.5));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void theOrderOfJudgementsDoesNotMatterAndOneMoreNeverMakesItLessSure(long seed) {
        RandomGenerator random = Draws.from(seed);
        List<CastLook> patches = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            patches.add(look(
                    FilterPack.of(0, 45 + random.nextDouble(10), 55 + random.nextDouble(10)),
                    3 * random.nextGaussian(),
                    3 * random.nextGaussian()));
        }
        Estimate found = weighed(patches, BELIEVED);
        List<CastLook> turned = new ArrayList<>(patches);
        Collections.reverse(turned);
        Estimate again = weighed(turned, BELIEVED);
        assertThat(again.pack().inMagenta()).isCloseTo(found.pack().inMagenta(), within(1e-6));
        assertThat(again.uncertaintyPoints()).isCloseTo(found.uncertaintyPoints(), within(1e-6));
        patches.add(patches.get(0));
        // A look may teach that a point of the kit is worth more of the pack than was believed: all looks are then
        // worth less.
        assertThat(weighed(patches, BELIEVED).uncertaintyPoints()).isLessThan(found.uncertaintyPoints() + 0.2);
    }

    @Test
    void aPackThatWouldFallBelowNothingGetsCyan() {
        Estimate found = weighed(List.of(look(FilterPack.of(0, 5, 30), -40, 0)), BELIEVED);
        assertThat(found.pack().inMagenta()).isZero();
        assertThat(found.pack().inCyan()).isCloseTo(15, within(1e-9));
        assertThat(found.pack().inYellow()).isCloseTo(45, within(1e-9));
    }

    @Test
    void twoLooksThatSpeakAgainstTheFactorAreHeldToTwiceIt() {
        List<CastLook> odd = List.of(
                look(FilterPack.of(0, 40, 60), 30, 0),
                look(FilterPack.of(0, 80, 60), 30, 0),
                look(FilterPack.of(0, 120, 60), 30, 0));
        double magenta = weighed(odd, BELIEVED).pack().inMagenta();
        assertThat(magenta).isCloseTo(80 + 30 * BELIEVED * 2, within(1.0));
    }

    /** Looks that no print could give, one against the other: the answer is a pack, and says how sure. */
    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void looksThatMakeNoSenseStillGiveAPack(long seed) {
        RandomGenerator random = Draws.from(seed);
        List<CastLook> patches = new ArrayList<>();
        for (int i = random.nextInt(1, 9); i > 0; i--) {
            double same = random.nextBoolean() ? 50 : random.nextDouble(0, 300);
            FilterPack pack = FilterPack.of(0, same, random.nextBoolean() ? same : random.nextDouble(0, 300));
            patches.add(look(pack, random.nextDouble(-400, 400), random.nextDouble(-400, 400)));
        }
        Estimate found = weighed(patches, random.nextDouble(0.2, 1));
        assertThat(found.uncertaintyPoints()).isFinite().isPositive();
        assertThat(found.pack().inMagenta()).isBetween(0.0, FilterPack.MOST);
        assertThat(found.pack().inYellow()).isBetween(0.0, FilterPack.MOST);
    }

    /** A scan is not of that eye: what the eye adds to every neutral comes out, and the looks that follow are freed of it. */
    @Test
    void anEyesSteadyErrorIsToldByWhatIsNotOfThatEye() {
        List<CastLook> looks = new ArrayList<>(Collections.nCopies(8, look(STANDING, 6, -4)));
        Estimate byEye = weighed(looks, BELIEVED);
        assertThat(byEye.steady()).isEmpty();
        assertThat(byEye.pack().inMagenta()).isCloseTo(53, within(0.01));
        assertThat(byEye.region().ofMagenta()).isGreaterThan(byEye.uncertaintyPoints() * byEye.uncertaintyPoints());
        looks.add(CastLook.of(STANDING, 0, 0, CastWay.PICTURE));
        looks.add(CastLook.of(STANDING, 0, 0, CastWay.PICTURE));
        Estimate both = weighed(looks, BELIEVED);
        assertThat(both.steady()).isPresent();
        assertThat(both.steady().orElseThrow().magenta()).isBetween(3.0, 6.0);
        assertThat(both.steady().orElseThrow().isFound()).isTrue();
        assertThat(both.pack().inMagenta()).isBetween(50.0, 51.5);
        assertThat(both.pack().inYellow()).isBetween(58.5, 60.0);
    }

    @Test
    void aGreyCardIsNoEyeButHasACastOfItsOwn() {
        List<CastLook> looks = Collections.nCopies(30, look(STANDING, 0, 0).against(Against.CARD));
        Estimate card = weighed(looks, BELIEVED);
        // ± 2 viewed points of the card stay, however often it is looked at.
        assertThat(Math.sqrt(card.region().ofMagenta())).isBetween(0.5, 0.65);
        assertThat(card.uncertaintyPoints()).isLessThan(0.45);
        Estimate measured = weighed(
                looks.stream().map(l -> l.against(Against.MEASURED_CARD)).toList(), BELIEVED);
        assertThat(Math.sqrt(measured.region().ofMagenta())).isLessThan(0.45);
    }

    /** Half a gradient shows half the cast. */
    @Test
    void aPatchOfAWrongDensityIsReckonedAtItsOwnGradient() {
        CastLook pale = look(STANDING, 10, 0).needing(1.5);
        assertThat(pale.gradient()).isLessThan(0.7);
        double magenta = weighed(List.of(pale), BELIEVED).pack().inMagenta();
        assertThat(magenta).isCloseTo(50 + 5 / pale.gradient(), within(0.01));
        assertThat(look(STANDING, 10, 0).needing(0).gradient()).isCloseTo(1, within(1e-9));
    }

    @Test
    void notEnoughAtTheStrongestDoesNotSpeakAgainstMore() {
        CastLook more = KitLook.at(FilterPack.of(0, 20, 60), List.of(new Through(Hue.G, 20, false)));
        assertThat(more.magenta()).isEqualTo(30);
        assertThat(more.atLeast()).isTrue();
        CastLook near = look(FilterPack.of(0, 52, 60), -4, 0);
        double alone = weighed(List.of(near, near, near), BELIEVED).pack().inMagenta();
        double both = weighed(List.of(more, near, near, near), BELIEVED).pack().inMagenta();
        assertThat(both).isCloseTo(alone, within(0.3));
        // What was enough speaks against it.
        CastLook enough = look(FilterPack.of(0, 20, 60), 30, 0);
        assertThat(weighed(List.of(enough, near, near, near), BELIEVED).pack().inMagenta())
                .isLessThan(both - 0.1);
    }

    @Test
    void filtersOnEachOtherAddUp() {
        CastLook look = KitLook.at(STANDING, List.of(new Through(Hue.G, 10, true), new Through(Hue.B, 5, true)));
        assertThat(look.magenta()).isEqualTo(10);
        assertThat(look.yellow()).isEqualTo(5);
        assertThat(KitLook.at(STANDING, List.of()).magenta()).isZero();
    }

    @Test
    void aNamedCastStandsForAllThatIsNearerToItThanToTheNext() {
        CastLook clear = NamedCast.at(STANDING, List.of(new Picture(Hue.M, NamedCast.CLEAR)), 1);
        assertThat(clear.magenta()).isEqualTo(10);
        assertThat(clear.yellow()).isZero();
        CastLook between = NamedCast.at(
                STANDING, List.of(new Picture(Hue.M, NamedCast.CLEAR), new Picture(Hue.R, NamedCast.CLEAR)), 1);
        assertThat(between.yellow()).isEqualTo(5);
        assertThat(between.openPoints()).isLessThan(clear.openPoints());
        CastLook strong = NamedCast.at(STANDING, List.of(new Picture(Hue.Y, NamedCast.STRONG)), 2);
        assertThat(strong.yellow()).isEqualTo(50);
        assertThat(strong.atLeast()).isTrue();
        assertThat(NamedCast.at(STANDING, List.of(Picture.NEUTRAL), 1).magenta())
                .isZero();
        // The picture beside it is made with the pack that the name is taken for.
        assertThat(new Picture(Hue.M, NamedCast.CLEAR).shift(1).inMagenta()).isEqualTo(-5);
    }

    @Test
    void picturesOfCastsAreAsStrongAsThePackIsOpen() {
        assertThat(NamedCast.scaleFor(20)).isEqualTo(4);
        assertThat(NamedCast.scaleFor(1.5)).isEqualTo(1);
        assertThat(NamedCast.scaleFor(0.5)).isEqualTo(0.5);
        assertThat(NamedCast.scaleFor(3)).isEqualTo(2);
    }

    /** Five pieces on a line of magenta and two of yellow. */
    private static final List<FilterPack> PIECES = List.of(
            STANDING,
            FilterPack.of(0, 44, 60),
            FilterPack.of(0, 56, 60),
            FilterPack.of(0, 50, 54),
            FilterPack.of(0, 50, 66));

    @Test
    void aPickedPieceStandsForWhatIsNearestToIt() {
        CastLook middle = PiecePick.of(PIECES, List.of(0));
        assertThat(middle.pack().inMagenta()).isCloseTo(50, within(0.1));
        assertThat(middle.openPoints()).isBetween(1.2, 2.2);
        CastLook between = PiecePick.of(PIECES, List.of(0, 2));
        assertThat(between.pack().inMagenta()).isCloseTo(53, within(0.3));
        assertThat(between.pack().inYellow()).isCloseTo(60, within(0.3));
        assertThat(between.openPoints()).isLessThan(2);
        CastLook rim = PiecePick.of(PIECES, List.of(2));
        assertThat(rim.pack().inMagenta()).isGreaterThan(56.5);
    }

    @Test
    void picksThatAreNoneAreRefused() {
        assertThatThrownBy(() -> PiecePick.of(PIECES, List.of())).hasMessageContaining("one to three");
        assertThatThrownBy(() -> PiecePick.of(PIECES, List.of(5))).hasMessageContaining("one to three");
        assertThatThrownBy(() -> PiecePick.of(List.of(STANDING, STANDING), List.of(0)))
                .hasMessageContaining("no two of one pack");
        assertThatThrownBy(() -> PiecePick.of(PIECES, List.of(1, 1))).hasMessageContaining("no two");
    }

    @Test
    void nothingJudgedIsRefused() {
        assertThatThrownBy(() -> CastEvidence.weighed(List.of(), List.of())).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> look(STANDING, Double.NaN, 0)).hasMessageContaining("magenta cast");
    }
}
