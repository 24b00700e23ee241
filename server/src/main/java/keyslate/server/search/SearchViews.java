package keyslate.server.search;

import java.util.List;
import keyslate.server.negative.RollViews.FrameView;

/** What the page sees of a search. */
public final class SearchViews {
    private SearchViews() {}

    /**
     * Some of the frames found, those of the newest roll first.
     *
     * @param count how many there are in all
     */
    public record FoundPage(List<FrameView> frames, int count) {}

    /**
     * What can be chosen instead of typed: what occurs.
     *
     * @param films as they are written at rolls
     * @param papers that slates stand on
     * @param sizes of sheets that slates stand on, the largest first
     */
    public record SearchChoices(List<String> films, List<String> papers, List<SheetSize> sizes) {}

    /** A sheet by its sides in millimetres; {@code id} is how it is asked for. */
    public record SheetSize(String id, String label) {}
}
