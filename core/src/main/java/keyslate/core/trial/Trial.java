package keyslate.core.trial;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Stops;
import keyslate.core.trial.printer.CarryOver;
import keyslate.core.trial.printer.ColourByEye;
import keyslate.core.trial.printer.ColourByScan;
import keyslate.core.trial.printer.ColourCraftRules;
import keyslate.core.trial.printer.ColourDarkroom;
import keyslate.core.trial.printer.LocalByStrips;
import keyslate.core.trial.printer.MonoByPicture;
import keyslate.core.trial.printer.MonoByTests;
import keyslate.core.trial.printer.MonoCraftRules;
import keyslate.core.trial.printer.ProofStart;
import keyslate.core.trial.printer.ProofTable;
import keyslate.core.trial.world.PrintError;
import keyslate.core.trial.world.SimulatedMono;
import keyslate.core.trial.world.SimulatedMove;
import keyslate.core.trial.world.SimulatedProof;
import keyslate.core.trial.world.TestedColour;
import keyslate.core.trial.world.TestedMono;

/**
 * The simulated printer that measures the advice: each method on the same negatives and papers, followed to the letter
 * until it says done.
 *
 * <p>A start from a proof: within 1/3 stop of what the frame's highlight needs; an accepted print made again with another set-up: its first sheet within 1/6. Goal of the others: monochrome within 1/12 stop and a quarter grade after 2 test pieces, colour within 1/12 stop and ΔE00 2
 * after 3, in 90 of 100 runs.
 */
public final class Trial {
    public static final int MOST_RUNS = 100_000;
    private static final double NINETY = 0.9;
    private static final int MONO_PIECES = 2;
    /** Two for the base and two for the area. */
    private static final int LOCAL_PIECES = 4;

    private static final int COLOUR_PIECES = 3;
    private static final int SCAN_PIECES = 2;
    /** The proof itself: a start, which a strip follows. */
    private static final int PROOF_PIECES = 1;

    private static final int PICTURE_PIECES = 1;
    private static final double ON_TIME_STOPS = 1.0 / 12;

    private static final double GOOD_START_STOPS = 1.0 / 3;
    private static final double GOOD_MOVE_STOPS = 1.0 / 6;

    /** Who gives the advice that a method follows. */
    public enum Advice {
        /** A station of the application gives it today. */
        STATION,
        /** It is in the core; the station that will give it is not built yet. */
        CORE_ONLY,
        /** Nobody: the plain rules, for comparison. */
        CRAFT_RULES
    }

    /** One negative, followed: the error of the print that would be made after each piece. */
    private interface Run {
        List<PrintError> follow(long seed);
    }

    private record Method(String name, Advice advice, int goalPieces, Predicate<PrintError> goal, Run run) {
        Method(String name, Advice advice, int goalPieces, Run run) {
            this(name, advice, goalPieces, PrintError::isWithinGoal, run);
        }
    }

    /** One method's figures; {@code name} as in {@code ./slate trial --json}. */
    public record Result(String name, Advice advice, int runs, Figures figures) {}

    /**
     * What came out over all runs; medians and 90th percentiles by the nearest rank.
     *
     * @param piecesMedian strips, ring-arounds and test prints until the advice said done, the final print not counted
     * @param withinGoal share of runs, 0 to 1, whose recipe after the goal's number of pieces was within the goal
     * @param stopsErrorP90 stops by which the final print is too dark or too light
     * @param gradeErrorP90 grades beyond what the filters must miss by; empty for colour and areas
     * @param deltaE00P90 ΔE00 of the grey card at its right density; empty for monochrome
     * @param limitsHold share of runs, 0 to 1, whose error lies within the 95 % limit that was stated; empty where none is
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
            OptionalDouble deltaE00P90,
            OptionalDouble limitsHold) {}

    private Trial() {}

    /**
     * Runs every method; the same seed gives the same figures.
     *
     * @param runs 1 to {@value #MOST_RUNS}
     * @param steady share of the variance of cast judgements, 0 to 1, that is one error all through a run; 0 takes
     * every look for a new one
     */
    public static List<Result> run(int runs, long seed, double steady) {
        Check.count("runs", runs, 1, MOST_RUNS);
        Check.within("steady share", steady, 0, 1, "");
        return methods(steady).stream()
                .map(m -> new Result(m.name(), m.advice(), runs, figures(m, runs, seed)))
                .toList();
    }

