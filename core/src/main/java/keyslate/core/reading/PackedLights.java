package keyslate.core.reading;

import keyslate.core.light.Light;
import keyslate.core.quantity.FilterPack;
import keyslate.core.reading.SlateEvidence.Tone;

/**
 * Packs on colour paper for {@link SlateEvidence}: the time as the neutral stays as dark (COL-04), off by 0.1 stop for 20 points between two packs where the head's
 * factors were not measured.
 *
 * @param against the pack that others are reckoned from
 * @param factor time of one light for another
 */
public record PackedLights(Light against, Factor factor) implements SlateEvidence.LightModel {
    /** Limit of a pack's time factor for each point that changes, 95 %, where the head was not measured: 0.1 stop for 20. */
    public static final double STOPS_A_POINT = 0.1 / 20;

    /** How time follows the pack. */
    @FunctionalInterface
    public interface Factor {
        double of(Light from, Light to);
    }

    @Override
    public double factorLog(Light light, Tone tone) {
        return light.equals(against) ? 0 : Math.log10(factor.of(against, light));
    }

    @Override
    public double limitStops(Light light) {
        FilterPack one = against.toPack();
        FilterPack other = light.toPack();
        double points = Math.abs(one.inCyan() - other.inCyan())
                + Math.abs(one.inMagenta() - other.inMagenta())
                + Math.abs(one.inYellow() - other.inYellow());
        return STOPS_A_POINT * points;
    }

    @Override
    public double contrastLimitLog(Light light) {
        return 0;
    }
}
