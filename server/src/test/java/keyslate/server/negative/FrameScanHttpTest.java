package keyslate.server.negative;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import keyslate.core.curve.FilmCurve;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import keyslate.server.picture.TiffFile;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Scans of negatives and positives, taken in, shown, read the other way, refused. */
class FrameScanHttpTest extends ApplicationTest {
    private static final int WIDE = 120;
    private static final int HIGH = 80;

    private String roll;

    @BeforeEach
    void addARoll() {
        Map<String, Object> asked = Map.of("title", "Scanned", "film", "", "longMm", 36, "shortMm", 24);
        roll = http().post("/api/rolls", asked).json().get("id").asString();
    }

    @AfterEach
    void deleteIt() {
        http().send("DELETE", "/api/rolls/" + roll, "");
    }

    /** A 16-bit scan of a negative with its clear edge; the scene is a dark left half and a light right half. */
    private static byte[] negative() {
        ByteBuffer pixels = ByteBuffer.allocate(2 * WIDE * HIGH).order(ByteOrder.LITTLE_ENDIAN);
        for (int i = 0; i < WIDE * HIGH; i++) {
            int x = i % WIDE;
            int y = i / WIDE;
            boolean edge = x < 6 || y < 6 || x >= WIDE - 6 || y >= HIGH - 6;
            double scene = edge ? 1e-7 : x < WIDE / 2 ? 0.03 : 0.7;
            double light = Math.pow(10, -(FilmCurve.density(scene, 0) - FilmCurve.BASE_AND_FOG)) * 0.9;
            pixels.putShort((short) Math.round(65535 * coded(light)));
        }
        return new TiffFile(WIDE, HIGH, 1, 16, 1, pixels.array()).bytes();
    }

