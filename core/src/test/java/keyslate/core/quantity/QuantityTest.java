package keyslate.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.function.DoubleFunction;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import keyslate.core.Draws;
import keyslate.core.quantity.QuantityException.Kind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Edges and messages of the value types, and the laws of their arithmetic. */
class QuantityTest {
    /** Rounding of a few operations on doubles. */
    private static final double FLOAT = 1e-9;

    static Stream<Arguments> refused() {
        return Stream.of(
                row("time", ExposureTime::ofSeconds, 0, "exposure time must be more than 0 s, was 0 s"),
                row("time", ExposureTime::ofSeconds, -2.5, "exposure time must be more than 0 s, was −2.5 s"),
                row("time", ExposureTime::ofSeconds, 36_001, "exposure time must be from 0 to 36000 s, was 36001 s"),
                row("stops", Stops::of, 31, "change in stops must be from −30 to 30 stops, was 31 stops"),
                row("factor", Stops::ofFactor, 0, "factor must be more than 0, was 0"),
                row("f-number", FNumber::of, 0.4, "f-number must be from 0.5 to 512, was 0.4"),
                row("length", Length::ofMm, -1, "length must be 0 mm or more, was −1 mm"),
                row("density", Density::of, -0.1, "density must be 0 or more, was −0.1"),
                row("density", Density::of, 6.1, "density must be from 0 to 6, was 6.1"),
                row("grade", Grade::of, 5.5, "grade must be from −1 to 5, was 5.5"),
                row("magnification", Magnification::of, 0, "magnification must be more than 0 ×, was 0 ×"));
    }

    @ParameterizedTest
    @MethodSource
    void refused(String name, DoubleFunction<Object> factory, double value, String message) {
        assertThatThrownBy(() -> factory.apply(value))
                .isInstanceOf(QuantityException.class)
                .hasMessage(message);
    }

    @ParameterizedTest
    @MethodSource("refused")
    void nothingButNumbersIsTaken(String name, DoubleFunction<Object> factory, double value, String message) {
        for (double odd : new double[] {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY}) {
            assertThatThrownBy(() -> factory.apply(odd))
                    .isInstanceOfSatisfying(
                            QuantityException.class, e -> assertThat(e.kind()).isEqualTo(Kind.NOT_A_NUMBER));
        }
    }

    @Test
    void minusZeroIsZero() {
        assertThat(Stops.of(-0.0)).isEqualTo(Stops.ZERO);
        assertThat(Length.ofMm(-0.0)).isEqualTo(Length.ZERO);
        assertThat(Density.of(-0.0)).isEqualTo(Density.of(0));
        assertThat(Stops.ZERO.negated()).isEqualTo(Stops.ZERO);
    }

    @Test
    void edgesOfTheRangesAreTaken() {
        assertThat(Stops.of(30).inStops()).isEqualTo(30);
        assertThat(ExposureTime.ofSeconds(ExposureTime.LONGEST_SECONDS).inSeconds())
                .isEqualTo(36_000);
        assertThat(Grade.of(-1).onScale()).isEqualTo(-1);
        assertThat(Density.of(6).inLog10()).isEqualTo(6);
    }

    @Test
    void theCodeOfEachKindIsTheOneOfTheTestTables() {
        assertThat(Stream.of(Kind.values()).map(Kind::code))
                .containsExactly("E_NAN", "E_NONPOS", "E_NEG", "E_RANGE", "E_SHAPE", "E_INFEASIBLE");
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void stopsAndFactorsGoThereAndBack(long seed) {
        RandomGenerator random = Draws.from(seed);
        Stops a = Stops.of(random.nextDouble(-12, 12));
        Stops b = Stops.of(random.nextDouble(-12, 12));
        assertThat(Stops.ofFactor(a.toFactor()).inStops()).isCloseTo(a.inStops(), within(FLOAT));
        assertThat(Stops.ofLogExposure(a.toLogExposure()).inStops()).isCloseTo(a.inStops(), within(FLOAT));
        assertThat(a.plus(b).toFactor() / (a.toFactor() * b.toFactor())).isCloseTo(1, within(FLOAT));
        assertThat(a.plus(b).minus(b).inStops()).isCloseTo(a.inStops(), within(FLOAT));
        assertThat(a.compareTo(b)).isEqualTo(Double.compare(a.toFactor(), b.toFactor()));
    }

    @ParameterizedTest
    @MethodSource("keyslate.core.Draws#seeds")
    void aTimeChangedAndChangedBackIsItself(long seed) {
        RandomGenerator random = Draws.from(seed);
        ExposureTime time = ExposureTime.ofSeconds(Draws.logBetween(random, 0.5, 500));
        Stops change = Stops.of(random.nextDouble(-4, 4));
        ExposureTime changed = time.plus(change);
        assertThat(changed.stopsFrom(time).inStops()).isCloseTo(change.inStops(), within(FLOAT));
        assertThat(changed.plus(change.negated()).inSeconds()).isCloseTo(time.inSeconds(), within(1e-6));
    }

    @Test
    void twelfthsComeFromTheirIndexAndDoNotDrift() {
        assertThat(Stops.ofFraction(4, 12)).isEqualTo(Stops.ofFraction(1, 3));
        assertThat(Stops.of(0.34).toNearestTwelfth()).isEqualTo(Stops.ofFraction(4, 12));
        assertThat(Stops.ofFraction(12, 12)).isEqualTo(Stops.of(1));
    }

    private static Arguments row(String name, DoubleFunction<Object> factory, double value, String message) {
        return Arguments.of(name, factory, value, message);
    }
}
