package keyslate.core.darkroom;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Magnification;
import keyslate.core.size.Projection;

/**
 * How much light an enlarger throws on the paper through clear film, per second.
 *
 * <p>DRK-02: log E = log E_0 − 2·log10(N·(1 + m)), in the paper's own unit: illuminance goes with the square of the
 * effective f-number N·(1 + m) of a symmetrical lens.
 *
 * @param strengthLog10 log E_0, 0 to 8; 3.2 gives times near 11 s at f/8 and 6.4 ×
 */
public record EnlargerLight(double strengthLog10) {
    public EnlargerLight {
        strengthLog10 = Check.within("lamp strength", strengthLog10, 0, 8, "");
    }

    /** log10 exposure per second at the paper. */
    public double logPerSecond(FNumber opening, Magnification m) {
        return logPerSecond(opening, new Projection.Enlarged(m));
    }

    /** The same however the light comes to the paper: N·(1 + m) becomes N·s (SIZ-14). */
    public double logPerSecond(FNumber opening, Projection projection) {
        return strengthLog10 - 2 * Math.log10(projection.opening(opening).inFStops() * projection.spread());
    }
}
