package keyslate.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Bad input, stale versions, foreign pages and foreign files over HTTP: each gets its answer and changes nothing. */
class SlateHttpTest extends ApplicationTest {
    private final HttpClient http = HttpClient.newHttpClient();

    @Test
    void saysEveryWrongFieldAtOnceAndChangesNothing() throws IOException, InterruptedException {
        JsonNode slate = slate();
        String body = "{\"version\":" + slate.get("version").asLong()
                + ",\"apertureMark\":7.3,\"baseSeconds\":0,\"borderMm\":-2}";
        HttpResponse<String> answer = send("PATCH", path(slate) + "/recipe", body);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(mapper().readTree(answer.body()).get("errors").findValuesAsString("pointer"))
                .containsExactlyInAnyOrder("/apertureMark", "/baseSeconds", "/borderMm");
        assertThat(slate().get("version").asLong())
                .isEqualTo(slate.get("version").asLong());
    }

    @Test
    void refusesTextWhereANumberBelongs() throws IOException, InterruptedException {
        HttpResponse<String> answer =
                send("PATCH", path(slate()) + "/recipe", "{\"version\":1,\"baseSeconds\":\"ten\"}");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("/baseSeconds", "a number belongs here");
    }

    @Test
    void refusesAnEditOfAnOlderVersion() throws IOException, InterruptedException {
        JsonNode slate = slate();
        String body = "{\"version\":" + (slate.get("version").asLong() - 1) + ",\"baseSeconds\":12}";
        HttpResponse<String> answer = send("PATCH", path(slate) + "/recipe", body);
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(answer.body()).contains("stale-version");
    }

    @Test
    void refusesAForeignOrigin() throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(base() + "/api/bench"))
                .header("Origin", "http://elsewhere.example")
                .build();
        assertThat(http.send(request, BodyHandlers.ofString()).statusCode()).isEqualTo(403);
    }

    @Test
    void refusesADamagedFile() throws IOException, InterruptedException {
        HttpResponse<String> foreign = send("POST", "/api/imports", "{\"format\":\"something else\"}");
        assertThat(foreign.statusCode()).isEqualTo(422);
        assertThat(foreign.body()).contains("not a Key Slate file");
        assertThat(send("POST", "/api/imports", "{\"format\":").statusCode()).isEqualTo(422);
    }

    @Test
    void refusesASlateThatIsAlreadyHere() throws IOException, InterruptedException {
        String file = send("GET", path(slate()) + "/export", "").body();
        HttpResponse<String> answer = send("POST", "/api/imports", file);
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(answer.body()).contains("already-here");
    }

    private JsonNode slate() throws IOException, InterruptedException {
        String id = mapper().readTree(send("GET", "/api/bench", "").body())
                .get("slates")
                .get(0)
                .get("id")
                .asString();
        return mapper().readTree(send("GET", "/api/slates/" + id, "").body());
    }

    private static String path(JsonNode slate) {
        return "/api/slates/" + slate.get("id").asString();
    }

    private HttpResponse<String> send(String method, String path, String body)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base() + path))
                .method(method, body.isEmpty() ? BodyPublishers.noBody() : BodyPublishers.ofString(body));
        if (!body.isEmpty()) {
            request.header("Content-Type", "application/json");
        }
        return http.send(request.build(), BodyHandlers.ofString());
    }
}
