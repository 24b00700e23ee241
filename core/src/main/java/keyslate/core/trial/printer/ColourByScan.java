package keyslate.core.trial.printer;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.colour.ColourBalance;
import keyslate.core.colour.ColourBalance.Printed;
import keyslate.core.colour.ColourDifference;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.colour.ViewingLight;
import keyslate.core.quantity.QuantityException;
import keyslate.core.reading.ScanColour;

/**
 * A test print, its grey card read from a scan, the correction through the curve; from the second print on the
 * correction learns from the first.
 */
public final class ColourByScan {
    private static final double DONE_DELTA_E = 1;
    private static final double PALEST = 90;
    private static final double DARKEST = 10;
    private static final DyeImage WANTED =
            DyeImage.looking(ColourBalance.lightnessOf(ColourStart.WANTED_DENSITY), 0, 0, ViewingLight.USUAL);

    private ColourByScan() {}

    /** The setting that stands after each print, times as set, until the advice says done. */
    public static List<Exposed> follow(ColourDarkroom darkroom) {
        List<Exposed> stood = new ArrayList<>();
        Exposed standing = ColourStart.usual();
        Printed before = null;
        boolean done = false;
        while (!done && stood.size() < Printers.MOST_PIECES) {
            ColourDarkroom.Scanned scanned = darkroom.scan(ColourStart.set(standing));
            DyeImage.Appearance seen = ScanColour.of(scanned.card(), scanned.white());
            Printed now = new Printed(dyes(seen), standing.pack(), standing.time());
            done = ColourDifference.of(seen, WANTED.in(ViewingLight.USUAL)) <= DONE_DELTA_E;
            if (!done) {
                ColourBalance next = before == null
                        ? ColourBalance.corrected(now.look(), WANTED, now.pack(), now.time(), FilterSet.DICHROIC)
                        : ColourBalance.correctedBySecant(before, now, WANTED, FilterSet.DICHROIC)
                                .balance();
                standing = new Exposed(next.pack(), next.time());
                before = now;
            }
            stood.add(ColourStart.set(standing));
        }
        return stood;
    }

    /** A print so pale or dark that its look is outside the dyes is taken for the neutral of its lightness. */
    private static DyeImage dyes(DyeImage.Appearance seen) {
        try {
            return DyeImage.looking(seen.lightness(), seen.a(), seen.b(), ViewingLight.USUAL);
        } catch (QuantityException e) {
            double lightness = Math.max(DARKEST, Math.min(PALEST, seen.lightness()));
            return DyeImage.looking(lightness, 0, 0, ViewingLight.USUAL);
        }
    }
}
