package keyslate.core.test;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.LampWay;
import keyslate.core.script.Settings;

/**
 * What stands for a test besides its plan.
 *
 * @param light of the base exposure
 * @param opening that stands, with its true number as far as it is known
 * @param ring the marks of the lens from the widest on, alike; empty where there is no lens
 * @param settings how light and time are changed between two exposures
 * @param carried the time of another light that keeps the print as dark as the base exposure
 * @param settable the nearest light to one that the head can be set to
 * @param split what stands where the base has two parts; none as a rule
 */
public record TestRig(
        Light light,
        ApertureMark opening,
        List<ApertureMark> ring,
        LampWay way,
        TimerSteps timer,
        LampLag lag,
        Settings settings,
        Carried carried,
        UnaryOperator<Light> settable,
        Optional<Split> split) {
    /** How time follows the light. */
    @FunctionalInterface
    public interface Carried {
        ExposureTime time(ExposureTime base, Light to);
    }

    /**
     * A base in two parts. Strips are made about its first part; a sheet gets both.
     *
     * @param second what follows the first part where that gets the base exposure
     * @param asOne the time of another light that keeps the print as dark as both together, from that of the first
     */
    public record Split(BaseExposure.Part second, Carried asOne) {}

    public TestRig {
        ring = List.copyOf(ring);
    }

    /** Of a base in one part. */
    public TestRig(
            Light light,
            ApertureMark opening,
            List<ApertureMark> ring,
            LampWay way,
            TimerSteps timer,
            LampLag lag,
            Settings settings,
            Carried carried) {
        this(light, opening, ring, way, timer, lag, settings, carried, UnaryOperator.identity(), Optional.empty());
    }

    /** The same under a head that not every light can be set on. */
    public TestRig on(UnaryOperator<Light> head) {
        return new TestRig(light, opening, ring, way, timer, lag, settings, carried, head, split);
    }

    /** The same for a base in two parts. */
    public TestRig with(Split both) {
        return new TestRig(light, opening, ring, way, timer, lag, settings, carried, settable, Optional.of(both));
    }

    /** How time follows the light from the whole base, both parts where it has two. */
    Carried ofWhole() {
        return split.map(Split::asOne).orElse(carried);
    }

    /** The same through another light. */
    TestRig through(Light other) {
        return new TestRig(other, opening, ring, way, timer, lag, settings, carried, settable, split);
    }

    /**
     * What a setting of the timer gives.
     *
     * @throws keyslate.core.quantity.QuantityException when it is no longer than the lag
     */
    ExposureTime received(ExposureTime set) {
        double seconds = lag.receivedSeconds(set);
        if (seconds <= 0) {
            throw Check.infeasible(
                    "time",
                    "so short a time is nothing on this timer: " + Check.shown(set.inSeconds())
                            + " s is no longer than the lamp's lag; take a longer one, or close the lens");
        }
        return ExposureTime.ofSeconds(seconds);
    }

    /** Stops more light through another mark than through the one that stands. */
    Stops more(ApertureMark mark) {
        return opening.trueNumber().lightChangeTo(mark.trueNumber());
    }
}
