package keyslate.server;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Asks a started application over HTTP, as the page does. */
public final class Http {
    private static final JsonMapper JSON = JsonMapper.shared();
    private final HttpClient client = HttpClient.newHttpClient();
    private final String base;

    public Http(String base) {
        this.base = base;
    }

    /** What came back. */
    public record Answer(int status, String text, Map<String, List<String>> headers) {
        public JsonNode json() {
            return JSON.readTree(text);
        }

        /** The pointers of all field errors. */
        public List<String> pointers() {
            return json().get("errors").findValuesAsString("pointer");
        }

        public String code() {
            return json().get("code").asString();
        }
    }

    public Answer get(String path, String... headers) {
        return send("GET", path, "", headers);
    }

    public Answer post(String path, Map<String, ?> body) {
        return send("POST", path, JSON.writeValueAsString(body));
    }

    public Answer put(String path, Map<String, ?> body) {
        return send("PUT", path, JSON.writeValueAsString(body));
    }

    public Answer patch(String path, Map<String, ?> body) {
        return send("PATCH", path, JSON.writeValueAsString(body));
    }

    public Answer send(String method, String path, String body, String... headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .method(method, body.isEmpty() ? BodyPublishers.noBody() : BodyPublishers.ofString(body));
        if (!body.isEmpty() && !List.of(headers).contains("Content-Type")) {
            request.header("Content-Type", "application/json");
        }
        if (headers.length > 0) {
            request.headers(headers);
        }
        return sent(request.build());
    }

    private Answer sent(HttpRequest request) {
        try {
            HttpResponse<String> answer = client.send(request, BodyHandlers.ofString());
            return new Answer(
                    answer.statusCode(), answer.body(), answer.headers().map());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Sends a file as a form does, with other fields beside it as "name", "value", ... */
    public Answer upload(String path, String name, byte[] file, String... fields) {
        String boundary = "----key-slate-test";
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        for (int i = 0; i < fields.length; i += 2) {
            body.writeBytes(("--" + boundary + "\r\nContent-Disposition: form-data; name=\"" + fields[i] + "\"\r\n\r\n"
                            + fields[i + 1] + "\r\n")
                    .getBytes(StandardCharsets.UTF_8));
        }
        body.writeBytes(("--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name
                        + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8));
        body.writeBytes(file);
        body.writeBytes(("\r\n--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8));
        HttpRequest request = HttpRequest.newBuilder(URI.create(base + path))
                .POST(BodyPublishers.ofByteArray(body.toByteArray()))
                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                .build();
        return sent(request);
    }

    /** The bytes of an answer. */
    public byte[] bytes(String path) {
        return bytes(HttpRequest.newBuilder(URI.create(base + path)).build());
    }

    /** The bytes that answer what is posted. */
    public byte[] bytes(String path, Map<String, ?> body) {
        return bytes(HttpRequest.newBuilder(URI.create(base + path))
                .POST(BodyPublishers.ofString(JSON.writeValueAsString(body)))
                .header("Content-Type", "application/json")
                .build());
    }

    private byte[] bytes(HttpRequest request) {
        try {
            return client.send(request, BodyHandlers.ofByteArray()).body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** A slate as the page sees it. */
    public JsonNode slate(String id) {
        return get("/api/slates/" + id).json();
    }

    /** Starts a slate for the frame of this subject; its id. */
    public String newSlate(String frame) {
        return post("/api/slates", Map.of("frameId", frame(frame), "title", frame, "intent", ""))
                .json()
                .get("id")
                .asString();
    }

    /** Every slate on the bench as it stands there, page by page. */
    public List<JsonNode> slates() {
        List<JsonNode> all = new ArrayList<>();
        JsonNode page = get("/api/slates").json();
        page.get("slates").forEach(all::add);
        while (page.get("moreSlates").asInt() > 0) {
            page = get("/api/slates?after=" + all.get(all.size() - 1).get("id").asString())
                    .json();
            page.get("slates").forEach(all::add);
        }
        return all;
    }

    /** The id of the frame of this subject, on whichever page of rolls it is. */
    public String frame(String subject) {
        JsonNode page = get("/api/rolls").json();
        while (true) {
            JsonNode rolls = page.get("rolls");
            Optional<JsonNode> found = rolls.valueStream()
                    .flatMap(r -> r.get("frames").valueStream())
                    .filter(f -> subject.equals(f.get("title").asString()))
                    .findFirst();
            if (found.isPresent() || page.get("moreRolls").asInt() == 0) {
                return found.orElseThrow().get("id").asString();
            }
            page = get("/api/rolls?after="
                            + rolls.get(rolls.size() - 1).get("id").asString())
                    .json();
        }
    }

    /** The version a slate is at. */
    public long version(String slateId) {
        return slate(slateId).get("standing").get("version").asLong();
    }

    /** Edits a field of a section of a slate, such as "setup/borderMm", at its present version. */
    public Answer edit(String slateId, String field, Object value) {
        String[] at = field.split("/");
        Map<String, Object> section = new HashMap<>();
        section.put(at[1], value);
        return patch("/api/slates/" + slateId + "/recipe", Map.of("version", version(slateId), at[0], section));
    }

    /** Takes back what a box of paper was told or measured. */
    public void forgetConstants(String paper) {
        get("/api/stores")
                .json()
                .get("papers")
                .valueStream()
                .filter(box -> box.get("id").asString().equals(paper))
                .flatMap(box -> box.get("constants").valueStream())
                .filter(c -> c.hasNonNull("id"))
                .forEach(c ->
                        send("DELETE", "/api/stores/constants/" + c.get("id").asString(), ""));
    }
}
