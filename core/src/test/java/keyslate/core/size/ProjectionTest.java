package keyslate.core.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import keyslate.core.darkroom.EnlargerLight;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.QuantityException;
import keyslate.core.size.Projection.Contact;
import keyslate.core.size.Projection.Enlarged;
import keyslate.core.size.Projection.Source;
import org.junit.jupiter.api.Test;

class ProjectionTest {
    private static Contact contact(Source source, double distanceMm) {
        return new Contact(source, Length.ofMm(80), Length.ofMm(distanceMm));
    }

    @Test
    void aLensNearerToThePaperNeedsLessTimeByTheSquare() {
        double factor = contact(Source.LENS, 610).timeFactor(contact(Source.LENS, 520));
        assertThat(factor).isCloseTo(0.727, within(0.0005));
        assertThat(10.7 * factor).isCloseTo(7.8, within(0.05));
    }

    @Test
    void enlargedItIsTheFactorOfTheSize() {
        Enlarged small = new Enlarged(Magnification.of(4.5));
        Enlarged large = new Enlarged(Magnification.of(8));
        assertThat(small.timeFactor(large))
                .isCloseTo(SizeChange.timeFactor(small.magnification(), large.magnification(), 1), within(1e-12));
        assertThat(small.stopsMoreTime(large).inStops()).isCloseTo(1.42, within(0.005));
    }

    @Test
    void aLensThrowsTheSameLightFromWhereItWouldEnlargeFrom() {
        ThinLens lens = ThinLens.ofMm(80);
        Magnification m = Magnification.of(5);
        Contact same = contact(Source.LENS, lens.lensToPaper(m).inMm());
        assertThat(same.spread()).isCloseTo(new Enlarged(m).spread(), within(1e-12));
        EnlargerLight light = new EnlargerLight(3.2);
        FNumber opening = FNumber.of(8);
        assertThat(light.logPerSecond(opening, same)).isCloseTo(light.logPerSecond(opening, m), within(1e-12));
    }

    @Test
    void aBareLampHasNoOpening() {
        EnlargerLight light = new EnlargerLight(3.2);
        Contact lamp = contact(Source.LAMP, 600);
        assertThat(light.logPerSecond(FNumber.of(16), lamp)).isEqualTo(light.logPerSecond(FNumber.of(4), lamp));
        assertThat(lamp.timeFactor(contact(Source.LAMP, 1200))).isCloseTo(4, within(1e-12));
    }

    @Test
    void refusesDistancesNobodyHas() {
        assertThatThrownBy(() -> contact(Source.LENS, 20)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> contact(Source.LAMP, 5000)).isInstanceOf(QuantityException.class);
    }

    @Test
    void inContactTheNegativeIsAsLargeAsItIsAndWhatHangsOverIsLost() {
        PrintFit whole = PrintFit.inContact(Length.ofMm(120), Length.ofMm(95), Length.ofMm(240), Length.ofMm(180));
        assertThat(whole.magnification()).isEqualTo(Magnification.of(1));
        assertThat(whole.imageWidth()).isEqualTo(Length.ofMm(120));
        assertThat(whole.lostFraction()).isZero();
        PrintFit over = PrintFit.inContact(Length.ofMm(228), Length.ofMm(210), Length.ofMm(254), Length.ofMm(203));
        assertThat(over.imageHeight()).isEqualTo(Length.ofMm(203));
        assertThat(over.lostFraction()).isCloseTo(7.0 / 210, within(1e-9));
    }
}
