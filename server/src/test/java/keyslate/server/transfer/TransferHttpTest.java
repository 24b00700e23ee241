package keyslate.server.transfer;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import keyslate.server.ApplicationTest;
import keyslate.server.Http;
import keyslate.server.Http.Answer;
import keyslate.server.Started;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Out to a file and in again on another bench with nothing lost; damaged, foreign and doubled files are refused. */
class TransferHttpTest extends ApplicationTest {
    @TempDir
    private Path folder;

    @Test
    void everySlateOfTheDemoComesThroughAnEmptyBenchUnchanged() {
        try (Started empty = Started.on(folder, false)) {
            Http there = empty.http();
            int slates = 0;
            for (JsonNode card : http().slates()) {
                String path = "/api/slates/" + card.get("id").asString();
                Answer file = http().get(path + "/export");
                if (isUnderTheLamp(file)) {
                    continue;
                }
                Answer taken = there.send("POST", "/api/imports", file.text());
                assertThat(taken.status()).as(taken.text()).isEqualTo(201);
                assertThat(there.get(path + "/export").json()).isEqualTo(file.json());
                JsonNode sheets = http().get(path).json().get("sheets");
                assertThat(there.get(path).json().get("sheets")).isEqualTo(sheets);
                slates++;
            }
            assertThat(slates).isGreaterThanOrEqualTo(3);
        }
    }

    @Test
    void aSheetThatLiesUnderTheLampHereIsGivenUpThere() {
        String id = http().newSlate("Drying loft");
        begin(id, "STRIP");
        String file = http().get("/api/slates/" + id + "/export").text();
        try (Started empty = Started.on(folder, false)) {
            Answer taken = empty.http().send("POST", "/api/imports", file);
            assertThat(taken.json().get("sheets").get(0).get("state").asString())
                    .isEqualTo("ABANDONED");
        }
    }

    private void readFromItsPicture(String slate, String sheet) {
        byte[] jpeg = http().bytes("/api/sheets/" + sheet + "/practice-photo");
        http().upload("/api/sheets/" + sheet + "/scans", "phone.jpg", jpeg);
        Map<String, ?> pictured = Map.of(
                "tones", List.of(Map.of("field", "rightAt", "spots", List.of(List.of(0.45, 0.5), List.of(0.55, 0.5)))));
        Answer read = http().post(
                        "/api/sheets/" + sheet + "/readings",
                        Map.of(
                                "marks",
                                Map.of("pictured", pictured),
                                "taking",
                                Map.of("version", http().version(slate), "answer", "PROPOSED")));
        assertThat(read.status()).as(read.text()).isEqualTo(200);
    }

    /** Every kind of test with its pieces, its disc and its reading; and what cannot be is refused whole. */
    @Test
    void everyKindOfTestComesThroughAnEmptyBenchUnchanged() {
        String id = http().newSlate("Drying loft");
        for (String kind : List.of("SAME_SPOT", "OPENINGS", "WEDGE", "GUESS", "PIECES")) {
            http().edit(id, "test/kind", kind);
            exposeAndHang(begin(id, kind));
        }
        String path = "/api/slates/" + id;
        JsonNode sheets = http().get(path).json().get("sheets");
        http().post(
                        "/api/sheets/" + sheets.get(3).get("id").asString() + "/readings",
                        Map.of(
                                "marks",
                                Map.of("moreStops", 0.5, "lamp", "window", "second", true),
                                "taking",
                                Map.of("version", http().version(id), "answer", "PROPOSED")));
        readFromItsPicture(id, sheets.get(0).get("id").asString());
        ObjectNode file = (ObjectNode) http().get(path + "/export").json();
        assertThat(file.toString()).contains("\"limitStops\"");
        try (Started empty = Started.on(folder, false)) {
            Http there = empty.http();
            ObjectNode odd = file.deepCopy();
            ((ObjectNode) odd.get("sheets").get(0).get("pieces").get(1)).put("number", 7);
            assertThat(there.send("POST", "/api/imports", odd.toString()).status())
                    .isEqualTo(422);
            ObjectNode dark = file.deepCopy();
            dark.get("sheets")
                    .get(1)
                    .get("steps")
                    .forEach(step -> step.get("phases")
                            .forEach(phase -> ((ObjectNode) phase)
                                    .putArray("uncovered")
                                    .add(0)
                                    .add(0)
                                    .add(0)
                                    .add(0)));
            assertThat(there.send("POST", "/api/imports", dark.toString()).status())
                    .isEqualTo(422);
            ObjectNode disc = file.deepCopy();
            ((ObjectNode) disc.get("sheets")
                            .get(2)
                            .get("steps")
                            .get(0)
                            .get("phases")
                            .get(0))
                    .putArray("disc")
                    .add(60)
                    .add(70)
                    .add(80);
            assertThat(there.send("POST", "/api/imports", disc.toString()).status())
                    .isEqualTo(422);
            Answer taken = there.send("POST", "/api/imports", file.toString());
            assertThat(taken.status()).as(taken.text()).isEqualTo(201);
            assertThat(there.get(path + "/export").json())
                    .isEqualTo(http().get(path + "/export").json());
            assertThat(there.get(path).json().get("sheets"))
                    .isEqualTo(http().get(path).json().get("sheets"));
        } finally {
            http().send("DELETE", path, "");
        }
    }

