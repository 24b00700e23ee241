package keyslate.server.slate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Size, opening and time of one frame, and what is carried to another: the numbers a printer would reckon by hand. */
class SizeHttpTest extends ApplicationTest {
    private static final double POINTS_PER_MM = 72 / 25.4;
    private final List<String> added = new ArrayList<>();
    private final List<String> rolls = new ArrayList<>();

    @AfterEach
    void tidyUp() {
        rolls.forEach(
                id -> assertThat(http().send("DELETE", "/api/rolls/" + id, "").status())
                        .isLessThan(300));
        added.forEach(id -> http().post("/api/stores/" + id + "/retired", Map.of("retired", true)));
        http().put("/api/stores/units", Map.of("shortestSeconds", 8, "longestSeconds", 30));
    }

    private List<String> frames(String film, String kind, double longMm, double shortMm, int count) {
        JsonNode roll = http().post(
                        "/api/rolls",
                        Map.of(
                                "title",
                                "Roll of " + film,
                                "film",
                                film,
                                "kind",
                                kind,
                                "longMm",
                                longMm,
                                "shortMm",
                                shortMm,
                                "frames",
                                count))
                .json();
        rolls.add(roll.get("id").asString());
        return StreamSupport.stream(roll.get("frames").spliterator(), false)
                .map(f -> f.get("id").asString())
                .toList();
    }

    private String slate(String frame) {
        return http().post("/api/slates", Map.of("frameId", frame, "title", "Yard gate", "intent", ""))
                .json()
                .get("id")
                .asString();
    }

