package keyslate.core.trial.printer;

import java.util.Optional;
import keyslate.core.film.FrameNeed;

/** What a printer sees of two frames on a standard proof. */
public interface ProofTable {
    /** What the scan of the proof says by the application's reading, if it says anything. */
    Optional<FrameNeed> scanned();

    /** By how many stops the one prints lighter than the other, as the eye judges it. */
    double lighterStops();
}
