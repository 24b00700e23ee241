package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;
import java.util.stream.StreamSupport;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Every kind of test planned, exposed and read, with the numbers that a printer would reckon by hand. */
class TestKindsHttpTest extends ApplicationTest {
    private final List<String> rolls = new ArrayList<>();
    private final List<String> constants = new ArrayList<>();
    private String frame;
    private String colour;
    private String grey;

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

    private static String named(JsonNode stores, String shelf, String name) {
        return StreamSupport.stream(stores.get(shelf).spliterator(), false)
                .filter(t -> t.get("name").asString().equals(name))
                .findFirst()
                .orElse(stores.get(shelf).get(0))
                .get("id")
                .asString();
    }

    private String frame(String kind) {
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
    private String slate(String frameId, String enlarger, double lag, Map<String, ?> setup) {
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

    private static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private JsonNode plan(String slate, Map<String, ?> test) {
        return ok(http().patch(
                                "/api/slates/" + slate + "/recipe",
                                Map.of("version", http().version(slate), "test", test)))
                .get("test");
    }

    private JsonNode expose(String slate, String kind) {
        JsonNode sheets = exposeAndHang(begin(slate, kind)).get("sheets");
        return sheets.get(sheets.size() - 1);
    }

    private JsonNode proposal(JsonNode sheet, Map<String, ?> marks) {
        return ok(http().post("/api/sheets/" + sheet.get("id").asString() + "/readings/proposal", marks));
    }

    private void take(String slate, JsonNode sheet, Map<String, ?> marks) {
        ok(http().post(
                        "/api/sheets/" + sheet.get("id").asString() + "/readings",
                        Map.of(
                                "marks",
                                marks,
                                "taking",
                                Map.of("version", http().version(slate), "answer", "PROPOSED"))));
    }

    private static List<Double> figures(JsonNode list, String field) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(p -> Math.rint(10 * p.get(field).asDouble()) / 10)
                .toList();
    }

    /** 6.5 s in thirds, seven patches, no lag; and the gaps of equal seconds. */
    @Test
    void anEqualStopStripIsRoundedFirstAndDifferencedAfter() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        JsonNode test = plan(slate, Map.of("centreSeconds", 13.0, "stepStops", 1 / 3.0, "patches", 7));
        assertThat(figures(test.get("patches"), "totalSeconds"))
                .containsExactly(6.5, 8.2, 10.3, 13.0, 16.4, 20.6, 26.0);
        assertThat(figures(test.get("patches"), "setSeconds")).containsExactly(6.5, 1.7, 2.1, 2.7, 3.4, 4.2, 5.4);
        assertThat(test.get("totalSetSeconds").asDouble()).isCloseTo(26, within(1e-9));
        test.get("patches")
                .forEach(p -> assertThat(Math.abs(p.get("roundingErrorStops").asDouble()))
                        .isLessThan(0.01));
        long moves = StreamSupport.stream(test.get("script").spliterator(), false)
                .filter(s -> s.get("before").asString().startsWith("Cover"))
                .count();
        assertThat(moves).isEqualTo(6);
        assertThat(test.get("script").get(6).get("said").toString()).contains("cover-patches-one-to", "n6");
        JsonNode seconds = plan(
                slate, Map.of("series", "EQUAL_SECONDS", "centreSeconds", 16.25, "stepSeconds", 6.5, "patches", 4));
        assertThat(figures(seconds.get("patches"), "totalSeconds")).containsExactly(6.5, 13.0, 19.5, 26.0);
        List<Double> stops = StreamSupport.stream(seconds.get("patches").spliterator(), false)
                .map(p -> p.get("stopsFromCentre").asDouble())
                .toList();
        double[] gaps = {1.00, 0.58, 0.42};
        for (int i = 0; i < gaps.length; i++) {
            assertThat(stops.get(i + 1) - stops.get(i)).isCloseTo(gaps[i], within(0.005));
        }
    }

