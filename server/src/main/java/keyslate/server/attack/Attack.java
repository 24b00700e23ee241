package keyslate.server.attack;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Attacks applications of its own, on data of its own and on loopback alone, for a time that is given, the parts one after
 * another; leaves nothing behind.
 */
public final class Attack {
    public static final int USUAL_MINUTES = 10;
    public static final int USUAL_SEED = 1;

    /** Figures that must be 0. */
    static final List<String> MUST_BE_NONE = List.of(
            "broken",
            "losses",
            "serverErrors",
            "hangs",
            "unsaid",
            "changedByRefusal",
            "halfTaken",
            "racesLost",
            "diskFaultsUnsaid");

    private static final List<Part> PARTS =
            List.of(new Kills(), new Requests(), new Intake(), new Races(), new Disk(), new Load());

    private Attack() {}

    /**
     * What was asked for.
     *
     * @param part the only one to run; none = all, each for its share of the time
     */
    public record Asked(double minutes, long seed, Optional<String> part, boolean asJson) {}

    /** The names of the parts there are. */
    public static List<String> parts() {
        return PARTS.stream().map(Part::name).toList();
    }

    /** Runs it and prints what it found; whether nothing was lost and nothing stuck. */
    public static boolean run(Asked asked) throws IOException, InterruptedException {
        Figures figures = measure(asked);
        Map<String, Object> numbers = figures.numbers();
        if (asked.asJson()) {
            System.out.println(Calls.JSON.writeValueAsString(numbers));
        } else {
            numbers.forEach((name, value) -> System.out.println(
                    value instanceof Double d
                            ? String.format(Locale.ROOT, "%-28s %12.2f", name, d)
                            : String.format(Locale.ROOT, "%-28s %12s", name, value)));
        }
        figures.faults().forEach(System.err::println);
        return MUST_BE_NONE.stream().allMatch(name -> figures.counted(name) == 0);
    }

    static Figures measure(Asked asked) throws IOException, InterruptedException {
        Figures figures = new Figures();
        figures.put(
                "machine",
                Runtime.getRuntime().availableProcessors() + " processors, Java "
                        + Runtime.version().feature());
        figures.put("seed", asked.seed());
        figures.put("minutes", asked.minutes());
        List<Part> wanted = PARTS.stream()
                .filter(p -> asked.part().map(p.name()::equals).orElse(true))
                .toList();
        figures.put("parts", wanted.stream().map(Part::name).collect(Collectors.joining(" ")));
        for (Part part : wanted) {
            Path folder = Files.createTempDirectory("key-slate-attack");
            try {
                // A seed for each part, so that one alone does what it does among the others.
                Random random = new Random(asked.seed() * 31 + part.name().hashCode());
                double share = wanted.size() == 1 ? 1 : part.share();
                part.run(folder, random, asked.minutes() * share, figures);
            } catch (RuntimeException e) {
                // What an hour has found so far is not lost with one part.
                figures.fault("broken", part.name() + ": " + e + " at " + e.getStackTrace()[0]);
            } finally {
                remove(folder);
            }
        }
        return figures;
    }

    private static void remove(Path folder) throws IOException {
        empty(folder);
        Files.deleteIfExists(folder);
    }

    /** Deletes everything in a folder. */
    static void empty(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            files.filter(f -> !f.equals(folder))
                    .sorted(Comparator.reverseOrder())
                    .forEach(f -> f.toFile().delete());
        }
    }
}