    /**
     * The main methods in a foreign world, none of whose ideas of paper, head and lamp are the advice's: within twice the goals.
     *
     * @param runs 1 to {@value #MOST_RUNS}
     */
    public static List<Result> foreign(int runs, long seed) {
        Check.count("runs", runs, 1, MOST_RUNS);
        return Stream.of(
                        foreign("mono-single", MonoByTests.Kind.COVER),
                        foreign("mono-split", MonoByTests.Kind.SPLIT),
                        foreign("mono-dials", MonoByTests.Kind.DIALS),
                        foreign("colour-viewing-filters", Advice.STATION, byEye(ColourByEye.Way.VIEWING_FILTERS)),
                        foreign("colour-named-cast", Advice.STATION, byEye(ColourByEye.Way.BY_NAME)),
                        foreign("colour-pieces", Advice.STATION, byEye(ColourByEye.Way.PIECES)),
                        foreign("colour-ring-around", Advice.STATION, byEye(ColourByEye.Way.RING_AROUND)),
                        foreign("colour-meter", Advice.STATION, byEye(ColourByEye.Way.METER)),
                        foreign("colour-scan", Advice.STATION, ColourByScan::follow))
                .map(m -> new Result(m.name(), m.advice(), runs, figures(m, runs, seed)))
                .toList();
    }

    private static Method foreign(String name, MonoByTests.Kind kind) {
        return new Method(name, Advice.STATION, MONO_PIECES, PrintError::isWithinTwiceTheGoal, seed -> {
            TestedMono world = new TestedMono(seed, new TestedMono.Kind(kind == MonoByTests.Kind.DIALS, true));
            return errors(MonoByTests.follow(world, kind), world::errorOf);
        });
    }

    private static Method foreign(String name, Advice advice, Function<ColourDarkroom, List<Exposed>> method) {
        return new Method(name, advice, COLOUR_PIECES, PrintError::isWithinTwiceTheGoal, seed -> {
            TestedColour world = new TestedColour(seed, new TestedColour.Kind(0, true));
            return errors(method.apply(world), world::errorOf);
        });
    }

    private static List<Method> methods(double steady) {
        return List.of(
                tested("mono-single", MonoByTests.Kind.COVER),
                tested("mono-same-spot", MonoByTests.Kind.SAME_SPOT),
                tested("mono-openings", MonoByTests.Kind.OPENINGS),
                tested("mono-pieces", MonoByTests.Kind.PIECES),
                tested("mono-presses", MonoByTests.Kind.PRESSES),
                tested("mono-wedge", MonoByTests.Kind.WEDGE),
                tested("mono-guess", MonoByTests.Kind.GUESS),
                new Method("mono-picture", Advice.STATION, PICTURE_PIECES, Trial::isOnTime, seed -> {
                    TestedMono world = new TestedMono(seed);
                    return errors(MonoByPicture.follow(world), world::errorOf);
                }),
                tested("mono-split", MonoByTests.Kind.SPLIT),
                tested("mono-dials", MonoByTests.Kind.DIALS),
                byEye("colour-viewing-filters", Advice.STATION, ColourByEye.Way.VIEWING_FILTERS, steady),
                byEye("colour-named-cast", Advice.STATION, ColourByEye.Way.BY_NAME, steady),
                byEye("colour-pieces", Advice.STATION, ColourByEye.Way.PIECES, steady),
                byEye("colour-ring-around", Advice.STATION, ColourByEye.Way.RING_AROUND, steady),
                byEye("colour-grey-card", Advice.STATION, ColourByEye.Way.BESIDE_A_CARD, steady),
                byEye("colour-picture", Advice.STATION, ColourByEye.Way.PICTURE, steady),
                byEye("colour-meter", Advice.STATION, ColourByEye.Way.METER, steady),
                hard("colour-far-negatives", TestedColour.Negatives.FAR, steady),
                hard("colour-mixed-light", TestedColour.Negatives.MIXED_LIGHT, steady),
                new Method("colour-scan", Advice.STATION, SCAN_PIECES, s -> colour(s, steady, ColourByScan::follow)),
                new Method("local", Advice.CORE_ONLY, LOCAL_PIECES, s -> local(new SimulatedMono(s))),
                new Method(
                        "proof-start",
                        Advice.STATION,
                        PROOF_PIECES,
                        Trial::isGoodStart,
                        s -> proof(s, ProofStart::byEye)),
                new Method(
                        "proof-start-scan",
                        Advice.STATION,
                        PROOF_PIECES,
                        Trial::isGoodStart,
                        s -> proof(s, ProofStart::byScan)),
                new Method("carry-over", Advice.STATION, PROOF_PIECES, Trial::isGoodMove, s -> move(s, true)),
                new Method("carry-over-defaults", Advice.STATION, PROOF_PIECES, Trial::isGoodMove, s -> move(s, false)),
                new Method("mono-craft-rules", Advice.CRAFT_RULES, MONO_PIECES, s -> craft(new TestedMono(s))),
                new Method(
                        "colour-craft-rules",
                        Advice.CRAFT_RULES,
                        COLOUR_PIECES,
                        s -> colour(s, steady, ColourCraftRules::follow)));
    }

