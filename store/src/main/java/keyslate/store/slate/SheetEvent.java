package keyslate.store.slate;

/**
 * What happened to a sheet besides its light.
 *
 * @param place from 1, in order
 * @param kind PAPER_BOXED, PAPER_TAKEN, DRUM_CLOSED, IN_DEVELOPER, IN_STOP, IN_FIXER or GLANCE
 */
public record SheetEvent(String sheetId, int place, String kind, String happenedAt) {
    /** The paper lies in its box, between two exposures: light may come on. */
    public static final String PAPER_BOXED = "PAPER_BOXED";
    /** It is dark, and the paper comes out of its box again. */
    public static final String PAPER_TAKEN = "PAPER_TAKEN";
    /** The drum is closed: light may come on again. */
    public static final String DRUM_CLOSED = "DRUM_CLOSED";
    /** The black screen was lit for a look. */
    public static final String GLANCE = "GLANCE";
}
