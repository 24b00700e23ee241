package keyslate.server;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import keyslate.core.trial.Trial;
import keyslate.server.attack.Attack;
import keyslate.server.bench.Switchboard;
import keyslate.server.benchmark.Bench;
import keyslate.server.benchmark.TrialReport;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.PortInUseException;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * The start: {@code --data DIR}, {@code --port N}, {@code --demo} (the practice darkroom with Kiln Yard), {@code --clock-speed X}; or {@code bench}; or
 * {@code trial}; or {@code attack}.
 */
public final class KeySlate {
    private static final int DEFAULT_PORT = 8420;
    private static final int FAILED = 1;

    private final Map<String, String> settings;
    private ConfigurableApplicationContext open;

    private KeySlate(Map<String, String> settings) {
        this.settings = settings;
    }

    public static void main(String[] args) throws Exception {
        System.setProperty("java.awt.headless", "true");
        if (args.length > 0 && "bench".equals(args[0])) {
            Bench.run(bench(args));
            return;
        }
        if (args.length > 0 && "trial".equals(args[0])) {
            TrialReport.Asked asked = trial(args);
            System.out.print(TrialReport.of(asked));
            return;
        }
        if (args.length > 0 && "attack".equals(args[0])) {
            System.exit(Attack.run(attack(args)) ? 0 : FAILED);
        }
        Map<String, String> settings = settings(args);
        String problem = DataFolder.problem(Path.of(settings.get("keyslate.data")));
        if (problem != null) {
            fail(problem);
        }
        new KeySlate(settings).start();
        System.out.println(
                "Key Slate is open at http://localhost:" + settings.get("server.port") + "  (Ctrl-C closes it)");
    }

    /** Opens the darkroom of the settings, with a way to the other one. */
    private void start() {
        SpringApplication application = new SpringApplication(Darkroom.class);
        application.setRegisterShutdownHook(true);
        application.addInitializers(
                context -> context.getBeanFactory().registerSingleton("switchboard", (Switchboard) this::switchTo));
        try {
            open = application.run(Settings.asArguments(settings));
        } catch (RuntimeException e) {
            for (Throwable cause = e; cause != null; cause = cause.getCause()) {
                if (cause instanceof PortInUseException) {
                    fail("Port " + settings.get("server.port")
                            + " is taken by another program. Name another one with --port.");
                }
                if (cause instanceof keyslate.store.StorageException) {
                    fail(cause.getMessage());
                }
            }
            throw e;
        }
    }

    /** A darkroom is a context of its own: this one is closed, its file with it, before the other one opens. */
    private void switchTo(boolean practice) {
        Thread turn = new Thread(
                () -> {
                    open.close();
                    settings.put("keyslate.practice", Boolean.toString(practice));
                    settings.put("keyslate.demo", Boolean.toString(practice));
                    start();
                },
                "switchboard");
        turn.setDaemon(false);
        turn.start();
    }

    private static void fail(String message) {
        System.err.println("Key Slate cannot start. " + message);
        System.exit(FAILED);
    }

    private static Map<String, String> settings(String[] args) {
        Map<String, String> settings = new HashMap<>();
        settings.put("server.port", Integer.toString(DEFAULT_PORT));
        settings.put(
                "keyslate.data",
                Path.of(System.getProperty("user.home"), "key-slate").toString());
        for (int i = 0; i < args.length; i++) {
            switch (args[i]) {
                case "--demo" -> {
                    settings.put("keyslate.demo", "true");
                    settings.put("keyslate.practice", "true");
                }
                case "--data" -> settings.put("keyslate.data", value(args, ++i));
                case "--port" -> settings.put("server.port", number(args, ++i, 1, 65535));
                case "--clock-speed" -> settings.put("keyslate.clock-speed", number(args, ++i, 1, 1000));
                default -> fail("It does not know “" + args[i] + "”. ./slate help lists what it knows.");
            }
        }
        return settings;
    }

    private static Bench.Asked bench(String[] args) {
        boolean asJson = false;
        Optional<Path> kernels = Optional.empty();
        for (int i = 1; i < args.length; i++) {
            switch (args[i]) {
                case "--json" -> asJson = true;
                case "--kernel-figures" -> kernels = Optional.of(Path.of(value(args, ++i)));
                default -> fail("It does not know “" + args[i] + "”. ./slate help lists what it knows.");
            }
        }
        return new Bench.Asked(asJson, kernels);
    }

    private static TrialReport.Asked trial(String[] args) {
        int runs = TrialReport.USUAL_RUNS;
        long seed = TrialReport.USUAL_SEED;
        int steadyPercent = 0;
        boolean asJson = false;
        for (int i = 1; i < args.length; i++) {
            switch (args[i]) {
                case "--n" -> runs = Integer.parseInt(number(args, ++i, 1, Trial.MOST_RUNS));
                case "--seed" -> seed = Long.parseLong(number(args, ++i, 0, 999_999));
                case "--steady" -> steadyPercent = Integer.parseInt(number(args, ++i, 0, 100));
                case "--json" -> asJson = true;
                default -> fail("It does not know “" + args[i] + "”. ./slate help lists what it knows.");
            }
        }
        return new TrialReport.Asked(runs, seed, steadyPercent, asJson);
    }

    private static Attack.Asked attack(String[] args) {
        double minutes = Attack.USUAL_MINUTES;
        long seed = Attack.USUAL_SEED;
        Optional<String> part = Optional.empty();
        boolean asJson = false;
        for (int i = 1; i < args.length; i++) {
            switch (args[i]) {
                case "--minutes" -> minutes = Double.parseDouble(number(args, ++i, 1, 1440));
                case "--seed" -> seed = Long.parseLong(number(args, ++i, 0, 999_999));
                case "--part" -> part = Optional.of(part(value(args, ++i)));
                case "--json" -> asJson = true;
                default -> fail("It does not know “" + args[i] + "”. ./slate help lists what it knows.");
            }
        }
        return new Attack.Asked(minutes, seed, part, asJson);
    }

    private static String part(String name) {
        if (!Attack.parts().contains(name)) {
            fail("There is no part “" + name + "” of the attack; there are " + String.join(", ", Attack.parts()) + ".");
        }
        return name;
    }

    private static String value(String[] args, int i) {
        if (i >= args.length) {
            fail(args[i - 1] + " needs a value.");
        }
        return args[i];
    }

    private static String number(String[] args, int i, int low, int high) {
        String text = value(args, i);
        if (!text.matches("\\d{1,6}") || Integer.parseInt(text) < low || Integer.parseInt(text) > high) {
            fail(args[i - 1] + " needs a number from " + low + " to " + high + ", was “" + text + "”.");
        }
        return text;
    }
}
