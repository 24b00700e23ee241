package keyslate.core.local;

import java.util.LinkedHashMap;
import java.util.Map;
import keyslate.core.numeric.Bisection;
import keyslate.core.numeric.Isotonic;
import keyslate.core.numeric.MonotoneCubic;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;

/**
 * What a printer and its clear film make of an opacity: a chart that was printed and measured.
 *
 * <p>LOC-10: stops = D/log10 2, made to rise (pool adjacent violators), the clear film's taken off and kept as its loss; between the patches a
 * monotone cubic. Good only for the printer, ink and film it was measured on.
 */
public final class MaskChart {
    private static final int FEWEST_PATCHES = 3;
    private final MonotoneCubic stops;
    private final Stops baseLoss;

    private MaskChart(MonotoneCubic stops, Stops baseLoss) {
        this.stops = stops;
        this.baseLoss = baseLoss;
    }

    /** From at least three patches: opacity in percent from 0, rising, up to 100, and the density measured over each. */
    public static MaskChart measured(double[] opacity, double[] density) {
        if (opacity.length < FEWEST_PATCHES || opacity.length != density.length) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE,
                    "chart",
                    "a chart needs at least three patches with their densities");
        }
        double[] raw = new double[density.length];
        for (int i = 0; i < raw.length; i++) {
            Check.finite("opacity", opacity[i]);
            raw[i] = Stops.ofLogExposure(Density.of(density[i]).inLog10()).inStops();
        }
        for (int i = 0; i < raw.length; i++) {
            if (i == 0 ? opacity[0] != 0 : opacity[i] <= opacity[i - 1] || opacity[i] > 100) {
                throw Check.outOfRange("opacity", "opacities must rise from 0 to at most 100 %");
            }
        }
        double[] rising = Isotonic.rising(raw);
        double clear = rising[0];
        for (int i = 0; i < rising.length; i++) {
            rising[i] -= clear;
        }
        return new MaskChart(MonotoneCubic.through(opacity, rising), Stops.of(clear));
    }

    /** What the clear film itself takes. */
    public Stops baseLoss() {
        return baseLoss;
    }

    /** Stops that an opacity holds back beyond clear film. */
    public Stops stopsAt(double opacityPercent) {
        return Stops.of(stops.at(Check.within("opacity", opacityPercent, stops.first(), stops.last(), "%")));
    }

    /** The smallest opacity that holds back so many stops, 0 or more, up to the chart's last patch. */
    public double opacityFor(Stops held) {
        double most = stops.at(stops.last());
        Check.notNegative("mask", held.inStops(), "stops");
        Check.within("mask", held.inStops(), 0, most, "stops");
        return held.inStops() == 0 ? 0 : Bisection.solve(stops::at, held.inStops(), stops.first(), stops.last());
    }

    /**
     * A mask for a local plan.
     *
     * @param opacityOf opacity of each area, percent; {@code background} of everything else
     * @param time base exposure through the mask
     */
    public record Plan(Map<String, Double> opacityOf, double background, ExposureTime time) {}

    /**
     * LOC-11: with the largest burn b (0 when there is none) an area of s stops gets b − s, the rest b; time = T·2^(b + clear film +
     * diffuser).
     */
    public Plan plan(Map<String, LocalChange> areas, ExposureTime base, Stops diffuserLoss) {
        Check.notNegative("loss of the diffuser", diffuserLoss.inStops(), "stops");
        double burn =
                areas.values().stream().mapToDouble(c -> c.change().inStops()).reduce(0, Math::max);
        Map<String, Double> opacity = new LinkedHashMap<>();
        areas.forEach((name, c) -> opacity.put(name, opacityFor(Stops.of(burn).minus(c.change()))));
        Stops loss = Stops.of(burn).plus(baseLoss).plus(diffuserLoss);
        return new Plan(opacity, opacityFor(Stops.of(burn)), base.plus(loss));
    }

    /** LOC-12: pixels of a length at a printer's resolution, mm·dpi/25.4. */
    public static double pixels(double mm, double dotsPerInch) {
        return Check.notNegative("length", mm, "mm") * Check.positive("resolution", dotsPerInch, "dpi") / 25.4;
    }

    /** The inverse of {@link #pixels}. */
    public static double millimetres(double pixels, double dotsPerInch) {
        return Check.notNegative("pixels", pixels, "") * 25.4 / Check.positive("resolution", dotsPerInch, "dpi");
    }

    /**
     * LOC-13: scale for one axis of a printer that does not print to size: current·nominal/measured, 0.8 to 1.25; beyond that something else
     * is wrong.
     */
    public static double scale(double current, double nominalMm, double measuredMm) {
        double scale = Check.positive("scale", current, "")
                * Check.positive("nominal length", nominalMm, "mm")
                / Check.positive("measured length", measuredMm, "mm");
        return Check.within("scale", scale, 0.8, 1.25, "");
    }
}
