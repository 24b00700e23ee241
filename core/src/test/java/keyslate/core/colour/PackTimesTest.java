package keyslate.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import keyslate.core.colour.PackTimes.Following;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;

class PackTimesTest {
    private static final FilterPack BEFORE = FilterPack.of(0, 48, 58);
    private static final FilterPack GREENER = FilterPack.of(0, 56, 58);

    @Test
    void eightMagentaAtFourteenSeconds() {
        assertThat(14 * PackTimes.USUAL.timeFactor(BEFORE, GREENER)).isCloseTo(15.64, within(0.005));
        assertThat(14 * PackTimes.USUAL.timeFactor(BEFORE, FilterPack.of(0, 56, 54)))
                .isCloseTo(15.49, within(0.005));
    }

    @Test
    void greyByItsDensityAndByTheFactorsIsTheSameWhereTheyAddUp() {
        FilterPack typed = FilterPack.of(14, 66, 52);
        NeutralRemoval clean = NeutralRemoval.of(typed.toShift());
        assertThat(PackTimes.USUAL.addUp()).isTrue();
        assertThat(21 * PackTimes.USUAL.timeFactor(typed, clean.pack()))
                .isCloseTo(21 * clean.timeFactor(), within(1e-9));
        assertThat(new PackTimes(0.3, 0.5, 0.1, Following.ON).addUp()).isFalse();
    }

    @Test
    void followedByHalfOrNotAtAllTheRestIsSaid() {
        PackTimes small = PackTimes.USUAL.following(Following.SMALL);
        PackTimes off = PackTimes.USUAL.following(Following.OFF);
        double whole = PackTimes.USUAL.timeFactor(BEFORE, GREENER);
        assertThat(Math.pow(small.timeFactor(BEFORE, GREENER), 2)).isCloseTo(whole, within(1e-12));
        assertThat(off.timeFactor(BEFORE, GREENER)).isEqualTo(1);
        assertThat(off.notFollowed(BEFORE, GREENER).toFactor()).isCloseTo(whole, within(1e-12));
        assertThat(PackTimes.USUAL.notFollowed(BEFORE, GREENER).inStops()).isZero();
    }

    @Test
    void pairsOfSheetsTellTheFactorsOfAHead() {
        PackTimes truth = new PackTimes(0.25, 0.68, 0.07, Following.ON);
        List<PackTimesFit.Pair> pairs = List.of(
                pair(truth, FilterPack.of(0, 40, 50), FilterPack.of(0, 90, 50)),
                pair(truth, FilterPack.of(0, 40, 50), FilterPack.of(0, 40, 110)),
                pair(truth, FilterPack.of(0, 40, 50), FilterPack.of(60, 40, 50)));
        PackTimesFit.Found found = PackTimesFit.of(pairs, Following.ON);
        assertThat(found.times().cyan()).isCloseTo(0.25, within(0.01));
        assertThat(found.times().magenta()).isCloseTo(0.68, within(0.01));
        assertThat(found.times().yellow()).isCloseTo(0.07, within(0.01));
        assertThat(found.limits().green()).isBetween(0.03, 0.06);
    }

    @Test
    void whatNoPairMovedStaysOpen() {
        PackTimesFit.Found found =
                PackTimesFit.of(List.of(pair(PackTimes.USUAL, BEFORE, FilterPack.of(0, 88, 58))), Following.SMALL);
        assertThat(found.limits().red()).isCloseTo(PackTimes.USUAL_LIMIT, within(1e-9));
        assertThat(found.limits().green()).isLessThan(0.08);
        assertThat(found.times().following()).isEqualTo(Following.SMALL);
    }

    @Test
    void refusesPacksThatAreOneAndFactorsThatNoHeadHas() {
        assertThatThrownBy(() -> pair(PackTimes.USUAL, BEFORE, FilterPack.of(0, 50, 58)))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("5 points");
        assertThatThrownBy(() -> new PackTimes(0.3, 60, 0.1, Following.ON)).isInstanceOf(QuantityException.class);
    }

    private static PackTimesFit.Pair pair(PackTimes truth, FilterPack one, FilterPack other) {
        ExposureTime time = ExposureTime.ofSeconds(10);
        return new PackTimesFit.Pair(one, time, other, time.times(truth.timeFactor(one, other)));
    }
}
