package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Tests with the numbers that a printer would reckon by hand: planned, exposed and read. */
class TestScenariosHttpTest extends OnATestSlate {
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

    /** Grade 2 and 2½ on one strip: each row is read by itself, and both count. */
    @Test
    void aStripInTwoRowsIsReadRowByRow() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        JsonNode test =
                plan(slate, Map.of("centreSeconds", 10.0, "stepStops", 0.25, "patches", 5, "second", "grade 3"));
        assertThat(figures(test.get("patches"), "row"))
                .containsExactly(1.0, 1.0, 1.0, 1.0, 1.0, 2.0, 2.0, 2.0, 2.0, 2.0);
        assertThat(test.get("script").get(0).get("before").asString()).isEqualTo("Card over the lower row");
        JsonNode turn = test.get("script").get(5);
        assertThat(turn.get("before").asString()).isEqualTo("Set grade 3. Card off the lower row, over the upper row");
        assertThat(turn.get("said").toString()).contains("other-half");
        assertThat(turn.get("words").asString()).isEqualTo("Lower row");
        assertThat(test.get("script").get(7).get("words").asString()).isEqualTo("Cover patches 1 to 2");
        JsonNode sheet = expose(slate, "STRIP");
        assertThat(figures(sheet.get("patches"), "row")).hasSize(10).contains(2.0);
        assertThat(sheet.get("asks").size()).isGreaterThan(1);
        JsonNode upper = proposal(sheet, Map.of("whitesAt", 2));
        assertThat(upper.get("seconds").asDouble()).isCloseTo(10, within(0.05));
        JsonNode lower = proposal(sheet, Map.of("whitesAt", 2, "row", 2));
        assertThat(lower.get("light").get("notation").asString()).isEqualTo("grade 3");
        assertThat(lower.get("seconds").asDouble())
                .isCloseTo(sheet.get("patches").get(7).get("givenSeconds").asDouble(), within(0.05));
        take(slate, sheet, Map.of("whitesAt", 2));
        JsonNode both = proposal(sheet, Map.of("whitesAt", 3, "row", 2));
        assertThat(both.get("restsOn").toString()).contains("Strip 1, row 1, said 10.0 s at grade 2");
        assertThat(both.get("uncertaintyStops").asDouble())
                .isLessThan(lower.get("uncertaintyStops").asDouble());
        take(slate, sheet, Map.of("whitesAt", 3, "row", 2));
        JsonNode read = http().slate(slate).get("sheets").get(0).get("decisions");
        assertThat(read.get(1).get("row").asInt()).isEqualTo(2);
        assertThat(http().post(
                                "/api/sheets/" + sheet.get("id").asString() + "/readings/proposal",
                                Map.of("whitesAt", 2, "row", 3))
                        .pointers())
                .containsExactly("/marks/row");
        assertThat(http().edit(slate, "test/second", "grade 7").pointers()).containsExactly("/test/second");
        plan(slate, Map.of("second", ""));
        assertThat(http().slate(slate)
                        .get("standing")
                        .get("test")
                        .get("patches")
                        .size())
                .isEqualTo(5);
    }

    /** A third row lies beside the second: each is made, said and read by itself, and it goes with the second. */
    @Test
    void aStripInThreeRowsIsReadRowByRow() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        assertThat(http().edit(slate, "test/third", "grade 1")
                        .json()
                        .get("test")
                        .hasNonNull("third"))
                .isFalse();
        JsonNode test = plan(
                slate,
                Map.of(
                        "centreSeconds",
                        10.0,
                        "stepStops",
                        0.25,
                        "patches",
                        5,
                        "second",
                        "grade 3½",
                        "third",
                        "grade 1½"));
        assertThat(figures(test.get("patches"), "row")).hasSize(15).contains(1.0, 2.0, 3.0);
        assertThat(test.get("script").get(0).get("before").asString()).isEqualTo("Cards over all but the upper row");
        JsonNode turn = test.get("script").get(10);
        assertThat(turn.get("before").asString()).isEqualTo("Set grade 1½. Cards over all but the lower row");
        assertThat(turn.get("said").toString()).contains("all-but-row", "n3");
        assertThat(test.get("script").get(5).get("words").asString()).isEqualTo("Middle row");
        assertThat(test.get("script").get(12).get("words").asString()).isEqualTo("Cover patches 1 to 2");
        assertThat(http().edit(slate, "test/third", "grade 9").pointers()).containsExactly("/test/third");
        JsonNode sheet = expose(slate, "STRIP");
        JsonNode soft = proposal(sheet, Map.of("whitesAt", 2, "row", 3));
        assertThat(soft.get("light").get("notation").asString()).isEqualTo("grade 1½");
        take(slate, sheet, Map.of("whitesAt", 2, "row", 3));
        take(slate, sheet, Map.of("whitesAt", 2, "row", 2));
        JsonNode all = proposal(sheet, Map.of("whitesAt", 2));
        assertThat(all.get("restsOn").toString()).contains("Strip 1, row 2, said", "Strip 1, row 3, said");
        assertThat(http().post(
                                "/api/sheets/" + sheet.get("id").asString() + "/readings/proposal",
                                Map.of("whitesAt", 2, "row", 4))
                        .pointers())
                .containsExactly("/marks/row");
        JsonNode same = plan(
                slate,
                Map.of(
                        "third",
                        http().slate(slate)
                                .get("standing")
                                .get("test")
                                .get("plan")
                                .get("second")
                                .asString()));
        assertThat(same.get("problem").asString()).contains("the same light");
        assertThat(plan(slate, Map.of("second", "")).get("plan").hasNonNull("third"))
                .isFalse();
    }

    /** No patch is black: the grade goes harder by what is missing at least; a black that is there tells more. */
    @Test
    void aBlackThatIsNotOnTheStripIsABound() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        plan(slate, Map.of("centreSeconds", 10.0, "stepStops", 0.25, "patches", 7));
        JsonNode sheet = expose(slate, "STRIP");
        String light = proposal(sheet, Map.of("whitesAt", 2))
                .get("light")
                .get("notation")
                .asString();
        JsonNode harder = proposal(sheet, Map.of("whitesAt", 2, "blackBeyond", "DARKER"));
        assertThat(harder.get("light").get("notation").asString()).isNotEqualTo(light);
        assertThat(harder.get("restsOn").toString()).contains("No patch is black");
        assertThat(harder.get("headline").asString()).contains("late");
        JsonNode softer = proposal(sheet, Map.of("whitesAt", 4, "blackBeyond", "LIGHTER"));
        assertThat(softer.get("headline").asString()).contains("early");
        assertThat(http().post(
                                "/api/sheets/" + sheet.get("id").asString() + "/readings/proposal",
                                Map.of("whitesAt", 2, "blackBeyond", "SIDEWAYS"))
                        .pointers())
                .containsExactly("/marks/blackBeyond");
        take(slate, sheet, Map.of("whitesAt", 2, "blackBeyond", "DARKER"));
        assertThat(http().slate(slate)
                        .get("sheets")
                        .get(0)
                        .get("decisions")
                        .get(0)
                        .get("blackBeyond")
                        .asString())
                .isEqualTo("DARKER");
    }

    /** Two slates whose grade 3 holds the whites a third of a stop later than its set says teach a third one; its own slate is not counted twice, and one that is deleted tells no more. */
    @Test
    void whatStripsTellOfFiltersOutlivesTheirSlate() {
        List<Double> before = carriedToThree();
        long told = tellingSlates();
        for (int i = 0; i < 3; i++) {
            String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
            plan(slate, Map.of("centreSeconds", 10.0, "stepStops", 1 / 6.0, "patches", 9, "second", "grade 3"));
            JsonNode sheet = expose(slate, "STRIP");
            take(slate, sheet, Map.of("whitesAt", 4));
            take(slate, sheet, Map.of("whitesAt", 6, "row", 2));
        }
        List<Double> after = carriedToThree();
        double stops = Math.log(after.get(0) / before.get(0)) / Math.log(2);
        assertThat(stops).isBetween(0.25, 0.5);
        // A slate of another test may have told something too, and not yet enough to be shown.
        long telling = tellingSlates();
        assertThat(telling).isGreaterThanOrEqualTo(told + 3);
        tidyUp();
        assertThat(tellingSlates()).isLessThanOrEqualTo(telling - 3);
    }

    /** How many slates tell of filters, over all papers and enlargers, as Stores says. */
    private long tellingSlates() {
        return Pattern.compile("Filters in [^\"]*, from (one|\\d+) slate")
                .matcher(http().get("/api/stores").json().toString())
                .results()
                .mapToLong(m -> "one".equals(m.group(1)) ? 1 : Long.parseLong(m.group(1)))
                .sum();
    }

    /** Seconds through grade 3 that keep the whites of 10 s through grade 2, as Contrast says on a new slate. */
    private List<Double> carriedToThree() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        ok(http().patch(
                        "/api/slates/" + slate + "/recipe",
                        Map.of("version", http().version(slate), "base", Map.of("light", "grade 2", "seconds", 10.0))));
        JsonNode found = ok(http().post("/api/slates/" + slate + "/contrast/proposal", Map.of("light", "grade 3")));
        return List.of(found.get("one").get("seconds").asDouble());
    }

    /** One sheet, half through grade 2 and half through grade 4, each as dark: which is right, or what lies between. */
    @Test
    void halfAndHalfAsksWhichHalfIsRight() {
        String slate = slate(frame, grey, 0, Map.of("apertureMark", 8));
        JsonNode test = plan(slate, Map.of("kind", "GUESS", "seconds", 10.0, "second", "grade 4"));
        assertThat(test.get("script").get(0).get("words").asString()).isEqualTo("Left half");
        JsonNode sheet = expose(slate, "GUESS");
        JsonNode verdict = proposal(sheet, Map.of("rightAt", 0.5));
        assertThat(verdict.get("light").get("notation").asString()).isEqualTo("grade 3");
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
        JsonNode offered = proposal(sheet, Map.of("whitesAt", 3)).get("asPatch");
        assertThat(offered.get("count").asInt()).isEqualTo(4);
        assertThat(offered.get("setSeconds").asDouble()).isCloseTo(2.8, within(1e-9));
        assertThat(offered.get("seconds").asDouble()).isCloseTo(9.8, within(1e-9));
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

    /** The fourth patch again as it was: four bursts of 2.8 s, printed, changed, undone, and in one exposure again. */
    @Test
    void fourBurstsAreExactlyTheFourthPatch() {
        String slate = slate(frame, grey, 0.35, Map.of("apertureMark", 8));
        plan(slate, Map.of("presses", List.of(1, 2, 3, 4, 5, 6), "pressSeconds", 2.8));
        JsonNode sheet = expose(slate, "STRIP");
        answer(slate, sheet, Map.of("whitesAt", 3), "AS_PATCH");
        assertThat(pressed(slate)).containsExactly(9.8, 2.8, 4.0);
        assertThat(http().slate(slate)
                        .get("standing")
                        .get("base")
                        .get("because")
                        .asString())
                .contains("Given as the patch, in 4 exposures");
        JsonNode print = expose(slate, "PRINT");
        assertThat(figures(print.get("script"), "setSeconds")).containsExactly(2.8, 2.8, 2.8, 2.8);
        http().edit(slate, "base/changeStops", 1.0);
        assertThat(pressed(slate)).containsExactly(19.6, 5.3, 4.0);
        http().edit(slate, "base/presses", 1);
        assertThat(pressed(slate)).containsExactly(19.6, 20.0, 1.0);
        assertThat(proposal(sheet, Map.of("whitesAt", 2.5)).get("asPatch")).isNull();
        assertThat(proposal(sheet, Map.of("whitesAt", 0)).get("asPatch")).isNull();
    }

    private List<Double> pressed(String slate) {
        JsonNode base = http().slate(slate).get("standing").get("base");
        return Stream.of("seconds", "setSeconds", "presses")
                .map(f -> Math.rint(10 * base.get(f).asDouble()) / 10)
                .toList();
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
        JsonNode sheet = hung(sheetId);
        double third = sheet.get("patches").get(2).get("givenSeconds").asDouble();
        double fourth = sheet.get("patches").get(3).get("givenSeconds").asDouble();
        JsonNode verdict = proposal(sheet, Map.of("rightAt", 2.5));
        assertThat(verdict.get("light").get("notation").asString()).isEqualTo("0/56/46");
        assertThat(verdict.get("seconds").asDouble()).isCloseTo(Math.sqrt(third * fourth), within(1e-6));
        assertThat(verdict.get("seconds").asDouble()).isCloseTo(12.9, within(0.1));
        assertThat(http().post(
                                "/api/sheets/" + sheet.get("id").asString() + "/readings/proposal",
                                Map.of("looks", List.of(Map.of("rightAt", 2), Map.of("rightAt", 3))))
                        .pointers())
                .containsExactly("/marks/looks");
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
                                Map.of(
                                        "way",
                                        "VIEWING_FILTER",
                                        "looks",
                                        List.of(Map.of("filters", List.of(Map.of("hue", "G", "points", 10))))))
                        .pointers())
                .containsExactly("/cast/looks/0/pieces");
        assertThat(http().slate(slate)
                        .get("standing")
                        .get("base")
                        .get("light")
                        .get("notation")
                        .asString())
                .isEqualTo("0/56/46");
    }
}
