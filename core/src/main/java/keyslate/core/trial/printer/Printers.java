package keyslate.core.trial.printer;

/** What all simulated printers keep to. */
final class Printers {
    /** Most pieces anybody would make before giving up. */
    static final int MOST_PIECES = 8;

    private Printers() {}

    /** As a timer of tenths can be set. */
    static double tenth(double seconds) {
        return Math.round(10 * seconds) / 10.0;
    }
}
