package keyslate.core.darkroom;

import keyslate.core.local.AreaMask;

/** A simulated box of paper with its developer and scanner, whose true constants nobody is told; one for each kind of paper. */
public interface StandInPaper {
    /**
     * What the scanner shows of a sheet.
     *
     * @param box names the batch: the same box acts the same
     * @param developerUsed share of the developer's capacity that is used up, 0 to 1.2
     * @param noise makes each scan's noise its own
     */
    Look scan(Negative negative, AreaMask.View view, SheetLight light, long box, double developerUsed, long noise);

    /** What the sheet itself looks like, with no scanner before it. */
    Look seen(Negative negative, AreaMask.View view, SheetLight light, long box, double developerUsed);

    /** How much longer the lamp is really dead than is assumed, seconds. */
    double LAG_OFFSET_SECONDS = 0.03;
}
