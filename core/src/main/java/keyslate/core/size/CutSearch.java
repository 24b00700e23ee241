package keyslate.core.size;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.IntStream;
import keyslate.core.quantity.Length;

/**
 * The search behind {@link CutPlan}: for every rectangle and every choice of pieces that must come out of it, the trees
 * of cuts that no other tree beats in fences, cuts and offcut together, and those that are as good. Sides are whole micrometres, so that a remainder
 * of exactly a piece's side is found equal to it.
 */
final class CutSearch {
    private static final int BITS = 3;
    /** With so many, none of 1,490 random sheets took more runs than with a hundred. */
    private static final int MOST_TIES = 64;

    private static final int MASK = (1 << BITS) - 1;

    private final List<CutPlan.Piece> pieces;
    private final long[] widths;
    private final long[] heights;
    /** Every side of every piece: the only fence distances worth trying. */
    private final List<Long> sides;

    private final Map<Job, List<Tree>> known = new HashMap<>();
    private final Map<Integer, int[]> choices = new HashMap<>();

    /**
     * A rectangle and how many of each size must come out of it. Pieces may lie either way, so a rectangle on its side
     * is the same job: width is the shorter side.
     *
     * @param counts three bits for each size
     */
    private record Job(long width, long height, int counts) {
        static Job of(long a, long b, int counts) {
            return new Job(Math.min(a, b), Math.max(a, b), counts);
        }

        int count(int size) {
            return counts >> BITS * size & MASK;
        }
    }

    /**
     * One way to do a job.
     *
     * @param fences a bit for each of the sides that is used
     * @param offcut area of the largest unused part, µm²
     */
    record Tree(int fences, int cuts, long offcut, Node node) {
        boolean beats(Tree other) {
            return (fences & ~other.fences) == 0 && cuts <= other.cuts && offcut >= other.offcut;
        }
    }

    /** What becomes of a rectangle. */
    sealed interface Node {}

    record Kept(int piece) implements Node {}

    record Left() implements Node {}

    record Cut(long fence, long width, long height, boolean acrossWidth, Node near, Node far) implements Node {}

    CutSearch(List<CutPlan.Piece> pieces) {
        this.pieces = pieces;
        this.widths = pieces.stream().mapToLong(p -> micrometres(p.width())).toArray();
        this.heights = pieces.stream().mapToLong(p -> micrometres(p.height())).toArray();
        TreeSet<Long> different = new TreeSet<>();
        IntStream.range(0, widths.length).forEach(i -> different.addAll(List.of(widths[i], heights[i])));
        this.sides = List.copyOf(different);
    }

    /** With {@code beginning} as the fence of the first cut where one is given; else with any. */
    Optional<CutPlan> best(Length sheetWidth, Length sheetHeight, Optional<Length> beginning) {
        int all = 0;
        for (int i = 0; i < pieces.size(); i++) {
            all |= pieces.get(i).count() << BITS * i;
        }
        Job whole = Job.of(micrometres(sheetWidth), micrometres(sheetHeight), all);
        List<Tree> trees =
                beginning.map(f -> beginningAt(micrometres(f), whole)).orElseGet(() -> trees(whole));
        Comparator<Tree> order = Comparator.<Tree>comparingInt(t -> Integer.bitCount(t.fences()))
                .thenComparingInt(Tree::cuts)
                .thenComparing(t -> -squareMm(t.offcut()));
        return trees.stream()
                .min(order)
                .map(first -> trees.stream()
                        .filter(t -> order.compare(t, first) == 0)
                        .map(this::plan)
                        .min(Comparator.comparingInt(p -> p.runs().size()))
                        .orElseThrow());
    }

    private List<Tree> beginningAt(long fence, Job whole) {
        List<Tree> found = new ArrayList<>();
        int side = sides.indexOf(fence);
        if (side >= 0) {
            cutAt(side, whole, true, found);
            cutAt(side, whole, false, found);
        }
        return found;
    }

    private CutPlan plan(Tree tree) {
        List<Long> used = IntStream.range(0, sides.size())
                .filter(i -> (tree.fences() & 1 << i) != 0)
                .mapToObj(sides::get)
                .toList();
        List<CutPlan.Run> runs =
                CutOrder.fewestRuns(tree.node()).stream().map(this::named).toList();
        return new CutPlan(CutPlan.lengths(used), tree.cuts(), squareMm(tree.offcut()), runs);
    }

