package keyslate.server.benchmark;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.WebSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A headless Chromium without a driver, spoken to over its own debugging socket; for measuring what is painted. */
final class Chromium implements AutoCloseable {
    private static final Path PLACE = Path.of("/usr/bin/chromium");
    private static final String SAYS = "DevTools listening on ";
    private static final long PATIENCE_SECONDS = 30;

    private final Process process;
    private final Path profile;
    private final WebSocket socket;
    private final AtomicInteger number = new AtomicInteger();
    private final Map<Integer, CompletableFuture<JsonNode>> asked = new ConcurrentHashMap<>();

    private Chromium(Process process, Path profile, URI page) {
        this.process = process;
        this.profile = profile;
        this.socket = HttpClient.newHttpClient()
                .newWebSocketBuilder()
                .buildAsync(page, new Answers())
                .join();
    }

    /** Opens a window of this size; empty where Chromium is not installed. */
    static Optional<Chromium> open(int width, int height) throws IOException, InterruptedException {
        if (!Files.isExecutable(PLACE)) {
            return Optional.empty();
        }
        Path profile = Files.createTempDirectory("key-slate-chromium");
        Process process = new ProcessBuilder(
                        PLACE.toString(),
                        "--headless",
                        "--no-sandbox",
                        "--disable-gpu",
                        "--no-first-run",
                        "--disable-background-networking",
                        "--disable-component-update",
                        "--disable-sync",
                        "--remote-debugging-port=0",
                        "--remote-allow-origins=*",
                        "--user-data-dir=" + profile,
                        "--window-size=" + width + "," + height,
                        "about:blank")
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        return Optional.of(new Chromium(process, profile, page(process)));
    }

    private static URI page(Process process) throws IOException, InterruptedException {
        BufferedReader said =
                new BufferedReader(new InputStreamReader(process.getErrorStream(), StandardCharsets.UTF_8));
        String line = said.readLine();
        while (line != null && !line.startsWith(SAYS)) {
            line = said.readLine();
        }
        if (line == null) {
            throw new IOException("Chromium ended before it listened");
        }
        Thread drain = new Thread(() -> said.lines().forEach(l -> {}), "chromium-words");
        drain.setDaemon(true);
        drain.start();
        String host = URI.create(line.substring(SAYS.length())).getAuthority();
        HttpResponse<String> list = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://" + host + "/json/list"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        for (JsonNode target : JsonMapper.shared().readTree(list.body())) {
            if ("page".equals(target.get("type").asString())) {
                return URI.create(target.get("webSocketDebuggerUrl").asString());
            }
        }
        throw new IOException("Chromium has no page");
    }

    /** One command of the debugging protocol and its result. */
    JsonNode ask(String method, Map<String, ?> parameters) throws IOException {
        int id = number.incrementAndGet();
        CompletableFuture<JsonNode> answer = new CompletableFuture<>();
        asked.put(id, answer);
        socket.sendText(
                        JsonMapper.shared()
                                .writeValueAsString(Map.of("id", id, "method", method, "params", parameters)),
                        true)
                .join();
        try {
            JsonNode result = answer.get(PATIENCE_SECONDS, TimeUnit.SECONDS);
            if (result.has("error")) {
                throw new IOException(method + ": " + result.get("error"));
            }
            return result.get("result");
        } catch (java.util.concurrent.ExecutionException | TimeoutException e) {
            throw new IOException(method + " was not answered", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }

    /** What a script answers; a promise is waited for. */
    JsonNode evaluate(String script) throws IOException {
        JsonNode result =
                ask("Runtime.evaluate", Map.of("expression", script, "awaitPromise", true, "returnByValue", true));
        if (result.has("exceptionDetails")) {
            throw new IOException("the page refused: " + result.get("exceptionDetails"));
        }
        return result.get("result").path("value");
    }

    void pointer(String type, double x, double y) throws IOException {
        ask(
                "Input.dispatchMouseEvent",
                Map.of("type", type, "x", x, "y", y, "button", "left", "buttons", 1, "clickCount", 1));
    }

    @Override
    public void close() throws IOException {
        socket.abort();
        // Its helpers write into the profile too, and outlive it for a moment.
        List<ProcessHandle> all = Stream.concat(process.descendants(), Stream.of(process.toHandle()))
                .toList();
        all.forEach(ProcessHandle::destroyForcibly);
        all.forEach(one ->
                one.onExit().orTimeout(PATIENCE_SECONDS, TimeUnit.SECONDS).join());
        try (Stream<Path> files = Files.walk(profile)) {
            files.sorted(Comparator.reverseOrder()).forEach(f -> f.toFile().delete());
        }
    }

    private final class Answers implements WebSocket.Listener {
        private final StringBuilder text = new StringBuilder();

        @Override
        public CompletionStage<?> onText(WebSocket from, CharSequence part, boolean last) {
            text.append(part);
            if (last) {
                JsonNode message = JsonMapper.shared().readTree(text.toString());
                text.setLength(0);
                CompletableFuture<JsonNode> waiting =
                        asked.remove(message.path("id").asInt(0));
                if (waiting != null) {
                    waiting.complete(message);
                }
            }
            from.request(1);
            return null;
        }
    }
}
