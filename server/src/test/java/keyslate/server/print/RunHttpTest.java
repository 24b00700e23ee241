package keyslate.server.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A sheet under the lamp: burst by burst, stopped and gone on with, hung or given up. */
class RunHttpTest extends ApplicationTest {
    /** Set times go in hundredths of a second after a stop. */
    private static final double STEP = 0.011;

    private String slate;
    private String sheet;

    @BeforeEach
    void beginAStrip() {
        slate = http().newSlate("Drying loft");
        sheet = begin(slate, "STRIP");
    }

    @Test
    void aBurstIsGivenAndTheNextOneWaits() {
        assertThat(run().get("step").asInt()).isEqualTo(1);
        JsonNode on = lamp(1).json();
        assertThat(on.get("lampOn").asBoolean()).isTrue();
        timer().pass(on.get("nextSetSeconds").asDouble());
        assertThat(run().get("lampOn").asBoolean()).isFalse();
        assertThat(run().get("step").asInt()).isEqualTo(2);
    }

    @Test
    void aBurstThatWasStoppedIsGoneOnWithForTheRestAndTheLagOnceMore() {
        double set = lamp(1).json().get("nextSetSeconds").asDouble();
        timer().pass(2);
        http().post("/api/sheets/" + sheet + "/lamp", Map.of("on", false));
        JsonNode stopped = run();
        assertThat(stopped.get("resumed").asBoolean()).isTrue();
        double lag = set - run().get("script").get(0).get("receivedSeconds").asDouble();
        assertThat(stopped.get("nextSetSeconds").asDouble()).isCloseTo(set - 2 + lag, within(STEP));
        lamp(1);
        timer().pass(100);
        assertThat(run().get("step").asInt()).isEqualTo(2);
        JsonNode hung = exposeAndHang(sheet);
        JsonNode first = hung.get("sheets").get(0).get("patches").get(0);
        assertThat(first.get("givenSeconds").asDouble()).isCloseTo(set - lag, within(STEP));
    }

    @Test
    void aBurstOutOfTurnIsRefused() {
        assertThat(lamp(2).code()).isEqualTo("not-this-step");
        lamp(1);
        assertThat(lamp(1).code()).isEqualTo("not-this-step");
        assertThat(http().post("/api/sheets/" + sheet + "/lamp", Map.of("on", true))
                        .pointers())
                .containsExactly("/step");
        timer().off();
    }

    @Test
    void onlyOneSheetIsUnderTheLamp() {
        Answer second = http().post(
                        "/api/slates/" + slate + "/sheets", Map.of("version", http().version(slate), "kind", "PRINT"));
        assertThat(second.status()).isEqualTo(409);
        assertThat(second.code()).isEqualTo("sheet-under-lamp");
        lamp(1);
        String other = http().newSlate("Window shelf");
        String otherSheet = begin(other, "STRIP");
        Answer busy = http().post("/api/sheets/" + otherSheet + "/lamp", Map.of("on", true, "step", 1));
        assertThat(busy.code()).isEqualTo("lamp-busy");
        timer().off();
    }

    @Test
    void aSheetIsHungOnlyWhenAllLightIsGivenAndThenStays() {
        assertThat(http().post("/api/sheets/" + sheet + "/hang", Map.of()).code())
                .isEqualTo("steps-left");
        JsonNode hung = exposeAndHang(sheet).get("sheets").get(0);
        assertThat(hung.get("state").asString()).isEqualTo("HUNG");
        assertThat(hung.get("simulatedPicture").asBoolean()).isTrue();
        String picture = "/api/pictures/" + hung.get("pictureId").asString();
        assertThat(http().get(picture).status()).isEqualTo(200);
        assertThat(http().post("/api/sheets/" + sheet + "/hang", Map.of()).code())
                .isEqualTo("not-exposing");
        assertThat(lamp(1).code()).isEqualTo("not-exposing");
    }

    @Test
    void aSheetThatIsGivenUpKeepsWhatItGotAndUsesPaper() {
        double left = paperLeft();
        lamp(1);
        timer().pass(100);
        JsonNode after = http().post("/api/sheets/" + sheet + "/abandon", Map.of("reason", "knocked the easel"))
                .json();
        JsonNode given = after.get("sheets").get(0);
        assertThat(given.get("state").asString()).isEqualTo("ABANDONED");
        assertThat(given.get("note").asString()).isEqualTo("knocked the easel");
        assertThat(given.get("patches").get(0).get("givenSeconds").asDouble()).isPositive();
        begin(slate, "PRINT");
        assertThat(paperLeft()).isCloseTo(left - 1, within(1e-9));
    }