    private CutPlan.Run named(List<Cut> run) {
        return new CutPlan.Run(
                CutPlan.ofMicrometres(run.get(0).fence()),
                run.stream()
                        .map(c -> new CutPlan.Cut(
                                CutPlan.ofMicrometres(c.width()),
                                CutPlan.ofMicrometres(c.height()),
                                c.acrossWidth(),
                                name(c.near()),
                                name(c.far())))
                        .toList());
    }

    private Optional<String> name(Node node) {
        return node instanceof Kept kept ? Optional.of(pieces.get(kept.piece()).name()) : Optional.empty();
    }

    private List<Tree> trees(Job job) {
        List<Tree> before = known.get(job);
        if (before == null) {
            before = search(job);
            known.put(job, before);
        }
        return before;
    }

    private List<Tree> search(Job job) {
        if (job.counts() == 0) {
            return List.of(new Tree(0, 0, job.width() * job.height(), new Left()));
        }
        if (!roomFor(job)) {
            return List.of();
        }
        for (int i = 0; i < widths.length; i++) {
            if (job.counts() == 1 << BITS * i && isExactly(i, job)) {
                return List.of(new Tree(0, 0, 0, new Kept(i)));
            }
        }
        List<Tree> found = new ArrayList<>();
        for (int side = 0; side < sides.size(); side++) {
            cutAt(side, job, true, found);
            if (job.width() != job.height()) {
                cutAt(side, job, false, found);
            }
        }
        return found;
    }

    private void cutAt(int side, Job job, boolean acrossWidth, List<Tree> found) {
        long fence = sides.get(side);
        long whole = acrossWidth ? job.width() : job.height();
        long other = acrossWidth ? job.height() : job.width();
        if (fence >= whole) {
            return;
        }
        for (int near : choices.computeIfAbsent(job.counts(), CutSearch::choicesFrom)) {
            List<Tree> nearTrees = trees(Job.of(fence, other, near));
            if (nearTrees.isEmpty()) {
                continue;
            }
            // Each count is at most what is there, so the packed counts subtract without borrowing.
            for (Tree b : trees(Job.of(whole - fence, other, job.counts() - near))) {
                for (Tree a : nearTrees) {
                    keep(
                            found,
                            new Tree(
                                    a.fences() | b.fences() | 1 << side,
                                    a.cuts() + b.cuts() + 1,
                                    Math.max(a.offcut(), b.offcut()),
                                    new Cut(fence, job.width(), job.height(), acrossWidth, a.node(), b.node())));
                }
            }
        }
    }

    /** Trees that are as good as each other are kept beside each other: in how few runs they can be cut shows only in the whole. */
    private static void keep(List<Tree> found, Tree tree) {
        int ties = 0;
        for (Tree other : found) {
            boolean isTie = other.beats(tree) && tree.beats(other);
            if (isTie) {
                ties++;
            }
            if (other.beats(tree) && !isTie || ties >= MOST_TIES) {
                return;
            }
        }
        found.removeIf(other -> tree.beats(other) && !other.beats(tree));
        found.add(tree);
    }

    private boolean roomFor(Job job) {
        long area = 0;
        for (int i = 0; i < widths.length; i++) {
            int count = job.count(i);
            boolean upright = widths[i] <= job.width() && heights[i] <= job.height();
            boolean lying = heights[i] <= job.width() && widths[i] <= job.height();
            if (count > 0 && !upright && !lying) {
                return false;
            }
            area += count * widths[i] * heights[i];
        }
        return area <= job.width() * job.height();
    }

    private boolean isExactly(int piece, Job job) {
        return widths[piece] == job.width() && heights[piece] == job.height()
                || heights[piece] == job.width() && widths[piece] == job.height();
    }

    /** Every choice of at least one of the wanted pieces: nothing is cut off only to be thrown away. */
    private static int[] choicesFrom(int counts) {
        return IntStream.rangeClosed(1, counts)
                .filter(choice -> IntStream.range(0, CutPlan.MOST_SIZES)
                        .allMatch(i -> (choice >> BITS * i & MASK) <= (counts >> BITS * i & MASK)))
                .toArray();
    }

    private static long micrometres(Length length) {
        return Math.round(length.inMm() * 1000);
    }

    private static long squareMm(long squareMicrometres) {
        return Math.round(squareMicrometres / 1e6);
    }
}
