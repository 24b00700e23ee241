package keyslate.server.print;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.net.http.HttpTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import keyslate.server.ApplicationTest;
import keyslate.server.Http;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Value;
import tools.jackson.databind.JsonNode;

/** A run has a port of its own beside the page's. */
class LampPathHttpTest extends ApplicationTest {
    /** A request whose body never comes to its end. */
    private static final String HALF =
            "POST /api/slates HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 500\r\n\r\n{\"ti";

    @Value("${local.server.port}")
    private int pagePort;

    @Value("${server.tomcat.threads.max}")
    private int threads;

    private final List<Socket> halves = new ArrayList<>();
    private String sheet;
    private Http lampPort;

    @BeforeEach
    void begin() {
        sheet = begin(http().newSlate("Bottle kiln"), "STRIP");
        lampPort = new Http("http://localhost:"
                + http().get(runPath()).json().get("lampPort").asInt());
    }

    @AfterEach
    void end() throws IOException {
        for (Socket half : halves) {
            half.close();
        }
        http().post("/api/sheets/" + sheet + "/abandon", Map.of());
    }

    @Test
    void theLampGoesOffWhileEveryThreadOfThePageIsTaken() throws Exception {
        http().post(lampPath(), Map.of("on", true, "step", 1));
        for (int i = 0; i < threads; i++) {
            Socket half = new Socket("localhost", pagePort);
            half.getOutputStream().write(HALF.getBytes(StandardCharsets.US_ASCII));
            half.getOutputStream().flush();
            halves.add(half);
        }
        assertThat(theOtherPortIsStuck()).isTrue();
        timer().pass(1);
        Answer off = lampPort.post(lampPath(), Map.of("on", false));
        assertThat(off.status()).isEqualTo(200);
        assertThat(off.json().get("lampOn").asBoolean()).isFalse();
        assertThat(off.json().get("resumed").asBoolean()).isTrue();
    }

    @Test
    void nothingElseComesInThere() {
        assertThat(lampPort.get("/api/bench").status()).isEqualTo(404);
        assertThat(lampPort.get("/").code()).isEqualTo("not-found");
        assertThat(lampPort.post("/api/sheets/" + sheet + "/hang", Map.of()).status())
                .isEqualTo(404);
        String tooLong = "{\"reason\":\"" + "x".repeat(5000) + "\"}";
        assertThat(lampPort.send("POST", "/api/sheets/" + sheet + "/abandon", tooLong)
                        .status())
                .isEqualTo(404);
        JsonNode run = lampPort.get(runPath()).json();
        assertThat(run.get("state").asString()).isEqualTo("EXPOSING");
    }

    @Test
    void thePageMayAskItAndNoOtherPageMay() {
        String page = "http://localhost:" + pagePort;
        Answer asked = lampPort.send("OPTIONS", lampPath(), "", "Origin", page, "Sec-Fetch-Site", "same-site");
        assertThat(asked.status()).isEqualTo(204);
        assertThat(asked.headers().get("access-control-allow-origin")).containsExactly(page);
        assertThat(lampPort.get(runPath(), "Origin", page, "Sec-Fetch-Site", "same-site")
                        .status())
                .isEqualTo(200);
        for (String other :
                List.of("http://localhost:1", "https://localhost:" + pagePort, "http://a.example", "null")) {
            Answer refused = lampPort.get(runPath(), "Origin", other);
            assertThat(refused.status()).as(other).isEqualTo(403);
            assertThat(refused.headers()).doesNotContainKey("access-control-allow-origin");
        }
        assertThat(http().get("/api/bench", "Sec-Fetch-Site", "same-site").status())
                .isEqualTo(403);
        assertThat(http().get("/").headers().get("content-security-policy").get(0))
                .contains("connect-src 'self' http://localhost:");
    }

    /** Until the last of the requests has found its thread, another one may still be answered. */
    private boolean theOtherPortIsStuck() throws Exception {
        HttpRequest bench = HttpRequest.newBuilder(URI.create("http://localhost:" + pagePort + "/api/bench"))
                .timeout(Duration.ofMillis(1500))
                .build();
        for (int tries = 0; tries < 20; tries++) {
            try {
                HttpClient.newHttpClient().send(bench, BodyHandlers.discarding());
            } catch (HttpTimeoutException e) {
                return true;
            }
        }
        return false;
    }

    private String lampPath() {
        return "/api/sheets/" + sheet + "/lamp";
    }

    private String runPath() {
        return "/api/sheets/" + sheet + "/run";
    }
}
