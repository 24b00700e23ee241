package keyslate.core.size;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;

/** Distances of an enlarger with a thin lens; good to a few millimetres for real lenses. */
public record ThinLens(Length focalLength) {
    public ThinLens {
        Check.positive("focal length", focalLength.inMm(), "mm");
    }

    public static ThinLens ofMm(double focalMm) {
        return new ThinLens(Length.ofPositiveMm("focal length", focalMm));
    }

    /** SIZ-03: film to lens, u = f·(1 + 1/m). */
    public Length filmToLens(Magnification m) {
        return focalLength.times(1 + 1 / m.inTimes());
    }

    /** SIZ-04: lens to paper, v = f·(1 + m). */
    public Length lensToPaper(Magnification m) {
        return focalLength.times(1 + m.inTimes());
    }

    /** Film to paper: u + v plus the separation of the lens's principal planes. */
    public Length filmToPaper(Magnification m, Length planes) {
        return filmToLens(m).plus(lensToPaper(m)).plus(planes);
    }

    /**
     * SIZ-05: m from the distance film to paper, k = (total − hh)/f − 2 ≥ 2, m = (k + √(k² − 4))/2 (the enlarging root).
     * Below four focal lengths there is no sharp image.
     */
    public Magnification magnificationAt(Length filmToPaper, Length planes) {
        double k = (filmToPaper.inMm() - planes.inMm()) / focalLength.inMm() - 2;
        if (k < 2 - 1e-12) {
            throw Check.outOfRange("film to paper", "below four focal lengths there is no sharp image; raise the head");
        }
        return Magnification.of((k + Math.sqrt(Math.max(0, k * k - 4))) / 2);
    }

    /** SIZ-06: natural falloff at radius r on the paper, −4·log2 cos(atan(r/v)), stops lost (0 or more). */
    public static Stops cornerLoss(Length radius, Length lensToPaper) {
        Check.positive("lens to paper", lensToPaper.inMm(), "mm");
        double cos = Math.cos(Math.atan(radius.inMm() / lensToPaper.inMm()));
        return Stops.of(-4 * Math.log(cos) / Math.log(2));
    }
}
