package keyslate.core.trial;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import keyslate.core.quantity.Check;

/**
 * The simulated printer that measures the advice: each method on the same negatives and papers, followed to the letter until it says done.
 *
 * <p>Goal: monochrome within 1/12 stop and a quarter grade after 2 test pieces, colour within 1/12 stop and ΔE00 2 after 3, in 90 of 100 runs.
 */
public final class Trial {
    private static final int MOST_RUNS = 100_000;
    private static final double NINETY = 0.9;
    private static final Map<String, Method> METHODS = methods();

    private Trial() {}

    /**
     * One method's figures.
     *
     * @param name as in {@code ./slate trial --json}
     * @param runs how many negatives
     * @param figures nothing when the method is not built yet
     */
    public record Result(String name, int runs, Optional<Figures> figures) {}

    /**
     * What came out over all runs; medians and 90th percentiles by the nearest rank.
     *
     * @param withinGoal share of runs, 0 to 1, whose recipe after the goal's number of pieces was within the goal
     * @param stopsErrorP90 stops by which the final print is too dark or too light
     * @param gradeErrorP90 grades beyond what the filters must miss by; empty for colour
     * @param deltaE00P90 ΔE00 of the grey card at its right density; empty for monochrome
     */
    public record Figures(
            int piecesMedian,
            int piecesP90,
            double withinGoal,
            double stopsErrorMedian,
            double stopsErrorP90,
            OptionalDouble gradeErrorMedian,
            OptionalDouble gradeErrorP90,
            OptionalDouble deltaE00Median,
            OptionalDouble deltaE00P90) {}

    /**
     * Runs every method; the same seed gives the same figures.
     *
     * @param runs 1 to {@value #MOST_RUNS}
     */
    public static List<Result> run(int runs, long seed) {
        Check.count("runs", runs, 1, MOST_RUNS);
        List<Result> results = new ArrayList<>();
        METHODS.forEach(
                (name, method) -> results.add(new Result(name, runs, Optional.of(figures(method, runs, seed)))));
        return results;
    }

    private static Map<String, Method> methods() {
        Map<String, Method> methods = new LinkedHashMap<>();
        methods.put("mono-single", new MonoMethod(false));
        methods.put("mono-split", new MonoMethod(true));
        methods.put("colour-viewing-filters", new ColourByEye(false));
        methods.put("colour-ring-around", new ColourByEye(true));
        methods.put("colour-scan", new ColourByScan());
        methods.put("local", new LocalMethod());
        methods.put("mono-craft-rules", new MonoCraftRules());
        methods.put("colour-craft-rules", new ColourCraftRules());
        return methods;
    }

    private static Figures figures(Method method, int runs, long seed) {
        List<Outcome> outcomes = new ArrayList<>();
        for (int i = 0; i < runs; i++) {
            outcomes.add(method.run(seed + i));
        }
        double[] pieces = sorted(outcomes, Outcome::pieces);
        double[] stops = sorted(outcomes, Outcome::stopsError);
        OptionalDouble none = OptionalDouble.empty();
        boolean graded = outcomes.get(0).gradeError().isPresent();
        boolean coloured = outcomes.get(0).deltaE00().isPresent();
        double[] grades = graded ? sorted(outcomes, o -> o.gradeError().getAsDouble()) : new double[0];
        double[] casts = coloured ? sorted(outcomes, o -> o.deltaE00().getAsDouble()) : new double[0];
        return new Figures(
                (int) rank(pieces, 0.5),
                (int) rank(pieces, NINETY),
                outcomes.stream().filter(Outcome::withinGoal).count() / (double) runs,
                rank(stops, 0.5),
                rank(stops, NINETY),
                graded ? OptionalDouble.of(rank(grades, 0.5)) : none,
                graded ? OptionalDouble.of(rank(grades, NINETY)) : none,
                coloured ? OptionalDouble.of(rank(casts, 0.5)) : none,
                coloured ? OptionalDouble.of(rank(casts, NINETY)) : none);
    }

    private static double[] sorted(List<Outcome> outcomes, ToDoubleFunction<Outcome> figure) {
        return outcomes.stream().mapToDouble(figure).sorted().toArray();
    }

    private static double rank(double[] sorted, double share) {
        return sorted[Math.max(0, (int) Math.ceil(share * sorted.length) - 1)];
    }
}
