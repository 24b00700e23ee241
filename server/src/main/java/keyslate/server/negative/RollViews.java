package keyslate.server.negative;

import java.util.List;
import keyslate.core.film.FilmFormat;
import org.jspecify.annotations.Nullable;

/** What the page sees of rolls and frames; lengths in millimetres. */
public final class RollViews {
    private RollViews() {}

    /**
     * A roll with its frames; {@code kind} MONOCHROME or COLOUR.
     *
     * @param stripFrames how many frames a strip of it has
     * @param oddFirst whether the odd strip is the first one
     * @param strips how many frames each strip has, in the order of the frames
     * @param proofs its proofs, the oldest first
     * @param putAwayAt since when it is put away
     * @param deletable whether no paper was exposed for any frame of it
     */
    public record RollView(
            String id,
            String title,
            String film,
            String kind,
            double longMm,
            double shortMm,
            int stripFrames,
            boolean oddFirst,
            List<Integer> strips,
            List<FrameView> frames,
            List<PrintedBefore> proofs,
            @Nullable String putAwayAt,
            boolean deletable) {}

    /**
     * Some rolls, the newest first.
     *
     * @param moreRolls how many older ones follow
     * @param putAway how many are put away
     */
    public record RollPage(List<RollView> rolls, int moreRolls, int putAway) {}

    /**
     * A frame; width and height as the picture stands.
     *
     * @param title its subject, empty while nobody has named it
     * @param inColour whether its print can have a cast
     * @param rating PRINT, MAYBE or NO; left out when nobody has decided
     * @param beyondRescue whether no paper is worth it
     * @param toBeAsked whether someone is in the picture who has not agreed to be shown
     * @param need what it needs beside another frame; left out while nobody compared them
     */
    public record FrameView(
            String id,
            String rollId,
            String rollTitle,
            String film,
            String filmKind,
            boolean inColour,
            String number,
            String title,
            String caption,
            double widthMm,
            double heightMm,
            boolean hasPicture,
            @Nullable String rating,
            boolean beyondRescue,
            boolean toBeAsked,
            @Nullable NeedView need,
            List<PrintedBefore> printedBefore) {}

    /**
     * What a frame needs in a print beside another frame, as their proof shows it.
     *
     * @param againstId the frame it was compared with
     * @param againstNumber of that frame
     * @param moreStops more light
     * @param limitStops the 95 % limit of that
     * @param castHue R, Y, G, C, B or M of the cast it has beside the other; left out where it has none
     * @param castPoints of that cast, of a viewing filter
     * @param packMagenta what its pack has more of magenta by the scan of their proof, points; left out where the scan does not tell
     * @param packYellow likewise of yellow
     * @param contrast how far its tones spread over how far the other's do
     * @param source EYE or SCAN
     * @param secondLookHelps whether it rests on one look of the eye alone
     */
    public record NeedView(
            String againstId,
            String againstNumber,
            double moreStops,
            double limitStops,
            @Nullable String castHue,
            @Nullable Double castPoints,
            @Nullable Double packMagenta,
            @Nullable Double packYellow,
            double contrast,
            String source,
            boolean secondLookHelps) {}

    /**
     * A slate that was made from a frame before, and its standing recipe in a line.
     *
     * @param accepted whether a print of it was accepted
     * @param pictureId of the accepted print, where there is one
     */
    public record PrintedBefore(
            String slateId,
            String title,
            String recipeLine,
            boolean accepted,
            @Nullable String pictureId) {}

    /**
     * A roll to be added; monochrome when no kind is given.
     *
     * @param frames how many there are on it, 0 when they are added one by one
     * @param firstNumber of the first frame, 1 when left out
     * @param stripFrames how many frames a strip has, 6 when left out
     * @param oddFirst whether the odd strip is the first one
     */
    public record NewRoll(
            @Nullable String title,
            @Nullable String film,
            @Nullable String kind,
            @Nullable Double longMm,
            @Nullable Double shortMm,
            @Nullable Integer frames,
            @Nullable Integer firstNumber,
            @Nullable Integer stripFrames,
            @Nullable Boolean oddFirst) {}

    /**
     * What of a roll is changed; what is left out stays.
     *
     * @param stripFrames how many frames a strip of it has
     * @param oddFirst whether the odd strip is the first one
     * @param history what is known of the film, given whole
     */
    public record RollChange(
            @Nullable String title,
            @Nullable String film,
            @Nullable Integer stripFrames,
            @Nullable Boolean oddFirst,
            @Nullable HistoryView history) {}

    /**
     * What is known of a whole film; empty or left out where nothing was recorded.
     *
     * @param takenOn a day, as 2026-11-26
     * @param camera it was taken with
     * @param sleeve where it lies
     * @param nominalIso speed on its box
     * @param exposedIso speed it was exposed for
     * @param development how it was developed
     */
    public record HistoryView(
            @Nullable String takenOn,
            @Nullable String camera,
            @Nullable String sleeve,
            @Nullable Double nominalIso,
            @Nullable Double exposedIso,
            @Nullable String development,
            @Nullable String remark) {}

    /**
     * A usual film format.
     *
     * @param frames on a film of it
     * @param stripFrames how many frames a strip of it has
     */
    public record FormatView(String id, String label, double longMm, double shortMm, int frames, int stripFrames) {
        static FormatView of(FilmFormat format) {
            return new FormatView(
                    format.name(),
                    format.label(),
                    format.longSide().inMm(),
                    format.shortSide().inMm(),
                    format.usualFrames(),
                    format.usualPerStrip());
        }
    }
}
