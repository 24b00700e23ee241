package keyslate.server.decide;

import java.util.List;
import java.util.Objects;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.exposure.PatchPick;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.server.web.RefusedException;
import org.jspecify.annotations.Nullable;

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

    /** What stands now, as long as it is paper of the same kind and contrast; else what stood for the sheet: it tells of the paper that it is on. */
    Rig onItsPaper() {
        return now.paper().isLike(before().paper()) ? now : before();
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

    /** The light that the print is read in: of one row where it was restricted to that, else of the base exposure. */
    Light light() {
        return sheet.patches()
                .filter(p -> !p.differInLight())
                .map(p -> p.all().get(0).patch().step().light())
                .orElseGet(() -> before().light());
    }

    /** How many rows of patches in different lights it has; 1 as a rule. */
    int rows() {
        return sheet.patches().map(p -> p.rows().size()).orElse(1);
    }

    /**
     * One of its rows as a sheet of its own; itself where it has but one.
     *
     * @param number from 1; none = the first
     */
    Hung row(@Nullable Integer number) {
        int row = number == null ? 1 : number;
        if (row < 1 || row > rows()) {
            throw RefusedException.of(
                    "/marks/row",
                    "E_RANGE",
                    rows() == 1 ? "It has one row of patches." : "It has " + rows() + " rows of patches.");
        }
        return rows() == 1 ? this : new Hung(sheet.row(row), now, cord);
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
