package keyslate.server.recipe;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;
import keyslate.server.Show;
import keyslate.server.recipe.RecipeChange.SetupChange;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.web.FieldErrors;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import keyslate.store.slate.Recipe.Setup;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The edit of what stands on enlarger and easel. */
@Component
class SetupEdit {
    private static final double SHORTEST_SIDE_MM = 20;
    private static final double LONGEST_SIDE_MM = 2000;

    private final StoresRepository stores;
    private final Rigs rigs;

    SetupEdit(StoresRepository stores, Rigs rigs) {
        this.stores = stores;
        this.rigs = rigs;
    }

    Setup of(Edit edit, Rig before, @Nullable SetupChange change) {
        Setup now = before.recipe().setup();
        if (change == null) {
            return now;
        }
        FieldErrors errors = edit.errors();
        String enlargerId = edit.known("/setup/enlargerId", change.enlargerId(), now.enlargerId(), stores::enlarger);
        Lens lens = stores.lens(edit.known("/setup/lensId", change.lensId(), now.lensId(), stores::lens))
                .orElseThrow();
        Paper box = stores.paper(edit.known("/setup/paperId", change.paperId(), now.paperId(), stores::paper))
                .orElseThrow();
        boolean newBox = !box.id().equals(now.paperId());
        Setup moved = new Setup(
                enlargerId,
                lens.id(),
                aperture(errors, change.apertureMark(), now, lens),
                box.id(),
                side(
                        errors,
                        "/setup/sheetWidthMm",
                        change.sheetWidthMm(),
                        newBox ? box.widthMm() : now.sheetWidthMm(),
                        "sheet width"),
                side(
                        errors,
                        "/setup/sheetHeightMm",
                        change.sheetHeightMm(),
                        newBox ? box.heightMm() : now.sheetHeightMm(),
                        "sheet height"),
                PlacementEdit.of(
                        edit,
                        now.placement(),
                        change,
                        new PlacementEdit.Enlarging(
                                Length.ofMm(lens.focalMm()),
                                rigs.scale(enlargerId, lens.id()),
                                Length.ofMm(Math.max(
                                        before.frameWidth().inMm(),
                                        before.frameHeight().inMm())))),
                ContactEdit.of(edit, now, change));
        sayWhatMoved(edit, now, moved, lens, box);
        return moved;
    }

    private static double side(FieldErrors errors, String pointer, @Nullable Double given, double now, String name) {
        return errors.check(
                pointer, now, () -> Check.within(name, Edit.or(given, now), SHORTEST_SIDE_MM, LONGEST_SIDE_MM, "mm"));
    }

    private static void sayWhatMoved(Edit edit, Setup now, Setup moved, Lens lens, Paper box) {
        edit.sayIf(!moved.enlargerId().equals(now.enlargerId()), "another enlarger");
        edit.sayIf(!moved.lensId().equals(now.lensId()), lens.name());
        edit.sayIf(!moved.paperId().equals(now.paperId()), box.name());
        edit.sayIf(
                moved.sheetWidthMm() != now.sheetWidthMm() || moved.sheetHeightMm() != now.sheetHeightMm(),
                "sheet " + Show.number(moved.sheetWidthMm()) + " × " + Show.number(moved.sheetHeightMm()) + " mm");
        ContactEdit.sayWhatMoved(edit, now, moved);
        edit.sayIf(
                moved.apertureMark() != now.apertureMark(),
                Show.aperture(now.apertureMark()) + " to " + Show.aperture(moved.apertureMark()));
    }

    private static final List<String> CLICKS = List.of(" in full stops.", " in half stops.", " in third stops.");

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
                    "/setup/apertureMark",
                    "E_RANGE",
                    "The " + lens.name() + " has no f/" + Show.number(typed) + ": it goes from "
                            + Show.aperture(lens.openMark()) + " to " + Show.aperture(lens.smallestMark())
                            + CLICKS.get(lens.marksPerStop() - 1));
        }
        return on.map(ApertureMark::engraved).orElse(now.apertureMark());
    }
}
