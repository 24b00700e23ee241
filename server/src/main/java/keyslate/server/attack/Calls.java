package keyslate.server.attack;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Requests to a target. */
final class Calls {
    static final JsonMapper JSON = JsonMapper.shared();
    private static final String BOUNDARY = "--attack";
    private static final String PLAIN = "application/json";
    private static final Duration PATIENCE = Duration.ofMinutes(2);
    private static final int SERVER_ERROR = 500;
    private static final int REFUSED = 400;

    private final HttpClient client = HttpClient.newHttpClient();
    private final String address;

    Calls(String address) {
        this.address = address;
    }

    /**
     * What came back.
     *
     * @param seconds until the last byte was there
     */
    record Answer(int status, String type, byte[] body, double seconds) {
        JsonNode json() {
            return JSON.readTree(body);
        }

        boolean isTaken() {
            return status < REFUSED;
        }

        boolean isRefused() {
            return status >= REFUSED && status < SERVER_ERROR;
        }

        boolean isFault() {
            return status >= SERVER_ERROR;
        }
    }

    String address() {
        return address;
    }

    int port() {
        return URI.create(address).getPort();
    }

    Answer get(String path) throws IOException {
        return send("GET", path, new byte[0], PLAIN);
    }

    /** Every roll with its frames, page by page. */
    List<JsonNode> rolls() throws IOException {
        List<JsonNode> all = new ArrayList<>();
        JsonNode page = get("/api/rolls").json();
        page.get("rolls").forEach(all::add);
        while (page.get("moreRolls").asInt() > 0) {
            page = get("/api/rolls?after=" + all.get(all.size() - 1).get("id").asString())
                    .json();
            page.get("rolls").forEach(all::add);
        }
        return all;
    }

    /** The beginning of a body for a slate as it stands now. */
    Map<String, Object> atVersion(String slate) throws IOException {
        Map<String, Object> body = new HashMap<>();
        JsonNode standing = get("/api/slates/" + slate).json().get("standing");
        body.put("version", standing.get("version").asLong());
        return body;
    }

    Answer post(String path, Map<String, ?> body) throws IOException {
        return send("POST", path, JSON.writeValueAsBytes(body), PLAIN);
    }

    Answer patch(String path, Map<String, ?> body) throws IOException {
        return send("PATCH", path, JSON.writeValueAsBytes(body), PLAIN);
    }

    Answer send(String method, String path, String body) throws IOException {
        return send(method, path, body.getBytes(StandardCharsets.UTF_8), PLAIN);
    }

    /** A file as a form sends it, with other fields beside it. */
    Answer upload(String path, byte[] file, Map<String, String> fields) throws IOException {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        fields.forEach((name, value) -> body.writeBytes(
                ("--" + BOUNDARY + "\r\nContent-Disposition: form-data; name=\"" + name + "\"\r\n\r\n" + value + "\r\n")
                        .getBytes(StandardCharsets.UTF_8)));
        body.writeBytes(("--" + BOUNDARY + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"a.jpg\"\r\n"
                        + "Content-Type: image/jpeg\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8));
        body.writeBytes(file);
        body.writeBytes(("\r\n--" + BOUNDARY + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return send("POST", path, body.toByteArray(), "multipart/form-data; boundary=" + BOUNDARY);
    }

    /**
     * A request, whatever it holds.
     *
     * @throws IOException when the target is gone, or answers nothing for two minutes
     */
    Answer send(String method, String path, byte[] body, String type) throws IOException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .timeout(PATIENCE)
                .method(method, body.length == 0 ? BodyPublishers.noBody() : BodyPublishers.ofByteArray(body));
        if (body.length > 0) {
            request.header("Content-Type", type);
        }
        long sent = System.nanoTime();
        try {
            HttpResponse<byte[]> answer = client.send(request.build(), BodyHandlers.ofByteArray());
            return new Answer(
                    answer.statusCode(),
                    answer.headers().firstValue("content-type").orElse(""),
                    answer.body(),
                    (System.nanoTime() - sent) / 1e9);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }
}