    @Test
    void aFrameThatWasNeverScannedHasNoPictureButCanBeReadByPatch() {
        String unscanned = http().newSlate("Thrower's hands");
        String strip = begin(unscanned, "STRIP");
        JsonNode hung = exposeAndHang(strip);
        assertThat(hung.get("sheets").get(0).hasNonNull("pictureId")).isFalse();
        JsonNode basis = hung.get("standing").get("previewBasis");
        assertThat(basis.get("measured").asBoolean()).isFalse();
        assertThat(basis.get("text").asString()).startsWith("No scan of this frame");
        JsonNode verdict = http().post(
                        "/api/sheets/" + strip + "/readings/proposal", Map.of("whitesAt", 2, "blacksAt", 4))
                .json();
        assertThat(verdict.get("seconds").asDouble()).isPositive();
    }

    @Test
    void thePrintOfARecipeFromAStripIsAsLightAsTheChosenPatch() {
        exposeAndHang(sheet);
        long version = http().version(slate);
        JsonNode read = http().post(
                        "/api/sheets/" + sheet + "/readings",
                        Map.of(
                                "marks",
                                Map.of("whitesAt", 2),
                                "taking",
                                Map.of("version", version, "answer", "KEEP_LIGHT")))
                .json();
        double seconds = read.get("standing").get("base").get("seconds").asDouble();
        double patch = read.get("sheets")
                .get(0)
                .get("patches")
                .get(2)
                .get("givenSeconds")
                .asDouble();
        assertThat(seconds).isCloseTo(patch, within(0.06));
        JsonNode printed = exposeAndHang(begin(slate, "PRINT"));
        assertThat(printed.get("standing").get("next").get("station").asString())
                .isEqualTo("judge");
    }

    @Test
    void twoEnlargersAreLitAtOnceAndGivingOneUpLeavesTheOther() {
        String colour = begin(http().newSlate("Teapot in colour"), "STRIP");
        lamp(1);
        timer().pass(1);
        assertThat(http().post("/api/sheets/" + colour + "/lamp", Map.of("on", true, "step", 1))
                        .status())
                .isEqualTo(200);
        timer().pass(1);
        JsonNode given = http().post("/api/sheets/" + colour + "/abandon", Map.of("reason", "wrong box"))
                .json();
        assertThat(given.get("sheets").get(0).get("state").asString()).isEqualTo("ABANDONED");
        JsonNode still = run();
        assertThat(still.get("lampOn").asBoolean()).isTrue();
        assertThat(still.get("elapsedSeconds").asDouble()).isCloseTo(2, within(STEP));
        timer().pass(100);
        assertThat(run().get("step").asInt()).isEqualTo(2);
    }

    @Test
    void aSheetThatIsGivenUpTurnsItsOwnLampOff() {
        lamp(1);
        timer().pass(1);
        http().post("/api/sheets/" + sheet + "/abandon", Map.of("reason", "knocked"));
        JsonNode after = run();
        assertThat(after.get("lampOn").asBoolean()).isFalse();
        assertThat(after.get("state").asString()).isEqualTo("ABANDONED");
    }

    @Test
    void whatHappensToASheetIsOnRecordInItsOrderAndNotBeforeItsLight() {
        String path = "/api/sheets/" + sheet + "/events";
        assertThat(http().post(path, Map.of("kind", "IN_FIXER")).status()).isEqualTo(409);
        for (JsonNode run = run(); run.hasNonNull("step"); run = run()) {
            lamp(run.get("step").asInt());
            timer().pass(100);
        }
        assertThat(http().post(path, Map.of("kind", "IN_TEA")).status()).isEqualTo(422);
        http().post(path, Map.of("kind", "IN_DEVELOPER"));
        JsonNode run = http().post(path, Map.of("kind", "IN_FIXER")).json();
        assertThat(run.get("events").findValuesAsString("kind")).containsExactly("IN_DEVELOPER", "IN_FIXER");
    }

