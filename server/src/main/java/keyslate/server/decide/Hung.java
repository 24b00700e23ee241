package keyslate.server.decide;

import java.util.List;
import java.util.Objects;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.exposure.PatchPick;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.server.sheet.SheetViews.SheetView;

/**
 * A sheet that hangs, with the rig that stood for it and the one that stands now.
 *
 * @param sheet as it hangs
 * @param now what stands for the next sheet
 * @param cord all sheets of its slate
 */
record Hung(OnCord sheet, Rig now, List<OnCord> cord) {
    Hung {
        cord = List.copyOf(cord);
    }

    /** Another sheet of the slate, with what stands now. */
    Hung other(OnCord on) {
        return new Hung(on, now, cord);
    }

    SheetView view() {
        return sheet.view();
    }

    Rig before() {
        return sheet.rig();
    }

    String id() {
        return view().id();
    }

    /** The time that was right on the sheet: on a strip that was read the one that was marked, else what it was exposed with. */
    ExposureTime time() {
        if (view().patches().size() == 1) {
            return oneSheet();
        }
        return sheet.exposed().decisions().stream()
                .map(d -> d.seen().rightAt())
                .filter(Objects::nonNull)
                .reduce((first, last) -> last)
                .map(at -> PatchPick.ofPosition(at).timeOn(Readings.totals(this)))
                .orElseGet(() -> before().base());
    }

    /** What one sheet got, and what was said it needs more. */
    private ExposureTime oneSheet() {
        double more = sheet.exposed().decisions().stream()
                .map(d -> d.seen().moreStops())
                .filter(Objects::nonNull)
                .reduce((first, last) -> last)
                .orElse(0.0);
        return Readings.totals(this).get(0).plus(Stops.of(more));
    }

    /** A time that was right on the sheet, at the size or distance (SIZ-14) and the opening (EXP-06) that stand now. */
    ExposureTime carried(ExposureTime time) {
        double size = before().projection().timeFactor(now.projection());
        return ApertureTrade.timeAt(time.times(size), before().opening(), now.opening());
    }
}
