package keyslate.server;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.util.Matrix;

/** Sheets for a printer, as a PDF at true size: everything on them is in millimetres from the upper left, downwards. */
public final class Pages {
    private static final float POINTS_PER_MM = 72 / 25.4f;

    private Pages() {}

    /**
     * A page.
     *
     * @param left of what it shows, mm; {@code top} alike
     */
    public record Page(double left, double top, double width, double height) {}

    /** What is drawn on a page. */
    @FunctionalInterface
    public interface Drawing {
        void on(Ink ink) throws IOException;
    }

    /** Every page shows its part of one drawing. */
    public static byte[] of(String title, List<Page> pages, Drawing drawing) {
        try (PDDocument document = new PDDocument();
                InputStream letters = PDDocument.class.getResourceAsStream(
                        "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf")) {
            PDFont font = PDType0Font.load(document, letters);
            document.getDocumentInformation().setTitle(title);
            for (Page page : pages) {
                PDPage leaf = new PDPage(
                        new PDRectangle((float) page.width() * POINTS_PER_MM, (float) page.height() * POINTS_PER_MM));
                document.addPage(leaf);
                try (PDPageContentStream content = new PDPageContentStream(document, leaf)) {
                    content.transform(new Matrix(
                            POINTS_PER_MM,
                            0,
                            0,
                            -POINTS_PER_MM,
                            (float) -page.left() * POINTS_PER_MM,
                            (float) (page.height() + page.top()) * POINTS_PER_MM));
                    drawing.on(new Ink(content, font));
                }
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Lines and letters; all lengths in mm, sizes of letters in points. */
    public static final class Ink {
        private final PDPageContentStream content;
        private final PDFont font;

        private Ink(PDPageContentStream content, PDFont font) {
            this.content = content;
            this.font = font;
        }

        public void width(double mm) throws IOException {
            content.setLineWidth((float) mm);
        }

        /** Dashes of so many millimetres; 0 = a plain line. */
        public void dashed(double mm) throws IOException {
            content.setLineDashPattern(mm == 0 ? new float[0] : new float[] {(float) mm, (float) mm}, 0);
        }

        public void line(double x1, double y1, double x2, double y2) throws IOException {
            content.moveTo((float) x1, (float) y1);
            content.lineTo((float) x2, (float) y2);
            content.stroke();
        }

        public void rectangle(double x, double y, double width, double height) throws IOException {
            content.addRect((float) x, (float) y, (float) width, (float) height);
            content.stroke();
        }

        public void wedge(double x, double y, double x1, double y1, double x2, double y2) throws IOException {
            content.moveTo((float) x, (float) y);
            content.lineTo((float) x1, (float) y1);
            content.lineTo((float) x2, (float) y2);
            content.fill();
        }

        /** Letters on a line that begins at x, y. */
        public void text(double x, double y, double points, String words) throws IOException {
            content.beginText();
            content.setFont(font, (float) points / POINTS_PER_MM);
            // The page is turned over; letters are turned back.
            content.setTextMatrix(new Matrix(1, 0, 0, -1, (float) x, (float) y));
            content.showText(printable(words));
            content.endText();
        }

        /** How wide letters are, mm. */
        public double wide(double points, String words) throws IOException {
            return font.getStringWidth(printable(words)) / 1000 * points / POINTS_PER_MM;
        }

        /** What the user wrote may hold letters that the font has not. */
        private String printable(String words) {
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
    }
}