    private static Method byEye(String name, Advice advice, ColourByEye.Way way, double steady) {
        return new Method(name, advice, COLOUR_PIECES, seed -> colour(seed, steady, byEye(way)));
    }

    /** Through viewing filters, of negatives that are harder than most. */
    private static Method hard(String name, TestedColour.Negatives negatives, double steady) {
        return new Method(name, Advice.STATION, COLOUR_PIECES, seed -> {
            TestedColour world = new TestedColour(seed, new TestedColour.Kind(steady, false, negatives));
            return errors(byEye(ColourByEye.Way.VIEWING_FILTERS).apply(world), world::errorOf);
        });
    }

    private static Function<ColourDarkroom, List<Exposed>> byEye(ColourByEye.Way way) {
        return darkroom ->
                ColourByEye.follow(darkroom, way, ColourByEye.Bench.NEW).stood();
    }

    private static Method tested(String name, MonoByTests.Kind kind) {
        return new Method(name, Advice.STATION, MONO_PIECES, seed -> {
            TestedMono world = new TestedMono(seed, new TestedMono.Kind(kind == MonoByTests.Kind.DIALS, false));
            return errors(MonoByTests.follow(world, kind), world::errorOf);
        });
    }

    private static List<PrintError> craft(TestedMono world) {
        return errors(MonoCraftRules.follow(world.forStrips()), world::errorOf);
    }

    private static List<PrintError> local(SimulatedMono world) {
        return errors(LocalByStrips.follow(world), world::errorOf);
    }

    private static List<PrintError> colour(long seed, double steady, Function<ColourDarkroom, List<Exposed>> method) {
        TestedColour world = new TestedColour(seed, new TestedColour.Kind(steady, false));
        return errors(method.apply(world), world::errorOf);
    }

    private static List<PrintError> proof(long seed, Function<ProofTable, Stops> method) {
        SimulatedProof world = new SimulatedProof(seed);
        return List.of(world.errorOf(method.apply(world)));
    }

    private static List<PrintError> move(long seed, boolean calibrated) {
        SimulatedMove world = new SimulatedMove(seed);
        return List.of(world.errorOf(CarryOver.follow(world, calibrated)));
    }

    /** The time alone, through the filter of the strip: one picture tells nothing of other filters. */
    private static boolean isOnTime(PrintError error) {
        return error.stops() <= ON_TIME_STOPS;
    }

    private static boolean isGoodMove(PrintError error) {
        return error.stops() <= GOOD_MOVE_STOPS;
    }

    private static boolean isGoodStart(PrintError error) {
        return error.stops() <= GOOD_START_STOPS;
    }

    private static <R> List<PrintError> errors(List<R> stood, Function<R, PrintError> error) {
        return stood.stream().map(error).toList();
    }

    private static Figures figures(Method method, int runs, long seed) {
        List<PrintError> last = new ArrayList<>();
        double[] pieces = new double[runs];
        int within = 0;
        for (int i = 0; i < runs; i++) {
            List<PrintError> errors = method.run().follow(seed + i);
            pieces[i] = errors.size();
            last.add(errors.get(errors.size() - 1));
            within += method.goal().test(errors.get(Math.min(errors.size(), method.goalPieces()) - 1)) ? 1 : 0;
        }
        Arrays.sort(pieces);
        return new Figures(
                (int) rank(pieces, 0.5),
                (int) rank(pieces, NINETY),
                within / (double) runs,
                rank(last, PrintError::stops, 0.5),
                rank(last, PrintError::stops, NINETY),
                rankOf(last, PrintError::grades, 0.5),
                rankOf(last, PrintError::grades, NINETY),
                rankOf(last, PrintError::deltaE00, 0.5),
                rankOf(last, PrintError::deltaE00, NINETY),
                last.get(0).stated().isEmpty()
                        ? OptionalDouble.empty()
                        : last.stream()
                                .mapToDouble(e -> e.heldItsLimit().orElseThrow())
                                .average());
    }

    private static OptionalDouble rankOf(
            List<PrintError> errors, Function<PrintError, OptionalDouble> figure, double share) {
        boolean measured = figure.apply(errors.get(0)).isPresent();
        return measured
                ? OptionalDouble.of(rank(errors, e -> figure.apply(e).getAsDouble(), share))
                : OptionalDouble.empty();
    }

    private static double rank(List<PrintError> errors, ToDoubleFunction<PrintError> figure, double share) {
        return rank(errors.stream().mapToDouble(figure).sorted().toArray(), share);
    }

    private static double rank(double[] sorted, double share) {
        return sorted[Math.max(0, (int) Math.ceil(share * sorted.length) - 1)];
    }
}
