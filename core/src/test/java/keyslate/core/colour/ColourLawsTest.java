package keyslate.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.random.RandomGenerator;
import keyslate.core.Draws;
import keyslate.core.colour.CastCorrection.Process;
import keyslate.core.colour.CastCorrection.Way;
import keyslate.core.colour.FilterSet.Weights;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Laws of packs, casts and the colour print. */
class ColourLawsTest {
    /** Rounding of a few operations on doubles. */
    private static final double FLOAT = 1e-9;

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void shiftsAddUpInAnyOrderAndTurnBack(long seed) {
        RandomGenerator random = Draws.from(seed);
        FilterShift a = shift(random);
        FilterShift b = shift(random);
        assertClose(a.plus(b), b.plus(a));
        assertClose(a.plus(b).minus(b), a);
        assertClose(a.plus(a.negated()), FilterShift.NONE);
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void takingNeutralOffTwiceChangesNothing(long seed) {
        NeutralRemoval once = NeutralRemoval.of(shift(Draws.from(seed)));
        NeutralRemoval twice = NeutralRemoval.of(once.pack().toShift());
        assertThat(twice.pack()).isEqualTo(once.pack());
        assertThat(twice.timeFactor()).isEqualTo(1);
        assertThat(once.pack().toShift().neutralPoints()).isZero();
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void takingNeutralOffOnTheWayOrOnlyAtTheEndIsTheSame(long seed) {
        RandomGenerator random = Draws.from(seed);
        FilterPack pack = FilterPack.of(0, random.nextDouble(100), random.nextDouble(100));
        FilterShift a = shift(random).times(0.2);
        FilterShift b = shift(random).times(0.2);
        NeutralRemoval atTheEnd = NeutralRemoval.of(pack.toShift().plus(a).plus(b));
        NeutralRemoval first = NeutralRemoval.of(pack.toShift().plus(a));
        NeutralRemoval second = NeutralRemoval.of(first.pack().toShift().plus(b));
        assertClose(second.pack().toShift(), atTheEnd.pack().toShift());
        assertThat(first.timeFactor() * second.timeFactor() / atTheEnd.timeFactor())
                .isCloseTo(1, within(FLOAT));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void neutralTakenOffAnIdealSetKeepsEveryLayer(long seed) {
        FilterShift raw = shift(Draws.from(seed));
        NeutralRemoval removal = NeutralRemoval.of(raw);
        for (int l = 0; l < 3; l++) {
            double points = l == 0 ? raw.inCyan() : l == 1 ? raw.inMagenta() : raw.inYellow();
            double after = FilterSet.IDEAL.layerDensity(removal.pack(), l) - Math.log10(removal.timeFactor());
            assertThat(after).isCloseTo(points / 100, within(FLOAT));
        }
    }

    @ParameterizedTest
    @EnumSource(FilterSet.class)
    void factorsOfTimeMultiplyAlongAWay(FilterSet set) {
        FilterPack a = FilterPack.of(0, 40, 60);
        FilterPack b = FilterPack.of(0, 55, 50);
        FilterPack c = FilterPack.of(10, 20, 90);
        double way = set.timeFactor(a, b, Weights.VISUAL, 0, 0) * set.timeFactor(b, c, Weights.VISUAL, 0, 0);
        assertThat(way).isCloseTo(set.timeFactor(a, c, Weights.VISUAL, 0, 0), within(FLOAT));
        assertThat(set.timeFactor(a, a, Weights.MEAN, 3, 3)).isEqualTo(1);
    }

    @ParameterizedTest
    @EnumSource(Hue.class)
    void addingTheCastIsTakingItsComplementAwayButForNeutral(Hue cast) {
        FilterShift added = CastCorrection.of(cast, 10, Process.NEGATIVE, Way.ADD);
        FilterShift taken = CastCorrection.of(cast, 10, Process.NEGATIVE, Way.SUBTRACT);
        assertClose(added.minus(taken), FilterShift.of(10, 10, 10));
        assertThat(cast.complement().complement()).isEqualTo(cast);
        assertClose(
                CastCorrection.of(cast, 10, Process.POSITIVE, Way.ADD),
                CastCorrection.of(cast.complement(), 10, Process.NEGATIVE, Way.ADD));
        assertClose(
                CastCorrection.byViewingFilter(cast.complement(), 20, 0.5),
                CastCorrection.of(cast, 10, Process.NEGATIVE, Way.ADD));
    }

    @Test
    void redIsNotMagentaAndBlueIsNotCyan() {
        assertThat(Hue.R.points(10)).isNotEqualTo(Hue.M.points(10));
        assertThat(Hue.B.points(10)).isNotEqualTo(Hue.C.points(10));
        assertThatThrownBy(() -> Hue.of("K")).hasMessage("hues are R, Y, G, C, B and M, was “K”");
    }

    @Test
    void aRingHasItsCentreSixHuesAndTheirMixtures() {
        List<RingAround.Patch> patches = RingAround.plan(
                FilterPack.of(0, 50, 60),
                ExposureTime.ofSeconds(10),
                10,
                1,
                true,
                List.of(Stops.of(0.25)),
                FilterSet.DICHROIC,
                Weights.VISUAL);
        assertThat(patches).hasSize(1 + 12 + 2);
        assertThat(patches).extracting(RingAround.Patch::label).doesNotHaveDuplicates();
        assertThat(patches)
                .allSatisfy(p -> assertThat(p.pack().toShift().neutralPoints()).isZero());
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void theBalanceOfATonePrintsItNeutralAtItsDensity(long seed) {
        RandomGenerator random = Draws.from(seed);
        double scene = Draws.logBetween(random, 0.08, 0.5);
        Layers negative = ColourFilm.printingDensity(
                new Layers(scene * random.nextDouble(0.7, 1.4), scene, scene * random.nextDouble(0.7, 1.4)),
                Stops.ZERO);
        double density = random.nextDouble(0.5, 1.2);
        FilterSet set = FilterSet.values()[random.nextInt(3)];
        ColourBalance balance = ColourBalance.of(negative, density, 3000, set);
        DyeImage print = printed(negative, balance, 3000, set);
        DyeImage.Appearance seen = print.in(ViewingLight.USUAL);
        assertThat(seen.visualDensity()).isCloseTo(density, within(1e-5));
        assertThat(Math.hypot(seen.a(), seen.b())).isLessThan(1e-3);
        FilterPack pack = balance.pack();
        assertThat(Math.min(pack.inCyan(), Math.min(pack.inMagenta(), pack.inYellow())))
                .isZero();
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void oneCorrectionOfAnyErrorInTheModelIsEnough(long seed) {
        RandomGenerator random = Draws.from(seed);
        Layers negative = ColourFilm.printingDensity(new Layers(0.18, 0.18, 0.18), Stops.ZERO);
        FilterPack off = FilterPack.of(0, random.nextDouble(20, 80), random.nextDouble(30, 90));
        ExposureTime time = ExposureTime.ofSeconds(Draws.logBetween(random, 7, 14));
        DyeImage print = printed(negative, new ColourBalance(off, time), 3200, FilterSet.DICHROIC);
        DyeImage grey = DyeImage.looking(ColourBalance.lightnessOf(0.75), 0, 0, ViewingLight.USUAL);
        ColourBalance next = ColourBalance.corrected(print, grey, off, time, FilterSet.DICHROIC);
        DyeImage.Appearance seen =
                printed(negative, next, 3200, FilterSet.DICHROIC).in(ViewingLight.USUAL);
        assertThat(seen.visualDensity()).isCloseTo(0.75, within(1e-3));
        assertThat(Math.hypot(seen.a(), seen.b())).isLessThan(0.05);
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#fewSeeds")
    void dyesDensitiesAndLooksGoThereAndBack(long seed) {
        RandomGenerator random = Draws.from(seed);
        DyeImage dye = new DyeImage(
                new Layers(random.nextDouble(0.2, 1.4), random.nextDouble(0.2, 1.4), random.nextDouble(0.2, 1.4)));
        assertAmounts(DyeImage.ofIntegralDensity(dye.integralDensity()), dye);
        DyeImage.Appearance seen = dye.in(ViewingLight.USUAL);
        assertAmounts(DyeImage.looking(seen.lightness(), seen.a(), seen.b(), ViewingLight.USUAL), dye);
        Layers wet = WetPrint.USUAL.wetFromDry(dye.integralDensity());
        assertThat(WetPrint.USUAL.dryFromWet(wet).blue())
                .isCloseTo(dye.integralDensity().blue(), within(FLOAT));
    }

    @Test
    void moreLightOnALayerMakesMoreDye() {
        double before = 0;
        for (double x = -2; x <= 2; x += 0.05) {
            double amount = ColourPaper.amount(x);
            assertThat(amount).isGreaterThan(before);
            before = amount;
        }
        assertThat(ColourPaper.amount(ColourPaper.logExposureFor(0.69))).isCloseTo(0.69, within(FLOAT));
    }

    @Test
    void whatTheDyesCannotMakeIsRefused() {
        assertThatThrownBy(() -> DyeImage.looking(60, 110, -110, ViewingLight.USUAL))
                .hasMessage("these dyes cannot make that colour");
        assertThatThrownBy(() -> ColourPaper.castWeight(0.06, 0.69)).hasMessageContaining("weight of the cast");
        assertThatThrownBy(() -> FilterPack.of(0, -1, 0)).hasMessage("magenta must be 0 CC or more, was −1 CC");
    }

    private static DyeImage printed(Layers negative, ColourBalance b, double kelvin, FilterSet set) {
        Layers x =
                ColourPaper.logExposure(negative, b.pack(), Math.log10(b.time().inSeconds()), kelvin, set);
        return new DyeImage(
                new Layers(ColourPaper.amount(x.red()), ColourPaper.amount(x.green()), ColourPaper.amount(x.blue())));
    }

    private static void assertAmounts(DyeImage found, DyeImage expected) {
        for (int l = 0; l < 3; l++) {
            assertThat(found.amounts().at(l)).isCloseTo(expected.amounts().at(l), within(1e-6));
        }
    }

    private static void assertClose(FilterShift found, FilterShift expected) {
        assertThat(found.inCyan()).isCloseTo(expected.inCyan(), within(FLOAT));
        assertThat(found.inMagenta()).isCloseTo(expected.inMagenta(), within(FLOAT));
        assertThat(found.inYellow()).isCloseTo(expected.inYellow(), within(FLOAT));
    }

    private static FilterShift shift(RandomGenerator random) {
        return FilterShift.of(random.nextDouble(-90, 90), random.nextDouble(-90, 90), random.nextDouble(-90, 90));
    }
}
