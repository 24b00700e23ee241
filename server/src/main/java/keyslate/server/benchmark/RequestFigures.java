package keyslate.server.benchmark;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** How long the requests that a user waits for take, whole, from a client on the same machine. */
final class RequestFigures {
    static final int WARM_UP = 120;
    static final int MEASURED = 300;
    static final int RUNS = 3;
    private static final double HIGH = 0.95;
    private static final double NANOS_PER_MS = 1e6;

    private final HttpClient http = HttpClient.newHttpClient();
    private final String base;
    private final String slate;
    private final String preview;
    private final String colourPreview;
    /** The print neutral and with six casts in three strengths: 19 of 240 pixels. */
    private final String ring;

    /** For an application with demo data at {@code base}. */
    RequestFigures(String base) throws IOException, InterruptedException {
        this.base = base;
        String mono = slateOf("MONOCHROME");
        slate = "/api/slates/" + mono;
        preview = preview(mono);
        String colour = slateOf("COLOUR");
        colourPreview = preview(colour);
        ring = "/api/slates/" + colour + "/casts-of-it?side=240";
    }

    /** The first slate on the bench that is printed on a kind of paper. */
    private String slateOf(String kind) throws IOException, InterruptedException {
        for (JsonNode card : json("/api/bench").get("slates")) {
            String id = card.get("id").asString();
            JsonNode standing = json("/api/slates/" + id).get("standing");
            if (kind.equals(standing.get("medium").get("kind").asString())) {
                return id;
            }
        }
        throw new IOException("no slate on " + kind + " paper");
    }

    private String preview(String id) throws IOException, InterruptedException {
        String key = json("/api/slates/" + id).get("standing").get("previewKey").asString();
        return "/api/slates/" + id + "/preview?side=960&key=" + key;
    }

    void add(Map<String, Double> figures) throws IOException, InterruptedException {
        put(figures, "previewMonoRequest", preview);
        put(figures, "previewColourRequest", colourPreview);
        put(figures, "ring19Request", ring);
        put(figures, "slateRequest", slate);
        put(figures, "benchRequest", "/api/bench");
    }

    /** The slate whose local work is dragged. */
    String withLocalWork() throws IOException, InterruptedException {
        for (JsonNode card : json("/api/bench").get("slates")) {
            String id = card.get("id").asString();
            JsonNode standing = json("/api/slates/" + id).get("standing");
            if (!standing.get("local").get("areas").isEmpty()) {
                return id;
            }
        }
        throw new IOException("no slate with local work");
    }

    /** Asks for a preview once. */
    void preview() throws IOException, InterruptedException {
        get(preview);
    }

    private void put(Map<String, Double> figures, String name, String path) throws IOException, InterruptedException {
        for (int i = 0; i < WARM_UP; i++) {
            get(path);
        }
        best(name, figures, () -> get(path));
    }

    /** Something that is done again and again. */
    interface Doing {
        void once() throws IOException, InterruptedException;
    }

    /** Median and 95th percentile of the best of {@value #RUNS} runs: on a machine that is shared the others tell of the neighbours. */
    static void best(String name, Map<String, Double> figures, Doing doing) throws IOException, InterruptedException {
        double[] best = null;
        for (int run = 0; run < RUNS; run++) {
            double[] times = new double[MEASURED];
            for (int i = 0; i < times.length; i++) {
                long start = System.nanoTime();
                doing.once();
                times[i] = (System.nanoTime() - start) / NANOS_PER_MS;
            }
            if (best == null || rank(times, HIGH) < rank(best, HIGH)) {
                best = times;
            }
        }
        figures.put(name + "MedianMs", rank(best, 0.5));
        figures.put(name + "P95Ms", rank(best, HIGH));
    }

    /** The value below which a share of all lies, by the nearest rank. */
    static double rank(double[] values, double share) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[Math.max(0, (int) Math.ceil(share * sorted.length) - 1)];
    }

    private JsonNode json(String path) throws IOException, InterruptedException {
        return JsonMapper.shared().readTree(get(path));
    }

    private byte[] get(String path) throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(base + path)).build();
        HttpResponse<byte[]> response = http.send(request, HttpResponse.BodyHandlers.ofByteArray());
        if (response.statusCode() != 200) {
            throw new IOException(path + " answered " + response.statusCode());
        }
        return response.body();
    }
}
