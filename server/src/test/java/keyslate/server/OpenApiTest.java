package keyslate.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
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

    /** Nobody has to guess what a field is, what an operation does, or how it refuses. */
    @Test
    void saysWhatEverythingIs() throws IOException {
        JsonNode api = JsonMapper.shared().readTree(Files.readString(COMMITTED));
        api.get("components").get("schemas").propertyStream().forEach(schema -> {
            JsonNode fields = schema.getValue().path("properties");
            fields.propertyStream()
                    .forEach(field -> assertThat(
                                    field.getValue().path("description").asString(""))
                            .as(schema.getKey() + "." + field.getKey())
                            .isNotBlank());
        });
        api.get("paths")
                .propertyStream()
                .forEach(path -> path.getValue().propertyStream().forEach(operation -> {
                    String name = operation.getKey() + " " + path.getKey();
                    JsonNode says = operation.getValue();
                    assertThat(says.path("summary").asString("")).as(name).isNotBlank();
                    says.path("parameters")
                            .forEach(p -> assertThat(p.path("description").asString(""))
                                    .as(name + " " + p.get("name"))
                                    .isNotBlank());
                    JsonNode json = says.path("requestBody").path("content").path("application/json");
                    if (!json.isMissingNode()) {
                        assertThat(says.get("responses").has("422")).as(name).isTrue();
                        assertThat(json.has("example") || path.getKey().contains("imports"))
                                .as(name)
                                .isTrue();
                    }
                }));
    }

    /** A page for people, made from it by a package that ships with the application. */
    @Test
    void isReadableAsAPageUnderAPolicyOfItsOwn() {
        Http.Answer page = http().get("/api/reference");
        assertThat(page.status()).isEqualTo(200);
        assertThat(page.text()).contains("/reference/reference.js");
        String policy = page.headers().get("content-security-policy").get(0);
        assertThat(policy)
                .contains("default-src 'none'")
                .contains("connect-src 'self'")
                .doesNotContain("blob:");
        assertThat(policy)
                .isNotEqualTo(
                        http().get("/").headers().get("content-security-policy").get(0));
    }
}
