package keyslate.server.need;

import keyslate.server.negative.RollViews.NeedView;
import org.jspecify.annotations.Nullable;

/** What the page says of a frame's need and sees of it. */
public final class NeedViews {
    private NeedViews() {}

    /**
     * What a frame needs beside another one: as it is judged, or as the scan of their proof tells.
     *
     * @param againstId the frame it is compared with
     * @param byScan whether the scan says it; then nothing else but a cast is given
     * @param moreStops more light, by eye
     * @param secondLookStops the same at a second look, where there was one: the mean of both counts
     * @param castHue R, Y, G, C, B or M of the cast it has beside the other, left out where it has none; for colour film
     * @param castPoints of that cast, of a viewing filter
     * @param packMagenta what the scan said of its pack, −200 to 200, where the rest is judged by eye; left out with a cast by eye
     * @param packYellow likewise
     * @param contrast how far its tones spread over how far the other's do, 1 when left out; by eye
     */
    public record NeedAsked(
            @Nullable String againstId,
            @Nullable Boolean byScan,
            @Nullable Double moreStops,
            @Nullable Double secondLookStops,
            @Nullable String castHue,
            @Nullable Double castPoints,
            @Nullable Double packMagenta,
            @Nullable Double packYellow,
            @Nullable Double contrast) {}

    /**
     * What the scan of the proof says, not stored, and in words how.
     *
     * @param need as it would be kept
     */
    public record NeedByScan(NeedView need, String headline, String why) {}
}
