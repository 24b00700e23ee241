package keyslate.core.local;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import keyslate.core.exposure.LampLag;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.QuantityException;

/**
 * The order of holds and burns of one sheet.
 *
 * <p>LOC-08: holds are jobs on the tools two hands can carry, each in one piece, longest first to the least loaded tool
 * (lowest number on ties); when that overflows the base, exact packing is tried. The base is cut where a hold starts or
 * ends; every piece is one burst, set = received + lag. Burns come after, base grade first, then by grade; received = T·(2^s − 1)·time factor.
 *
 * @param segments the pieces of the base
 * @param burns the burns in order
 * @param moves which tool holds what, from when to when
 */
public record RunSchedule(List<Segment> segments, List<BurnStep> burns, List<Move> moves) {
    private static final int MOST_PACKED_EXACTLY = 10;
    private static final double TOLERANCE_SECONDS = 1e-9;

    /** A hold that is asked for. */
    public record Hold(String area, LocalChange change) {}

    /**
     * A burn that is asked for.
     *
     * @param grade none = the base's
     * @param timeFactor by how much longer the burn's filter takes than the base's for the same tone (R39: f(g_burn)/f(g_base); by the
     *     paper's curves {@code MixedBurn}); 1 at the base's grade
     */
    public record Burn(String area, LocalChange change, Optional<Grade> grade, double timeFactor) {
        public Burn {
            timeFactor = Check.positive("time factor", timeFactor, "");
        }

        /** A burn in the light of the base. */
        public static Burn atBase(String area, LocalChange change) {
            return new Burn(area, change, Optional.empty(), 1);
        }
    }

    /** One piece of the base, with the areas held back all through it. */
    public record Segment(ExposureTime set, double receivedSeconds, List<String> held) {
        public Segment {
            held = List.copyOf(held);
        }
    }

    /** One burn. */
    public record BurnStep(String area, Optional<Grade> grade, ExposureTime set, double receivedSeconds) {}

    /** One hold by one tool, in received seconds from the start of the base. */
    public record Move(String area, int tool, double startSeconds, double endSeconds) {}

    private record Job(int index, String area, double seconds) {}

    public RunSchedule {
        segments = List.copyOf(segments);
        burns = List.copyOf(burns);
        moves = List.copyOf(moves);
    }

    /** Plans a sheet; refuses when the holds do not fit the base with so many tools. */
    public static RunSchedule plan(ExposureTime base, List<Hold> holds, List<Burn> burns, int tools, LampLag lag) {
        Check.count("tools", tools, 1, 4);
        List<Job> jobs = new ArrayList<>();
        if (holds.stream().map(Hold::area).distinct().count() < holds.size()) {
            throw new QuantityException(
                    QuantityException.Kind.WRONG_SHAPE, "holds", "an area is held back once: two holds have one name");
        }
        for (int i = 0; i < holds.size(); i++) {
            double seconds = -holds.get(i).change().secondsOn(base);
            jobs.add(new Job(i, holds.get(i).area(), Check.positive("hold", seconds, "s")));
        }
        List<Move> moves = pack(jobs, base.inSeconds(), tools);
        return new RunSchedule(cut(base, moves, holds, lag), order(base, burns, lag), moves);
    }

    /** All set seconds together. */
    public double totalSetSeconds() {
        return segments.stream().mapToDouble(s -> s.set().inSeconds()).sum()
                + burns.stream().mapToDouble(b -> b.set().inSeconds()).sum();
    }

    private static List<Move> pack(List<Job> jobs, double base, int tools) {
        List<Job> longestFirst = new ArrayList<>(jobs);
        longestFirst.sort(Comparator.comparingDouble(Job::seconds).reversed().thenComparingInt(Job::index));
        double[] load = new double[tools];
        List<Move> moves = new ArrayList<>();
        boolean fits = true;
        for (Job job : longestFirst) {
            int tool = leastLoaded(load);
            moves.add(new Move(job.area(), tool, load[tool], load[tool] + job.seconds()));
            load[tool] += job.seconds();
            fits &= load[tool] <= base + TOLERANCE_SECONDS;
        }
        if (fits) {
            return moves;
        }
        int[] at = new int[longestFirst.size()];
        if (longestFirst.size() > MOST_PACKED_EXACTLY || !packExactly(longestFirst, 0, new double[tools], base, at)) {
            throw Check.infeasible(
                    "holds",
                    "these holds do not fit into the base exposure with " + tools + (tools == 1 ? " tool" : " tools")
                            + "; hold less, or use a mask");
        }
        double[] start = new double[tools];
        List<Move> packed = new ArrayList<>();
        for (int i = 0; i < at.length; i++) {
            Job job = longestFirst.get(i);
            packed.add(new Move(job.area(), at[i], start[at[i]], start[at[i]] + job.seconds()));
            start[at[i]] += job.seconds();
        }
        return packed;
    }

    private static boolean packExactly(List<Job> jobs, int next, double[] load, double base, int[] at) {
        if (next == jobs.size()) {
            return true;
        }
        for (int tool = 0; tool < load.length; tool++) {
            double seconds = jobs.get(next).seconds();
            if (load[tool] + seconds <= base + TOLERANCE_SECONDS) {
                load[tool] += seconds;
                at[next] = tool;
                if (packExactly(jobs, next + 1, load, base, at)) {
                    return true;
                }
                load[tool] -= seconds;
            }
        }
        return false;
    }

    private static int leastLoaded(double[] load) {
        int best = 0;
        for (int i = 1; i < load.length; i++) {
            if (load[i] < load[best] - TOLERANCE_SECONDS) {
                best = i;
            }
        }
        return best;
    }

    private static List<Segment> cut(ExposureTime base, List<Move> moves, List<Hold> holds, LampLag lag) {
        TreeSet<Double> bounds = new TreeSet<>(List.of(0.0, base.inSeconds()));
        for (Move move : moves) {
            addApart(bounds, move.startSeconds());
            addApart(bounds, move.endSeconds());
        }
        List<Segment> segments = new ArrayList<>();
        Double from = bounds.first();
        for (Double to = bounds.higher(from); to != null; to = bounds.higher(from)) {
            double middle = (from + to) / 2;
            List<String> held = holds.stream()
                    .map(Hold::area)
                    .filter(area -> moves.stream()
                            .anyMatch(
                                    m -> m.area().equals(area) && m.startSeconds() < middle && m.endSeconds() > middle))
                    .toList();
            double received = to - from;
            segments.add(new Segment(lag.toSet(ExposureTime.ofSeconds(received)), received, held));
            from = to;
        }
        return segments;
    }

    /** Boundaries closer than the tolerance are one: two holds that end together make no empty burst. */
    private static void addApart(TreeSet<Double> bounds, double at) {
        Double below = bounds.floor(at + 1e-6);
        if (below == null || at - below > 1e-6) {
            bounds.add(at);
        }
    }

    private static List<BurnStep> order(ExposureTime base, List<Burn> burns, LampLag lag) {
        List<Burn> sorted = new ArrayList<>(burns);
        sorted.sort(
                Comparator.comparing((Burn b) -> b.grade().map(Grade::onScale).orElse(Double.NEGATIVE_INFINITY)));
        return sorted.stream()
                .map(b -> {
                    double received = Check.positive("burn", b.change().secondsOn(base), "s") * b.timeFactor();
                    return new BurnStep(b.area(), b.grade(), lag.toSet(ExposureTime.ofSeconds(received)), received);
                })
                .toList();
    }
}
