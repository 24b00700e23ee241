package keyslate.core.darkroom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.Layers;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StandInColourMeterTest {
    private static final Layers GREY = ColourFilm.printingDensity(new Layers(0.18, 0.18, 0.18), Stops.ZERO);

    private static Negative.Colour flat(Layers density) {
        return new Negative.Colour(
                new ColourRaster(plane(density.red()), plane(density.green()), plane(density.blue())));
    }

    private static Raster plane(double density) {
        float[] samples = new float[16];
        Arrays.fill(samples, (float) density);
        return Raster.over(4, 4, samples);
    }

    /** A scene of nothing but grey prints neutral with what it asks for, on the box that it was set for. */
    @ParameterizedTest
    @ValueSource(longs = {3, 17, 2026})
    void greyPrintsNeutral(long box) {
        ColourTruth truth = ColourTruth.ofBatch(box, 0);
        FilterPack asked = StandInColourMeter.asks(flat(GREY), box, 1);
        Layers dyes = ColourPrint.patch(GREY, asked, 5, ColourSheet.USUAL_KELVIN, truth)
                .amounts();
        Layers off = ColourPrint.patch(
                        GREY,
                        FilterPack.of(0, asked.inMagenta() + 5, asked.inYellow()),
                        5,
                        ColourSheet.USUAL_KELVIN,
                        truth)
                .amounts();
        double apart = Math.abs(dyes.green() - dyes.red()) + Math.abs(dyes.blue() - dyes.red());
        assertThat(apart).isLessThan(Math.abs(off.green() - off.red()) + Math.abs(off.blue() - off.red()));
        assertThat(apart).isLessThan(0.12);
    }

    /** What does not add up to grey misleads it, and every reading errs anew, by half a point. */
    @Test
    void aScarfMisleadsItAndEachReadingErrs() {
        FilterPack first = StandInColourMeter.asks(flat(GREY), 3, 1);
        FilterPack again = StandInColourMeter.asks(flat(GREY), 3, 2);
        FilterPack reddish =
                StandInColourMeter.asks(flat(new Layers(GREY.red() + 0.1, GREY.green(), GREY.blue())), 3, 1);
        assertThat(again).isNotEqualTo(first);
        assertThat(again.inMagenta()).isCloseTo(first.inMagenta(), within(1.5));
        assertThat(reddish.inMagenta() - reddish.inCyan()).isGreaterThan(first.inMagenta() - first.inCyan() + 3);
    }
}
