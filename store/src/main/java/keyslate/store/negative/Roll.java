package keyslate.store.negative;

/** A roll, or an envelope of sheet film; {@code kind} MONOCHROME or COLOUR, sides of one frame in millimetres. */
public record Roll(String id, String title, String film, String kind, double longMm, double shortMm, String addedAt) {}
