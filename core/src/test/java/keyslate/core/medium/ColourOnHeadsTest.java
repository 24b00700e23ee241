package keyslate.core.medium;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import keyslate.core.colour.AdditiveHead;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.GelPack;
import keyslate.core.colour.GelPack.Gel;
import keyslate.core.colour.PackTimes;
import keyslate.core.colour.PackTimes.Following;
import keyslate.core.light.Light;
import keyslate.core.medium.Colour.Head;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.QuantityException;
import org.junit.jupiter.api.Test;

/** Colour paper under heads of which something is known. */
class ColourOnHeadsTest {
    private static final Colour DIALS = new Colour(FilterSet.DICHROIC);
    private static final Colour GELS = DIALS.on(head(GelPack.usualSet()));

    private static Head head(List<Gel> gels) {
        return new Head(PackTimes.USUAL, gels, Optional.empty());
    }

    private static Light pack(double magenta, double yellow) {
        return Light.dials(FilterPack.of(0, magenta, yellow));
    }

    @Test
    void dialsAreSetToWholePoints() {
        assertThat(DIALS.settable(pack(52.4, 37.5))).isEqualTo(pack(52, 38));
        assertThat(DIALS.gels(FilterPack.of(0, 52, 38))).isEmpty();
    }

    @Test
    void gelsMakeTheNearestPackAndSayOfWhat() {
        assertThat(GELS.settable(pack(52.4, 37.4))).isEqualTo(pack(50, 35));
        assertThat(GELS.gels(FilterPack.of(0, 52, 33)).orElseThrow().words())
                .isEqualTo("magenta 40 + 10, yellow 20 + 10 + 5");
        assertThat(GELS.gels(FilterPack.of(0, 0, 0)).orElseThrow().words()).isEqualTo("no gel");
        assertThat(GELS.shifted(pack(50, 40), FilterShift.of(0, 4, 0))).isEqualTo(pack(55, 40));
    }

    @Test
    void surfacesOfGelsCostTimeToo() {
        // 40 + 10 and 40 are three gels; 40 + 20 + 5 and 40 are four.
        assertThat(GELS.timeFactor(pack(50, 40), pack(65, 40))).isCloseTo(Math.pow(10, 0.09 + 0.035), within(1e-12));
        assertThat(DIALS.timeFactor(pack(50, 40), pack(65, 40))).isCloseTo(Math.pow(10, 0.09), within(1e-12));
    }

    @Test
    void whatKeepsThePrintAsDarkDoesNotHangOnWhatTheTimeIsToDo() {
        Colour stays = DIALS.on(new Head(PackTimes.USUAL.following(Following.OFF), List.of(), Optional.empty()));
        assertThat(stays.timeFactor(pack(50, 40), pack(60, 40))).isEqualTo(1);
        assertThat(stays.asDark(pack(50, 40), pack(60, 40))).isCloseTo(Math.pow(10, 0.06), within(1e-12));
    }

    @Test
    void aSetMayHaveTwoOfAStrength() {
        Colour two = DIALS.on(head(List.of(
                new Gel(GelPack.Colour.MAGENTA, 20),
                new Gel(GelPack.Colour.MAGENTA, 20),
                new Gel(GelPack.Colour.YELLOW, 10))));
        assertThat(two.gels(FilterPack.of(0, 40, 10)).orElseThrow().words()).isEqualTo("magenta 20 + 20, yellow 10");
        assertThat(two.isOn(head(GelPack.usualSet()))).isFalse();
    }

    @Test
    void noDialIsSetBeyondItsEnd() {
        Colour ends = DIALS.on(new Head(PackTimes.USUAL, List.of(), Optional.empty(), 130));
        assertThat(ends.settable(pack(60, 142))).isEqualTo(pack(60, 130));
        assertThat(ends.shifted(pack(60, 128), FilterShift.of(0, 0, 8))).isEqualTo(pack(60, 130));
        ends.checkReach(pack(60, 130));
        assertThatThrownBy(() -> ends.checkReach(pack(60, 131)))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("yellow would be 131, and the dials of this head end at 130");
        Colour gels = DIALS.on(new Head(PackTimes.USUAL, GelPack.usualSet(), Optional.empty(), 20));
        assertThat(gels.beyond(pack(60, 40))).isEmpty();
        assertThat(gels.settable(pack(60, 40))).isEqualTo(pack(60, 40));
    }

    @Test
    void ofThreeLightsNoGelsAreAsked() {
        Colour three = DIALS.on(new Head(PackTimes.USUAL, GelPack.usualSet(), Optional.of(AdditiveHead.USUAL)));
        assertThat(three.gels(FilterPack.of(0, 52, 38))).isEmpty();
        assertThat(three.lights()).contains(AdditiveHead.USUAL);
        assertThat(three.settable(pack(52.4, 37.5))).isEqualTo(pack(52, 38));
    }
}
