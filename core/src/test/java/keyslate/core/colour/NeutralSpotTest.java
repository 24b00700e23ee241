package keyslate.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NeutralSpotTest {
    private static final FilterSet SET = FilterSet.DICHROIC;

    /** A grey of the negative, printed with a pack that is off by so much, whatever its tone. */
    @ParameterizedTest
    @CsvSource({"0.18, 10, 0", "0.18, -8, 6", "0.18, 0, -15", "0.09, 10, 5", "0.36, -10, 5"})
    void tellsByHowMuchThePackIsOff(double scene, double magenta, double yellow) {
        Layers card = ColourFilm.printingDensity(new Layers(0.18, 0.18, 0.18), Stops.ZERO);
        ColourBalance right = ColourBalance.of(card, 0.75, 3200, SET);
        FilterPack off = FilterPack.of(
                0, right.pack().inMagenta() - magenta, right.pack().inYellow() - yellow);
        Layers tone = ColourFilm.printingDensity(new Layers(scene, scene, scene), Stops.ZERO);
        Layers x = ColourPaper.logExposure(tone, off, Math.log10(right.time().inSeconds()), 3200, SET);
        DyeImage print = new DyeImage(
                new Layers(ColourPaper.amount(x.red()), ColourPaper.amount(x.green()), ColourPaper.amount(x.blue())));
        NeutralSpot spot = NeutralSpot.of(print.in(ViewingLight.USUAL), SET);
        assertThat(spot.magenta()).isCloseTo(magenta, within(1.5));
        assertThat(spot.yellow()).isCloseTo(yellow, within(1.5));
    }

    @Test
    void refusesWhatTellsNothing() {
        assertThatThrownBy(() -> NeutralSpot.of(new DyeImage.Appearance(95, 0, 0, 0.1), SET))
                .isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> NeutralSpot.of(new DyeImage.Appearance(50, 120, 0, 0.7), SET))
                .isInstanceOf(QuantityException.class);
    }
}
