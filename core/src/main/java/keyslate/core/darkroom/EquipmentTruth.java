package keyslate.core.darkroom;

import java.util.SplittableRandom;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Magnification;

/** What simulated lenses and columns really are, which no advice may see; the same for the same seed (model, section 14). */
public final class EquipmentTruth {
    private static final double OPENING_SPREAD = 0.03;
    private static final double LEAST_PUPIL = 0.8;
    private static final double MOST_PUPIL = 1.2;
    private static final double COLUMN_SPREAD_MM = 4;

    private EquipmentTruth() {}

    /**
     * A lens.
     *
     * @param inversePupil entrance over exit pupil
     */
    public record LensTruth(long seed, double inversePupil) {
        public static LensTruth of(long seed) {
            return new LensTruth(
                    seed, 1 / (LEAST_PUPIL + (MOST_PUPIL - LEAST_PUPIL) * new SplittableRandom(seed).nextDouble()));
        }

        /** Stops more light at a mark than engraved. */
        public double openingOffset(ApertureMark mark) {
            return OPENING_SPREAD * new SplittableRandom(seed ^ Math.round(100 * mark.engraved())).nextGaussian();
        }

        /** log2 of the light at the board, but for the lamp: opening and size. */
        public double stops(ApertureMark mark, Magnification m) {
            FNumber n = mark.trueNumber();
            double effective = n.inFStops() * (1 + m.inTimes() * inversePupil);
            return openingOffset(mark) - 2 * Math.log(effective) / Math.log(2);
        }
    }

    /** By how many mm a column's scale begins elsewhere than it says. */
    public static double columnOffsetMm(long seed) {
        return COLUMN_SPREAD_MM * new SplittableRandom(seed).nextGaussian();
    }
}
