package keyslate.server;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import keyslate.core.trial.BenchTrial;
import keyslate.core.trial.Trial;
import keyslate.server.attack.Attack;
import keyslate.server.backup.BackupCommands;
import keyslate.server.bench.Switchboard;
import keyslate.server.benchmark.Bench;
import keyslate.server.benchmark.TrialReport;
import keyslate.store.StorageException;
import org.slf4j.LoggerFactory;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.PortInUseException;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * The start: {@code --data DIR}, {@code --port N}, {@code --demo} (the practice darkroom with Kiln Yard), {@code --clock-speed X}; or one of the
 * commands {@code bench}, {@code trial}, {@code attack}, {@code backup}, {@code restore}.
 */
public final class KeySlate {
    private static final int DEFAULT_PORT = 8420;
    private static final int FAILED = 1;
    private static final String DATA = "--data";
    private static final String DEMO = "--demo";
    private static final String JSON = "--json";
    private static final List<String> COMMANDS = List.of("bench", "trial", "attack", "backup", "restore");

    private final Map<String, String> settings;
    private ConfigurableApplicationContext open;

    private KeySlate(Map<String, String> settings) {
        this.settings = settings;
    }

    public static void main(String[] args) throws Exception {
        System.setProperty("java.awt.headless", "true");
        String command = args.length > 0 ? args[0] : "";
        try {
            if (COMMANDS.contains(command)) {
                // Their output is what they say.
                ((Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME)).setLevel(Level.OFF);
            }
            switch (command) {
                case "bench" -> Bench.run(bench(args));
                case "trial" -> System.out.print(TrialReport.of(trial(args)));
                case "attack" -> System.exit(Attack.run(attack(args)) ? 0 : FAILED);
                case "backup" -> System.out.println(backup(args));
                case "restore" -> System.out.println(restore(args));
                default -> open(Options.of(args, 0, List.of(DATA, "--port", "--clock-speed"), List.of(DEMO)));
            }
        } catch (Options.UsageException e) {
            fail((COMMANDS.contains(command) ? "" : "Key Slate cannot start. ") + e.getMessage());
        } catch (StorageException e) {
            fail(e.getMessage());
        }
    }

    private static void open(Options options) {
        Map<String, String> settings = settings(options);
        String problem = DataFolder.problem(Path.of(settings.get("keyslate.data")));
        if (problem != null) {
            fail("Key Slate cannot start. " + problem);
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
                    fail("Key Slate cannot start. Port " + settings.get("server.port")
                            + " is taken by another program. Name another one with --port.");
                }
                if (cause instanceof StorageException) {
                    fail("Key Slate cannot start. " + cause.getMessage());
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
        System.err.println(message);
        System.exit(FAILED);
    }

    private static Map<String, String> settings(Options options) {
        Map<String, String> settings = new HashMap<>();
        settings.put("server.port", Integer.toString(options.number("--port", 1, 65535, DEFAULT_PORT)));
        settings.put("keyslate.data", data(options).toString());
        if (options.has(DEMO)) {
            settings.put("keyslate.demo", "true");
            settings.put("keyslate.practice", "true");
        }
        if (options.has("--clock-speed")) {
            settings.put("keyslate.clock-speed", Integer.toString(options.number("--clock-speed", 1, 1000, 1)));
        }
        return settings;
    }

    private static Path data(Options options) {
        return options.path(DATA).orElse(Path.of(System.getProperty("user.home"), "key-slate"));
    }

    private static Bench.Asked bench(String[] args) {
        Options options = Options.of(args, 1, List.of("--kernel-figures"), List.of(JSON));
        return new Bench.Asked(options.has(JSON), options.path("--kernel-figures"));
    }

    private static TrialReport.Asked trial(String[] args) {
        Options options =
                Options.of(args, 1, List.of("--n", "--seed", "--steady", "--bench"), List.of(JSON, "--foreign"));
        return new TrialReport.Asked(
                options.number("--n", 1, Trial.MOST_RUNS, TrialReport.USUAL_RUNS),
                options.number("--seed", 0, 999_999, TrialReport.USUAL_SEED),
                options.number("--steady", 0, 100, 0),
                options.has(JSON),
                options.has("--foreign") ? TrialReport.World.FOREIGN : TrialReport.World.USUAL,
                options.has("--bench") ? options.number("--bench", 1, BenchTrial.MOST_SLATES, 1) : 0);
    }

    private static Attack.Asked attack(String[] args) {
        Options options = Options.of(args, 1, List.of("--minutes", "--seed", "--part"), List.of(JSON));
        Optional<String> part = options.text("--part");
        if (part.isPresent() && !Attack.parts().contains(part.get())) {
            throw new Options.UsageException("There is no part “" + part.get() + "” of the attack; there are "
                    + String.join(", ", Attack.parts()) + ".");
        }
        return new Attack.Asked(
                options.number("--minutes", 1, 1440, Attack.USUAL_MINUTES),
                options.number("--seed", 0, 999_999, Attack.USUAL_SEED),
                part,
                options.has(JSON));
    }

    private static String backup(String[] args) {
        Options options = Options.of(args, 1, List.of(DATA, "--to"), List.of(DEMO));
        return BackupCommands.backup(data(options), options.has(DEMO), options.path("--to"));
    }

    private static String restore(String[] args) {
        Options options = Options.of(args, 1, List.of(DATA, "--from"), List.of(DEMO));
        Path from = options.path("--from")
                .orElseThrow(() -> new Options.UsageException("--from FILE says which backup to put back."));
        Path data = data(options);
        String problem = DataFolder.problem(data);
        if (problem != null) {
            throw new Options.UsageException(problem);
        }
        return BackupCommands.restore(from, data, options.has(DEMO));
    }
}
