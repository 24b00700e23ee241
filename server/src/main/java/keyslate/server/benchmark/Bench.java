package keyslate.server.benchmark;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import keyslate.server.Darkroom;
import keyslate.server.KeySlate;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Measures the running application on demo data and prints the figures; wall clock times. */
public final class Bench {
    private static final int WARM_UP = 120;
    private static final int MEASURED = 300;
    private static final double NANOS_PER_MS = 1e6;

    private Bench() {}

    /** Starts the application on a free port with demo data in a temporary folder, measures, and stops it. */
    public static void run(boolean asJson) throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("key-slate-bench");
        SpringApplication application = new SpringApplication(Darkroom.class);
        String[] settings = KeySlate.asArguments(
                Map.of("keyslate.data", folder.toString(), "keyslate.demo", "true", "server.port", "0"));
        try (ConfigurableApplicationContext context = application.run(settings)) {
            String base = "http://localhost:" + context.getEnvironment().getProperty("local.server.port");
            Map<String, Double> figures = new LinkedHashMap<>();
            figures.put("startSeconds", ManagementFactory.getRuntimeMXBean().getUptime() / 1000.0);
            residentMegabytes().ifPresent(mb -> figures.put("idleResidentMb", mb));
            measure(base, figures);
            print(figures, asJson);
        } finally {
            try (Stream<Path> files = Files.walk(folder)) {
                files.sorted(Comparator.reverseOrder()).forEach(f -> f.toFile().delete());
            }
        }
    }

    /** What the process holds in memory once it is open, where the system tells. */
    private static OptionalDouble residentMegabytes() throws IOException {
        System.gc();
        Path status = Path.of("/proc/self/status");
        if (!Files.exists(status)) {
            return OptionalDouble.empty();
        }
        return Files.readAllLines(status).stream()
                .filter(line -> line.startsWith("VmRSS:"))
                .mapToDouble(line -> Double.parseDouble(line.replaceAll("\\D", "")) / 1024)
                .findFirst();
    }

    private static void measure(String base, Map<String, Double> figures) throws IOException, InterruptedException {
        try (Client client = new Client(base)) {
            JsonNode bench = client.json("/api/bench");
            String slate = bench.get("slates").get(0).get("id").asString();
            String recipe =
                    client.json("/api/slates/" + slate).get("recipe").get("id").asString();
            String preview = "/api/slates/" + slate + "/preview?side=960&recipe=" + recipe;
            put(figures, "previewMonoRequest", client.times(preview));
            put(figures, "slateRequest", client.times("/api/slates/" + slate));
            put(figures, "benchRequest", client.times("/api/bench"));
        }
    }

    private static void put(Map<String, Double> figures, String name, double[] sorted) {
        figures.put(name + "MedianMs", sorted[sorted.length / 2]);
        figures.put(name + "P95Ms", sorted[(int) Math.ceil(0.95 * sorted.length) - 1]);
    }

    private static void print(Map<String, Double> figures, boolean asJson) {
        if (asJson) {
            System.out.println(JsonMapper.shared().writeValueAsString(figures));
            return;
        }
        System.out.println(MEASURED + " requests each after " + WARM_UP + " to warm up, one at a time");
        figures.forEach((name, value) -> System.out.println(String.format(Locale.ROOT, "%-28s %8.1f", name, value)));
    }

    /** A client of the application; {@code HttpClient} can only be closed from Java 21 on. */
    private static final class Client implements AutoCloseable {
        private final HttpClient http = HttpClient.newHttpClient();
        private final String base;

        Client(String base) {
            this.base = base;
        }

        JsonNode json(String path) throws IOException, InterruptedException {
            return JsonMapper.shared().readTree(get(path));
        }

        double[] times(String path) throws IOException, InterruptedException {
            for (int i = 0; i < WARM_UP; i++) {
                get(path);
            }
            double[] times = new double[MEASURED];
            for (int i = 0; i < times.length; i++) {
                long start = System.nanoTime();
                get(path);
                times[i] = (System.nanoTime() - start) / NANOS_PER_MS;
            }
            Arrays.sort(times);
            return times;
        }

        private byte[] get(String path) throws IOException, InterruptedException {
            HttpRequest request =
                    HttpRequest.newBuilder(URI.create(base + path)).build();
            HttpResponse<byte[]> response = http.send(request, HttpResponse.BodyHandlers.ofByteArray());
            if (response.statusCode() != 200) {
                throw new IOException(path + " answered " + response.statusCode());
            }
            return response.body();
        }

        @Override
        public void close() {
            // Nothing is held open on Java 17; the client's threads end with the program.
        }
    }
}