    private static boolean isUnderTheLamp(Answer file) {
        return file.json()
                .get("sheets")
                .valueStream()
                .anyMatch(s -> "EXPOSING".equals(s.get("state").asString()));
    }

    @Test
    void refusesASlateThatIsAlreadyHere() {
        Answer answer = http().send("POST", "/api/imports", export().toString());
        assertThat(answer.status()).isEqualTo(409);
        assertThat(answer.code()).isEqualTo("already-here");
    }

    @Test
    void refusesADamagedFileWithTheReasonAtTheFile() {
        assertRefused("{\"format\":\"something else\"}", "not a Key Slate file");
        assertRefused("{\"format\":", "");
        assertRefused("[]", "");
        ObjectNode missing = export();
        missing.remove("recipes");
        assertRefused(missing.toString(), "recipes");
        ObjectNode newer = export();
        newer.put("formatVersion", 99);
        assertRefused(newer.toString(), "");
    }

    @Test
    void aFileWhosePartsDoNotFitTogetherLeavesNothingBehind() {
        try (Started empty = Started.on(folder, false)) {
            ObjectNode file = export();
            ((ObjectNode) file.get("slate")).put("recipeId", "none");
            Answer answer = empty.http().send("POST", "/api/imports", file.toString());
            assertThat(answer.status()).as(answer.text()).isEqualTo(422);
            assertThat(empty.http().get("/api/bench").json().get("slates").size())
                    .isZero();
            assertThat(empty.http().get("/api/rolls").json().get("rolls").size())
                    .isZero();
        }
    }

    @Test
    void aFileOfThePreviewComesInWithAllThatWasKnownThen() throws IOException {
        String old;
        try (InputStream in = Objects.requireNonNull(getClass().getResourceAsStream("/slates/drying-loft-1.json"))) {
            old = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
        try (Started empty = Started.on(folder, false)) {
            Answer taken = empty.http().send("POST", "/api/imports", old);
            assertThat(taken.status()).as(taken.text()).isEqualTo(201);
            JsonNode slate = taken.json();
            JsonNode sheets = slate.get("sheets");
            assertThat(sheets.size()).isEqualTo(2);
            assertThat(sheets.get(0).get("light").get("notation").asString()).isEqualTo("grade 2½");
            assertThat(sheets.get(0).get("patches").size()).isEqualTo(5);
            assertThat(sheets.get(0).get("recorded").asBoolean()).isFalse();
            assertThat(sheets.get(1).get("decisions").size()).isEqualTo(1);
            assertThat(slate.get("standing").get("local").get("areas").size()).isEqualTo(2);
            String picture = "/api/pictures/" + sheets.get(1).get("pictureId").asString();
            assertThat(empty.http().get(picture).status()).isEqualTo(200);
        }
    }

    @Test
    void theSchemaIsServed() {
        JsonNode schema = http().get("/api/schemas/slate-2").json();
        assertThat(schema.get("required").valueStream().map(JsonNode::asString)).contains("format", "slate", "recipes");
    }

    private void assertRefused(String file, String message) {
        Answer answer = http().send("POST", "/api/imports", file);
        assertThat(answer.status()).as(answer.text()).isEqualTo(422);
        assertThat(answer.text()).contains(message);
    }

    private ObjectNode export() {
        String id = http().newSlate("Window shelf");
        http().edit(id, "setup/borderMm", 9);
        http().edit(id, "local/areas", List.of());
        return (ObjectNode) http().get("/api/slates/" + id + "/export").json();
    }
}
