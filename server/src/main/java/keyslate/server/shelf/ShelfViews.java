package keyslate.server.shelf;

import java.util.List;
import keyslate.server.slate.SlateViews.SlateCard;

/** What the page sees of the shelf. */
public final class ShelfViews {
    private ShelfViews() {}

    /**
     * Some slates, the one touched last first.
     *
     * @param moreSlates how many follow
     */
    public record SlatePage(List<SlateCard> slates, int moreSlates) {}

    /** Whether it is to be put away, or taken out again. */
    public record PutAway(boolean away) {}
}
