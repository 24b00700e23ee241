package keyslate.core.trial.printer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.PatchPick;
import keyslate.core.local.LocalChange;
import keyslate.core.quantity.ExposureTime;

/**
 * One area that wants more or less than the base: each read off strips of its own, the change in stops from the two,
 * the seconds from that.
 */
public final class LocalByStrips {
    private static final GradeFilter FILTER = GradeFilter.G2;
    private static final ExposureTime GUESS = ExposureTime.ofSeconds(10);

    private LocalByStrips() {}

    /** Reads a tone off a strip. */
    private interface Place {
        double on(StripOnPaper strip);
    }

    /** The recipe that stands after each piece: first the strips of the base, then those of the area. */
    public static List<LocalRecipe> follow(MonoDarkroom darkroom) {
        List<LocalRecipe> stood = new ArrayList<>();
        List<ExposureTime> base = read(GUESS, strip -> darkroom.whites(FILTER, strip));
        base.forEach(t -> stood.add(new LocalRecipe(set(t), 0)));
        ExposureTime standing = base.get(base.size() - 1);
        double baseSet = set(standing);
        ExposureTime received =
                ExposureTime.ofSeconds(StripOnPaper.KNOWN_LAG.receivedSeconds(ExposureTime.ofSeconds(baseSet)));
        read(standing, strip -> darkroom.area(FILTER, strip)).forEach(t -> {
            LocalChange change = LocalChange.between(received, t);
            stood.add(new LocalRecipe(baseSet, Printers.tenth(change.secondsOn(received))));
        });
        return stood;
    }

    private static double set(ExposureTime time) {
        return Printers.tenth(StripOnPaper.KNOWN_LAG.toSet(time).inSeconds());
    }

    /** What a tone's strips say after each of them. */
    private static List<ExposureTime> read(ExposureTime guess, Place place) {
        List<ExposureTime> said = new ArrayList<>();
        Optional<CheckStrip> next = Optional.of(CheckStrip.first(guess));
        while (next.isPresent() && said.size() < Printers.MOST_PIECES / 2) {
            StripOnPaper strip = StripOnPaper.covering(next.get());
            List<ExposureTime> totals = strip.totals();
            double seen = place.on(strip);
            PatchPick mark = Marks.at(seen, totals.size());
            said.add(mark.timeOn(totals));
            next = Marks.beyond(seen, totals.size())
                    ? Optional.of(CheckStrip.beyond(totals, seen > 0))
                    : CheckStrip.after(mark.timeOn(totals), mark.uncertaintyOn(totals));
        }
        return said;
    }
}
