package keyslate.core.film;

import keyslate.core.quantity.Length;

/**
 * Usual formats with the picture's sides and how a film of them is cut. Sides are those of the window of usual cameras, a
 * millimetre more or less; the owner's own are entered as they are.
 */
public enum FilmFormat {
    SMALL("24 × 36 mm", 36, 24, 36, 6),
    HALF("18 × 24 mm", 24, 18, 72, 12),
    SIX_FOUR_FIVE("6 × 4.5 cm", 56, 41.5, 15, 5),
    SIX_SIX("6 × 6 cm", 56, 56, 12, 3),
    SIX_SEVEN("6 × 7 cm", 70, 56, 10, 2),
    SIX_EIGHT("6 × 8 cm", 76, 56, 9, 3),
    SIX_NINE("6 × 9 cm", 84, 56, 8, 2),
    FOUR_FIVE("Sheet film 4 × 5 in", 120, 95, 1, 1),
    FIVE_SEVEN("Sheet film 5 × 7 in", 170, 120, 1, 1),
    EIGHT_TEN("Sheet film 8 × 10 in", 245, 194, 1, 1);

    private final String label;
    private final double longMm;
    private final double shortMm;
    private final int frames;
    private final int perStrip;

    FilmFormat(String label, double longMm, double shortMm, int frames, int perStrip) {
        this.label = label;
        this.longMm = longMm;
        this.shortMm = shortMm;
        this.frames = frames;
        this.perStrip = perStrip;
    }

    public String label() {
        return label;
    }

    public Length longSide() {
        return Length.ofMm(longMm);
    }

    public Length shortSide() {
        return Length.ofMm(shortMm);
    }

    /** Pictures on a usual film of it. */
    public int usualFrames() {
        return frames;
    }

    /** Pictures in a strip as its sleeves hold them. */
    public int usualPerStrip() {
        return perStrip;
    }
}
