package keyslate.core.calibration;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.LongFunction;
import java.util.stream.DoubleStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import keyslate.core.darkroom.EquipmentTruth.LensTruth;
import keyslate.core.darkroom.SimulatedMeter;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.size.ThinLens;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Each calibration against many worlds that only the simulated meter knows: the truth lies within the stated 95 % limits in about 95 of 100, and the limits are at most
 * twice what the readings allow, 1.96 times the spread that the estimates really have.
 */
class CoverageTest {
    private static final int WORLDS = 600;
    private static final double METER = 0.007;

    /** One world: what was estimated, its limit, and the truth. */
    record Case(double estimate, double limit, double truth) {}

    static Stream<Arguments> calibrations() {
        return Stream.of(
                Arguments.of("lag", (LongFunction<Case>) CoverageTest::lag),
                Arguments.of("opening", (LongFunction<Case>) CoverageTest::opening),
                Arguments.of("corner", (LongFunction<Case>) CoverageTest::corner),
                Arguments.of("pupil", (LongFunction<Case>) CoverageTest::pupil),
                Arguments.of("column reading", (LongFunction<Case>) CoverageTest::reading),
                Arguments.of("size by column", (LongFunction<Case>) CoverageTest::size));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("calibrations")
    void theTruthLiesWithinTheLimitsAndTheyAreNoWiderThanNeeded(String name, LongFunction<Case> world) {
        List<Case> cases = LongStream.range(0, WORLDS).mapToObj(world).toList();
        double held = cases.stream()
                        .filter(c -> Math.abs(c.estimate() - c.truth()) <= c.limit())
                        .count()
                / (double) WORLDS;
        assertThat(held).isBetween(0.925, 0.975);
        double spread = Math.sqrt(cases.stream()
                .mapToDouble(c -> Math.pow(c.estimate() - c.truth(), 2))
                .average()
                .orElseThrow());
        double[] limits = cases.stream().mapToDouble(Case::limit).sorted().toArray();
        assertThat(limits[WORLDS / 2]).isLessThan(2 * 1.96 * spread);
    }

    private static Case lag(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        SimulatedMeter meter = new SimulatedMeter(seed);
        double lag = 0.1 + 0.3 * random.nextDouble();
        List<LagReadings.Burst> bursts = DoubleStream.of(2, 2, 2, 10, 10, 10)
                .mapToObj(t -> new LagReadings.Burst(t, meter.shows(37 * (t - lag))))
                .toList();
        Measured found = new LagReadings(bursts).result().lag();
        return new Case(found.figure(), found.limit(), lag);
    }

    private static Case opening(long seed) {
        SimulatedMeter meter = new SimulatedMeter(seed);
        LensTruth lens = LensTruth.of(seed);
        List<ApertureMark> ring = ApertureMark.ring(5.6, 22, 2);
        Map<ApertureMark, List<Double>> read = new LinkedHashMap<>();
        for (ApertureMark mark : ring) {
            double lux = Math.pow(2, 10 + lens.stops(mark, Magnification.of(6)));
            read.put(mark, List.of(meter.shows(lux), meter.shows(lux)));
        }
        ApertureMark third = ring.get(2);
        Measured found = new OpeningReadings(read).offsets().get(third);
        double mean = ring.stream().mapToDouble(lens::openingOffset).average().orElseThrow();
        return new Case(found.figure(), found.limit(), lens.openingOffset(third) - mean);
    }

    private static Case corner(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        SimulatedMeter meter = new SimulatedMeter(seed);
        double loss = -0.5 * random.nextDouble();
        Map<EvennessReadings.Spot, List<Double>> read = new EnumMap<>(EvennessReadings.Spot.class);
        for (EvennessReadings.Spot spot : EvennessReadings.Spot.values()) {
            double lux = 80 * Math.pow(2, spot == EvennessReadings.Spot.TOP_RIGHT ? loss : 0);
            read.put(spot, List.of(meter.shows(lux), meter.shows(lux)));
        }
        Measured found = new EvennessReadings(read).corners().get(EvennessReadings.Spot.TOP_RIGHT);
        return new Case(found.figure(), found.limit(), loss);
    }

    private static Case pupil(long seed) {
        SimulatedMeter meter = new SimulatedMeter(seed);
        LensTruth lens = LensTruth.of(seed);
        ApertureMark mark = ApertureMark.ofEngraved(8, 2);
        List<PupilReadings.Height> heights = DoubleStream.of(3, 4.5, 6.5, 9, 12)
                .mapToObj(Magnification::of)
                .map(m -> new PupilReadings.Height(m, meter.shows(Math.pow(2, 12 + lens.stops(mark, m)))))
                .toList();
        Measured found = new PupilReadings(heights).inversePupil();
        return new Case(found.figure(), found.limit(), lens.inversePupil());
    }

    private static ColumnScale scale(long seed, double begins) {
        SplittableRandom random = new SplittableRandom(seed);
        List<ColumnReadings.Place> places = new ArrayList<>();
        for (double m : new double[] {3, 4.5, 6.5, 9, 12}) {
            double reading = begins + filmToPaper(m) + 0.5 * random.nextGaussian();
            places.add(new ColumnReadings.Place(reading, Magnification.of(m)));
        }
        return new ColumnReadings(places).scale();
    }

    private static double filmToPaper(double m) {
        return ThinLens.ofMm(80)
                .filmToPaper(Magnification.of(m), Length.ofMm(0))
                .inMm();
    }

    private static Case reading(long seed) {
        Measured found = scale(seed, -210).reading(Magnification.of(8));
        return new Case(found.figure(), found.limit(), filmToPaper(8) - 210);
    }

    private static Case size(long seed) {
        Measured found = scale(seed, -210).magnification(filmToPaper(8) - 210);
        return new Case(found.figure(), found.limit(), 8);
    }

    @ParameterizedTest
    @MethodSource("calibrations")
    void theSameWorldGivesTheSameReadings(String name, LongFunction<Case> world) {
        assertThat(Arrays.asList(world.apply(7), world.apply(8)))
                .isEqualTo(Arrays.asList(world.apply(7), world.apply(8)));
    }

    /** What the meter of these worlds errs by is what its class says. */
    @org.junit.jupiter.api.Test
    void theMeterErrsByItsShare() {
        SimulatedMeter meter = new SimulatedMeter(3);
        double[] shown =
                DoubleStream.generate(() -> meter.shows(432)).limit(2000).toArray();
        double mean = DoubleStream.of(shown).average().orElseThrow();
        double spread = Math.sqrt(DoubleStream.of(shown)
                .map(s -> (s - mean) * (s - mean))
                .average()
                .orElseThrow());
        assertThat(mean / 432).isBetween(0.999, 1.001);
        assertThat(spread / 432).isBetween(0.9 * METER, 1.15 * METER);
    }
}
