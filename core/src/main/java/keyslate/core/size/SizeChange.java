package keyslate.core.size;

import keyslate.core.exposure.Reciprocity;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;

/** The light that a change of magnification costs. */
public final class SizeChange {
    private SizeChange() {}

    /**
     * SIZ-02: F = ((1 + m2/p)/(1 + m1/p))², the factor of time from m1 to m2 with the same lens, opening and filter; p =
     * exit pupil / entrance pupil, 0.2 to 5, 1 for a symmetrical lens. Squaring m2/m1 instead is 0.53 stop too much from
     * 2× to 4×. Example: 4.5× to 8× is 2.678, +1.42 stop.
     */
    public static double timeFactor(Magnification from, Magnification to, double pupilRatio) {
        Check.positive("pupil ratio", pupilRatio, "");
        Check.within("pupil ratio", pupilRatio, 0.2, 5, "");
        double ratio = (1 + to.inTimes() / pupilRatio) / (1 + from.inTimes() / pupilRatio);
        return ratio * ratio;
    }

    /** {@link #timeFactor} in stops more time (positive when the print grows). */
    public static Stops stopsMoreTime(Magnification from, Magnification to, double pupilRatio) {
        return Stops.ofFactor(timeFactor(from, to, pupilRatio));
    }

    /**
     * SIZ-09: all at once: F (SIZ-02) · (N2/N1)² · 10^(density added), through the paper's loss in long exposures (EXP-22).
     *
     * @param addedDensity density put into the light, 0 or more
     */
    public static ExposureTime rescaled(
            ExposureTime time,
            FNumber openingBefore,
            Magnification before,
            FNumber openingAfter,
            Magnification after,
            double pupilRatio,
            double addedDensity,
            Reciprocity paper) {
        double opening = openingAfter.inFStops() / openingBefore.inFStops();
        double factor = timeFactor(before, after, pupilRatio)
                * opening
                * opening
                / Density.of(addedDensity).toTransmittance();
        return paper.scaled(time, factor);
    }

    /**
     * How far the usual shortcuts are from SIZ-02, in stops, positive = too long.
     *
     * @param bySize squaring the ratio of magnifications; {@code byLensToPaper} squaring lens-to-paper; {@code byFilmToPaper} squaring film-to-paper
     */
    public record ShortcutErrors(Stops bySize, Stops byLensToPaper, Stops byFilmToPaper) {}

    /** SIZ-10: the errors of the shortcuts from one magnification to another; exact = SIZ-02. */
    public static ShortcutErrors shortcutErrors(
            ThinLens lens, Magnification before, Magnification after, double pupilRatio, Length planes) {
        double exact = timeFactor(before, after, pupilRatio);
        double size = after.inTimes() / before.inTimes();
        double lensToPaper =
                lens.lensToPaper(after).inMm() / lens.lensToPaper(before).inMm();
        double filmToPaper = lens.filmToPaper(after, planes).inMm()
                / lens.filmToPaper(before, planes).inMm();
        return new ShortcutErrors(
                Stops.ofFactor(size * size / exact),
                Stops.ofFactor(lensToPaper * lensToPaper / exact),
                Stops.ofFactor(filmToPaper * filmToPaper / exact));
    }

    /** SIZ-07: t2 = t1·E1/E2 from two meter readings at the baseboard; the most reliable way. */
    public static ExposureTime timeByMeter(ExposureTime time, double luxBefore, double luxAfter) {
        Check.positive("illuminance before", luxBefore, "lx");
        return time.times(luxBefore / Check.positive("illuminance after", luxAfter, "lx"));
    }

    /** SIZ-08: t2 = t1·(d2/d1)² for contact printing or bare light; d = exit pupil (or lamp) to paper. */
    public static ExposureTime timeByDistance(ExposureTime time, Length before, Length after) {
        double ratio = Check.positive("distance", after.inMm(), "mm") / Check.positive("distance", before.inMm(), "mm");
        return time.times(ratio * ratio);
    }
}
