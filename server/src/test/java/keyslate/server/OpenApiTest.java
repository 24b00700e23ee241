package keyslate.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** The description of the API is committed; the page's types are made from it. */
class OpenApiTest extends ApplicationTest {
    private static final Path COMMITTED = Path.of("..", "openapi.json");

    @Test
    void isTheCommittedOne() throws IOException {
        String document = JsonMapper.shared()
                        .writerWithDefaultPrettyPrinter()
                        .writeValueAsString(http().get("/v3/api-docs").json())
                + "\n";
        if (Boolean.getBoolean("openapi.update")) {
            Files.writeString(COMMITTED, document);
        }
        assertThat(document)
                .as("run `./slate openapi` after a change of the API")
                .isEqualTo(Files.readString(COMMITTED));
    }

    @Test
    void theApplicationServesIt() throws IOException {
        Http.Answer answer = http().get("/api/openapi.json");
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.json()).isEqualTo(JsonMapper.shared().readTree(Files.readString(COMMITTED)));
    }
}
