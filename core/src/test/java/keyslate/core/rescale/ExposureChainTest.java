package keyslate.core.rescale;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import keyslate.core.exposure.Reciprocity;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.size.SizeChange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ExposureChainTest {
    private static final Magnification FOUR = Magnification.of(4);
    private static final Magnification EIGHT = Magnification.of(8);
    private static final ExposureTime TEN = ExposureTime.ofSeconds(10);

    private static Link link(double more, double limit) {
        return new Link(Link.Cause.SIZE, Stops.of(more), Stops.of(limit));
    }

    @Test
    void factorsMultiplyAndLimitsAddInSquares() {
        ExposureChain chain = new ExposureChain(List.of(link(1, 0.03), link(0, 0), link(-0.5, 0.04)));
        assertThat(chain.links()).hasSize(2);
        assertThat(chain.more().inStops()).isCloseTo(0.5, within(1e-12));
        assertThat(chain.limit().inStops()).isCloseTo(0.05, within(1e-12));
        assertThat(chain.apply(TEN, Reciprocity.NONE).inSeconds()).isCloseTo(14.142, within(0.001));
        assertThat(chain.apply(TEN, new Reciprocity(0.95, 1)).inSeconds()).isGreaterThan(14.142);
    }

    @ParameterizedTest
    @CsvSource({"0.1, false, false", "0.125, false, true", "0.16, false, true", "0.16667, true, true"})
    void aCheckIsWorthItsPaperSoonerBeforeAKeeper(double limit, boolean beforeTest, boolean beforeKeeper) {
        ExposureChain chain = new ExposureChain(List.of(link(0, limit)));
        assertThat(chain.isWorthACheck(false)).isEqualTo(beforeTest);
        assertThat(chain.isWorthACheck(true)).isEqualTo(beforeKeeper);
    }

    @Test
    void sizeCostsWhatTheLensSaysAndLeavesOpenWhatItsPupilsDo() {
        Link size = Links.size(FOUR, 0, EIGHT, 0, Links.PUPIL);
        assertThat(size.more().toFactor()).isCloseTo(SizeChange.timeFactor(FOUR, EIGHT, 1), within(1e-9));
        // 2/ln 2 · (8/9 − 4/5) · 0.23
        assertThat(size.limit().inStops()).isCloseTo(0.0590, within(0.0001));
        Link blurred = Links.size(FOUR, 0, EIGHT, 0.1, Known.measured(1, 0));
        assertThat(blurred.limit().inStops()).isCloseTo(2 / Math.log(2) / 9 * 0.1, within(1e-9));
        Link same = Links.size(FOUR, 0, FOUR, 0, Links.PUPIL);
        assertThat(same.isNothing()).isTrue();
        Link through = Links.sizeThroughAnother(FOUR, Known.measured(1, 0), EIGHT, 0, Known.measured(1, 0));
        assertThat(through.more().inStops()).isCloseTo(size.more().inStops(), within(1e-9));
        assertThat(Links.sizeThroughAnother(FOUR, Links.PUPIL, FOUR, 0, Links.PUPIL)
                        .limit()
                        .inStops())
                .isCloseTo(2 / Math.log(2) * 0.8 * 0.23 * Math.sqrt(2), within(1e-9));
    }

    @Test
    void openingsLeaveNothingOpenWhenTheMarkStays() {
        FNumber eight = FNumber.of(8);
        FNumber sixteen = FNumber.of(16);
        Link two = Links.opening(eight, Links.OPENING, sixteen, Links.OPENING, false);
        assertThat(two.more().inStops()).isCloseTo(2, within(1e-12));
        // The model's twelfth of a stop.
        assertThat(two.limit().inStops()).isCloseTo(1.0 / 12, within(0.002));
        Link wider = Links.opening(eight, Links.OPENING, sixteen, Known.measured(0.1, 0.01), false);
        assertThat(wider.more().inStops()).isCloseTo(1.9, within(1e-12));
        assertThat(Links.opening(eight, Links.OPENING, eight, Links.OPENING, true)
                        .isNothing())
                .isTrue();
    }

    @Test
    void aLagThatIsOffTellsWhereTheTimeChanges() {
        Known lag = Known.byDefault(0.2, 0.1);
        assertThat(Links.lag(TEN, lag, TEN, lag, true).isNothing()).isTrue();
        ExposureTime five = ExposureTime.ofSeconds(5);
        assertThat(Links.lag(TEN, lag, five, lag, true).limit().inStops())
                .isCloseTo(Math.log(1.01) / Math.log(2), within(1e-9));
        assertThat(Links.lag(TEN, lag, TEN, lag, false).limit().inStops())
                .isCloseTo(Math.sqrt(2) * Math.log(1.01) / Math.log(2), within(1e-9));
    }

    @Test
    void aMeterTellsBothWays() {
        assertThat(Links.meter(8, 2, 0.03).more().inStops()).isCloseTo(2, within(1e-12));
        assertThat(Links.meter(8, 2, 0.03).limit().inStops()).isCloseTo(0.0424, within(0.0001));
        assertThatThrownBy(() -> Links.meter(8, 0, 0.03)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> link(0, -1)).isInstanceOf(QuantityException.class);
    }
}
