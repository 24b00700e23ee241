package keyslate.core.trial.printer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.SplitExposure;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.reading.StripReading;

/**
 * Strips, marks and the advice on them, followed to the letter: a strip of thirds about a plain guess, a check strip
 * where the reading is not sure enough, the print. As a split the same reading is exposed through both filters, so
 * that the grade need not be one of the set.
 */
public final class MonoByStrips {
    private static final ExposureTime GUESS = ExposureTime.ofSeconds(10);
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();

    private MonoByStrips() {}

    /** The recipe that stands after each piece, until the advice says done. */
    public static List<MonoRecipe> follow(MonoDarkroom darkroom, boolean split) {
        List<MonoRecipe> stood = new ArrayList<>();
        GradeFilter filter = GradeFilter.G2;
        Optional<CheckStrip> next = Optional.of(CheckStrip.first(GUESS));
        MonoRecipe standing = standing(filter, filter.grade(), GUESS, split);
        while (next.isPresent() && stood.size() < Printers.MOST_PIECES) {
            StripOnPaper strip = StripOnPaper.covering(next.get());
            List<ExposureTime> totals = strip.totals();
            double whites = darkroom.whites(filter, strip);
            double blacks = darkroom.blacks(filter, strip);
            if (Marks.beyond(whites, totals.size())) {
                next = Optional.of(CheckStrip.beyond(totals, whites > 0));
            } else {
                StripReading reading = StripReading.of(
                        PAPER,
                        filter,
                        totals,
                        Marks.at(whites, totals.size()),
                        Optional.of(Marks.at(blacks, totals.size())));
                filter = reading.filter();
                standing = standing(filter, exact(reading), reading.time(), split);
                next = reading.check();
            }
            stood.add(standing);
        }
        return stood;
    }

    private static Grade exact(StripReading reading) {
        return reading.outcome()
                .filter(GradeAdvice.Reached.class::isInstance)
                .map(o -> ((GradeAdvice.Reached) o).exactGrade())
                .orElse(reading.filter().grade());
    }

    private static MonoRecipe standing(GradeFilter filter, Grade exact, ExposureTime time, boolean split) {
        if (!split) {
            double set = StripOnPaper.KNOWN_LAG.toSet(time).inSeconds();
            return new MonoRecipe(filter.grade(), Printers.tenth(set));
        }
        // The whites stay while the grade moves from the filter to the exact one; then the pair that is worth it.
        ExposureTime held = time.times(PAPER.pivotFactor(filter.grade(), exact, VariableContrastPaper.HIGHLIGHT_NET));
        SplitExposure two = new SplitExposure(PAPER, GradeFilter.G00.grade(), GradeFilter.G5.grade());
        SplitExposure.Pair pair = two.of(exact, held);
        SplitExposure.Single worth =
                two.equivalent(Printers.tenth(pair.softSeconds()), Printers.tenth(pair.hardSeconds()));
        return new MonoRecipe(
                worth.grade(), StripOnPaper.KNOWN_LAG.toSet(worth.time()).inSeconds());
    }
}
