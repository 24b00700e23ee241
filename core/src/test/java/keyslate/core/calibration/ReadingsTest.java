package keyslate.core.calibration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import org.junit.jupiter.api.Test;

/** Exact readings give exact constants, and what cannot be is refused with a reason. */
class ReadingsTest {
    private static LagReadings lag(double seconds, double... set) {
        return new LagReadings(java.util.Arrays.stream(set)
                .mapToObj(t -> new LagReadings.Burst(t, 20 * (t - seconds)))
                .toList());
    }

    @Test
    void exactDosesGiveTheLag() {
        LagReadings.Result found = lag(0.15, 1, 1, 2, 5, 8, 8).result();
        assertThat(found.lag().figure()).isCloseTo(0.15, within(1e-9));
        assertThat(found.lag().limit()).isCloseTo(0, within(1e-6));
        assertThat(found.repeats()).isCloseTo(0, within(1e-6));
        assertThat(LagReadings.stopsAt(0.1, 1)).isCloseTo(0.1375, within(1e-4));
    }

    @Test
    void dosesThatNoLampGivesAreRefused() {
        assertThatThrownBy(() -> lag(0.1, 2, 2, 2, 3, 3, 3))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("twice");
        assertThatThrownBy(() -> lag(0.1, 2, 8)).isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> lag(-0.5, 2, 2, 2, 8, 8, 8).result()).hasMessageContaining("more light");
        assertThatThrownBy(() -> new LagReadings(java.util.stream.DoubleStream.of(2, 2, 2, 8, 8, 8)
                                .mapToObj(t -> new LagReadings.Burst(t, 100 - t))
                                .toList())
                        .result())
                .hasMessageContaining("changed over");
        assertThatThrownBy(() -> new LagReadings.Burst(2, 0)).isInstanceOf(QuantityException.class);
    }

    @Test
    void openingsAreHeldAgainstTheirMean() {
        ApertureMark eight = ApertureMark.ofEngraved(8, 1);
        ApertureMark eleven = ApertureMark.ofEngraved(11, 1);
        ApertureMark sixteen = ApertureMark.ofEngraved(16, 1);
        double wide = Math.pow(2, 0.09);
        Map<ApertureMark, Measured> offsets = new OpeningReadings(Map.of(
                        eight,
                        List.of(400 * wide, 400 * wide),
                        eleven,
                        List.of(200.0, 200.0),
                        sixteen,
                        List.of(100.0, 100.0)))
                .offsets();
        assertThat(offsets.get(eight).figure()).isCloseTo(0.06, within(1e-9));
        assertThat(offsets.get(eleven).figure()).isCloseTo(-0.03, within(1e-9));
        assertThat(offsets.get(sixteen).readings()).isEqualTo(2);
        assertThatThrownBy(() -> new OpeningReadings(Map.of(eight, List.of(1.0, 1.0))))
                .isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> new OpeningReadings(
                        Map.of(eight, List.of(4.0), eleven, List.of(2.0, 2.0), sixteen, List.of(1.0, 1.0))))
                .isInstanceOf(QuantityException.class);
    }

    @Test
    void cornersAreHeldAgainstTheCentre() {
        Map<EvennessReadings.Spot, List<Double>> lux = new java.util.EnumMap<>(EvennessReadings.Spot.class);
        for (EvennessReadings.Spot spot : EvennessReadings.Spot.values()) {
            lux.put(spot, List.of(50.0, 50.0));
        }
        lux.put(EvennessReadings.Spot.BOTTOM_LEFT, List.of(25.0, 25.0));
        Map<EvennessReadings.Spot, Measured> corners = new EvennessReadings(lux).corners();
        assertThat(corners).hasSize(4);
        assertThat(corners.get(EvennessReadings.Spot.BOTTOM_LEFT).figure()).isCloseTo(-1, within(1e-9));
        assertThat(corners.get(EvennessReadings.Spot.TOP_LEFT).figure()).isCloseTo(0, within(1e-9));
        lux.remove(EvennessReadings.Spot.CENTRE);
        assertThatThrownBy(() -> new EvennessReadings(lux)).isInstanceOf(QuantityException.class);
    }

    @Test
    void theColumnTellsFocalLengthAndWhereItBegins() {
        List<ColumnReadings.Place> places = java.util.stream.DoubleStream.of(2, 4, 6, 10)
                .mapToObj(m -> new ColumnReadings.Place(-150 + 78 * (2 + m + 1 / m), Magnification.of(m)))
                .toList();
        ColumnScale scale = new ColumnReadings(places).scale();
        assertThat(scale.focal().inMm()).isCloseTo(78, within(1e-6));
        assertThat(scale.begins()).isCloseTo(-150, within(1e-6));
        double reading = scale.reading(Magnification.of(5)).figure();
        assertThat(reading).isCloseTo(-150 + 78 * 7.2, within(1e-6));
        assertThat(scale.magnification(reading).figure()).isCloseTo(5, within(1e-6));
        assertThatThrownBy(() -> scale.magnification(-150 + 78 * 3.9))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("raise the head");
        assertThatThrownBy(() -> new ColumnReadings.Place(10, Magnification.of(0.9)))
                .isInstanceOf(QuantityException.class);
        assertThatThrownBy(() -> new ColumnReadings(java.util.stream.DoubleStream.of(2, 4, 6, 10)
                                .mapToObj(m -> new ColumnReadings.Place(1000 - 50 * m, Magnification.of(m)))
                                .toList())
                        .scale())
                .hasMessageContaining("lens of");
    }

    @Test
    void lightAtSeveralHeightsTellsThePupils() {
        List<PupilReadings.Height> heights = java.util.stream.DoubleStream.of(2, 4, 6, 8, 10)
                .mapToObj(m -> new PupilReadings.Height(Magnification.of(m), 900 / Math.pow(1 + m / 0.9, 2)))
                .toList();
        assertThat(new PupilReadings(heights).inversePupil().figure()).isCloseTo(1 / 0.9, within(1e-6));
        List<PupilReadings.Height> rising = java.util.stream.DoubleStream.of(2, 4, 6, 8, 10)
                .mapToObj(m -> new PupilReadings.Height(Magnification.of(m), m))
                .toList();
        assertThatThrownBy(() -> new PupilReadings(rising).inversePupil()).hasMessageContaining("does not fall");
    }

    @Test
    void pairsTellTheDryDown() {
        DryDown.Pair pair = new DryDown.Pair(ExposureTime.ofSeconds(20), ExposureTime.ofSeconds(18.4));
        Measured one = DryDown.of(List.of(pair), Stops.ofFraction(1, 24));
        assertThat(one.figure()).isCloseTo(8, within(1e-9));
        assertThat(one.limit()).isCloseTo(200 * Math.log(2) * 0.92 * Math.sqrt(2) / 24, within(1e-9));
        Measured three = DryDown.of(List.of(pair, pair, pair), Stops.ofFraction(1, 24));
        assertThat(three.limit()).isCloseTo(0, within(1e-9));
        DryDown.Pair brighter = new DryDown.Pair(ExposureTime.ofSeconds(10), ExposureTime.ofSeconds(14));
        assertThatThrownBy(() -> DryDown.of(List.of(brighter), Stops.ofFraction(1, 24)))
                .isInstanceOf(QuantityException.class);
    }
}
