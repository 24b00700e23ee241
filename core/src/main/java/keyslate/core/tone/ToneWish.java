package keyslate.core.tone;

/** What a named tone should become in the print, as net density of the pivot tones: highlight 0.10, middle 0.60, shadow 1.54. */
public enum ToneWish {
    /** As light as a tone can be that still shows detail: a white that holds. */
    WHITE_HOLDS(0.10),
    MIDDLE(0.60),
    /** As dark as the paper tells apart, or darker. */
    TRUE_BLACK(1.54),
    /** A density of the printer's own. */
    OWN(Double.NaN);

    private final double net;

    ToneWish(double net) {
        this.net = net;
    }

    /** The density over the paper's white; not a number where it is the printer's own. */
    public double net() {
        return net;
    }
}
