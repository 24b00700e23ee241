package keyslate.server.test;

import java.util.Optional;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.Raster;
import keyslate.core.quantity.Length;
import keyslate.core.reading.StripPlacement;
import keyslate.core.script.CoverStripPlan;
import keyslate.core.script.Part;
import keyslate.core.script.StripDirection;
import keyslate.core.size.PrintFit;
import keyslate.server.rig.Rig;

/** Where a strip lies on the printed picture. */
final class StripGeometry {
    private static final double POOR_RANGE = 0.35;

    private final Rig rig;
    private final CoverStripPlan plan;
    private final Optional<Raster> printed;

    StripGeometry(Rig rig, CoverStripPlan plan, Optional<Negative> small) {
        this.rig = rig;
        this.plan = plan;
        Part crop = rig.crop();
        this.printed = small.map(n ->
                n.cropped(crop.left(), crop.top(), crop.width(), crop.height()).firstPlane());
    }

    /** The length of the picture in the direction of a strip. */
    static Length room(Rig rig, StripDirection direction) {
        PrintFit fit = rig.fit();
        return direction.isAlong() ? fit.imageWidth() : fit.imageHeight();
    }

    /** The length of the picture across a strip. */
    static Length roomAcross(Rig rig, StripDirection direction) {
        PrintFit fit = rig.fit();
        return direction.isAlong() ? fit.imageHeight() : fit.imageWidth();
    }

    /** The strip on the printed picture, in fractions of it; the negative decides where a narrow one lies. */
    Part area() {
        double length =
                Math.min(1, plan.length().inMm() / room(rig, plan.direction()).inMm());
        double breadth = Math.min(
                1, plan.breadth().inMm() / roomAcross(rig, plan.direction()).inMm());
        double from = (1 - length) / 2;
        double start = plan.place()
                .map(p -> (1 - breadth) * p)
                .orElseGet(() -> printed.map(n -> StripPlacement.bestStart(
                                n.samples(), n.width(), plan.direction().isAlong(), plan.patches(), breadth))
                        .orElse((1 - breadth) / 2));
        return plan.direction().isAlong()
                ? new Part(from, start, length, breadth)
                : new Part(start, from, breadth, length);
    }

    /** Whether one patch holds no light and dark tone together. */
    boolean hasPoorPatch(Part area) {
        boolean along = plan.direction().isAlong();
        return printed.map(n -> StripPlacement.poorestRange(
                                n.samples(),
                                n.width(),
                                along,
                                plan.patches(),
                                along ? area.top() : area.left(),
                                along ? area.height() : area.width())
                        < POOR_RANGE)
                .orElse(false);
    }

    /** Share of a sheet of the box. */
    double paperShare() {
        return plan.length().inMm()
                * plan.breadth().inMm()
                / (rig.sheetWidth().inMm() * rig.sheetHeight().inMm());
    }
}
