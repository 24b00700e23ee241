package keyslate.core.exposure;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Stops;

/**
 * The opening that brings a time into a workable window.
 *
 * <p>EXP-18: too short: k = ceil(q·log2(t_min/t) − 1e−9) detents of 1/q stop, no smaller than the lens allows; t' =
 * t·2^(k/q); what is still missing is reported as stops of neutral density. Too long is the mirror image.
 *
 * @param change stops closed (positive) or opened (negative)
 * @param mark the mark to set
 * @param time the time there
 * @param stillMissing stops by which the time still misses the window, 0 or more
 */
public record WorkableTime(Stops change, ApertureMark mark, ExposureTime time, Stops stillMissing) {
    private static final double FLOAT_GUARD = 1e-9;

    /** Closes the lens until the time is at least {@code shortest}. */
    public static WorkableTime atLeast(
            ExposureTime time, ApertureMark now, ExposureTime shortest, int marksPerStop, ApertureMark smallest) {
        Stops room = smallest.trueNumber().lightChangeTo(now.trueNumber());
        if (room.inStops() < -FLOAT_GUARD) {
            throw Check.outOfRange("f-number", "the lens is already closed further than its smallest opening");
        }
        int wanted = detents(shortest.stopsFrom(time).inStops(), marksPerStop);
        int allowed = (int) Math.floor(room.inStops() * marksPerStop + 1e-6);
        int k = Math.min(wanted, allowed);
        ExposureTime there = time.plus(Stops.ofFraction(k, marksPerStop));
        Stops missing = Stops.of(Math.max(0, shortest.stopsFrom(there).inStops()));
        return new WorkableTime(Stops.ofFraction(k, marksPerStop), moved(now, k, marksPerStop), there, missing);
    }

    /** Opens the lens until the time is at most {@code longest}. */
    public static WorkableTime atMost(
            ExposureTime time, ApertureMark now, ExposureTime longest, int marksPerStop, ApertureMark widest) {
        Stops room = now.trueNumber().lightChangeTo(widest.trueNumber());
        if (room.inStops() < -FLOAT_GUARD) {
            throw Check.outOfRange("f-number", "the lens is already open wider than its full opening");
        }
        int wanted = detents(time.stopsFrom(longest).inStops(), marksPerStop);
        int allowed = (int) Math.floor(room.inStops() * marksPerStop + 1e-6);
        int k = Math.min(wanted, allowed);
        ExposureTime there = time.plus(Stops.ofFraction(-k, marksPerStop));
        Stops missing = Stops.of(Math.max(0, there.stopsFrom(longest).inStops()));
        return new WorkableTime(Stops.ofFraction(-k, marksPerStop), moved(now, -k, marksPerStop), there, missing);
    }

    private static int detents(double stops, int marksPerStop) {
        return Math.max(0, (int) Math.ceil(marksPerStop * stops - FLOAT_GUARD));
    }

    private static ApertureMark moved(ApertureMark from, int detents, int marksPerStop) {
        double number = from.trueNumber().inFStops() * Math.pow(2, detents / (2.0 * marksPerStop));
        return ApertureMark.nearest(FNumber.of(number), marksPerStop);
    }
}