    /** Dials are never set unseen: between two packs the paper lies in its box, and the lamp stays dark. */
    @Test
    void anotherPackIsSetWithThePaperInItsBox() {
        String colour = http().newSlate("Teapot in colour");
        Map<String, Object> burn = Map.of(
                "key",
                "wall",
                "name",
                "Wall",
                "shape",
                Map.of("kind", "ellipse", "points", List.of(Map.of("x", 0.5, "y", 0.5), Map.of("x", 0.2, "y", 0.2))),
                "softEdge",
                0.1,
                "changeStops",
                0.5,
                "tool",
                "",
                "light",
                "0/40/70");
        assertThat(http().edit(colour, "local/areas", List.of(burn)).status()).isEqualTo(200);
        sheet = begin(colour, "PRINT");
        String path = "/api/sheets/" + sheet + "/events";
        JsonNode burned = run().get("script").get(1);
        assertThat(burned.get("setInLight").asBoolean()).isTrue();
        assertThat(burned.get("before").asString())
                .isEqualTo("Paper into its box. In white light set 0/40/70. Dark, paper back against its stops");
        assertThat(http().post(path, Map.of("kind", "PAPER_BOXED")).code()).isEqualTo("not-now");
        lamp(1);
        timer().pass(100);
        assertThat(http().post(path, Map.of("kind", "PAPER_TAKEN")).code()).isEqualTo("not-now");
        assertThat(lamp(2).code()).isEqualTo("to-be-set");
        http().post(path, Map.of("kind", "PAPER_BOXED"));
        assertThat(lamp(2).code()).isEqualTo("to-be-set");
        http().post(path, Map.of("kind", "GLANCE"));
        http().post(path, Map.of("kind", "PAPER_TAKEN"));
        assertThat(lamp(2).status()).isEqualTo(200);
        timer().pass(1);
        http().post("/api/sheets/" + sheet + "/lamp", Map.of("on", false));
        // The rest of a burn that was stopped needs no other setting.
        assertThat(http().post(path, Map.of("kind", "PAPER_BOXED")).code()).isEqualTo("not-now");
        JsonNode hung = exposeAndHang(sheet).get("sheets").get(0);
        assertThat(hung.get("state").asString()).isEqualTo("HUNG");
        assertThat(hung.hasNonNull("doubt")).isFalse();
    }

    /** No more than a slate file takes: what is exported must come in again. */
    @Test
    void aSheetIsLookedAtNoMoreThanAFileCanHold() {
        String path = "/api/sheets/" + sheet + "/events";
        for (int i = 0; i < 100; i++) {
            assertThat(http().post(path, Map.of("kind", "GLANCE")).status()).isEqualTo(200);
        }
        assertThat(http().post(path, Map.of("kind", "GLANCE")).code()).isEqualTo("too-many");
        JsonNode given =
                http().post("/api/sheets/" + sheet + "/abandon", Map.of()).json();
        assertThat(given.get("sheets").get(0).get("doubt").asString()).startsWith("Doubtful");
    }

    @Test
    void unknownSheetsAndKindsAreRefused() {
        assertThat(http().get("/api/sheets/none/run").status()).isEqualTo(404);
        String other = http().newSlate("Drying loft");
        Answer kind = http().post(
                        "/api/slates/" + other + "/sheets",
                        Map.of("version", http().version(other), "kind", "POSTCARD"));
        assertThat(kind.pointers()).isEqualTo(List.of("/kind"));
    }

    private double paperLeft() {
        return http().slate(slate)
                .get("standing")
                .get("setup")
                .get("paperSheetsLeft")
                .asDouble();
    }

    private Answer lamp(int burst) {
        return http().post("/api/sheets/" + sheet + "/lamp", Map.of("on", true, "step", burst));
    }

    private JsonNode run() {
        return http().get("/api/sheets/" + sheet + "/run").json();
    }

    /** Paper out: white light is refused, put on all the same on purpose, and both stand on the record. */
    @Test
    void whiteLightIsRefusedWhilePaperIsOutThenAllowedOnRecord() {
        JsonNode refused = http().get("/api/white-light").json();
        assertThat(refused.get("safe").asBoolean()).isFalse();
        assertThat(refused.get("says").toString()).contains("is out of its box");
        exposesAll();
        happened("IN_DEVELOPER");
        assertThat(run().get("whiteLight").get("says").asString()).contains("is in the developer");
        happened("IN_FIXER");
        JsonNode fixer = run().get("whiteLight");
        assertThat(fixer.get("safe").asBoolean()).isFalse();
        assertThat(fixer.get("waitSeconds").asDouble()).isBetween(0.0, 45.0);
        http().post("/api/white-light", Map.of());
        assertThat(http().post("/api/white-light", Map.of("onPurpose", true)).status())
                .isEqualTo(200);
        JsonNode hung = http().post("/api/sheets/" + sheet + "/hang", Map.of()).json();
        JsonNode last = hung.get("sheets").get(0);
        assertThat(last.get("doubt").asString()).contains("white light was put on");
        assertThat(http().get("/api/white-light").json().toString()).doesNotContain(sheet);
    }

