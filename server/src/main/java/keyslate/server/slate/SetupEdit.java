package keyslate.server.slate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import keyslate.core.contrast.GradeAdvice;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.NextRecipe;
import keyslate.server.Show;
import keyslate.server.slate.SlateRequests.RecipeChange;
import keyslate.server.web.FieldErrors;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import keyslate.store.slate.Recipe.Setup;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The edit of what stands on the enlarger, with the time it drags along. */
@Component
class SetupEdit {
    private static final double WIDEST_BORDER_MM = 200;

    private final StoresRepository stores;
    private final VariableContrastPaper paper;

    SetupEdit(StoresRepository stores, VariableContrastPaper paper) {
        this.stores = stores;
        this.paper = paper;
    }

    Setup of(Edit edit, Setup now, RecipeChange change) {
        String enlargerId = edit.known("/enlargerId", change.enlargerId(), now.enlargerId(), stores::enlarger);
        Lens lens = stores.lens(edit.known("/lensId", change.lensId(), now.lensId(), stores::lens))
                .orElseThrow();
        Paper box = stores.paper(edit.known("/paperId", change.paperId(), now.paperId(), stores::paper))
                .orElseThrow();
        boolean newBox = !box.id().equals(now.paperId());
        double width = edit.side(
                "/sheetWidthMm", change.sheetWidthMm(), newBox ? box.widthMm() : now.sheetWidthMm(), "sheet width");
        double height = edit.side(
                "/sheetHeightMm",
                change.sheetHeightMm(),
                newBox ? box.heightMm() : now.sheetHeightMm(),
                "sheet height");
        FieldErrors errors = edit.errors();
        double border = errors.check(
                "/borderMm",
                now.borderMm(),
                () -> Check.within("border", Edit.or(change.borderMm(), now.borderMm()), 0, WIDEST_BORDER_MM, "mm"));
        double place = errors.check(
                "/cropPlace",
                now.cropPlace(),
                () -> Check.within("place of the crop", Edit.or(change.cropPlace(), now.cropPlace()), 0, 1, ""));
        String fit = edit.oneOf("/fit", change.fit(), now.fit(), Set.of("WHOLE_PICTURE", "FILL_SHEET"));
        String filter = errors.check(
                "/filter",
                now.filter(),
                () -> GradeFilter.ofLabel(change.filter() == null ? now.filter() : change.filter())
                        .label());
        Setup moved = new Setup(
                enlargerId,
                lens.id(),
                aperture(errors, change.apertureMark(), now, lens),
                box.id(),
                width,
                height,
                border,
                fit,
                place,
                filter,
                now.baseSeconds(),
                now.baseSource(),
                now.baseBecause());
        sayWhatMoved(edit, now, moved, lens, box);
        return time(edit, now, moved, lens, change);
    }

    private static void sayWhatMoved(Edit edit, Setup now, Setup moved, Lens lens, Paper box) {
        edit.sayIf(!moved.enlargerId().equals(now.enlargerId()), "another enlarger");
        edit.sayIf(!moved.lensId().equals(now.lensId()), lens.name());
        edit.sayIf(!moved.paperId().equals(now.paperId()), box.name());
        edit.sayIf(
                moved.sheetWidthMm() != now.sheetWidthMm() || moved.sheetHeightMm() != now.sheetHeightMm(),
                "sheet " + Show.number(moved.sheetWidthMm()) + " × " + Show.number(moved.sheetHeightMm()) + " mm");
        edit.sayIf(moved.borderMm() != now.borderMm(), "border " + Show.number(moved.borderMm()) + " mm");
        edit.sayIf(!moved.fit().equals(now.fit()) || moved.cropPlace() != now.cropPlace(), "crop");
        edit.sayIf(
                moved.apertureMark() != now.apertureMark(),
                Show.aperture(now.apertureMark()) + " to " + Show.aperture(moved.apertureMark()));
        edit.sayIf(!moved.filter().equals(now.filter()), "grade " + now.filter() + " to " + moved.filter());
    }

