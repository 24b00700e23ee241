package keyslate.server.test;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The first strip of a carried time, as fine as first strips of this bench turned out to need. */
class BenchStripHttpTest extends ApplicationTest {
    private final List<String> slates = new ArrayList<>();

    @AfterEach
    void away() {
        slates.forEach(id -> http().send("DELETE", "/api/slates/" + id, ""));
    }

    private String slate() {
        String id = http().newSlate("Bottle kiln");
        slates.add(id);
        return id;
    }

    private static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private JsonNode standing(String slate) {
        return http().slate(slate).get("standing");
    }

    /** A strip of five half stops whose whites hold so many patches from the middle. */
    private void reads(String slate, double at) {
        http().edit(slate, "test/stepStops", 0.5);
        http().edit(slate, "test/patches", 5);
        JsonNode sheets = exposeAndHang(begin(slate, "STRIP")).get("sheets");
        String strip = sheets.get(sheets.size() - 1).get("id").asString();
        ok(http().post(
                        "/api/sheets/" + strip + "/readings",
                        Map.of(
                                "marks",
                                Map.of("whitesAt", at),
                                "taking",
                                Map.of("version", http().version(slate), "answer", "PROPOSED"))));
    }

    @Test
    void twoCarriedTimesThatMissedLittleMakeTheThirdStripFine() {
        String first = slate();
        http().edit(first, "setup/apertureMark", 11);
        http().edit(first, "base/seconds", 20);
        exposeAndHang(begin(first, "PRINT"));
        String second = slate();
        assertThat(standing(second).get("base").get("source").asString()).isEqualTo("rescaled");
        assertThat(standing(second).get("test").hasNonNull("benchStrip")).isFalse();
        reads(second, 2);
        reads(slate(), 2.5);
        String third = slate();
        assertThat(standing(third).get("test").get("benchStrip").asString())
                .startsWith("15 × ")
                .contains("2 slates");
        JsonNode fine = ok(http().edit(third, "test/forThisBench", true)).get("test");
        assertThat(fine.get("plan").get("patches").asInt()).isEqualTo(15);
        assertThat(fine.get("plan").get("stepStops").asDouble()).isLessThan(0.26);
        assertThat(fine.get("plan").get("second").asString()).isEqualTo("grade 2½");
        assertThat(fine.get("plan").get("third").asString()).isEqualTo("grade 1½");
        assertThat(fine.get("headline").asString()).startsWith("Three rows of 15: grade 2, ");
        assertThat(fine.hasNonNull("benchStrip")).isFalse();
        // A time of one's own is not carried over: nothing is known of it.
        http().edit(third, "base/seconds", 14);
        assertThat(standing(third).get("test").hasNonNull("benchStrip")).isFalse();
    }
}
