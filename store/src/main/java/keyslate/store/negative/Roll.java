package keyslate.store.negative;

/** A roll, or an envelope of sheet film; sides of one frame in millimetres. */
public record Roll(String id, String title, String film, double longMm, double shortMm, String addedAt) {}
