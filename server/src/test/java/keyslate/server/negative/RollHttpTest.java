package keyslate.server.negative;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import javax.imageio.ImageIO;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;

/** Rolls and frames: added with and without a picture, refused with the reason at the field. */
class RollHttpTest extends ApplicationTest {
    private static final String BOUNDARY = "a-boundary-of-our-own";

    @LocalServerPort
    private int port;

    private String roll;

    @BeforeEach
    void addARoll() {
        Answer added = http().post(
                        "/api/rolls",
                        Map.of(
                                "title",
                                "Roll 20",
                                "film",
                                "made-up 400",
                                "kind",
                                "MONOCHROME",
                                "longMm",
                                36,
                                "shortMm",
                                24));
        assertThat(added.status()).isEqualTo(201);
        roll = added.json().get("id").asString();
    }

    @Test
    void refusesARollWithoutNameOrWithImpossibleSides() {
        Answer answer = http().post("/api/rolls", Map.of("title", " ", "film", "", "longMm", 24, "shortMm", -1));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.pointers()).contains("/title", "/shortMm");
    }

    @Test
    void aFrameWithoutAPictureIsTakenOnceUnderItsNumber() {
        assertThat(send("5", "Clay pit", null).status()).isEqualTo(201);
        Answer again = send("5", "Clay pit again", null);
        assertThat(again.status()).isEqualTo(422);
        assertThat(again.pointers()).containsExactly("/number");
        assertThat(send("", "", null).pointers()).containsExactly("/number");
    }

    @Test
    void aPictureBecomesAPositiveThatCanBePrinted() {
        Answer added = send("6", "Brick stack", png(240, 160));
        assertThat(added.status()).as(added.text()).isEqualTo(201);
        JsonNode frame = added.json();
        assertThat(frame.get("hasPicture").asBoolean()).isTrue();
        String id = frame.get("id").asString();
        assertThat(http().get("/api/frames/" + id + "/positive?side=100").status())
                .isEqualTo(200);
        String slate = http().post("/api/slates", Map.of("frameId", id, "title", "", "intent", ""))
                .json()
                .get("id")
                .asString();
        String key = http().slate(slate).get("standing").get("previewKey").asString();
        assertThat(http().get("/api/slates/" + slate + "/preview?side=120&key=" + key)
                        .status())
                .isEqualTo(200);
    }

    @Test
    void anUprightPictureMakesAnUprightFrame() {
        JsonNode frame = send("7", "Chimney", png(160, 240)).json();
        assertThat(frame.get("widthMm").asDouble()).isEqualTo(24);
        assertThat(frame.get("heightMm").asDouble()).isEqualTo(36);
    }

    @Test
    void whatIsNoPictureIsRefusedAtTheFile() {
        Answer answer = send("8", "Not a picture", "just words".getBytes(StandardCharsets.UTF_8));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.pointers()).containsExactly("/file");
        byte[] cut = java.util.Arrays.copyOf(png(240, 160), 200);
        assertThat(send("8", "Cut off", cut).pointers()).containsExactly("/file");
        // Not taken for a frame without a scan.
        assertThat(send("8", "Nothing in it", new byte[0]).pointers()).containsExactly("/file");
    }

    @Test
    void aFrameOfNoRollAndAPictureOfNoFrameAreNotFound() {
        assertThat(http().get("/api/frames/none/positive").status()).isEqualTo(404);
        assertThat(http().post("/api/slates", Map.of("frameId", "none")).pointers())
                .containsExactly("/frameId");
    }

    private Answer send(String number, String title, byte[] file) {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        part(body, "name=\"number\"", number.getBytes(StandardCharsets.UTF_8));
        part(body, "name=\"title\"", title.getBytes(StandardCharsets.UTF_8));
        if (file != null) {
            part(body, "name=\"file\"; filename=\"scan.png\"", file);
        }
        body.writeBytes(("--" + BOUNDARY + "--\r\n").getBytes(StandardCharsets.US_ASCII));
        try {
            var answer = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(
                                            URI.create("http://localhost:" + port + "/api/rolls/" + roll + "/frames"))
                                    .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                                    .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
                                    .build(),
                            BodyHandlers.ofString());
            return new Answer(
                    answer.statusCode(), answer.body(), answer.headers().map());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void part(ByteArrayOutputStream body, String disposition, byte[] content) {
        String head = "--" + BOUNDARY + "\r\nContent-Disposition: form-data; " + disposition + "\r\n\r\n";
        body.writeBytes(head.getBytes(StandardCharsets.US_ASCII));
        body.writeBytes(content);
        body.writeBytes("\r\n".getBytes(StandardCharsets.US_ASCII));
    }

    private static byte[] png(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        for (int x = 0; x < width; x++) {
            for (int y = 0; y < height; y++) {
                image.getRaster().setSample(x, y, 0, 255 * x / width);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
