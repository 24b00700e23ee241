package keyslate.store.negative;

import java.util.List;
import keyslate.store.json.StoredMark;

/**
 * What is known of a negative beyond its line; empty texts and nulls where nothing was recorded.
 *
 * @param people who is in the picture
 * @param consent NOT_ASKED, GIVEN or REFUSED
 * @param beyondRescue whether no paper is worth it
 * @param baseDensity diffuse density of the film's base and fog; shadow and highlight alike, as read
 * @param marks dust, hairs and scratches on the film
 */
public record FrameNotes(
        String frameId,
        String people,
        String consent,
        String defects,
        boolean beyondRescue,
        Double baseDensity,
        Double shadowDensity,
        Double highlightDensity,
        String reader,
        List<StoredMark> marks) {
    public static final String NOT_ASKED = "NOT_ASKED";
    public static final String GIVEN = "GIVEN";
    public static final String REFUSED = "REFUSED";

    public FrameNotes {
        marks = List.copyOf(marks);
    }

    /** Nothing recorded. */
    public static FrameNotes none(String frameId) {
        return new FrameNotes(frameId, "", NOT_ASKED, "", false, null, null, null, "", List.of());
    }

    /** Whether someone is in the picture who has not agreed to be shown. */
    public boolean isToBeAsked() {
        return !people.isEmpty() && !GIVEN.equals(consent);
    }
}
