package keyslate.core.trial.printer;

import keyslate.core.film.FrameNeed;
import keyslate.core.quantity.Stops;

/** The first time of a frame beside one that is printed, as Rolls gives it. */
public final class ProofStart {
    private static final int PARTS = 6;

    private ProofStart() {}

    /** Two looks in sixths of a stop, the second with the proof upside down. */
    public static Stops byEye(ProofTable proof) {
        return FrameNeed.byEye(1, inSixths(proof.lighterStops()), inSixths(proof.lighterStops()))
                .more();
    }

    /** What the scan says; where it says nothing, the eye. */
    public static Stops byScan(ProofTable proof) {
        return proof.scanned().map(FrameNeed::more).orElseGet(() -> byEye(proof));
    }

    private static double inSixths(double stops) {
        return Math.rint(stops * PARTS) / PARTS;
    }
}
