package keyslate.core.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import keyslate.core.quantity.Check;
import keyslate.core.trial.printer.ColourByEye;
import keyslate.core.trial.printer.ColourByEye.Way;
import keyslate.core.trial.printer.MonoByTests;
import keyslate.core.trial.printer.MonoByTests.Bench;
import keyslate.core.trial.printer.MonoByTests.Kind;
import keyslate.core.trial.printer.MonoByTests.Slate;
import keyslate.core.trial.world.PrintError;
import keyslate.core.trial.world.TestedColour;
import keyslate.core.trial.world.TestedMono;

/**
 * Slate after slate in one darkroom: what strips told of its filters and its lamp stays, each later negative begins with what a proof says of it beside a print that was kept, and first strips
 * become as fine as first guesses have turned out to be.
 */
public final class BenchTrial {
    public static final int MOST_SLATES = 50;

    /**
     * The slates at one place of all benches.
     *
     * @param slate 1 = the first of its bench
     * @param piecesMean test pieces until the advice said done
     * @param withinAfterOne share of recipes that were within 1/12 stop and a quarter grade after one piece, 0 to 1
     * @param withinAfterTwo after two
     */
    public record Place(int slate, double piecesMean, double withinAfterOne, double withinAfterTwo) {}

    private record Followed(int pieces, boolean afterOne, boolean afterTwo) {
        static Followed of(List<PrintError> errors) {
            return new Followed(
                    errors.size(),
                    errors.get(0).isWithinGoal(),
                    errors.get(Math.min(errors.size(), 2) - 1).isWithinGoal());
        }
    }

    private BenchTrial() {}

    /** So many benches of so many slates each, by covered strips; the same seed gives the same figures. */
    public static List<Place> run(int benches, int slates, long seed) {
        return run(benches, slates, seed, BenchTrial::bench);
    }

    /** The same in colour, through viewing filters: the kit, the eye and the packs that prints ended with stay. */
    public static List<Place> inColour(int benches, int slates, long seed) {
        return run(benches, slates, seed, BenchTrial::colourBench);
    }

    private interface OneBench {
        List<Followed> follow(int slates, long seed);
    }

    private static List<Place> run(int benches, int slates, long seed, OneBench one) {
        Check.count("benches", benches, 1, Trial.MOST_RUNS);
        Check.count("slates", slates, 1, MOST_SLATES);
        List<List<Followed>> all = IntStream.range(0, benches)
                .mapToObj(i -> one.follow(slates, seed + i))
                .toList();
        return IntStream.range(0, slates)
                .mapToObj(at -> new Place(
                        at + 1,
                        mean(all, at, Followed::pieces),
                        mean(all, at, f -> f.afterOne() ? 1 : 0),
                        mean(all, at, f -> f.afterTwo() ? 1 : 0)))
                .toList();
    }

    private static double mean(List<List<Followed>> all, int at, ToDoubleFunction<Followed> figure) {
        return all.stream()
                .map(bench -> bench.get(at))
                .mapToDouble(figure)
                .average()
                .orElseThrow();
    }

    private static List<Followed> bench(int slates, long seed) {
        TestedMono world = new TestedMono(seed);
        SplittableRandom negatives = new SplittableRandom(seed);
        List<Slate> before = new ArrayList<>();
        List<Followed> followed = new ArrayList<>();
        for (int i = 0; i < slates; i++) {
            Bench known = i == 0 ? Bench.NEW : Bench.after(before, world.sister(negatives.nextLong()));
            Slate slate = MonoByTests.slate(world, Kind.COVER, known);
            List<PrintError> errors =
                    slate.prints().stream().map(world::errorOf).toList();
            followed.add(Followed.of(errors));
            before.add(slate);
        }
        return followed;
    }

    private static List<Followed> colourBench(int slates, long seed) {
        TestedColour room = new TestedColour(seed, TestedColour.Kind.USUAL);
        SplittableRandom negatives = new SplittableRandom(seed);
        List<ColourByEye.Slate> before = new ArrayList<>();
        List<Followed> followed = new ArrayList<>();
        for (int i = 0; i < slates; i++) {
            TestedColour world = i == 0 ? room : room.sister(negatives.nextLong());
            ColourByEye.Slate slate = ColourByEye.follow(world, Way.VIEWING_FILTERS, ColourByEye.Bench.after(before));
            List<PrintError> errors = slate.stood().stream().map(world::errorOf).toList();
            followed.add(Followed.of(errors));
            before.add(slate);
        }
        return followed;
    }
}
