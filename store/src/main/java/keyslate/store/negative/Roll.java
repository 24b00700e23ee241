package keyslate.store.negative;

/**
 * A roll, or an envelope of sheet film; {@code kind} MONOCHROME or COLOUR, sides of one frame in millimetres.
 *
 * @param stripFrames how many frames a strip has
 * @param oddFirst whether the odd strip is the first one
 * @param putAwayAt since when it is left out of Rolls, null while it is there
 */
public record Roll(
        String id,
        String title,
        String film,
        String kind,
        double longMm,
        double shortMm,
        int stripFrames,
        boolean oddFirst,
        String addedAt,
        String putAwayAt) {}
