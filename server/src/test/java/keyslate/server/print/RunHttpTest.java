package keyslate.server.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
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
        assertThat(run().get("burst").asInt()).isEqualTo(1);
        JsonNode on = lamp(1).json();
        assertThat(on.get("lampOn").asBoolean()).isTrue();
        timer().pass(on.get("nextSetSeconds").asDouble());
        assertThat(run().get("lampOn").asBoolean()).isFalse();
        assertThat(run().get("burst").asInt()).isEqualTo(2);
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
        assertThat(run().get("burst").asInt()).isEqualTo(2);
        JsonNode hung = exposeAndHang(sheet);
        JsonNode first = hung.get("sheets").get(0).get("patches").get(0);
        assertThat(first.get("givenSeconds").asDouble()).isCloseTo(set - lag, within(STEP));
    }

    @Test
    void aBurstOutOfTurnIsRefused() {
        assertThat(lamp(2).code()).isEqualTo("not-this-burst");
        lamp(1);
        assertThat(lamp(1).code()).isEqualTo("not-this-burst");
        assertThat(http().post("/api/sheets/" + sheet + "/lamp", Map.of("on", true))
                        .pointers())
                .containsExactly("/burst");
        timer().off();
    }

    @Test
    void onlyOneSheetIsUnderTheLamp() {
        Answer second = http().post(
                        "/api/slates/" + slate + "/sheets",
                        Map.of("version", http().slate(slate).get("version").asLong(), "kind", "PRINT"));
        assertThat(second.status()).isEqualTo(409);
        assertThat(second.code()).isEqualTo("sheet-under-lamp");
        lamp(1);
        String other = http().newSlate("Window shelf");
        String otherSheet = begin(other, "STRIP");
        Answer busy = http().post("/api/sheets/" + otherSheet + "/lamp", Map.of("on", true, "burst", 1));
        assertThat(busy.code()).isEqualTo("lamp-busy");
        timer().off();
    }

    @Test
    void aSheetIsHungOnlyWhenAllLightIsGivenAndThenStays() {
        assertThat(http().post("/api/sheets/" + sheet + "/hang", Map.of()).code())
                .isEqualTo("bursts-left");
        JsonNode hung = exposeAndHang(sheet).get("sheets").get(0);
        assertThat(hung.get("state").asString()).isEqualTo("HUNG");
        assertThat(hung.get("hasPicture").asBoolean()).isTrue();
        assertThat(http().get("/api/sheets/" + sheet + "/picture").status()).isEqualTo(200);
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
        assertThat(hung.get("sheets").get(0).get("hasPicture").asBoolean()).isFalse();
        assertThat(http().get("/api/sheets/" + strip + "/picture").status()).isEqualTo(404);
        JsonNode verdict = http().post(
                        "/api/sheets/" + strip + "/readings/proposal", Map.of("whitesAt", 2, "blacksAt", 4))
                .json();
        assertThat(verdict.get("seconds").asDouble()).isPositive();
    }

    @Test
    void thePrintOfARecipeFromAStripIsAsLightAsTheChosenPatch() {
        exposeAndHang(sheet);
        long version = http().slate(slate).get("version").asLong();
        JsonNode read = http().post(
                        "/api/sheets/" + sheet + "/readings",
                        Map.of("version", version, "whitesAt", 2, "answer", "KEEP_GRADE"))
                .json();
        double seconds = read.get("recipe").get("baseSeconds").asDouble();
        double patch = read.get("sheets")
                .get(0)
                .get("patches")
                .get(2)
                .get("givenSeconds")
                .asDouble();
        assertThat(seconds).isCloseTo(patch, within(0.06));
        JsonNode printed = exposeAndHang(begin(slate, "PRINT"));
        assertThat(printed.get("next").get("station").asString()).isEqualTo("judge");
    }

    @Test
    void unknownSheetsAndKindsAreRefused() {
        assertThat(http().get("/api/sheets/none/run").status()).isEqualTo(404);
        String other = http().newSlate("Drying loft");
        Answer kind = http().post(
                        "/api/slates/" + other + "/sheets",
                        Map.of("version", http().slate(other).get("version").asLong(), "kind", "POSTCARD"));
        assertThat(kind.pointers()).isEqualTo(List.of("/kind"));
    }

    private double paperLeft() {
        return http().slate(slate).get("setup").get("paperSheetsLeft").asDouble();
    }

    private Answer lamp(int burst) {
        return http().post("/api/sheets/" + sheet + "/lamp", Map.of("on", true, "burst", burst));
    }

    private JsonNode run() {
        return http().get("/api/sheets/" + sheet + "/run").json();
    }
}
