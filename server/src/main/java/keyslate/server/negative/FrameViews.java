package keyslate.server.negative;

import java.util.List;
import keyslate.server.negative.RollViews.FrameView;
import keyslate.store.json.StoredMark;
import org.jspecify.annotations.Nullable;

/** What the page sees and says of one frame beyond its place on the proof sheet. */
public final class FrameViews {
    private FrameViews() {}

    /**
     * A frame with what is known of it, and where its readings say that it begins.
     *
     * @param scan the file that its picture was made from; left out when it was never scanned
     */
    public record FrameDetail(
            FrameView frame,
            NotesView notes,
            @Nullable ScanView scan,
            @Nullable ReadingAdvice advice) {}

    /**
     * The file that the picture of a frame was made from.
     *
     * @param mediaType image/jpeg, image/png or image/tiff
     * @param widthPx of the file, upright
     * @param heightPx of the file, upright
     * @param profiled whether it says what its colours mean; those of others are taken for sRGB
     * @param negative whether it was taken for the scan of a negative, and turned
     * @param turnable whether it may be taken for the other
     */
    public record ScanView(
            String mediaType, int widthPx, int heightPx, boolean profiled, boolean negative, boolean turnable) {}

    /**
     * What the scan of a frame shows.
     *
     * @param negative whether it shows the negative, and not the positive
     */
    public record ScanReading(boolean negative) {}

    /**
     * What is known of a negative; empty or left out where nothing was recorded.
     *
     * @param people who is in the picture
     * @param consent NOT_ASKED, GIVEN or REFUSED
     * @param beyondRescue whether no paper is worth it
     * @param defects what is wrong with it
     * @param baseDensity diffuse density of base and fog, as read
     * @param shadowDensity diffuse density of the thinnest tone that must not be black, as read, base and fog in it
     * @param highlightDensity diffuse density of the densest tone that must not be white, likewise
     * @param reader what they were read with
     * @param marks dust, hairs and scratches on the film
     */
    public record NotesView(
            @Nullable String people,
            @Nullable String consent,
            @Nullable String defects,
            @Nullable Boolean beyondRescue,
            @Nullable Double baseDensity,
            @Nullable Double shadowDensity,
            @Nullable Double highlightDensity,
            @Nullable String reader,
            @Nullable List<StoredMark> marks) {}

    /**
     * What of a frame is changed; what is left out stays, and its notes are given whole.
     *
     * @param upright whether the picture stands upright; for frames that were never scanned
     * @param rating PRINT, MAYBE, NO, or NONE to take it back
     */
    public record FrameChange(
            @Nullable String title,
            @Nullable String caption,
            @Nullable Boolean upright,
            @Nullable String rating,
            @Nullable NotesView notes) {}

    /**
     * Where the densities of a negative say that it begins (FLM-02).
     *
     * @param isoRange that the paper needs
     * @param light the light it begins with
     */
    public record ReadingAdvice(double isoRange, String light, String headline, String why) {}
}