    private static double coded(double light) {
        double low = 0;
        double high = 1;
        for (int i = 0; i < 40; i++) {
            double middle = (low + high) / 2;
            if (ToneEncoding.decode(middle) < light) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }

    private JsonNode add(byte[] file) {
        Answer added = http().upload("/api/rolls/" + roll + "/frames", "scan.tif", file);
        assertThat(added.status()).as(added.text()).isEqualTo(201);
        return added.json();
    }

    private BufferedImage positive(String frame) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(http().bytes("/api/frames/" + frame + "/positive?side=120")));
    }

    private static int grey(BufferedImage image, double x) {
        return image.getRaster().getSample((int) (x * image.getWidth()), image.getHeight() / 2, 0);
    }

    @Test
    void aDeepNegativeIsTurnedAndASlateIsMadeOfIt() throws IOException {
        JsonNode frame = add(negative());
        assertThat(frame.get("number").asString()).isEqualTo("1");
        String id = frame.get("id").asString();
        JsonNode scan = http().get("/api/frames/" + id).json().get("scan");
        assertThat(scan.get("mediaType").asString()).isEqualTo("image/tiff");
        assertThat(scan.get("negative").asBoolean()).isTrue();
        assertThat(scan.get("profiled").asBoolean()).isFalse();
        BufferedImage shown = positive(id);
        assertThat(grey(shown, 0.25)).isLessThan(grey(shown, 0.75) - 60);
        String slate = http().post("/api/slates", Map.of("frameId", id, "intent", ""))
                .json()
                .get("id")
                .asString();
        String key = http().slate(slate).get("standing").get("previewKey").asString();
        assertThat(http().get("/api/slates/" + slate + "/preview?side=120&key=" + key)
                        .status())
                .isEqualTo(200);
        assertThat(http().get("/api/slates/" + slate + "/export").text()).contains("image/tiff");
        Answer other = http().post("/api/frames/" + id + "/scan/reading", Map.of("negative", false));
        assertThat(other.status()).as(other.text()).isEqualTo(200);
        assertThat(other.json().get("scan").get("negative").asBoolean()).isFalse();
        BufferedImage asScanned = positive(id);
        assertThat(grey(asScanned, 0.25)).isGreaterThan(grey(asScanned, 0.75) + 60);
        assertThat(http().slate(slate).get("standing").get("previewKey").asString())
                .isNotEqualTo(key);
        http().send("DELETE", "/api/slates/" + slate, "");
    }

    @Test
    void numbersGoOnByThemselves() throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(90, 60, BufferedImage.TYPE_BYTE_GRAY), "png", png);
        for (int i = 1; i <= 3; i++) {
            assertThat(add(png.toByteArray()).get("number").asString()).isEqualTo(Integer.toString(i));
        }
    }

    @Test
    void aPhotographOfTheProjectionIsSquaredByItsCorners() throws IOException {
        JsonNode frame =
                http().patch("/api/rolls/" + roll, Map.of("title", "Scanned")).json();
        assertThat(frame.get("frames").size()).isZero();
        String id = http().upload("/api/rolls/" + roll + "/frames", "", new byte[0], "number", "7")
                .json()
                .get("id")
                .asString();
        BufferedImage photograph = new BufferedImage(300, 200, BufferedImage.TYPE_BYTE_GRAY);
        for (int y = 50; y < 150; y++) {
            for (int x = 75; x < 225; x++) {
                photograph.getRaster().setSample(x, y, 0, x < 150 ? 220 : 30);
            }
        }
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(photograph, "png", png);
        Answer scanned = http().upload(
                        "/api/frames/" + id + "/scan",
                        "easel.png",
                        png.toByteArray(),
                        "negative",
                        "false",
                        "corners",
                        "0.25,0.25,0.75,0.25,0.75,0.75,0.25,0.75");
        assertThat(scanned.status()).as(scanned.text()).isEqualTo(200);
        BufferedImage shown = positive(id);
        assertThat(shown.getWidth() / (double) shown.getHeight()).isBetween(1.48, 1.52);
        assertThat(grey(shown, 0.05)).isGreaterThan(180);
        assertThat(grey(shown, 0.95)).isLessThan(90);
        Answer crossed = http().upload(
                        "/api/frames/" + id + "/scan",
                        "easel.png",
                        png.toByteArray(),
                        "corners",
                        "0.25,0.25,0.75,0.75,0.75,0.25,0.25,0.75");
        assertThat(crossed.pointers()).containsExactly("/corners");
        // Read the other way, it is still the part between the corners.
        http().post("/api/frames/" + id + "/scan/reading", Map.of("negative", true));
        BufferedImage turned = positive(id);
        assertThat(turned.getWidth() / (double) turned.getHeight()).isBetween(1.48, 1.52);
        assertThat(grey(turned, 0.05)).isLessThan(grey(turned, 0.95));
    }

    /** A picture takes its time to be decoded, and its frame is looked at meanwhile. */
    @Test
    void whatIsSaidOfAFrameWhileItsScanComesInStays() {
        String id = add(negative()).get("id").asString();
        for (int i = 0; i < 12; i++) {
            String rating = i % 2 == 0 ? "PRINT" : "MAYBE";
            CompletableFuture<Answer> scanned = CompletableFuture.supplyAsync(
                    () -> http().upload("/api/frames/" + id + "/scan", "scan.tif", negative()));
            Answer rated = http().patch("/api/frames/" + id, Map.of("rating", rating));
            assertThat(rated.status()).as(rated.text()).isEqualTo(200);
            assertThat(scanned.join().status()).isEqualTo(200);
            JsonNode kept = http().get("/api/frames/" + id).json();
            assertThat(kept.get("frame").get("rating").asString()).isEqualTo(rating);
            assertThat(http().get("/api/frames/" + id + "/positive?side=60").status())
                    .isEqualTo(200);
        }
    }

    @Test
    void numbersAreGivenOnceHoweverManyComeAtOnce() {
        List<CompletableFuture<Answer>> added = IntStream.range(0, 8)
                .mapToObj(i -> CompletableFuture.supplyAsync(
                        () -> http().upload("/api/rolls/" + roll + "/frames", "scan.tif", negative())))
                .toList();
        assertThat(added.stream().map(CompletableFuture::join).map(Answer::status))
                .containsOnly(201);
        Set<String> numbers = new HashSet<>();
        http().get("/api/rolls/" + roll)
                .json()
                .get("frames")
                .forEach(f -> numbers.add(f.get("number").asString()));
        assertThat(numbers).containsExactlyInAnyOrder("1", "2", "3", "4", "5", "6", "7", "8");
    }

    @Test
    void thePictureIsSentOnceAndAskedForAgain() {
        String id = add(negative()).get("id").asString();
        String path = "/api/frames/" + id + "/positive?side=60";
        String tag = http().get(path).headers().get("etag").get(0);
        assertThat(http().get(path, "If-None-Match", tag).status()).isEqualTo(304);
        http().post("/api/frames/" + id + "/scan/reading", Map.of("negative", false));
        assertThat(http().get(path, "If-None-Match", tag).status()).isEqualTo(200);
    }

    @Test
    void whatIsRefusedLeavesNoTrace() {
        byte[] damaged = java.util.Arrays.copyOf(negative(), 700);
        Answer refused = http().upload("/api/rolls/" + roll + "/frames", "scan.tif", damaged);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.pointers()).containsExactly("/file");
        assertThat(http().get("/api/rolls/" + roll).json().get("frames").size()).isZero();
    }

    @Test
    void aPictureThatIsTheSceneItselfIsNotReadTheOtherWay() {
        String demo = http().frame("Drying loft");
        Answer refused = http().post("/api/frames/" + demo + "/scan/reading", Map.of("negative", true));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.pointers()).containsExactly("/negative");
    }
}
