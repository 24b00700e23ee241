package keyslate.server.slate;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import keyslate.core.size.Blades;
import keyslate.core.size.PrintFit;
import keyslate.server.Pages;
import keyslate.server.Pages.Ink;
import keyslate.server.Pages.Page;
import keyslate.server.Show;
import keyslate.server.rig.Rig;

/**
 * A sheet to size and focus on, at true size: it lies in the easel in the place of paper. Blade corners show where the picture ends, stars show
 * where it is sharp, a ruler whether it was printed at 100 %.
 */
final class SizingSheet {
    private static final double OFFICE_LONG_MM = 297;
    private static final double OFFICE_SHORT_MM = 210;
    /** What printers leave white, and what neighbouring parts share. */
    private static final double OVERLAP_MM = 12;

    private static final double STAR_MM = 22;
    private static final int SPOKES = 36;
    private static final double RULER_MM = 100;
    private static final double CORNER_MM = 12;
    private static final double TEXT_PT = 8;

    private final Rig rig;
    private final String line;

    /** Of a set-up; {@code columnReads} in words, empty where the column was not read against sizes. */
    SizingSheet(Rig rig, String columnReads) {
        this.rig = rig;
        this.line = Show.number(rig.magnification().inTimes()) + " ×, lens "
                + Show.number(rig.lightToPaper().inMm() / 10) + " cm above the easel" + columnReads + "; "
                + rig.lens().name() + ", " + Show.aperture(rig.mark().engraved());
    }

    /** One page as large as the sheet, or parts of it on office paper that overlap. */
    byte[] pdf(boolean inParts) {
        return Pages.of(
                "Sizing sheet, " + rig.recipe().naming().title(),
                inParts ? parts() : List.of(new Page(0, 0, width(), height())),
                this::draw);
    }

    private double width() {
        return rig.sheetWidth().inMm();
    }

    private double height() {
        return rig.sheetHeight().inMm();
    }

    private List<Page> parts() {
        boolean upright = height() > width();
        double pageWidth = upright ? OFFICE_SHORT_MM : OFFICE_LONG_MM;
        double pageHeight = upright ? OFFICE_LONG_MM : OFFICE_SHORT_MM;
        List<Page> pages = new ArrayList<>();
        for (double top = 0; ; top += pageHeight - 2 * OVERLAP_MM) {
            for (double left = 0; ; left += pageWidth - 2 * OVERLAP_MM) {
                // The page's own margin lies outside the sheet at its first edges.
                pages.add(new Page(left - OVERLAP_MM, top - OVERLAP_MM, pageWidth, pageHeight));
                if (left + pageWidth - 2 * OVERLAP_MM >= width()) {
                    break;
                }
            }
            if (top + pageHeight - 2 * OVERLAP_MM >= height()) {
                return pages;
            }
        }
    }

    private void draw(Ink ink) throws IOException {
        outlines(ink);
        stars(ink);
        ruler(ink);
        words(ink);
    }

    private void outlines(Ink ink) throws IOException {
        Blades blades = rig.placement().blades();
        PrintFit fit = rig.fit();
        double freeWidth = rig.freeWidth().inMm();
        double freeHeight = rig.freeHeight().inMm();
        double imageWidth = fit.imageWidth().inMm();
        double imageHeight = fit.imageHeight().inMm();
        double left = blades.leftMm() + (freeWidth - imageWidth) / 2;
        double top = blades.topMm() + (freeHeight - imageHeight) / 2;
        ink.width(0.25);
        ink.rectangle(0, 0, width(), height());
        ink.dashed(1.5);
        ink.rectangle(left, top, imageWidth, imageHeight);
        ink.dashed(0);
        ink.width(0.6);
        double right = blades.leftMm() + freeWidth;
        double bottom = blades.topMm() + freeHeight;
        corner(ink, blades.leftMm(), blades.topMm(), 1, 1);
        corner(ink, right, blades.topMm(), -1, 1);
        corner(ink, right, bottom, -1, -1);
        corner(ink, blades.leftMm(), bottom, 1, -1);
    }

    private static void corner(Ink ink, double x, double y, int right, int down) throws IOException {
        ink.line(x, y, x + right * CORNER_MM, y);
        ink.line(x, y, x, y + down * CORNER_MM);
    }

    /** In the middle and near the corners: a board or head that is tilted shows there. */
    private void stars(Ink ink) throws IOException {
        double room = Math.min(width(), height());
        double radius = Math.min(STAR_MM, room / 8);
        double in = radius * 1.6;
        Blades blades = rig.placement().blades();
        double left = blades.leftMm();
        double top = blades.topMm();
        double right = left + rig.freeWidth().inMm();
        double bottom = top + rig.freeHeight().inMm();
        star(ink, (left + right) / 2, (top + bottom) / 2, radius);
        if (Math.min(right - left, bottom - top) > 6 * radius) {
            star(ink, left + in, top + in, radius / 2);
            star(ink, right - in, top + in, radius / 2);
            star(ink, right - in, bottom - in, radius / 2);
            star(ink, left + in, bottom - in, radius / 2);
        }
    }

    private static void star(Ink ink, double x, double y, double radius) throws IOException {
        for (int spoke = 0; spoke < SPOKES; spoke++) {
            double from = 2 * Math.PI * spoke / SPOKES;
            double to = from + Math.PI / SPOKES;
            ink.wedge(
                    x,
                    y,
                    x + radius * Math.cos(from),
                    y + radius * Math.sin(from),
                    x + radius * Math.cos(to),
                    y + radius * Math.sin(to));
        }
    }

    private void ruler(Ink ink) throws IOException {
        double x = (width() - RULER_MM) / 2;
        double y = rig.placement().blades().topMm() + rig.freeHeight().inMm() - 4;
        if (x < 0) {
            return;
        }
        ink.width(0.3);
        ink.line(x, y, x + RULER_MM, y);
        for (int mm = 0; mm <= RULER_MM; mm += 10) {
            ink.line(x + mm, y, x + mm, y - (mm % 50 == 0 ? 4 : 2));
        }
        ink.text(x, y - 5.5, TEXT_PT, "This line is 100 mm when the sheet was printed at 100 %.");
    }

    private void words(Ink ink) throws IOException {
        double x = rig.placement().blades().leftMm() + 4;
        double y = rig.placement().blades().topMm() + 6;
        ink.text(
                x,
                y,
                TEXT_PT,
                rig.recipe().naming().title() + ", sheet " + Show.number(width()) + " × " + Show.number(height())
                        + " mm");
        ink.text(x, y + 4, TEXT_PT, line);
        ink.text(
                x,
                y + 8,
                TEXT_PT,
                "Print it on stock as thick as your paper, or lay a sheet under it: focus follows the thickness.");
    }
}
