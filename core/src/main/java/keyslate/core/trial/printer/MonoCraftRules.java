package keyslate.core.trial.printer;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.quantity.Grade;

/**
 * The plain rules of the craft, for comparison: a strip of equal seconds, the nearest patch and no reading between,
 * patch number times the step, no lag, a filter harder or softer by feel, the same time from 00 to 3½ and twice from 4
 * on.
 */
public final class MonoCraftRules {
    private static final double STEP_SECONDS = 3;
    private static final int PATCHES = 8;
    private static final double NOTICED_PATCHES = 1;

    private MonoCraftRules() {}

    /** The recipe that stands after each piece, until the printer is content. */
    public static List<MonoRecipe> follow(MonoDarkroom darkroom) {
        List<MonoRecipe> stood = new ArrayList<>();
        GradeFilter filter = GradeFilter.G2;
        double step = STEP_SECONDS;
        double seconds = step;
        boolean content = false;
        while (!content && stood.size() < Printers.MOST_PIECES) {
            StripOnPaper strip = StripOnPaper.equalBursts(step, PATCHES);
            double whites = darkroom.whites(filter, strip);
            double blacks = darkroom.blacks(filter, strip);
            if (whites > PATCHES - 1) {
                step *= 2;
            } else if (whites < 0) {
                step /= 2;
            } else {
                seconds = (Math.round(whites) + 1) * step;
                GradeFilter next = byFeel(filter, blacks - whites);
                content = next == filter;
                seconds *= slow(next) / slow(filter);
                filter = next;
            }
            stood.add(new MonoRecipe(filter.grade(), seconds));
        }
        return stood;
    }

    /** A whole filter harder when the blacks come clearly later than the whites hold, softer when earlier. */
    private static GradeFilter byFeel(GradeFilter now, double patchesLate) {
        if (Math.abs(patchesLate) < NOTICED_PATCHES) {
            return now;
        }
        double wanted = now.grade().onScale() + Math.signum(patchesLate);
        return GradeFilter.nearest(Grade.of(Math.max(-1, Math.min(5, wanted))));
    }

    private static double slow(GradeFilter filter) {
        return filter.grade().onScale() >= 4 ? 2 : 1;
    }
}
