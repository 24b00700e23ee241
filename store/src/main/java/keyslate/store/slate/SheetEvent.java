package keyslate.store.slate;

/**
 * What happened to a sheet after its light.
 *
 * @param place from 1, in order
 * @param kind DRUM_CLOSED, IN_DEVELOPER, IN_STOP, IN_FIXER or GLANCE
 */
public record SheetEvent(String sheetId, int place, String kind, String happenedAt) {
    /** The drum is closed: light may come on again. */
    public static final String DRUM_CLOSED = "DRUM_CLOSED";
    /** The black screen was lit for a look. */
    public static final String GLANCE = "GLANCE";
}
