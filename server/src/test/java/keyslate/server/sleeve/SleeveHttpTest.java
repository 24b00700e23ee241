package keyslate.server.sleeve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import keyslate.server.picture.SleeveFile;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The scan of a whole sheet, cut into the frames of its roll. */
class SleeveHttpTest extends ApplicationTest {
    /** The bar is told from the rest by so many codes. */
    private static final int BAR_CODES = 20;

    private String roll;

    @BeforeEach
    void enterARoll() {
        roll = http().post(
                        "/api/rolls",
                        Map.of(
                                "title",
                                "Roll 61",
                                "film",
                                "",
                                "longMm",
                                36,
                                "shortMm",
                                24,
                                "frames",
                                5,
                                "stripFrames",
                                3))
                .json()
                .get("id")
                .asString();
    }

    @AfterEach
    void deleteIt() {
        http().send("DELETE", "/api/rolls/" + roll, "");
    }

    private Answer hand(byte[] file) {
        return http().upload("/api/rolls/" + roll + "/sleeve", "sheet.png", file);
    }

    private Answer grid(Map<String, ?> asked) {
        return http().post("/api/rolls/" + roll + "/sleeve/grid", asked);
    }

    private JsonNode frames() {
        return grid(Map.of(
                        "corners",
                        SleeveFile.CORNERS,
                        "gapAlong",
                        SleeveFile.GAP_ALONG,
                        "gapAcross",
                        SleeveFile.GAP_ACROSS))
                .json();
    }

    private Answer cut(JsonNode frame) {
        return cut(frame, Map.of());
    }

    private Answer cut(JsonNode frame, Map<String, ?> more) {
        List<Double> corners = new ArrayList<>();
        frame.get("corners").forEach(c -> corners.add(c.asDouble()));
        Map<String, Object> asked = new HashMap<>(Map.of("corners", corners, "negative", false));
        asked.putAll(more);
        return http().post("/api/frames/" + frame.get("frameId").asString() + "/scan/from-sleeve", asked);
    }

    /** Where an upright frame's picture is brightest, share of its height. */
    private double highest(String frameId) throws IOException {
        BufferedImage image =
                ImageIO.read(new ByteArrayInputStream(http().bytes("/api/frames/" + frameId + "/positive?side=240")));
        double most = IntStream.range(0, image.getHeight())
                .map(y -> greyDown(image, y))
                .max()
                .orElseThrow();
        // The middle of the bar, whichever way it is turned.
        return IntStream.range(0, image.getHeight())
                        .filter(y -> greyDown(image, y) > most - BAR_CODES)
                        .average()
                        .orElseThrow()
                / image.getHeight();
    }

    private static int greyDown(BufferedImage image, int y) {
        return image.getRGB(image.getWidth() / 2, y) & 0xff;
    }

    /** Where a frame's picture is brightest, share of its width. */
    private double brightest(String frameId) throws IOException {
        BufferedImage image =
                ImageIO.read(new ByteArrayInputStream(http().bytes("/api/frames/" + frameId + "/positive?side=240")));
        int at = 0;
        for (int x = 0; x < image.getWidth(); x++) {
            if (grey(image, x) > grey(image, at)) {
                at = x;
            }
        }
        return (double) at / image.getWidth();
    }

    private static int grey(BufferedImage image, int x) {
        return image.getRGB(x, image.getHeight() / 2) & 0xff;
    }

    @Test
    void eachFrameGetsItsOwnPartOfTheOneScan() throws IOException {
        JsonNode sleeve = hand(SleeveFile.png(5)).json();
        assertThat(http().get("/api/rolls/" + roll + "/sleeve").json()).isEqualTo(sleeve);
        JsonNode frames = frames();
        assertThat(frames.size()).isEqualTo(5);
        int at = 0;
        for (JsonNode frame : frames) {
            JsonNode shown = cut(frame).json();
            assertThat(shown.get("hasPicture").asBoolean()).isTrue();
            assertThat(shown.get("widthMm").asDouble()).isEqualTo(36);
            assertThat(brightest(frame.get("frameId").asString())).isCloseTo(SleeveFile.bar(at++), within(0.08));
        }
        assertThat(frames().get(0).get("hasPicture").asBoolean()).isTrue();
    }

    @Test
    void anUprightFrameIsTurnedByTheSideItsHeadLiesAt() throws IOException {
        hand(SleeveFile.png(5));
        JsonNode frame = frames().get(0);
        String id = frame.get("frameId").asString();
        http().patch("/api/frames/" + id, Map.of("upright", true));
        JsonNode upright = frames().get(0);
        assertThat(upright.get("upright").asBoolean()).isTrue();
        assertThat(cut(upright).json().get("heightMm").asDouble()).isEqualTo(36);
        double left = highest(id);
        cut(upright, Map.of("headsRight", true));
        assertThat(highest(id)).isCloseTo(1 - left, within(0.05));
        assertThat(left).isCloseTo(SleeveFile.bar(0), within(0.08));
    }

    @Test
    void anotherScanTakesItsPlaceAndIsForgottenAgain() {
        String first = hand(SleeveFile.png(5)).json().get("pictureId").asString();
        String second = hand(SleeveFile.png(5)).json().get("pictureId").asString();
        assertThat(second).isNotEqualTo(first);
        assertThat(http().get("/api/pictures/" + first).status()).isEqualTo(404);
        assertThat(http().send("DELETE", "/api/rolls/" + roll + "/sleeve", "").status())
                .isEqualTo(204);
        assertThat(http().get("/api/rolls/" + roll + "/sleeve").status()).isEqualTo(404);
        assertThat(http().get("/api/pictures/" + second).status()).isEqualTo(404);
    }

    @Test
    void whatIsNoSheetIsRefusedWithASentence() {
        assertThat(hand(new byte[] {1, 2, 3}).pointers()).containsExactly("/file");
        assertThat(hand(new byte[0]).pointers()).containsExactly("/file");
        assertThat(http().get("/api/rolls/" + roll + "/sleeve").status()).isEqualTo(404);
        assertThat(grid(Map.of("corners", List.of(0.1, 0.1), "gapAlong", 3, "gapAcross", -1))
                        .pointers())
                .containsExactlyInAnyOrder("/corners", "/gapAlong", "/gapAcross");
        JsonNode frame = frames().get(0);
        assertThat(cut(frame).status()).isEqualTo(404);
        assertThat(frames().get(0).get("hasPicture").asBoolean()).isFalse();
    }
}
