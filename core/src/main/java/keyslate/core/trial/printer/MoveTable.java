package keyslate.core.trial.printer;

import keyslate.core.calibration.BatchReadings;
import keyslate.core.calibration.ColumnReadings;
import keyslate.core.calibration.FilterReadings;
import keyslate.core.calibration.LagReadings;
import keyslate.core.calibration.OpeningReadings;
import keyslate.core.calibration.PupilReadings;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Magnification;

/** What a printer knows and can read before a print that was accepted is made again with another set-up. */
public interface MoveTable {
    /** Before the move, and after it. */
    enum Side {
        BEFORE,
        AFTER
    }

    /** What the timer was set to for the accepted print. */
    ExposureTime acceptedSet();

    boolean sameEnlarger();

    boolean sameLens();

    ApertureMark mark(Side side);

    /** The size as the printer means it. */
    Magnification size(Side side);

    /** Whether the new size is set by the column's scale alone; otherwise the picture was measured on the board. */
    boolean byColumn();

    /** As engraved. */
    double focalMm(Side side);

    /** A reading at the board, carrier empty, as each of the two stands or will stand. */
    double lux(Side side);

    /** Bursts of the lamp read by a meter that adds up. */
    LagReadings lag(Side side);

    OpeningReadings openings(Side side);

    PupilReadings pupil(Side side);

    ColumnReadings column();

    /** The filter of the accepted print, and that of the next one. */
    GradeFilter filter(Side side);

    /** Whether the paper comes from another box. */
    boolean otherBatch();

    /** A strip through a filter of that side with nothing in the carrier, read by eye. */
    FilterReadings.Light strip(Side side, GradeFilter filter);

    /** One grey on the box before, and on the other. */
    BatchReadings.Pair greys();

    /** Puts the head where the scale shows this, mm. */
    void standsAt(double columnReading);
}
