package keyslate.server.slate;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import keyslate.core.size.Blades;
import keyslate.core.size.PrintFit;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.util.Matrix;

/**
 * A sheet to size and focus on, at true size: it lies in the easel in the place of paper. Blade corners show where the picture ends, stars show
 * where it is sharp, a ruler whether it was printed at 100 %.
 */
final class SizingSheet {
    private static final float POINTS_PER_MM = 72 / 25.4f;
    private static final double OFFICE_LONG_MM = 297;
    private static final double OFFICE_SHORT_MM = 210;
    /** What printers leave white, and what neighbouring parts share. */
    private static final double OVERLAP_MM = 12;

    private static final double STAR_MM = 22;
    private static final int SPOKES = 36;
    private static final double RULER_MM = 100;
    private static final double CORNER_MM = 12;
    private static final float TEXT_PT = 8;

    private final Rig rig;
    private final String line;

    /** Of a set-up; {@code columnReads} in words, empty where the column was not read against sizes. */
    SizingSheet(Rig rig, String columnReads) {
        this.rig = rig;
        this.line = Show.number(rig.magnification().inTimes()) + " ×, lens "
                + Show.number(rig.lightToPaper().inMm() / 10) + " cm above the easel" + columnReads + "; "
                + rig.lens().name() + ", " + Show.aperture(rig.mark().engraved());
    }

    /** One page as large as the sheet, or parts of it on office paper to be joined at the crosses. */
    byte[] pdf(boolean inParts) {
        try (PDDocument document = new PDDocument();
                InputStream letters = PDDocument.class.getResourceAsStream(
                        "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf")) {
            PDFont font = PDType0Font.load(document, letters);
            document.getDocumentInformation()
                    .setTitle("Sizing sheet, " + rig.recipe().naming().title());
            for (Page page : inParts ? parts() : List.of(new Page(0, 0, width(), height()))) {
                draw(document, font, page);
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private double width() {
        return rig.sheetWidth().inMm();
    }

    private double height() {
        return rig.sheetHeight().inMm();
    }

    /** A part of the sheet on a page of its own, mm from the sheet's upper left. */
    private record Page(double left, double top, double width, double height) {}

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

    private void draw(PDDocument document, PDFont font, Page page) throws IOException {
        PDPage leaf = new PDPage(
                new PDRectangle((float) page.width() * POINTS_PER_MM, (float) page.height() * POINTS_PER_MM));
        document.addPage(leaf);
        try (PDPageContentStream ink = new PDPageContentStream(document, leaf)) {
            // Millimetres from the sheet's upper left corner, downwards.
            ink.transform(new Matrix(
                    POINTS_PER_MM,
                    0,
                    0,
                    -POINTS_PER_MM,
                    (float) -page.left() * POINTS_PER_MM,
                    (float) (page.height() + page.top()) * POINTS_PER_MM));
            outlines(ink);
            stars(ink);
            ruler(ink, font);
            words(ink, font);
        }
    }

    private void outlines(PDPageContentStream ink) throws IOException {
        Blades blades = rig.placement().blades();
        PrintFit fit = rig.fit();
        double freeWidth = rig.freeWidth().inMm();
        double freeHeight = rig.freeHeight().inMm();
        double imageWidth = fit.imageWidth().inMm();
        double imageHeight = fit.imageHeight().inMm();
        double left = blades.leftMm() + (freeWidth - imageWidth) / 2;
        double top = blades.topMm() + (freeHeight - imageHeight) / 2;
        ink.setLineWidth(0.25f);
        rectangle(ink, 0, 0, width(), height());
        ink.setLineDashPattern(new float[] {1.5f, 1.5f}, 0);
        rectangle(ink, left, top, imageWidth, imageHeight);
        ink.setLineDashPattern(new float[0], 0);
        ink.setLineWidth(0.6f);
        double right = blades.leftMm() + freeWidth;
        double bottom = blades.topMm() + freeHeight;
        corner(ink, blades.leftMm(), blades.topMm(), 1, 1);
        corner(ink, right, blades.topMm(), -1, 1);
        corner(ink, right, bottom, -1, -1);
        corner(ink, blades.leftMm(), bottom, 1, -1);
    }

    private static void corner(PDPageContentStream ink, double x, double y, int right, int down) throws IOException {
        line(ink, x, y, x + right * CORNER_MM, y);
        line(ink, x, y, x, y + down * CORNER_MM);
    }

    /** In the middle and near the corners: a board or head that is tilted shows there. */
    private void stars(PDPageContentStream ink) throws IOException {
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

    private static void star(PDPageContentStream ink, double x, double y, double radius) throws IOException {
        for (int spoke = 0; spoke < SPOKES; spoke++) {
            double from = 2 * Math.PI * spoke / SPOKES;
            double to = from + Math.PI / SPOKES;
            ink.moveTo((float) x, (float) y);
            ink.lineTo((float) (x + radius * Math.cos(from)), (float) (y + radius * Math.sin(from)));
            ink.lineTo((float) (x + radius * Math.cos(to)), (float) (y + radius * Math.sin(to)));
            ink.fill();
        }
    }

    private void ruler(PDPageContentStream ink, PDFont font) throws IOException {
        double x = (width() - RULER_MM) / 2;
        double y = rig.placement().blades().topMm() + rig.freeHeight().inMm() - 4;
        if (x < 0) {
            return;
        }
        ink.setLineWidth(0.3f);
        line(ink, x, y, x + RULER_MM, y);
        for (int mm = 0; mm <= RULER_MM; mm += 10) {
            line(ink, x + mm, y, x + mm, y - (mm % 50 == 0 ? 4 : 2));
        }
        text(ink, font, x, y - 5.5, "This line is 100 mm when the sheet was printed at 100 %.");
    }

    private void words(PDPageContentStream ink, PDFont font) throws IOException {
        double x = rig.placement().blades().leftMm() + 4;
        double y = rig.placement().blades().topMm() + 6;
        text(
                ink,
                font,
                x,
                y,
                rig.recipe().naming().title() + ", sheet " + Show.number(width()) + " × " + Show.number(height())
                        + " mm");
        text(ink, font, x, y + 4, line);
        text(
                ink,
                font,
                x,
                y + 8,
                "Print it on stock as thick as your paper, or lay a sheet under it: focus follows the thickness.");
    }

    private static void text(PDPageContentStream ink, PDFont font, double x, double y, String words)
            throws IOException {
        ink.beginText();
        ink.setFont(font, TEXT_PT / POINTS_PER_MM);
        // The page is turned over; letters are turned back.
        ink.setTextMatrix(new Matrix(1, 0, 0, -1, (float) x, (float) y));
        ink.showText(printable(font, words));
        ink.endText();
    }

    /** A title may hold letters that the font has not. */
    private static String printable(PDFont font, String words) {
        StringBuilder known = new StringBuilder();
        words.codePoints().forEach(c -> {
            String letter = Character.toString(c);
            try {
                font.encode(letter);
                known.append(letter);
            } catch (IOException | IllegalArgumentException e) {
                known.append('?');
            }
        });
        return known.toString();
    }

    private static void rectangle(PDPageContentStream ink, double x, double y, double width, double height)
            throws IOException {
        ink.addRect((float) x, (float) y, (float) width, (float) height);
        ink.stroke();
    }

    private static void line(PDPageContentStream ink, double x1, double y1, double x2, double y2) throws IOException {
        ink.moveTo((float) x1, (float) y1);
        ink.lineTo((float) x2, (float) y2);
        ink.stroke();
    }
}
