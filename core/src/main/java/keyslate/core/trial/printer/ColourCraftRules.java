package keyslate.core.trial.printer;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.colour.CastLook;
import keyslate.core.colour.KitLook;
import keyslate.core.colour.NeutralRemoval;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;

/**
 * The plain rules of the craft, for comparison: a strip of equal seconds, whole test prints, density first, the
 * strongest cast first and one at a time, half the viewing filter, and the time left as it stands when the pack
 * changes.
 */
public final class ColourCraftRules {
    private static final int PATCHES = 8;
    private static final double STEP_SECONDS = 3;
    private static final double HALF = 0.5;
    private static final double GOOD_ENOUGH = 5;
    private static final double NOTICED_STOPS = 0.25;

    private ColourCraftRules() {}

    /** The setting that stands after each piece, times as set, until the printer is content. */
    public static List<Exposed> follow(ColourDarkroom darkroom) {
        List<Exposed> stood = new ArrayList<>();
        FilterPack pack = ColourStart.usual().pack();
        double seconds = strip(darkroom, pack);
        stood.add(new Exposed(pack, ExposureTime.ofSeconds(seconds)));
        boolean content = false;
        while (!content && stood.size() < Printers.MOST_PIECES) {
            Exposed print = new Exposed(pack, ExposureTime.ofSeconds(seconds));
            double dark = darkroom.tooDark(print);
            CastLook cast = KitLook.at(pack, darkroom.throughKit(print));
            boolean densityOff = Math.abs(dark) > NOTICED_STOPS;
            boolean castOff = Math.max(Math.abs(cast.magenta()), Math.abs(cast.yellow())) > GOOD_ENOUGH;
            if (densityOff) {
                seconds *= Stops.of(-dark).toFactor();
            } else if (castOff) {
                boolean magentaFirst = Math.abs(cast.magenta()) >= Math.abs(cast.yellow());
                pack = moved(pack, magentaFirst ? HALF * cast.magenta() : 0, magentaFirst ? 0 : HALF * cast.yellow());
            }
            content = !densityOff && !castOff;
            stood.add(new Exposed(pack, ExposureTime.ofSeconds(seconds)));
        }
        return stood;
    }

    private static double strip(ColourDarkroom darkroom, FilterPack pack) {
        double seen = darkroom.density(pack, StripOnPaper.equalBursts(STEP_SECONDS, PATCHES));
        return (Math.max(0, Math.min(PATCHES - 1, Math.round(seen))) + 1) * STEP_SECONDS;
    }

    private static FilterPack moved(FilterPack pack, double magenta, double yellow) {
        return NeutralRemoval.of(pack.toShift().plus(FilterShift.of(0, magenta, yellow)))
                .pack();
    }
}
