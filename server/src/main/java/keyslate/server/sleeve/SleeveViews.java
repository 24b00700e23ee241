package keyslate.server.sleeve;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the page sees and says of the scan of a whole sleeve or proof sheet. */
public final class SleeveViews {
    private SleeveViews() {}

    /**
     * The scan of a whole sheet.
     *
     * @param pictureId of the scan as it is
     * @param widthPx of the file, upright
     * @param heightPx of the file, upright
     * @param profiled whether it says what its colours mean; those of others are taken for sRGB
     */
    public record SleeveView(String pictureId, int widthPx, int heightPx, boolean profiled) {}

    /**
     * Where the frames are looked for.
     *
     * @param corners of the outermost frames, eight numbers: x and y of each, clockwise from the upper left
     * @param gapAlong between two frames of a strip, share of a frame's length
     * @param gapAcross between two strips, share of a frame's breadth
     */
    public record GridAsked(
            @Nullable List<Double> corners,
            @Nullable Double gapAlong,
            @Nullable Double gapAcross) {}

    /**
     * A frame in the grid.
     *
     * @param hasPicture whether it has a picture already, which a cut takes the place of
     * @param upright whether it is to stand upright, though it lies along the strip
     * @param corners of the frame in the scan, eight numbers
     */
    public record GridFrame(String frameId, String number, boolean hasPicture, boolean upright, List<Double> corners) {}

    /**
     * A frame to be cut from the scan of its sheet.
     *
     * @param corners of the frame in the scan, eight numbers
     * @param negative whether the scan shows negatives; left out, it is guessed by how the frame looks
     * @param headsRight whether the head of an upright frame lies at the right in the scan; at the left when left out
     */
    public record CutAsked(
            @Nullable List<Double> corners,
            @Nullable Boolean negative,
            @Nullable Boolean headsRight) {}
}
