package keyslate.server.benchmark;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import keyslate.core.trial.BenchTrial;
import keyslate.core.trial.Trial;
import keyslate.core.trial.Trial.Advice;
import keyslate.core.trial.Trial.Figures;
import keyslate.core.trial.Trial.Result;
import tools.jackson.databind.json.JsonMapper;

/** What {@code ./slate trial} prints. */
public final class TrialReport {
    public static final int USUAL_RUNS = 200;
    public static final int USUAL_SEED = 1;
    private static final int PERCENT = 100;
    private static final String MONO_BENCH =
            "Monochrome, by covered strips. From the second slate on a proof shows the negative beside a print that was kept. Within: 1/12 stop and a quarter grade.";
    private static final String COLOUR_BENCH =
            "Colour, through viewing filters. From the second slate on the pack begins at the median of the prints before, and the kit is believed as it was found. Within: 1/12 stop and ΔE00 2.";

    /**
     * What was asked for.
     *
     * @param runs negatives for each method
     * @param seed of the first; each further run takes the next
     * @param steadyPercent share of the variance of cast judgements that is one error all through a run, 0 to 100
     * @param world of which kind
     * @param slates of a bench; 0 = every slate for itself
     */
    public record Asked(int runs, long seed, int steadyPercent, boolean asJson, World world, int slates) {}

    /** Whether the world keeps to what model.md says of it, or to nothing at all. */
    public enum World {
        USUAL,
        FOREIGN
    }

    private TrialReport() {}

    /** Runs the trial and tells what came out, with a line feed at its end. */
    public static String of(Asked asked) {
        if (asked.slates() > 0) {
            List<BenchTrial.Place> places = BenchTrial.run(asked.runs(), asked.slates(), asked.seed());
            List<BenchTrial.Place> colour = BenchTrial.inColour(asked.runs(), asked.slates(), asked.seed());
            return asked.asJson()
                    ? JsonMapper.shared().writeValueAsString(Map.of("slates", places, "colourSlates", colour)) + "\n"
                    : benches(asked) + bench(MONO_BENCH, places) + bench(COLOUR_BENCH, colour);
        }
        if (asked.world() == World.FOREIGN) {
            List<Result> foreign = Trial.foreign(asked.runs(), asked.seed());
            return asked.asJson() ? json(foreign) : table(foreign, asked);
        }
        List<Result> results = Trial.run(asked.runs(), asked.seed(), asked.steadyPercent() / (double) PERCENT);
        return asked.asJson() ? json(results) : table(results, asked);
    }

    private static String benches(Asked asked) {
        return String.format(
                Locale.ROOT, "%d benches of %d slates, seed %d.%n", asked.runs(), asked.slates(), asked.seed());
    }

    private static String bench(String what, List<BenchTrial.Place> places) {
        StringBuilder text = new StringBuilder(String.format(
                Locale.ROOT, "%n%s%n%n%-8s %7s %12s %12s%n", what, "slate", "pieces", "after one", "after two"));
        places.forEach(p -> text.append(String.format(
                Locale.ROOT,
                "%-8d %7.2f %10.0f %% %10.0f %%%n",
                p.slate(),
                p.piecesMean(),
                PERCENT * p.withinAfterOne(),
                PERCENT * p.withinAfterTwo())));
        return text.toString();
    }

    private static String json(List<Result> results) {
        List<Map<String, Object>> methods =
                results.stream().map(TrialReport::method).toList();
        return JsonMapper.shared().writeValueAsString(Map.of("methods", methods)) + "\n";
    }

    /** A figure that a method has not, such as the grade of a colour print, is null. */
    private static Map<String, Object> method(Result result) {
        Figures f = result.figures();
        Map<String, Object> method = new LinkedHashMap<>();
        method.put("name", result.name());
        method.put("runs", result.runs());
        method.put("piecesMedian", f.piecesMedian());
        method.put("piecesP90", f.piecesP90());
        method.put("withinGoal", f.withinGoal());
        method.put("stopsErrorP90", f.stopsErrorP90());
        method.put(
                "gradeErrorP90",
                f.gradeErrorP90().isPresent() ? f.gradeErrorP90().getAsDouble() : null);
        method.put("deltaE00P90", f.deltaE00P90().isPresent() ? f.deltaE00P90().getAsDouble() : null);
        method.put("limitsHold", f.limitsHold().isPresent() ? f.limitsHold().getAsDouble() : null);
        return method;
    }

    private static String table(List<Result> results, Asked asked) {
        StringBuilder text = new StringBuilder();
        text.append(asked.runs())
                .append(" negatives a method, seed ")
                .append(asked.seed())
                .append(". Errors are those of the final print: median / 90th percentile.\n")
                .append(
                        "Within the goal: 1/12 stop and a quarter grade after 2 pieces (an area: after 2 of its own), or 1/12 stop and")
                .append(
                        " ΔE00 2 after 3, by scan after 2; a start from a proof: 1/3 stop; a print with another set-up: 1/6 stop. Limits: share of errors within the 95 % limit stated.\n");
        if (asked.world() == World.FOREIGN) {
            text.append("A foreign world: within means twice of that.\n");
        }
        if (asked.steadyPercent() > 0) {
            text.append(asked.steadyPercent())
                    .append(" % of the variance of cast judgements is one error all through a run.\n");
        }
        text.append(String.format(
                "%n%-24s %7s %7s %13s %13s %11s %7s  %s%n",
                "method", "pieces", "within", "stops", "grades", "ΔE00", "limits", "advice"));
        results.forEach(r -> text.append(line(r)));
        return text.toString();
    }

    private static String line(Result r) {
        Figures f = r.figures();
        return String.format(
                Locale.ROOT,
                "%-24s %7s %5.0f %% %13s %13s %11s %7s  %s%n",
                r.name(),
                f.piecesMedian() + " / " + f.piecesP90(),
                PERCENT * f.withinGoal(),
                pair("%.3f", OptionalDouble.of(f.stopsErrorMedian()), OptionalDouble.of(f.stopsErrorP90())),
                pair("%.3f", f.gradeErrorMedian(), f.gradeErrorP90()),
                pair("%.2f", f.deltaE00Median(), f.deltaE00P90()),
                f.limitsHold().isEmpty()
                        ? "–"
                        : String.format(
                                Locale.ROOT, "%.0f %%", PERCENT * f.limitsHold().getAsDouble()),
                says(r.advice()));
    }

    private static String pair(String format, OptionalDouble median, OptionalDouble ninety) {
        return median.isEmpty()
                ? "–"
                : String.format(Locale.ROOT, format + " / " + format, median.getAsDouble(), ninety.getAsDouble());
    }

    private static String says(Advice advice) {
        return switch (advice) {
            case STATION -> "given by a station";
            case CORE_ONLY -> "in the core; its station is not built yet";
            case CRAFT_RULES -> "none: plain rules, for comparison";
        };
    }
}
