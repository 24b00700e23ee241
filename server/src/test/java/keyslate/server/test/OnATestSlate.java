package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import tools.jackson.databind.JsonNode;

/** Slates for tests of the kinds of test: made, planned, exposed and read over HTTP, and away again. */
abstract class OnATestSlate extends ApplicationTest {
    private final List<String> rolls = new ArrayList<>();
    private final List<String> constants = new ArrayList<>();
    String frame;
    String colour;
    String grey;

    @BeforeEach
    void start() {
        frame = frame("MONOCHROME");
        JsonNode stores = http().get("/api/stores").json();
        grey = named(stores, "enlargers", "Diffusion head");
        colour = named(stores, "enlargers", "Kiln colour");
    }

    @AfterEach
    void tidyUp() {
        rolls.forEach(id -> http().send("DELETE", "/api/rolls/" + id, ""));
        constants.forEach(id -> http().send("DELETE", "/api/stores/constants/" + id, ""));
    }

    static String named(JsonNode stores, String shelf, String name) {
        return StreamSupport.stream(stores.get(shelf).spliterator(), false)
                .filter(t -> t.get("name").asString().equals(name))
                .findFirst()
                .orElse(stores.get(shelf).get(0))
                .get("id")
                .asString();
    }

    String frame(String kind) {
        JsonNode roll = http().post(
                        "/api/rolls",
                        Map.of(
                                "title",
                                "Tests",
                                "film",
                                "test film",
                                "kind",
                                kind,
                                "longMm",
                                60,
                                "shortMm",
                                60,
                                "frames",
                                1))
                .json();
        rolls.add(roll.get("id").asString());
        return roll.get("frames").get(0).get("id").asString();
    }

    /** A slate whose lamp has a lag that was entered, seconds. */
    String slate(String frameId, String enlarger, double lag, Map<String, ?> setup) {
        JsonNode found = http().post("/api/stores/" + enlarger + "/constants", Map.of("name", "LAG", "value", lag))
                .json();
        StreamSupport.stream(found.get("enlargers").spliterator(), false)
                .filter(e -> e.get("id").asString().equals(enlarger))
                .flatMap(e -> StreamSupport.stream(e.get("constants").spliterator(), false))
                .filter(c -> c.get("name").asString().equals("LAG") && c.hasNonNull("id"))
                .forEach(c -> constants.add(c.get("id").asString()));
        String id = http().post("/api/slates", Map.of("frameId", frameId, "title", "Tests", "intent", ""))
                .json()
                .get("id")
                .asString();
        Map<String, Object> stands = new HashMap<>(setup);
        stands.put("enlargerId", enlarger);
        ok(http().patch("/api/slates/" + id + "/recipe", Map.of("version", http().version(id), "setup", stands)));
        return id;
    }

    static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    JsonNode plan(String slate, Map<String, ?> test) {
        return ok(http().patch(
                                "/api/slates/" + slate + "/recipe",
                                Map.of("version", http().version(slate), "test", test)))
                .get("test");
    }

    JsonNode expose(String slate, String kind) {
        return hung(begin(slate, kind));
    }

    /** The frame gets a positive: greys all over. */
    void scanned() throws IOException {
        Answer answer = http().upload("/api/frames/" + frame + "/scan", "scene.png", scene(), "negative", "false");
        assertThat(answer.status()).as(answer.text()).isLessThan(300);
    }

    /** A grey wall right across the middle, lighter above and darker below. */
    private static byte[] scene() throws IOException {
        BufferedImage image = new BufferedImage(600, 600, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < 600; y++) {
            for (int x = 0; x < 600; x++) {
                int grey = y > 250 && y < 350 ? 118 : y < 250 ? 150 + x / 8 : 40 + x / 12;
                image.setRGB(x, y, grey << 16 | grey << 8 | grey);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    /** Takes the practice phone's picture of a sheet and hands it in as any other file. */
    JsonNode photographed(JsonNode sheet) {
        String id = sheet.get("id").asString();
        byte[] jpeg = http().bytes("/api/sheets/" + id + "/practice-photo");
        JsonNode seen = ok(http().upload("/api/pictures/papers", "phone.jpg", jpeg));
        assertThat(seen.get("papers").size()).isPositive();
        assertThat(seen.get("preview").asString()).startsWith("data:image/jpeg");
        Answer handed = http().upload("/api/sheets/" + id + "/scans", "phone.jpg", jpeg);
        assertThat(handed.status()).as(handed.text()).isEqualTo(201);
        JsonNode sheets = handed.json().get("sheets");
        return sheets.get(sheets.size() - 1);
    }

    JsonNode proposal(JsonNode sheet, Map<String, ?> marks) {
        return ok(http().post("/api/sheets/" + sheet.get("id").asString() + "/readings/proposal", marks));
    }

    void take(String slate, JsonNode sheet, Map<String, ?> marks) {
        answer(slate, sheet, marks, "PROPOSED");
    }

    void answer(String slate, JsonNode sheet, Map<String, ?> marks, String answer) {
        ok(http().post(
                        "/api/sheets/" + sheet.get("id").asString() + "/readings",
                        Map.of("marks", marks, "taking", Map.of("version", http().version(slate), "answer", answer))));
    }

    static List<Double> figures(JsonNode list, String field) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(p -> Math.rint(10 * p.get(field).asDouble()) / 10)
                .toList();
    }
}
