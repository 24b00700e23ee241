package keyslate.server.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import javax.imageio.ImageIO;
import keyslate.core.reading.Corners;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Pictures of sheets that are handed in. */
class ScanHttpTest extends ApplicationTest {
    private static final double[] ASKEW = {0.2, 0.1, 0.9, 0.2, 0.85, 0.8, 0.1, 0.9};
    private static final int TONE = 6;
    private static final List<Color> PATCHES =
            List.of(new Color(230, 230, 230), new Color(170, 150, 140), new Color(90, 90, 120), new Color(30, 30, 30));

    private String sheet;

    @BeforeEach
    void hangAStrip() {
        String slate = http().newSlate("Thrower's hands");
        sheet = begin(slate, "STRIP");
    }

    @Test
    void thePaperInThePictureIsSquaredAndCounts() throws IOException {
        exposeAndHang(sheet);
        JsonNode hung = handed(png(askew(900, 600)), ASKEW).json().get("sheets").get(0);
        assertThat(hung.get("simulatedPicture").asBoolean()).isFalse();
        BufferedImage squared = picture(hung);
        double aspect = (double) squared.getWidth() / squared.getHeight();
        assertThat(aspect).isCloseTo(hung.get("aspect").asDouble(), within(0.02));
        for (int i = 0; i < PATCHES.size(); i++) {
            near(squared, (i + 0.5) / PATCHES.size(), 0.5, PATCHES.get(i));
        }
        // The table beside the paper is cut away.
        near(squared, 0.02, 0.05, PATCHES.get(0));
        near(squared, 0.98, 0.95, PATCHES.get(3));
    }

    @Test
    void aSecondPictureCountsAndTheFirstOneStays() throws IOException {
        exposeAndHang(sheet);
        String first = handed(png(askew(300, 200)), ASKEW)
                .json()
                .get("sheets")
                .get(0)
                .get("pictureId")
                .asString();
        String second = handed(png(askew(300, 200)), null)
                .json()
                .get("sheets")
                .get(0)
                .get("pictureId")
                .asString();
        assertThat(second).isNotEqualTo(first);
        assertThat(http().get("/api/pictures/" + first).status()).isEqualTo(200);
    }

    @Test
    void fortyMegapixelsFit() throws IOException {
        exposeAndHang(sheet);
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        ImageIO.write(askew(7746, 5164), "jpeg", jpeg);
        BufferedImage squared =
                picture(handed(jpeg.toByteArray(), ASKEW).json().get("sheets").get(0));
        assertThat(Math.max(squared.getWidth(), squared.getHeight())).isEqualTo(1280);
        near(squared, 0.375, 0.5, PATCHES.get(1));
    }

    @Test
    void whatIsNoPictureOrHasNoPaperInItIsRefusedAtItsField() throws IOException {
        JsonNode before = exposeAndHang(sheet);
        assertThat(handed("not a picture".getBytes(java.nio.charset.StandardCharsets.UTF_8), ASKEW)
                        .pointers())
                .containsExactly("/file");
        byte[] half = png(askew(300, 200));
        assertThat(handed(java.util.Arrays.copyOf(half, half.length / 2), ASKEW).pointers())
                .containsExactly("/file");
        double[] crossed = {0, 0, 1, 1, 1, 0, 0, 1};
        assertThat(handed(half, crossed).pointers()).containsExactly("/corners");
        assertThat(handed(half, new double[] {0, 0, 1}).pointers()).containsExactly("/corners");
        assertThat(http().upload("/api/sheets/" + sheet + "/scans", "a.png", half, "corners", "left,right")
                        .status())
                .isBetween(400, 422);
        assertThat(http().upload("/api/sheets/none/scans", "a.png", half).status())
                .isEqualTo(404);
        JsonNode after = http().slate(before.get("id").asString());
        assertThat(after.get("sheets").get(0).hasNonNull("pictureId")).isFalse();
    }

    @Test
    void aSheetUnderTheLampHasNoPictureYet() throws IOException {
        Answer early = handed(png(askew(300, 200)), null);
        assertThat(early.status()).isEqualTo(409);
        assertThat(early.code()).isEqualTo("not-hung");
        http().post("/api/sheets/" + sheet + "/abandon", Map.of());
    }

    private Answer handed(byte[] file, double[] corners) {
        String path = "/api/sheets/" + sheet + "/scans";
        if (corners == null) {
            return http().upload(path, "scan", file);
        }
        String listed = DoubleStream.of(corners).mapToObj(Double::toString).collect(Collectors.joining(","));
        return http().upload(path, "scan", file, "corners", listed);
    }

    private BufferedImage picture(JsonNode hung) throws IOException {
        byte[] jpeg = http().bytes("/api/pictures/" + hung.get("pictureId").asString());
        return ImageIO.read(new ByteArrayInputStream(jpeg));
    }

    private static void near(BufferedImage picture, double x, double y, Color wanted) {
        Color found = new Color(picture.getRGB((int) (x * picture.getWidth()), (int) (y * picture.getHeight())));
        assertThat(List.of(found.getRed(), found.getGreen(), found.getBlue()))
                .usingElementComparator((a, b) -> Math.abs(a - b) <= TONE ? 0 : Integer.compare(a, b))
                .containsExactly(wanted.getRed(), wanted.getGreen(), wanted.getBlue());
    }

    /** A sheet with patches, lying askew on a red table; drawn patch by patch between places found by its corners. */
    private static BufferedImage askew(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setColor(Color.RED);
        pen.fillRect(0, 0, width, height);
        Corners corners = Corners.of(DoubleStream.of(ASKEW).boxed().toList());
        for (int i = 0; i < PATCHES.size(); i++) {
            double left = (double) i / PATCHES.size();
            double right = (i + 1.0) / PATCHES.size();
            Path2D outline = new Path2D.Double();
            move(outline, corners.at(left, 0), width, height, true);
            move(outline, corners.at(right, 0), width, height, false);
            move(outline, corners.at(right, 1), width, height, false);
            move(outline, corners.at(left, 1), width, height, false);
            pen.setColor(PATCHES.get(i));
            pen.fill(outline);
        }
        pen.dispose();
        return image;
    }

    private static void move(Path2D outline, Corners.Place to, int width, int height, boolean first) {
        if (first) {
            outline.moveTo(to.x() * width, to.y() * height);
        } else {
            outline.lineTo(to.x() * width, to.y() * height);
        }
    }

    private static byte[] png(BufferedImage image) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }
}
