package keyslate.server.cutting;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is to be cut, and how. */
public final class CuttingViews {
    private CuttingViews() {}

    /**
     * Pieces that are wanted of each sheet.
     *
     * @param paperId of the box, whose sheet it is
     * @param wanted one to four sizes
     * @param sheets that are cut alike, 1 to 100; one when left out
     * @param firstMm a fence the first cut was made at, or is to be; the best when left out
     */
    public record CuttingAsked(
            @Nullable String paperId,
            @Nullable List<WantedAsked> wanted,
            @Nullable Integer sheets,
            @Nullable Double firstMm) {}

    /** So many pieces of one size from each sheet. */
    public record WantedAsked(
            @Nullable String name,
            @Nullable Double longMm,
            @Nullable Double shortMm,
            @Nullable Integer count) {}

    /**
     * A plan of cuts.
     *
     * @param line to memorise: the fence's distances in their order
     * @param headline how many settings and cuts
     * @param proven whether no plan needs fewer settings
     * @param steps in order
     * @param places every piece and offcut on the sheet, for the drawing
     * @param usedShare of the sheet that becomes pieces
     * @param offcuts what is left over of all sheets, in words
     * @param spoils what must not come first, in words
     * @param others fences that may come first as well, with more cuts or other offcuts
     * @param feeds how the pieces go into drums and machines on the shelf, in words
     * @param unit of the fence in words and speech: mm, cm or in
     * @param room the light this paper is cut in: SAFELIGHT or BLACKOUT
     * @param cost of the sheets in the user's own money; left out without a price of the paper
     */
    public record CutView(
            double sheetWidthMm,
            double sheetHeightMm,
            String line,
            String headline,
            boolean proven,
            List<FenceStep> steps,
            List<CutPlace> places,
            double usedShare,
            List<String> offcuts,
            List<String> spoils,
            List<Beginning> others,
            List<String> feeds,
            String unit,
            String room,
            @Nullable Double cost) {}

    /**
     * A fence the first cut may be made at as well.
     *
     * @param fenceMm distance
     * @param text in the unit the user likes
     */
    public record Beginning(double fenceMm, String text) {}

    /**
     * One setting of the fence.
     *
     * @param fenceMm distance
     * @param fence the same in the unit the user likes
     * @param again whether it stands there already
     * @param words what is cut
     * @param cuts with all sheets
     * @param said clips for the dark
     */
    public record FenceStep(double fenceMm, String fence, boolean again, String words, int cuts, List<String> said) {}

    /**
     * A piece on the sheet.
     *
     * @param name empty for an offcut
     * @param leftMm from the sheet's left
     * @param topMm from its top
     */
    public record CutPlace(String name, double leftMm, double topMm, double widthMm, double heightMm) {}

    /**
     * What was cut, into the box.
     *
     * @param wanted what was cut from each sheet
     * @param sheets that are gone from it
     */
    public record CutDone(
            @Nullable String paperId,
            @Nullable List<WantedAsked> wanted,
            @Nullable Integer sheets) {}
}
