package keyslate.core.trial.printer;

import java.util.List;
import keyslate.core.exposure.PatchPick;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.Looks;
import keyslate.core.reading.SlateEvidence.Bound;
import keyslate.core.reading.SlateEvidence.Mark;
import keyslate.core.reading.SlateEvidence.Tone;
import keyslate.core.rescale.Links;
import keyslate.core.script.SheetPatches;

/**
 * What was marked on a test, with the opening it was made at.
 *
 * @param time received
 * @param limit 95 %
 */
record SeenMark(Tone tone, Light light, ExposureTime time, Stops limit, int lampOns, LensOfTests lens, Bound bound) {
    /** A mark at the last patch, or the first, may lie beyond. */
    private static final double AT_AN_END = 2;

    /** A mark on a row of patches. */
    static SeenMark on(
            Tone tone, Light row, Looks looks, Bound bound, List<SheetPatches.Patch> patches, LensOfTests lens) {
        List<ExposureTime> totals = totals(patches);
        double place = looks.place();
        PatchPick pick = Marks.at(place, totals.size());
        boolean end = pick.weight() == 0 && (pick.index() == 0 || pick.index() == totals.size() - 1);
        Stops half = pick.uncertaintyOn(totals);
        return new SeenMark(
                tone,
                row,
                pick.timeOn(totals),
                looks.limit(end ? half.times(AT_AN_END) : half),
                patches.get((int) Math.round(place < 0 ? 0 : Math.min(patches.size() - 1, place)))
                        .lampOns(),
                lens,
                bound);
    }

    static List<ExposureTime> totals(List<SheetPatches.Patch> patches) {
        return patches.stream()
                .map(p -> ExposureTime.ofSeconds(p.receivedSeconds()))
                .toList();
    }

    /** The same as a mark at another opening, by the engraved numbers. */
    Mark at(LensOfTests now) {
        double opened = lens.equals(now) ? 0 : Math.hypot(Links.OPENING.limit(), Links.OPENING.limit());
        return new Mark(
                tone,
                light,
                time.plus(now.moreThan(lens)),
                Stops.of(Math.hypot(limit.inStops(), opened)),
                lampOns / time.inSeconds(),
                bound);
    }
}
