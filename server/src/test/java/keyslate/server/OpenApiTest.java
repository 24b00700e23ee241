package keyslate.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** The description of the API is committed; the page's types are made from it. */
class OpenApiTest extends ApplicationTest {
    private static final Path COMMITTED = Path.of("..", "openapi.json");

    @Test
    void isTheCommittedOne() throws IOException, InterruptedException {
        HttpResponse<String> found = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(base() + "/v3/api-docs"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        String document =
                mapper().writerWithDefaultPrettyPrinter().writeValueAsString(mapper().readTree(found.body())) + "\n";
        if (Boolean.getBoolean("openapi.update")) {
            Files.writeString(COMMITTED, document);
        }
        assertThat(document)
                .as("run `./slate openapi` after a change of the API")
                .isEqualTo(Files.readString(COMMITTED));
    }
}
