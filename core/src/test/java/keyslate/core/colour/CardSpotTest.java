package keyslate.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import keyslate.core.colour.DyeImage.Appearance;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CardSpotTest {
    private static final FilterSet SET = FilterSet.DICHROIC;
    private static final Layers CARD = ColourFilm.printingDensity(new Layers(0.18, 0.18, 0.18), Stops.ZERO);
    private static final ColourBalance RIGHT = ColourBalance.of(CARD, CardSpot.WANTED_DENSITY, 3200, SET);

    /** The card printed with a pack that lacks so much, and with so many stops less light than that pack would need. */
    private static Appearance printed(double magenta, double yellow, double less) {
        FilterPack off = FilterPack.of(
                0, RIGHT.pack().inMagenta() - magenta, RIGHT.pack().inYellow() - yellow);
        double seconds = RIGHT.time().inSeconds()
                * SET.timeFactor(RIGHT.pack(), off, FilterSet.Weights.VISUAL, 0, 0)
                * Math.pow(2, -less);
        Layers x = ColourPaper.logExposure(CARD, off, Math.log10(seconds), 3200, SET);
        return new DyeImage(new Layers(
                        ColourPaper.amount(x.red()), ColourPaper.amount(x.green()), ColourPaper.amount(x.blue())))
                .in(ViewingLight.USUAL);
    }

    @ParameterizedTest
    @CsvSource({"0, 0, 0", "0, 0, 1", "10, -5, 0.5", "-15, 10, -0.75", "20, 20, 0"})
    void tellsPackAndTimeAtOnce(double magenta, double yellow, double less) {
        CardSpot spot = CardSpot.of(printed(magenta, yellow, less), SET);
        assertThat(spot.blind()).isFalse();
        assertThat(spot.magenta()).isCloseTo(magenta, within(1.0));
        assertThat(spot.yellow()).isCloseTo(yellow, within(1.0));
        assertThat(spot.more().inStops()).isCloseTo(less, within(0.03));
    }

    /** Nearly black or white, or so coloured that no dyes look like it, tells which way and at least how far, and leaves the pack open. */
    @Test
    void whatTellsNoColourStillTellsWhichWay() {
        FilterPack pack = FilterPack.of(0, 50, 50);
        CardSpot black = CardSpot.of(new Appearance(5, 3, 2, 2), SET);
        CardSpot white = CardSpot.of(new Appearance(93, 0, 3, 0.1), SET);
        CardSpot none = CardSpot.of(new Appearance(50, 120, 0, 0.7), SET);
        assertThat(black.blind() && white.blind() && none.blind()).isTrue();
        assertThat(black.more().inStops()).isLessThan(-1);
        assertThat(white.more().inStops()).isGreaterThan(1);
        assertThat(none.more().inStops()).isCloseTo(0, within(0.1));
        assertThat(black.look(pack).openPoints()).isEqualTo(CastWay.GUESSED_POINTS);
        assertThat(CardSpot.of(printed(10, 0, 0), SET).look(pack).openPoints()).isZero();
    }
}
