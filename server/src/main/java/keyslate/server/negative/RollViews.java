package keyslate.server.negative;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the page sees of rolls and frames; lengths in millimetres. */
public final class RollViews {
    private RollViews() {}

    /** A roll with its frames; {@code kind} MONOCHROME or COLOUR. */
    public record RollView(
            String id, String title, String film, String kind, double longMm, double shortMm, List<FrameView> frames) {}

    /** A frame; width and height as the picture stands. */
    public record FrameView(
            String id,
            String rollId,
            String rollTitle,
            String film,
            String filmKind,
            String number,
            String title,
            String caption,
            double widthMm,
            double heightMm,
            boolean hasPicture,
            List<PrintedBefore> printedBefore) {}

    /** A slate that was made from a frame before, and its standing recipe in a line. */
    public record PrintedBefore(String slateId, String title, String recipeLine) {}

    /** A roll to be added; monochrome when no kind is given. */
    public record NewRoll(
            @Nullable String title,
            @Nullable String film,
            @Nullable String kind,
            @Nullable Double longMm,
            @Nullable Double shortMm) {}
}