    private JsonNode setup(String slate, Map<String, ?> setup) {
        Answer answer = http().patch(
                        "/api/slates/" + slate + "/recipe", Map.of("version", http().version(slate), "setup", setup));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private String thing(String shelf, String name) {
        return StreamSupport.stream(http().get("/api/stores").json().get(shelf).spliterator(), false)
                .filter(t -> t.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asString();
    }

    private String added(String shelf, Map<String, ?> thing) {
        Answer answer = http().post("/api/stores/" + shelf, thing);
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        String id = thing(shelf, thing.get("name").toString());
        added.add(id);
        return id;
    }

    private void accept(String slate) {
        String sheet = begin(slate, "PRINT");
        exposeAndHang(sheet);
        assertThat(http().post(
                                "/api/sheets/" + sheet + "/acceptance",
                                Map.of("version", http().version(slate), "remark", ""))
                        .status())
                .isEqualTo(200);
    }

    /** 56 × 41.5 mm on 300 × 240 mm: fill or whole, what is lost, overfill, and the kept part moved to either end. */
    @Test
    void aCropKeepsWhatItsRatiosLeave() {
        String slate = slate(frames("crop film", "MONOCHROME", 56, 41.5, 1).get(0));
        JsonNode fill = setup(
                        slate, Map.of("sheetWidthMm", 300, "sheetHeightMm", 240, "borderMm", 0, "fit", "FILL_SHEET"))
                .get("setup");
        assertThat(fill.get("magnification").asDouble()).isCloseTo(5.78, within(0.005));
        assertThat(fill.get("lostMm").asDouble()).isCloseTo(4.1, within(0.05));
        assertThat(fill.get("lostFraction").asDouble()).isCloseTo(0.074, within(0.0005));
        assertThat(fill.get("crop").get("width").asDouble() * 56).isCloseTo(51.9, within(0.05));
        JsonNode atOneEnd = setup(slate, Map.of("cropPlace", 0)).get("setup");
        assertThat(atOneEnd.get("crop").get("left").asDouble()).isZero();
        JsonNode atTheOther = setup(slate, Map.of("cropPlace", 1)).get("setup").get("crop");
        assertThat(atTheOther.get("left").asDouble() + atTheOther.get("width").asDouble())
                .isCloseTo(1, within(1e-9));
        assertThat(setup(slate, Map.of("overfillPercent", 1))
                        .get("setup")
                        .get("magnification")
                        .asDouble())
                .isCloseTo(5.84, within(0.005));
        JsonNode whole = setup(slate, Map.of("fit", "WHOLE_PICTURE", "overfillPercent", 0))
                .get("setup");
        assertThat(whole.get("magnification").asDouble()).isCloseTo(5.36, within(0.005));
        assertThat(whole.get("imageHeightMm").asDouble()).isCloseTo(222.3, within(0.05));
        assertThat((240 - whole.get("imageHeightMm").asDouble()) / 2).isCloseTo(8.8, within(0.05));
    }

    @Test
    void anotherSlateOfAFrameBeginsWithWhatItAskedForLast() {
        String frame = frames("again film", "MONOCHROME", 56, 41.5, 1).get(0);
        setup(slate(frame), Map.of("fit", "FILL_SHEET", "overfillPercent", 2, "cropDown", 0.2, "borderMm", 9));
        JsonNode again = http().slate(slate(frame)).get("standing").get("setup");
        assertThat(again.get("fit").asString()).isEqualTo("FILL_SHEET");
        assertThat(again.get("cropDown").asDouble()).isEqualTo(0.2);
        assertThat(again.get("borderMm").asDouble()).isEqualTo(9);
        assertThat(again.get("overfillPercent").asDouble()).isEqualTo(2);
    }

    @Test
    void bladesStandEachForItself() {
        String slate = slate(frames("blade film", "MONOCHROME", 56, 41.5, 1).get(0));
        JsonNode set = setup(
                        slate,
                        Map.of(
                                "blades",
                                Map.of("leftMm", 10, "topMm", 12, "rightMm", 20, "bottomMm", 30),
                                "fit",
                                "FILL_SHEET"))
                .get("setup");
        assertThat(set.get("borderMm").asDouble()).isEqualTo(10);
        assertThat(set.get("blades").get("bottomMm").asDouble()).isEqualTo(30);
        assertThat(set.get("imageWidthMm").asDouble())
                .isGreaterThanOrEqualTo(set.get("turnedWidthMm").asDouble() - 30 - 1e-9);
        Answer wrong = http().edit(slate, "setup/blades", Map.of("leftMm", -1, "topMm", 900));
        assertThat(wrong.pointers()).containsExactlyInAnyOrder("/setup/blades/leftMm", "/setup/blades/topMm");
        Answer nothingLeft = http().edit(slate, "setup/blades", Map.of("leftMm", 200, "rightMm", 200));
        assertThat(nothingLeft.status()).isEqualTo(422);
        assertThat(http().slate(slate)
                        .get("standing")
                        .get("setup")
                        .get("blades")
                        .get("leftMm")
                        .asDouble())
                .isEqualTo(10);
    }

    /** 3.4 s at f/5.6 with a window of 10 to 20 s. */
    @Test
    void openingsBringATimeIntoTheWindow() {
        String slate = slate(frames("tile film", "MONOCHROME", 56, 41.5, 1).get(0));
        http().put("/api/stores/units", Map.of("shortestSeconds", 10, "longestSeconds", 20));
        String lens = added(
                "lenses",
                Map.of("name", "Full stops", "focalMm", 80, "openMark", 5.6, "smallestMark", 22, "marksPerStop", 1));
        setup(slate, Map.of("lensId", lens, "apertureMark", 5.6));
        JsonNode geometry = http().edit(slate, "base/seconds", 3.4).json().get("geometry");
        assertThat(geometry.get("window").get("own").asBoolean()).isTrue();
        JsonNode pairs = geometry.get("pairs");
        assertThat(pairs)
                .extracting(p -> p.get("apertureMark").asString() + " "
                        + String.format(
                                java.util.Locale.ROOT, "%.1f", p.get("seconds").asDouble()) + " "
                        + p.get("within").asString() + " " + p.get("best").asBoolean())
                .containsExactly(
                        "5.6 3.4 SHORT false",
                        "8.0 6.8 SHORT false",
                        "11.0 13.6 WORKABLE true",
                        "16.0 27.2 LONG false",
                        "22.0 54.4 LONG false");
        assertThat(pairs.get(2).get("clicks").asString()).isEqualTo("2 clicks from open, 2 clicks closed");
        assertThat(http().put("/api/stores/units", Map.of("shortestSeconds", 40))
                        .pointers())
                .containsExactly("/shortestSeconds");
        assertThat(http().put("/api/stores/units", Map.of("longestSeconds", 0.1))
                        .pointers())
                .contains("/longestSeconds");
    }

    /** 8.5 s at f/8 and 4.5 times, made 8 times: × 2.678, 22.8 s; the chain and its limits, and focus is asked for. */
    @Test
    void aLargerPrintIsCarriedFromTheSmallOne() {
        String slate = slate(frames("stack film", "MONOCHROME", 56, 41.5, 1).get(0));
        setup(slate, Map.of("lensId", thing("lenses", "80 mm lens"), "apertureMark", 8));
        setup(slate, Map.of("sizedBy", "PICTURE", "sizedReading", 4.5 * 56));
        http().edit(slate, "base/seconds", 8.5);
        accept(slate);
        JsonNode larger = setup(slate, Map.of("sizedBy", "PICTURE", "sizedReading", 8.0 * 56));
        assertThat(larger.get("setup").get("magnification").asDouble()).isCloseTo(8, within(1e-9));
        JsonNode carried = larger.get("setup").get("startingTime");
        assertThat(carried.get("seconds").asDouble()).isCloseTo(22.76, within(0.01));
        assertThat(carried.get("source").asString()).isEqualTo("rescaled");
        assertThat(carried.get("arithmetic").get(1).asString()).contains("2.68 for the size");
        assertThat(carried.get("limitStops").asDouble()).isBetween(0.03, 1.0 / 6);
        assertThat(carried.get("checkStepStops").asDouble()).isCloseTo(1.0 / 6, within(1e-9));
        assertThat(carried.get("arithmetic").get(3).asString()).contains("⅙ stop apart, 20.3 s, 22.8 s and 25.5 s");
        assertThat(larger.get("geometry").get("movedSinceLook").get(0).asString())
                .isEqualTo("the size was 4.5 ×");
        JsonNode wider = setup(slate, Map.of("apertureMark", 5.6)).get("setup").get("startingTime");
        assertThat(wider.get("seconds").asDouble()).isCloseTo(11.4, within(0.05));
    }

    @Test
    void focusIsAskedForOnceAndNeverOfASheetUnderTheLamp() {
        String slate = slate(frames("focus film", "MONOCHROME", 56, 41.5, 1).get(0));
        exposeAndHang(begin(slate, "PRINT"));
        assertThat(moved(http().slate(slate).get("standing"))).isEmpty();
        assertThat(moved(setup(slate, Map.of("borderMm", 12)))).isNotEmpty();
        JsonNode looked = http().post("/api/slates/" + slate + "/focus-check", Map.of("version", http().version(slate)))
                .json();
        assertThat(moved(looked)).isEmpty();
        setup(slate, Map.of("borderMm", 20));
        String sheet = begin(slate, "PRINT");
        assertThat(moved(http().slate(slate).get("standing"))).isEmpty();
        exposeAndHang(sheet);
        String other = slate(frames("focus film", "MONOCHROME", 56, 41.5, 1).get(0));
        assertThat(moved(http().slate(other).get("standing"))).contains("another negative in the carrier");
        assertThat(http().post("/api/slates/" + slate + "/focus-check", Map.of("version", 0))
                        .status())
                .isEqualTo(409);
    }

    @Test
    void aFilterBelowTheLensMovesTheFocus() {
        String set = added(
                "things",
                Map.of("kind", "FILTER_SET", "name", "Below the lens", "facts", Map.of("place", "BELOW_LENS")));
        String slate = slate(frames("filter film", "MONOCHROME", 56, 41.5, 1).get(0));
        exposeAndHang(begin(slate, "PRINT"));
        assertThat(moved(http().edit(slate, "base/light", "grade 4").json()))
                .containsExactly("the filter below the lens was grade 2½");
        http().post("/api/stores/" + set + "/retired", Map.of("retired", true));
        assertThat(moved(http().slate(slate).get("standing"))).isEmpty();
    }

    private static List<String> moved(JsonNode standing) {
        return standing.get("geometry")
                .get("movedSinceLook")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
    }

    @Test
    void aSizeReadByEyeIsDerivedFromWhatWasRead() {
        String slate = slate(frames("eye film", "MONOCHROME", 36, 24, 1).get(0));
        setup(slate, Map.of("lensId", thing("lenses", "50 mm lens")));
        assertThat(setup(slate, Map.of("sizedBy", "HEIGHT", "sizedReading", 300))
                        .get("setup")
                        .get("magnification")
                        .asDouble())
                .isCloseTo(5, within(1e-9));
        assertThat(http().edit(slate, "setup/sizedBy", "COLUMN").pointers()).containsExactly("/setup/sizedReading");
        Answer unread = http().patch(
                        "/api/slates/" + slate + "/recipe",
                        Map.of(
                                "version",
                                http().version(slate),
                                "setup",
                                Map.of("sizedBy", "COLUMN", "sizedReading", 318)));
        assertThat(unread.pointers()).containsExactly("/setup/sizedReading");
        assertThat(unread.text()).contains("was not read against sizes");
        assertThat(http().edit(slate, "setup/sizedBy", "EAR").pointers()).contains("/setup/sizedBy");
        assertThat(setup(slate, Map.of("fit", "WHOLE_PICTURE")).get("setup").hasNonNull("sizedBy"))
                .isFalse();
    }

    /** The middle of own prints' packs, and of their times carried to it, then to another size. */
    @Test
    void theFirstColourStripComesFromOwnPrintsOfTheFilm() {
        List<String> frames = frames("bowl film", "COLOUR", 36, 24, 4);
        Map<String, Object> stands = new HashMap<>(Map.of(
                "lensId",
                thing("lenses", "50 mm lens"),
                "enlargerId",
                thing("enlargers", "Kiln colour"),
                "paperId",
                thing("papers", "Colour gloss 20 × 25"),
                "apertureMark",
                8,
                "sizedBy",
                "PICTURE",
                "sizedReading",
                6.0 * 36));
        Map<String, Double> kept = Map.of("0/52/47", 9.5, "0/58/50", 11.0, "0/49/41", 8.6);
        int at = 0;
        for (Map.Entry<String, Double> print : kept.entrySet()) {
            String slate = slate(frames.get(at++));
            setup(slate, stands);
            http().edit(slate, "base/light", print.getKey());
            http().edit(slate, "base/seconds", print.getValue());
            accept(slate);
        }
        String next = slate(frames.get(3));
        JsonNode same = setup(next, stands).get("setup").get("startingTime");
        assertThat(same.get("light").get("notation").asString()).isEqualTo("0/52/47");
        assertThat(same.get("seconds").asDouble()).isCloseTo(9.5, within(0.05));
        assertThat(same.get("arithmetic").get(0).asString())
                .isEqualTo("0/52/47 is the middle of their packs, M 49 to 58, Y 41 to 50.");
        stands.put("sizedReading", 8.0 * 36);
        JsonNode larger = setup(next, stands).get("setup").get("startingTime");
        assertThat(larger.get("seconds").asDouble()).isCloseTo(15.7, within(0.05));
    }

    @Test
    void aSizingSheetIsAsLargeAsThePaperOrComesInParts() throws Exception {
        String slate = slate(frames("sizing film", "MONOCHROME", 56, 41.5, 1).get(0));
        setup(slate, Map.of("sheetWidthMm", 406, "sheetHeightMm", 305));
        try (PDDocument whole = Loader.loadPDF(http().bytes("/api/slates/" + slate + "/sizing-sheet"))) {
            assertThat(whole.getNumberOfPages()).isEqualTo(1);
            assertThat(whole.getPage(0).getMediaBox().getWidth())
                    .isCloseTo((float) (406 * POINTS_PER_MM), within(0.1f));
            assertThat(whole.getPage(0).getMediaBox().getHeight())
                    .isCloseTo((float) (305 * POINTS_PER_MM), within(0.1f));
            assertThat(new PDFTextStripper().getText(whole)).contains("Yard gate", "406 × 305 mm", "100 mm");
        }
        try (PDDocument parts = Loader.loadPDF(http().bytes("/api/slates/" + slate + "/sizing-sheet?inParts=true"))) {
            assertThat(parts.getNumberOfPages()).isGreaterThan(1);
            parts.getPages()
                    .forEach(p -> assertThat(p.getMediaBox().getWidth())
                            .isCloseTo((float) (297 * POINTS_PER_MM), within(0.1f)));
        }
        Answer neither = http().get("/api/slates/" + slate + "/sizing-sheet?inParts=perhaps");
        assertThat(neither.pointers()).containsExactly("/inParts");
        assertThat(neither.text()).contains("true or false belongs here");
        setup(slate, Map.of("projection", "LENS"));
        assertThat(http().get("/api/slates/" + slate + "/sizing-sheet").status())
                .isIn(409, 422);
    }

    @Test
    void aPaperThatLosesSpeedInLongExposuresIsAllowedForWhereItIsEntered() {
        String box = added(
                "papers", Map.of("name", "Slow in long times", "kind", "MONOCHROME", "longMm", 254, "shortMm", 203));
        String slate = slate(frames("slow film", "MONOCHROME", 56, 41.5, 1).get(0));
        setup(slate, Map.of("paperId", box));
        setup(slate, Map.of("lensId", thing("lenses", "80 mm lens"), "apertureMark", 8));
        JsonNode plain =
                http().edit(slate, "base/seconds", 20).json().get("geometry").get("pairs");
        http().post(
                        "/api/stores/" + box + "/constants",
                        Map.of("name", "RECIPROCITY", "value", 0.9, "remark", "its maker's sheet"));
        JsonNode slower = http().slate(slate).get("standing").get("geometry").get("pairs");
        assertThat(at(plain, 11)).isCloseTo(40, within(0.01));
        assertThat(at(slower, 11)).isCloseTo(20 * Math.pow(2, 1 / 0.9), within(0.05));
        assertThat(http().post(
                                "/api/stores/" + box + "/constants",
                                Map.of("name", "RECIPROCITY", "value", 0.5, "remark", ""))
                        .pointers())
                .containsExactly("/value");
    }

    private static double at(JsonNode pairs, double mark) {
        return pairs.valueStream()
                .filter(p -> p.get("apertureMark").asDouble() == mark)
                .findFirst()
                .orElseThrow()
                .get("seconds")
                .asDouble();
    }
}