    /** A box that lies open waits for nothing but being shut; light in it is said of the paper. */
    @Test
    void noWhiteLightWhileABoxLiesOpen() {
        exposesAll();
        String box = "/api/papers/" + run().get("paperId").asString() + "/box";
        http().post("/api/sheets/" + sheet + "/events", Map.of("kind", "LEFT"));
        assertThat(http().post(box, Map.of("open", true)).json().get("openBoxes"))
                .hasSize(1);
        assertThat(http().post(box, Map.of("open", true)).json().get("openBoxes"))
                .hasSize(1);
        assertThat(run().get("boxOpen").asBoolean()).isTrue();
        // Leaving is the word that it is shut.
        happened("CAME_BACK");
        assertThat(happened("LEFT").get("boxOpen").asBoolean()).isFalse();
        http().post(box, Map.of("open", true));
        assertThat(run().get("whiteLight").get("says").asString()).contains("lies open");
        assertThat(http().get("/api/white-light").json().get("says").toString()).contains("lies open");
        assertThat(http().post(box, Map.of("open", false)).json().get("openBoxes"))
                .isEmpty();
        assertThat(run().get("whiteLight").get("safe").asBoolean()).isTrue();
        assertThat(http().get("/api/stores").json().toString()).doesNotContain("litAt");
        http().post(box, Map.of("open", true));
        http().post("/api/white-light", Map.of("onPurpose", true));
        http().post(box, Map.of("open", false));
        assertThat(http().get("/api/stores").json().toString()).contains("litAt");
        assertThat(http().post(box, Map.of()).pointers()).containsExactly("/open");
        assertThat(http().post("/api/papers/none/box", Map.of("open", true)).status())
                .isEqualTo(404);
    }

    @Test
    void theAlarmPutsTheLampOutAndMarksWhatLayOpen() {
        lamp(1);
        timer().pass(1);
        JsonNode alarm = http().post("/api/alarm", Map.of()).json();
        assertThat(alarm.get("safe").asBoolean()).isFalse();
        JsonNode after = run();
        assertThat(after.get("lampOn").asBoolean()).isFalse();
        assertThat(after.get("resumed").asBoolean()).isTrue();
        JsonNode given = http().post("/api/sheets/" + sheet + "/abandon", Map.of("reason", "alarm"))
                .json();
        assertThat(given.get("sheets").get(0).get("doubt").asString()).contains("alarm");
    }

    @Test
    void whoeverLeavesPutsThePaperAwayAndComesBackToTheSameExposure() {
        assertThat(happened("LEFT").get("left").asBoolean()).isTrue();
        assertThat(run().get("whiteLight").get("safe").asBoolean()).isTrue();
        assertThat(lamp(1).code()).isEqualTo("left");
        JsonNode back = happened("CAME_BACK");
        assertThat(back.get("whiteLight").get("safe").asBoolean()).isFalse();
        assertThat(back.get("step").asInt()).isEqualTo(1);
        assertThat(http().post("/api/sheets/" + sheet + "/events", Map.of("kind", "CAME_BACK"))
                        .code())
                .isEqualTo("not-now");
    }

    /** What was taken back did not happen; it stays in the file all the same. Light is never taken back. */
    @Test
    void theLastAnswerIsTakenBackAndLightNever() {
        assertThat(http().post("/api/sheets/" + sheet + "/events", Map.of("kind", "TAKEN_BACK"))
                        .code())
                .isEqualTo("not-now");
        exposesAll();
        happened("IN_DEVELOPER");
        happened("SLIP");
        JsonNode back = happened("TAKEN_BACK");
        assertThat(back.get("events").toString()).contains("SLIP").doesNotContain("IN_DEVELOPER");
        assertThat(back.get("stepsDone").asInt()).isEqualTo(back.get("script").size());
        assertThat(happened("AGAIN").get("events").toString()).contains("AGAIN");
    }

    @Test
    void theRunHangsOnTheWallAsACard() throws IOException {
        String strip = http().newSlate("Drying loft");
        try (PDDocument card = Loader.loadPDF(http().bytes("/api/slates/" + strip + "/run-card/STRIP"))) {
            String words = new PDFTextStripper().getText(card);
            assertThat(words).contains("Drying loft, Strip", "Whole strip", "An alarm comes before paper");
            assertThat(card.getNumberOfPages()).isEqualTo(1);
        }
        assertThat(http().get("/api/slates/" + strip + "/run-card/NOTHING").status())
                .isEqualTo(422);
    }

    private JsonNode happened(String kind) {
        Answer answer = http().post("/api/sheets/" + sheet + "/events", Map.of("kind", kind));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private void exposesAll() {
        for (int step = 1; run().hasNonNull("step"); step++) {
            lamp(step);
            timer().pass(100);
        }
    }
}
