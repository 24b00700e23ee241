package keyslate.server.test;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.Raster;
import keyslate.core.quantity.Length;
import keyslate.core.reading.SpotPlacement;
import keyslate.core.reading.StripPlacement;
import keyslate.core.script.Part;
import keyslate.core.script.StripDirection;
import keyslate.core.size.PrintFit;
import keyslate.core.test.Spot;
import keyslate.core.tone.NamedTone;
import keyslate.server.rig.Rig;

/** Where a test lies on the printed picture; the negative and the named tones decide where it was left to be found. */
final class TestPlaces {
    private static final double POOR_RANGE = 0.35;

    private final Rig rig;
    private final Optional<Raster> printed;

    TestPlaces(Rig rig, Optional<Negative> small) {
        this.rig = rig;
        Part crop = rig.crop();
        this.printed = small.map(n ->
                n.cropped(crop.left(), crop.top(), crop.width(), crop.height()).firstPlane());
    }

    /**
     * The paper of a test.
     *
     * @param pieces the part of the printed picture on each piece, in fractions of it
     * @param length along a strip, of all its patches; or the long side of a piece
     * @param paperShare of a sheet of the box, all pieces together
     */
    record Lie(List<Part> pieces, Length length, Length breadth, double paperShare) {
        Lie {
            pieces = List.copyOf(pieces);
        }

        /** What it takes of the picture. */
        Part area() {
            return pieces.get(0);
        }
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

    /** A strip that lies on the picture, its patches beside each other. */
    Lie strip(StripDirection direction, int patches, Length patch, Length across, Optional<Double> place) {
        Length whole = Length.ofMm(patches * patch.inMm());
        double length = Math.min(1, whole.inMm() / room(rig, direction).inMm());
        double breadth = Math.min(1, across.inMm() / roomAcross(rig, direction).inMm());
        double from = (1 - length) / 2;
        double start = place.map(p -> (1 - breadth) * p)
                .orElseGet(() -> printed.map(n ->
                                StripPlacement.bestStart(n.samples(), n.width(), direction.isAlong(), patches, breadth))
                        .orElse((1 - breadth) / 2));
        Part area =
                direction.isAlong() ? new Part(from, start, length, breadth) : new Part(start, from, breadth, length);
        return new Lie(List.of(area), whole, across, share(whole, across));
    }

    /** A window or pieces over one spot, so many times. */
    Lie spot(int times, Length wide, Length high, Optional<Spot> spot) {
        double width = Math.min(1, wide.inMm() / rig.fit().imageWidth().inMm());
        double height = Math.min(1, high.inMm() / rig.fit().imageHeight().inMm());
        Spot middle = spot.orElseGet(() -> best(width, height));
        Part part = new Part(
                inside(middle.x() - width / 2, 1 - width), inside(middle.y() - height / 2, 1 - height), width, height);
        return new Lie(Collections.nCopies(times, part), wide, high, times * share(wide, high));
    }

    private static double inside(double start, double most) {
        return Math.max(0, Math.min(most, start));
    }

    /** Over as many of the named tones as it holds, the first before the others; else where light and dark meet. */
    private Spot best(double width, double height) {
        Part crop = rig.crop();
        List<Spot> tones = rig.recipe().naming().tones().stream()
                .filter(t -> crop.holds(t.x(), t.y()))
                .map(t -> on(crop, t))
                .toList();
        return printed.map(n -> SpotPlacement.best(n.samples(), n.width(), width, height, tones))
                .orElseGet(() -> tones.isEmpty() ? new Spot(0.5, 0.5) : tones.get(0));
    }

    private static Spot on(Part crop, NamedTone tone) {
        return new Spot((tone.x() - crop.left()) / crop.width(), (tone.y() - crop.top()) / crop.height());
    }

    private double share(Length one, Length other) {
        return one.inMm()
                * other.inMm()
                / (rig.sheetWidth().inMm() * rig.sheetHeight().inMm());
    }

    /** Whether one patch of a strip holds no light and dark tone together. */
    boolean hasPoorPatch(Part area, StripDirection direction, int patches) {
        boolean along = direction.isAlong();
        return printed.map(n -> StripPlacement.poorestRange(
                                n.samples(),
                                n.width(),
                                along,
                                patches,
                                along ? area.top() : area.left(),
                                along ? area.height() : area.width())
                        < POOR_RANGE)
                .orElse(false);
    }

    /** Whether a window holds no light and dark tone together. */
    boolean isPoor(Part window) {
        return printed.map(n -> SpotPlacement.range(
                                n.samples(), n.width(), window.left(), window.top(), window.width(), window.height())
                        < POOR_RANGE)
                .orElse(false);
    }
}
