package keyslate.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import keyslate.store.Database;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.SpringBootTest.WebEnvironment;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import tools.jackson.databind.JsonNode;

/** The started application on demo data with a timer that the test drives; one for all tests of this kind. */
@SpringBootTest(
        classes = Darkroom.class,
        webEnvironment = WebEnvironment.RANDOM_PORT,
        properties = {
            "keyslate.demo=true",
            "keyslate.practice=true",
            "springdoc.default-produces-media-type=application/json",
            "springdoc.writer-with-order-by-keys=true"
        })
@Import({ApiDescription.class, HandTimer.class})
public abstract class ApplicationTest {
    private static final double FEW_SHEETS = 3;
    private static final Path DATA = temporary();
    private static Class<?> lastOnTheBench;

    @LocalServerPort
    private int port;

    @Autowired
    private HandTimer timer;

    @Autowired
    private Database database;

    @Autowired
    private StoresRepository stores;

    /** What one class of tests leaves on the bench is not what the next one finds: benches learn. */
    @BeforeEach
    void eachClassFindsTheDemoBench() throws SQLException {
        if (getClass() != lastOnTheBench) {
            lastOnTheBench = getClass();
            Path demo = DATA.resolve("as-it-was.db");
            try (Connection connection =
                            DriverManager.getConnection("jdbc:sqlite:" + database.file() + "?busy_timeout=20000");
                    Statement statement = connection.createStatement()) {
                statement.executeUpdate((Files.exists(demo) ? "restore from " : "backup to ") + "'" + demo + "'");
            }
        }
    }

    /** All tests of this kind print from the same few boxes. */
    @BeforeEach
    void fillsBoxesThatRunOut() {
        List<Paper> low = stores.papers().stream()
                .filter(p -> p.sheetsLeft() < FEW_SHEETS)
                .toList();
        if (!low.isEmpty()) {
            database.inTransaction(() -> low.forEach(p -> stores.count(p.id(), p.sheetsInBox(), p.sheetsInBox())));
        }
    }

    @DynamicPropertySource
    static void data(DynamicPropertyRegistry properties) {
        properties.add("keyslate.data", DATA::toString);
    }

    protected Http http() {
        return new Http("http://localhost:" + port);
    }

    protected HandTimer timer() {
        return timer;
    }

    /** Gives every step that is left and hangs the sheet; the slate after it. What is set in white light is, with the paper in its box. */
    protected JsonNode exposeAndHang(String sheetId) {
        String path = "/api/sheets/" + sheetId;
        JsonNode run = http().get(path + "/run").json();
        while (run.hasNonNull("step")) {
            int step = run.get("step").asInt();
            if (run.get("script").get(step - 1).get("setInLight").asBoolean()) {
                http().post(path + "/events", Map.of("kind", "PAPER_BOXED"));
                http().post(path + "/events", Map.of("kind", "PAPER_TAKEN"));
            }
            Http.Answer on = http().post(path + "/lamp", Map.of("on", true, "step", step));
            if (on.status() != 200) {
                throw new AssertionError("the lamp stays off: " + on.text());
            }
            timer.pass(run.get("nextSetSeconds").asDouble());
            run = http().get(path + "/run").json();
        }
        return http().post(path + "/hang", Map.of()).json();
    }

    /** The same, and the sheet as it hangs then. */
    protected JsonNode hung(String sheetId) {
        JsonNode sheets = exposeAndHang(sheetId).get("sheets");
        return sheets.get(sheets.size() - 1);
    }

    /** Takes a piece of paper; the id of the sheet. */
    protected String begin(String slateId, String kind) {
        long version = http().version(slateId);
        Http.Answer answer =
                http().post("/api/slates/" + slateId + "/sheets", Map.of("version", version, "kind", kind));
        if (answer.status() != 201) {
            throw new AssertionError(answer.status() + ": " + answer.text());
        }
        return answer.json().get("sheetId").asString();
    }

    private static Path temporary() {
        try {
            return Files.createTempDirectory("key-slate-test");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
