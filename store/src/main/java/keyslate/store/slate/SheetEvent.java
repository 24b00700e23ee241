package keyslate.store.slate;

/**
 * What happened to a sheet besides its light.
 *
 * @param place from 1, in order
 * @param kind one of those named below
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

    public static final String IN_DEVELOPER = "IN_DEVELOPER";
    public static final String IN_STOP = "IN_STOP";
    public static final String IN_FIXER = "IN_FIXER";
    /** White light was put on against advice. */
    public static final String WHITE_LIGHT = "WHITE_LIGHT";
    /** The alarm: people first. */
    public static final String ALARM = "ALARM";
    /** The printer closed all paper away and left. */
    public static final String LEFT = "LEFT";

    public static final String CAME_BACK = "CAME_BACK";
    /** A hand slipped. */
    public static final String SLIP = "SLIP";

    public static final String GOOD = "GOOD";
    /** It is to be made again. */
    public static final String AGAIN = "AGAIN";
    /** The last answer before it that still stood does not count. */
    public static final String TAKEN_BACK = "TAKEN_BACK";

    /** Whether it says where the paper is, and so can be taken back. */
    public boolean isAnswer() {
        return switch (kind) {
            case PAPER_BOXED, PAPER_TAKEN, DRUM_CLOSED, IN_DEVELOPER, IN_STOP, IN_FIXER, LEFT, CAME_BACK -> true;
            default -> false;
        };
    }
}