    /** The time: the user's own, or the old one carried along with opening and grade so that the print stays as light. */
    private Setup time(Edit edit, Setup now, Setup moved, Lens lens, RecipeChange change) {
        if (change.baseSeconds() != null || change.baseChangeStops() != null) {
            double own = ownTime(edit, now.baseSeconds(), change);
            sayTime(edit, now.baseSeconds(), own);
            return moved.withTime(own, "own", "Your own time.");
        }
        boolean opened = moved.apertureMark() != now.apertureMark();
        boolean graded = !moved.filter().equals(now.filter());
        if (!opened && !graded || "default".equals(now.baseSource())) {
            return moved;
        }
        ExposureTime time = ExposureTime.ofSeconds(now.baseSeconds());
        List<String> because = new ArrayList<>();
        if (opened) {
            time = sameLight(time, now, moved, lens);
            because.add("same light at " + Show.aperture(moved.apertureMark()));
        }
        if (graded) {
            time = GradeAdvice.held(
                    paper,
                    GradeFilter.ofLabel(now.filter()),
                    GradeFilter.ofLabel(moved.filter()),
                    time,
                    NextRecipe.HELD_NET);
            because.add("light tones held from grade " + now.filter() + " to " + moved.filter());
        }
        double seconds = TimerSteps.tenths().nearest(time).time().inSeconds();
        sayTime(edit, now.baseSeconds(), seconds);
        String why = Show.seconds(now.baseSeconds()) + " carried over, " + String.join(", ", because) + ".";
        return moved.withTime(seconds, now.baseSource(), why);
    }

    private ExposureTime sameLight(ExposureTime time, Setup now, Setup moved, Lens lens) {
        Lens before = stores.lens(now.lensId()).orElse(lens);
        ApertureMark from = ApertureMark.ofEngraved(now.apertureMark(), before.marksPerStop());
        ApertureMark to = ApertureMark.ofEngraved(moved.apertureMark(), lens.marksPerStop());
        return ApertureTrade.timeAt(time, from.trueNumber(), to.trueNumber());
    }

    private static void sayTime(Edit edit, double before, double after) {
        edit.sayIf(before != after, "time " + Show.seconds(before) + " to " + Show.seconds(after));
    }

    /** The user's own time: typed in seconds, or as a change in stops of what stands. */
    private static double ownTime(Edit edit, double now, RecipeChange change) {
        Double typed = change.baseSeconds();
        return typed != null
                ? edit.set("/baseSeconds", now, () -> ExposureTime.ofSeconds(typed))
                : edit.set(
                        "/baseChangeStops",
                        now,
                        () -> ExposureTime.ofSeconds(now).plus(Stops.of(change.baseChangeStops())));
    }

    /** A typed opening must be on the ring; a lens that is changed keeps the nearest opening it has. */
    private static double aperture(FieldErrors errors, @Nullable Double typed, Setup now, Lens lens) {
        List<ApertureMark> ring = ApertureMark.ring(lens.openMark(), lens.smallestMark(), lens.marksPerStop());
        if (typed == null) {
            return ring.stream()
                    .map(ApertureMark::engraved)
                    .min(Comparator.comparingDouble(m -> Math.abs(Math.log(m / now.apertureMark()))))
                    .orElseThrow();
        }
        Optional<ApertureMark> on =
                ring.stream().filter(m -> Math.abs(m.engraved() - typed) < 0.05).findFirst();
        if (on.isEmpty()) {
            errors.add(
                    "/apertureMark",
                    "E_RANGE",
                    "The " + lens.name() + " has no f/" + Show.number(typed) + ": it goes from "
                            + Show.aperture(lens.openMark()) + " to " + Show.aperture(lens.smallestMark())
                            + (lens.marksPerStop() == 1 ? " in full stops." : " in half stops."));
        }
        return on.map(ApertureMark::engraved).orElse(now.apertureMark());
    }

    /** Refuses borders that leave no picture, at the field that was changed. */
    static void checkBorders(FieldErrors errors, Rig rig, RecipeChange change) {
        if (!rig.bordersFit()) {
            String pointer = change.borderMm() != null || change.sheetWidthMm() == null ? "/borderMm" : "/sheetWidthMm";
            errors.add(
                    pointer,
                    "E_RANGE",
                    "Borders of " + Show.number(rig.recipe().setup().borderMm()) + " mm leave no picture on a sheet of "
                            + Show.number(rig.sheetWidth().inMm()) + " × "
                            + Show.number(rig.sheetHeight().inMm()) + " mm.");
        }
    }
}