    /** Between 14 s and 21 s: 17.1 s, ± 0.29 stop, and a check strip is advised. */
    @Test
    void betweenTwoPatchesIsTheGeometricMean() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        plan(slate, Map.of("own", List.of(9.0, 14.0, 21.0, 32.0)));
        JsonNode sheet = expose(slate, "STRIP");
        JsonNode verdict = proposal(sheet, Map.of("whitesAt", 1.5));
        assertThat(verdict.get("seconds").asDouble()).isCloseTo(17.1, within(0.05));
        assertThat(verdict.get("uncertaintyStops").asDouble()).isCloseTo(0.29, within(0.005));
        assertThat(verdict.get("check").get("stepStops").asDouble()).isLessThanOrEqualTo(1 / 6.0 + 1e-9);
    }

    /** Bursts of 2.8 s, lag 0.35 s: the fourth patch is 9.8 s received, 10.2 s as one burst; without a lag 11.2 s. */
    @Test
    void theLagCountsAtEveryPress() {
        String slate = slate(frame, grey, 0.35, Map.of("apertureMark", 8));
        plan(slate, Map.of("presses", List.of(1, 2, 3, 4, 5, 6), "pressSeconds", 2.8));
        JsonNode sheet = expose(slate, "STRIP");
        assertThat(sheet.get("patches").get(3).get("givenSeconds").asDouble()).isCloseTo(9.8, within(1e-6));
        take(slate, sheet, Map.of("whitesAt", 3));
        JsonNode base = http().slate(slate).get("standing").get("base");
        assertThat(base.get("seconds").asDouble()).isCloseTo(9.8, within(0.01));
        assertThat(base.get("setSeconds").asDouble()).isCloseTo(10.2, within(1e-6));
        String without = slate(frame, grey, 0, Map.of("apertureMark", 8));
        plan(without, Map.of("presses", List.of(1, 2, 3, 4, 5, 6), "pressSeconds", 2.8));
        take(without, expose(without, "STRIP"), Map.of("whitesAt", 3));
        assertThat(http().slate(without)
                        .get("standing")
                        .get("base")
                        .get("setSeconds")
                        .asDouble())
                .isCloseTo(11.2, within(1e-6));
    }

    /** 14 s from f/16 to f/8 in half stops, colour: equivalents at f/16, and the fourth patch at the openings that stand. */
    @Test
    void oneTimeThroughOpeningsIsALadder() {
        String slate = slate(frame("COLOUR"), colour, 0, Map.of("apertureMark", 16));
        JsonNode test = plan(slate, Map.of("kind", "OPENINGS", "seconds", 14.0, "firstMark", 16.0, "patches", 5));
        assertThat(figures(test.get("patches"), "totalSeconds")).containsExactly(14.0, 19.8, 28.0, 39.6, 56.0);
        assertThat(StreamSupport.stream(test.get("patches").spliterator(), false)
                        .map(p -> p.get("name").asString()))
                .containsExactly("f/16", "f/13", "f/11", "f/9.5", "f/8");
        assertThat(StreamSupport.stream(test.get("script").spliterator(), false)
                        .mapToDouble(s -> s.get("setSeconds").asDouble())
                        .distinct()
                        .toArray())
                .containsExactly(14.0);
        JsonNode sheet = expose(slate, "OPENINGS");
        assertThat(sheet.get("label").asString()).isEqualTo("Openings 1");
        take(slate, sheet, Map.of("rightAt", 3));
        assertThat(base(slate)).isCloseTo(39.6, within(0.05));
        http().edit(slate, "setup/apertureMark", 11.0);
        assertThat(base(slate)).isCloseTo(19.8, within(0.05));
        http().edit(slate, "setup/apertureMark", 9.5);
        assertThat(base(slate)).isCloseTo(14.0, within(0.05));
    }

    private double base(String slate) {
        return http().slate(slate).get("standing").get("base").get("seconds").asDouble();
    }

    /** A wedge for 80 s: between the sectors 14 and 20 lies 16.7 s; at f/11 33.5 s; of 52 s it had been 10.9 s. */
    @Test
    void aWedgeIsReadAtAnyExposureAndOpening() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        List<Double> labels =
                DoubleStream.of(80, 57, 40, 28, 20, 14, 10, 7, 5).boxed().toList();
        JsonNode test =
                plan(slate, Map.of("kind", "WEDGE", "referenceSeconds", 80.0, "labels", labels, "seconds", 80.0));
        assertThat(test.get("patches").get(4).get("name").asString()).isEqualTo("20, D 0.60");
        assertThat(test.get("patches").get(3).get("name").asString()).isEqualTo("14, D 0.76");
        JsonNode sheet = expose(slate, "WEDGE");
        take(slate, sheet, Map.of("whitesAt", 3.5));
        assertThat(base(slate)).isCloseTo(16.7, within(0.05));
        http().edit(slate, "setup/apertureMark", 11.0);
        assertThat(base(slate)).isCloseTo(33.5, within(0.05));
        String shorter = slate(frame, grey, 0, Map.of("apertureMark", 8));
        plan(shorter, Map.of("kind", "WEDGE", "referenceSeconds", 80.0, "labels", labels, "seconds", 52.0));
        JsonNode other = expose(shorter, "WEDGE");
        assertThat(proposal(other, Map.of("whitesAt", 3.5)).get("seconds").asDouble())
                .isCloseTo(10.9, within(0.05));
        Answer off = http().post(
                        "/api/sheets/" + other.get("id").asString() + "/readings/proposal", Map.of("whitesAt", 9.5));
        assertThat(off.pointers()).containsExactly("/marks/whitesAt");
    }

    /** Five pieces with nips: between the third and the fourth lies 0/56/46, 12.9 s; four nips, maybe five, are two pieces. */
    @Test
    void betweenTwoPiecesLiesTheirPackAndTheirTime() {
        String slate = slate(frame("COLOUR"), colour, 0, Map.of("apertureMark", 8));
        http().edit(slate, "base/light", "0/53/46");
        http().edit(slate, "base/seconds", 12.4);
        JsonNode test = plan(
                slate,
                Map.of(
                        "kind",
                        "PIECES",
                        "lights",
                        List.of("0/41/46", "0/47/46", "0/53/46", "0/59/46", "0/65/46"),
                        "marks",
                        "NIPS"));
        assertThat(test.get("patches").get(2).get("totalSeconds").asDouble()).isCloseTo(12.4, within(0.05));
        assertThat(test.get("patches").get(3).get("mark").asString()).isEqualTo("4 nips");
        assertThat(test.get("script").get(1).get("setInLight").asBoolean()).isTrue();
        String sheetId = begin(slate, "PIECES");
        JsonNode sheet = exposeWithBox(sheetId);
        double third = sheet.get("patches").get(2).get("givenSeconds").asDouble();
        double fourth = sheet.get("patches").get(3).get("givenSeconds").asDouble();
        JsonNode verdict = proposal(sheet, Map.of("rightAt", 2.5));
        assertThat(verdict.get("light").get("notation").asString()).isEqualTo("0/56/46");
        assertThat(verdict.get("seconds").asDouble()).isCloseTo(Math.sqrt(third * fourth), within(1e-6));
        assertThat(verdict.get("seconds").asDouble()).isCloseTo(12.9, within(0.1));
        JsonNode candidates = ok(http().post(
                        "/api/calculations/piece-marks", Map.of("way", "NIPS", "nips", 4, "maybe", 1, "pieces", 5)));
        assertThat(candidates.get("candidates").toString()).isEqualTo("[4,5]");
        take(slate, sheet, Map.of("rightAt", 2.5));
        // What was compared pack by pack needs no further look, and a cast on it would be nobody's.
        assertThat(http().slate(slate)
                        .get("standing")
                        .get("next")
                        .get("station")
                        .asString())
                .isEqualTo("print");
        assertThat(http().post(
                                "/api/sheets/" + sheet.get("id").asString() + "/casts/proposal",
                                Map.of("way", "VIEWING_FILTER", "hue", "G", "points", 10))
                        .status())
                .isEqualTo(409);
        assertThat(http().slate(slate)
                        .get("standing")
                        .get("base")
                        .get("light")
                        .get("notation")
                        .asString())
                .isEqualTo("0/56/46");
    }

    /** Gives all light of pieces whose dials are set in white light between. */
    private JsonNode exposeWithBox(String sheetId) {
        JsonNode run = http().get("/api/sheets/" + sheetId + "/run").json();
        String path = "/api/sheets/" + sheetId;
        while (run.hasNonNull("step")) {
            int step = run.get("step").asInt();
            if (run.get("script").get(step - 1).get("setInLight").asBoolean()) {
                http().post(path + "/events", Map.of("kind", "PAPER_BOXED"));
                http().post(path + "/events", Map.of("kind", "PAPER_TAKEN"));
            }
            ok(http().post(path + "/lamp", Map.of("on", true, "step", step)));
            timer().pass(run.get("nextSetSeconds").asDouble());
            run = http().get(path + "/run").json();
        }
        JsonNode sheets = http().post(path + "/hang", Map.of()).json().get("sheets");
        return sheets.get(sheets.size() - 1);
    }

    @Test
    void aSecondTestNeverForgetsTheFirst() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        plan(slate, Map.of("own", List.of(5.0, 10.0, 20.0)));
        JsonNode first = expose(slate, "STRIP");
        take(slate, first, Map.of("whitesAt", 1));
        plan(slate, Map.of("kind", "SAME_SPOT", "own", List.of(8.0, 12.0, 18.0)));
        JsonNode second = expose(slate, "SAME_SPOT");
        assertThat(second.get("patches").get(1).get("piece").asInt()).isEqualTo(2);
        JsonNode verdict = proposal(second, Map.of("whitesAt", 1));
        assertThat(verdict.get("seconds").asDouble()).isBetween(10.5, 11.9);
        assertThat(verdict.get("restsOn").toString()).contains("Strip 1 said 10.0 s at");
    }

    @Test
    void oneSheetIsCorrectedByHowItLooksAndCanBeThePrint() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        http().edit(slate, "base/seconds", 10.0);
        plan(slate, Map.of("kind", "GUESS"));
        JsonNode sheet = expose(slate, "GUESS");
        assertThat(sheet.get("asks").size()).isZero();
        assertThat(http().post("/api/sheets/" + sheet.get("id").asString() + "/readings/proposal", Map.of())
                        .pointers())
                .containsExactly("/marks/moreStops");
        JsonNode verdict = proposal(sheet, Map.of("moreStops", 0.5));
        assertThat(verdict.get("seconds").asDouble()).isCloseTo(14.14, within(0.01));
        assertThat(verdict.get("uncertaintyStops").asDouble()).isCloseTo(0.5, within(0.001));
        ok(http().post(
                        "/api/sheets/" + sheet.get("id").asString() + "/acceptance",
                        Map.of("version", http().version(slate))));
        assertThat(http().slate(slate).get("standing").get("acceptedSheetId").asString())
                .isEqualTo(sheet.get("id").asString());
    }

    @Test
    void anAnswerOffTheTestPlansTheNextOne() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        plan(slate, Map.of("centreSeconds", 10.0, "stepStops", 0.5, "patches", 5));
        JsonNode sheet = expose(slate, "STRIP");
        JsonNode little = proposal(sheet, Map.of("beyond", "LIGHTER"));
        assertThat(little.get("again").asBoolean()).isTrue();
        assertThat(little.get("headline").asString()).isEqualTo("Every patch is too dark. Next: 1.3 to 5.0 s.");
        JsonNode far = proposal(sheet, Map.of("beyond", "FAR_DARKER"));
        assertThat(far.get("headline").asString()).isEqualTo("Every patch is too light. Next: 40.0 to 160.0 s.");
        assertThat(http().post(
                                "/api/sheets/" + sheet.get("id").asString() + "/readings/proposal",
                                Map.of("beyond", "UP"))
                        .pointers())
                .containsExactly("/marks/beyond");
        ok(http().post(
                        "/api/sheets/" + sheet.get("id").asString() + "/readings",
                        Map.of(
                                "marks",
                                Map.of("beyond", "LIGHTER"),
                                "taking",
                                Map.of("version", http().version(slate), "answer", "CHECK"))));
        JsonNode next = http().slate(slate).get("standing").get("test");
        assertThat(figures(next.get("patches"), "totalSeconds")).startsWith(1.3).endsWith(5.0);
    }

    @Test
    void whatCannotBeGivenIsRefusedWithTheWayOut() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        assertThat(plan(slate, Map.of("kind", "OPENINGS", "clicks", 6))
                        .get("problem")
                        .asString())
                .contains("take");
        assertThat(http().edit(slate, "test/kind", "DARTS").pointers()).containsExactly("/test/kind");
        assertThat(http().edit(slate, "test/own", List.of(5, 4)).status()).isEqualTo(200);
        plan(slate, Map.of("kind", "STRIP"));
        assertThat(http().edit(slate, "test/own", List.of(5, 4)).pointers()).containsExactly("/test/own");
        assertThat(http().edit(slate, "test/presses", List.of(0, 4)).pointers()).containsExactly("/test/presses");
        plan(slate, Map.of("kind", "WEDGE"));
        assertThat(http().edit(slate, "test/labels", List.of(10, 10)).pointers())
                .containsExactly("/test/labels");
        assertThat(http().edit(slate, "test/patchMm", 900).pointers()).containsExactly("/test/patchMm");
        plan(slate, Map.of("kind", "PIECES"));
        assertThat(http().edit(slate, "test/lights", List.of("grade 2", "grade 9"))
                        .pointers())
                .containsExactly("/test/lights");
        assertThat(http().edit(slate, "test/spotX", 2).pointers()).containsExactly("/test/spotX");
        Answer wrong = http().post(
                        "/api/slates/" + slate + "/sheets", Map.of("version", http().version(slate), "kind", "STRIP"));
        assertThat(wrong.pointers()).containsExactly("/kind");
        assertThat(wrong.text()).contains("Another kind of test");
    }

    @Test
    void everyKindIsDrawnAsItWillComeOut() {
        String slate = http().newSlate("Bottle kiln");
        for (String kind : List.of("SAME_SPOT", "OPENINGS", "WEDGE", "GUESS", "PIECES", "STRIP")) {
            plan(slate, Map.of("kind", kind));
            byte[] picture = http().bytes("/api/slates/" + slate + "/test-preview?side=120");
            assertThat(picture).as(kind).startsWith('B', 'M');
            assertThat(http().slate(slate)
                            .get("standing")
                            .get("test")
                            .get("plan")
                            .get("kind")
                            .asString())
                    .isEqualTo(kind);
        }
    }

    /** A timer of one's own is set once: whole stops by presses for an unknown negative, sixteen presses at most to settle it. */
    @Test
    void anOwnTimerIsNeverSetAnewInTheDark() {
        String enlarger = http().get("/api/stores")
                .json()
                .get("enlargers")
                .get(0)
                .get("id")
                .asString();
        String lamp = http().get("/api/stores")
                .json()
                .get("enlargers")
                .get(0)
                .get("lamp")
                .asString();
        ok(http().patch("/api/stores/enlargers/" + enlarger, Map.of("lamp", "MY_TIMER")));
        try {
            String slate = slate(frame, enlarger, 0, Map.of("apertureMark", 8));
            http().edit(slate, "base/seconds", 16.0);
            JsonNode wide = plan(slate, Map.of("kind", "STRIP", "forUnknownNegative", true));
            assertThat(figures(wide.get("patches"), "totalSeconds")).containsExactly(4.0, 8.0, 16.0, 32.0, 64.0);
            assertThat(StreamSupport.stream(wide.get("script").spliterator(), false)
                            .mapToDouble(s -> s.get("setSeconds").asDouble())
                            .distinct()
                            .toArray())
                    .containsExactly(4.0);
            assertThat(plan(slate, Map.of("series", "EQUAL_STOPS", "stepStops", 1 / 12.0, "patches", 9))
                            .get("problem")
                            .asString())
                    .contains("presses of one setting");
            plan(slate, Map.of("series", "EQUAL_STOPS", "stepStops", 0.5, "patches", 5));
            JsonNode sheet = told(begin(slate, "STRIP"));
            ok(http().post(
                            "/api/sheets/" + sheet.get("id").asString() + "/readings",
                            Map.of(
                                    "marks",
                                    Map.of("whitesAt", 2),
                                    "taking",
                                    Map.of("version", http().version(slate), "answer", "CHECK"))));
            JsonNode check = http().slate(slate).get("standing").get("test");
            assertThat(check.hasNonNull("problem")).isFalse();
            assertThat(check.get("plan").get("presses").toString()).isEqualTo("[8,9,10,11,12,13,14,15,16]");
        } finally {
            ok(http().patch("/api/stores/enlargers/" + enlarger, Map.of("lamp", lamp)));
        }
    }

    /** Says of every step that it was given. */
    private JsonNode told(String sheetId) {
        String path = "/api/sheets/" + sheetId;
        JsonNode run = http().get(path + "/run").json();
        while (run.hasNonNull("step")) {
            ok(http().post(
                            path + "/lamp",
                            Map.of("on", true, "step", run.get("step").asInt())));
            run = ok(http().post(path + "/lamp", Map.of("on", false, "complete", true)));
        }
        JsonNode sheets = http().post(path + "/hang", Map.of()).json().get("sheets");
        return sheets.get(sheets.size() - 1);
    }
}
