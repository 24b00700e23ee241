package keyslate.core.trial.printer;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.colour.CardSpot;
import keyslate.core.colour.CastEvidence;
import keyslate.core.colour.CastEvidence.Estimate;
import keyslate.core.colour.CastLook;
import keyslate.core.colour.CastWay;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.ScanColour;

/** Test prints with a grey card in them, measured in a scan of each: pack and time at once, all prints weighed together. */
public final class ColourByScan {
    private static final double DONE_STOPS = 1.0 / 24;

    private ColourByScan() {}

    /** The setting that stands after each print, times as set, until the advice says done. */
    public static List<Exposed> follow(ColourDarkroom darkroom) {
        List<Exposed> stood = new ArrayList<>();
        List<CastLook> looks = new ArrayList<>();
        Exposed standing = ColourStart.usual();
        looks.add(CastLook.of(standing.pack(), 0, 0, CastWay.START).open(CastWay.GUESSED_POINTS));
        boolean done = false;
        while (!done && stood.size() < Printers.MOST_PIECES) {
            ColourDarkroom.Scanned scanned = darkroom.scan(ColourStart.set(standing));
            CardSpot card = CardSpot.of(ScanColour.of(scanned.card(), scanned.white()), FilterSet.DICHROIC);
            looks.add(card.look(standing.pack()));
            Estimate colour = CastEvidence.weighed(looks, List.of());
            done = colour.isSettled() && Math.abs(card.more().inStops()) < DONE_STOPS;
            standing = next(standing, card.more(), colour.pack());
            stood.add(ColourStart.set(standing));
        }
        return stood;
    }

    private static Exposed next(Exposed standing, Stops more, FilterPack pack) {
        ExposureTime time = standing.time()
                .plus(more)
                .times(FilterSet.DICHROIC.timeFactor(standing.pack(), pack, FilterSet.Weights.VISUAL, 0, 0));
        return new Exposed(pack, time);
    }
}
