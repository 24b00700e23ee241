package keyslate.core.trial.printer;

import java.util.List;
import keyslate.core.colour.KitLook.Through;
import keyslate.core.colour.Layers;
import keyslate.core.colour.NamedCast.Picture;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.quantity.FilterPack;

/** What a printer in colour sees of the grey card on a print. Times are as the timer is set. */
public interface ColourDarkroom {
    /** Linear red, green and blue of the card, and of unexposed paper beside it, as a scanner gives them. */
    record Scanned(Layers card, Layers white) {}

    /** Where on a strip the card has the right density; counted as in {@link MonoDarkroom}. */
    double density(FilterPack pack, StripOnPaper strip);

    /** The filters through which a patch is grey, the one that helps most first; none when it is neutral. */
    List<Through> throughKit(Exposed patch);

    /** The same with a grey card laid beside it. */
    List<Through> throughKitBesideCard(Exposed patch);

    /** Which of the pictures of six casts in three strengths, shown at a scale, a patch is like, or between which two it lies. */
    List<Picture> named(Exposed patch, double scale);

    /** Which one to three of these pieces are neutral, or have neutral between them. */
    List<Integer> neutralOf(List<Exposed> pieces);

    /** How much too dark a whole print is, stops. */
    double tooDark(Exposed print);

    /** The pack that a colour meter asks for, read at the board before any paper was used, on a kind of scene that it was never read for. */
    FilterPack metered();

    /** A scan of the print. */
    Scanned scan(Exposed print);
}
