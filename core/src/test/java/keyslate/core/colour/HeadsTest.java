package keyslate.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.random.RandomGenerator;
import keyslate.core.Draws;
import keyslate.core.colour.AdditiveHead.Times;
import keyslate.core.colour.AdditiveHead.White;
import keyslate.core.colour.GelPack.Colour;
import keyslate.core.colour.GelPack.Gel;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Heads that are not dials: gels in a drawer, and three lights one after another. */
class HeadsTest {
    private static Times times(double red, double green, double blue) {
        return new Times(ExposureTime.ofSeconds(red), ExposureTime.ofSeconds(green), ExposureTime.ofSeconds(blue));
    }

    @Test
    void aPackIsMadeOfTheFewestGels() {
        GelPack gels = GelPack.of(FilterPack.of(0, 52, 38), GelPack.usualSet());
        assertThat(gels.pack()).isEqualTo(FilterPack.of(0, 50, 40));
        assertThat(gels.gels())
                .containsExactly(new Gel(Colour.MAGENTA, 40), new Gel(Colour.MAGENTA, 10), new Gel(Colour.YELLOW, 40));
        assertThat(gels.surfaces()).isEqualTo(6);
    }

    @Test
    void twoThatMakeTheSameAsOneStayInTheBox() {
        List<Gel> set = List.of(new Gel(Colour.YELLOW, 10), new Gel(Colour.YELLOW, 10), new Gel(Colour.YELLOW, 20));
        assertThat(GelPack.of(FilterPack.of(0, 0, 20), set).gels()).containsExactly(new Gel(Colour.YELLOW, 20));
        // Half way the weaker sum: 15 lies between 10 and 20.
        assertThat(GelPack.of(FilterPack.of(0, 0, 15), set).pack()).isEqualTo(FilterPack.of(0, 0, 10));
    }

    @Test
    void neutralDensityIsTakenOutAndWhatIsBeyondTheSetIsItsEnd() {
        assertThat(GelPack.of(FilterPack.of(14, 66, 52), GelPack.usualSet()).pack())
                .isEqualTo(FilterPack.of(0, 50, 40));
        assertThat(GelPack.of(FilterPack.of(0, 120, 0), GelPack.usualSet()).pack())
                .isEqualTo(FilterPack.of(0, 75, 0));
        assertThat(GelPack.of(FilterPack.of(0, 2, 2), GelPack.usualSet()).gels())
                .isEmpty();
    }

    /** With one each of 5, 10, 20 and 40 every multiple of 5 up to 75 is met. */
    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void theUsualSetComesWithinHalfItsSmallestStep(long seed) {
        RandomGenerator random = Draws.from(seed);
        FilterPack wanted = FilterPack.of(0, random.nextDouble(0, 77), random.nextDouble(0, 77));
        FilterPack made = GelPack.of(wanted, GelPack.usualSet()).pack();
        assertThat(made.inMagenta()).isCloseTo(wanted.inMagenta(), within(2.5));
        assertThat(made.inYellow()).isCloseTo(wanted.inYellow(), within(2.5));
    }

    @Test
    void setsThatAreNoneAreRefused() {
        FilterPack wanted = FilterPack.of(0, 10, 0);
        assertThatThrownBy(() -> GelPack.of(wanted, List.of())).hasMessageContaining("1 to 24");
        List<Gel> many = new ArrayList<>(Collections.nCopies(25, new Gel(Colour.CYAN, 5)));
        assertThatThrownBy(() -> GelPack.of(wanted, many)).hasMessageContaining("1 to 24");
        assertThatThrownBy(() -> new Gel(Colour.CYAN, 0)).hasMessageContaining("gel");
        // Twenty-four of one colour are tried in no time: equal sums are met once.
        assertThat(GelPack.of(wanted, Collections.nCopies(24, new Gel(Colour.MAGENTA, 5)))
                        .gels())
                .hasSize(2);
    }

    /** The closed form of model.md 14. */
    @Test
    void threeTimesAreAPackAndATimeOfWhiteLight() {
        White white = AdditiveHead.USUAL.white(times(10, 20, 30));
        assertThat(white.time().inSeconds()).isCloseTo(7.5, within(1e-9));
        assertThat(white.pack().inCyan()).isCloseTo(47.7, within(0.05));
        assertThat(white.pack().inMagenta()).isCloseTo(17.6, within(0.05));
        assertThat(white.pack().inYellow()).isZero();
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void thereAndBackIsTheSame(long seed) {
        RandomGenerator random = Draws.from(seed);
        AdditiveHead head =
                new AdditiveHead(random.nextDouble(0.05, 1), random.nextDouble(0.05, 1), random.nextDouble(0.05, 1));
        FilterPack pack = FilterPack.of(0, random.nextDouble(0, 100), random.nextDouble(0, 100));
        ExposureTime time = ExposureTime.ofSeconds(random.nextDouble(1, 60));
        Times times = head.times(pack, time, FilterSet.IDEAL);
        White back = head.white(times);
        assertThat(back.time().inSeconds()).isCloseTo(time.inSeconds(), within(1e-9));
        assertThat(back.pack().inMagenta()).isCloseTo(pack.inMagenta(), within(1e-9));
        assertThat(back.pack().inYellow()).isCloseTo(pack.inYellow(), within(1e-9));
        AdditiveHead found = AdditiveHead.matching(pack, time, FilterSet.IDEAL, times);
        assertThat(found.red()).isCloseTo(head.red(), within(1e-9));
        assertThat(found.green()).isCloseTo(head.green(), within(1e-9));
        assertThat(found.blue()).isCloseTo(head.blue(), within(1e-9));
    }

    /** Model.md 14: one time by x stops is 30.1·x points of its complement out. */
    @Test
    void aStopOfOneLightIsThirtyPointsOfItsComplement() {
        White before = AdditiveHead.USUAL.white(times(10, 20, 30));
        White more = AdditiveHead.USUAL.white(times(10, 40 / Math.sqrt(2), 30));
        assertThat(before.pack().inMagenta() - more.pack().inMagenta()).isCloseTo(15.05, within(0.01));
    }

    @Test
    void sharesThatAreNoneAreRefused() {
        assertThatThrownBy(() -> new AdditiveHead(0, 0.5, 0.5)).hasMessageContaining("red share");
        assertThatThrownBy(() -> new AdditiveHead(0.5, 1.2, 0.5)).hasMessageContaining("green share");
    }

    /** Two matches a hundredth apart to either side: t of one degree is 12.7. */
    @Test
    void matchesTogetherSayHowSureTheyAre() {
        AdditiveHead one = new AdditiveHead(0.25 * 1.01, 0.4, 0.3);
        AdditiveHead other = new AdditiveHead(0.25 / 1.01, 0.4, 0.3);
        AdditiveHead.Found found = AdditiveHead.together(List.of(one, other));
        assertThat(found.head()).isEqualTo(new AdditiveHead(0.25, 0.4, 0.3));
        assertThat(found.limit()).isCloseTo(12.706 * Math.log(1.01), within(1e-3));
        assertThat(AdditiveHead.together(List.of(one)).limit()).isZero();
        assertThatThrownBy(() -> AdditiveHead.together(List.of())).isInstanceOf(QuantityException.class);
    }
}
