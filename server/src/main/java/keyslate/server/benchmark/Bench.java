package keyslate.server.benchmark;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import keyslate.server.Darkroom;
import keyslate.server.Settings;
import keyslate.server.print.EnlargerTimers;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.json.JsonMapper;

/**
 * Measures the running application on demo data, beside the kernels that JMH measured before it, and prints the
 * figures; wall clock times. The name of a figure ends in its unit.
 */
public final class Bench {
    private Bench() {}

    /**
     * What was asked for.
     *
     * @param kernels what JMH wrote, when the kernels were measured
     */
    public record Asked(boolean asJson, Optional<Path> kernels) {}

    /** Starts the application on a free port with demo data in a temporary folder, measures, and stops it. */
    public static void run(Asked asked) throws IOException, InterruptedException {
        Map<String, Double> figures = new LinkedHashMap<>();
        measureApplication(figures);
        if (asked.kernels().isPresent()) {
            KernelFigures.add(asked.kernels().get(), figures);
        }
        print(figures, asked.asJson());
    }

    private static void measureApplication(Map<String, Double> figures) throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("key-slate-bench");
        SpringApplication application = new SpringApplication(Darkroom.class);
        application.setLogStartupInfo(false);
        String[] settings = Settings.asArguments(Map.of(
                "keyslate.data", folder.toString(),
                "keyslate.demo", "true",
                "keyslate.practice", "true",
                "server.port", "0",
                // Nothing but the figures goes to the output.
                "logging.level.root", "off"));
        try (ConfigurableApplicationContext context = application.run(settings)) {
            String base = "http://localhost:" + context.getEnvironment().getProperty("local.server.port");
            figures.put(
                    "startWithNewDemoDataSeconds",
                    ManagementFactory.getRuntimeMXBean().getUptime() / 1000.0);
            residentMegabytes().ifPresent(mb -> figures.put("idleResidentMb", mb));
            RequestFigures requests = new RequestFigures(base);
            requests.add(figures);
            new EditFigures(context, base).add(figures);
            DragFigures.add(base, requests.withLocalWork(), figures);
            TimerFigures.add(context.getBean(EnlargerTimers.class).of("bench"), requests, figures);
        }
        try {
            StartFigures.add(folder, figures);
            try (ConfigurableApplicationContext context = application.run(settings)) {
                ArchiveFigures.add(
                        context,
                        "http://localhost:" + context.getEnvironment().getProperty("local.server.port"),
                        figures);
            }
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

    private static void print(Map<String, Double> figures, boolean asJson) {
        if (asJson) {
            System.out.println(JsonMapper.shared().writeValueAsString(figures));
            return;
        }
        System.out.println("The best of " + RequestFigures.RUNS + " runs of " + RequestFigures.MEASURED
                + " requests each after " + RequestFigures.WARM_UP + " to warm up, one at a time; "
                + TimerFigures.BURSTS + " bursts of the timer.");
        figures.forEach((name, value) -> System.out.println(String.format(Locale.ROOT, "%-40s %10.2f", name, value)));
    }
}
