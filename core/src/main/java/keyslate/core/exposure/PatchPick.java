package keyslate.core.exposure;

import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;

/**
 * A place on a strip: a patch, or a place between two.
 *
 * @param index the patch, 0 = the shortest
 * @param weight how far towards the next patch, 0 to 1
 */
public record PatchPick(int index, double weight) {
    public PatchPick {
        Check.count("patch", index, 0, 99);
        weight = Check.within("place between patches", weight, 0, 1, "");
    }

    /** A place counted in patches from the first one, such as 2.5 for between the third and the fourth. */
    public static PatchPick ofPosition(double position) {
        Check.notNegative("patch", position, "");
        int index = (int) Math.floor(Check.within("patch", position, 0, 99, ""));
        return new PatchPick(index, position - index);
    }

    /** The place it was made from. */
    public double toPosition() {
        return index + weight;
    }

    /** EXP-19: t = t_i^(1−w) · t_(i+1)^w, linear in log exposure. Between 14 s and 21 s that is 17.1 s. */
    public ExposureTime timeOn(List<ExposureTime> totals) {
        if (totals.size() < 2) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "patches", "a strip needs at least two patches");
        }
        if (index >= totals.size() || weight > 0 && index + 1 >= totals.size()) {
            throw Check.outOfRange(
                    "patch", "the strip has " + totals.size() + " patches; make a longer strip to go beyond it");
        }
        refuseFalling(totals);
        double here = Math.log(totals.get(index).inSeconds());
        double next = weight > 0 ? Math.log(totals.get(index + 1).inSeconds()) : here;
        return ExposureTime.ofSeconds(Math.exp(here * (1 - weight) + next * weight));
    }

    /**
     * EXP-20: how far the true value may lie from the picked one: half the step when a patch is simply picked, half the
     * gap when the value lies between two.
     */
    public Stops uncertaintyOn(List<ExposureTime> totals) {
        refuseFalling(totals);
        int from = Math.min(index, totals.size() - 2);
        return totals.get(from + 1).stopsFrom(totals.get(from)).times(0.5);
    }

    private static void refuseFalling(List<ExposureTime> totals) {
        for (int i = 1; i < totals.size(); i++) {
            if (totals.get(i).compareTo(totals.get(i - 1)) < 0) {
                throw Check.outOfRange("patches", "no patch may have less light than the one before it");
            }
        }
    }
}
