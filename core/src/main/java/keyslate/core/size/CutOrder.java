package keyslate.core.size;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import keyslate.core.size.CutSearch.Cut;
import keyslate.core.size.CutSearch.Node;

/**
 * The order of the cuts of one tree: in a run all cuts that can be made at one fence distance are made, also those that
 * the run itself makes possible; depth-first over the next distance finds the fewest runs.
 */
final class CutOrder {
    /** One cut at each turn is the longest order there is. */
    private static final int NO_LIMIT = Integer.MAX_VALUE;

    private CutOrder() {}

    static List<List<Cut>> fewestRuns(Node tree) {
        List<Cut> open = new ArrayList<>();
        addIfCut(tree, open);
        return fewest(open, NO_LIMIT).orElseThrow();
    }

    /** The shortest order of all that hangs on the open cuts, when there is one of at most {@code most} runs. */
    private static Optional<List<List<Cut>>> fewest(List<Cut> open, int most) {
        if (open.isEmpty()) {
            return Optional.of(List.of());
        }
        Optional<List<List<Cut>>> best = Optional.empty();
        int limit = most;
        TreeSet<Long> fences = new TreeSet<>();
        open.forEach(c -> fences.add(c.fence()));
        for (long fence : fences) {
            if (limit == 0) {
                break;
            }
            List<Cut> later = new ArrayList<>();
            List<Cut> run = run(open, fence, later);
            Optional<List<List<Cut>>> rest = fewest(later, limit - 1);
            if (rest.isPresent()) {
                List<List<Cut>> order = new ArrayList<>(List.of(run));
                order.addAll(rest.get());
                best = Optional.of(order);
                limit = order.size() - 1;
            }
        }
        return best;
    }

    /** All cuts that can be made at one distance; what stays open goes to {@code later}. */
    private static List<Cut> run(List<Cut> open, long fence, List<Cut> later) {
        List<Cut> run = new ArrayList<>();
        List<Cut> ready = new ArrayList<>(open);
        while (!ready.isEmpty()) {
            Cut cut = ready.remove(0);
            if (cut.fence() != fence) {
                later.add(cut);
                continue;
            }
            run.add(cut);
            addIfCut(cut.near(), ready);
            addIfCut(cut.far(), ready);
        }
        return run;
    }

    private static void addIfCut(Node node, List<Cut> to) {
        if (node instanceof Cut cut) {
            to.add(cut);
        }
    }
}
