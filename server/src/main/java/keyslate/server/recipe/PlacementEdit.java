package keyslate.server.recipe;

import java.util.Optional;
import keyslate.core.calibration.ColumnScale;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.QuantityException;
import keyslate.core.size.Blades;
import keyslate.core.size.Placement;
import keyslate.core.size.PrintFit;
import keyslate.core.size.Reach;
import keyslate.server.Show;
import keyslate.server.recipe.RecipeChange.BladesChange;
import keyslate.server.recipe.RecipeChange.SetupChange;
import keyslate.server.rig.Rig;
import keyslate.server.web.FieldErrors;
import org.jspecify.annotations.Nullable;

/** The edit of how picture and sheet meet: borders, kept part, size. */
final class PlacementEdit {
    /**
     * What a reading of a size is taken with.
     *
     * @param focal of the lens that stands now
     * @param scale of the column with it, where it was read against sizes
     * @param frameLong the negative's long side
     */
    record Enlarging(Length focal, Optional<ColumnScale> scale, Length frameLong) {}

    private PlacementEdit() {}

    static Placement of(Edit edit, Placement now, SetupChange change, Enlarging with) {
        FieldErrors errors = edit.errors();
        Placement moved = new Placement(
                blades(errors, now.blades(), change),
                edit.oneOf("/setup/fit", change.fit(), now.way()),
                within(
                        errors,
                        "/setup/overfillPercent",
                        "overfill",
                        change.overfillPercent(),
                        now.overfillPercent(),
                        Placement.MOST_OVERFILL,
                        "%"),
                sized(errors, now, change, with),
                within(errors, "/setup/cropPlace", "place of the crop", change.cropPlace(), now.across(), 1, ""),
                within(errors, "/setup/cropDown", "place of the crop", change.cropDown(), now.down(), 1, ""));
        sayWhatMoved(edit, now, moved);
        return moved;
    }

    private static double within(
            FieldErrors errors,
            String pointer,
            String name,
            @Nullable Double given,
            double now,
            double most,
            String unit) {
        return errors.check(pointer, now, () -> Check.within(name, Edit.or(given, now), 0, most, unit));
    }

    private static Blades blades(FieldErrors errors, Blades now, SetupChange change) {
        Blades even = change.borderMm() == null
                ? now
                : Blades.even(
                        within(errors, "/setup/borderMm", "border", change.borderMm(), 0, Blades.WIDEST_EVEN_MM, "mm"));
        BladesChange each = change.blades();
        return each == null
                ? even
                : new Blades(
                        blade(errors, "leftMm", each.leftMm(), even.leftMm()),
                        blade(errors, "topMm", each.topMm(), even.topMm()),
                        blade(errors, "rightMm", each.rightMm(), even.rightMm()),
                        blade(errors, "bottomMm", each.bottomMm(), even.bottomMm()));
    }

    private static double blade(FieldErrors errors, String side, @Nullable Double given, double now) {
        return within(errors, "/setup/blades/" + side, "border", given, now, Blades.WIDEST_MM, "mm");
    }

    /** A size by eye stands until whole picture or full sheet is asked for again. */
    private static Optional<Placement.Sized> sized(
            FieldErrors errors, Placement now, SetupChange change, Enlarging with) {
        if (change.sizedBy() == null && change.sizedReading() == null) {
            return change.fit() == null ? now.sized() : Optional.empty();
        }
        Optional<Placement.By> by = by(errors, change.sizedBy());
        Double reading = change.sizedReading();
        if (by.isEmpty() || reading == null) {
            if (reading == null) {
                errors.add("/setup/sizedReading", "E_SHAPE", "Say what was read.");
            }
            return now.sized();
        }
        return errors.check(
                "/setup/sizedReading",
                now.sized(),
                () -> Optional.of(new Placement.Sized(by.get(), reading, times(by.get(), reading, with))));
    }

    private static Optional<Placement.By> by(FieldErrors errors, @Nullable String given) {
        try {
            return Optional.of(Placement.By.valueOf(given == null ? "" : given));
        } catch (IllegalArgumentException e) {
            errors.add("/setup/sizedBy", "E_SHAPE", "The size is read by COLUMN, HEIGHT or PICTURE.");
            return Optional.empty();
        }
    }

    private static Magnification times(Placement.By by, double reading, Enlarging with) {
        return switch (by) {
            case HEIGHT -> Reach.atHeight(with.focal(), Length.ofPositiveMm("lens to paper", reading));
            case PICTURE ->
                Magnification.of(Check.positive("long side of the picture", reading, "mm")
                        / with.frameLong().inMm());
            case COLUMN ->
                Magnification.of(with.scale()
                        .orElseThrow(() -> new QuantityException(
                                QuantityException.Kind.INFEASIBLE,
                                "column",
                                "this column was not read against sizes with this lens; do so in Stores, or say how high the"
                                        + " lens stands or how long the picture is"))
                        .magnification(reading)
                        .figure());
        };
    }

    private static void sayWhatMoved(Edit edit, Placement now, Placement moved) {
        if (!moved.blades().equals(now.blades())) {
            edit.say(
                    moved.blades().areEven()
                            ? "border " + Show.number(moved.blades().narrowestMm()) + " mm"
                            : "blades");
        }
        edit.sayIf(
                moved.way() != now.way()
                        || moved.across() != now.across()
                        || moved.down() != now.down()
                        || moved.overfillPercent() != now.overfillPercent(),
                "crop");
        edit.sayIf(
                !moved.sized().equals(now.sized()),
                moved.sized()
                        .map(s -> "sized " + Show.number(s.magnification().inTimes()) + " ×")
                        .orElse(moved.way() == PrintFit.Way.FILL_SHEET ? "full sheet" : "whole picture"));
    }

    /** Refuses borders that leave no picture, at the field that was changed. */
    static void check(FieldErrors errors, Rig rig, @Nullable SetupChange change) {
        if (change == null || rig.bordersFit()) {
            return;
        }
        Blades blades = rig.placement().blades();
        String pointer = change.blades() != null
                ? "/setup/blades"
                : change.borderMm() != null || change.sheetWidthMm() == null
                        ? "/setup/borderMm"
                        : "/setup/sheetWidthMm";
        errors.add(
                pointer,
                "E_RANGE",
                (blades.areEven() ? "Borders of " + Show.number(blades.narrowestMm()) + " mm" : "These borders")
                        + " leave no picture on a sheet of "
                        + Show.number(rig.sheetWidth().inMm()) + " × "
                        + Show.number(rig.sheetHeight().inMm()) + " mm.");
    }
}
