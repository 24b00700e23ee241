package keyslate.server.slate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import keyslate.server.ApplicationTest;
import keyslate.server.Http;
import keyslate.server.Http.Answer;
import keyslate.server.negative.Negatives;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What once went wrong and must not again; each is said by its name. */
class MendedFaultsHttpTest extends ApplicationTest {
    private static final double SMALL = 1e-9;

    @Autowired
    private Negatives negatives;

    private String slate;

    @BeforeEach
    void newSlate() {
        slate = http().newSlate("Drying loft");
    }

    @Test
    void twoSecondsMoreAreAddedAndNotSet() {
        http().edit(slate, "base/seconds", 10);
        http().edit(slate, "base/changeSeconds", 2);
        assertThat(seconds()).isCloseTo(12, within(SMALL));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.5, 0.7, 10, 133.3})
    void aStepUpAndAStepDownComeBackHoweverShortTheTime(double start) {
        http().edit(slate, "base/seconds", start);
        http().edit(slate, "base/changeStops", 1.0 / 12);
        assertThat(seconds()).isCloseTo(start * Math.pow(2, 1.0 / 12), within(1e-6));
        http().edit(slate, "base/changeStops", -1.0 / 12);
        assertThat(seconds()).isCloseTo(start, within(1e-6));
    }

    @Test
    void nullInAListOrAnAnswerIsRefusedAndNoFailure() {
        List<Object> nothing = new ArrayList<>(Arrays.asList((Object) null));
        assertThat(http().edit(slate, "local/areas", nothing).status()).isEqualTo(422);
        Map<String, Object> area = Map.of(
                "key",
                "a",
                "name",
                "A",
                "shape",
                Map.of("kind", "lasso", "points", nothing),
                "softEdge",
                0.1,
                "changeStops",
                -0.5,
                "tool",
                "wand");
        assertThat(http().edit(slate, "local/areas", List.of(area)).status()).isEqualTo(422);
        String strip = begin(slate, "STRIP");
        exposeAndHang(strip);
        assertThat(http().send("POST", "/api/sheets/" + strip + "/readings", "{\"marks\": null, \"taking\": null}")
                        .status())
                .isIn(400, 422);
        assertThat(http().send(
                                "POST",
                                "/api/sheets/" + strip + "/readings",
                                "{\"marks\": {\"whitesAt\": 1}, \"taking\": {\"version\": " + http().version(slate)
                                        + ", \"answer\": \"PERHAPS\"}}")
                        .status())
                .isEqualTo(422);
        assertThat(http().slate(slate).get("sheets").get(0).get("decisions").isEmpty())
                .isTrue();
    }

    @Test
    void ofManyWhoTurnTheLampOnAtOnceOneDoes() {
        String sheet = begin(slate, "STRIP");
        List<CompletableFuture<Answer>> asked = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            asked.add(CompletableFuture.supplyAsync(
                    () -> http().post("/api/sheets/" + sheet + "/lamp", Map.of("on", true, "step", 1))));
        }
        List<Integer> answers = asked.stream().map(a -> a.join().status()).toList();
        assertThat(answers).containsOnlyOnce(200).containsOnly(200, 409);
        timer().off();
        exposeAndHang(sheet);
        List<CompletableFuture<Answer>> hung = new ArrayList<>();
        String print = begin(slate, "PRINT");
        JsonNode run = http().get("/api/sheets/" + print + "/run").json();
        http().post("/api/sheets/" + print + "/lamp", Map.of("on", true, "step", 1));
        timer().pass(run.get("nextSetSeconds").asDouble());
        for (int i = 0; i < 6; i++) {
            hung.add(CompletableFuture.supplyAsync(() -> http().post("/api/sheets/" + print + "/hang", Map.of())));
        }
        assertThat(hung.stream().map(a -> a.join().status()).toList())
                .containsOnlyOnce(200)
                .containsOnly(200, 409);
    }

    @Test
    void textThatIsTooLongIsRefusedAndNotCut() {
        String sheet = begin(slate, "STRIP");
        Answer reason = http().post("/api/sheets/" + sheet + "/abandon", Map.of("reason", "x".repeat(201)));
        assertThat(reason.pointers()).containsExactly("/reason");
        exposeAndHang(sheet);
        long version = http().version(slate);
        Answer remark = http().post(
                        "/api/sheets/" + sheet + "/readings",
                        Map.of(
                                "marks",
                                Map.of("whitesAt", 1),
                                "taking",
                                Map.of("version", version, "answer", "PROPOSED", "remark", "x".repeat(401))));
        assertThat(remark.status()).isEqualTo(422);
        Answer tool = http().edit(slate, "local/areas", List.of(area("A", "x".repeat(61))));
        assertThat(tool.pointers()).containsExactly("/local/areas/0/tool");
    }

    @Test
    void controlCharactersInATextAreRefused() {
        for (String title : List.of("a\u0000b", "a\u0007b", "a\u202eb")) {
            assertThat(http().edit(slate, "naming/title", title).pointers()).containsExactly("/naming/title");
        }
    }

    @Test
    void anEditThatIsRefusedIsNotStored() {
        long version = http().version(slate);
        assertThat(http().edit(slate, "test/breadthMm", 0.01).status()).isEqualTo(422);
        assertThat(http().version(slate)).isEqualTo(version);
        assertThat(http().get("/api/slates/" + slate).status()).isEqualTo(200);
        // A base of ten minutes with a hold too short for any timer: taken or refused, the slate opens.
        http().edit(slate, "base/seconds", 600);
        http().edit(slate, "local/areas", List.of(area("Short", "wand", -0.002)));
        assertThat(http().get("/api/slates/" + slate).status()).isEqualTo(200);
        assertThat(http().post("/api/slates/" + slate + "/undo", Map.of("version", http().version(slate)))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void aRefusedImportLeavesTheNextWriteFree() {
        ObjectNode file =
                (ObjectNode) http().get("/api/slates/" + slate + "/export").json();
        ((ObjectNode) file.get("slate")).put("id", "other").put("recipeId", "nowhere");
        assertThat(http().send("POST", "/api/imports", file.toString()).status())
                .isEqualTo(422);
        assertThat(http().edit(slate, "setup/borderMm", 11).status()).isEqualTo(200);
    }

    @Test
    void twoAreasOfOneNameAreTwo() {
        http().edit(slate, "base/seconds", 20);
        http().edit(slate, "local/areas", List.of(area("Pot", "wand", -0.5), area("Pot", "card", 0.5)));
        JsonNode script = http().slate(slate).get("standing").get("local").get("script");
        List<String> keys = script.findValues("areaKeys").stream()
                .flatMap(JsonNode::valueStream)
                .map(JsonNode::asString)
                .distinct()
                .toList();
        assertThat(keys).hasSize(2);
    }

    @Test
    void onlyTheBathsOfItsOwnProcessGrowOlder() {
        JsonNode before = http().get("/api/bench").json().get("baths");
        exposeAndHang(begin(slate, "PRINT"));
        JsonNode after = http().get("/api/bench").json().get("baths");
        for (int i = 0; i < before.size(); i++) {
            double more = after.get(i).get("usedM2").asDouble()
                    - before.get(i).get("usedM2").asDouble();
            boolean own = "MONOCHROME".equals(before.get(i).get("process").asString());
            assertThat(more > 0).as(before.get(i).get("name").asString()).isEqualTo(own);
        }
    }

    @Test
    void anotherBoxIsAnotherBoxWhateverItsBatchIsCalled() {
        exposeAndHang(begin(slate, "STRIP"));
        JsonNode setup = http().slate(slate).get("standing").get("setup");
        String other = http().get("/api/stores")
                .json()
                .get("papers")
                .valueStream()
                .filter(p -> "MONOCHROME".equals(p.get("kind").asString()))
                .map(p -> p.get("id").asString())
                .filter(id -> !id.equals(setup.get("paperId").asString()))
                .findFirst()
                .orElseThrow();
        http().edit(slate, "setup/paperId", other);
        assertThat(http().slate(slate).get("standing").get("differences").findValuesAsString("part"))
                .contains("paper");
    }

    /** Readers that wait for a picture hold no connection that its loader needs: many at once on cold caches all answer. */
    @Test
    void manyReadersOfPicturesThatNobodyHasDecodedAllAnswer() {
        negatives.forget();
        List<String> slates = http().get("/api/bench")
                .json()
                .get("slates")
                .valueStream()
                .map(s -> s.get("id").asString())
                .toList();
        List<CompletableFuture<Answer>> asked = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            for (String id : slates) {
                asked.add(CompletableFuture.supplyAsync(() -> http().get("/api/slates/" + id)));
                asked.add(CompletableFuture.supplyAsync(() -> http().get("/api/slates/" + id + "/preview?side=240")));
            }
        }
        assertThat(asked.stream()
                        .map(a -> a.orTimeout(60, TimeUnit.SECONDS).join().status())
                        .toList())
                .allMatch(status -> List.of(200, 404, 409).contains(status))
                .contains(200);
    }

    @Test
    void aPictureWithoutBlackIsNeverAskedForOne() {
        http().edit(slate, "naming/blackWanted", false);
        JsonNode standing = http().slate(slate).get("standing");
        assertThat(standing.get("medium").get("marks").findValuesAsString("field"))
                .doesNotContain("blacksAt");
        String strip = begin(slate, "STRIP");
        exposeAndHang(strip);
        JsonNode verdict = http().post("/api/sheets/" + strip + "/readings/proposal", Map.of("whitesAt", 2))
                .json();
        assertThat(verdict.get("headline").asString().toLowerCase(Locale.ROOT))
                .doesNotContain("harder")
                .doesNotContain("black");
        assertThat(verdict.get("light").get("notation").asString())
                .isEqualTo(standing.get("base").get("light").get("notation").asString());
    }

    @Test
    void aGreyScanIsAsLightAsTheSameScanInColour() throws IOException {
        JsonNode roll = http().post(
                        "/api/rolls",
                        Map.of("title", "Ramps", "film", "", "kind", "MONOCHROME", "longMm", 36, "shortMm", 24))
                .json();
        String id = roll.get("id").asString();
        List<byte[]> positives = new ArrayList<>();
        for (int type : new int[] {BufferedImage.TYPE_BYTE_GRAY, BufferedImage.TYPE_INT_RGB}) {
            for (String format : List.of("png", "jpeg")) {
                String number = Integer.toString(positives.size() + 1);
                JsonNode frame = http().upload(
                                "/api/rolls/" + id + "/frames",
                                "ramp",
                                ramp(type, format),
                                "number",
                                number,
                                "title",
                                "Ramp")
                        .json();
                positives.add(http().bytes("/api/frames/" + frame.get("id").asString() + "/positive?side=300"));
            }
        }
        int[] first = greys(positives.get(0));
        for (byte[] positive : positives) {
            int[] other = greys(positive);
            for (int i = 0; i < first.length; i++) {
                assertThat(other[i]).isCloseTo(first[i], within(4));
            }
        }
    }

    @Test
    void whatAFrameworkRefusesHasACodeToo() {
        assertThat(http().get("/error").status()).isBetween(400, 499);
        assertThat(http().send("POST", "/api/slates", "{}", "Accept", "*/*").status())
                .isEqualTo(422);
        for (String type :
                List.of("*/*", "application/*", "nonsense", "text/plain", "application/x-www-form-urlencoded")) {
            Http.Answer refused = http().send("POST", "/api/slates", "{}", "Content-Type", type);
            assertThat(refused.status()).as(type).isEqualTo(415);
            assertThat(refused.code()).as(type).isEqualTo("unsupported-media-type");
        }
    }

    /** A file without a hash in its name is asked for again; one with a hash may stay for a year. */
    @Test
    void onlyFilesWithAHashAreKeptForLong() {
        assertThat(cacheControl("/room.js")).contains("no-cache");
        assertThat(cacheControl("/icon.svg")).contains("no-cache");
        String page = http().get("/").text();
        String asset = page.replaceFirst("(?s).*src=\"(/assets/[^\"]+)\".*", "$1");
        assertThat(cacheControl(asset)).contains("max-age=31536000").contains("immutable");
    }

    private String cacheControl(String path) {
        Answer answer = http().get(path);
        assertThat(answer.status()).as(path).isEqualTo(200);
        return String.join(",", answer.headers().get("cache-control"));
    }

    private double seconds() {
        return http().slate(slate).get("standing").get("base").get("seconds").asDouble();
    }

    private static Map<String, Object> area(String name, String tool) {
        return area(name, tool, -0.5);
    }

    private static Map<String, Object> area(String name, String tool, double stops) {
        double x = stops < 0 ? 0.3 : 0.7;
        return Map.of(
                "key",
                "of " + tool.charAt(0),
                "name",
                name,
                "shape",
                Map.of("kind", "ellipse", "points", List.of(Map.of("x", x, "y", 0.5), Map.of("x", 0.1, "y", 0.1))),
                "softEdge",
                0.05,
                "changeStops",
                stops,
                "tool",
                tool);
    }

    private static byte[] ramp(int type, String format) throws IOException {
        BufferedImage image = new BufferedImage(300, 200, type);
        for (int x = 0; x < 300; x++) {
            int code = 20 + x * 220 / 300;
            for (int y = 0; y < 200; y++) {
                if (type == BufferedImage.TYPE_BYTE_GRAY) {
                    image.getRaster().setSample(x, y, 0, code);
                } else {
                    image.setRGB(x, y, code << 16 | code << 8 | code);
                }
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    private static int[] greys(byte[] jpeg) throws IOException {
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(jpeg));
        int[] greys = new int[9];
        for (int i = 0; i < greys.length; i++) {
            greys[i] = image.getRaster().getSample((i + 1) * image.getWidth() / 10, image.getHeight() / 2, 0);
        }
        return greys;
    }
}
