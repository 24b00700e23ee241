package keyslate.core.trial.printer;

import keyslate.core.exposure.PatchPick;

/** Places seen on a strip, as marks. */
final class Marks {
    private Marks() {}

    /** The mark for a place on a strip of so many patches; a place beyond an end is marked on it. */
    static PatchPick at(double place, int patches) {
        return PatchPick.ofPosition(Math.max(0, Math.min(patches - 1, place)));
    }

    /** Whether a place lies clearly beyond the first or the last patch. */
    static boolean beyond(double place, int patches) {
        return place < -0.5 || place > patches - 0.5;
    }
}
